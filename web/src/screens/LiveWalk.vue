<script setup lang="ts">
/** Walks through a live lesson again: how it stood after each thing that happened. */
import { ElButton } from 'element-plus'
import { useDebounceFn } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type LiveMoment } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import MathLine from '@/components/MathLine.vue'
import MathText from '@/components/MathText.vue'
import SlideFace from '@/components/SlideFace.vue'
import AnswerGroups from '@/live/AnswerGroups.vue'
import StudentGrid from '@/live/StudentGrid.vue'
import { sure } from '@/composables/sure'
import { useCall } from '@/composables/useCall'
import { classWords } from '@/words/class'
import { windowWords } from '@/words/live'

const props = defineProps<{ id: number }>()
const router = useRouter()
const moment = ref<LiveMoment>()
const seq = ref(1)
const { failure, call } = useCall()

const go = (): Promise<boolean> => call(reply(api.GET('/api/live/{id}/at', { params: { path: { id: props.id }, query: { seq: seq.value } } })), (found) => (moment.value = found))
const soon = useDebounceFn(go, 120)
/** It opens at its end: what came of it is seen first. */
onMounted(async () => {
  if (!(await go()) || !moment.value) return
  seq.value = moment.value.last
  await go()
})
const after = computed(() => {
  const seconds = Math.round((moment.value?.after ?? 0) / 1000)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
})
function step(by: number): void {
  seq.value = Math.min(Math.max(1, seq.value + by), moment.value?.last ?? 1)
  void go()
}
async function remove(): Promise<void> {
  if (!(await sure(`${windowWords.walkTitle}: ${moment.value?.view.live.title}. ${classWords.remove}?`, classWords.remove))) return
  if (await call(reply<unknown>(api.DELETE('/api/live/{id}', { params: { path: { id: props.id } } })))) await router.push({ name: 'shelf' })
}
</script>

<template>
  <main class="page walk">
    <failure-note v-if="failure" :failure="failure" />
    <template v-if="moment">
      <div class="head">
        <div>
          <h1>{{ moment.view.live.title }}</h1>
          <p class="soft">{{ windowWords.walkTitle }}, {{ windowWords.walkAt(after) }}</p>
        </div>
        <el-button size="large" @click="remove">{{ classWords.remove }}</el-button>
      </div>
      <div class="time">
        <el-button size="large" :aria-label="`‹ ${windowWords.walkTitle}`" @click="step(-1)">‹</el-button>
        <input v-model.number="seq" type="range" min="1" :max="moment.last" :aria-label="windowWords.walk" @input="soon" />
        <el-button size="large" :aria-label="`› ${windowWords.walkTitle}`" @click="step(1)">›</el-button>
      </div>
      <div class="both">
        <section class="left">
          <slide-face v-if="moment.slide" :key="moment.slide.id" :slide="moment.slide" :reveal="moment.reveal ?? undefined" :shown="moment.view.place.step" :pictures="moment.pictures" class="face" />
          <student-grid :students="moment.view.students" :now="moment.view.now" :has-question="Boolean(moment.view.question && !moment.view.question.closed)" :wonders="moment.view.wonders" ended />
        </section>
        <section>
          <answer-groups v-if="moment.view.question" :question="moment.view.question" :students="moment.view.students" :on-wall="moment.view.wall" ended />
          <p v-else class="soft">{{ windowWords.noQuestion }}</p>
          <div v-if="moment.view.wall.answers.length" class="stood">
            <h2>{{ windowWords.onWall }}</h2>
            <ol v-for="(answer, n) in moment.view.wall.answers" :key="n">
              <li v-for="(line, nth) in answer.lines" :key="nth"><math-line v-if="line.latex" :latex="line.latex" /><math-text v-else :text="line.text" /></li>
            </ol>
          </div>
        </section>
      </div>
    </template>
    <p v-else class="soft">{{ windowWords.loading }}</p>
  </main>
</template>

<style scoped>
.walk,
.left {
  display: grid;
  gap: 16px;
  align-content: start;
}
.head {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 12px;
}
.head p {
  margin: 0;
}
.time {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 18px;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px;
}
input[type='range'] {
  inline-size: 100%;
  accent-color: var(--honey-deep);
}
h2 {
  margin: 0;
  font-size: 1rem;
}
.stood {
  margin-block-start: 16px;
}
.face {
  border: 1px solid var(--line);
  border-radius: 8px;
}
@media (max-width: 860px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
