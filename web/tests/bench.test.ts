import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { LadderOrder } from '@/api/client'
import { useBench } from '@/composables/useBench'
import { asked, bad, good, later } from './api'

vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))

/** A bench with so many rungs. */
const made = (rungs: number, title = '') => ({ plan: { title, order: {}, rungs: Array.from({ length: rungs }, (_, n) => n) }, rungs: Array.from({ length: rungs }, (_, n) => ({ n })) })

let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers()
  for (const way of Object.values(asked)) way.mockReset()
  asked.GET.mockImplementation(() => good({ revision: 3, ...made(2) }))
  asked.PUT.mockImplementation((_, { body }) => good({ revision: body.based_on + 1 }))
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

async function bench() {
  scope = effectScope()
  const one = scope.run(() => useBench(9))!
  await one.load()
  return one
}
const order = {} as LadderOrder

describe('a ladder on the bench', () => {
  it('stands as it was left', async () => {
    const one = await bench()
    expect(one.rungs.value).toHaveLength(2)
    expect([one.state.value, one.canUndo.value]).toEqual(['saved', false])
  })

  it('is changed by the server, and saved after a rest', async () => {
    const one = await bench()
    asked.POST.mockImplementation(() => good(made(5)))
    expect(await one.draw(order)).toBe(true)
    expect(one.rungs.value).toHaveLength(5)
    expect(one.state.value).toBe('unsaved')
    await vi.advanceTimersByTimeAsync(600)
    expect(asked.PUT.mock.calls[0]?.[1].body).toEqual({ based_on: 3, plan: made(5).plan })
    expect([one.state.value, one.revision.value]).toEqual(['saved', 4])
  })

  it('a change that is refused changes nothing, and says why', async () => {
    const one = await bench()
    asked.POST.mockImplementation(() => bad('bad'))
    expect(await one.draw(order)).toBe(false)
    expect(one.refused.value).toBe('Try another one.')
    expect([one.rungs.value.length, one.state.value, one.canUndo.value]).toEqual([2, 'saved', false])
    asked.POST.mockImplementation(() => good(made(3)))
    await one.draw(order)
    expect(one.refused.value).toBeUndefined()
  })

  it('a fault of ours is told as one', async () => {
    const one = await bench()
    asked.POST.mockImplementation(() => bad('internal'))
    await one.draw(order)
    expect([one.failure.value?.kind, one.refused.value]).toEqual(['internal', undefined])
  })

  it('of two changes that are asked for at once, the later one stands', async () => {
    const one = await bench()
    const slow = later()
    asked.POST.mockImplementationOnce(() => slow.answer).mockImplementation(() => good(made(7)))
    const first = one.draw(order)
    expect(await one.draw(order)).toBe(true)
    slow.give(made(4))
    expect(await first).toBe(false)
    expect(one.rungs.value).toHaveLength(7)
  })

  it('goes back and forth, each of it saved', async () => {
    const one = await bench()
    asked.POST.mockImplementation(() => good(made(5)))
    await one.draw(order)
    one.undo()
    expect([one.rungs.value.length, one.canUndo.value, one.canRedo.value]).toEqual([2, false, true])
    await vi.runAllTimersAsync()
    expect(asked.PUT.mock.calls.at(-1)?.[1].body.plan).toEqual(made(2).plan)
    one.redo()
    expect(one.rungs.value).toHaveLength(5)
    one.redo()
    expect(one.rungs.value).toHaveLength(5)
  })

  it('an undo wins over a change that is still on its way', async () => {
    const one = await bench()
    asked.POST.mockImplementation(() => good(made(5)))
    await one.draw(order)
    const slow = later()
    asked.POST.mockImplementation(() => slow.answer)
    const changing = one.draw(order)
    one.undo()
    slow.give(made(9))
    expect(await changing).toBe(false)
    expect(one.rungs.value).toHaveLength(2)
  })

  it('a title is saved, and is no step', async () => {
    const one = await bench()
    one.setTitle('Percent')
    one.setTitle('Percent')
    expect([one.plan.value?.title, one.canUndo.value]).toEqual(['Percent', false])
    await vi.runAllTimersAsync()
    expect(asked.PUT).toHaveBeenCalledOnce()
  })

  it('that hangs is saved no more', async () => {
    const one = await bench()
    one.setTitle('Percent')
    one.done()
    await vi.runAllTimersAsync()
    expect(asked.PUT).not.toHaveBeenCalled()
  })
})
