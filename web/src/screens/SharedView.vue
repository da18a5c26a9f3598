<script setup lang="ts">
/** What a link shows to whoever has it: a lesson slide by slide, or a ladder; on a phone, and on paper. */
import { ElButton, ElSwitch } from 'element-plus'
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, provide, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, imageFolder, reply, type RungView, type SharedView } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import FlawedLines from '@/components/FlawedLines.vue'
import HoneyMark from '@/components/HoneyMark.vue'
import MathText from '@/components/MathText.vue'
import RungSheet from '@/components/RungSheet.vue'
import SceneView from '@/components/SceneView.vue'
import SlideFace from '@/components/SlideFace.vue'
import StageHeading from '@/components/StageHeading.vue'
import { useCall } from '@/composables/useCall'
import { useTeacher } from '@/composables/useTeacher'
import { gradeName, stageNames, words } from '@/words'
import { shareWords } from '@/words/share'
import type { Stage } from '@/api/client'

const props = defineProps<{ link: string }>()
const router = useRouter()
const view = ref<SharedView>()
const { failure, busy, call } = useCall()
const { failure: notCopied, busy: copying, call: copyCall } = useCall()
const { name, load: whoAmI } = useTeacher()
provide(imageFolder, `/api/shared/${props.link}/images`)

const path = { path: { link: props.link } }
const load = (): Promise<boolean> => call(reply(api.GET('/api/shared/{link}', { params: path })), (found) => (view.value = found))
onMounted(async () => {
  await Promise.all([load(), whoAmI()])
  if (view.value) document.title = `${view.value.title} · ${words.name}`
})

/** How far each slide is revealed, by its id; all of it until it is gone through step by step. */
const stepwise = ref(false)
const steps = ref<Record<number, number>>({})
const shownOf = (at: number, id: number): number => (stepwise.value ? (steps.value[id] ?? 1) : totalOf(at))
const totalOf = (at: number): number => view.value?.lesson?.reveals[at]?.moments.length ?? 1
const stages = computed(() =>
  (Object.keys(stageNames) as Stage[]).map((stage) => ({ stage, rungs: (view.value?.problems ?? []).filter((rung) => rung.stage === stage) })).filter((group) => group.rungs.length),
)
const keyed = computed<RungView[] | undefined>(() => view.value?.rungs ?? undefined)

async function copy(): Promise<void> {
  await copyCall(reply(api.POST('/api/shared/{link}/copy', { params: path })), ({ lesson, ladder }) => void router.push(lesson ? { name: 'lesson', params: { id: lesson } } : { name: 'ladder', params: { id: ladder! } }))
}
async function goIn(): Promise<void> {
  await copyCall(reply(api.POST('/api/shared/{link}/edit', { params: path })), ({ id }) => void router.push({ name: 'lesson', params: { id } }))
}
/** On a phone slides are read, not shown: they flow. */
const isNarrow = useMediaQuery('(max-width: 620px)')
const print = (): void => window.print()
</script>

<template>
  <main class="page shared" :aria-busy="busy">
    <p class="from no-print"><honey-mark /> {{ words.name }}</p>
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <template v-if="view">
      <div class="head">
        <div>
          <h1>{{ view.title }}</h1>
          <p class="soft">
            {{ shareWords.from(view.from_whom) }}<template v-if="view.lesson"> · {{ gradeName(view.lesson.lesson.grade) }} · {{ words.shelf.minutes(view.lesson.lesson.minutes) }}</template>
          </p>
        </div>
        <div class="deeds no-print">
          <el-switch v-if="view.lesson" v-model="stepwise" :active-text="shareWords.stepwise" :aria-label="shareWords.stepwise" @change="steps = {}" />
          <el-button size="large" @click="print">{{ shareWords.print }}</el-button>
          <template v-if="view.kind !== 'look'">
            <template v-if="name">
              <el-button v-if="view.kind === 'edit'" type="primary" size="large" :loading="copying" @click="goIn">{{ shareWords.goIn }}</el-button>
              <el-button :type="view.kind === 'edit' ? undefined : 'primary'" size="large" :loading="copying" @click="copy">{{ shareWords.take }}</el-button>
            </template>
            <router-link v-else :to="{ name: 'sign-in', query: { to: `/shared/${link}` } }">{{ shareWords.signIn }}</router-link>
          </template>
        </div>
      </div>
      <failure-note v-if="notCopied" :failure="notCopied" />
      <template v-if="view.lesson">
        <ul v-if="view.lesson.lesson.objectives?.length" class="objectives">
          <li v-for="objective in view.lesson.lesson.objectives" :key="objective">{{ objective }}</li>
        </ul>
        <section v-for="(slide, at) in view.lesson.lesson.slides" :key="slide.id" class="slide">
          <slide-face :slide="slide" :pictures="view.lesson.pictures" :shown="shownOf(at, slide.id)" :reveal="view.lesson.reveals[at]!" :theme="view.lesson.lesson.theme" :meanings="view.lesson.lesson.meanings" :flows="isNarrow" />
          <el-button v-if="stepwise && shownOf(at, slide.id) < totalOf(at)" class="no-print" size="large" @click="steps[slide.id] = shownOf(at, slide.id) + 1">{{ shareWords.next }}</el-button>
        </section>
      </template>
      <rung-sheet v-else-if="keyed" :rungs="keyed" key-shown />
      <section v-for="group in stages" v-else :key="group.stage">
        <stage-heading :stage="group.stage" />
        <ol class="problems">
          <li v-for="rung in group.rungs" :key="rung.number">
            <span class="number" aria-hidden="true">{{ rung.number }}</span>
            <div>
              <p><math-text :text="rung.prompt" /></p>
              <flawed-lines v-if="rung.working?.length" :lines="rung.working.map((latex) => ({ latex, math: '' }))" />
              <scene-view v-if="rung.scene" :scene="rung.scene" class="scene" />
            </div>
          </li>
        </ol>
      </section>
    </template>
    <p v-else-if="!failure" class="soft">{{ words.loading }}</p>
  </main>
</template>

<style scoped>
.from {
  display: flex;
  align-items: center;
  gap: 8px;
  margin: 0 0 10px;
  font-weight: 700;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  justify-content: space-between;
  gap: 12px 24px;
  margin-block-end: 16px;
}
.head h1,
.head p {
  margin: 0;
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
.deeds .el-button {
  margin: 0;
}
.slide {
  display: grid;
  gap: 10px;
  justify-items: end;
  margin-block-end: 22px;
}
.slide > :first-child {
  inline-size: 100%;
}
.problems {
  display: grid;
  gap: 20px;
  margin: 0 0 24px;
  padding: 0;
  list-style: none;
}
.problems li {
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr);
  gap: 12px;
}
.problems p {
  margin: 0;
  overflow-wrap: anywhere;
}
.number {
  font-weight: 700;
}
@media print {
  .no-print {
    display: none;
  }
  .slide {
    break-inside: avoid;
  }
}
</style>
