<script setup lang="ts">
/** Lines a student wrote, each with its verdict and why. */
import type { JudgedLine } from '@/api/client'
import MathLine from './MathLine.vue'
import MathText from './MathText.vue'
import VerdictMark from './VerdictMark.vue'

defineProps<{ lines: JudgedLine[] }>()
</script>

<template>
  <ol class="judged">
    <li v-for="(line, index) in lines" :key="index">
      <span class="line">
        <math-line v-if="line.reading" :latex="line.reading" :speech="line.speech" />
        <template v-else>{{ line.plain || '—' }}</template>
      </span>
      <verdict-mark :word="line.verdict.word" />
      <span v-if="line.verdict.says || line.verdict.made || line.verdict.domain" class="soft says">
        <math-text :text="[line.verdict.made, line.verdict.says, line.verdict.domain].filter(Boolean).join('. ')" />
      </span>
    </li>
  </ol>
</template>

<style scoped>
.judged {
  display: grid;
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 18px;
  padding-block-end: 10px;
  border-block-end: 1px solid var(--line);
}
.line {
  font-size: 1.15rem;
}
.says {
  flex-basis: 100%;
  font-size: 0.92rem;
}
</style>
