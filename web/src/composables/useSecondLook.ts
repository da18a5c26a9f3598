import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'
import { api, reply, type Lesson, type Look } from '@/api/client'
import { useCall } from './useCall'

/** Typing rests this long before the lesson is looked over again, in milliseconds. */
const REST_MS = 900

/** What is wrong with a lesson as it stands on the screen, looked over again after each of its `changes`. */
export function useSecondLook(lesson: Ref<Lesson | undefined>, changes: Ref<number>) {
  const look = ref<Look>()
  const looks = useCall()
  const mends = useCall()

  const again = useDebounceFn(async () => {
    if (!lesson.value) return
    await looks.call(reply(api.POST('/api/second-look', { body: lesson.value })), (found) => (look.value = found))
  }, REST_MS)
  watch(changes, again, { immediate: true })

  async function mend(name: string): Promise<void> {
    if (!lesson.value) return
    await mends.call(reply(api.POST('/api/second-look/mend', { body: { lesson: lesson.value, name } })), (mended) => (lesson.value = mended))
  }
  function dismiss(name: string, reason: string): void {
    if (lesson.value) lesson.value.dismissed = [...(lesson.value.dismissed ?? []), { name, reason }]
  }
  function takeBack(name: string): void {
    if (lesson.value) lesson.value.dismissed = (lesson.value.dismissed ?? []).filter((one) => one.name !== name)
  }

  return { look, failure: computed(() => mends.failure.value ?? looks.failure.value), mend, dismiss, takeBack }
}
