<script setup lang="ts">
/** Draws with a finger, a pen or a mouse, on a picture or on an empty sheet. */
import { ElButton } from 'element-plus'
import { computed, ref, useTemplateRef } from 'vue'
import type { Scene } from '@/api/client'
import SceneView from '@/components/SceneView.vue'
import { joinWords } from '@/words/live'

const props = defineProps<{ scene?: Scene; closed?: boolean }>()
/** Strokes: points across and down in turn, in thousandths of the width. */
const strokes = defineModel<number[][]>({ required: true })
const sheet = useTemplateRef<SVGSVGElement>('sheet')
const open = ref<number[]>()
const shape = computed(() => (props.scene ? props.scene.height / props.scene.width : 0.75))

function point(event: PointerEvent): [number, number] {
  const box = sheet.value!.getBoundingClientRect()
  return [Math.round((1000 * (event.clientX - box.left)) / box.width), Math.round((1000 * (event.clientY - box.top)) / box.width)]
}
function press(event: PointerEvent): void {
  if (props.closed) return
  sheet.value?.setPointerCapture(event.pointerId)
  open.value = point(event)
}
function move(event: PointerEvent): void {
  if (!open.value) return
  const [x, y] = point(event)
  const [lastX = 0, lastY = 0] = open.value.slice(-2)
  // A few thousandths are no difference that anybody sees.
  if (Math.abs(x - lastX) + Math.abs(y - lastY) > 4) open.value.push(x, y)
}
function lift(): void {
  if (open.value) strokes.value = [...strokes.value, open.value]
  open.value = undefined
}

</script>

<template>
  <div class="pad">
    <div class="sheet" :style="{ aspectRatio: String(1 / shape) }">
      <scene-view v-if="scene" :scene="scene" grows />
      <svg ref="sheet" :viewBox="`0 0 1000 ${1000 * shape}`" role="img" :aria-label="joinWords.draw" @pointerdown.prevent="press" @pointermove="move" @pointerup="lift" @pointercancel="lift">
        <polyline v-for="(stroke, at) in strokes" :key="at" :points="stroke.join(' ')" />
        <polyline v-if="open" :points="open.join(' ')" />
      </svg>
    </div>
    <div v-if="!closed" class="tools">
      <el-button size="small" :disabled="!strokes.length" @click="strokes = strokes.slice(0, -1)">{{ joinWords.undo }}</el-button>
      <el-button size="small" :disabled="!strokes.length" @click="strokes = []">{{ joinWords.clear }}</el-button>
    </div>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  gap: 8px;
}
.sheet {
  position: relative;
  border: 2px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  overflow: hidden;
}
svg {
  position: absolute;
  inset: 0;
  inline-size: 100%;
  block-size: 100%;
  touch-action: none;
}
polyline {
  fill: none;
  stroke: var(--focus);
  stroke-width: 7;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.tools {
  display: flex;
}
</style>
