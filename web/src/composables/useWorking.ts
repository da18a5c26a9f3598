import { ref, shallowRef } from 'vue'
import { api, reply, type DeskLine, type Failure, type TypedWorking } from '@/api/client'

/** Works a typed problem. Only the reply to the newest call counts. */
export function useWorking() {
  const working = shallowRef<TypedWorking>()
  const failure = shallowRef<Failure>()
  const busy = ref(false)
  let newest = 0

  async function work(problem: DeskLine, method?: string): Promise<void> {
    const mine = ++newest
    busy.value = true
    const answer = await reply(api.POST('/api/workings', { body: { problem, method: method ?? null } }))
    if (mine !== newest) return
    busy.value = false
    working.value = answer.ok ? answer.value : undefined
    failure.value = answer.ok ? undefined : answer.failure
  }

  return { working, failure, busy, work }
}
