import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { shownTime, useClock } from '@/wall/clock'
import { useInk, type Stroke } from '@/wall/ink'
import { useWallKeys } from '@/wall/keys'
import { useZoom } from '@/wall/zoom'
import { lesson, slide } from './made'

let scope: EffectScope
const within = <T>(run: () => T): T => scope.run(run)!
beforeEach(() => {
  scope = effectScope()
  sessionStorage.clear()
  localStorage.clear()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('a time on the wall', () => {
  it.each([
    [0, '0:00'],
    [12 + 5 / 60, '12:05'],
    [-1.5, '−1:30'],
    [-0.001, '0:00'],
    [90, '90:00'],
    [59.999, '60:00'],
  ])('%d minutes are %s', (minutes, expected) => {
    expect(shownTime(minutes)).toBe(expected)
  })
})

describe('the clock', () => {
  const planned = lesson([slide(1, [], { minutes: 5, phase: 'starter' }), slide(2, [], { minutes: 10 }), slide(3, [], { minutes: 8 })])

  it('counts from the first slide, and goes on after a reload', () => {
    vi.useFakeTimers({ now: 1_000_000_000 })
    const first = within(() => useClock(7, ref(planned), ref(0)))
    vi.advanceTimersByTime(120_000)
    expect(first.elapsed.value).toBe(2)
    const reloaded = within(() => useClock(7, ref(planned), ref(0)))
    expect(reloaded.elapsed.value).toBe(2)
    expect(within(() => useClock(8, ref(planned), ref(0))).elapsed.value).toBe(0)
  })

  it('knows when a slide is planned, and how long its phase has left', () => {
    vi.useFakeTimers({ now: 1_000_000_000 })
    const clock = within(() => useClock(7, ref(planned), ref(1)))
    expect(clock.planned.value).toEqual({ from: 5, to: 15 })
    expect(clock.left.value).toBe(23)
    vi.advanceTimersByTime(24 * 60_000)
    expect(clock.left.value).toBe(-1)
    clock.restart()
    expect(clock.left.value).toBe(23)
  })
})

describe('ink', () => {
  const stroke = (x: number): Stroke => ({ tool: 'pen', points: [[x, x]] })

  it('belongs to its slide', () => {
    const at = ref<number | undefined>(1)
    const ink = within(() => useInk(3, () => at.value))
    ink.add(stroke(1))
    at.value = 2
    expect(ink.strokes.value).toEqual([])
    ink.add(stroke(2))
    ink.add(stroke(3))
    ink.undo()
    expect(ink.strokes.value).toEqual([stroke(2)])
    ink.wipe()
    at.value = 1
    expect(ink.strokes.value).toEqual([stroke(1)])
    expect(ink.isDrawn.value).toBe(true)
  })

  it('stays only when it is kept', () => {
    const first = within(() => useInk(3, () => 1))
    first.add(stroke(1))
    expect(within(() => useInk(3, () => 1)).strokes.value).toEqual([])
    first.keep()
    expect(within(() => useInk(3, () => 1)).strokes.value).toEqual([stroke(1)])
    first.drop()
    expect(within(() => useInk(3, () => 1)).isDrawn.value).toBe(false)
  })

  it('the pointer is put down with the slide, a pen is not', async () => {
    const at = ref(1)
    const ink = within(() => useInk(3, () => at.value))
    for (const [tool, then] of [['pointer', 'none'], ['pen', 'pen']] as const) {
      ink.tool.value = tool
      at.value += 1
      await nextTick()
      expect(ink.tool.value).toBe(then)
    }
  })

  it('what was kept and cannot be read is none', () => {
    localStorage.setItem('honey-ladder.ink.3', '{"1":')
    expect(within(() => useInk(3, () => 1)).strokes.value).toEqual([])
  })
})

describe('zoom', () => {
  it('grows about the place below the pointer, up to five times', () => {
    const zoom = useZoom()
    zoom.by(2, [100, 0])
    expect(zoom.style.value).toEqual({ transform: 'translate(-100px, 0px) scale(2)' })
    zoom.by(100)
    expect(zoom.style.value.transform).toContain('scale(5)')
  })

  it('never shrinks below the wall', () => {
    const zoom = useZoom()
    zoom.by(3, [50, 50])
    zoom.by(0.01)
    expect(zoom.style.value).toEqual({})
  })

  it('dragged, it was no click', () => {
    const zoom = useZoom()
    const at = (clientX: number, clientY: number) => ({ clientX, clientY }) as PointerEvent
    zoom.grab(at(0, 0))
    zoom.drag(at(50, 0))
    expect(zoom.moved.value).toBe(false)
    zoom.by(2)
    zoom.grab(at(0, 0))
    zoom.drag(at(50, 0))
    zoom.drop()
    zoom.drag(at(90, 0))
    expect(zoom.moved.value).toBe(true)
    expect(zoom.style.value.transform).toContain('translate(50px, 0px)')
  })
})

describe('keys of the wall', () => {
  function keys(isElsewhere = () => false) {
    const [letter, arrow, next] = [vi.fn(), vi.fn(), vi.fn()]
    within(() => useWallKeys({ b: letter, ArrowLeft: arrow }, next, isElsewhere))
    return { letter, arrow, next }
  }
  const press = (key: string, more: KeyboardEventInit = {}, from: EventTarget = window): boolean => !from.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }))

  it('a letter counts large or small, and only alone', () => {
    const pressed = keys()
    expect(press('B')).toBe(true)
    press('b')
    press('b', { ctrlKey: true })
    press('b', { altKey: true })
    expect(pressed.letter).toHaveBeenCalledTimes(2)
  })

  it.each([' ', 'Enter'])('%j goes on', (key) => {
    const pressed = keys()
    press(key)
    expect(pressed.next).toHaveBeenCalledOnce()
  })

  it('a key without a meaning is left alone', () => {
    keys()
    expect(press('q')).toBe(false)
  })

  it('a button that has the focus is pressed, and nothing else', () => {
    const pressed = keys()
    const button = document.body.appendChild(document.createElement('button'))
    press('Enter', {}, button)
    expect(pressed.next).not.toHaveBeenCalled()
    press('b', {}, button)
    expect(pressed.letter).toHaveBeenCalledOnce()
    button.remove()
  })

  it('the spare board has its keys to itself', () => {
    const pressed = keys()
    const board = document.body.appendChild(document.createElement('div'))
    board.className = 'spare'
    press('b', {}, board)
    press(' ', {}, board)
    expect([pressed.letter, pressed.next].map((deed) => deed.mock.calls.length)).toEqual([0, 0])
    board.remove()
  })

  it('so has whatever lies over the wall', () => {
    const pressed = keys(() => true)
    press('b')
    expect(pressed.letter).not.toHaveBeenCalled()
  })
})
