import { computed, onScopeDispose, ref } from 'vue'
import { api, reply, type BenchRung, type Change, type Failure, type LadderOrder, type Plan } from '@/api/client'
import { useHistory } from './useHistory'
import type { SaveState } from './useLesson'

/** How long the bench rests before it is saved, in milliseconds. */
const REST_MS = 600
const RETRY_MS = 4000

/** What lies on the bench at one moment: it is replaced as a whole, never changed. */
interface Moment {
  plan: Plan
  rungs: BenchRung[]
}

/**
 * The ladder of a lesson while it is made. Every change is made and proved by the server and comes back as a whole; each
 * can be undone; the draft saves itself.
 */
export function useBench(lesson: number) {
  const history = useHistory<Moment>()
  const { now, canUndo, canRedo } = history
  const failure = ref<Failure>()
  /** Why the last change was refused: nothing was changed. */
  const refused = ref<string>()
  const state = ref<SaveState>('saved')
  const stale = ref<number>()
  let revision = 0
  let newest = 0
  let timer: ReturnType<typeof setTimeout> | undefined

  async function load(): Promise<void> {
    const answer = await reply(api.GET('/api/lessons/{id}/bench', { params: { path: { id: lesson } } }))
    failure.value = answer.ok ? undefined : answer.failure
    if (!answer.ok) return
    revision = answer.value.revision
    stale.value = undefined
    state.value = 'saved'
    history.begin({ plan: answer.value.plan, rungs: answer.value.rungs })
  }

  function later(wait = REST_MS): void {
    clearTimeout(timer)
    timer = setTimeout(save, wait)
  }

  async function save(): Promise<void> {
    clearTimeout(timer)
    const sent = now.value
    if (!sent || state.value !== 'unsaved' || stale.value !== undefined) return
    state.value = 'saving'
    const body = { based_on: revision, plan: sent.plan }
    const answer = await reply(api.PUT('/api/lessons/{id}/bench', { params: { path: { id: lesson } }, body }))
    if (answer.ok) {
      revision = answer.value.revision
      state.value = now.value === sent ? 'saved' : 'unsaved'
      if (state.value === 'unsaved') later()
      return
    }
    state.value = 'unsaved'
    if (answer.failure.kind === 'stale') stale.value = answer.failure.revision ?? revision
    else if (answer.unreached) later(RETRY_MS)
    else failure.value = answer.failure
  }

  /** The draft here goes on top of what stands there. */
  async function keepMine(): Promise<void> {
    revision = stale.value ?? revision
    stale.value = undefined
    await save()
  }

  /** What lies on the bench has changed. */
  function changed(): void {
    state.value = state.value === 'saving' ? 'saving' : 'unsaved'
    later()
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

  function warn(event: BeforeUnloadEvent): void {
    if (state.value !== 'saved') event.preventDefault()
  }
  addEventListener('beforeunload', warn)
  onScopeDispose(() => {
    removeEventListener('beforeunload', warn)
    clearTimeout(timer)
    void save()
  })

  /** Nothing more is to be saved: the ladder hangs. */
  function done(): void {
    clearTimeout(timer)
    state.value = 'saved'
  }

  return {
    plan: computed(() => now.value?.plan),
    rungs: computed(() => now.value?.rungs ?? []),
    canUndo,
    canRedo,
    failure,
    refused,
    state,
    stale,
    load,
    save,
    keepMine,
    change,
    draw,
    undo,
    redo,
    setTitle,
    done,
  }
}
