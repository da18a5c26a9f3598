/** How a question may be answered, before anything is written. */
import type { Asks } from '@/api/client'

export function emptyAsks(by: Asks['by']): Asks {
  const empty = () => ({ text: '', right: false })
  switch (by) {
    case 'open':
      return { by, answer: '' }
    case 'choice':
      return { by, choices: [{ text: '', right: true }, empty(), empty()] }
    case 'true_or_false':
      return { by, is_true: true, why: '' }
  }
}
