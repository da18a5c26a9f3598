<script setup lang="ts">
/** A problem for the working bench: typed, in mathematics or in words, or drawn from the catalogue. */
import { ElButton, ElOption, ElRadioButton, ElRadioGroup, ElSelect } from 'element-plus'
import { ref, useTemplateRef } from 'vue'
import type { Beginning, SkillCard, Stage } from '@/api/client'
import ProblemField from './ProblemField.vue'
import { stageNames, words } from '@/words'

defineProps<{ cards: SkillCard[]; busy: boolean }>()
const emit = defineEmits<{ begin: [beginning: Beginning] }>()

const problem = ref('')
const skill = ref('')
const stage = ref<Stage>('grip')
const stages = Object.keys(stageNames) as Stage[]
const field = useTemplateRef<InstanceType<typeof ProblemField>>('field')

function typed(): void {
  if (problem.value.trim()) emit('begin', { kind: 'typed', problem: { text: problem.value, latex: false } })
}
function draw(): void {
  if (skill.value) emit('begin', { kind: 'drawn', skill: skill.value, stage: stage.value, seed: Math.floor(Math.random() * 1_000_000) })
}
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="chooser">
    <form class="way" @submit.prevent="typed">
      <h3>{{ words.example.type }}</h3>
      <problem-field ref="field" v-model="problem" :label="words.example.problem" :hint="words.example.sayHint" />
      <el-button size="large" type="primary" native-type="submit" :disabled="!problem.trim()" :loading="busy">{{ words.example.work }}</el-button>
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
.way > .el-select {
  inline-size: 100%;
}
h3 {
  font-size: 0.95rem;
}
</style>
