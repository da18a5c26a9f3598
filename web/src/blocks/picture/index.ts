import Chooser from '@/components/PictureChooser.vue'
import { blockKind } from '../kinds'
import Editor from './Editor.vue'
import Face from './Face.vue'
import { words } from './words'

export default blockKind({
  kind: 'picture',
  name: words.name,
  face: Face,
  editor: Editor,
  offered: 100,
  chooser: Chooser,
})
