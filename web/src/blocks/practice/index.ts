import Chooser from '@/components/PracticeChooser.vue'
import { blockKind } from '../kinds'
import Editor from './Editor.vue'
import Face from './Face.vue'
import { words } from './words'

export default blockKind({
  kind: 'practice',
  name: words.name,
  face: Face,
  editor: Editor,
  offered: 90,
  chooser: Chooser,
})
