import { isEqual } from 'lodash-es'
import { computed, markRaw, onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue'
import { useHistory } from './useHistory'
import { api, reply, type Checked, type Drawing, type Failure, type Lesson, type LessonView } from '@/api/client'

/** The sitting at each lesson: what was done to it since the page was opened, on whichever screen. */
const sittings = new Map<number, ReturnType<typeof useHistory<string>>>()

export type SaveState = 'saved' | 'saving' | 'unsaved'
/** Typing rests this long before it is saved, in milliseconds. */
const REST_MS = 700
const RETRY_MS = 4000

/** What is only replaced as a whole is not looked into for changes: a long lesson has thousands of lines of working. */
function light(lesson: Lesson): Lesson {
  for (const block of lesson.slides.flatMap((slide) => slide.blocks)) {
    if (block.kind === 'worked_example') markRaw(block.example)
    else if (block.kind === 'practice') markRaw(block.rung)
    else if (block.kind === 'picture') markRaw(block.figure)
  }
  return lesson
}

/**
 * A lesson that is edited in place and saves itself. A save that is based on an older revision is refused
 * by the server; `stale` then holds until one of the two is chosen.
 */
export function useLesson(id: number) {
  const lesson = ref<Lesson>()
  /** What was proved, by the id of the slide: it goes along when a slide is moved. */
  const checked = ref(new Map<number, Checked>())
  /** The pictures of its slides, drawn. */
  const pictures = shallowRef<Drawing[]>([])
  const minutesOver = ref(0)
  const failure = ref<Failure>()
  const state = ref<SaveState>('saved')
  const stale = ref<number>()
  const revision = ref(0)
  /** Counts its changes, whoever made them. */
  const changes = ref(0)
  const isNew = !sittings.has(id)
  const sitting = sittings.get(id) ?? useHistory<string>()
  sittings.set(id, sitting)
  let timer: ReturnType<typeof setTimeout> | undefined
  /** The lesson as the server has it, to tell a change of ours from its answer. */
  let kept = ''

  function take(view: LessonView, keepTyping: boolean): void {
    revision.value = view.revision
    // What is the same stays the same object, so that nothing is drawn again for it.
    const told = view.lesson.slides.flatMap((slide, at): [number, Checked][] => {
      const [now, was] = [view.checked[at], checked.value.get(slide.id)]
      return now ? [[slide.id, was && isEqual(was, now) ? was : now]] : []
    })
    checked.value = new Map(told)
    if (!isEqual(view.pictures, pictures.value)) pictures.value = view.pictures
    minutesOver.value = view.minutes_over
    kept = JSON.stringify(view.lesson)
    if (keepTyping) return
    if (lesson.value && isEqual(toRaw(lesson.value), view.lesson)) kept = JSON.stringify(toRaw(lesson.value))
    else lesson.value = light(view.lesson)
  }

  /** What stands now becomes a step that can be undone. */
  function remember(): void {
    const now = JSON.stringify(toRaw(lesson.value))
    if (now !== undefined && now !== sitting.now.value) sitting.put(now)
  }

  function go(to: 'undo' | 'redo'): void {
    remember()
    const moment = sitting[to]()
    if (moment !== undefined) lesson.value = light(JSON.parse(moment) as Lesson)
  }

  /** Takes a lesson that the server changed, as a step that can be undone. */
  function adopt(view: LessonView): void {
    remember()
    take(view, false)
    state.value = 'saved'
    remember()
  }

  async function load(): Promise<void> {
    const answer = await reply(api.GET('/api/lessons/{id}', { params: { path: { id } } }))
    failure.value = answer.ok ? undefined : answer.failure
    if (!answer.ok) return
    stale.value = undefined
    state.value = 'saved'
    take(answer.value, false)
    if (isNew || sitting.now.value === undefined) sitting.begin(kept)
    else remember()
  }

  async function save(): Promise<void> {
    clearTimeout(timer)
    if (!lesson.value || state.value === 'saving' || stale.value !== undefined) return
    const sent = JSON.stringify(toRaw(lesson.value))
    if (sent === kept) {
      state.value = 'saved'
      return
    }
    state.value = 'saving'
    remember()
    const body = { based_on: revision.value, lesson: JSON.parse(sent) as Lesson }
    const answer = await reply(api.PUT('/api/lessons/{id}', { params: { path: { id } }, body }))
    if (answer.ok) {
      failure.value = undefined
      const typedOn = JSON.stringify(toRaw(lesson.value)) !== sent
      take(answer.value, typedOn)
      // The server may have worked something out anew: the same step, told more exactly.
      if (!typedOn) sitting.amend(kept)
      state.value = typedOn ? 'unsaved' : 'saved'
      if (typedOn) timer = setTimeout(save, REST_MS)
      return
    }
    state.value = 'unsaved'
    if (answer.failure.kind === 'stale') {
      stale.value = answer.failure.revision ?? revision.value
      return
    }
    failure.value = answer.failure
    if (answer.unreached) timer = setTimeout(save, RETRY_MS)
  }

  /** The lesson here goes on top of what stands there. */
  async function keepMine(): Promise<void> {
    revision.value = stale.value ?? revision.value
    stale.value = undefined
    await save()
  }

  watch(
    lesson,
    (now) => {
      changes.value++
      // Once it is known to differ, it is compared again only when it is saved.
      if (!now || (state.value === 'saved' && JSON.stringify(toRaw(now)) === kept)) return
      if (state.value !== 'saving') state.value = 'unsaved'
      clearTimeout(timer)
      timer = setTimeout(save, REST_MS)
    },
    { deep: true },
  )

  function warn(event: BeforeUnloadEvent): void {
    if (state.value !== 'saved') event.preventDefault()
  }
  addEventListener('beforeunload', warn)
  onScopeDispose(() => {
    removeEventListener('beforeunload', warn)
    clearTimeout(timer)
    void save()
  })

  return {
    lesson,
    revision,
    checked,
    pictures,
    minutesOver: computed(() => minutesOver.value),
    failure,
    state,
    stale,
    changes,
    load,
    save,
    keepMine,
    adopt,
    undo: () => go('undo'),
    redo: () => go('redo'),
    canUndo: sitting.canUndo,
    canRedo: sitting.canRedo,
  }
}
