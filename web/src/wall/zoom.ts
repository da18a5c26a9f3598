/** A part of the wall, larger: by keys, by the wheel, moved by dragging. */
import { computed, ref } from 'vue'

const LARGEST = 5

export function useZoom() {
  const scale = ref(1)
  const shift = ref<[number, number]>([0, 0])
  const from = ref<[number, number]>()
  /** Whether the pointer moved the slide since it was pressed: then it was no click. */
  const moved = ref(false)

  function by(factor: number, [x, y]: [number, number] = [0, 0]): void {
    const next = Math.min(LARGEST, Math.max(1, scale.value * factor))
    const change = next / scale.value
    // The place below the pointer stays where it is.
    shift.value = next === 1 ? [0, 0] : [x - (x - shift.value[0]) * change, y - (y - shift.value[1]) * change]
    scale.value = next
  }
  function wheel(event: WheelEvent): void {
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
    by(event.deltaY < 0 ? 1.12 : 1 / 1.12, [event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2])
  }
  function reset(): void {
    scale.value = 1
    shift.value = [0, 0]
  }
  function grab(event: PointerEvent): void {
    moved.value = false
    if (scale.value > 1) from.value = [event.clientX - shift.value[0], event.clientY - shift.value[1]]
  }
  function drag(event: PointerEvent): void {
    if (!from.value) return
    const now: [number, number] = [event.clientX - from.value[0], event.clientY - from.value[1]]
    if (Math.hypot(now[0] - shift.value[0], now[1] - shift.value[1]) > 4) moved.value = true
    shift.value = now
  }
  const drop = (): void => void (from.value = undefined)
  const style = computed(() => (scale.value === 1 ? {} : { transform: `translate(${shift.value[0]}px, ${shift.value[1]}px) scale(${scale.value})` }))

  return { by, wheel, reset, grab, drag, drop, moved, style }
}
