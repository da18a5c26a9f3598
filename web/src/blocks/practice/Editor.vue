<script setup lang="ts">
/** A problem as it was posed; its numbers can be drawn again. */
import { ElButton } from 'element-plus'
import MathText from '@/components/MathText.vue'
import { api, reply } from '@/api/client'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'practice'>>({ required: true })

async function again(): Promise<void> {
  const { source } = block.value.source
  if (source.kind !== 'drawn') return
  const { skill, stage, index, method } = source
  const seed = Math.floor(Math.random() * 1_000_000)
  const answer = await reply(api.POST('/api/lessons/practice', { body: { kind: 'drawn', skill, stage, index, method, seed } }))
  if (answer.ok && answer.value.block.kind === 'practice') block.value = answer.value.block
}
</script>

<template>
  <p class="told"><math-text :text="block.rung.prompt" /></p>
  <p class="soft">{{ words.answer }}: {{ block.rung.answer.text }}</p>
  <el-button v-if="block.source.source.kind === 'drawn'" size="small" @click="again">{{ words.another }}</el-button>
</template>

<style scoped>
.told {
  white-space: pre-line;
}
</style>
