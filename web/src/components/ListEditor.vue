<script setup lang="ts">
/** A list of short texts, one field each; Enter begins the next. What else offers entries stands in its slot. */
import { ElButton, ElInput } from 'element-plus'
import { nextTick, useTemplateRef } from 'vue'
import { planWords } from '@/words/plan'

const texts = defineModel<string[]>({ required: true })
withDefaults(defineProps<{ label: string; hint?: string; most?: number; name?: (n: number) => string }>(), { most: 20, name: planWords.entry })
const fields = useTemplateRef<{ focus: () => void }[]>('fields')

async function add(at: number): Promise<void> {
  texts.value.splice(at, 0, '')
  await nextTick()
  fields.value?.[at]?.focus()
}
</script>

<template>
  <fieldset class="list">
    <legend>{{ label }}</legend>
    <div v-for="(_, at) in texts" :key="at" class="row">
      <el-input ref="fields" v-model="texts[at]" maxlength="300" :placeholder="hint" :aria-label="`${label}: ${name(at + 1)}`" @keydown.enter.prevent="texts.length < most && add(at + 1)" />
      <el-button text size="small" :aria-label="planWords.remove(texts[at] ?? '')" @click="texts.splice(at, 1)">×</el-button>
    </div>
    <div v-if="texts.length < most" class="row more">
      <el-button text size="small" @click="add(texts.length)">+ {{ planWords.add }}</el-button>
      <slot />
    </div>
  </fieldset>
</template>

<style scoped>
.list {
  display: grid;
  gap: 4px;
  align-content: start;
  justify-items: start;
  margin: 0;
  padding: 0;
  border: 0;
  min-inline-size: 0;
}
legend {
  padding: 0;
  margin-block-end: 4px;
  font-size: 0.9rem;
  font-weight: 600;
}
.row {
  display: flex;
  gap: 2px;
  inline-size: 100%;
}
.row:not(.more) > .el-button {
  font-size: 1.1rem;
}
.more {
  align-items: center;
  gap: 8px;
}
</style>
