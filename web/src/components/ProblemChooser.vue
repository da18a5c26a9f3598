<script setup lang="ts">
/** A problem for the working bench: typed in mathematics, said in words, or drawn from the catalogue. */
import { ElButton, ElInput, ElOption, ElRadioButton, ElRadioGroup, ElSelect } from 'element-plus'
import { ref, useTemplateRef } from 'vue'
import type { Beginning, SkillCard, Stage } from '@/api/client'
import MathInput from './MathInput.vue'
import { stageNames, words } from '@/words'

defineProps<{ cards: SkillCard[]; busy: boolean }>()
const emit = defineEmits<{ begin: [beginning: Beginning] }>()

const latex = ref('')
const inWords = ref('')
const skill = ref('')
const stage = ref<Stage>('grip')
const stages = Object.keys(stageNames) as Stage[]
const field = useTemplateRef<InstanceType<typeof MathInput>>('field')

function typed(text: string, isLatex: boolean): void {
  if (text.trim()) emit('begin', { kind: 'typed', problem: { text, latex: isLatex } })
}
function draw(): void {
  if (skill.value) emit('begin', { kind: 'drawn', skill: skill.value, stage: stage.value, seed: Math.floor(Math.random() * 1_000_000) })
}
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="chooser">
    <div class="way">
      <h3>{{ words.example.type }}</h3>
      <math-input ref="field" v-model="latex" :label="words.example.problem" @enter="typed(latex, true)" />
      <el-button size="large" type="primary" :disabled="!latex.trim()" :loading="busy" @click="typed(latex, true)">{{ words.example.work }}</el-button>
    </div>
    <form class="way" @submit.prevent="typed(inWords, false)">
      <h3>{{ words.example.say }}</h3>
      <el-input v-model="inWords" size="large" maxlength="300" :placeholder="words.example.sayHint" :aria-label="words.example.inWords" />
      <el-button size="large" native-type="submit" :disabled="!inWords.trim()">{{ words.example.workWords }}</el-button>
    </form>
    <form class="way" @submit.prevent="draw">
      <h3>{{ words.example.draw }}</h3>
      <el-select v-model="skill" filterable size="large" :placeholder="words.example.skill" :aria-label="words.example.skill">
        <el-option v-for="card in cards" :key="card.id" :value="card.id" :label="card.title" />
      </el-select>
      <el-radio-group v-model="stage" :aria-label="words.example.stage">
        <el-radio-button v-for="one in stages" :key="one" :value="one" :label="stageNames[one]" />
      </el-radio-group>
      <el-button size="large" native-type="submit" :disabled="!skill">{{ words.example.drawOne }}</el-button>
    </form>
  </div>
</template>

<style scoped>
.chooser {
  display: grid;
  gap: 20px;
}
.way {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.way > :deep(.math-field),
.way > .el-input,
.way > .el-select {
  inline-size: 100%;
}
h3 {
  font-size: 0.95rem;
}
</style>
