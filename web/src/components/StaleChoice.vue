<script setup lang="ts">
/** Somebody saved in another window: nothing was overwritten, and one of the two is chosen. */
import { ElButton, ElDialog } from 'element-plus'
import { words } from '@/words'

defineProps<{ open: boolean; says: string }>()
const emit = defineEmits<{ mine: []; theirs: [] }>()
</script>

<template>
  <el-dialog :model-value="open" :title="says" width="min(94vw, 520px)" :show-close="false" :close-on-click-modal="false" :close-on-press-escape="false">
    <p>{{ words.lesson.staleHelp }}</p>
    <template #footer>
      <el-button size="large" @click="emit('theirs')">{{ words.lesson.staleTheirs }}</el-button>
      <el-button size="large" type="primary" @click="emit('mine')">{{ words.lesson.staleMine }}</el-button>
    </template>
  </el-dialog>
</template>
