<script setup lang="ts">
/** Who decides where students stand. */
import { ElInputNumber, ElOption, ElSelect } from 'element-plus'
import { computed } from 'vue'
import type { LiveView } from '@/api/client'
import { windowWords } from '@/words/live'

type Pace = LiveView['pace']
const props = defineProps<{ pace: Pace; slides: number }>()
const emit = defineEmits<{ set: [pace: Pace] }>()
const between = computed(() => (props.pace.by === 'between' ? props.pace : undefined))

function choose(by: Pace['by']): void {
  emit('set', by === 'between' ? { by, first: 0, last: props.slides - 1 } : { by })
}
</script>

<template>
  <span class="pace">
    <el-select :model-value="pace.by" size="large" :aria-label="windowWords.pace" @update:model-value="choose">
      <el-option v-for="(name, by) in windowWords.paces" :key="by" :label="name" :value="by" />
    </el-select>
    <template v-if="between">
      <el-input-number :model-value="between.first + 1" :min="1" :max="between.last + 1" size="small" :aria-label="windowWords.from" @update:model-value="(n) => emit('set', { by: 'between', first: (n ?? 1) - 1, last: between!.last })" />
      <span>{{ windowWords.to }}</span>
      <el-input-number :model-value="between.last + 1" :min="between.first + 1" :max="slides" size="small" :aria-label="windowWords.to" @update:model-value="(n) => emit('set', { by: 'between', first: between!.first, last: (n ?? slides) - 1 })" />
    </template>
  </span>
</template>

<style scoped>
.pace {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.pace :deep(.el-select) {
  inline-size: 230px;
}
</style>
