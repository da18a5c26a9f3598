/** The keyboard for fingers: what a line of school mathematics needs, and nothing else. */
import type { VirtualKeyboardKeycap, VirtualKeyboardLayout } from 'mathlive'

const key = (latex: string, insert = latex): Partial<VirtualKeyboardKeycap> => ({ latex, insert })

const lines: VirtualKeyboardLayout = {
  label: '1 + x',
  tooltip: 'Numbers and signs',
  rows: [
    [key('x'), key('7'), key('8'), key('9'), key('\\div'), key('\\frac{\\square}{\\square}', '\\frac{#@}{#?}'), key('('), key(')')],
    [key('n'), key('4'), key('5'), key('6'), key('\\times'), key('\\square^{2}', '#@^{2}'), key('<'), key('>')],
    [key('y'), key('1'), key('2'), key('3'), key('-'), key('\\square^{\\square}', '#@^{#?}'), key('\\sqrt{\\square}', '\\sqrt{#0}'), key(':')],
    [key('='), key('0'), key('.'), key('+'), '[left]', '[right]', '[backspace]', '[return]'],
  ],
}

let ready = false

/** Puts our keyboard in place of the one that comes with the field, and tells the page how tall it is. */
export function setUpKeyboard(): void {
  const keyboard = window.mathVirtualKeyboard
  if (ready || !keyboard) return
  ready = true
  keyboard.layouts = [lines, 'alphabetic']
  keyboard.editToolbar = 'none'
  const tell = (): void =>
    document.documentElement.style.setProperty('--keyboard', `${Math.round(keyboard.boundingRect.height)}px`)
  keyboard.addEventListener('geometrychange', tell)
}
