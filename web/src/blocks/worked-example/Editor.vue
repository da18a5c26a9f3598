<script setup lang="ts">
/** The lines of a worked example; they are changed on the working bench. */
import { ElButton } from 'element-plus'
import VerdictMark from '@/components/VerdictMark.vue'
import WorkingLines from '@/components/WorkingLines.vue'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'worked_example'>>({ required: true })
const emit = defineEmits<{ bench: [] }>()
</script>

<template>
  <working-lines :lines="block.example.working.filter((line) => !line.folded)">
    <template #mark="{ line }"><verdict-mark :word="line.verdict" bare /></template>
  </working-lines>
  <el-button size="small" @click="emit('bench')">{{ words.open }}</el-button>
</template>
