import { ref } from 'vue'
import type { Failure, Reply } from '@/api/client'

/**
 * Calls the server: holds why the last call failed, and whether one is on its way. Where two are on their way at once, the
 * newer one wins.
 */
export function useCall() {
  const failure = ref<Failure>()
  const busy = ref(false)
  let newest = 0

  /** Hands the value of the answer to `take`; says whether there was one, and no newer call in the meantime. */
  async function call<T>(asked: Promise<Reply<T>>, take?: (value: T) => void): Promise<boolean> {
    const mine = (newest += 1)
    busy.value = true
    const answer = await asked
    if (mine !== newest) return false
    busy.value = false
    failure.value = answer.ok ? undefined : answer.failure
    if (answer.ok) take?.(answer.value)
    return answer.ok
  }

  return { failure, busy, call }
}
