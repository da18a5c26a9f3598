/** Slides cut in two and joined. */
import type { Slide } from '@/api/client'
import { comesAt } from './comes'

type Slides = Slide[]

export const nextId = (slides: Slides): number => Math.max(0, ...slides.map((slide) => slide.id)) + 1

/** When blocks come on a slide of their own: the first of them as soon as the slide stands. */
function stepsFrom(slide: Slide, from: number, to: number): number[] {
  const steps = slide.blocks.slice(from, to).map((_, at) => comesAt(slide, from + at))
  const first = Math.min(...steps)
  return steps.some((step) => step !== first) ? steps.map((step) => step - first) : []
}

/** The block `at`, and what comes below it, become a slide of their own; its minutes are shared. */
export function split(slides: Slides, index: number, at: number): number | undefined {
  const slide = slides[index]
  if (!slide || at < 1 || at >= slide.blocks.length) return undefined
  const id = nextId(slides)
  const later = Math.floor(slide.minutes / 2)
  const below: Slide = { ...slide, id, minutes: later, notes: '', blocks: slide.blocks.slice(at), comes: stepsFrom(slide, at, slide.blocks.length) }
  slides.splice(index, 1, { ...slide, minutes: slide.minutes - later, blocks: slide.blocks.slice(0, at), comes: stepsFrom(slide, 0, at) }, below)
  return id
}

/** The next slide goes below this one, and comes after all of it. */
export function join(slides: Slides, index: number): void {
  const [slide, next] = [slides[index], slides[index + 1]]
  if (!slide || !next) return
  const steps = slide.blocks.map((_, at) => comesAt(slide, at))
  const later = next.blocks.map((_, at) => comesAt(next, at) + Math.max(0, ...steps) + 1)
  const notes = [slide.notes, next.notes].filter(Boolean).join('\n')
  slides.splice(index, 2, { ...slide, minutes: slide.minutes + next.minutes, notes, blocks: [...slide.blocks, ...next.blocks], comes: [...steps, ...later] })
}
