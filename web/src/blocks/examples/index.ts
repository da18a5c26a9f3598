import { blockKind } from '../kinds'
import Editor from './Editor.vue'
import Face from './Face.vue'
import { words } from './words'

export default blockKind({
  kind: 'examples',
  name: words.name,
  face: Face,
  editor: Editor,
  offered: 40,
  empty: () => ({ kind: 'examples', of: '', fits: [''], fits_not: [''] }),
})
