import { computed, ref, type Ref } from 'vue'
import type { Lesson, PhaseKind, Slide } from '@/api/client'
import { join, nextId, split } from '@/slide/reorder'
import { words } from '@/words'

/** The slides of a lesson: added, moved, cut and joined, each in its phase. `open` brings one into sight. */
export function useSlides(lesson: Ref<Lesson | undefined>, openOn: (id: number) => Promise<void>, openSlide: Ref<number | undefined>) {
  /** The slides with the minute at which each begins. */
  const rungs = computed(() => {
    let clock = 0
    return (lesson.value?.slides ?? []).map((slide, index, all) => {
      const from = clock
      clock += slide.minutes
      return { slide, index, from, to: clock, first: all[index - 1]?.phase !== slide.phase }
    })
  })

  /** The phases of the plan without a slide, each told where its slides would stand. */
  const emptyPhases = computed(() => {
    const order = (lesson.value?.phases ?? []).map((phase) => phase.kind)
    const used = rungs.value.map((rung) => order.indexOf(rung.slide.phase))
    return (lesson.value?.phases ?? []).flatMap((phase, at) => {
      if (used.includes(at)) return []
      const before = used.findIndex((other) => other > at)
      return [{ kind: phase.kind, minutes: phase.minutes, before: before < 0 ? rungs.value.length : before }]
    })
  })

  /** A slide just made, whose heading waits to be typed over. */
  const newSlide = ref<number>()
  function addSlide(at: number, phase: PhaseKind): void {
    if (!lesson.value) return
    const id = nextId(lesson.value.slides)
    lesson.value.slides.splice(at, 0, { id, title: words.lesson.newSlide, phase, minutes: 5, notes: '', blocks: [] })
    newSlide.value = id
    void openOn(id)
  }
  const addLast = (): void => addSlide(rungs.value.length, rungs.value.at(-1)?.slide.phase ?? 'teach')
  /** Where a phase that has no slide yet would have its first. */
  function addIn(kind: PhaseKind): void {
    const at = lesson.value?.slides.findLastIndex((slide) => slide.phase === kind) ?? -1
    const empty = emptyPhases.value.find((phase) => phase.kind === kind)
    addSlide(at < 0 ? (empty?.before ?? rungs.value.length) : at + 1, kind)
  }

  /** A slide that was moved belongs to the phase that it stands in now. */
  function settle(id: number): void {
    const slides = lesson.value?.slides ?? []
    const at = slides.findIndex((slide) => slide.id === id)
    const [before, slide, after] = [slides[at - 1]?.phase, slides[at], slides[at + 1]?.phase]
    if (!slide || slide.phase === before || slide.phase === after) return
    slide.phase = before ?? after ?? slide.phase
  }

  function move(index: number, by: number): void {
    const slides = lesson.value?.slides
    const slide = slides?.[index]
    if (!slides || !slide || index + by < 0 || index + by >= slides.length) return
    slides.splice(index, 1)
    slides.splice(index + by, 0, slide)
    settle(slide.id)
  }

  function copy(index: number): void {
    const slides = lesson.value?.slides
    if (!slides?.[index]) return
    const id = nextId(slides)
    slides.splice(index + 1, 0, { ...(JSON.parse(JSON.stringify(slides[index])) as Slide), id })
  }

  function cut(index: number, at: number): void {
    const id = lesson.value && split(lesson.value.slides, index, at)
    if (id !== undefined) openSlide.value = id
  }

  /** What else was asked to be done with a slide. */
  function act(slide: Slide, index: number, deed: string): void {
    if (!lesson.value) return
    if (deed === 'below') addSlide(index + 1, slide.phase)
    else if (deed === 'join') join(lesson.value.slides, index)
    else if (deed === 'twice') copy(index)
    else if (deed === 'remove') lesson.value.slides.splice(index, 1)
    else sending.value = { slide, moves: deed === 'move' }
  }

  const sending = ref<{ slide: Slide; moves: boolean }>()
  function sent(): void {
    if (sending.value?.moves && lesson.value) {
      const gone = sending.value.slide.id
      lesson.value.slides = lesson.value.slides.filter((slide) => slide.id !== gone)
    }
  }

  return { rungs, emptyPhases, newSlide, addLast, addIn, settle, move, cut, act, sending, sent }
}
