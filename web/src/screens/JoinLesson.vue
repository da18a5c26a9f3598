<script setup lang="ts">
/** A student in a live lesson: joins with the code on the wall, follows, and answers. */
import { ElButton, ElInput } from 'element-plus'
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue'
import { api, reply, type ClassGiven, type JoinView, type StudentNow, type StudentSlide } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import HoneyMark from '@/components/HoneyMark.vue'
import MathText from '@/components/MathText.vue'
import SceneView from '@/components/SceneView.vue'
import SlideFace from '@/components/SlideFace.vue'
import JudgedLines from '@/components/JudgedLines.vue'
import { useCall } from '@/composables/useCall'
import { useOutbox } from '@/live/outbox'
import { useSocket } from '@/live/socket'
import { joinWords } from '@/words/live'
import { words } from '@/words'

/** With the field for mathematics, which is large. */
const StudentAnswer = defineAsyncComponent(() => import('@/live/StudentAnswer.vue'))

const props = defineProps<{ code: string }>()
const view = ref<JoinView>()
const now = ref<StudentNow>()
const slide = ref<StudentSlide>()
const name = ref('')
const own = ref('')
const comesBack = ref(false)
const isOther = ref(false)
const asks = ref(false)
const wondered = ref('')
const sent = ref(false)
const pairs = ref(false)
const partner = ref('')
const { failure, call } = useCall()
const { failure: notIn, busy, call: joinCall } = useCall()
const params = { path: { code: props.code } }

const { waiting, failure: refused, stuck, put, send } = useOutbox(props.code, take)
const { online, open } = useSocket<StudentNow>(() => `/api/join/${props.code}/socket`, take, () => void send())

function take(told: StudentNow): void {
  // What was told before may come after.
  if (now.value && told.seq < now.value.seq) return
  now.value = told
}
function enter(found: JoinView): void {
  view.value = found
  isOther.value = false
  if (!found.now) return
  take(found.now)
  open()
  void send()
}
const load = (): Promise<boolean> => call(reply(api.GET('/api/join/{code}', { params })), enter)
onMounted(load)

async function join(body: { name?: string; code?: string }): Promise<void> {
  await joinCall(reply(api.POST('/api/join/{code}', { params, body })), enter)
  if (notIn.value?.kind === 'taken') comesBack.value = true
}
const byName = computed(() => view.value?.is_open === true && !comesBack.value)
const comeIn = (): Promise<void> => join(byName.value ? { name: name.value } : { code: own.value })

watch(
  () => now.value && `${now.value.place.slide}/${now.value.place.step}`,
  async () => {
    const place = now.value?.place
    if (!place) return
    const answer = await reply(api.GET('/api/join/{code}/slides/{slide}/{step}', { params: { path: { code: props.code, slide: place.slide, step: place.step } } }))
    if (answer.ok) slide.value = answer.value
  },
)

const question = computed(() => now.value?.question)
const goes = computed(() => now.value?.pace.by !== 'together')
/** One moment on or back: over the edge of a slide to the next one. */
function go(by: 1 | -1): void {
  const { place, steps, slides } = now.value!
  const step = place.step + by
  if (step >= 1 && step <= steps) put({ kind: 'at', place: { slide: place.slide, step } })
  else if (by === 1 && place.slide + 1 < slides) put({ kind: 'at', place: { slide: place.slide + 1, step: 1 } })
  else if (by === -1 && place.slide > 0) put({ kind: 'at', place: { slide: place.slide - 1, step: 1 } })
}
function give(given: ClassGiven): void {
  if (question.value) put({ kind: 'gave', question: question.value.number, given })
}
function ask(): void {
  put({ kind: 'wondered', text: wondered.value })
  wondered.value = ''
  asks.value = false
  sent.value = true
}
function pair(): void {
  put({ kind: 'with', partner: partner.value })
  pairs.value = false
}
</script>

<template>
  <main class="join">
    <header>
      <span class="brand"><honey-mark /><span>{{ view?.title ?? joinWords.title }}</span></span>
      <span v-if="now" class="who">{{ now.name }}<template v-if="now.partner"> {{ joinWords.with(now.partner) }}</template></span>
    </header>

    <template v-if="failure && !view">
      <failure-note :failure="failure" retry @again="load" />
      <router-link :to="{ name: 'join-code' }">{{ joinWords.code }}</router-link>
    </template>

    <div v-else-if="view && !now && view.student && !isOther" class="enter">
      <el-button type="primary" size="large" :loading="busy" @click="join({})">{{ joinWords.goInAs(view.student) }}</el-button>
      <button type="button" class="as-link" @click="isOther = true">{{ joinWords.notMe }}</button>
      <failure-note v-if="notIn" :failure="notIn" />
    </div>

    <form v-else-if="view && !now" class="enter" @submit.prevent="comeIn">
      <label v-if="byName">
        <span class="ask">{{ joinWords.who }}</span>
        <el-input v-model="name" size="large" maxlength="40" autofocus autocomplete="given-name" name="name" :aria-label="joinWords.name" />
      </label>
      <label v-else>
        <span class="ask">{{ joinWords.yourCode }}</span>
        <span v-if="!view.is_open" class="soft">{{ joinWords.cardCode }}</span>
        <el-input v-model="own" size="large" maxlength="8" autofocus autocapitalize="none" autocomplete="off" name="own" />
      </label>
      <failure-note v-if="notIn" :failure="notIn" />
      <el-button type="primary" size="large" native-type="submit" :loading="busy">{{ joinWords.goIn }}</el-button>
      <button v-if="byName" type="button" class="as-link" @click="comesBack = true">{{ joinWords.back }}</button>
    </form>

    <template v-else-if="now">
      <p v-if="!online || stuck" class="waiting" role="status">{{ waiting.length ? joinWords.queued : joinWords.waiting }}</p>
      <section v-if="now.ended" class="big" role="status">{{ joinWords.ended }}</section>
      <section v-else-if="now.paused" class="big" role="status">
        <strong>{{ joinWords.lookUp }}</strong>
        <span>{{ joinWords.lookUpLead }}</span>
      </section>
      <template v-if="!now.paused">
        <section v-if="question" class="question" :aria-label="joinWords.question">
          <h1><math-text :text="question.asked.prompt" /></h1>
          <scene-view v-if="question.scene && question.asked.by !== 'drawing'" :scene="question.scene" />
          <student-answer :key="question.number" :question="question" :lesson="code" @give="give" />
          <div class="said" role="status">
            <template v-if="question.right"><strong>{{ joinWords.told }}</strong> <math-text :text="question.right ?? ''" /></template>
            <template v-else-if="question.said?.right === true"><strong class="holds">{{ joinWords.isRight }}</strong></template>
            <template v-else-if="question.said?.right === false"><strong class="breaks">{{ joinWords.notRight }}</strong></template>
            <template v-else-if="question.tries">{{ joinWords.kept }}</template>
            <template v-if="!question.open && !question.tries">{{ joinWords.closed }}</template>
          </div>
          <judged-lines v-if="question.said?.judgement" :lines="[...question.said.judgement.lines, ...(question.said.judgement.answer ? [question.said.judgement.answer] : [])]" />
          <failure-note v-if="refused" :failure="refused" />
        </section>
        <p v-else class="soft">{{ joinWords.waits }}</p>
      </template>
      <section v-if="slide && !now.paused" :aria-label="joinWords.slide" class="slide">
        <slide-face :key="`${slide.place.slide}`" :slide="slide.slide" :reveal="slide.reveal" :shown="slide.place.step" :pictures="slide.pictures" :theme="slide.theme" :meanings="slide.meanings" flows />
        <nav v-if="goes" class="steps">
          <el-button size="large" @click="go(-1)">{{ joinWords.slideBack }}</el-button>
          <span class="soft">{{ joinWords.slideOf(now.place.slide + 1, now.slides) }}</span>
          <el-button size="large" type="primary" @click="go(1)">{{ joinWords.slideNext }}</el-button>
        </nav>
      </section>
      <footer v-if="!now.ended">
        <el-button size="large" :type="now.hand ? 'primary' : undefined" :aria-pressed="now.hand" @click="put({ kind: 'hand', up: !now.hand })">{{ now.hand ? joinWords.handUp : joinWords.hand }}</el-button>
        <el-button size="large" :aria-expanded="asks" @click="(asks = !asks), (sent = false)">{{ joinWords.ask }}</el-button>
        <el-button size="large" :aria-expanded="pairs" @click="pairs = !pairs">{{ joinWords.partner }}</el-button>
      </footer>
      <form v-if="asks" class="small" @submit.prevent="ask">
        <label>
          <span class="soft">{{ joinWords.askLead }}</span>
          <el-input v-model="wondered" type="textarea" :autosize="{ minRows: 1, maxRows: 4 }" maxlength="600" :aria-label="joinWords.ask" />
        </label>
        <el-button native-type="submit" :disabled="!wondered.trim()">{{ joinWords.send }}</el-button>
      </form>
      <p v-if="sent" class="soft" role="status">{{ joinWords.sent }}</p>
      <form v-if="pairs" class="small" @submit.prevent="pair">
        <label>
          <span class="soft">{{ joinWords.partnerLead }}</span>
          <el-input v-model="partner" maxlength="40" :aria-label="joinWords.partnerLead" />
        </label>
        <el-button native-type="submit">{{ joinWords.send }}</el-button>
      </form>
      <p v-if="view?.code" class="soft">{{ joinWords.keep }} <strong class="mine">{{ view.code }}</strong>. {{ joinWords.keepHelp }}</p>
    </template>
    <p v-else class="soft">{{ words.loading }}</p>
  </main>
</template>

<style scoped src="@/styles/student-head.css"></style>
<style scoped>
.join {
  display: grid;
  gap: 16px;
  max-inline-size: 760px;
  margin-inline: auto;
  padding: 12px clamp(12px, 4vw, 28px) calc(80px + var(--keyboard, 0px));
}
.enter {
  display: grid;
  gap: 16px;
  margin-block-start: 8vh;
}
.enter label,
.small label {
  display: grid;
  gap: 4px;
}
.ask {
  font-size: 1.4rem;
  font-weight: 700;
}
.as-link {
  justify-self: start;
}
.waiting {
  margin: 0;
  padding: 8px 14px;
  border-inline-start: 5px solid var(--honey);
  background: var(--honey-pale);
}
.big {
  display: grid;
  gap: 6px;
  place-items: center;
  min-block-size: 40vh;
  align-content: center;
  border-radius: var(--radius);
  background: var(--honey-pale);
  font-size: 1.2rem;
  text-align: center;
}
.big strong {
  font-size: 2.4rem;
}
.question {
  display: grid;
  gap: 14px;
  padding: 16px;
  border: 1px solid var(--line);
  border-block-start: 5px solid var(--honey);
  border-radius: var(--radius);
  background: var(--card);
}
h1 {
  margin: 0;
  font-size: 1.25rem;
}
.holds {
  color: var(--verdict-holds);
}
.breaks {
  color: var(--verdict-breaks);
}
.slide {
  display: grid;
  gap: 10px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 10px;
  background: var(--card);
}
.steps {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
footer {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
footer :deep(.el-button + .el-button) {
  margin-inline-start: 0;
}
.small {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.small label {
  inline-size: 100%;
}
.mine {
  letter-spacing: 0.08em;
}
</style>
