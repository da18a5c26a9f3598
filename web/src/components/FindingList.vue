<script setup lang="ts">
/** What Second Look found in a text or on a ladder: each with its place, why, and what could stand there instead. */
import type { Spotted } from '@/api/client'
import MathText from './MathText.vue'
import VerdictMark from './VerdictMark.vue'
import { kindNames, lookWords } from '@/words/look'

defineProps<{ findings: Spotted[]; placeOf: (spotted: Spotted) => string }>()
const isLatex = (text: string): boolean => /\\[a-z]/i.test(text) && !text.includes('$')
const shown = (text: string): string => (isLatex(text) ? `$${text}$` : text)
</script>

<template>
  <p class="lead" role="status">
    <verdict-mark :word="findings.length ? 'cant_tell' : 'holds'" bare />
    {{ findings.length ? lookWords.found(findings.length) : lookWords.nothing }}
  </p>
  <ol v-if="findings.length" class="findings">
    <li v-for="(one, at) in findings" :key="at">
      <p class="what"><strong>{{ kindNames[one.kind] }}</strong> <span class="soft">{{ placeOf(one) }}</span></p>
      <p v-if="one.found"><math-text :text="shown(one.found)" /></p>
      <p><math-text :text="one.says" /></p>
      <p v-if="one.mend" class="mend"><math-text :text="lookWords.better(shown(one.mend))" /></p>
    </li>
  </ol>
</template>

<style scoped>
.lead {
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 1.05rem;
}
.findings {
  display: grid;
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  gap: 3px;
  padding: 10px 14px;
  border: 1px solid var(--line);
  border-inline-start: 5px solid var(--verdict-breaks);
  border-radius: var(--radius);
  overflow-wrap: anywhere;
}
.mend {
  color: var(--verdict-holds);
}
</style>
