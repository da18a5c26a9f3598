import { describe, expect, it } from 'vitest'
import schema from '../openapi.json'
import { resized } from '@/blocks/table/resize'
import { emptyAsks } from '@/blocks/question/asks'
import { blockKinds, offeredKinds } from '@/blocks/registry'

/** The kinds that the API knows. */
const described = schema.components.schemas.Block.oneOf.map((one) => JSON.stringify(one).match(/"kind":\{[^}]*"enum":\["([a-z_]+)"\]/)?.[1])

describe('kinds of blocks', () => {
  it('are those of the API', () => {
    expect(Object.keys(blockKinds).sort()).toEqual(described.sort())
  })

  it.each(Object.values(blockKinds))('$kind has a name, a face and an editor', (entry) => {
    expect(entry.name).toMatch(/^[A-Z]/)
    expect(entry.face).toBeTypeOf('object')
    expect(entry.editor).toBeTypeOf('object')
  })

  it.each(offeredKinds)('$kind, where it is offered, begins empty or is chosen', (entry) => {
    const empty = entry.empty?.()
    if (empty) expect(empty.kind).toBe(entry.kind)
    else expect(entry.chooser ?? entry.kind).toBeTruthy()
  })

  it('have each a place of their own in the menu', () => {
    const places = offeredKinds.map((entry) => entry.offered)
    expect(new Set(places).size).toBe(places.length)
  })

  it('an empty block is a new one each time', () => {
    for (const { empty } of offeredKinds) {
      if (empty) expect(empty()).not.toBe(empty())
    }
  })
})

describe('a table with another size', () => {
  const table = { heads: ['x', 'y'], rows: [['1', '2'], ['3', '4']] }
  it.each([
    [2, 2, table],
    [3, 2, { heads: ['x', 'y'], rows: [['1', '2'], ['3', '4'], ['', '']] }],
    [1, 3, { heads: ['x', 'y', ''], rows: [['1', '2', '']] }],
    [2, 1, { heads: ['x'], rows: [['1'], ['3']] }],
    [0, 2, { heads: ['x', 'y'], rows: [] }],
  ])('of %i rows and %i columns', (rows, columns, expected) => {
    expect(resized(table, rows, columns)).toEqual(expected)
  })

  it('leaves the table that it was made of as it is', () => {
    const before = structuredClone(table)
    resized(table, 5, 5)
    expect(table).toEqual(before)
  })
})

describe('a question to be answered', () => {
  it.each(['open', 'choice', 'true_or_false'] as const)('%s', (by) => {
    expect(emptyAsks(by).by).toBe(by)
  })

  it('by choice has one right answer to begin with', () => {
    const asks = emptyAsks('choice')
    expect(asks.by === 'choice' && asks.choices.filter((choice) => choice.right)).toHaveLength(1)
  })

  it('shares nothing with the next one', () => {
    const [one, other] = [emptyAsks('choice'), emptyAsks('choice')]
    if (one.by === 'choice') one.choices[1]!.text = 'seven'
    expect(other.by === 'choice' && other.choices[1]!.text).toBe('')
  })
})
