import { blockKind } from '../kinds'
import Editor from './Editor.vue'
import Face from './Face.vue'
import { emptyAsks } from './asks'
import { words } from './words'

export default blockKind({
  kind: 'question',
  name: words.name,
  face: Face,
  editor: Editor,
  offered: 10,
  empty: () => ({ kind: 'question', prompt: '', asks: emptyAsks('open') }),
})
