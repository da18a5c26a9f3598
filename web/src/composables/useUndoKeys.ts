import { useEventListener } from '@vueuse/core'

/** Where undo is the field's own. */
const FIELDS = 'input, textarea, math-field, [contenteditable]'

/** Undo and redo by keyboard, but for a field that has its own. */
export function useUndoKeys(undo: () => void, redo: () => void): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    const inField = event.target instanceof HTMLElement && event.target.closest(FIELDS)
    if (inField || !(event.ctrlKey || event.metaKey)) return
    const key = event.key.toLowerCase()
    if (key !== 'z' && key !== 'y') return
    event.preventDefault()
    if (key === 'y' || event.shiftKey) redo()
    else undo()
  })
}
