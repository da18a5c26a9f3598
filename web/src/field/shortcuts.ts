import { wordsWith } from './school_words'

/** What typing turns into a sign. `#?` is an empty place. */
const signs: Record<string, string> = {
  sqrt: '\\sqrt{#?}',
  cbrt: '\\sqrt[3]{#?}',
  '√': '\\sqrt{#?}',
  '∛': '\\sqrt[3]{#?}',
  '³√': '\\sqrt[3]{#?}',
  '⁴√': '\\sqrt[4]{#?}',
  '½': '\\frac{1}{2}',
  '⅓': '\\frac{1}{3}',
  '⅔': '\\frac{2}{3}',
  '¼': '\\frac{1}{4}',
  '¾': '\\frac{3}{4}',
  '²': '^{2}',
  '³': '^{3}',
  ...Object.fromEntries([...'₀₁₂₃₄₅₆₇₈₉'].map((sign, digit) => [sign, `_{${digit}}`])),
  '*': '\\times',
  '×': '\\times',
  '·': '\\cdot',
  '÷': '\\div',
  '−': '-',
  '–': '-',
  '±': '\\pm',
  '+-': '\\pm',
  '∓': '\\mp',
  '<=': '\\le',
  '>=': '\\ge',
  '!=': '\\ne',
  '≤': '\\le',
  '≥': '\\ge',
  '≠': '\\ne',
  '≈': '\\approx',
  '~=': '\\approx',
  '∈': '\\in',
  '∴': '\\therefore',
  '°': '\\degree',
  '%': '\\%',
  $: '\\$',
  '¢': '¢',
  pi: '\\pi',
  π: '\\pi',
  theta: '\\theta',
  θ: '\\theta',
  alpha: '\\alpha',
  beta: '\\beta',
  sin: '\\sin',
  cos: '\\cos',
  tan: '\\tan',
  sec: '\\sec',
  csc: '\\csc',
  cosec: '\\csc',
  cot: '\\cot',
  arcsin: '\\arcsin',
  arccos: '\\arccos',
  arctan: '\\arctan',
  log: '\\log',
  ln: '\\ln',
}

/** What typing turns into a sign, and the words that hold a sign's name and stay words: `distance`. Nothing else ever changes. */
export const shortcuts: Record<string, string> = { ...signs, ...wordsWith(Object.keys(signs)) }

/** Names whose argument may stand without brackets. */
export const names = [
  ...Object.keys(signs).filter((key) => /^[a-z]+$/.test(key)),
  'abs', 'root', 'hcf', 'gcd', 'lcm', 'max', 'min',
]

/** Keys after which an empty place waits to be filled. */
export const opens = (typed: string): boolean =>
  Object.entries(signs).some(([key, value]) => value.includes('#?') && typed.endsWith(key))
