/** A live lesson in the hands of its teacher: how it stands, and what is done in it. */
import { ref } from 'vue'
import { api, reply, type TeacherDoes, type ToAsk } from '@/api/client'
import { useCall } from '@/composables/useCall'
import { useSocket } from './socket'

export type Tells = 'at_once' | 'when_all' | 'never'

export function useLive<T extends { seq: number }>(id: () => number | undefined, isWall: boolean) {
  const view = ref<T>()
  const { failure, call } = useCall()
  const { online, open, close } = useSocket<T>(
    () => (id() === undefined ? undefined : `/api/live/${id()}/socket?wall=${isWall}`),
    (told) => {
      if (!view.value || told.seq >= view.value.seq) view.value = told as typeof view.value
    },
  )
  const path = () => ({ path: { id: id()! } })
  /** Does something; says whether it is kept. */
  const act = (does: TeacherDoes): Promise<boolean> => call(reply<unknown>(api.POST('/api/live/{id}/events', { params: path(), body: does })))
  const ask = (wanted: ToAsk, tells: Tells, tries: number): Promise<boolean> =>
    call(reply<unknown>(api.POST('/api/live/{id}/questions', { params: path(), body: { wanted, tells, tries } })))
  return { view, online, failure, open, close, act, ask }
}
