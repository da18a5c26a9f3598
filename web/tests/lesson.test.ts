import { effectScope, nextTick, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Lesson, LessonView } from '@/api/client'
import { useLesson } from '@/composables/useLesson'
import { asked, bad, good, later } from './api'
import { lesson, slide, text } from './made'

vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: (await import('./api')).asked }))

const view = (of: Lesson, revision: number): LessonView =>
  structuredClone({ id: 1, revision, lesson: of, checked: of.slides.map(() => ({ lines: 1, hold: 1 })), pictures: [], minutes_over: 0 }) as unknown as LessonView
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

let scope: EffectScope
/** Each test has a lesson of its own: a sitting lasts as long as the page. */
let id = 100
beforeEach(() => {
  vi.useFakeTimers()
  id += 1
  for (const way of Object.values(asked)) way.mockReset()
  asked.GET.mockImplementation(() => good(view(lesson([slide(1, [text('a')])]), 3)))
  asked.PUT.mockImplementation((_, { body }) => good(view(plain(body.lesson), body.based_on + 1)))
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

async function open() {
  scope = effectScope()
  const one = scope.run(() => useLesson(id))!
  await one.load()
  await nextTick()
  return one
}
const titles = () => asked.PUT.mock.calls.map(([, { body }]) => [body.based_on, body.lesson.title])

describe('a lesson that is edited', () => {
  it('is saved as it was loaded only once it differs', async () => {
    const one = await open()
    await vi.runAllTimersAsync()
    expect(asked.PUT).not.toHaveBeenCalled()
    one.lesson.value!.title = 'Percent'
    await nextTick()
    expect(one.state.value).toBe('unsaved')
    await vi.runAllTimersAsync()
    expect(titles()).toEqual([[3, 'Percent']])
    expect([one.state.value, one.revision.value]).toEqual(['saved', 4])
  })

  it('changed and changed back, it is not sent', async () => {
    const one = await open()
    one.lesson.value!.title = 'Percent'
    await nextTick()
    one.lesson.value!.title = 'Ratio'
    await nextTick()
    await vi.runAllTimersAsync()
    expect([titles(), one.state.value]).toEqual([[], 'saved'])
  })

  it('keeps what was typed while it was saved', async () => {
    const answer = later()
    asked.PUT.mockImplementationOnce(() => answer.answer)
    const one = await open()
    one.lesson.value!.title = 'Per'
    await nextTick()
    await vi.advanceTimersByTimeAsync(700)
    one.lesson.value!.title = 'Percent'
    await nextTick()
    answer.give(view(lesson([slide(1, [text('a')])], { title: 'Per' }), 4))
    await vi.advanceTimersByTimeAsync(0)
    expect(one.lesson.value?.title).toBe('Percent')
    await vi.runAllTimersAsync()
    expect(titles()).toEqual([[3, 'Per'], [4, 'Percent']])
  })

  it('takes what the server worked out anew, as no step of its own', async () => {
    asked.PUT.mockImplementation((_, { body }) => good(view({ ...plain(body.lesson), topic: 'worked out' } as Lesson, 4)))
    const one = await open()
    one.lesson.value!.title = 'Percent'
    await nextTick()
    await vi.runAllTimersAsync()
    expect(one.lesson.value?.topic).toBe('worked out')
    one.undo()
    expect(one.lesson.value).toMatchObject({ title: 'Ratio', topic: 'Ratio' })
    one.redo()
    expect(one.lesson.value).toMatchObject({ title: 'Percent', topic: 'worked out' })
  })

  it('what was proved goes along when its slide moves', async () => {
    asked.GET.mockImplementation(() => good({ ...view(lesson([slide(1, []), slide(2, [])]), 3), checked: [{ lines: 5 }, { lines: 7 }] }))
    const one = await open()
    one.lesson.value!.slides.reverse()
    expect(one.lesson.value!.slides.map((each) => one.checked.value.get(each.id))).toEqual([{ lines: 7 }, { lines: 5 }])
  })
})

describe('undo', () => {
  it('goes back to where the sitting began, and each step is saved', async () => {
    const one = await open()
    for (const title of ['one', 'two']) {
      one.lesson.value!.title = title
      await nextTick()
      await vi.runAllTimersAsync()
    }
    one.undo()
    one.undo()
    one.undo()
    expect([one.lesson.value?.title, one.canUndo.value]).toEqual(['Ratio', false])
    await nextTick()
    await vi.runAllTimersAsync()
    expect(titles().at(-1)).toEqual([5, 'Ratio'])
  })

  it('keeps what was not saved yet as a step', async () => {
    const one = await open()
    one.lesson.value!.title = 'typed'
    one.undo()
    expect(one.lesson.value?.title).toBe('Ratio')
    one.redo()
    expect(one.lesson.value?.title).toBe('typed')
  })

  it('lasts as long as the page, on whichever screen', async () => {
    const one = await open()
    one.lesson.value!.title = 'Percent'
    await nextTick()
    await vi.runAllTimersAsync()
    scope.stop()
    asked.GET.mockImplementation(() => good(view(lesson([slide(1, [text('a')])], { title: 'Percent' }), 4)))
    const again = await open()
    expect(again.canUndo.value).toBe(true)
    again.undo()
    expect(again.lesson.value?.title).toBe('Ratio')
  })
})

describe('what goes wrong', () => {
  it('a lesson that is not there says so', async () => {
    asked.GET.mockImplementation(() => bad('not_found'))
    const one = await open()
    expect([one.failure.value?.kind, one.lesson.value]).toEqual(['not_found', undefined])
  })

  it('what is refused stays on the screen, and waits for a change', async () => {
    asked.PUT.mockImplementation(() => bad('bad'))
    const one = await open()
    one.lesson.value!.title = ''
    await nextTick()
    await vi.runAllTimersAsync()
    expect([one.state.value, one.lesson.value?.title, asked.PUT.mock.calls.length]).toEqual(['refused', '', 1])
  })

  it('somebody else saved: nothing is overwritten until it is chosen', async () => {
    asked.PUT.mockImplementationOnce(() => bad('stale', { revision: 8 }))
    const one = await open()
    one.lesson.value!.title = 'mine'
    await nextTick()
    await vi.runAllTimersAsync()
    expect([one.stale.value, one.lesson.value?.title]).toEqual([8, 'mine'])
    await one.keepMine()
    expect(titles().at(-1)).toEqual([8, 'mine'])
    expect(one.state.value).toBe('saved')
  })
})
