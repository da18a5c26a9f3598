<script setup lang="ts">
/** A problem for a slide: typed, or drawn from the catalogue. */
import { ElButton, ElOption, ElRadioButton, ElRadioGroup, ElSelect } from 'element-plus'
import { onMounted, ref, useTemplateRef } from 'vue'
import { api, reply, type Block, type PracticeOrder, type Stage } from '@/api/client'
import FailureNote from './FailureNote.vue'
import ProblemField from './ProblemField.vue'
import { useSkills } from '@/composables/useSkills'
import { stageNames } from '@/words'
import { blockWords } from '@/words/plan'
import { useCall } from '@/composables/useCall'

const props = defineProps<{ skill?: string | null; grade?: number }>()
const emit = defineEmits<{ made: [block: Block] }>()
const { cards } = useSkills(() => props.grade)
const skill = ref(props.skill ?? '')
const stage = ref<Stage>('grip')
const typed = ref('')
const { failure, busy, call } = useCall()
const field = useTemplateRef<InstanceType<typeof ProblemField>>('field')

onMounted(() => field.value?.focus())

async function order(body: PracticeOrder): Promise<void> {
  await call(reply(api.POST('/api/lessons/practice', { body })), ({ block }) => emit('made', block))
}
const seed = (): number => Math.floor(Math.random() * 1_000_000)
</script>

<template>
  <div class="chooser">
    <form class="row" @submit.prevent="order({ kind: 'typed', problem: typed })">
      <problem-field ref="field" v-model="typed" :label="blockWords.typed" :hint="blockWords.typedHint" class="skill" />
      <el-button native-type="submit" :disabled="!typed.trim()" :loading="busy">{{ blockWords.pose }}</el-button>
    </form>
    <form class="row" @submit.prevent="order({ kind: 'drawn', skill, stage, seed: seed(), index: seed() % 3 })">
      <el-select v-model="skill" filterable :placeholder="blockWords.skill" :aria-label="blockWords.skill" class="skill">
        <el-option v-for="card in cards" :key="card.id" :value="card.id" :label="card.title" />
      </el-select>
      <el-radio-group v-model="stage" :aria-label="blockWords.stage">
        <el-radio-button v-for="(name, one) in stageNames" :key="one" :value="one" :label="name" />
      </el-radio-group>
      <el-button native-type="submit" :disabled="!skill" :loading="busy">{{ blockWords.draw }}</el-button>
    </form>
    <failure-note v-if="failure" :failure="failure" />
  </div>
</template>

<style scoped>
.chooser {
  display: grid;
  gap: 8px;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.skill {
  flex: 1 1 180px;
}
</style>
