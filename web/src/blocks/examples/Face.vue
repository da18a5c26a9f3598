<script setup lang="ts">
/** What is one, and what is none. */
import MathText from '@/components/MathText.vue'
import type { FaceProps } from '../kinds'
import { words } from './words'

defineProps<FaceProps<'examples'>>()
</script>

<template>
  <div class="examples">
    <p v-if="block.of" class="block-text"><strong><math-text :text="block.of" /></strong></p>
    <ul class="is">
      <li v-for="(one, at) in block.fits.filter(Boolean)" :key="at"><span class="tag">{{ words.isOne }}</span><math-text :text="one" /></li>
    </ul>
    <ul class="is-not">
      <li v-for="(one, at) in block.fits_not.filter(Boolean)" :key="at"><span class="tag">{{ words.isNone }}</span><math-text :text="one" /></li>
    </ul>
  </div>
</template>

<style scoped>
.examples {
  display: grid;
  gap: 0.5em;
  margin: 0;
}
.examples ul {
  display: grid;
  gap: 0.25em;
  margin: 0;
  padding: 0;
  list-style: none;
}
.tag {
  display: inline-block;
  min-inline-size: 4.2em;
  font-size: 0.8em;
  font-weight: 700;
}
.is .tag {
  color: var(--verdict-holds);
}
.is-not .tag {
  color: var(--verdict-breaks);
}
</style>
