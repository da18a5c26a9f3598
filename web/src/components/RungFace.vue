<script setup lang="ts">
/** A rung as it is printed: its number, the problem with its picture, and the key when it is shown. */
import type { RungView } from '@/api/client'
import FlawedLines from './FlawedLines.vue'
import MathLine from './MathLine.vue'
import MathText from './MathText.vue'
import SceneView from './SceneView.vue'
import VerdictMark from './VerdictMark.vue'
import WorkingLines from './WorkingLines.vue'
import { words } from '@/words'
import { resultWords } from '@/words/results'

defineProps<{ view: RungView; keyShown?: boolean }>()
</script>

<template>
  <li class="rung">
    <span class="number" aria-hidden="true">{{ view.number }}</span>
    <div class="body">
      <p class="prompt"><math-text :text="view.rung.prompt" /></p>
      <p v-if="view.why" class="why soft"><span class="only-heard">{{ resultWords.why }}: </span>{{ view.why }}</p>
      <flawed-lines v-if="view.rung.flawed" :lines="view.rung.flawed.lines" />
      <scene-view v-if="view.scene" :scene="view.scene" class="scene" />
      <template v-if="keyShown">
        <p class="answer">
          <strong>{{ words.ladder.answer }}:</strong> {{ ' ' }}
          <template v-if="view.rung.story || view.rung.flawed || !view.rung.answer.latex">{{ view.rung.answer.text }}</template>
          <math-line v-else :latex="view.rung.answer.latex" />
        </p>
        <working-lines :lines="view.rung.working">
          <template #mark="{ line }"><verdict-mark :word="line.verdict" :size="18" bare /></template>
        </working-lines>
        <scene-view v-if="view.grown" :scene="view.grown" class="scene" />
      </template>
      <slot />
    </div>
  </li>
</template>

<style scoped>
.rung {
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr);
  gap: 12px;
  align-items: start;
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
.prompt {
  overflow-wrap: anywhere;
}
.why {
  padding-inline-start: 10px;
  border-inline-start: 3px solid var(--honey);
  font-size: 0.92rem;
}
.answer {
  justify-self: start;
  padding: 4px 10px;
  border-radius: 6px;
  background: var(--honey-pale);
}
</style>
