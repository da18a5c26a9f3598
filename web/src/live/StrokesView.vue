<script setup lang="ts">
/** What somebody drew. */
import { computed } from 'vue'
import type { Scene } from '@/api/client'
import SceneView from '@/components/SceneView.vue'

const props = defineProps<{ strokes: number[][]; scene?: Scene }>()
const shape = computed(() => (props.scene ? props.scene.height / props.scene.width : 0.75))
</script>

<template>
  <span class="drawn" :style="{ aspectRatio: String(1 / shape) }">
    <scene-view v-if="scene" :scene="scene" grows />
    <svg :viewBox="`0 0 1000 ${1000 * shape}`" aria-hidden="true">
      <polyline v-for="(stroke, at) in strokes" :key="at" :points="stroke.join(' ')" />
    </svg>
  </span>
</template>

<style scoped>
.drawn {
  position: relative;
  display: block;
}
svg {
  position: absolute;
  inset: 0;
  inline-size: 100%;
  block-size: 100%;
}
polyline {
  fill: none;
  stroke: var(--focus);
  stroke-width: 9;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
