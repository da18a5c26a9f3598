<script setup lang="ts">
/** A lesson as a ladder between two rails: the clock on the left, what was checked on the right. */
import { useEventListener } from '@vueuse/core'
import { ElButton, ElDialog } from 'element-plus'
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { VueDraggable } from 'vue-draggable-plus'
import { api, reply, type LadderEntry, type LessonView, type PhaseKind, type Slide } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import LadderList from '@/components/LadderList.vue'
import PhaseToCome from '@/components/PhaseToCome.vue'
import PlanSheet from '@/components/PlanSheet.vue'
import SecondLook from '@/components/SecondLook.vue'
import SendSlide from '@/components/SendSlide.vue'
import SlideRow from '@/components/SlideRow.vue'
import VersionsDialog from '@/components/VersionsDialog.vue'
import { offerCommands } from '@/composables/useCommands'
import { useLesson } from '@/composables/useLesson'
import { useSecondLook } from '@/composables/useSecondLook'
import { gradeName, strandNames, words } from '@/words'
import { lookWords } from '@/words/look'
import { join, nextId, split } from '@/slide/reorder'
import { historyWords, moveWords, planWords } from '@/words/plan'

const props = defineProps<{ id: number }>()
const route = useRoute()
const router = useRouter()
const { lesson, revision, checked, pictures, minutesOver, failure, state, stale, changes, load, save, keepMine, adopt, undo, redo, canUndo, canRedo } = useLesson(props.id)
const { look, mend, dismiss, takeBack } = useSecondLook(lesson, changes)
/** The same lesson from its sides. */
type Side = 'slides' | 'plan' | 'look'
const side = computed<Side>({
  get: () => (route.query.side === 'plan' || route.query.side === 'look' ? route.query.side : 'slides'),
  set: (to) => void router.replace({ query: to === 'slides' ? {} : { side: to } }),
})
const history = ref(false)
const ladders = ref<LadderEntry[]>([])
const openSlide = ref<number>()

/** The slides with the minute at which each begins. */
const rungs = computed(() => {
  let clock = 0
  return (lesson.value?.slides ?? []).map((slide, index, all) => {
    const from = clock
    clock += slide.minutes
    return { slide, index, from, to: clock, first: all[index - 1]?.phase !== slide.phase }
  })
})

async function loadLadders(): Promise<void> {
  const answer = await reply(api.GET('/api/lessons/{id}/ladders', { params: { path: { id: props.id } } }))
  if (answer.ok) ladders.value = answer.value
}
onMounted(async () => {
  await Promise.all([load(), loadLadders()])
  // Back from the bench the slide that it put its example on is in sight.
  if (route.hash) await bring(route.hash)
})

/** The phases of the plan without a slide, each told where its slides would stand. */
const emptyPhases = computed(() => {
  const order = (lesson.value?.phases ?? []).map((phase) => phase.kind)
  const used = rungs.value.map((rung) => order.indexOf(rung.slide.phase))
  return (lesson.value?.phases ?? []).flatMap((phase, at) => {
    if (used.includes(at)) return []
    const before = used.findIndex((other) => other > at)
    return [{ kind: phase.kind, minutes: phase.minutes, before: before < 0 ? rungs.value.length : before }]
  })
})

/** A slide just made, whose heading waits to be typed over. */
const newSlide = ref<number>()
function addSlide(at: number, phase: PhaseKind): void {
  if (!lesson.value) return
  const id = nextId(lesson.value.slides)
  lesson.value.slides.splice(at, 0, { id, title: words.lesson.newSlide, phase, minutes: 5, notes: '', blocks: [] })
  newSlide.value = id
  void openOn(id)
}
const addLast = (): void => addSlide(rungs.value.length, rungs.value.at(-1)?.slide.phase ?? 'teach')
/** Where a phase that has no slide yet would have its first. */
function addIn(kind: PhaseKind): void {
  const at = lesson.value?.slides.findLastIndex((slide) => slide.phase === kind) ?? -1
  const empty = emptyPhases.value.find((phase) => phase.kind === kind)
  addSlide(at < 0 ? (empty?.before ?? rungs.value.length) : at + 1, kind)
}

/** What was typed is saved before the bench opens: it puts its example into the lesson as it stands there. */
async function toBench(place?: { slide: number; block: number } | { onto: number }): Promise<void> {
  await save()
  await router.push({ name: 'working', params: { id: props.id }, query: place })
}

/** A slide that was moved belongs to the phase that it stands in now. */
function settle(id: number): void {
  const slides = lesson.value?.slides ?? []
  const at = slides.findIndex((slide) => slide.id === id)
  const [before, slide, after] = [slides[at - 1]?.phase, slides[at], slides[at + 1]?.phase]
  if (!slide || slide.phase === before || slide.phase === after) return
  slide.phase = before ?? after ?? slide.phase
}

function move(index: number, by: number): void {
  const slides = lesson.value?.slides
  const slide = slides?.[index]
  if (!slides || !slide || index + by < 0 || index + by >= slides.length) return
  slides.splice(index, 1)
  slides.splice(index + by, 0, slide)
  settle(slide.id)
}

function copy(index: number): void {
  const slides = lesson.value?.slides
  if (!slides?.[index]) return
  const id = nextId(slides)
  slides.splice(index + 1, 0, { ...(JSON.parse(JSON.stringify(slides[index])) as Slide), id })
}

function cut(index: number, at: number): void {
  const id = lesson.value && split(lesson.value.slides, index, at)
  if (id !== undefined) openSlide.value = id
}

/** What else was asked to be done with a slide. */
function act(slide: Slide, index: number, deed: string): void {
  if (!lesson.value) return
  if (deed === 'below') addSlide(index + 1, slide.phase)
  else if (deed === 'join') join(lesson.value.slides, index)
  else if (deed === 'twice') copy(index)
  else if (deed === 'remove') lesson.value.slides.splice(index, 1)
  else sending.value = { slide, moves: deed === 'move' }
}

const sending = ref<{ slide: Slide; moves: boolean }>()
function sent(): void {
  if (sending.value?.moves && lesson.value) {
    const gone = sending.value.slide.id
    lesson.value.slides = lesson.value.slides.filter((slide) => slide.id !== gone)
  }
}

/** The lesson as a file that can be taken in again, here or elsewhere, as it is saved. */
async function saveFile(): Promise<void> {
  await save()
  const link = document.createElement('a')
  link.href = `/api/lessons/${props.id}/file`
  link.download = ''
  link.click()
}

async function openOn(id: number): Promise<void> {
  side.value = 'slides'
  openSlide.value = id
  await bring(`#slide-${id}`)
}
async function bring(row: string): Promise<void> {
  await nextTick()
  if (/^#slide-\d+$/.test(row)) document.querySelector(row)?.scrollIntoView({ block: 'nearest' })
}

async function restored(view: LessonView): Promise<void> {
  adopt(view)
  await loadLadders()
}

offerCommands(() => [
  { says: words.lesson.show, run: () => void show() },
  { says: planWords.slides, run: () => (side.value = 'slides') },
  { says: planWords.plan, run: () => (side.value = 'plan') },
  { says: lookWords.title, run: () => (side.value = 'look') },
  { says: words.lesson.addSlide, run: addLast },
  { says: words.lesson.addExample, run: () => void toBench() },
  { says: historyWords.open, run: () => (history.value = true) },
  { says: historyWords.undo, run: undo },
  { says: historyWords.redo, run: redo },
  { says: moveWords.file, run: () => void saveFile() },
  ...(lesson.value?.slides ?? []).map((slide, at) => ({ says: slide.title, place: lookWords.slide(at + 1, '').replace(/: $/, ''), run: () => void openOn(slide.id) })),
])

/** Undo and redo by keyboard, but for a field that has its own. */
useEventListener('keydown', (event: KeyboardEvent) => {
  const inField = event.target instanceof HTMLElement && event.target.closest('input, textarea, math-field, [contenteditable]')
  if (inField || !(event.ctrlKey || event.metaKey)) return
  const key = event.key.toLowerCase()
  if (key !== 'z' && key !== 'y') return
  event.preventDefault()
  if (key === 'y' || event.shiftKey) redo()
  else undo()
})

async function show(): Promise<void> {
  await save()
  // The full screen must be asked for within the click.
  await document.documentElement.requestFullscreen?.().catch(() => undefined)
  await router.push({ name: 'show', params: { id: props.id } })
}
</script>

<template>
  <main class="page">
    <failure-note v-if="failure" :failure="failure" retry @again="lesson ? save() : load()" />
    <template v-if="lesson">
      <router-link :to="{ name: 'shelf' }">{{ words.lesson.back }}</router-link>
      <div class="head">
        <div>
          <h1>{{ lesson.title }}</h1>
          <p class="soft">
            {{ gradeName(lesson.grade) }} · {{ strandNames[lesson.strand] }} · {{ words.shelf.minutes(lesson.minutes) }}
          </p>
          <ul v-if="side !== 'plan' && lesson.objectives?.length" class="objectives">
            <li v-for="objective in lesson.objectives" :key="objective">{{ objective }}</li>
          </ul>
        </div>
        <div class="actions">
          <span class="state soft" role="status">{{ words.lesson[state] }}</span>
          <el-button text size="large" :disabled="!canUndo" @click="undo">{{ historyWords.undo }}</el-button>
          <el-button text size="large" :disabled="!canRedo" @click="redo">{{ historyWords.redo }}</el-button>
          <el-button text size="large" @click="saveFile">{{ moveWords.file }}</el-button>
          <el-button text size="large" @click="history = true">{{ historyWords.open }}</el-button>
          <el-button size="large" @click="toBench()">{{ words.lesson.addExample }}</el-button>
          <el-button size="large" type="primary" @click="show">{{ words.lesson.show }}</el-button>
        </div>
      </div>

      <nav class="tabs sides" :aria-label="planWords.views">
        <button type="button" :aria-pressed="side === 'slides'" @click="side = 'slides'">{{ planWords.slides }}</button>
        <button type="button" :aria-pressed="side === 'plan'" @click="side = 'plan'">{{ planWords.plan }}</button>
        <button type="button" :aria-pressed="side === 'look'" @click="side = 'look'">
          {{ lookWords.title }}<span v-if="look?.open.length" class="count">{{ look.open.length }}</span>
        </button>
      </nav>
      <plan-sheet v-if="side === 'plan'" v-model="lesson" @slide="openOn" @add="addIn" />
      <second-look
        v-else-if="side === 'look' && look"
        :lesson="lesson"
        :look="look"
        @slide="openOn"
        @plan="side = 'plan'"
        @mend="mend"
        @dismiss="dismiss"
        @back="takeBack"
      />
      <div v-else class="lesson-rails">
        <div class="rail-head">{{ words.lesson.clock }}</div>
        <div />
        <div class="rail-head right">{{ words.lesson.checked }}</div>
        <vue-draggable v-model="lesson.slides" handle=".grip" :animation="140" class="rows" @end="(event) => settle(Number(event.item.dataset.slide))">
        <div v-for="rung in rungs" :id="`slide-${rung.slide.id}`" :key="rung.slide.id" class="row" :data-slide="rung.slide.id">
          <phase-to-come v-for="phase in emptyPhases.filter((phase) => phase.before === rung.index)" :key="phase.kind" :kind="phase.kind" :minutes="phase.minutes" @add="addIn(phase.kind)" />
          <slide-row
            v-model="lesson.slides[rung.index]!"
            :index="rung.index"
            :from="rung.from"
            :to="rung.to"
            :first="rung.first"
            :count="rungs.length"
            :lesson="id"
            :grade="lesson.grade"
            :skill="lesson.sheet?.skill"
            :theme="lesson.theme"
            :meanings="lesson.meanings"
            :pictures="pictures"
            :checked="checked.get(rung.slide.id)"
            :open="openSlide === rung.slide.id"
            :fresh="newSlide === rung.slide.id"
            @toggle="openSlide = openSlide === rung.slide.id ? undefined : rung.slide.id"
            @move="(by) => move(rung.index, by)"
            @deed="(deed) => act(rung.slide, rung.index, deed)"
            @split="(at) => cut(rung.index, at)"
            @bench="(block) => toBench(block === undefined ? { onto: rung.slide.id } : { slide: rung.slide.id, block })"
          />
        </div>
        </vue-draggable>
        <phase-to-come v-for="phase in emptyPhases.filter((phase) => phase.before === rungs.length)" :key="phase.kind" :kind="phase.kind" :minutes="phase.minutes" @add="addIn(phase.kind)" />
        <div class="rail clock foot"><span class="soft">{{ minutesOver === 0 ? words.lesson.fits : words.lesson.over(minutesOver) }}</span></div>
        <div class="rung foot">
          <el-button size="large" @click="addLast">{{ words.lesson.addSlide }}</el-button>
        </div>
        <div class="rail checked foot" />
      </div>

      <send-slide v-if="sending" :slide="sending.slide" :from="id" :moves="sending.moves" @close="sending = undefined" @sent="sent" />
      <ladder-list :ladders="ladders" :lesson="id" />
      <versions-dialog v-model="history" :lesson="id" :revision="revision" @restored="restored" />

      <el-dialog
        :model-value="stale !== undefined"
        :title="words.lesson.stale"
        width="min(94vw, 520px)"
        :show-close="false"
        :close-on-click-modal="false"
        :close-on-press-escape="false"
      >
        <p>{{ words.lesson.staleHelp }}</p>
        <template #footer>
          <el-button size="large" @click="load">{{ words.lesson.staleTheirs }}</el-button>
          <el-button size="large" type="primary" @click="keepMine">{{ words.lesson.staleMine }}</el-button>
        </template>
      </el-dialog>
    </template>
    <p v-else-if="!failure" class="soft">{{ words.loading }}</p>
  </main>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  justify-content: space-between;
  gap: var(--gap);
  margin-block: 6px 26px;
}
.objectives {
  margin: 8px 0 0;
  padding-inline-start: 1.2em;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
.sides {
  margin-block-end: 22px;
}
.actions .el-button {
  margin: 0;
}
.actions .el-button.is-text {
  padding-inline: 10px;
}
.state {
  padding-inline-end: 6px;
}
.count {
  display: inline-grid;
  place-items: center;
  min-inline-size: 1.5em;
  margin-inline-start: 7px;
  padding-inline: 4px;
  border-radius: 1em;
  background: var(--verdict-breaks);
  color: var(--card);
  font-size: 0.8rem;
  font-weight: 700;
}
.rows,
.row {
  display: grid;
  grid-template-columns: subgrid;
  grid-column: 1 / -1;
}
.rail-head {
  padding-block-end: 8px;
  font-size: 0.85rem;
  font-weight: 700;
  letter-spacing: 0.04em;
  text-align: end;
  padding-inline: 16px;
  border-inline-end: var(--rail) solid var(--honey);
}
.rail-head.right {
  text-align: start;
  border-inline-end: 0;
  border-inline-start: var(--rail) solid var(--honey);
}
.lesson-rails .foot::before {
  display: none;
}
.foot {
  text-align: center;
}
@media (max-width: 860px) {
  .rail-head.right,
  .checked.foot {
    display: none;
  }
  .rail-head {
    padding-inline: 0 8px;
    font-size: 0.78rem;
  }
}
</style>
