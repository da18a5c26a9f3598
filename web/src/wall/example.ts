/** The worked example on the wall, whose numbers can be changed there, for this class alone. */
import { computed, type Ref } from 'vue'
import { api, reply, type Drawing, type Example, type LessonView } from '@/api/client'

export function useWallExample(view: Ref<LessonView | undefined>, pictures: Ref<Drawing[]>, at: Ref<number>, shown: Ref<number>) {
  const slide = computed(() => view.value?.lesson.slides[at.value])
  const exampleAt = computed(() => slide.value?.blocks.findIndex((block) => block.kind === 'worked_example') ?? -1)
  const example = computed(() => {
    const block = slide.value?.blocks[exampleAt.value]
    return block?.kind === 'worked_example' ? block.example : undefined
  })

  /** Other numbers: how the slide is revealed may be another then. */
  async function changeExample(example: Example, drawn: Drawing[]): Promise<void> {
    const [place, now] = [at.value, slide.value]
    if (!now || exampleAt.value < 0) return
    const blocks = now.blocks.map((block, n) => (n === exampleAt.value ? { kind: 'worked_example' as const, example } : block))
    const changed = { ...now, blocks }
    const answer = await reply(api.POST('/api/slides/reveal', { body: changed }))
    if (!answer.ok || !view.value) return
    view.value.lesson.slides[place] = changed
    view.value.reveals[place] = answer.value
    pictures.value = [...pictures.value, ...drawn]
    shown.value = 1
  }

  return { example, changeExample }
}
