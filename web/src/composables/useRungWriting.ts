import { computed, onScopeDispose, reactive, ref } from 'vue'
import { api, reply, type DeskLine, type JudgedLine, type Judgement } from '@/api/client'
import { dropDraft, findDraft, keepDraft } from './useDraft'

export interface WritingLine extends DeskLine {
  /** Its own while the page is open. */
  key: number
}
export type WritingState = 'saved' | 'typing' | 'saving' | 'offline' | 'refused' | 'stale'

/** Lines of one rung that the server does not have yet, kept on this device. */
interface Draft {
  lines: DeskLine[]
  basedOn: number
}

/** A pause this long ends a line of typing, in milliseconds: nothing half-typed is judged. */
const PAUSE_MS = 550
const RETRY_MS = 3000
let lastKey = 0

const isWritten = (line: DeskLine): boolean => line.text.trim() !== ''
const plain = ({ text, latex }: DeskLine): DeskLine => ({ text, latex })

/** The lines of one rung: judged and saved together whenever the writer pauses. */
export function useRungWriting(
  link: string,
  number: number,
  start: { lines: DeskLine[]; revision: number; judgement?: Judgement; words?: boolean },
) {
  const lines = reactive<WritingLine[]>([])
  const state = ref<WritingState>('saved')
  const says = ref('')
  const answered = ref(false)
  const finished = ref(false)
  /** What helps to go on from the last line, from a nudge to the next step. */
  const next = ref<string[]>([])
  /** What was said of a line, as long as it still stands as it was judged. */
  const judged = reactive(new Map<number, { text: string; found: JudgedLine }>())
  const draftKey = `${link}/${number}`
  let revision = start.revision
  let timer: ReturnType<typeof setTimeout> | undefined
  let running = false

  // Where the answer is words, a new line takes words.
  const fresh = (line: DeskLine = { text: '', latex: !start.words }): WritingLine => ({ ...plain(line), key: (lastKey += 1) })

  function take(sent: WritingLine[], judgement: Judgement): void {
    judged.clear()
    sent.forEach((line, at) => {
      const found = judgement.lines[at]
      if (found) judged.set(line.key, { text: line.text, found })
    })
    answered.value = judgement.answered
    finished.value = judgement.finished
    next.value = judgement.next ?? []
  }

  function fill(from: DeskLine[]): void {
    lines.splice(0, lines.length, ...from.map(fresh))
    if (!lines.length) lines.push(fresh())
  }

  fill(start.lines)
  if (start.judgement) take(lines.filter(isWritten), start.judgement)
  const draft = findDraft<Draft>(draftKey)
  if (draft) {
    fill(draft.lines)
    revision = draft.basedOn
    changed()
  }

  function changed(): void {
    state.value = 'typing'
    finished.value = false
    keepDraft(draftKey, { lines: lines.filter(isWritten).map(plain), basedOn: revision })
    clearTimeout(timer)
    timer = setTimeout(save, PAUSE_MS)
  }

  async function save(): Promise<void> {
    clearTimeout(timer)
    if (running || state.value === 'saved' || state.value === 'stale') return
    running = true
    state.value = 'saving'
    const sent = lines.filter(isWritten).map((line) => ({ ...line }))
    const path = { link, number }
    const body = { based_on: revision, lines: sent.map(plain) }
    const answer = await reply(api.PUT('/api/desk/{link}/rungs/{number}', { params: { path }, body }))
    running = false
    // The state may have moved on while the answer was on its way.
    const typedOn = (state.value as WritingState) === 'typing'
    if (answer.ok) {
      revision = answer.value.revision
      take(sent, answer.value.judgement)
      if (typedOn) return changed()
      dropDraft(draftKey)
      state.value = 'saved'
      return
    }
    says.value = answer.failure.says
    if (answer.failure.kind === 'stale') {
      revision = answer.failure.revision ?? revision
      state.value = 'stale'
    } else if (answer.unreached || answer.failure.kind === 'internal') {
      state.value = 'offline'
      timer = setTimeout(save, RETRY_MS)
    } else {
      state.value = 'refused'
    }
  }

  /** The lines here go on top of those of the other window. */
  function keepMine(): Promise<void> {
    state.value = 'typing'
    return save()
  }

  /** The lines of the other window stand; those here are gone. */
  async function takeTheirs(): Promise<void> {
    const answer = await reply(api.GET('/api/desk/{link}', { params: { path: { link } } }))
    if (!answer.ok) return
    const found = answer.value.written.find((written) => written.number === number)
    fill(found?.lines ?? [])
    revision = found?.revision ?? 0
    if (found) take(lines.filter(isWritten), found.judgement)
    dropDraft(draftKey)
    state.value = 'saved'
  }

  function addAfter(at: number): WritingLine {
    const line = fresh()
    lines.splice(at + 1, 0, line)
    return line
  }

  function remove(at: number): void {
    lines.splice(at, 1)
    if (!lines.length) lines.push(fresh())
    changed()
  }

  /** What is said of a line; nothing while it is being changed. */
  function verdict(line: WritingLine): JudgedLine | undefined {
    const found = judged.get(line.key)
    return found && found.text === line.text ? found.found : undefined
  }

  function backOnline(): void {
    if (state.value === 'offline') void save()
  }
  addEventListener('online', backOnline)
  onScopeDispose(() => {
    removeEventListener('online', backOnline)
    void save()
  })

  const begun = computed(() => lines.some(isWritten))
  return { number, lines, state, says, answered, finished, next, begun, changed, save, keepMine, takeTheirs, addAfter, remove, verdict }
}

export type RungWriting = ReturnType<typeof useRungWriting>
