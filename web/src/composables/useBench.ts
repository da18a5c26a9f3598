import { computed, ref } from 'vue'
import { api, reply, type BenchRung, type Change, type LadderOrder, type Plan } from '@/api/client'
import { useHistory } from './useHistory'
import { useSaved } from './useSaved'

/** How long the bench rests before it is saved, in milliseconds. */
const REST_MS = 600

/** What lies on the bench at one moment: it is replaced as a whole, never changed. */
interface Moment {
  plan: Plan
  rungs: BenchRung[]
}

/**
 * The ladder of a lesson, or one for the shelf, while it is made. Every change is made and proved by the server and comes back as a whole; each
 * can be undone; the draft saves itself.
 */
export function useBench(lesson?: number) {
  const history = useHistory<Moment>()
  const { now, canUndo, canRedo } = history
  /** Why the last change was refused: nothing was changed. */
  const refused = ref<string>()
  let newest = 0

  const saved = useSaved<Plan, { revision: number }>({
    restMs: REST_MS,
    what: () => now.value?.plan,
    send: (plan, based_on) => {
      const body = { based_on, plan }
      return reply(lesson === undefined ? api.PUT('/api/bench', { body }) : api.PUT('/api/lessons/{id}/bench', { params: { path: { id: lesson } }, body }))
    },
  })
  const { failure, changed } = saved

  async function load(): Promise<void> {
    const answer = await reply(lesson === undefined ? api.GET('/api/bench') : api.GET('/api/lessons/{id}/bench', { params: { path: { id: lesson } } }))
    failure.value = answer.ok ? undefined : answer.failure
    if (!answer.ok) return
    saved.settled(answer.value.revision)
    history.begin({ plan: answer.value.plan, rungs: answer.value.rungs })
  }

  /** Makes a change; the latest one asked for wins. Resolves to whether it was made. */
  async function change(asked: Change): Promise<boolean> {
    const before = now.value
    if (!before) return false
    const mine = (newest += 1)
    const answer = await reply(api.POST('/api/bench/change', { body: { plan: before.plan, change: asked } }))
    if (mine !== newest) return false
    failure.value = undefined
    refused.value = undefined
    if (!answer.ok) {
      if (answer.failure.kind === 'bad') refused.value = answer.failure.says
      else failure.value = answer.failure
      return false
    }
    history.put(answer.value)
    changed()
    return true
  }

  const draw = (order: LadderOrder): Promise<boolean> => change({ kind: 'draw', order })

  function step(taken: Moment | undefined): void {
    if (!taken) return
    newest += 1
    refused.value = undefined
    changed()
  }
  const undo = (): void => step(history.undo())
  const redo = (): void => step(history.redo())

  /** A title is no step of its own. */
  function setTitle(title: string): void {
    if (!now.value || now.value.plan.title === title) return
    now.value = { ...now.value, plan: { ...now.value.plan, title } }
    changed()
  }

  return {
    ...saved,
    plan: computed(() => now.value?.plan),
    rungs: computed(() => now.value?.rungs ?? []),
    canUndo,
    canRedo,
    refused,
    load,
    change,
    draw,
    undo,
    redo,
    setTitle,
    /** Nothing more is to be saved: the ladder hangs. */
    done: () => saved.settled(saved.revision.value),
  }
}
