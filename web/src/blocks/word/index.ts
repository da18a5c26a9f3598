import { blockKind } from '../kinds'
import Editor from './Editor.vue'
import Face from './Face.vue'
import { words } from './words'

export default blockKind({
  kind: 'word',
  name: words.name,
  face: Face,
  editor: Editor,
  offered: 30,
  empty: () => ({ kind: 'word', word: '', means: '' }),
})
