<script setup lang="ts">
/** A worked example as the class sees it after so many steps. */
import { computed } from 'vue'
import type { Drawing, Example } from '@/api/client'
import { boardOf, sceneOf } from '@/example/board'
import MathText from './MathText.vue'
import SceneView from './SceneView.vue'
import VerdictMark from './VerdictMark.vue'
import WorkingLines from './WorkingLines.vue'
import { words } from '@/words'

const props = withDefaults(defineProps<{ example: Example; pictures: Drawing[]; shown?: number }>(), { shown: Infinity })
const board = computed(() => boardOf(props.example, props.shown))
const scene = computed(() => sceneOf(board.value.figure, props.pictures))
/** Every picture that comes: its place is kept from the start, so that nothing jumps. */
const scenes = computed(() =>
  [props.example.figure, ...props.example.working.map((line) => line.figure)].flatMap((figure) => sceneOf(figure ?? undefined, props.pictures) ?? []),
)
/** A picture that is much wider than it is high takes the whole width, above the lines. */
const WIDE = 2.4
const stands = computed(() => {
  if (!scenes.value.length) return ''
  return scenes.value.some((one) => one.width / one.height > WIDE) ? 'above' : 'beside'
})
const slip = computed(() => props.example.working.find((line) => line.verdict === 'breaks' && line.from === props.example.slip?.line))
</script>

<template>
  <div class="board" :class="stands">
    <div class="told">
      <p v-if="example.prompt" class="prompt"><math-text :text="example.prompt" /></p>
      <p v-if="example.slip" class="prompt">{{ words.example.wrote(example.slip.name) }}</p>
      <scene-view v-if="scene && stands === 'above'" :scene="scene" grows class="wide" />
      <working-lines :lines="board.rows" :shown="board.visible">
        <template v-if="board.told" #mark="{ line }">
          <verdict-mark v-if="line.verdict === 'breaks'" word="breaks" />
        </template>
      </working-lines>
      <p v-if="board.told && slip" class="slip" role="status">{{ slip.says }}</p>
    </div>
    <scene-view v-if="scene && stands === 'beside'" :scene="scene" grows />
  </div>
</template>

<style scoped>
.board {
  container-type: inline-size;
}
.board.beside {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr);
  gap: 1em;
  align-items: start;
}
.told .wide {
  max-inline-size: min(86cqw, var(--shape) * 15cqw * var(--fit, 1));
  justify-self: start;
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
  .board.beside {
    grid-template-columns: 1fr;
  }
}
</style>
