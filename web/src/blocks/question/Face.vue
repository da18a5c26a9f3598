<script setup lang="ts">
/** A question, with its answer one step later. */
import { computed } from 'vue'
import MathText from '@/components/MathText.vue'
import VerdictMark from '@/components/VerdictMark.vue'
import type { FaceProps } from '../kinds'
import { words } from './words'

const props = defineProps<FaceProps<'question'>>()
const answered = computed(() => props.steps > 1)
</script>

<template>
  <div class="question">
    <p class="block-text"><math-text :text="block.prompt" /></p>
    <ol v-if="block.asks.by === 'choice'" class="choices">
      <li v-for="(choice, at) in block.asks.choices" :key="at" :class="{ right: answered && choice.right, wrong: answered && !choice.right }">
        <span class="letter" aria-hidden="true">{{ String.fromCharCode(65 + at) }}</span>
        <math-text :text="choice.text" />
        <verdict-mark v-if="answered && choice.right" word="holds" bare />
      </li>
    </ol>
    <template v-else-if="block.asks.by === 'true_or_false'">
      <p class="soft">{{ words.trueOrFalse }}</p>
      <p class="block-answer" :class="{ waits: !answered }">
        <strong>{{ block.asks.is_true ? words.isTrueShort : words.isFalseShort }}.</strong> {{ ' ' }}<math-text :text="block.asks.why" />
      </p>
    </template>
    <p v-else-if="block.asks.answer" class="block-answer" :class="{ waits: !answered }"><math-text :text="block.asks.answer" /></p>
  </div>
</template>

<style scoped>
.question {
  display: grid;
  gap: 0.5em;
  margin: 0;
}
.choices {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.5em;
  margin: 0;
  padding: 0;
  list-style: none;
}
.choices li {
  display: flex;
  align-items: center;
  gap: 0.6em;
  padding: 0.35em 0.6em;
  border: 2px solid var(--line);
  border-radius: 0.4em;
}
.choices .right {
  border-color: var(--verdict-holds);
  background: var(--honey-pale);
}
.choices .wrong {
  opacity: 0.55;
}
.letter {
  font-weight: 700;
}
</style>
