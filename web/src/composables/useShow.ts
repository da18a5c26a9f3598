import { computed, ref, type Ref } from 'vue'
import type { Lesson } from '@/api/client'

/** How many lines of working a slide reveals one at a time; the first one stands from the start. */
function steps(slide: Lesson['slides'][number]): number {
  const lines = slide.blocks.reduce((sum, b) => sum + (b.kind === 'worked_example' ? b.example.working.length : 0), 0)
  return Math.max(1, lines)
}

/** Where the lesson stands on the wall: a slide, and how many lines of it are shown. */
export function useShow(lesson: Ref<Lesson | undefined>, from: number) {
  const slides = computed(() => lesson.value?.slides ?? [])
  const at = ref(Math.max(0, from - 1))
  const shown = ref(1)
  const slide = computed(() => slides.value[at.value])
  const total = computed(() => (slide.value ? steps(slide.value) : 0))
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

  /** The line that was shown last, to be spoken. */
  const spoken = computed(() => {
    const lines = slide.value?.blocks.flatMap((b) => (b.kind === 'worked_example' ? b.example.working : [])) ?? []
    const line = lines[shown.value - 1]
    return line ? `${line.speech}. ${line.reason.replaceAll('$', '')}` : ''
  })

  return { slides, at, shown, slide, total, ended, spoken, next, back, jump }
}
