/** Small lessons and examples that the tests speak of. */
import type { Block, Example, ExampleLine, Lesson, Reveal, Slide } from '@/api/client'

export const text = (says: string): Block => ({ kind: 'text', text: says })

export const slide = (id: number, blocks: Block[], more: Partial<Slide> = {}): Slide => ({ id, title: `Slide ${id}`, phase: 'teach', minutes: 6, notes: '', blocks, ...more })

export const line = (math: string, more: Partial<ExampleLine> = {}): ExampleLine =>
  ({ math, latex: math, speech: `says ${math}`, reason: `for ${math}`, role: 'follows', verdict: 'holds', ...more }) as ExampleLine

export const example = (working: ExampleLine[], more: Partial<Example> = {}): Example => ({ working, ...more }) as Example

/** A reveal that shows one line a step. */
export const stepwise = (lines: number, told?: number): Reveal => ({
  steps: lines,
  lines: Array.from({ length: lines }, (_, at) => ({ appears: at + 1, filled: at + 1 })),
  ...(told === undefined ? {} : { told }),
}) as Reveal

export const lesson = (slides: Slide[], more: Partial<Lesson> = {}): Lesson => ({ title: 'Ratio', topic: 'Ratio', grade: 6, strand: 'fractions_ratio', minutes: 45, slides, ...more }) as Lesson
