import { describe, expect, it } from 'vitest'
import { Flow, staysInside } from '@/field/flow'

/** Types a line and tells where it went: a place that opens is `{`, one that is left is `}`. */
function typed(line: string): string {
  const flow = new Flow()
  let told = ''
  for (const key of line) {
    const course = flow.take(key)
    told += '}'.repeat(course.leaves)
    if (course.high) told += (course.high.begins ? '^{' : '') + course.high.sign
    if (course.written || course.literal) told += key
    if ((!course.literal && '/^_'.includes(key)) || told.endsWith('sqrt')) told += '{'
    if (course.ends) told += '}'
  }
  return told
}

/** How many places are left before a key is typed. */
const left = (flow: Flow, key: string): number => flow.take(key).leaves

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
    ['sqrt(3x+4)', 'sqrt{3x+4}'],
    ['sqrt(3x+4)=5', 'sqrt{3x+4}=5'],
    ['sqrt(x+1)^2', 'sqrt{x+1}^{2'],
    ['sqrt((x+1)/2)+3', 'sqrt{(x+1)/{2}}+3'],
    ['sqrt((x+1)^2)', 'sqrt{(x+1)^{2}}'],
    ['sqrt 2+1', 'sqrt{ 2}+1'],
    ['a_{n+1}=2', 'a_{n+1}=2'],
    ['x^{10}y', 'x^{10}y'],
    ['x^(1/2)', 'x^{(1/{2})'],
    ['dy/dx=2', 'dy/{dx}=2'],
    ['d/dx(x)', 'd/{dx}(x)'],
    ['ad/dx', 'ad/{d}x'],
    ['a / b', 'a / b'],
    ['90 km/h', '90 km/h'],
    ['3 1/2', '3 1/{2'],
    ['___ + 5', '___ + 5'],
    ['5 + _', '5 + _'],
    ['x_1', 'x_{1'],
    ['aⁿ⁺¹ + 1', 'a^{n+1} + 1'],
    ['2ᵐ=8', '2^{m}=8'],
    ['ⁿ', 'ⁿ'],
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
    for (const key of 'x^2') flow.take(key)
    flow.forget()
    expect(left(flow, '+')).toBe(0)
  })

  it('so does taking back the sign that opened the place', () => {
    const flow = new Flow()
    for (const key of 'x^') flow.take(key)
    flow.takenBack()
    expect(left(flow, '+')).toBe(0)
  })

  it('a digit taken back leaves the place open', () => {
    const flow = new Flow()
    for (const key of 'x^12') flow.take(key)
    flow.takenBack()
    expect(left(flow, '3')).toBe(0)
    expect(left(flow, '+')).toBe(1)
  })
})
