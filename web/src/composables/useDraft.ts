/** Kept on this device until the server has it. A device without room or storage keeps nothing. */
export function keepDraft(key: string, draft: unknown): void {
  try {
    localStorage.setItem(`honey-ladder/${key}`, JSON.stringify(draft))
  } catch {
    // The page itself still has it, and says that it is not saved.
  }
}

export function dropDraft(key: string): void {
  try {
    localStorage.removeItem(`honey-ladder/${key}`)
  } catch {
    // Nothing was kept then.
  }
}

export function findDraft<T>(key: string): T | undefined {
  try {
    const found = localStorage.getItem(`honey-ladder/${key}`)
    return found ? (JSON.parse(found) as T) : undefined
  } catch {
    return undefined
  }
}
