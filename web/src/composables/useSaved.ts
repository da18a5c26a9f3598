import { onScopeDispose, ref } from 'vue'
import type { Failure, Reply } from '@/api/client'

/**
 * How far what is here is from what the server keeps. What was refused stays unsaved until it is changed; what could not
 * be sent is sent again.
 */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'offline' | 'refused'

/** A save that did not arrive is tried again after so long, in milliseconds. */
const RETRY_MS = 4000

export interface Saved<T, A extends { revision: number }> {
  /** Changes rest this long before they are saved, in milliseconds. */
  restMs: number
  /** What is to be saved; nothing where all of it is kept. */
  what: () => T | undefined
  /** Sends it, based on a revision. */
  send: (value: T, basedOn: number) => Promise<Reply<A>>
  /** It was kept; `typedOn` where it has been changed in the meantime. */
  kept?: (answer: A, sent: T, typedOn: boolean) => void
  /** Whether leaving the page is asked about while something is not saved; not where it is kept on this device. */
  warns?: boolean
}

/**
 * Saves what is changed here, a little after each change. A save that is based on an older revision is refused by the
 * server; `stale` then holds the revision that stands until one of the two is chosen.
 */
export function useSaved<T, A extends { revision: number }>(of: Saved<T, A>) {
  const state = ref<SaveState>('saved')
  const failure = ref<Failure>()
  const stale = ref<number>()
  const revision = ref(0)
  let timer: ReturnType<typeof setTimeout> | undefined
  let changes = 0
  let running = false

  function later(wait: number): void {
    clearTimeout(timer)
    timer = setTimeout(save, wait)
  }

  /** Something has been changed. */
  function changed(): void {
    changes += 1
    if (!running) state.value = 'unsaved'
    later(of.restMs)
  }

  async function save(): Promise<void> {
    clearTimeout(timer)
    if (running || state.value === 'saved' || stale.value !== undefined) return
    const sent = of.what()
    if (sent === undefined) {
      state.value = 'saved'
      return
    }
    const before = changes
    running = true
    state.value = 'saving'
    const answer = await of.send(sent, revision.value)
    running = false
    const typedOn = changes !== before
    if (answer.ok) {
      failure.value = undefined
      revision.value = answer.value.revision
      state.value = typedOn ? 'unsaved' : 'saved'
      of.kept?.(answer.value, sent, typedOn)
      if (typedOn) later(of.restMs)
      return
    }
    if (answer.failure.kind === 'stale') {
      state.value = 'unsaved'
      stale.value = answer.failure.revision ?? revision.value
      return
    }
    failure.value = answer.failure
    const again = Boolean(answer.unreached) || answer.failure.kind === 'internal'
    state.value = again ? 'offline' : 'refused'
    if (again) later(RETRY_MS)
  }

  /** What is here goes on top of what stands there. */
  async function keepMine(): Promise<void> {
    revision.value = stale.value ?? revision.value
    stale.value = undefined
    if (state.value === 'saved') state.value = 'unsaved'
    await save()
  }

  /** What stands there, at that revision, is what is here. */
  function settled(at: number): void {
    clearTimeout(timer)
    revision.value = at
    stale.value = undefined
    failure.value = undefined
    state.value = 'saved'
  }

  const warn = (event: BeforeUnloadEvent): void => {
    if (of.warns !== false && state.value !== 'saved') event.preventDefault()
  }
  const online = (): void => {
    if (state.value === 'offline') void save()
  }
  addEventListener('beforeunload', warn)
  addEventListener('online', online)
  onScopeDispose(() => {
    removeEventListener('beforeunload', warn)
    removeEventListener('online', online)
    clearTimeout(timer)
    void save()
  })

  return { state, failure, stale, revision, changed, save, keepMine, settled }
}
