/** Quantities that keep one colour wherever they stand: in the words, the mathematics and the pictures of a slide. */
import { inject, provide, type InjectionKey, type Ref } from 'vue'
import type { Meaning } from '@/api/client'

const key: InjectionKey<Ref<Meaning[]>> = Symbol('meanings')

export const provideMeanings = (meanings: Ref<Meaning[]>): void => provide(key, meanings)
export const useMeanings = (): Ref<Meaning[]> | undefined => inject(key, undefined)

export const toneOf = (what: string, meanings: Meaning[]): string | undefined => {
  const found = meanings.find((meaning) => meaning.what === what)
  return found && `tone-${found.colour}`
}

export interface Toned {
  text: string
  tone?: string
}

/** A text cut at what has a colour, each as a word of its own. */
export function toned(text: string, meanings: Meaning[]): Toned[] {
  const known = meanings.map((meaning) => meaning.what).filter(Boolean)
  if (!known.length) return [{ text }]
  const quoted = known.sort((a, b) => b.length - a.length).map((what) => what.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
  const cut = new RegExp(`(?<![\\p{L}\\p{N}])(${quoted.join('|')})(?![\\p{L}\\p{N}])`, 'gu')
  return text
    .split(cut)
    .filter(Boolean)
    .map((part) => ({ text: part, tone: toneOf(part, meanings) }))
}

/** LaTeX in which what has a colour carries its class. Words and names of environments stay as they are. */
export function tonedLatex(latex: string, meanings: Meaning[]): string {
  if (!meanings.length) return latex
  return latex.replace(/\\(?:begin|end|text|textbf|mathrm|operatorname)\s*\{[^}]*\}|\\[a-zA-Z]+|\d+(?:\.\d+)?|[a-zA-Z]/g, (token) => {
    const tone = toneOf(token, meanings)
    return tone ? `\\htmlClass{${tone}}{${token}}` : token
  })
}
