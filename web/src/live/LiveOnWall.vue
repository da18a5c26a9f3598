<script setup lang="ts">
/** The class on the wall: opens the lesson to it, shows the code, how many are in, and what they answered. */
import { ElButton, ElDialog, ElOption, ElSelect } from 'element-plus'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type ClassEntry, type LiveWall } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import MathLine from '@/components/MathLine.vue'
import MathText from '@/components/MathText.vue'
import StrokesView from './StrokesView.vue'
import { useLive } from './useLive'
import { useCall } from '@/composables/useCall'
import { liveWords } from '@/words/live'

const props = defineProps<{ lesson: number; at: number; shown: number }>()
const emit = defineEmits<{ go: [at: number, shown: number] }>()
const router = useRouter()
const live = ref<number>()
const { view, failure, open: listen, act, ask: askClass } = useLive<LiveWall>(() => live.value, true)
const { failure: notOpened, call } = useCall()
const asks = ref(false)
const classes = ref<ClassEntry[]>([])
const ANYONE = 0
const to = ref<number>(ANYONE)
const shows = ref(false)
const host = computed(() => `${location.host}/join`)

/** A lesson that is open already goes on: the wall was only loaded again. */
onMounted(() =>
  call(reply(api.GET('/api/live', { params: { query: { lesson: props.lesson } } })), (all) => {
    const going = all.find((one) => one.code)
    if (going) begin(going.id, false)
  }),
)
function begin(id: number, showsCode: boolean): void {
  live.value = id
  shows.value = showsCode
  asks.value = false
  listen()
  if (showsCode) void move()
}
async function ask(): Promise<void> {
  asks.value = true
  await call(reply(api.GET('/api/classes')), (all) => (classes.value = all.filter((one) => !one.is_open)))
}
const start = (): Promise<boolean> =>
  call(reply(api.POST('/api/live', { body: { lesson: props.lesson, class: to.value === ANYONE ? undefined : to.value } })), ({ id }) => begin(id, true))

/** The wall and the window both move the lesson: what is on its way here is ahead of what is told. */
let onTheWay = 0
async function move(): Promise<void> {
  if (live.value === undefined || view.value?.ended) return
  onTheWay += 1
  await act({ kind: 'moved', place: { slide: props.at, step: props.shown } })
  onTheWay -= 1
}
const isThere = (place: LiveWall['place']): boolean => place.slide === props.at && place.step === props.shown
watch(
  () => [props.at, props.shown],
  () => {
    if (view.value && !isThere(view.value.place)) void move()
  },
)
watch(view, (told, before) => {
  if (!told || onTheWay) return
  const moved = !before || told.place.slide !== before.place.slide || told.place.step !== before.place.step
  if (moved && !isThere(told.place)) emit('go', told.place.slide, told.place.step)
})
const window_ = (): void => void window.open(router.resolve({ name: 'live', params: { id: live.value } }).href, `live-${live.value}`, 'width=1200,height=820')
const going = computed(() => (view.value?.ended ? undefined : view.value))
const compares = computed(() => (view.value?.answers.length ?? 0) > 1)
const most = computed(() => Math.max(1, ...(view.value?.shares ?? []).map((share) => share.count)))
/** What is asked stands on the wall as long as it is open: a class looks up. */
const isAsked = computed(() => Boolean(going.value?.question && going.value.open))
const hasPanel = computed(() => Boolean(going.value && (going.value.answers.length || going.value.shares.length || going.value.wonder || going.value.right !== undefined)))
defineExpose({
  toggleCode: () => (going.value ? (shows.value = !shows.value) : void ask()),
  isGoing: computed(() => going.value !== undefined),
  askClass: (text: string) => askClass({ from: 'typed', text }, 'at_once', 0),
})
</script>

<template>
  <span class="bar">
    <button v-if="!going" type="button" @click="ask">{{ liveWords.open }}</button>
    <template v-else>
      <button type="button" :aria-expanded="shows" @click="shows = !shows">{{ liveWords.joined(going.joined) }}</button>
      <span v-if="going.hands">{{ liveWords.hands(going.hands) }}</span>
      <button type="button" @click="window_">{{ liveWords.window }}</button>
    </template>
    <failure-note v-if="failure" :failure="failure" />
  </span>
  <teleport to="body">
    <section v-if="going && shows" class="way-in" :aria-label="liveWords.code">
      <p class="host">{{ liveWords.joinAt(host) }}</p>
      <p class="big">{{ going.code }}</p>
      <img :src="`/api/live/${live}/code.svg`" :alt="liveWords.camera" width="220" height="220" />
      <p class="soft">{{ liveWords.camera }}</p>
      <p class="count">{{ liveWords.joined(going.joined) }}</p>
      <el-button size="large" @click="shows = false">{{ liveWords.hide }}</el-button>
    </section>
    <p v-if="isAsked && going && !hasPanel" class="asked">
      <math-text :text="going.prompt ?? ''" />
      <strong>{{ liveWords.answered(going.answered, going.joined) }}</strong>
    </p>
    <section v-if="hasPanel && going" class="panel" :class="{ compares }" aria-live="polite">
      <p v-if="going.prompt" class="prompt">
        <math-text :text="going.prompt" />
        <strong v-if="isAsked">{{ liveWords.answered(going.answered, going.joined) }}</strong>
      </p>
      <blockquote v-if="going.wonder" class="wonder">{{ going.wonder }}</blockquote>
      <div v-if="going.answers.length" class="answers">
        <ol v-for="(answer, n) in going.answers" :key="n">
          <li v-if="answer.strokes?.length"><strokes-view :strokes="answer.strokes" /></li>
          <li v-for="(line, nth) in answer.lines" :key="nth">
            <math-line v-if="line.latex" :latex="line.latex" />
            <math-text v-else :text="line.text" />
          </li>
        </ol>
      </div>
      <ul v-if="going.shares.length" class="shares">
        <li v-for="(share, n) in going.shares" :key="n" :class="{ right: share.right === true }">
          <span class="ends"><math-line v-if="share.latex" :latex="share.latex" /><math-text v-else :text="share.ends" /></span>
          <span class="track"><i :style="{ inlineSize: `${(100 * share.count) / most}%` }" /></span>
          <strong>{{ share.count }}</strong>
          <span v-if="share.right === true" class="mark">{{ liveWords.right }}</span>
        </li>
      </ul>
      <p v-if="going.right" class="told"><strong>{{ liveWords.isRight }}</strong> <math-text :text="going.right" /></p>
    </section>
    <div v-if="going?.paused" class="paused" role="status">{{ liveWords.lookUp }}</div>
  </teleport>
  <el-dialog v-model="asks" :title="liveWords.open" width="min(94vw, 440px)" append-to-body>
    <form class="opens" @submit.prevent="start">
      <label>
        <span>{{ liveWords.toWhom }}</span>
        <el-select v-model="to" size="large" :aria-label="liveWords.toWhom">
          <el-option :label="liveWords.anyone" :value="ANYONE" />
          <el-option v-for="one in classes" :key="one.id" :label="one.title" :value="one.id" />
        </el-select>
      </label>
      <failure-note v-if="notOpened" :failure="notOpened" />
      <el-button type="primary" size="large" native-type="submit">{{ liveWords.openNow }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.bar {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
}
.bar > button {
  min-block-size: 32px;
  padding-inline: 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.way-in,
.asked,
.panel {
  position: fixed;
  z-index: 20;
  border: 1px solid var(--line);
  border-block-start: 6px solid var(--honey);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shadow);
}
.way-in {
  inset-block-start: 50%;
  inset-inline-start: 50%;
  display: grid;
  justify-items: center;
  gap: 10px;
  padding: 24px 40px;
  transform: translate(-50%, -50%);
}
.way-in p {
  margin: 0;
}
.host {
  font-size: clamp(1.2rem, 2.4vw, 2.4rem);
}
.big {
  font-size: clamp(3rem, 9vw, 9rem);
  font-weight: 700;
  letter-spacing: 0.14em;
  line-height: 1.1;
}
.count {
  font-size: clamp(1.1rem, 2vw, 2rem);
  font-weight: 700;
}
.asked {
  inset-block-end: 64px;
  inset-inline: 2vw;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0 2vw;
  margin: 0;
  padding: 0.5em 1em;
  font-size: clamp(1.1rem, 2vw, 2.2rem);
}
.asked strong,
.prompt strong {
  color: var(--ink-soft);
  font-size: 0.8em;
}
.panel {
  /* Clear of the buttons of the wall, which may take two rows. */
  inset-block-end: 100px;
  inset-inline-end: 2vw;
  display: grid;
  gap: 1vw;
  inline-size: min(46vw, 900px);
  max-block-size: calc(100vh - 130px);
  overflow: auto;
  padding: 1.4vw 1.8vw;
  font-size: clamp(1.1rem, 2.1vw, 2.4rem);
}
.panel.compares {
  inline-size: min(92vw, 1700px);
}
.panel p,
.panel blockquote {
  margin: 0;
}
.prompt {
  display: flex;
  justify-content: space-between;
  gap: 1em;
  font-size: 0.75em;
  color: var(--ink-soft);
}
.wonder {
  padding-inline-start: 0.6em;
  border-inline-start: 6px solid var(--honey);
}
.answers {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
  gap: 2vw;
}
.answers ol,
.shares {
  display: grid;
  align-content: start;
  gap: 0.5em;
  margin: 0;
  padding: 0;
  list-style: none;
}
.compares ol + ol {
  padding-inline-start: 2vw;
  border-inline-start: 3px solid var(--honey);
}
.shares li {
  display: grid;
  grid-template-columns: minmax(4em, auto) minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 0.6em;
}
.track {
  block-size: 0.7em;
  border-radius: 0.35em;
  background: var(--sunk);
}
.track i {
  display: block;
  block-size: 100%;
  border-radius: 0.35em;
  background: var(--honey);
  transition: inline-size 0.3s;
}
.shares .right .track i {
  background: var(--verdict-holds);
}
.mark {
  color: var(--verdict-holds);
  font-weight: 700;
}
.paused {
  position: fixed;
  inset-block-start: 12px;
  inset-inline-start: 50%;
  z-index: 15;
  padding: 6px 22px;
  border-radius: 999px;
  background: var(--honey);
  color: var(--on-honey);
  font-size: 1.2rem;
  font-weight: 700;
  transform: translateX(-50%);
}
.opens,
.opens label {
  display: grid;
  gap: 8px;
}
.opens {
  gap: 16px;
}
</style>
