<script setup lang="ts">
/** The plan of a lesson, as a department asks for it. The same lesson as its slides, seen from the other side. */
import { ElButton, ElDatePicker, ElInput, ElInputNumber, ElOption, ElSelect } from 'element-plus'
import { computed, watch } from 'vue'
import type { Lesson, PhaseKind, Prior, Sheet } from '@/api/client'
import ListEditor from './ListEditor.vue'
import PhaseTable from './PhaseTable.vue'
import SlideStyle from './SlideStyle.vue'
import { useSkills } from '@/composables/useSkills'
import { gradeName } from '@/words'
import { planWords } from '@/words/plan'

const lesson = defineModel<Lesson>({ required: true })
const emit = defineEmits<{ slide: [id: number]; add: [phase: PhaseKind] }>()
const { cards } = useSkills(() => lesson.value.grade)

const empty = (): Required<Sheet> => ({ class: '', section: '', subject: '', date: '', period: '', week: '', prior: [], criteria: [], resources: [], homework: '', skill: null, method: null })
/** Every field is there, whatever an older lesson has. */
function complete(): void {
  const known = lesson.value.sheet ?? {}
  const isMissing = Object.keys(empty()).some((key) => !(key in known) && key !== 'skill' && key !== 'method')
  if (isMissing) lesson.value.sheet = { ...empty(), ...known }
  lesson.value.objectives ??= []
}
watch(() => [lesson.value.sheet, lesson.value.objectives], complete, { immediate: true, flush: 'sync' })
const sheet = computed(() => lesson.value.sheet as Required<Sheet>)
const objectives = computed({ get: () => lesson.value.objectives ?? [], set: (texts) => (lesson.value.objectives = texts) })
const short = ['class', 'section', 'subject', 'period', 'week'] as const

function addPrior(chosen: string): void {
  const card = cards.value.find((one) => one.id === chosen)
  const prior: Prior = card ? { text: card.objective, skill: card.id } : { text: chosen }
  sheet.value.prior.push(prior)
}
function addObjective(chosen: string): void {
  const card = cards.value.find((one) => one.id === chosen)
  if (card && !objectives.value.includes(card.objective)) objectives.value.push(card.objective)
}
const titleOf = (prior: Prior): string => cards.value.find((card) => card.id === prior.skill)?.title ?? ''
</script>

<template>
  <div class="plan">
    <section class="card facts" :aria-label="planWords.details">
      <label class="long"><span>{{ planWords.title }}</span><el-input v-model="lesson.title" maxlength="120" /></label>
      <label class="long"><span>{{ planWords.topic }}</span><el-input v-model="lesson.topic" maxlength="120" /></label>
      <label>
        <span>{{ planWords.grade }}</span>
        <el-select v-model="lesson.grade" :aria-label="planWords.grade">
          <el-option v-for="n in 13" :key="n" :value="n - 1" :label="gradeName(n - 1)" />
        </el-select>
      </label>
      <label v-for="field in short" :key="field"><span>{{ planWords[field] }}</span><el-input v-model="sheet[field]" maxlength="80" /></label>
      <label>
        <span>{{ planWords.date }}</span>
        <el-date-picker v-model="sheet.date" type="date" value-format="YYYY-MM-DD" :aria-label="planWords.date" @update:model-value="(day: string | null) => (sheet.date = day ?? '')" />
      </label>
      <label><span>{{ planWords.length }}</span><el-input-number v-model="lesson.minutes" :min="5" :max="300" :step="5" :aria-label="planWords.length" /></label>
    </section>
    <section class="card two">
      <list-editor v-model="objectives" :label="planWords.objectives" :hint="planWords.objectivesHint">
        <el-select :model-value="''" size="small" filterable class="offer" :placeholder="planWords.objectiveOf" :aria-label="planWords.objectiveOf" @update:model-value="addObjective">
          <el-option v-for="card in cards" :key="card.id" :value="card.id" :label="card.title" />
        </el-select>
      </list-editor>
      <list-editor v-model="sheet.criteria" :label="planWords.criteria" :hint="planWords.objectivesHint" />
      <fieldset class="prior">
        <legend>{{ planWords.prior }}</legend>
        <div v-for="(prior, at) in sheet.prior" :key="at" class="row">
          <div class="text">
            <el-input v-model="prior.text" maxlength="300" :aria-label="`${planWords.prior}: ${planWords.entry(at + 1)}`" />
            <span v-if="titleOf(prior)" class="soft">{{ titleOf(prior) }}</span>
          </div>
          <el-button text size="small" :aria-label="planWords.remove(prior.text)" @click="sheet.prior.splice(at, 1)">×</el-button>
        </div>
        <el-select v-if="sheet.prior.length < 20" :model-value="''" filterable allow-create default-first-option :placeholder="planWords.priorAdd" :aria-label="planWords.priorAdd" @update:model-value="addPrior">
          <el-option v-for="card in cards" :key="card.id" :value="card.id" :label="card.title" />
        </el-select>
      </fieldset>
      <list-editor v-model="sheet.resources" :label="planWords.resources" />
    </section>
    <phase-table v-model="lesson" @slide="(id) => emit('slide', id)" @add="(phase) => emit('add', phase)" />
    <slide-style v-model="lesson" class="card" />
    <section class="card">
      <label><span>{{ planWords.homework }}</span><el-input v-model="sheet.homework" type="textarea" :autosize="{ minRows: 2, maxRows: 8 }" maxlength="4000" /></label>
    </section>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  gap: 18px;
}
.card {
  padding: 16px 18px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
.facts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px 14px;
}
.facts .long {
  grid-column: span 2;
}
.facts :deep(.el-date-editor),
.facts :deep(.el-input-number) {
  inline-size: 100%;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 380px), 1fr));
  gap: 18px 28px;
}
label {
  display: grid;
  gap: 3px;
  align-content: start;
  font-size: 0.9rem;
  font-weight: 600;
}
.prior {
  display: grid;
  gap: 6px;
  align-content: start;
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
.offer {
  inline-size: 210px;
}
.row {
  display: flex;
  align-items: start;
  gap: 2px;
}
.text {
  flex: 1;
  display: grid;
}
.text .soft {
  font-size: 0.8rem;
}
.row .el-button {
  font-size: 1.1rem;
}
@media (max-width: 520px) {
  .facts .long {
    grid-column: 1 / -1;
  }
}
</style>
