import { readonly, ref } from 'vue'
import { api, reply, type Failure } from '@/api/client'

const name = ref<string>()

/** Who is signed in: one state for the whole page. */
export function useTeacher() {
  /** Asks the server once; later calls know. */
  async function load(): Promise<'somebody' | 'nobody' | 'unknown'> {
    if (name.value) return 'somebody'
    const answer = await reply(api.GET('/api/me'))
    if (answer.ok) name.value = answer.value.name
    else return answer.failure.kind === 'sign_in' ? 'nobody' : 'unknown'
    return 'somebody'
  }

  async function signIn(sign_in: string, password: string): Promise<Failure | undefined> {
    const answer = await reply(api.POST('/api/sign-in', { body: { sign_in, password } }))
    if (!answer.ok) return answer.failure
    name.value = answer.value.name
    return undefined
  }

  async function signOut(): Promise<void> {
    await reply(api.POST('/api/sign-out'))
    name.value = undefined
  }

  return { name: readonly(name), load, signIn, signOut }
}
