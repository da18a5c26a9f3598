import { useDebounceFn } from '@vueuse/core'
import { ref, watch, type Ref } from 'vue'
import { api, reply, type Failure, type Lesson, type Look } from '@/api/client'

/** Typing rests this long before the lesson is looked over again, in milliseconds. */
const REST_MS = 900

/** What is wrong with a lesson as it stands on the screen, looked over again after each of its `changes`. */
export function useSecondLook(lesson: Ref<Lesson | undefined>, changes: Ref<number>) {
  const look = ref<Look>()
  const failure = ref<Failure>()

  const again = useDebounceFn(async () => {
    if (!lesson.value) return
    const answer = await reply(api.POST('/api/second-look', { body: lesson.value }))
    failure.value = answer.ok ? undefined : answer.failure
    if (answer.ok) look.value = answer.value
  }, REST_MS)
  watch(changes, again, { immediate: true })

  async function mend(name: string): Promise<void> {
    if (!lesson.value) return
    const answer = await reply(api.POST('/api/second-look/mend', { body: { lesson: lesson.value, name } }))
    failure.value = answer.ok ? undefined : answer.failure
    if (answer.ok) lesson.value = answer.value
  }
  function dismiss(name: string, reason: string): void {
    if (lesson.value) lesson.value.dismissed = [...(lesson.value.dismissed ?? []), { name, reason }]
  }
  function takeBack(name: string): void {
    if (lesson.value) lesson.value.dismissed = (lesson.value.dismissed ?? []).filter((one) => one.name !== name)
  }

  return { look, failure, mend, dismiss, takeBack }
}
