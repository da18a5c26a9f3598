import { effectScope, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Reply } from '@/api/client'
import { useSaved } from '@/composables/useSaved'

type Answer = Reply<{ revision: number }>
let scope: EffectScope

/** Something that is saved, and the answers that the server will give. */
function bench(answers: Answer[]) {
  const value = ref<string | undefined>('one')
  const sent: [string, number][] = []
  const kept = vi.fn()
  scope = effectScope()
  const saved = scope.run(() =>
    useSaved<string, { revision: number }>({
      restMs: 500,
      what: () => value.value,
      send: async (text, basedOn) => {
        sent.push([text, basedOn])
        return answers.shift() ?? { ok: true, value: { revision: basedOn + 1 } }
      },
      kept,
    }),
  )!
  return { value, sent, kept, ...saved }
}
const failed = (kind: 'bad' | 'internal' | 'stale', more = {}): Answer => ({ ok: false, failure: { kind, says: 'No.', ...more } }) as Answer

beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('what is changed is saved', () => {
  it('after a rest, once', async () => {
    const one = bench([])
    one.changed()
    await vi.advanceTimersByTimeAsync(400)
    one.changed()
    expect(one.state.value).toBe('unsaved')
    await vi.advanceTimersByTimeAsync(499)
    expect(one.sent).toEqual([])
    await vi.advanceTimersByTimeAsync(1)
    expect(one.sent).toEqual([['one', 0]])
    expect(one.state.value).toBe('saved')
    expect(one.revision.value).toBe(1)
  })

  it('on the revision that came back', async () => {
    const one = bench([])
    one.settled(7)
    one.changed()
    await vi.runAllTimersAsync()
    one.changed()
    await vi.runAllTimersAsync()
    expect(one.sent.map(([, basedOn]) => basedOn)).toEqual([7, 8])
  })

  it('again, where it was typed on in the meantime', async () => {
    const one = bench([])
    one.changed()
    const first = one.save()
    one.value.value = 'two'
    one.changed()
    await first
    expect(one.state.value).toBe('unsaved')
    expect(one.kept).toHaveBeenCalledWith({ revision: 1 }, 'one', true)
    await vi.runAllTimersAsync()
    expect(one.sent.map(([text]) => text)).toEqual(['one', 'two'])
    expect(one.state.value).toBe('saved')
  })

  it('not where nothing differs', async () => {
    const one = bench([])
    one.changed()
    one.value.value = undefined
    await vi.runAllTimersAsync()
    expect(one.sent).toEqual([])
    expect(one.state.value).toBe('saved')
  })
})

describe('a save that fails', () => {
  it('is sent again when the server could not be reached', async () => {
    const one = bench([{ ...failed('internal'), unreached: true } as Answer])
    one.changed()
    await vi.advanceTimersByTimeAsync(500)
    expect(one.state.value).toBe('offline')
    expect(one.failure.value?.says).toBe('No.')
    await vi.advanceTimersByTimeAsync(4000)
    expect(one.state.value).toBe('saved')
    expect(one.failure.value).toBeUndefined()
  })

  it('is sent at once when the network is back', async () => {
    const one = bench([{ ...failed('internal'), unreached: true } as Answer])
    one.changed()
    await vi.advanceTimersByTimeAsync(500)
    dispatchEvent(new Event('online'))
    await vi.advanceTimersByTimeAsync(0)
    expect(one.state.value).toBe('saved')
  })

  it('waits for a change when it was refused', async () => {
    const one = bench([failed('bad')])
    one.changed()
    await vi.advanceTimersByTimeAsync(60_000)
    expect(one.state.value).toBe('refused')
    expect(one.sent).toHaveLength(1)
    one.changed()
    await vi.runAllTimersAsync()
    expect(one.state.value).toBe('saved')
  })
})

describe('a save on what is no longer there', () => {
  it('waits until one of the two is chosen', async () => {
    const one = bench([failed('stale', { revision: 5 })])
    one.changed()
    await vi.advanceTimersByTimeAsync(60_000)
    expect(one.stale.value).toBe(5)
    expect(one.state.value).toBe('unsaved')
    one.changed()
    await vi.advanceTimersByTimeAsync(60_000)
    expect(one.sent).toHaveLength(1)
  })

  it('goes on top when ours is kept', async () => {
    const one = bench([failed('stale', { revision: 5 })])
    one.changed()
    await vi.advanceTimersByTimeAsync(500)
    await one.keepMine()
    expect(one.sent.at(-1)).toEqual(['one', 5])
    expect(one.revision.value).toBe(6)
    expect(one.stale.value).toBeUndefined()
  })

  it('is forgotten when theirs is taken', async () => {
    const one = bench([failed('stale', { revision: 5 })])
    one.changed()
    await vi.advanceTimersByTimeAsync(500)
    one.settled(5)
    expect([one.state.value, one.stale.value, one.revision.value]).toEqual(['saved', undefined, 5])
  })
})

describe('leaving', () => {
  const leave = (): boolean => !dispatchEvent(new Event('beforeunload', { cancelable: true }))

  it('is asked about only while something is not saved', async () => {
    const one = bench([])
    expect(leave()).toBe(false)
    one.changed()
    expect(leave()).toBe(true)
    await vi.runAllTimersAsync()
    expect(leave()).toBe(false)
  })

  it('the screen saves what waits', () => {
    const one = bench([])
    one.changed()
    scope.stop()
    expect(one.sent).toEqual([['one', 0]])
  })
})
