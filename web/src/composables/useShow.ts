import { computed, ref, type Ref } from 'vue'
import type { LessonView } from '@/api/client'

/** Where the lesson stands on the wall: a slide, and at which of its moments. */
export function useShow(view: Ref<LessonView | undefined>, from: number) {
  const slides = computed(() => view.value?.lesson.slides ?? [])
  const at = ref(Math.max(0, from - 1))
  const shown = ref(1)
  const slide = computed(() => slides.value[at.value])
  /** How the slide is revealed. */
  const reveal = computed(() => view.value?.reveals[at.value])
  const total = computed(() => reveal.value?.moments.length ?? 0)
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
  const spoken = computed(() => reveal.value?.moments[shown.value - 1]?.says ?? '')

  return { slides, at, shown, slide, reveal, total, ended, spoken, next, back, jump }
}
