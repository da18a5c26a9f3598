import { afterEach, describe, expect, it, vi } from 'vitest'
import { dropDraft, findDraft, keepDraft } from '@/composables/useDraft'
import { comesAt } from '@/slide/comes'
import { sceneOf } from '@/slide/drawn'
import type { Drawing, Figure } from '@/api/client'
import { slide, text } from './made'

afterEach(() => {
  vi.restoreAllMocks()
  localStorage.clear()
})

describe('a draft', () => {
  it('is found on this device until it is dropped', () => {
    keepDraft('desk/1', { lines: ['n = 4'] })
    expect(findDraft('desk/1')).toEqual({ lines: ['n = 4'] })
    expect(findDraft('desk/2')).toBeUndefined()
    dropDraft('desk/1')
    expect(findDraft('desk/1')).toBeUndefined()
  })

  it('that cannot be read is none', () => {
    localStorage.setItem('honey-ladder/desk/1', '{"lines":')
    expect(findDraft('desk/1')).toBeUndefined()
  })

  it('a device without room keeps nothing, and nothing breaks', () => {
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    expect(() => keepDraft('desk/1', 'x')).not.toThrow()
  })
})

describe('what a slide shows', () => {
  it.each([
    [undefined, 0, 0],
    [[0, 2], 1, 2],
    [[1], 1, 0],
  ])('%j: block %i comes at %i', (comes, at, expected) => {
    expect(comesAt(slide(1, [text('a'), text('b')], comes ? { comes } : {}), at)).toBe(expected)
  })

  it('finds the scene of a figure by what the figure says, wherever it stands', () => {
    const bar = (total: string) => ({ kind: 'bar', parts: [], total }) as unknown as Figure
    const pictures = [{ figure: bar('5'), scene: 'five' }, { figure: bar('7'), scene: 'seven' }] as unknown as Drawing[]
    expect(sceneOf(bar('7'), pictures)).toBe('seven')
    expect(sceneOf(bar('9'), pictures)).toBeUndefined()
    expect(sceneOf(undefined, pictures)).toBeUndefined()
  })
})
