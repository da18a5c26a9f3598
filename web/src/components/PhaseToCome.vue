<script setup lang="ts">
/** A phase that has no slide yet, in its place on the ladder, with a button that gives it one. */
import { ElButton } from 'element-plus'
import type { PhaseKind } from '@/api/client'
import { phaseNames, words } from '@/words'

defineProps<{ kind: PhaseKind; minutes: number }>()
const emit = defineEmits<{ add: [] }>()
</script>

<template>
  <div class="rail clock">
    <strong>{{ phaseNames[kind] }}</strong>
    <span class="soft">{{ minutes }} min</span>
  </div>
  <div class="rung to-come">
    <el-button :aria-label="`${words.lesson.addSlide}: ${phaseNames[kind]}`" @click="emit('add')">{{ words.lesson.addSlide }}</el-button>
  </div>
  <div class="rail checked" />
</template>

<style scoped>
.lesson-rails .to-come {
  display: flex;
  align-items: start;
  justify-content: center;
  padding-block-start: 19px;
}
.lesson-rails .to-come::before {
  background: repeating-linear-gradient(90deg, var(--honey) 0 8px, transparent 8px 16px);
}
.to-come .el-button {
  position: relative;
}
@media (max-width: 860px) {
  .to-come + .checked {
    display: none;
  }
}
</style>
