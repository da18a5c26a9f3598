<script setup lang="ts">
/** A worked example as the class sees it after so many steps. */
import { computed } from 'vue'
import type { Drawing, Example, Reveal } from '@/api/client'
import { boardOf } from '@/example/board'
import { sceneOf } from '@/slide/drawn'
import MathText from './MathText.vue'
import SceneView from './SceneView.vue'
import VerdictMark from './VerdictMark.vue'
import WorkingLines from './WorkingLines.vue'
import { words } from '@/words'

const props = withDefaults(defineProps<{ example: Example; pictures: Drawing[]; shown?: number; reveal?: Reveal }>(), { shown: Infinity, reveal: undefined })
const board = computed(() => boardOf(props.example, props.shown, props.reveal))
const scene = computed(() => sceneOf(board.value.figure, props.pictures))
/** Every picture that comes: its place is kept from the start, so that nothing jumps. */
const scenes = computed(() =>
  [props.example.figure, ...props.example.working.map((line) => line.figure)].flatMap((figure) => sceneOf(figure ?? undefined, props.pictures) ?? []),
)
/** Off a slide, which looks for the best place itself, a picture much wider than high stands above the lines. */
const WIDE = 2.4
const isWide = computed(() => scenes.value.some((one) => one.width / one.height > WIDE))
const widest = computed(() => Math.max(...scenes.value.map((one) => one.width)))
const slip = computed(() => props.example.working.find((line) => line.verdict === 'breaks' && line.from === props.example.slip?.line))
</script>

<template>
  <div class="board" :class="{ pictured: scenes.length, wide: isWide }">
    <div v-if="example.prompt || example.slip" class="told">
      <p v-if="example.prompt" class="prompt"><math-text :text="example.prompt" /></p>
      <p v-if="example.slip" class="prompt">{{ words.example.wrote(example.slip.name) }}</p>
    </div>
    <scene-view v-if="scene" :scene="scene" :widest="widest" grows />
    <div class="lines">
      <working-lines :lines="board.rows" :shown="board.visible">
        <template v-if="board.told" #mark="{ line }">
          <verdict-mark v-if="line.verdict === 'breaks'" word="breaks" />
        </template>
      </working-lines>
      <p v-if="board.told && slip" class="slip" role="status">{{ slip.says }}</p>
    </div>
  </div>
</template>

<style scoped>
.board {
  container-type: inline-size;
  display: grid;
  gap: 0.5em 1em;
}
.told,
.lines {
  display: grid;
  gap: 0.5em;
  min-inline-size: 0;
}
.prompt {
  max-inline-size: 34em;
}
.pictured :deep(.scene) {
  max-inline-size: calc(var(--shape) * 15cqw * var(--fit, 1) * var(--grow, 1));
  justify-self: start;
}
.pictured:not(.wide),
[data-pictures='beside'] .pictured {
  grid-template-columns: minmax(0, 1.6fr) minmax(0, var(--picture-part, 1fr));
}
.pictured:not(.wide) .told,
[data-pictures='beside'] .pictured .told {
  grid-column: 1 / -1;
}
.pictured:not(.wide) .lines,
[data-pictures='beside'] .pictured .lines {
  grid-column: 1;
  grid-row: 2;
}
.pictured:not(.wide) :deep(.scene),
[data-pictures='beside'] .pictured :deep(.scene) {
  grid-column: 2;
  grid-row: 2;
  max-inline-size: calc(var(--shape) * 37cqw * var(--fit, 1) * var(--grow, 1));
  align-self: start;
  justify-self: center;
}
[data-pictures='stacked'] .pictured {
  grid-template-columns: minmax(0, 1fr);
}
[data-pictures='stacked'] .pictured :is(.told, .lines) {
  grid-column: 1;
  grid-row: auto;
}
[data-pictures='stacked'] .pictured :deep(.scene) {
  grid-column: 1;
  grid-row: auto;
  max-inline-size: calc(var(--shape) * 15cqw * var(--fit, 1) * var(--grow, 1));
  justify-self: start;
}
.slip {
  padding: 0.3em 0.6em;
  border-inline-start: 0.3em solid var(--verdict-breaks);
  background: var(--sunk);
}
@media (max-width: 700px) {
  .pictured:not(.wide) {
    grid-template-columns: minmax(0, 1fr);
  }
  .pictured:not(.wide) :is(.told, .lines),
  .pictured:not(.wide) :deep(.scene) {
    grid-column: 1;
    grid-row: auto;
  }
}
</style>
