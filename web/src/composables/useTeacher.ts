import { computed, readonly, ref } from 'vue'
import { api, reply, type Failure, type Me } from '@/api/client'

const me = ref<Me>()

/** Who is signed in: one state for the whole page. */
export function useTeacher() {
  /** Asks the server once; later calls know. */
  async function load(): Promise<'somebody' | 'nobody' | 'unknown'> {
    if (me.value) return 'somebody'
    const answer = await reply(api.GET('/api/me'))
    if (answer.ok) me.value = answer.value
    else return answer.failure.kind === 'sign_in' ? 'nobody' : 'unknown'
    return 'somebody'
  }

  /** Somebody has signed in by another way. */
  function take(found: Me): void {
    me.value = found
  }

  function forget(): void {
    me.value = undefined
  }

  async function signIn(sign_in: string, password: string): Promise<Failure | undefined> {
    const answer = await reply(api.POST('/api/sign-in', { body: { sign_in, password } }))
    if (!answer.ok) return answer.failure
    me.value = answer.value
    return undefined
  }

  async function signOut(): Promise<void> {
    await reply(api.POST('/api/sign-out'))
    forget()
  }

  return { me: readonly(me), name: computed(() => me.value?.name), load, take, forget, signIn, signOut }
}
