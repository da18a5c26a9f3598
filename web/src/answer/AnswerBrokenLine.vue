<script setup lang="ts">
/** Somebody's working: the line that breaks is picked, and written as it should be. */
import { computed, useId } from 'vue'
import type { DeskLine, GivenAnswer } from '@/api/client'
import MathInput from '@/components/MathInput.vue'
import MathLine from '@/components/MathLine.vue'
import { answerWords } from '@/words/answer'

const props = defineProps<{ working: string[]; given?: GivenAnswer; wrong: boolean }>()
const emit = defineEmits<{ give: [given: GivenAnswer, done: boolean] }>()
const name = useId()

const given = computed(() => (props.given?.kind === 'broken_line' ? props.given : undefined))
const mended = computed<DeskLine>(() => given.value?.mended ?? { text: '', latex: true })

const pick = (line: number): void => emit('give', { kind: 'broken_line', line, mended: undefined }, true)
function mend(text: string): void {
  if (given.value) emit('give', { kind: 'broken_line', line: given.value.line, mended: { text, latex: true } }, false)
}
const settled = (): void => {
  if (given.value) emit('give', given.value, true)
}
</script>

<template>
  <fieldset class="lines">
    <legend class="only-heard">{{ answerWords.whichLine }}</legend>
    <label v-for="(latex, at) in working" :key="at" class="tile">
      <input type="radio" :name="name" :checked="given?.line === at + 1" @change="pick(at + 1)" />
      <span class="place">{{ at + 1 }}</span>
      <math-line :latex="latex" display />
    </label>
    <label class="tile">
      <input type="radio" :name="name" :checked="given?.line === 0" @change="pick(0)" />
      <span>{{ answerWords.allHold }}</span>
    </label>
  </fieldset>
  <!-- Of a line that holds nothing is to be mended. -->
  <div v-if="given && given.line > 1 && (!wrong || mended.text)" class="mend">
    <span>{{ answerWords.shouldBe(given.line) }}</span>
    <math-input :key="given.line" :label="answerWords.shouldBe(given.line)" :model-value="mended.text" @update:model-value="mend" @enter="settled" />
  </div>
</template>

<style scoped>
.lines {
  display: grid;
  gap: 6px;
  margin: 0;
  border: 0;
  padding: 0;
}
.place {
  min-inline-size: 1.2em;
  color: var(--ink-soft);
  font-weight: 700;
}
.mend {
  display: grid;
  gap: 4px;
}
</style>
