/** A live lesson: what a student does goes out once and in order; the teacher sees who needs them first. */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import type { StudentNow } from '@/api/client'
import AnswerGroups from '@/live/AnswerGroups.vue'
import AskClass from '@/live/AskClass.vue'
import { useOutbox } from '@/live/outbox'
import { useSocket } from '@/live/socket'
import StudentGrid from '@/live/StudentGrid.vue'
import StudentAnswer from '@/live/StudentAnswer.vue'
import { asked, bad, good } from './api'
import { button, read, stand } from './mounted'

vi.mock('@/components/MathInput.vue', () => import('./math_input'))
vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))
enableAutoUnmount(afterEach)

const scopes: { stop: () => void }[] = []
function inScope<T>(make: () => T): T {
  const scope = effectScope()
  scopes.push(scope)
  return scope.run(make)!
}
beforeEach(() => {
  localStorage.clear()
  vi.useFakeTimers()
  for (const call of Object.values(asked)) call.mockReset()
})
afterEach(() => {
  scopes.splice(0).forEach((scope) => scope.stop())
  vi.useRealTimers()
})
const now = { seq: 9 } as StudentNow
const sent = (): { token: string; does: { kind: string } }[] => asked.POST.mock.calls.map((call) => call[1].body)

describe('what a student does', () => {
  it('goes out in its order, each with a token of its own', async () => {
    asked.POST.mockImplementation(() => good(now))
    const took = vi.fn()
    const { put, waiting } = inScope(() => useOutbox('abcdef', took))
    put({ kind: 'hand', up: true })
    put({ kind: 'hand', up: false })
    await vi.runAllTimersAsync()
    expect(sent().map((one) => one.does)).toEqual([
      { kind: 'hand', up: true },
      { kind: 'hand', up: false },
    ])
    expect(new Set(sent().map((one) => one.token)).size).toBe(2)
    expect(sent()[0]!.token).toMatch(/^[a-z0-9]{20}$/)
    expect(took).toHaveBeenCalledTimes(2)
    expect(waiting.value).toEqual([])
  })

  it('waits on the device without a connection, and goes out once with the same token', async () => {
    asked.POST.mockImplementation(() => Promise.reject(new Error('no network')))
    const outbox = inScope(() => useOutbox('abcdef', vi.fn()))
    outbox.put({ kind: 'hand', up: true })
    await vi.advanceTimersByTimeAsync(10)
    expect(outbox.stuck.value).toBe(true)
    const token = sent()[0]!.token
    // The page is loaded again: it is still there.
    scopes.splice(0).forEach((scope) => scope.stop())
    asked.POST.mockReset()
    asked.POST.mockImplementation(() => good(now))
    const again = inScope(() => useOutbox('abcdef', vi.fn()))
    expect(again.waiting.value).toHaveLength(1)
    await again.send()
    expect(sent().map((one) => one.token)).toEqual([token])
    expect(again.waiting.value).toEqual([])
    expect(localStorage).toHaveLength(0)
  })

  it('is dropped with a sentence where it is refused', async () => {
    asked.POST.mockImplementation(() => bad('bad', { says: 'This question is closed.' }))
    const outbox = inScope(() => useOutbox('abcdef', vi.fn()))
    outbox.put({ kind: 'hand', up: true })
    await vi.advanceTimersByTimeAsync(10)
    expect(outbox.failure.value?.says).toBe('This question is closed.')
    expect(outbox.waiting.value).toEqual([])
    expect(outbox.stuck.value).toBe(false)
  })
})

describe('a socket', () => {
  class Fake {
    static all: Fake[] = []
    onopen?: () => void
    onmessage?: (event: { data: string }) => void
    onclose?: () => void
    constructor(public address: URL) {
      Fake.all.push(this)
    }
    close(): void {}
  }
  beforeEach(() => {
    Fake.all = []
    vi.stubGlobal('WebSocket', Fake)
  })
  afterEach(() => vi.unstubAllGlobals())

  it('hears, and is taken up again by itself when it is lost', async () => {
    const heard = vi.fn()
    const back = vi.fn()
    const { online, open } = inScope(() => useSocket<{ seq: number }>(() => '/api/live/1/socket', heard, back))
    open()
    expect(String(Fake.all[0]!.address)).toMatch(/^ws:\/\/.*\/api\/live\/1\/socket$/)
    Fake.all[0]!.onopen!()
    Fake.all[0]!.onmessage!({ data: '{"seq":4}' })
    expect(heard).toHaveBeenCalledExactlyOnceWith({ seq: 4 })
    expect(back).not.toHaveBeenCalled()
    Fake.all[0]!.onclose!()
    expect(online.value).toBe(false)
    await vi.advanceTimersByTimeAsync(1000)
    expect(Fake.all).toHaveLength(2)
    Fake.all[1]!.onopen!()
    expect(online.value).toBe(true)
    expect(back).toHaveBeenCalledOnce()
  })
})

const student = (id: number, name: string, more: object = {}) => ({ id, name, place: { slide: 0, step: 1 }, tries: 0, answered: 0, were_right: 0, last: 0, ...more })

describe('the students', () => {
  it('stand in the order in which they need somebody', () => {
    const students = [student(1, 'Ada', { tries: 1, right: true }), student(2, 'Bo'), student(3, 'Cy', { stuck: 'same_slip', tries: 2, right: false }), student(4, 'Dee', { hand: 5 })]
    const grid = stand(StudentGrid, { students, now: 10, hasQuestion: true, wonders: [] })
    expect(grid.findAll('.name').map((one) => one.text())).toEqual(['Dee', 'Cy', 'Bo', 'Ada'])
    expect(read(grid)).toContain('the same slip twice')
    void button(grid, 'Seen').trigger('click')
    expect(grid.emitted('act')).toEqual([[{ kind: 'hand_seen', student: 4 }]])
  })
})

describe('the answers of a class', () => {
  const group = (ends: string, students: number[], more: object = {}) => ({ ends, students, forms: [{ text: ends, count: students.length }], ...more })
  const question = {
    number: 2,
    asked: { by: 'open', prompt: 'Expand 3(x + 4).' },
    right: '3x + 12',
    tells: 'at_once',
    tries: 0,
    closed: false,
    told: false,
    answered: 3,
    groups: [group('3x + 4', [2, 3], { right: false, slip: 'Multiply the second term too.' }), group('3x + 12', [1], { right: true })],
    drawings: [],
  }
  const wall = { answers: [], shares: [] }

  it('go on the wall one by one, two side by side, and as shares', async () => {
    const students = [student(1, 'Ada'), student(2, 'Bo'), student(3, 'Cy')]
    const groups = stand(AnswerGroups, { question, students, onWall: wall, ended: false })
    expect(read(groups)).toContain('Multiply the second term too.')
    expect(read(groups)).toContain('Bo, Cy')
    await groups.findAll('button').find((one) => one.text() === 'On the wall')!.trigger('click')
    await groups.findAll('button').find((one) => one.text() === 'Beside it')!.trigger('click')
    await button(groups, 'Shares on the wall').trigger('click')
    await button(groups, 'Tell what is right').trigger('click')
    expect(groups.emitted('act')!.map((one) => one[0])).toEqual([
      { kind: 'on_wall', answers: [{ question: 2, student: 2 }], lines: 1 },
      { kind: 'on_wall', answers: [{ question: 2, student: 2 }, { question: 2, student: 1 }], lines: 0 },
      { kind: 'shares_on_wall', question: 2 },
      { kind: 'told', question: 2 },
    ])
  })
})

describe('asking a class', () => {
  it('takes two taps: what the slide offers, what is typed, a poll', async () => {
    const offers = [{ prompt: 'Is it true?', asked: { by: 'open', prompt: 'Is it true?', answer: '' } }]
    const ask = stand(AskClass, { offers, slide: 3 })
    await ask.find('.offer').trigger('click')
    await ask.find('input').setValue('expand 3(x + 4)')
    await ask.find('form').trigger('submit')
    await button(ask, 'Yes or no').trigger('click')
    expect(ask.emitted('ask')!.map((one) => one[0])).toEqual([
      { from: 'slide', slide: 3, nth: 0 },
      { from: 'typed', text: 'expand 3(x + 4)' },
      { from: 'choice', prompt: 'What do you think?', choices: ['Yes', 'No'], right: [] },
    ])
  })
})

describe('a student’s answer', () => {
  const question = (by: string, more: object = {}) => ({ number: 1, asked: { by, prompt: '?', choices: ['A', 'B'], ...more }, open: true, tries: 0 })

  it('is given by a tap where there is something to choose', async () => {
    const answer = stand(StudentAnswer, { question: question('choice'), lesson: 'abcdef' })
    await answer.findAll('.choices button')[1]!.trigger('click')
    expect(answer.emitted('give')).toEqual([[{ by: 'choice', choice: 1 }]])
  })

  it('stays on the device until it is sent, whatever happens to the page', async () => {
    const first = stand(StudentAnswer, { question: question('true_or_false'), lesson: 'abcdef' })
    await first.findAll('.choices button')[0]!.trigger('click')
    await first.find('textarea').setValue('It has four right angles.')
    await flushPromises()
    first.unmount()
    const again = stand(StudentAnswer, { question: question('true_or_false'), lesson: 'abcdef' })
    await again.find('form').trigger('submit')
    expect(again.emitted('give')).toEqual([[{ by: 'judged', is_true: true, why: 'It has four right angles.' }]])
    expect(localStorage).toHaveLength(0)
  })
})
