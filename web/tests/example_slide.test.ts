import { describe, expect, it } from 'vitest'
import type { Block, PhaseKind } from '@/api/client'
import { slideOf } from '@/example/slide'
import { example, lesson, line, slide, text } from './made'

const worked = (more: object = {}, asked = false): Block =>
  ({ kind: 'worked_example', example: example([line('x=4', asked ? ({ asked: { latex: '?' } } as object) : {})], more as object) }) as Block
const phases = (...kinds: PhaseKind[]) => lesson(kinds.map((phase, at) => slide(at + 1, [], { phase })))

describe('a worked example gets a slide of its own', () => {
  it('behind the last one of its phase', () => {
    const there = phases('starter', 'teach', 'teach', 'review')
    const id = slideOf(there, worked())
    expect(there.slides.map((one) => one.id)).toEqual([1, 2, 3, id, 4])
    expect(there.slides[3]?.phase).toBe('teach')
  })

  it('at the end where its phase is not there', () => {
    const there = phases('starter')
    slideOf(there, worked())
    expect(there.slides.map((one) => one.phase)).toEqual(['starter', 'teach'])
  })

  it.each([
    ['shown', worked(), 'teach'],
    ['with a slip', worked({ slip: 1 }), 'guided_practice'],
    ['with a line asked for', worked({}, true), 'guided_practice'],
    ['of another kind', text('Think'), 'teach'],
  ])('%s, it belongs where it is used', (_, block, phase) => {
    const there = phases('teach', 'guided_practice')
    const id = slideOf(there, block)
    expect(there.slides.find((one) => one.id === id)).toMatchObject({ phase, minutes: 5, blocks: [block] })
  })

  it('by a title that says what it is for', () => {
    const there = phases('teach')
    const ids = [worked(), worked({ slip: 1 }), worked({}, true)].map((block) => slideOf(there, block))
    const titles = ids.map((id) => there.slides.find((one) => one.id === id)?.title)
    expect(new Set(titles).size).toBe(3)
  })
})
