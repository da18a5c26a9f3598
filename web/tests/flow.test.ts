import { describe, expect, it } from 'vitest'
import { Flow, staysInside } from '@/field/flow'

/** Types a line and tells where it went: a place that opens is `{`, one that is left is `}`. */
function typed(line: string): string {
  const flow = new Flow()
  let told = ''
  for (const key of line) {
    told += '}'.repeat(flow.leaves(key)) + key
    flow.typed(key)
    if ('/^_'.includes(key)) told += '{'
  }
  return told
}

describe('typing goes where a typed line means it', () => {
  it.each([
    ['x^2+1', 'x^{2}+1'],
    ['1/2+3', '1/{2}+3'],
    ['1/2x', '1/{2}x'],
    ['2^-3=8', '2^{-3}=8'],
    ['x^(n+1)-y', 'x^{(n+1)}-y'],
    ['3/4*2', '3/{4}*2'],
    ['2^12', '2^{12'],
    ['x^0.5+1', 'x^{0.5}+1'],
    ['a_1+a_2', 'a_{1}+a_{2'],
    ['1/(x+1)=2', '1/{(x+1)}=2'],
    ['x^2^3+1', 'x^{2^{3}}+1'],
    ['x^2/3', 'x^{2}/{3'],
    ['(1/2)x', '(1/{2})x'],
    ['1/x<3', '1/{x}<3'],
    ['5!/3!+1', '5!/{3!}+1'],
    ['x^2, y', 'x^{2}, y'],
  ])('%s', (line, expected) => {
    expect(typed(line)).toBe(expected)
  })
})

describe('an operand in an open place', () => {
  it.each([
    ['', '-', true],
    ['', '(', true],
    ['', '=', false],
    ['', ')', false],
    ['2', '5', true],
    ['2', '.', true],
    ['2', '+', false],
    ['2', 'x', false],
    ['(2', '+', true],
    ['(2+1)', '+', false],
    ['s', 'i', true],
    ['sin', ' ', true],
    ['sin ', 'x', true],
    ['sqr', 't', true],
    ['x', 'y', false],
    ['x', '2', false],
    ['x', '!', true],
    ['-', '3', true],
    ['− ', '3', true],
  ])('%j and then %j: %s', (inside, key, stays) => {
    expect(staysInside(inside, key)).toBe(stays)
  })
})

describe('a moved cursor', () => {
  it('ends the following: every key stays where it is', () => {
    const flow = new Flow()
    for (const key of 'x^2') flow.typed(key)
    flow.forget()
    expect(flow.leaves('+')).toBe(0)
  })

  it('so does taking back the sign that opened the place', () => {
    const flow = new Flow()
    for (const key of 'x^') flow.typed(key)
    flow.takenBack()
    expect(flow.leaves('+')).toBe(0)
  })

  it('a digit taken back leaves the place open', () => {
    const flow = new Flow()
    for (const key of 'x^12') flow.typed(key)
    flow.takenBack()
    expect(flow.leaves('3')).toBe(0)
    flow.typed('3')
    expect(flow.leaves('+')).toBe(1)
  })
})
