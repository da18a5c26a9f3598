<script setup lang="ts">
/** The problems of a ladder as they climb, with their key when it is asked for. */
import { computed } from 'vue'
import type { RungView, Stage } from '@/api/client'
import MathLine from './MathLine.vue'
import MathText from './MathText.vue'
import SceneView from './SceneView.vue'
import VerdictMark from './VerdictMark.vue'
import WorkingLines from './WorkingLines.vue'
import { stageNames, words } from '@/words'

const props = defineProps<{ rungs: RungView[]; keyShown?: boolean }>()

const stages = computed(() =>
  (Object.keys(stageNames) as Stage[])
    .map((stage) => ({ stage, rungs: props.rungs.filter((r) => r.rung.stage === stage) }))
    .filter((group) => group.rungs.length),
)
</script>

<template>
  <section v-for="group in stages" :key="group.stage" class="stage">
    <h3>{{ stageNames[group.stage] }}</h3>
    <ol class="rungs">
      <li v-for="{ number, rung, scene } in group.rungs" :key="number" class="rung" :class="{ short: !keyShown && rung.prompt.length < 60 }">
        <span class="number" aria-hidden="true">{{ number }}</span>
        <div class="body">
          <p><math-text :text="rung.prompt" /></p>
          <scene-view v-if="scene" :scene="scene" class="scene" />
          <template v-if="keyShown">
            <p class="answer">
              <strong>{{ words.ladder.answer }}:</strong> {{ ' ' }}
              <template v-if="rung.story || !rung.answer.latex">{{ rung.answer.text }}</template>
              <math-line v-else :latex="rung.answer.latex" />
            </p>
            <working-lines :lines="rung.working">
              <template #mark="{ line }"><verdict-mark :word="line.verdict" :size="18" bare /></template>
            </working-lines>
          </template>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.stage + .stage {
  margin-block-start: 24px;
}
h3 {
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 0 0 12px;
}
h3::after {
  content: '';
  flex: 1;
  border-block-start: var(--rail) solid var(--honey);
}
.rungs {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 18px 22px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.rung {
  display: grid;
  grid-column: 1 / -1;
  grid-template-columns: 40px minmax(0, 1fr);
  gap: 12px;
  align-items: start;
}
.rung.short {
  grid-column: span 2;
}
.number {
  display: grid;
  place-items: center;
  inline-size: 38px;
  block-size: 33px;
  clip-path: polygon(25% 0, 75% 0, 100% 50%, 75% 100%, 25% 100%, 0 50%);
  background: var(--honey-pale);
  font-weight: 700;
}
.body {
  display: grid;
  gap: 10px;
  min-inline-size: 0;
  padding-block-start: 3px;
}
.answer {
  justify-self: start;
  padding: 4px 10px;
  border-radius: 6px;
  background: var(--honey-pale);
}
@media (max-width: 700px) {
  .rung.short {
    grid-column: 1 / -1;
  }
}
</style>
