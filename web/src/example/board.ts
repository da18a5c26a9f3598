/** What of a worked example stands on the board after so many steps. */
import type { Drawing, Example, ExampleLine, Figure, Scene } from '@/api/client'

/** A line as it stands on the board. */
export interface Row {
  math: string
  latex: string
  speech: string
  /** Its reason, with those of the lines that were done in one go with it. */
  reason: string
  role: string
  verdict: ExampleLine['verdict']
}

/** What a reason that is left out looks like. */
const BLANK_REASON = '$\\boxed{\\phantom{000000000000}}$'

const isFilledLater = (line: ExampleLine): boolean => line.asked != null
const shownLines = (example: Example): ExampleLine[] => example.working.filter((line) => !line.folded)

/** How many steps an example is revealed in: a line with something left out takes two, and a slip is told at the end. */
export function stepsOf(example: Example): number {
  const lines = shownLines(example)
  return lines.length + lines.filter(isFilledLater).length + (example.slip ? 1 : 0)
}

function rowOf(line: ExampleLine, reasons: string[], filled: boolean): Row {
  const asked = filled ? undefined : line.asked
  return {
    math: asked ? (line.latex ? line.math : '…') : line.math,
    latex: asked?.latex || (asked && !line.latex ? '' : line.latex),
    speech: asked?.speech ?? line.speech,
    reason: asked?.reason ? BLANK_REASON : reasons.filter(Boolean).join(' · '),
    role: line.role,
    verdict: line.verdict,
  }
}

/** What stands on the board. */
export interface Board {
  rows: Row[]
  /** How many of the rows show. */
  visible: number
  /** Whether the slip is told. */
  told: boolean
  /** The picture as it has grown by now. */
  figure?: Figure
}

/** The board of an example after so many steps. */
export function boardOf(example: Example, shown: number): Board {
  const rows: Row[] = []
  let figure = example.figure ?? undefined
  let steps = 0
  let visible = 0
  let above: string[] = []
  for (const line of example.working) {
    if (line.folded) {
      above.push(line.reason)
      continue
    }
    steps += 1
    const appears = steps
    if (isFilledLater(line)) steps += 1
    rows.push(rowOf(line, [...above, line.reason], steps <= shown))
    if (appears <= shown) visible += 1
    // A line that waits to be filled in must not be told by its picture.
    if (steps <= shown) figure = line.figure ?? figure
    above = []
  }
  return { rows, visible, told: example.slip != null && shown > steps, figure }
}

/** What step `step` says, to be spoken. */
export function spokenAt(example: Example, step: number): string {
  const { rows, visible, told } = boardOf(example, step)
  if (told) return example.working.find((line) => line.verdict === 'breaks')?.says ?? ''
  const row = rows[visible - 1]
  return row ? `${row.speech}. ${row.reason === BLANK_REASON ? '' : row.reason.replaceAll('$', '')}` : ''
}

/** A figure, drawn. */
export function sceneOf(figure: Figure | undefined, pictures: Drawing[]): Scene | undefined {
  if (!figure) return undefined
  const text = JSON.stringify(figure)
  return pictures.find((drawn) => JSON.stringify(drawn.figure) === text)?.scene
}
