<script setup lang="ts">
/** A sheet in three taps: the grade, the skill, print. */
import { ElDialog, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type SkillCard, type Strand } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { useCall } from '@/composables/useCall'
import { useSkills } from '@/composables/useSkills'
import { GRADES, gradeName, gradeShort, strandNames } from '@/words'
import { startWords } from '@/words/results'

const open = defineModel<boolean>({ required: true })
const router = useRouter()
const grade = ref<number>()
const sought = ref('')
const { cards, failure: notLoaded } = useSkills()
const { failure, busy, call } = useCall()
/** Rungs of each stage: a page of work, and a page of key. */
const RUNGS = { grip: 4, tilt: 3, climb: 3 }

const fits = (card: SkillCard): boolean =>
  grade.value !== undefined && card.first_grade <= grade.value && grade.value <= card.last_grade && card.title.toLowerCase().includes(sought.value.trim().toLowerCase())
const strands = computed(() =>
  (Object.keys(strandNames) as Strand[])
    .map((strand) => ({ strand, cards: cards.value.filter((card) => card.strand === strand && fits(card)) }))
    .filter((one) => one.cards.length),
)

async function make(card: SkillCard): Promise<void> {
  if (busy.value) return
  const order = { skills: [card.id], ...RUNGS, seed: Math.floor(Math.random() * 1_000_000) }
  const body = { title: card.title, plan: { title: card.title, order, rungs: [], next_key: 1 } }
  const made = await call(reply(api.POST('/api/ladders', { body })), ({ id }) => void router.push({ name: 'ladder', params: { id } }))
  if (made) open.value = false
}
</script>

<template>
  <el-dialog v-model="open" :title="startWords.sheet" width="min(94vw, 680px)">
    <div class="now" :aria-busy="busy">
      <div class="grades" role="group" :aria-label="startWords.grade">
        <button v-for="one in GRADES" :key="one" type="button" class="grade" :aria-pressed="grade === one" :aria-label="gradeName(one)" @click="grade = one">{{ gradeShort(one) }}</button>
      </div>
      <template v-if="grade !== undefined">
        <el-input v-model="sought" size="large" clearable :placeholder="startWords.find" :aria-label="startWords.find" />
        <p v-if="busy" role="status">{{ startWords.making }}</p>
        <div class="strands">
          <section v-for="one in strands" :key="one.strand">
            <h3>{{ strandNames[one.strand] }}</h3>
            <button v-for="card in one.cards" :key="card.id" type="button" class="skill" :disabled="busy" @click="make(card)">{{ card.title }}</button>
          </section>
          <p v-if="!strands.length" class="soft">{{ startWords.none }}</p>
        </div>
      </template>
      <failure-note v-if="failure ?? notLoaded" :failure="(failure ?? notLoaded)!" />
    </div>
  </el-dialog>
</template>

<style scoped>
.now {
  display: grid;
  gap: 16px;
}
.grades {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(36px, 1fr));
  gap: 6px;
}
.grade,
.skill {
  border: 1.5px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.grade {
  min-block-size: 44px;
  font-weight: 700;
}
.grade[aria-pressed='true'] {
  border-color: var(--honey-deep);
  background: var(--honey-pale);
}
.strands {
  display: grid;
  gap: 18px;
  max-block-size: 46vh;
  overflow-y: auto;
}
section {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 250px), 1fr));
  gap: 8px;
}
h3 {
  grid-column: 1 / -1;
  margin: 0;
  color: var(--ink-soft);
  font-size: 0.95rem;
}
.skill {
  min-block-size: 44px;
  padding: 8px 12px;
  border-inline-start: 5px solid var(--honey);
  text-align: start;
}
.skill:hover:not(:disabled) {
  background: var(--honey-pale);
}
</style>
