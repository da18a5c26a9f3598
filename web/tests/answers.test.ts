/** The place for an answer: what each kind shows, and what it hands on. */
import { enableAutoUnmount, type VueWrapper } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { AnswerKind, GivenAnswer, JudgedLine } from '@/api/client'
import AnswerPlace from '@/answer/AnswerPlace.vue'
import FlawedLines from '@/components/FlawedLines.vue'
import { button, read, stand } from './mounted'

vi.mock('@/components/MathInput.vue', () => import('./math_input'))
enableAutoUnmount(afterEach)

const place = (kind: AnswerKind, given?: GivenAnswer, verdict?: Partial<JudgedLine>, working: string[] = []): VueWrapper =>
  stand(AnswerPlace, { place: kind, given, working, verdict })
const last = (wrapper: VueWrapper): unknown[] | undefined => wrapper.emitted('give')?.at(-1)
const said = (word: string, says = '', answers = false): Partial<JudgedLine> => ({ verdict: { word, says, made: '', domain: '' }, answers }) as Partial<JudgedLine>

describe('a quantity', () => {
  const kind: AnswerKind = { kind: 'quantity', units: ['cm', 'cm²', 'cm³'], rounded: '1 decimal place' }

  it('takes its number and its unit apart', async () => {
    const wrapper = place(kind)
    await wrapper.find('input').setValue('189')
    expect(last(wrapper)).toEqual([{ kind: 'number', number: { text: '189', latex: true }, unit: '' }, false])
    await wrapper.setProps({ given: { kind: 'number', number: { text: '189', latex: true }, unit: '' } })
    await wrapper.findAll('input[type="radio"]')[1]!.setValue(true)
    expect(last(wrapper)).toEqual([{ kind: 'number', number: { text: '189', latex: true }, unit: 'cm²' }, true])
    expect(read(wrapper)).toContain('To 1 decimal place.')
  })

  it('has no choice where there is one unit, and says it', () => {
    const wrapper = place({ kind: 'quantity', units: ['jars'] })
    expect(wrapper.findAll('input[type="radio"]')).toHaveLength(0)
    expect(read(wrapper)).toContain('jars')
    expect(read(place({ kind: 'numeral', base: 2 }))).toContain('in base 2')
  })
})

describe('a choice', () => {
  const options = [
    { text: 'even', shown: 'even' },
    { text: 'odd', shown: 'odd' },
  ]

  it('is made by one tap, and shows which', async () => {
    const wrapper = place({ kind: 'choice', options }, { kind: 'choice', choice: 'odd' })
    const radios = wrapper.findAll('input[type="radio"]')
    expect(radios.map((radio) => (radio.element as HTMLInputElement).checked)).toEqual([false, true])
    await radios[0]!.setValue(true)
    expect(last(wrapper)).toEqual([{ kind: 'choice', choice: 'even' }, true])
  })

  it('asks why where a reason is wanted, and keeps it with the choice', async () => {
    const kind: AnswerKind = { kind: 'judgement', options: ['true', 'false'], because: true }
    const wrapper = place(kind, { kind: 'judgement', choice: 'true', because: '' })
    await wrapper.find('textarea').setValue('both are 12')
    expect(last(wrapper)).toEqual([{ kind: 'judgement', choice: 'true', because: 'both are 12' }, false])
    expect(place({ ...kind, because: false }).find('textarea').exists()).toBe(false)
  })
})

describe('somebody’s working', () => {
  const kind: AnswerKind = { kind: 'broken_line', lines: 3 }
  const working = ['2(3x-1)=46', '6x-1=46', '6x=47']

  it('has its lines to pick, and one for none of them', async () => {
    const wrapper = place(kind, undefined, undefined, working)
    const radios = wrapper.findAll('input[type="radio"]')
    expect(radios).toHaveLength(4)
    await radios[3]!.setValue(true)
    expect(last(wrapper)).toEqual([{ kind: 'broken_line', line: 0, mended: undefined }, true])
    await radios[1]!.setValue(true)
    expect(last(wrapper)).toEqual([{ kind: 'broken_line', line: 2, mended: undefined }, true])
  })

  it('asks for the line as it should be, but not of a line that holds', async () => {
    const picked: GivenAnswer = { kind: 'broken_line', line: 2 }
    const wrapper = place(kind, picked, said('holds', 'Now write it as it should be.'), working)
    const field = wrapper.findAll('input').at(-1)!
    await field.setValue('6x-2=46')
    expect(last(wrapper)).toEqual([{ kind: 'broken_line', line: 2, mended: { text: '6x-2=46', latex: true } }, false])
    const wrong = place(kind, { kind: 'broken_line', line: 3 }, said('breaks', 'Look further up.'), working)
    expect(wrong.find('.mend').exists()).toBe(false)
    expect(read(wrong)).toContain('Not yet.')
  })

  it('is shown with numbers', () => {
    const wrapper = stand(FlawedLines, { lines: working.map((latex) => ({ latex, math: latex })) })
    expect(wrapper.findAll('.at').map(read)).toEqual(['1', '2', '3'])
  })
})

describe('an order', () => {
  const kind: AnswerKind = { kind: 'order', items: ['7/12', '1/2', '1/3'], sign: '<' }

  it('grows with each tap, and is taken back by another', async () => {
    const wrapper = place(kind, { kind: 'order', items: ['1/3'] })
    await button(wrapper, '1/2').trigger('click')
    expect(last(wrapper)).toEqual([{ kind: 'order', items: ['1/3', '1/2'] }, true])
    await button(wrapper, 'Take 1/3 back').trigger('click')
    expect(last(wrapper)).toEqual([{ kind: 'order', items: [] }, true])
  })
})

describe('a table', () => {
  const kind: AnswerKind = { kind: 'table', heads: ['fraction', 'decimal', 'percent'], rows: [['7/10'], [''], ['']] }

  it('hands on every empty cell in its place', async () => {
    const wrapper = place(kind, { kind: 'cells', cells: ['', '70%'] })
    const cells = wrapper.findAll('input')
    expect(cells.map((cell) => cell.attributes('aria-label'))).toEqual(['Cell: decimal', 'Cell: percent'])
    await cells[0]!.setValue('0.7')
    expect(last(wrapper)).toEqual([{ kind: 'cells', cells: ['0.7', '70%'] }, false])
  })
})

it('says that an answer is right', () => {
  expect(read(place({ kind: 'number' }, undefined, said('holds', '', true)))).toContain('Right.')
})
