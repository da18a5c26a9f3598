/** What is drawn over a slide on the wall: strokes in hundredths of the slide's width, slide by slide. */
import { computed, ref, shallowRef, watch } from 'vue'

export type Tool = 'none' | 'pen' | 'marker' | 'pointer'

export interface Stroke {
  tool: 'pen' | 'marker'
  /** Across and down, in hundredths of the slide's width. */
  points: [number, number][]
}

type Drawn = Record<number, Stroke[]>

const keyOf = (lesson: number): string => `honey-ladder.ink.${lesson}`

function kept(lesson: number): Drawn {
  try {
    return JSON.parse(localStorage.getItem(keyOf(lesson)) ?? '{}') as Drawn
  } catch {
    return {}
  }
}

/** The ink of one lesson; it stays on this device only when it is kept. */
export function useInk(lesson: number, slide: () => number | undefined) {
  const tool = ref<Tool>('none')
  const drawn = shallowRef<Drawn>(kept(lesson))
  const strokes = computed(() => drawn.value[slide() ?? 0] ?? [])
  const isDrawn = computed(() => Object.values(drawn.value).some((all) => all.length > 0))

  function set(all: Stroke[]): void {
    const id = slide()
    if (id !== undefined) drawn.value = { ...drawn.value, [id]: all }
  }
  const add = (stroke: Stroke): void => set([...strokes.value, stroke])
  const undo = (): void => set(strokes.value.slice(0, -1))
  const wipe = (): void => set([])

  function keep(): void {
    try {
      localStorage.setItem(keyOf(lesson), JSON.stringify(drawn.value))
    } catch {
      // A full device keeps nothing; the lesson itself is not touched by it.
    }
  }
  function drop(): void {
    drawn.value = {}
    localStorage.removeItem(keyOf(lesson))
  }
  watch(slide, () => {
    if (tool.value === 'pointer') tool.value = 'none'
  })

  return { tool, strokes, isDrawn, add, undo, wipe, keep, drop }
}
