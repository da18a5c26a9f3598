/** The keys of the wall. A button that has the focus is pressed, and nothing else. */
import { useEventListener } from '@vueuse/core'

/** What each key does; a letter stands in its small form. */
export type Keys = Record<string, () => void>

/** Where keys are for something else: a question, the spare board, other numbers. */
const ELSEWHERE = '.el-message-box, .spare, .numbers'

export function useWallKeys(keys: Keys, next: () => void, isElsewhere: () => boolean): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || isElsewhere()) return
    const { target } = event
    if (target instanceof Element && target.closest(ELSEWHERE)) return
    if (event.key === ' ' || event.key === 'Enter') {
      if (target instanceof HTMLButtonElement || target instanceof HTMLAnchorElement) return
      next()
    } else {
      const deed = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key]
      if (!deed) return
      deed()
    }
    event.preventDefault()
  })
}
