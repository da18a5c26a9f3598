<script setup lang="ts">
/** The ladder that comes next, for a class or for one student: looked at, drawn again, given in a tap. */
import { ElButton, ElInput, ElInputNumber, ElOption, ElSelect } from 'element-plus'
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type NextView } from '@/api/client'
import FailureNote from './FailureNote.vue'
import RungSheet from './RungSheet.vue'
import { useCall } from '@/composables/useCall'
import { resultWords } from '@/words/results'

const props = defineProps<{ id: number; students: { id: number; name: string }[] }>()
const router = useRouter()
/** The student; 0 for the whole class. */
const whom = ref(0)
const minutes = ref(20)
const due = ref('')
const next = ref<NextView>()
const { failure, busy, call } = useCall()
const giving = useCall()
const { failure: notGiven, busy: isGiving } = giving
watch([whom, minutes], () => (next.value = undefined))

async function make(): Promise<void> {
  const body = { student: whom.value || null, minutes: minutes.value, seed: Math.floor(Math.random() * 1_000_000) }
  await call(reply(api.POST('/api/classes/{id}/next', { params: { path: { id: props.id } }, body })), (made) => (next.value = made))
}
async function give(): Promise<void> {
  if (!next.value) return
  const { title, plan } = next.value
  // A day is over at its last minute where the teacher is.
  const until = due.value ? Math.floor(new Date(`${due.value}T23:59:00`).getTime() / 1000) : null
  const rules = { due: until, hints: 3, alone: true, feedback: 'at_once' as const, staged: false, tries: 1, fresh: false }
  const body = { made: { title, plan }, student: whom.value || null, rules }
  await giving.call(reply(api.POST('/api/classes/{id}/assignments', { params: { path: { id: props.id } }, body })), (given) => void router.push({ name: 'assignment', params: { id: given.id } }))
}
/** It goes to the bench of the shelf, on top of what lies there. */
async function toBench(): Promise<void> {
  if (!next.value) return
  const plan = { ...next.value.plan, title: next.value.title }
  const there = await reply(api.GET('/api/bench'))
  if (!there.ok) {
    notGiven.value = there.failure
    return
  }
  await giving.call(reply(api.PUT('/api/bench', { body: { based_on: there.value.revision, plan } })), () => void router.push({ name: 'own-ladder' }))
}
</script>

<template>
  <section class="next">
    <h2>{{ resultWords.next }}</h2>
    <p class="soft">{{ resultWords.nextLead }}</p>
    <form class="asked" @submit.prevent="make">
      <label>
        <span>{{ resultWords.nextFor }}</span>
        <el-select v-model="whom" size="large" filterable :aria-label="resultWords.nextFor">
          <el-option :value="0" :label="resultWords.wholeClass" />
          <el-option v-for="one in students" :key="one.id" :value="one.id" :label="one.name" />
        </el-select>
      </label>
      <label>
        <span>{{ resultWords.minutes }}</span>
        <el-input-number v-model="minutes" size="large" :min="5" :max="120" :step="5" :aria-label="resultWords.minutes" />
      </label>
      <el-button :type="next ? undefined : 'primary'" size="large" native-type="submit" :loading="busy">{{ next ? resultWords.other : resultWords.make }}</el-button>
    </form>
    <failure-note v-if="failure" :failure="failure" />
    <template v-if="next">
      <div class="made">
        <h3>{{ next.title }}</h3>
        <span class="soft">{{ resultWords.likely(next.minutes, next.rungs.length) }}</span>
        <label class="due">
          <span>{{ resultWords.due }}</span>
          <el-input v-model="due" type="date" size="large" :aria-label="resultWords.due" />
        </label>
        <el-button type="primary" size="large" :loading="isGiving" @click="give">{{ resultWords.give }}</el-button>
        <el-button size="large" :disabled="isGiving" @click="toBench">{{ resultWords.bench }}</el-button>
      </div>
      <failure-note v-if="notGiven" :failure="notGiven" />
      <div><rung-sheet :rungs="next.rungs" /></div>
    </template>
  </section>
</template>

<style scoped>
.next {
  display: grid;
  gap: 12px;
  margin-block-start: 34px;
  padding: 20px 24px;
  border: 1px solid var(--line);
  border-inline: 5px solid var(--honey);
  border-radius: var(--radius);
  background: var(--card);
}
.next h2,
.next p,
.made h3 {
  margin: 0;
}
.asked,
.made {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px 16px;
}
.made {
  align-items: center;
}
.asked label {
  display: grid;
  gap: 4px;
  min-inline-size: 180px;
  font-weight: 600;
}
.due {
  display: flex;
  align-items: center;
  gap: 8px;
}
.made .el-button {
  margin: 0;
}
</style>
