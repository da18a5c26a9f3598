<script setup lang="ts">
/** Something to talk about, with the beginnings of sentences. */
import MathText from '@/components/MathText.vue'
import type { FaceProps } from '../kinds'

defineProps<FaceProps<'talk'>>()
</script>

<template>
  <div class="talk">
    <p class="block-text"><math-text :text="block.prompt" /></p>
    <ul v-if="block.starters.some(Boolean)">
      <li v-for="(starter, at) in block.starters.filter(Boolean)" :key="at"><math-text :text="starter" /></li>
    </ul>
  </div>
</template>

<style scoped>
.talk {
  display: grid;
  gap: 0.5em;
  margin: 0;
  padding: 0.5em 0.8em;
  border-radius: 0.5em;
  background: var(--sunk);
}
.talk ul {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4em 1em;
  margin: 0;
  padding: 0;
  list-style: none;
  font-style: italic;
}
</style>
