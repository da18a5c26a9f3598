<script setup lang="ts">
/** A ladder, as it is named on a slide. */
import type { FaceProps } from '../kinds'
import { words } from './words'

defineProps<FaceProps<'ladder'>>()
</script>

<template>
  <p class="ladder">
    <span class="rails" aria-hidden="true"><i /><i /><i /></span>
    <span>{{ words.ladder }}: <strong>{{ block.title }}</strong></span>
  </p>
</template>

<style scoped>
.ladder {
  display: flex;
  align-items: center;
  gap: 0.7em;
}
.rails {
  display: inline-grid;
  gap: 0.22em;
  inline-size: 1.5em;
  padding-inline: 0.12em;
  border-inline: 0.2em solid var(--honey);
}
.rails i {
  block-size: 0.16em;
  background: var(--honey);
}
</style>
