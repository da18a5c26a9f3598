import { ref } from 'vue'
import type { Failure, Reply } from '@/api/client'

/** Calls the server one call at a time: holds why the last one failed, and whether one is on its way. */
export function useCall() {
  const failure = ref<Failure>()
  const busy = ref(false)
  let newest = 0

  /** The value of the answer; nothing where it failed, or where a newer call has been made in the meantime. */
  async function call<T>(asked: Promise<Reply<T>>): Promise<T | undefined> {
    const mine = (newest += 1)
    busy.value = true
    const answer = await asked
    if (mine !== newest) return undefined
    busy.value = false
    failure.value = answer.ok ? undefined : answer.failure
    return answer.ok ? answer.value : undefined
  }

  return { failure, busy, call }
}
