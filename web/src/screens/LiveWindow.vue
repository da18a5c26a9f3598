<script setup lang="ts">
/** The teacher's window of a live lesson: who is where, what they answered, what is asked next. */
import { ElButton } from 'element-plus'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type LiveView } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import AnswerGroups from '@/live/AnswerGroups.vue'
import AskClass from '@/live/AskClass.vue'
import PaceChooser from '@/live/PaceChooser.vue'
import StudentGrid from '@/live/StudentGrid.vue'
import { useLive } from '@/live/useLive'
import { sure } from '@/composables/sure'
import { useCall } from '@/composables/useCall'
import { liveWords, windowWords } from '@/words/live'

const props = defineProps<{ id: number }>()
const router = useRouter()
const { view, online, failure, open, act, ask } = useLive<LiveView>(() => props.id, false)
const { failure: notThere, call } = useCall()

onMounted(async () => {
  if (await call(reply(api.GET('/api/live/{id}', { params: { path: { id: props.id } } })), (found) => (view.value = found))) open()
})
const question = computed(() => view.value?.question)
const ended = computed(() => view.value?.live.ended !== undefined && view.value.live.ended !== null)
const asks = ref(false)

async function end(): Promise<void> {
  if (await sure(liveWords.endAsk, liveWords.end)) await act({ kind: 'ended' })
}
function move(by: 1 | -1): void {
  const slide = view.value!.place.slide + by
  if (slide >= 0 && slide < view.value!.slides) void act({ kind: 'moved', place: { slide, step: 1 } })
}
</script>

<template>
  <main class="window">
    <failure-note v-if="notThere" :failure="notThere" />
    <template v-else-if="view">
      <header>
        <div>
          <h1>{{ view.live.title }}</h1>
          <p class="soft">
            <template v-if="view.live.code && !ended">{{ liveWords.code }} <strong class="code">{{ view.live.code }}</strong> · </template>
            {{ liveWords.joined(view.students.length) }}
            <template v-if="view.wall.hands"> · {{ liveWords.hands(view.wall.hands) }}</template>
          </p>
        </div>
        <div class="deeds">
          <span class="turn">
            <el-button size="large" :disabled="ended" :aria-label="`‹ ${windowWords.slide(view.place.slide, view.slides)}`" @click="move(-1)">‹</el-button>
            <span>{{ windowWords.slide(view.place.slide + 1, view.slides) }}</span>
            <el-button size="large" :disabled="ended" :aria-label="`› ${windowWords.slide(view.place.slide + 2, view.slides)}`" @click="move(1)">›</el-button>
          </span>
          <pace-chooser v-if="!ended" :pace="view.pace" :slides="view.slides" @set="(pace) => act({ kind: 'paced', pace })" />
          <el-button v-if="!ended" size="large" :type="view.paused ? 'primary' : undefined" :aria-pressed="view.paused" @click="act({ kind: 'paused', paused: !view.paused })">{{ view.paused ? liveWords.goOn : liveWords.lookUp }}</el-button>
          <el-button v-if="!ended" size="large" @click="end">{{ liveWords.end }}</el-button>
          <el-button v-else size="large" type="primary" @click="router.push({ name: 'walk', params: { id } })">{{ windowWords.walk }}</el-button>
        </div>
      </header>
      <p v-if="!online" class="offline" role="status">{{ windowWords.offline }}</p>
      <p v-if="ended" class="offline" role="status">{{ liveWords.ended }}</p>
      <failure-note v-if="failure" :failure="failure" />
      <div class="both">
        <section class="asked">
          <div class="line">
            <h2>{{ windowWords.question }}</h2>
            <el-button v-if="!ended && question" size="large" :aria-expanded="asks" @click="asks = !asks">{{ windowWords.ask }} …</el-button>
          </div>
          <ask-class v-if="!ended && (asks || !question)" :offers="view.offers" :slide="view.place.slide" :question="question ?? undefined" @ask="(wanted, tells, tries) => ((asks = false), ask(wanted, tells, tries))" />
          <answer-groups v-if="question" :question="question" :students="view.students" :on-wall="view.wall" :ended="ended" @act="act" />
        </section>
        <section class="people">
          <h2>{{ windowWords.students }}</h2>
          <student-grid :students="view.students" :now="view.now" :has-question="Boolean(question && !question.closed)" :wonders="view.wonders" :wonder="view.wall.wonder ?? undefined" :ended="ended" @act="act" />
        </section>
      </div>
    </template>
    <p v-else class="soft">{{ windowWords.loading }}</p>
  </main>
</template>

<style scoped>
.window {
  display: grid;
  gap: 14px;
  align-content: start;
  min-block-size: 100vh;
  padding: 14px clamp(12px, 2vw, 28px) 40px;
}
header,
.deeds,
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 14px;
}
.deeds :deep(.el-button + .el-button) {
  margin-inline-start: 0;
}
h1 {
  margin: 0;
  font-size: 1.25rem;
}
h2 {
  margin: 0;
  font-size: 1rem;
}
header p {
  margin: 0;
}
.code {
  letter-spacing: 0.12em;
}
.turn {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.offline {
  margin: 0;
  padding: 8px 14px;
  border-inline-start: 5px solid var(--honey);
  background: var(--honey-pale);
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}
.asked,
.people {
  display: grid;
  gap: 12px;
}
@media (max-width: 860px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
