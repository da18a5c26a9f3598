import { describe, expect, it } from 'vitest'
import type { Meaning } from '@/api/client'
import { toned, tonedLatex } from '@/slide/meanings'

const colours = { price: 'honey', red: 'rose', '3': 'sky', x: 'leaf' }
const meanings = Object.entries(colours).map(([what, colour]) => ({ what, colour }) as unknown as Meaning)
const marked = (text: string): string => toned(text, meanings).map((part) => (part.tone ? `[${part.text}]` : part.text)).join('')

describe('a quantity keeps its colour in words', () => {
  it.each([
    ['The price is 3 coins.', 'The [price] is [3] coins.'],
    ['prices and repriced', 'prices and repriced'],
    ['13 or 3.5', '13 or [3].5'],
    ['red, red, red', '[red], [red], [red]'],
    ['nothing here', 'nothing here'],
    ['Prix: préprice', 'Prix: préprice'],
  ])('%s', (text, expected) => {
    expect(marked(text)).toBe(expected)
  })

  it('of two that begin alike, the longer is meant', () => {
    const two = [{ what: 'red', colour: 'rose' }, { what: 'red paint', colour: 'sky' }] as unknown as Meaning[]
    expect(toned('red paint', two)).toEqual([{ text: 'red paint', tone: 'tone-sky' }])
  })

  it('signs that mean something to a pattern are only signs', () => {
    const odd = [{ what: 'a+b', colour: 'sky' }] as unknown as Meaning[]
    expect(toned('a+b = aab', odd)[0]).toEqual({ text: 'a+b', tone: 'tone-sky' })
  })

  it('without meanings the text is one piece', () => {
    expect(toned('The price', [])).toEqual([{ text: 'The price' }])
  })
})

describe('and in mathematics', () => {
  it.each([
    ['x+1', '\\htmlClass{tone-leaf}{x}+1'],
    ['\\frac{3}{x}', '\\frac{\\htmlClass{tone-sky}{3}}{\\htmlClass{tone-leaf}{x}}'],
    ['33', '33'],
    ['3.5', '3.5'],
    ['\\max', '\\max'],
    ['\\text{x and 3}', '\\text{x and 3}'],
    ['\\begin{matrix}3\\end{matrix}', '\\begin{matrix}\\htmlClass{tone-sky}{3}\\end{matrix}'],
  ])('%s', (latex, expected) => {
    expect(tonedLatex(latex, meanings)).toBe(expected)
  })
})
