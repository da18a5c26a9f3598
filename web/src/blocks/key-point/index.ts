import { blockKind } from '../kinds'
import Editor from './Editor.vue'
import Face from './Face.vue'
import { words } from './words'

export default blockKind({
  kind: 'key_point',
  name: words.name,
  face: Face,
  editor: Editor,
  offered: 35,
  empty: () => ({ kind: 'key_point', point: '' }),
})
