import { blockKind } from '../kinds'
import Editor from './Editor.vue'
import Face from './Face.vue'
import { words } from './words'

export default blockKind({
  kind: 'table',
  name: words.name,
  face: Face,
  editor: Editor,
  offered: 50,
  empty: () => ({ kind: 'table', heads: ['', ''], rows: [['', '']] }),
})
