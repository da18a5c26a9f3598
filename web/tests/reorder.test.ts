import { describe, expect, it } from 'vitest'
import { join, nextId, split } from '@/slide/reorder'
import { comesAt } from '@/slide/comes'
import { slide, text } from './made'

const three = () => slide(4, [text('a'), text('b'), text('c')], { minutes: 7, notes: 'Ask first', comes: [0, 1, 2] })
const says = (slides: { blocks: unknown[] }[]) => slides.map((one) => one.blocks.map((block) => (block as { text: string }).text).join(''))

describe('a slide is cut in two', () => {
  it.each([
    [1, ['a', 'bc']],
    [2, ['ab', 'c']],
  ])('before block %i', (at, expected) => {
    const slides = [three()]
    const id = split(slides, 0, at)
    expect(says(slides)).toEqual(expected)
    expect(slides[1]?.id).toBe(id)
    expect(id).toBe(5)
  })

  it.each([0, 3, -1, 9])('not before block %i, where one half would be empty', (at) => {
    const slides = [three()]
    expect(split(slides, 0, at)).toBeUndefined()
    expect(slides).toEqual([three()])
  })

  it('nowhere there is no slide', () => {
    const slides = [three()]
    expect(split(slides, 1, 1)).toBeUndefined()
  })

  it('shares its minutes, and loses none', () => {
    const slides = [three()]
    split(slides, 0, 1)
    expect(slides.map((one) => one.minutes)).toEqual([4, 3])
  })

  it('keeps the notes with the first half', () => {
    const slides = [three()]
    split(slides, 0, 2)
    expect(slides.map((one) => one.notes)).toEqual(['Ask first', ''])
  })

  it('keeps when blocks come: the first of each half stands at once', () => {
    const slides = [three()]
    split(slides, 0, 1)
    expect(slides.map((one) => one.blocks.map((_, at) => comesAt(one, at)))).toEqual([[0], [0, 1]])
  })

  it('touches no other slide', () => {
    const [before, after] = [slide(1, [text('x')]), slide(9, [text('y')])]
    const slides = [before, three(), after]
    expect(split(slides, 1, 1)).toBe(10)
    expect(slides[0]).toBe(before)
    expect(slides[3]).toBe(after)
  })
})

describe('two slides are joined', () => {
  it('the second below the first, and after all of it', () => {
    const slides = [three(), slide(5, [text('d'), text('e')], { comes: [0, 1], notes: 'Then wait' })]
    join(slides, 0)
    expect(says(slides)).toEqual(['abcde'])
    expect(slides[0]?.comes).toEqual([0, 1, 2, 3, 4])
    expect(slides[0]?.minutes).toBe(13)
    expect(slides[0]?.notes).toBe('Ask first\nThen wait')
    expect(slides[0]?.id).toBe(4)
  })

  it('after a slide on which everything stands at once, it comes one step later', () => {
    const slides = [slide(1, [text('a'), text('b')]), slide(2, [text('c')])]
    join(slides, 0)
    expect(slides[0]?.comes).toEqual([0, 0, 1])
  })

  it('the last slide has nothing to be joined with', () => {
    const slides = [three()]
    join(slides, 0)
    expect(slides).toEqual([three()])
  })

  it('undoes a cut', () => {
    const slides = [three()]
    split(slides, 0, 1)
    join(slides, 0)
    expect(slides).toEqual([three()])
  })
})

describe('an id that no slide has', () => {
  it.each([
    [[], 1],
    [[3], 4],
    [[7, 2], 8],
  ])('of %j is %i', (ids, expected) => {
    expect(nextId(ids.map((id) => slide(id, [])))).toBe(expected)
  })
})
