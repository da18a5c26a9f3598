import { ref } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import type { Lesson, PhaseKind } from '@/api/client'
import { useSlides } from '@/composables/useSlides'
import { lesson, slide, text } from './made'

const kinds: PhaseKind[] = ['starter', 'teach', 'guided_practice', 'independent_practice', 'review']

/** A lesson with a slide in each of these phases, six minutes each. */
function deck(...phases: PhaseKind[]) {
  const slides = phases.map((phase, at) => slide(at + 1, [text(`${at + 1}`)], { phase }))
  const here = ref<Lesson | undefined>(lesson(slides, { phases: kinds.map((kind) => ({ kind, minutes: 9 })) } as Partial<Lesson>))
  const open = vi.fn(async () => {})
  const opened = ref<number>()
  return { here, open, opened, ...useSlides(here, open, opened), order: () => here.value!.slides.map((one) => `${one.id} ${one.phase}`) }
}

describe('the clock beside the slides', () => {
  it('runs on from slide to slide, and tells where a phase begins', () => {
    const { rungs } = deck('starter', 'teach', 'teach')
    expect(rungs.value.map(({ from, to, first }) => [from, to, first])).toEqual([[0, 6, true], [6, 12, true], [12, 18, false]])
  })

  it('follows the minutes of a slide', () => {
    const { here, rungs } = deck('starter', 'teach')
    here.value!.slides[0]!.minutes = 10
    expect(rungs.value[1]?.from).toBe(10)
  })
})

describe('a phase without a slide', () => {
  it.each([
    [['starter', 'review'], [['teach', 1], ['guided_practice', 1], ['independent_practice', 1]]],
    [['teach'], [['starter', 0], ['guided_practice', 1], ['independent_practice', 1], ['review', 1]]],
    [kinds, []],
  ] as [PhaseKind[], [PhaseKind, number][]][])('of %j stands where its slides would', (there, expected) => {
    const { emptyPhases } = deck(...there)
    expect(emptyPhases.value.map(({ kind, before }) => [kind, before])).toEqual(expected)
  })

  it('gets its first slide there', () => {
    const one = deck('starter', 'review')
    one.addIn('guided_practice')
    expect(one.order()).toEqual(['1 starter', '3 guided_practice', '2 review'])
  })
})

describe('a new slide', () => {
  it('comes last, in the phase that the lesson ends with, and is opened to be named', () => {
    const one = deck('starter', 'teach')
    one.addLast()
    expect(one.order()).toEqual(['1 starter', '2 teach', '3 teach'])
    expect(one.newSlide.value).toBe(3)
    expect(one.open).toHaveBeenCalledExactlyOnceWith(3)
  })

  it('of an empty lesson is the first', () => {
    const one = deck()
    one.addLast()
    expect(one.order()).toEqual(['1 teach'])
  })

  it('of a phase comes behind the others of it', () => {
    const one = deck('starter', 'teach', 'teach', 'review')
    one.addIn('teach')
    expect(one.order()).toEqual(['1 starter', '2 teach', '3 teach', '5 teach', '4 review'])
  })

  it('below another has its phase', () => {
    const one = deck('starter', 'teach')
    one.act(one.here.value!.slides[0]!, 0, 'below')
    expect(one.order()).toEqual(['1 starter', '3 starter', '2 teach'])
  })
})

describe('a slide that is moved', () => {
  it('belongs to the phase that it stands in now', () => {
    const one = deck('starter', 'teach', 'teach')
    one.move(0, 2)
    expect(one.order()).toEqual(['2 teach', '3 teach', '1 teach'])
  })

  it('keeps its phase at the edge of it', () => {
    const one = deck('starter', 'starter', 'teach')
    one.move(0, 1)
    expect(one.order()).toEqual(['2 starter', '1 starter', '3 teach'])
  })

  it.each([[0, -1], [2, 1], [7, 1]])('stays where it is at an end: %i by %i', (index, by) => {
    const one = deck('starter', 'teach', 'review')
    const before = one.order()
    one.move(index, by)
    expect(one.order()).toEqual(before)
  })
})

describe('what else is done with a slide', () => {
  it('a copy stands behind it and shares nothing with it', () => {
    const one = deck('teach', 'review')
    const first = one.here.value!.slides[0]!
    one.act(first, 0, 'twice')
    expect(one.order()).toEqual(['1 teach', '3 teach', '2 review'])
    const copied = one.here.value!.slides[1]!
    if (copied.blocks[0]?.kind === 'text') copied.blocks[0].text = 'changed'
    expect(first.blocks).toEqual([text('1')])
  })

  it('it is taken out', () => {
    const one = deck('starter', 'teach')
    one.act(one.here.value!.slides[0]!, 0, 'remove')
    expect(one.order()).toEqual(['2 teach'])
  })

  it('it is joined with the next', () => {
    const one = deck('starter', 'teach', 'review')
    one.act(one.here.value!.slides[0]!, 0, 'join')
    expect(one.order()).toEqual(['1 starter', '3 review'])
  })

  it('cut, its second half is opened', () => {
    const one = deck('teach')
    one.here.value!.slides[0]!.blocks.push(text('below'))
    one.cut(0, 1)
    expect(one.opened.value).toBe(2)
    one.cut(0, 1)
    expect(one.order()).toHaveLength(2)
  })

  it.each([
    ['move', ['2 teach']],
    ['send', ['1 starter', '2 teach']],
  ])('sent to another lesson by %j, it leaves this one only when it moves', (deed, expected) => {
    const one = deck('starter', 'teach')
    one.act(one.here.value!.slides[0]!, 0, deed)
    expect(one.sending.value?.slide.id).toBe(1)
    expect(one.order()).toHaveLength(2)
    one.sent()
    expect(one.order()).toEqual(expected)
  })

  it('nothing happens while there is no lesson', () => {
    const one = deck('teach')
    one.here.value = undefined
    one.addLast()
    one.move(0, 1)
    one.act(slide(1, []), 0, 'remove')
    expect(one.rungs.value).toEqual([])
  })
})
