<script setup lang="ts">
/** Draws over a slide, and shows what was drawn. */
import { ref, useTemplateRef } from 'vue'
import type { Stroke, Tool } from '@/wall/ink'

const props = defineProps<{ tool: Tool; strokes: Stroke[] }>()
const emit = defineEmits<{ drawn: [stroke: Stroke] }>()
const sheet = useTemplateRef<SVGSVGElement>('sheet')
const open = ref<Stroke>()
const light = ref<[number, number]>()

/** Where a pointer is, in hundredths of the width. */
function place(event: PointerEvent): [number, number] {
  const box = sheet.value!.getBoundingClientRect()
  const part = (length: number): number => Math.round((1e4 * length) / box.width) / 100
  return [part(event.clientX - box.left), part(event.clientY - box.top)]
}

function press(event: PointerEvent): void {
  if (props.tool === 'none' || props.tool === 'pointer') return
  sheet.value?.setPointerCapture(event.pointerId)
  open.value = { tool: props.tool, points: [place(event)] }
}
function move(event: PointerEvent): void {
  if (props.tool === 'pointer') light.value = place(event)
  if (!open.value) return
  const all = event.getCoalescedEvents?.() ?? []
  open.value.points.push(...(all.length ? all : [event]).map(place))
}
function lift(): void {
  if (open.value) emit('drawn', open.value)
  open.value = undefined
}
const path = (stroke: Stroke): string => stroke.points.map((point) => point.join(',')).join(' ')
</script>

<template>
  <svg
    ref="sheet"
    class="ink"
    :class="tool"
    viewBox="0 0 100 56.25"
    preserveAspectRatio="none"
    aria-hidden="true"
    @pointerdown.prevent="press"
    @pointermove="move"
    @pointerup="lift"
    @pointercancel="lift"
    @pointerleave="light = undefined"
    @click.stop
  >
    <polyline v-for="(stroke, at) in strokes" :key="at" :points="path(stroke)" :class="stroke.tool" />
    <polyline v-if="open" :points="path(open)" :class="open.tool" />
    <circle v-if="tool === 'pointer' && light" :cx="light[0]" :cy="light[1]" r="0.9" class="light" />
  </svg>
</template>

<style scoped>
.ink {
  position: absolute;
  inset: 0;
  inline-size: 100%;
  block-size: 100%;
  touch-action: none;
  pointer-events: none;
}
.ink.pen,
.ink.marker {
  cursor: crosshair;
  pointer-events: auto;
}
.ink.pointer {
  cursor: none;
  pointer-events: auto;
}
polyline {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}
polyline.pen {
  stroke: #a5301f;
  stroke-width: 0.35;
}
polyline.marker {
  stroke: var(--honey);
  stroke-width: 2.4;
  opacity: 0.45;
}
.light {
  fill: #d8321c;
  opacity: 0.85;
}
</style>
