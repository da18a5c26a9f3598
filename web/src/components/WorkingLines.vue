<script setup lang="ts">
/** The lines of a working with their reasons; lines past `shown` keep their place, unseen. */
import type { WorkingLine } from '@/api/client'
import MathLine from './MathLine.vue'
import MathText from './MathText.vue'

withDefaults(defineProps<{ lines: WorkingLine[]; shown?: number }>(), { shown: Infinity })
</script>

<template>
  <ol class="working">
    <li
      v-for="(line, index) in lines"
      :key="index"
      :class="[line.role, { hidden: index >= shown, fresh: index === shown - 1 && index > 0 }]"
      :aria-hidden="index >= shown"
    >
      <span class="math">
        <math-line v-if="line.latex" display :latex="line.latex" :speech="line.speech" />
        <math-text v-else :text="line.math" />
      </span>
      <span class="reason"><math-text :text="line.reason" /></span>
      <span v-if="$slots.mark" class="mark"><slot name="mark" :line="line" /></span>
    </li>
  </ol>
</template>

<style scoped>
.working {
  display: grid;
  grid-template-columns: auto 1fr auto;
  column-gap: 1.6em;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: subgrid;
  grid-column: 1 / -1;
  align-items: center;
  padding-block: 0.34em;
}
li + li {
  border-block-start: 1px solid color-mix(in srgb, var(--line) 70%, transparent);
}
.concludes .math {
  justify-self: start;
  font-weight: 700;
  background: linear-gradient(transparent 62%, color-mix(in srgb, var(--honey) 55%, transparent) 62%);
}
.reason {
  color: var(--ink-soft);
  font-size: 0.8em;
  line-height: 1.3;
}
.hidden {
  visibility: hidden;
}
.fresh {
  animation: arrive 0.25s ease-out;
}
@keyframes arrive {
  from {
    opacity: 0;
    transform: translateY(-0.4em);
  }
}
</style>
