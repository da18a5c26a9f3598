/** The clock of a lesson that is being taught, against its plan. */
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, type Ref } from 'vue'
import type { Lesson } from '@/api/client'

const MINUTE = 60_000

const keyOf = (lesson: number): string => `honey-ladder.began.${lesson}`

/** When the lesson began; within a sitting of the browser it goes on after a reload. */
function begun(lesson: number): number {
  const known = Number(sessionStorage.getItem(keyOf(lesson)))
  if (known > 0) return known
  const now = Date.now()
  sessionStorage.setItem(keyOf(lesson), String(now))
  return now
}

export function useClock(id: number, lesson: Ref<Lesson | undefined>, at: Ref<number>) {
  const began = ref(begun(id))
  const now = ref(Date.now())
  useIntervalFn(() => (now.value = Date.now()), 1000)

  /** Minutes since the lesson began. */
  const elapsed = computed(() => Math.max(0, (now.value - began.value) / MINUTE))
  /** The minutes between which the slide that stands on the wall is planned. */
  const planned = computed(() => {
    const slides = lesson.value?.slides ?? []
    const from = slides.slice(0, at.value).reduce((sum, slide) => sum + slide.minutes, 0)
    return { from, to: from + (slides[at.value]?.minutes ?? 0) }
  })
  /** Minutes left of the phase of this slide, when each began as planned; less than zero when it is over. */
  const left = computed(() => {
    const slides = lesson.value?.slides ?? []
    const phase = slides[at.value]?.phase
    let end = planned.value.to
    for (let next = at.value + 1; slides[next]?.phase === phase && next < slides.length; next += 1) end += slides[next]!.minutes
    return end - elapsed.value
  })
  function restart(): void {
    began.value = Date.now()
    now.value = began.value
    sessionStorage.setItem(keyOf(id), String(began.value))
  }
  return { elapsed, planned, left, restart }
}

/** `12:05`, with a minus when it is over. */
export function shownTime(minutes: number): string {
  const seconds = Math.round(Math.abs(minutes) * 60)
  const rest = String(seconds % 60).padStart(2, '0')
  return `${minutes < 0 && seconds > 0 ? '−' : ''}${Math.floor(seconds / 60)}:${rest}`
}
