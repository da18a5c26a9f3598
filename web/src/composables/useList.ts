import { ref, shallowRef } from 'vue'
import { everyPage, type Failure, type Page, type Reply } from '@/api/client'

/**
 * A list that comes in pages. The first page stands there while the others come, unless the list is only looked at again
 * (`again`): then it changes at once. A slow answer to an older question is none.
 */
export function useList<T>(ask: (after?: string) => Promise<Reply<Page<T>>>) {
  const entries = shallowRef<T[]>()
  const failure = ref<Failure>()
  let newest = 0

  async function load(again = false): Promise<void> {
    const mine = (newest += 1)
    const take = (some: T[]): void => {
      if (mine === newest) entries.value = some
    }
    const answer = await everyPage(ask, again ? undefined : take)
    if (mine !== newest) return
    failure.value = answer.ok ? undefined : answer.failure
    if (answer.ok) entries.value = answer.value
  }

  return { entries, failure, load }
}
