import { blockKind } from '../kinds'
import Editor from './Editor.vue'
import Face from './Face.vue'
import { words } from './words'

export default blockKind({
  kind: 'image',
  name: words.name,
  face: Face,
  editor: Editor,
  offered: 70,
  empty: () => ({ kind: 'image', image: 0, alt: '', caption: '' }),
})
