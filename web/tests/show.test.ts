import { ref } from 'vue'
import { describe, expect, it } from 'vitest'
import type { LessonView } from '@/api/client'
import { useShow } from '@/composables/useShow'
import { lesson, slide } from './made'

/** A lesson whose slides have so many moments. */
function show(moments: number[], from = 1) {
  const slides = moments.map((_, at) => slide(at + 1, []))
  const reveals = moments.map((count, at) => ({ blocks: [], moments: Array.from({ length: count }, (_, n) => ({ says: `${at + 1}.${n + 1}` })) }))
  return useShow(ref({ lesson: lesson(slides), reveals } as unknown as LessonView), from)
}
const stands = (one: ReturnType<typeof show>): string => `${one.at.value + 1}.${one.shown.value}`

describe('a lesson on the wall', () => {
  it('goes moment by moment, slide by slide, and stays at its end', () => {
    const one = show([2, 1, 3])
    const path = [stands(one)]
    for (let n = 0; n < 7; n += 1) {
      one.next()
      path.push(stands(one))
    }
    expect(path).toEqual(['1.1', '1.2', '2.1', '3.1', '3.2', '3.3', '3.3', '3.3'])
    expect(one.ended.value).toBe(true)
  })

  it('goes back the same way: a slide is entered from behind at its last moment', () => {
    const one = show([2, 3], 2)
    one.back()
    expect(stands(one)).toBe('1.2')
    one.back()
    one.back()
    expect(stands(one)).toBe('1.1')
  })

  it.each([
    [1, '2.1'],
    [-5, '1.1'],
    [99, '3.1'],
  ])('jumps to slide %i, and stays within the lesson', (to, expected) => {
    const one = show([1, 1, 1])
    one.jump(to)
    expect(stands(one)).toBe(expected)
  })

  it('says what came last', () => {
    const one = show([2, 1])
    expect(one.spoken.value).toBe('1.1')
    one.next()
    expect(one.spoken.value).toBe('1.2')
  })

  it('stands still while there is no lesson', () => {
    const one = useShow(ref(undefined), 1)
    one.next()
    one.back()
    one.jump(4)
    expect([one.at.value, one.shown.value, one.spoken.value]).toEqual([0, 1, ''])
  })
})
