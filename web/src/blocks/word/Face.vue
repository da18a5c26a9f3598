<script setup lang="ts">
/** A word with what it means, and its picture. */
import { computed } from 'vue'
import MathText from '@/components/MathText.vue'
import SceneView from '@/components/SceneView.vue'
import { sceneOf } from '@/slide/drawn'
import type { FaceProps } from '../kinds'

const props = defineProps<FaceProps<'word'>>()
const scene = computed(() => sceneOf(props.block.figure ?? undefined, props.pictures))
</script>

<template>
  <div class="word" :class="{ pictured: scene }">
    <p><strong>{{ block.word }}</strong><span><math-text :text="block.means" /></span></p>
    <scene-view v-if="scene" :scene="scene" grows />
  </div>
</template>

<style scoped>
.word p {
  display: grid;
  gap: 0.1em;
}
.word strong {
  font-size: 1.1em;
}
.pictured {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, var(--picture-part, 1fr));
  gap: 0.5em 1em;
  align-items: center;
}
[data-pictures='stacked'] .pictured {
  grid-template-columns: minmax(0, 1fr);
}
.word :deep(.scene) {
  max-inline-size: calc(var(--shape) * 19cqw * var(--fit, 1) * var(--grow, 1));
}
@media (max-width: 700px) {
  .pictured {
    grid-template-columns: 1fr;
  }
}
</style>
