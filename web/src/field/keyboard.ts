/** The keyboard for fingers: what a line of school mathematics needs at this grade, and nothing else. */
import type { VirtualKeyboardKeycap, VirtualKeyboardLayout } from 'mathlive'
import type { Keypad } from '@/api/client'
import { keyboardWords } from '@/words'

const key = (latex: string, insert = latex): Partial<VirtualKeyboardKeycap> => ({ latex, insert })
const arrows = ['[left]', '[right]', '[backspace]', '[return]'] as const
const fraction = key('\\frac{\\square}{\\square}', '\\frac{#@}{#?}')
const square = key('\\square^{2}', '#@^{2}')
const power = key('\\square^{\\square}', '#@^{#?}')
const root = key('\\sqrt{\\square}', '\\sqrt{#0}')

function lines({ size, letters }: Keypad): VirtualKeyboardLayout {
  const given = letters.length ? letters : ['x']
  const others = (size === 'numbers' ? ['\\%', '\\$'] : ['n', 'y', 'x']).filter((letter) => !given.includes(letter))
  const [a = 'x', b = 'n', c = 'y'] = [...given, ...others]
  const algebra = size !== 'numbers'
  return {
    label: '1 + x',
    tooltip: keyboardWords.signs,
    rows: [
      [key(a), key('7'), key('8'), key('9'), key('\\div'), fraction, key('('), key(')')],
      [key(b), key('4'), key('5'), key('6'), key('\\times'), algebra ? square : key(':'), key('<'), key('>')],
      [key(c), key('1'), key('2'), key('3'), key('-'), algebra ? power : key(','), algebra ? root : key('\\approx'), key(':')],
      [key('='), key('0'), key('.'), key('+'), ...arrows],
    ],
  }
}

/** A second page from the grade on at which there is more than sums, products, powers and roots. */
const functions: VirtualKeyboardLayout = {
  label: 'f( )',
  tooltip: keyboardWords.functions,
  rows: [
    [key('\\sin', '\\sin('), key('\\cos', '\\cos('), key('\\tan', '\\tan('), key('\\pi'), key('\\theta'), key('\\degree')],
    [key('\\log', '\\log('), key('\\log_{\\square}', '\\log_{#?}'), key('\\ln', '\\ln('), key('e'), power, root],
    [key('|'), key('\\le'), key('\\ge'), key('\\ne'), key('\\pm'), key('\\sqrt[\\square]{\\square}', '\\sqrt[#?]{#0}')],
    [key('\\text{ or }'), key('\\text{ and }'), ...arrows],
  ],
}

const usual: Keypad = { size: 'algebra', letters: ['x', 'n', 'y'] }
let ready = false

/** Fits the keyboard to what a problem needs. */
export function fitKeyboard(keypad: Keypad): void {
  const keyboard = window.mathVirtualKeyboard
  if (!keyboard) return
  keyboard.layouts = keypad.size === 'functions' ? [lines(keypad), functions, 'alphabetic'] : [lines(keypad), 'alphabetic']
}

/** Puts our keyboard in place of the one that comes with the field, and tells the page how tall it is. */
export function setUpKeyboard(): void {
  const keyboard = window.mathVirtualKeyboard
  if (ready || !keyboard) return
  ready = true
  fitKeyboard(usual)
  keyboard.editToolbar = 'none'
  const tell = (): void =>
    document.documentElement.style.setProperty('--keyboard', `${Math.round(keyboard.boundingRect.height)}px`)
  keyboard.addEventListener('geometrychange', tell)
}
