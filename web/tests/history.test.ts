import { describe, expect, it } from 'vitest'
import { useHistory } from '@/composables/useHistory'

function sitting(...moments: string[]) {
  const history = useHistory<string>()
  history.begin('start')
  moments.forEach((moment) => history.put(moment))
  return history
}

describe('a sitting', () => {
  it('goes back to where it began, and no further', () => {
    const history = sitting('a', 'b')
    expect([history.undo(), history.undo(), history.undo()]).toEqual(['a', 'start', undefined])
    expect(history.now.value).toBe('start')
    expect(history.canUndo.value).toBe(false)
  })

  it('goes forward again, to the last moment', () => {
    const history = sitting('a', 'b')
    history.undo()
    history.undo()
    expect([history.redo(), history.redo(), history.redo()]).toEqual(['a', 'b', undefined])
    expect(history.canRedo.value).toBe(false)
  })

  it('a new moment drops what was undone', () => {
    const history = sitting('a', 'b')
    history.undo()
    history.put('c')
    expect(history.redo()).toBeUndefined()
    expect(history.undo()).toBe('a')
  })

  it('a moment told more exactly is no step', () => {
    const history = sitting('a')
    history.amend('a, proved')
    expect(history.now.value).toBe('a, proved')
    expect(history.undo()).toBe('start')
    expect(history.redo()).toBe('a, proved')
  })

  it('begins anew', () => {
    const history = sitting('a', 'b')
    history.undo()
    history.begin('other')
    expect([history.canUndo.value, history.canRedo.value, history.now.value]).toEqual([false, false, 'other'])
  })

  it('has nothing to undo before it begins', () => {
    const history = useHistory<string>()
    expect(history.undo()).toBeUndefined()
    history.put('first')
    expect(history.canUndo.value).toBe(false)
  })

  it('keeps a thousand steps, and lets go of the oldest', () => {
    const history = sitting(...Array.from({ length: 1005 }, (_, n) => `${n}`))
    let steps = 0
    while (history.undo() !== undefined) steps += 1
    expect(steps).toBe(1000)
    expect(history.now.value).toBe('4')
  })
})
