import { computed, ref } from 'vue'
import { api, reply, type Beginning, type Block, type Example, type ExampleChange, type ExampleView, type Failure, type Lesson, type SlipOffer } from '@/api/client'
import { dropDraft, findDraft, keepDraft } from './useDraft'
import { useHistory } from './useHistory'

/** Where an example stands in a lesson. */
export interface Place {
  slide: number
  block: number
}
/** What is kept on this device: the example, and what stood on the slide when it was opened. */
interface Draft {
  example: Example
  original?: string
}
/** Saves are tried again on top of what another window saved, so often. */
const TRIES = 3

/**
 * A worked example while it is made. Every change is made and proved by the server and comes back as a whole; each can be
 * undone. Until it stands on a slide it is kept on this device.
 */
export function useExample(lesson?: number, place?: Place) {
  const draftKey = `example/${lesson ?? 'own'}/${place ? `${place.slide}.${place.block}` : 'new'}`
  const history = useHistory<ExampleView>()
  const { now } = history
  const failure = ref<Failure>()
  /** Why the last change was refused: nothing was changed. */
  const refused = ref<Failure>()
  const busy = ref(false)
  const slips = ref<SlipOffer[]>()
  let newest = 0
  /** The example as it stood on the slide when it was opened. */
  let original: string | undefined

  /** What stands now is kept on this device; what was offered for another moment is gone. */
  function settled(): void {
    slips.value = undefined
    if (now.value) keepDraft(draftKey, { example: now.value.example, original } satisfies Draft)
  }

  /** Asks for a view; the latest one asked for wins. */
  async function ask(asked: Parameters<typeof reply<ExampleView>>[0]): Promise<ExampleView | undefined> {
    const mine = (newest += 1)
    busy.value = true
    const answer = await reply(asked)
    if (mine !== newest) return undefined
    busy.value = false
    failure.value = undefined
    refused.value = undefined
    if (answer.ok) return answer.value
    if (answer.failure.kind === 'bad') refused.value = answer.failure
    else failure.value = answer.failure
    return undefined
  }

  /** Begins with a problem. Resolves to whether it could be worked. */
  async function begin(beginning: Beginning): Promise<boolean> {
    const view = await ask(api.POST('/api/examples', { body: beginning }))
    if (view) {
      history.put(view)
      settled()
    }
    return view !== undefined
  }

  async function change(asked: ExampleChange): Promise<boolean> {
    const before = now.value
    if (!before) return false
    const view = await ask(api.POST('/api/examples/change', { body: { example: before.example, change: asked } }))
    if (view) {
      history.put(view)
      settled()
    }
    return view !== undefined
  }

  async function open(example: Example): Promise<void> {
    const view = await ask(api.POST('/api/examples/change', { body: { example } }))
    if (view) history.begin(view)
  }

  /** What was begun here before, or what stands on the slide. */
  async function load(lessonThere: Lesson | undefined): Promise<void> {
    const draft = findDraft<Draft>(draftKey)
    const block = place && lessonThere?.slides.find((slide) => slide.id === place.slide)?.blocks[place.block]
    const there = block?.kind === 'worked_example' ? block.example : undefined
    original = draft ? draft.original : there && JSON.stringify(there)
    const example = draft?.example ?? there
    if (example) await open(example)
  }

  async function offerSlips(): Promise<void> {
    if (!now.value) return
    const answer = await reply(api.POST('/api/examples/slips', { body: now.value.example }))
    if (answer.ok) slips.value = answer.value
    else failure.value = answer.failure
  }

  function step(taken: ExampleView | undefined): void {
    if (!taken) return
    newest += 1
    busy.value = false
    refused.value = undefined
    settled()
  }

  /** Whether a block is the one that was opened: another one in its place is never written over. */
  const isOriginal = (block: Block): boolean => block.kind === 'worked_example' && JSON.stringify(block.example) === original

  /** Puts the example into a lesson as it stands there now. Resolves to whether it was saved. */
  async function send(into: number, put: (lesson: Lesson, block: Block, isOriginal: (block: Block) => boolean) => void): Promise<boolean> {
    if (!now.value) return false
    const block: Block = { kind: 'worked_example', example: now.value.example }
    const path = { params: { path: { id: into } } }
    busy.value = true
    for (let tries = 0; tries < TRIES; tries += 1) {
      const there = await reply(api.GET('/api/lessons/{id}', path))
      if (!there.ok) {
        failure.value = there.failure
        break
      }
      put(there.value.lesson, block, isOriginal)
      const body = { based_on: there.value.revision, lesson: there.value.lesson }
      const saved = await reply(api.PUT('/api/lessons/{id}', { ...path, body }))
      if (saved.ok) {
        dropDraft(draftKey)
        busy.value = false
        return true
      }
      failure.value = saved.failure
      if (saved.failure.kind !== 'stale') break
    }
    busy.value = false
    return false
  }

  return {
    view: computed(() => now.value),
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    failure,
    refused,
    busy,
    slips,
    begin,
    change,
    load,
    offerSlips,
    send,
    undo: () => step(history.undo()),
    redo: () => step(history.redo()),
  }
}
