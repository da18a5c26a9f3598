import { computed, shallowRef } from 'vue'

/** Steps that can be undone. */
const MOST_STEPS = 1000

/** Moments that are replaced as a whole, with undo and redo back to the first one of the sitting. */
export function useHistory<T>() {
  const now = shallowRef<T>()
  const past = shallowRef<T[]>([])
  const future = shallowRef<T[]>([])

  function begin(moment?: T): void {
    now.value = moment
    past.value = []
    future.value = []
  }

  /** The next moment; what was undone before is gone. */
  function put(moment: T): void {
    if (now.value !== undefined) past.value = [...past.value, now.value].slice(-MOST_STEPS)
    future.value = []
    now.value = moment
  }

  /** The moment that stands now, told more exactly: no step of its own. */
  function amend(moment: T): void {
    now.value = moment
  }

  /** Resolves to the moment that stands now, or to nothing when there was none to go back to. */
  function undo(): T | undefined {
    const last = past.value.at(-1)
    if (last === undefined || now.value === undefined) return undefined
    future.value = [now.value, ...future.value]
    past.value = past.value.slice(0, -1)
    return (now.value = last)
  }

  function redo(): T | undefined {
    const [next, ...rest] = future.value
    if (next === undefined || now.value === undefined) return undefined
    past.value = [...past.value, now.value]
    future.value = rest
    return (now.value = next)
  }

  return {
    now,
    begin,
    put,
    amend,
    undo,
    redo,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
  }
}
