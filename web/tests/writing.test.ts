import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { DeskLine, Judgement } from '@/api/client'
import { findDraft, keepDraft } from '@/composables/useDraft'
import { useRungWriting } from '@/composables/useRungWriting'
import { asked, bad, good, later } from './api'

vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))

const line = (text: string): DeskLine => ({ text, latex: true })
const judgement = (words: string[], more: Partial<Judgement> = {}): Judgement =>
  ({ lines: words.map((word) => ({ verdict: { word } })), answered: false, finished: false, next: [], ...more }) as unknown as Judgement

let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
  asked.PUT.mockReset()
  asked.GET.mockReset()
})
afterEach(() => {
  asked.PUT.mockImplementation(() => good({ revision: 99, judgement: judgement([]) }))
  scope.stop()
  vi.useRealTimers()
})

function desk(start: Partial<Parameters<typeof useRungWriting>[2]> = {}) {
  scope = effectScope()
  return scope.run(() => useRungWriting('abc', 2, { lines: [], revision: 0, ...start }))!
}
const sent = (at = -1) => asked.PUT.mock.calls.at(at)?.[1].body

describe('a rung that is written on', () => {
  it('begins with an empty line, of mathematics or of words', () => {
    expect(desk().lines).toMatchObject([{ text: '', latex: true }])
    expect(desk({ words: true }).lines).toMatchObject([{ text: '', latex: false }])
  })

  it('is judged after a pause: what stands there, without empty lines', async () => {
    asked.PUT.mockImplementation(() => good({ revision: 1, judgement: judgement(['holds']) }))
    const one = desk()
    one.write(one.lines[0]!, 'x=4', true)
    one.addAfter(0)
    await vi.advanceTimersByTimeAsync(549)
    expect(asked.PUT).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(1)
    expect(sent()).toEqual({ based_on: 0, lines: [line('x=4')] })
    expect(one.verdict(one.lines[0]!)?.verdict.word).toBe('holds')
    expect(one.state.value).toBe('saved')
  })

  it('says nothing of a line while it is being changed', async () => {
    asked.PUT.mockImplementation(() => good({ revision: 1, judgement: judgement(['holds']) }))
    const one = desk()
    one.write(one.lines[0]!, 'x=4', true)
    await vi.runAllTimersAsync()
    one.write(one.lines[0]!, 'x=', true)
    expect(one.verdict(one.lines[0]!)).toBeUndefined()
    one.write(one.lines[0]!, 'x=4', true)
    expect(one.verdict(one.lines[0]!)?.verdict.word).toBe('holds')
  })

  it('a verdict stays with its line when another comes between', async () => {
    asked.PUT.mockImplementation(() => good({ revision: 1, judgement: judgement(['given', 'breaks']) }))
    const one = desk({ lines: [line('a'), line('b')] })
    one.changed()
    await vi.runAllTimersAsync()
    one.addAfter(0)
    expect(one.lines.map((each) => one.verdict(each)?.verdict.word)).toEqual(['given', undefined, 'breaks'])
  })

  it('is finished as soon as it is judged so, and no longer once it is changed', async () => {
    asked.PUT.mockImplementation(() => good({ revision: 1, judgement: judgement(['holds'], { finished: true, answered: true, next: ['Look again.'] }) }))
    const one = desk({ lines: [line('x=4')] })
    one.changed()
    await vi.runAllTimersAsync()
    expect([one.finished.value, one.answered.value, one.next.value]).toEqual([true, true, ['Look again.']])
    one.write(one.lines[0]!, 'x=5', true)
    expect(one.finished.value).toBe(false)
  })

  it('the last line that is removed leaves an empty one', () => {
    const one = desk({ lines: [line('x')] })
    one.remove(0)
    expect(one.lines).toMatchObject([{ text: '' }])
    expect(one.begun.value).toBe(false)
  })
})

describe('nothing that is typed is lost', () => {
  it('it is kept on this device until the server has it', async () => {
    const answer = later()
    asked.PUT.mockImplementation(() => answer.answer)
    const one = desk()
    one.write(one.lines[0]!, 'x=4', true)
    expect(findDraft('abc/2')).toEqual({ lines: [line('x=4')], basedOn: 0 })
    await vi.advanceTimersByTimeAsync(600)
    expect(findDraft('abc/2')).toBeDefined()
    answer.give({ revision: 1, judgement: judgement(['holds']) })
    await vi.advanceTimersByTimeAsync(0)
    expect(findDraft('abc/2')).toBeUndefined()
  })

  it('what was typed while it was sent stays here, and goes next', async () => {
    const answer = later()
    asked.PUT.mockImplementationOnce(() => answer.answer).mockImplementation(() => good({ revision: 2, judgement: judgement(['holds']) }))
    const one = desk()
    one.write(one.lines[0]!, 'x=4', true)
    await vi.advanceTimersByTimeAsync(600)
    one.write(one.lines[0]!, 'x=45', true)
    answer.give({ revision: 1, judgement: judgement(['breaks']) })
    await vi.advanceTimersByTimeAsync(0)
    expect(findDraft('abc/2')).toEqual({ lines: [line('x=45')], basedOn: 1 })
    expect(one.verdict(one.lines[0]!)).toBeUndefined()
    await vi.runAllTimersAsync()
    expect(sent()).toEqual({ based_on: 1, lines: [line('x=45')] })
  })

  it('a draft of before is taken up, and sent', async () => {
    asked.PUT.mockImplementation(() => good({ revision: 4, judgement: judgement(['holds']) }))
    keepDraft('abc/2', { lines: [line('n=7')], basedOn: 3 })
    const one = desk({ lines: [line('n=')], revision: 3 })
    expect(one.lines).toMatchObject([{ text: 'n=7' }])
    await vi.runAllTimersAsync()
    expect(sent()).toEqual({ based_on: 3, lines: [line('n=7')] })
    expect(findDraft('abc/2')).toBeUndefined()
  })

  it('without a network it waits, and says so', async () => {
    asked.PUT.mockImplementationOnce(() => Promise.reject(new TypeError('no network'))).mockImplementation(() => good({ revision: 1, judgement: judgement(['holds']) }))
    const one = desk()
    one.write(one.lines[0]!, 'x=4', true)
    await vi.advanceTimersByTimeAsync(600)
    expect(one.state.value).toBe('offline')
    await vi.advanceTimersByTimeAsync(4000)
    expect(one.state.value).toBe('saved')
  })

  it('another window has written: theirs is taken only when it is asked for', async () => {
    asked.PUT.mockImplementation(() => bad('stale', { revision: 5 }))
    asked.GET.mockImplementation(() => good({ written: [{ number: 2, revision: 5, lines: [line('n=3')], judgement: judgement(['holds']) }] }))
    const one = desk()
    one.write(one.lines[0]!, 'n=4', true)
    await vi.advanceTimersByTimeAsync(600)
    expect(one.stale.value).toBe(5)
    expect(one.lines[0]?.text).toBe('n=4')
    await one.takeTheirs()
    expect(one.lines).toMatchObject([{ text: 'n=3' }])
    expect([one.stale.value, one.state.value, findDraft('abc/2')]).toEqual([undefined, 'saved', undefined])
  })
})
