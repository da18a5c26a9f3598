<script setup lang="ts">
/** What to remember, framed. */
import MathText from '@/components/MathText.vue'
import type { FaceProps } from '../kinds'
import { words } from './words'

defineProps<FaceProps<'key_point'>>()
</script>

<template>
  <aside class="key-point">
    <strong>{{ words.remember }}</strong>
    <p class="block-text"><math-text :text="block.point" /></p>
  </aside>
</template>

<style scoped>
.key-point {
  display: grid;
  gap: 0.15em;
  justify-self: start;
  padding: 0.5em 0.8em 0.6em;
  border: 0.1em solid var(--honey-deep);
  border-radius: 0.4em;
  background: var(--honey-pale);
}
.key-point strong {
  font-size: 0.8em;
  color: var(--honey-deep);
}
.key-point p {
  margin: 0;
}
</style>
