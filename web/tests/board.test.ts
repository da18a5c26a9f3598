import { describe, expect, it } from 'vitest'
import type { ExampleLine, Figure } from '@/api/client'
import { boardOf } from '@/example/board'
import { example, line, stepwise } from './made'

const working = () => [line('x+3=7'), line('x=7-3'), line('x=4')]

describe('a worked example on the board', () => {
  it.each([0, 1, 2, 3])('shows %i lines after as many steps', (shown) => {
    const board = boardOf(example(working()), shown, stepwise(3))
    expect(board.visible).toBe(shown)
    expect(board.rows).toHaveLength(3)
  })

  it('shows everything where nothing says how it is revealed', () => {
    const board = boardOf(example(working()), 0)
    expect(board.visible).toBe(3)
    expect(board.rows.map((row) => row.latex)).toEqual(['x+3=7', 'x=7-3', 'x=4'])
  })

  it('lines done in one go give their reasons to the next that stands', () => {
    const folded = [line('x+3=7'), line('x=7-3', { folded: true }), line('x=4')]
    const board = boardOf(example(folded), 9, stepwise(3))
    expect(board.rows.map((row) => row.reason)).toEqual(['for x+3=7', 'for x=7-3 · for x=4'])
  })

  it('a reason that is not there leaves no mark between the others', () => {
    const folded = [line('a', { folded: true, reason: '' }), line('b')]
    expect(boardOf(example(folded), 9).rows[0]?.reason).toBe('for b')
  })

  it('tells the slip only in the step that belongs to it', () => {
    const slipped = example(working(), { slip: 1 } as object)
    expect([2, 3, 4].map((shown) => boardOf(slipped, shown, stepwise(3, 4)).told)).toEqual([false, false, true])
    expect(boardOf(example(working()), 9, stepwise(3)).told).toBe(false)
  })
})

describe('a line that is asked for', () => {
  const asked = (more: Partial<ExampleLine['asked'] & object> = {}) =>
    example([line('x+3=7'), line('x=4', { asked: { latex: 'x=\\boxed{?}', speech: 'x is what?', ...more } as ExampleLine['asked'] })])
  const reveal = () => ({ ...stepwise(2), lines: [{ appears: 0, filled: 0 }, { appears: 1, filled: 2 }] })

  it('stands with its gap until it is filled', () => {
    const [before, after] = [1, 2].map((shown) => boardOf(asked(), shown, reveal()).rows[1]!)
    expect(before?.latex).toBe('x=\\boxed{?}')
    expect(before?.speech).toBe('x is what?')
    expect(after?.latex).toBe('x=4')
    expect(after?.speech).toBe('says x=4')
  })

  it('keeps its reason to itself where the reason is asked', () => {
    const [before, after] = [1, 2].map((shown) => boardOf(asked({ reason: true } as object), shown, reveal()).rows[1]!)
    expect(before?.reason).toContain('phantom')
    expect(after?.reason).toBe('for x=4')
  })

  it('is not told by its picture before', () => {
    const grown = { kind: 'bar', parts: [], total: '7' } as unknown as Figure
    const told = { kind: 'bar', parts: [{ at: 1, label: '4' }], total: '7' } as unknown as Figure
    const pictured = example([line('x+3=7', { figure: grown }), line('x=4', { figure: told, asked: { latex: '?', speech: '?' } as ExampleLine['asked'] })])
    expect(boardOf(pictured, 1, reveal()).figure).toBe(grown)
    expect(boardOf(pictured, 2, reveal()).figure).toBe(told)
  })
})
