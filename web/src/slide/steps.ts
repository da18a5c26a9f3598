/** In which steps a slide is revealed. A slide is shown in a row of moments; each adds one part of one block. */
import type { Block, Slide } from '@/api/client'
import { spokenAt, stepsOf } from '@/example/board'

/** Parts of each block that show: 0 for a block that has not come yet. */
export type Shown = number[]

/** A question or a problem shows its answer one step later. */
export function partsOf(block: Block): number {
  switch (block.kind) {
    case 'worked_example':
      return Math.max(1, stepsOf(block.example))
    case 'question':
      return block.asks.by === 'open' && !block.asks.answer ? 1 : 2
    case 'practice':
      return 2
    default:
      return 1
  }
}

/** When each block comes: 0 for those that stand from the start. */
export const comesAt = (slide: Slide, at: number): number => slide.comes?.[at] ?? 0

/** The moments of a slide, the first as it stands when it is put up. */
export function momentsOf(slide: Slide): Shown[] {
  const shown: Shown = slide.blocks.map(() => 0)
  const moments: Shown[] = []
  const keep = (): number => moments.push([...shown])
  const groups = [...new Set(slide.blocks.map((_, at) => comesAt(slide, at)))].sort((a, b) => a - b)
  if (!groups.includes(0)) keep()
  for (const group of groups) {
    const blocks = slide.blocks.map((block, at) => ({ block, at })).filter(({ at }) => comesAt(slide, at) === group)
    // All of a group come at once, but for a second example, which waits until the first is done.
    const first = blocks.find(({ block }) => block.kind === 'worked_example')
    for (const { block, at } of blocks) if (block.kind !== 'worked_example' || at === first?.at) shown[at] = 1
    keep()
    for (const { block, at } of blocks) {
      if (shown[at] === 0) {
        shown[at] = 1
        keep()
      }
      for (let part = 2; part <= partsOf(block); part += 1) {
        shown[at] = part
        keep()
      }
    }
  }
  if (!moments.length) keep()
  return moments
}

/** What a moment adds to the one before, to be spoken. */
export function spokenBetween(slide: Slide, before: Shown | undefined, now: Shown): string {
  return slide.blocks
    .map((block, at) => {
      const part = now[at] ?? 0
      if (part === 0 || part === (before?.[at] ?? 0)) return ''
      return block.kind === 'worked_example' ? spokenAt(block.example, part) : part > 1 ? answerOf(block) : textOf(block)
    })
    .filter(Boolean)
    .join(' ')
}

const plain = (text: string): string => text.replaceAll('$', '')

/** The answer of a block, in plain text. */
export function answerOf(block: Block): string {
  if (block.kind === 'practice') return block.rung.answer.text
  if (block.kind !== 'question') return ''
  if (block.asks.by === 'choice') return plain(block.asks.choices.filter((choice) => choice.right).map((choice) => choice.text).join(', '))
  return plain(block.asks.by === 'open' ? block.asks.answer : block.asks.why)
}

/** What a block says first, in plain text. */
export function textOf(block: Block): string {
  switch (block.kind) {
    case 'text':
    case 'link':
      return plain(block.text)
    case 'question':
    case 'talk':
      return plain(block.prompt)
    case 'practice':
      return plain(block.rung.prompt)
    case 'picture':
      return plain(block.caption)
    case 'image':
      return plain(block.alt || block.caption || '')
    case 'word':
      return plain(`${block.word}: ${block.means}`)
    case 'ladder':
      return block.title
    case 'examples':
      return plain(block.of)
    case 'table':
      return plain(block.heads.join(', '))
    case 'worked_example':
      return plain(block.example.prompt || block.example.problem)
  }
}
