import { blockKind } from '../kinds'
import Editor from './Editor.vue'
import Face from './Face.vue'
import { words } from './words'

export default blockKind({
  kind: 'link',
  name: words.name,
  face: Face,
  editor: Editor,
  offered: 60,
  empty: () => ({ kind: 'link', url: '', text: '' }),
})
