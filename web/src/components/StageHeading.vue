<script setup lang="ts">
/** The name of a stage on its rung of honey. */
import type { Stage } from '@/api/client'
import { stageNames } from '@/words'

defineProps<{ stage: Stage }>()
</script>

<template>
  <h3>{{ stageNames[stage] }}</h3>
</template>

<style scoped>
h3 {
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 0 0 10px;
}
h3::after {
  content: '';
  flex: 1;
  border-block-start: var(--rail) solid var(--honey);
}
</style>
