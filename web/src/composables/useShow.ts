import { computed, ref, type Ref } from 'vue'
import type { Example, Lesson } from '@/api/client'
import { spokenAt, stepsOf } from '@/example/board'

type Slide = Lesson['slides'][number]

const examplesOf = (slide?: Slide): Example[] => slide?.blocks.flatMap((b) => (b.kind === 'worked_example' ? [b.example] : [])) ?? []

/** How many steps a slide is revealed in; the first one stands from the start. */
const steps = (slide: Slide): number => Math.max(1, examplesOf(slide).reduce((sum, example) => sum + stepsOf(example), 0))

/** Where the lesson stands on the wall: a slide, and how many steps of it are shown. */
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

  /** The step that was shown last, to be spoken. */
  const spoken = computed(() => {
    let step = shown.value
    for (const example of examplesOf(slide.value)) {
      const own = stepsOf(example)
      if (step <= own) return spokenAt(example, step)
      step -= own
    }
    return ''
  })

  return { slides, at, shown, slide, total, ended, spoken, next, back, jump }
}
