import { computed, ref, type Ref } from 'vue'
import type { Lesson } from '@/api/client'
import { momentsOf, spokenBetween } from '@/slide/steps'

/** Where the lesson stands on the wall: a slide, and at which of its moments. */
export function useShow(lesson: Ref<Lesson | undefined>, from: number) {
  const slides = computed(() => lesson.value?.slides ?? [])
  const at = ref(Math.max(0, from - 1))
  const shown = ref(1)
  const slide = computed(() => slides.value[at.value])
  const moments = computed(() => (slide.value ? momentsOf(slide.value) : []))
  const total = computed(() => moments.value.length)
  const ended = computed(() => at.value === slides.value.length - 1 && shown.value >= total.value)

  function next(): void {
    if (shown.value < total.value) shown.value += 1
    else if (at.value < slides.value.length - 1) {
      at.value += 1
      shown.value = 1
    }
  }
  function back(): void {
    if (shown.value > 1) shown.value -= 1
    else if (at.value > 0) {
      at.value -= 1
      shown.value = total.value
    }
  }
  function jump(slideAt: number): void {
    at.value = Math.min(Math.max(0, slideAt), Math.max(0, slides.value.length - 1))
    shown.value = 1
  }

  /** What came last, to be spoken. */
  const spoken = computed(() => {
    const now = moments.value[shown.value - 1]
    return slide.value && now ? spokenBetween(slide.value, moments.value[shown.value - 2], now) : ''
  })

  return { slides, at, shown, slide, total, ended, spoken, next, back, jump }
}
