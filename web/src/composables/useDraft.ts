import type { DeskLine } from '@/api/client'

/** Lines of one rung that the server does not have yet, kept on this device. */
export interface Draft {
  lines: DeskLine[]
  basedOn: number
}

const key = (link: string, rung: number): string => `honey-ladder/${link}/${rung}`

/** Kept on this device until the server has it. A device without room or storage keeps nothing. */
export function keepDraft(link: string, rung: number, draft: Draft): void {
  try {
    localStorage.setItem(key(link, rung), JSON.stringify(draft))
  } catch {
    // The page itself still has the lines, and says that they are not saved.
  }
}

export function dropDraft(link: string, rung: number): void {
  try {
    localStorage.removeItem(key(link, rung))
  } catch {
    // Nothing was kept then.
  }
}

export function findDraft(link: string, rung: number): Draft | undefined {
  try {
    const found = localStorage.getItem(key(link, rung))
    return found ? (JSON.parse(found) as Draft) : undefined
  } catch {
    return undefined
  }
}
