/** How a field for mathematics behaves. */
import 'mathlive'
import { MathfieldElement } from 'mathlive'
import { setUpKeyboard } from './keyboard'
import { shortcuts } from './shortcuts'

// Its fonts are those of the page's own style sheet; it makes no sound.
MathfieldElement.fontsDirectory = null
MathfieldElement.soundsDirectory = null

/** Makes a field ours: it reads what was typed, and turns nothing into anything that was not meant. */
export function setUpField(mf: MathfieldElement): void {
  setUpKeyboard()
  mf.inlineShortcuts = shortcuts
  mf.smartFence = false
  mf.smartMode = false
  mf.smartSuperscript = false
  mf.removeExtraneousParentheses = false
  mf.mathModeSpace = '\\:'
  mf.onInlineShortcut = () => ''
  mf.popoverPolicy = 'off'
  mf.environmentPopoverPolicy = 'off'
  mf.menuItems = []
  // Only keys that move and take back keep a meaning of their own; no hidden combination inserts a sign.
  const moves = /Command|moveTo|delete|select|undo|redo|copy|cut|paste|extend|complete/
  mf.keybindings = mf.keybindings.filter((binding) => moves.test(String(binding.command)) || ['/', '^', '_'].includes(binding.key))
}
