import { isEqual } from 'lodash-es'
import { computed, markRaw, ref, shallowRef, toRaw, watch } from 'vue'
import { useHistory } from './useHistory'
import { useSaved } from './useSaved'
import { api, reply, type Checked, type Drawing, type Lesson, type LessonView } from '@/api/client'

/** The sitting at each lesson: what was done to it since the page was opened, on whichever screen. */
const sittings = new Map<number, ReturnType<typeof useHistory<string>>>()

/** Typing rests this long before it is saved, in milliseconds. */
const REST_MS = 700

/** What is only replaced as a whole is not looked into for changes: a long lesson has thousands of lines of working. */
function light(lesson: Lesson): Lesson {
  for (const block of lesson.slides.flatMap((slide) => slide.blocks)) {
    if (block.kind === 'worked_example') markRaw(block.example)
    else if (block.kind === 'practice') markRaw(block.rung)
    else if (block.kind === 'picture') markRaw(block.figure)
  }
  return lesson
}

/** A lesson that is edited in place and saves itself. */
export function useLesson(id: number) {
  const lesson = ref<Lesson>()
  /** What was proved, by the id of the slide: it goes along when a slide is moved. */
  const checked = ref(new Map<number, Checked>())
  /** The pictures of its slides, drawn. */
  const pictures = shallowRef<Drawing[]>([])
  const minutesOver = ref(0)
  /** Counts its changes, whoever made them. */
  const changes = ref(0)
  const isNew = !sittings.has(id)
  const sitting = sittings.get(id) ?? useHistory<string>()
  sittings.set(id, sitting)
  /** The lesson as the server has it, to tell a change of ours from its answer. */
  let kept = ''

  const path = { id }
  const saved = useSaved<Lesson, LessonView>({
    restMs: REST_MS,
    what: () => {
      const now = JSON.stringify(toRaw(lesson.value))
      if (now === undefined || now === kept) return undefined
      remember()
      return JSON.parse(now) as Lesson
    },
    send: (now, based_on) => reply(api.PUT('/api/lessons/{id}', { params: { path }, body: { based_on, lesson: now } })),
    kept: (view, _, typedOn) => {
      take(view, typedOn)
      // The server may have worked something out anew: the same step, told more exactly.
      if (!typedOn) sitting.amend(kept)
    },
  })

  function take(view: LessonView, keepTyping: boolean): void {
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
    saved.settled(view.revision)
    remember()
  }

  async function load(): Promise<void> {
    const answer = await reply(api.GET('/api/lessons/{id}', { params: { path } }))
    saved.failure.value = answer.ok ? undefined : answer.failure
    if (!answer.ok) return
    take(answer.value, false)
    saved.settled(answer.value.revision)
    if (isNew || sitting.now.value === undefined) sitting.begin(kept)
    else remember()
  }

  watch(
    lesson,
    (now) => {
      changes.value += 1
      // Once it is known to differ, it is compared again only when it is saved.
      if (!now || (saved.state.value === 'saved' && JSON.stringify(toRaw(now)) === kept)) return
      saved.changed()
    },
    { deep: true },
  )

  return {
    ...saved,
    lesson,
    checked,
    pictures,
    minutesOver: computed(() => minutesOver.value),
    changes,
    load,
    adopt,
    undo: () => go('undo'),
    redo: () => go('redo'),
    canUndo: sitting.canUndo,
    canRedo: sitting.canRedo,
  }
}
