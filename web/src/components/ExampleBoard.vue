<script setup lang="ts">
/** A worked example as the class sees it after so many steps. */
import { computed } from 'vue'
import type { Example, Scene } from '@/api/client'
import { boardOf } from '@/example/board'
import MathText from './MathText.vue'
import SceneView from './SceneView.vue'
import VerdictMark from './VerdictMark.vue'
import WorkingLines from './WorkingLines.vue'
import { words } from '@/words'

const props = withDefaults(defineProps<{ example: Example; scene?: Scene; shown?: number }>(), { shown: Infinity })
const board = computed(() => boardOf(props.example, props.shown))
const slip = computed(() => props.example.working.find((line) => line.verdict === 'breaks' && line.from === props.example.slip?.line))
</script>

<template>
  <div class="board" :class="{ pictured: scene }">
    <div class="told">
      <p v-if="example.prompt" class="prompt"><math-text :text="example.prompt" /></p>
      <p v-if="example.slip" class="prompt">{{ words.example.wrote(example.slip.name) }}</p>
      <working-lines :lines="board.rows" :shown="board.visible">
        <template v-if="board.told" #mark="{ line }">
          <verdict-mark v-if="line.verdict === 'breaks'" word="breaks" />
        </template>
      </working-lines>
      <p v-if="board.told && slip" class="slip" role="status">{{ slip.says }}</p>
    </div>
    <scene-view v-if="scene" :scene="scene" grows />
  </div>
</template>

<style scoped>
.board {
  container-type: inline-size;
}
.board.pictured {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr);
  gap: 1em;
  align-items: start;
}
.told {
  display: grid;
  gap: 0.5em;
  min-inline-size: 0;
}
.prompt {
  max-inline-size: 34em;
}
.slip {
  padding: 0.3em 0.6em;
  border-inline-start: 0.3em solid var(--verdict-breaks);
  background: var(--sunk);
}
@media (max-width: 700px) {
  .board.pictured {
    grid-template-columns: 1fr;
  }
}
</style>
