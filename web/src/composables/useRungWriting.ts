import { computed, reactive, ref } from 'vue'
import { api, reply, type DeskLine, type GivenAnswer, type JudgedLine, type Judgement } from '@/api/client'
import { dropDraft, findDraft, keepDraft } from './useDraft'
import { useSaved } from './useSaved'

export interface WritingLine extends DeskLine {
  /** Its own while the page is open. */
  key: number
}

/** Lines of one rung that the server does not have yet, kept on this device. */
interface Draft {
  lines: DeskLine[]
  answer?: GivenAnswer
  basedOn: number
}

/** A pause this long ends a line of typing, in milliseconds: nothing half-typed is judged. */
const PAUSE_MS = 550
let lastKey = 0

const isWritten = (line: DeskLine): boolean => line.text.trim() !== ''
const plain = ({ text, latex }: DeskLine): DeskLine => ({ text, latex })

/** The lines of one rung: judged and saved together whenever the writer pauses. */
export function useRungWriting(
  link: string,
  number: number,
  start: { lines: DeskLine[]; answer?: GivenAnswer; revision: number; judgement?: Judgement; words?: boolean },
) {
  const lines = reactive<WritingLine[]>([])
  /** What stands in the place for the answer. */
  const given = ref<GivenAnswer>()
  /** What was said of it, as long as it still stands. */
  const said = ref<JudgedLine>()
  const answered = ref(false)
  const finished = ref(false)
  /** What helps to go on from the last line, from a nudge to the next step. */
  const next = ref<string[]>([])
  /** What was said of a line, as long as it still stands as it was judged. */
  const judged = reactive(new Map<number, { text: string; found: JudgedLine }>())
  const draftKey = `${link}/${number}`
  const saved = useSaved<{ lines: WritingLine[]; answer?: GivenAnswer }, { revision: number; judgement: Judgement }>({
    restMs: PAUSE_MS,
    what: () => ({ lines: lines.filter(isWritten).map((line) => ({ ...line })), answer: given.value }),
    send: (sent, based_on) =>
      reply(api.PUT('/api/desk/{link}/rungs/{number}', { params: { path: { link, number } }, body: { based_on, lines: sent.lines.map(plain), answer: sent.answer } })),
    kept: (answer, sent, typedOn) => {
      take(sent.lines, answer.judgement)
      if (sent.answer !== given.value) said.value = undefined
      if (typedOn) keepHere()
      else dropDraft(draftKey)
    },
    // What is not sent yet is kept on this device.
    warns: false,
  })
  saved.settled(start.revision)

  // Where the answer is words, a new line takes words.
  const fresh = (line: DeskLine = { text: '', latex: !start.words }): WritingLine => ({ ...plain(line), key: (lastKey += 1) })

  function take(sent: WritingLine[], judgement: Judgement): void {
    judged.clear()
    sent.forEach((line, at) => {
      const found = judgement.lines[at]
      if (found) judged.set(line.key, { text: line.text, found })
    })
    said.value = judgement.answer ?? undefined
    answered.value = judgement.answered
    finished.value = judgement.finished
    next.value = judgement.next ?? []
  }

  function fill(from: DeskLine[]): void {
    lines.splice(0, lines.length, ...from.map(fresh))
    if (!lines.length) lines.push(fresh())
  }

  fill(start.lines)
  given.value = start.answer
  if (start.judgement) take(lines.filter(isWritten), start.judgement)
  const draft = findDraft<Draft>(draftKey)
  if (draft) {
    fill(draft.lines)
    given.value = draft.answer
    saved.revision.value = draft.basedOn
    changed()
  }

  /** What the server does not have yet is kept on this device. */
  function keepHere(): void {
    finished.value = false
    keepDraft(draftKey, { lines: lines.filter(isWritten).map(plain), answer: given.value, basedOn: saved.revision.value })
  }

  function changed(): void {
    keepHere()
    saved.changed()
  }

  /** The lines of the other window stand; those here are gone. */
  async function takeTheirs(): Promise<void> {
    const answer = await reply(api.GET('/api/desk/{link}', { params: { path: { link } } }))
    if (!answer.ok) return
    const found = answer.value.written.find((written) => written.number === number)
    fill(found?.lines ?? [])
    given.value = found?.answer ?? undefined
    said.value = undefined
    if (found) take(lines.filter(isWritten), found.judgement)
    dropDraft(draftKey)
    saved.settled(found?.revision ?? 0)
  }

  /** A line is written on. */
  function write(line: WritingLine, text: string, latex: boolean): void {
    Object.assign(line, { text, latex })
    changed()
  }

  /** Something is entered in the place for the answer. */
  function give(answer: GivenAnswer): void {
    given.value = answer
    said.value = undefined
    changed()
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

  const begun = computed(() => given.value !== undefined || lines.some(isWritten))
  return { ...saved, number, lines, given, said, give, answered, finished, next, begun, changed, takeTheirs, write, addAfter, remove, verdict }
}

export type RungWriting = ReturnType<typeof useRungWriting>
