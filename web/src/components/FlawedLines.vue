<script setup lang="ts">
/** Somebody's working: numbered lines under each other, one of which may break. */
import MathLine from './MathLine.vue'

defineProps<{ lines: { latex: string; math: string }[] }>()
</script>

<template>
  <ol class="flawed">
    <li v-for="(line, at) in lines" :key="at">
      <span class="at" aria-hidden="true">{{ at + 1 }}</span>
      <math-line :latex="line.latex" display />
    </li>
  </ol>
</template>

<style scoped>
.flawed {
  display: grid;
  gap: 0.35em;
  justify-self: start;
  margin: 0;
  padding: 0 0 0 0.8em;
  border-inline-start: var(--rail) solid var(--honey);
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  gap: 0.9em;
}
.at {
  min-inline-size: 1em;
  color: var(--ink-soft);
  font-size: 0.85em;
  font-weight: 700;
}
</style>
