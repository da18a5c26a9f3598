/** What of a worked example stands on the board after so many steps. */
import type { Example, ExampleLine, Figure, Reveal, Role } from '@/api/client'

/** A line as it stands on the board. */
export interface Row {
  math: string
  latex: string
  speech: string
  /** Its reason, with those of the lines that were done in one go with it. */
  reason: string
  role: Role
  verdict: ExampleLine['verdict']
}

/** What a reason that is left out looks like. */
const BLANK_REASON = '$\\boxed{\\phantom{000000000000}}$'

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

/** The board of an example after so many steps; without a reveal, all of it shows. */
export function boardOf(example: Example, shown: number, reveal?: Reveal): Board {
  const rows: Row[] = []
  let figure = example.figure ?? undefined
  let visible = 0
  let above: string[] = []
  example.working.forEach((line, at) => {
    if (line.folded) {
      above.push(line.reason)
      return
    }
    const when = reveal?.lines[at] ?? { appears: 0, filled: 0 }
    rows.push(rowOf(line, [...above, line.reason], when.filled <= shown))
    if (when.appears <= shown) visible += 1
    // A line that waits to be filled in must not be told by its picture.
    if (when.filled <= shown) figure = line.figure ?? figure
    above = []
  })
  return { rows, visible, told: example.slip != null && shown >= (reveal?.told ?? 0), figure }
}
