/**
 * What a student does goes out in its order, and each thing once: it carries a token of its own, and what could not be sent
 * waits on this device.
 */
import { onScopeDispose, ref } from 'vue'
import { api, reply, type Failure, type StudentDoes, type StudentNow } from '@/api/client'
import { dropDraft, findDraft, keepDraft } from '@/composables/useDraft'

interface Waiting {
  token: string
  does: StudentDoes
}

const AGAIN_MS = 1500
const SIGNS = 'abcdefghijkmnpqrstuvwxyz23456789'

function token(): string {
  return [...crypto.getRandomValues(new Uint8Array(20))].map((byte) => SIGNS[byte % SIGNS.length]).join('')
}

export function useOutbox(code: string, took: (now: StudentNow) => void) {
  const key = `live/${code}`
  const waiting = ref<Waiting[]>(findDraft<Waiting[]>(key) ?? [])
  /** Why the last thing was refused; what could not be sent is no failure. */
  const failure = ref<Failure>()
  /** Whether something waits for the connection. */
  const stuck = ref(false)
  let sending = false
  let timer: ReturnType<typeof setTimeout> | undefined

  function keep(): void {
    if (waiting.value.length) keepDraft(key, waiting.value)
    else dropDraft(key)
  }

  async function send(): Promise<void> {
    clearTimeout(timer)
    if (sending) return
    sending = true
    for (let first = waiting.value[0]; first; first = waiting.value[0]) {
      const answer = await reply(api.POST('/api/join/{code}/events', { params: { path: { code } }, body: first }))
      if (!answer.ok && (answer.unreached || ['busy', 'internal', 'too_often'].includes(answer.failure.kind))) {
        stuck.value = true
        timer = setTimeout(() => void send(), AGAIN_MS)
        break
      }
      stuck.value = false
      waiting.value.shift()
      keep()
      if (answer.ok) {
        failure.value = undefined
        took(answer.value)
      } else failure.value = answer.failure
    }
    sending = false
  }

  function put(does: StudentDoes): void {
    failure.value = undefined
    waiting.value.push({ token: token(), does })
    keep()
    void send()
  }
  const onLine = (): void => void send()
  addEventListener('online', onLine)
  onScopeDispose(() => {
    clearTimeout(timer)
    removeEventListener('online', onLine)
  })
  return { waiting, failure, stuck, put, send }
}
