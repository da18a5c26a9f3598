<script setup lang="ts">
/** A problem, with its answer one step later. */
import { computed } from 'vue'
import FlawedLines from '@/components/FlawedLines.vue'
import MathLine from '@/components/MathLine.vue'
import MathText from '@/components/MathText.vue'
import SceneView from '@/components/SceneView.vue'
import { sceneOf } from '@/slide/drawn'
import type { FaceProps } from '../kinds'

const props = defineProps<FaceProps<'practice'>>()
const scene = computed(() => sceneOf(props.block.rung.figure ?? undefined, props.pictures))
const answered = computed(() => props.steps > 1)
</script>

<template>
  <div class="practice" :class="{ pictured: scene }">
    <div class="asked">
      <p class="block-text"><math-text :text="block.rung.prompt" /></p>
      <flawed-lines v-if="block.rung.flawed" class="block-text" :lines="block.rung.flawed.lines" />
      <p class="block-answer" :class="{ waits: !answered }">
        <template v-if="block.rung.story || block.rung.flawed || !block.rung.answer.latex">{{ block.rung.answer.text }}</template>
        <math-line v-else :latex="block.rung.answer.latex" />
      </p>
    </div>
    <scene-view v-if="scene" :scene="scene" grows />
  </div>
</template>

<style scoped>
.practice,
.asked {
  display: grid;
  gap: 0.5em;
  margin: 0;
}
.pictured {
  grid-template-columns: minmax(0, 1fr) minmax(0, var(--picture-part, 1fr));
  gap: 0.5em 1em;
  align-items: center;
}
[data-pictures='stacked'] .pictured {
  grid-template-columns: minmax(0, 1fr);
}
.practice :deep(.scene) {
  max-inline-size: calc(var(--shape) * 19cqw * var(--fit, 1) * var(--grow, 1));
}
@media (max-width: 700px) {
  .pictured {
    grid-template-columns: 1fr;
  }
}
</style>
