<script setup lang="ts">
/** Everything of one slide that can be changed, beside its picture. Changes go straight into the lesson. */
import { ElButton, ElInput, ElInputNumber, ElOption, ElSelect } from 'element-plus'
import type { PhaseKind, Slide } from '@/api/client'
import VerdictMark from './VerdictMark.vue'
import WorkingLines from './WorkingLines.vue'
import { phaseNames, words } from '@/words'

const slide = defineModel<Slide>({ required: true })
const emit = defineEmits<{ bench: [block: number] }>()
const phases = Object.keys(phaseNames) as PhaseKind[]
</script>

<template>
  <div class="editor">
    <label class="wide">
      <span>{{ words.lesson.heading }}</span>
      <el-input v-model="slide.title" maxlength="200" />
    </label>
    <label>
      <span>{{ words.lesson.phase }}</span>
      <el-select v-model="slide.phase" :aria-label="words.lesson.phase">
        <el-option v-for="p in phases" :key="p" :value="p" :label="phaseNames[p]" />
      </el-select>
    </label>
    <label>
      <span>{{ words.lesson.minutes }}</span>
      <el-input-number v-model="slide.minutes" :min="0" :max="300" :aria-label="words.lesson.minutes" />
    </label>
    <template v-for="(block, at) in slide.blocks" :key="at">
      <div class="wide block">
        <label v-if="block.kind === 'text'">
          <span>{{ words.lesson.text }}</span>
          <el-input v-model="block.text" type="textarea" :autosize="{ minRows: 1, maxRows: 8 }" maxlength="4000" />
        </label>
        <template v-else>
          <working-lines :lines="block.example.working.filter((line) => !line.folded)">
            <template #mark="{ line }"><verdict-mark :word="line.verdict" bare /></template>
          </working-lines>
          <el-button size="small" @click="emit('bench', at)">{{ words.example.open }}</el-button>
        </template>
        <el-button text size="small" @click="slide.blocks.splice(at, 1)">{{ words.lesson.removeBlock }}</el-button>
      </div>
    </template>
    <div class="wide">
      <el-button size="small" @click="slide.blocks.push({ kind: 'text', text: '' })">{{ words.lesson.addText }}</el-button>
    </div>
    <label class="wide">
      <span>{{ words.lesson.notes }}</span>
      <el-input v-model="slide.notes" type="textarea" :autosize="{ minRows: 1, maxRows: 6 }" maxlength="4000" />
    </label>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 14px;
  align-content: start;
  padding: 14px 16px;
  background: var(--sunk);
}
label {
  display: grid;
  gap: 3px;
  align-content: start;
  font-size: 0.9rem;
  font-weight: 600;
}
.wide {
  grid-column: 1 / -1;
}
.block {
  display: grid;
  justify-items: start;
  gap: 2px;
}
.block label {
  inline-size: 100%;
}
</style>
