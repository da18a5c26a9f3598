/** The slide that a worked example goes to when it gets one of its own. */
import type { Block, Lesson, PhaseKind } from '@/api/client'
import { nextId } from '@/slide/reorder'
import { words } from '@/words'

/** What the example is for says which phase its slide belongs to, and what it is called. */
function kindOf(block: Block): { title: string; phase: PhaseKind } {
  if (block.kind !== 'worked_example') return { title: words.lesson.newSlide, phase: 'teach' }
  if (block.example.slip) return { title: words.example.slipTitle, phase: 'guided_practice' }
  const isAsked = block.example.working.some((line) => line.asked)
  return isAsked ? { title: words.example.tryTitle, phase: 'guided_practice' } : { title: words.lesson.exampleTitle, phase: 'teach' }
}

/** Puts a block on a slide of its own, behind the last one of its phase, so that the clock runs on. Gives its id. */
export function slideOf(lesson: Lesson, block: Block): number {
  const { title, phase } = kindOf(block)
  const id = nextId(lesson.slides)
  const at = lesson.slides.findLastIndex((slide) => slide.phase === phase)
  const place = at < 0 ? lesson.slides.length : at + 1
  lesson.slides.splice(place, 0, { id, title, phase, minutes: 5, notes: '', blocks: [block] })
  return id
}
