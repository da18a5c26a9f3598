<script setup lang="ts">
/** What went wrong, in one sentence, with what can be done about it. */
import { ElButton } from 'element-plus'
import type { Failure } from '@/api/client'
import { words } from '@/words'

defineProps<{ failure: Failure; retry?: boolean }>()
defineEmits<{ again: []; mend: [text: string] }>()
</script>

<template>
  <div class="failure" role="alert">
    <span>{{ failure.says }}</span>
    <el-button v-if="failure.mended" size="small" @click="$emit('mend', failure.mended)">{{ failure.mended }}</el-button>
    <el-button v-if="retry" size="small" @click="$emit('again')">{{ words.tryAgain }}</el-button>
  </div>
</template>

<style scoped>
.failure {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 10px 14px;
  border-inline-start: 5px solid var(--verdict-breaks);
  border-radius: 6px;
  background: color-mix(in srgb, var(--verdict-breaks) 8%, var(--card));
}
</style>
