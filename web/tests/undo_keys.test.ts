import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useUndoKeys } from '@/composables/useUndoKeys'

let scope: EffectScope
const [undo, redo] = [vi.fn(), vi.fn()]
beforeEach(() => {
  undo.mockReset()
  redo.mockReset()
  scope = effectScope()
  scope.run(() => useUndoKeys(undo, redo))
})
afterEach(() => {
  scope.stop()
  document.body.innerHTML = ''
})

function press(key: string, more: KeyboardEventInit = {}, target: EventTarget = document.body): KeyboardEvent {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more })
  target.dispatchEvent(event)
  return event
}
const calls = () => [undo.mock.calls.length, redo.mock.calls.length]

describe('undo by keyboard', () => {
  it.each([
    ['z', { ctrlKey: true }, [1, 0]],
    ['z', { metaKey: true }, [1, 0]],
    ['Z', { ctrlKey: true, shiftKey: true }, [0, 1]],
    ['y', { ctrlKey: true }, [0, 1]],
    ['z', {}, [0, 0]],
    ['x', { ctrlKey: true }, [0, 0]],
  ])('%s with %o', (key, more, expected) => {
    const event = press(key, more)
    expect(calls()).toEqual(expected)
    // What is ours is not the browser's too.
    expect(event.defaultPrevented).toBe(expected.some((count) => count > 0))
  })

  it.each(['<input>', '<textarea></textarea>', '<math-field></math-field>', '<p contenteditable="true"></p>'])('is left to %s', (field) => {
    document.body.innerHTML = field
    press('z', { ctrlKey: true }, document.body.firstElementChild!)
    expect(calls()).toEqual([0, 0])
  })

  it('ends with its screen', () => {
    scope.stop()
    press('z', { ctrlKey: true })
    expect(calls()).toEqual([0, 0])
  })
})
