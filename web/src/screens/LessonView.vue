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
import PlanSheet from '@/components/PlanSheet.vue'
import RowMenu from '@/components/RowMenu.vue'
import SecondLook from '@/components/SecondLook.vue'
import SendSlide from '@/components/SendSlide.vue'
import SlideEditor from '@/components/SlideEditor.vue'
import SlideFace from '@/components/SlideFace.vue'
import VerdictMark from '@/components/VerdictMark.vue'
import VersionsDialog from '@/components/VersionsDialog.vue'
import { offerCommands } from '@/composables/useCommands'
import { useLesson } from '@/composables/useLesson'
import { useSecondLook } from '@/composables/useSecondLook'
import { gradeName, phaseNames, strandNames, words } from '@/words'
import { lookWords } from '@/words/look'
import { join, nextId, split } from '@/slide/reorder'
import { blockWords, historyWords, moveWords, planWords } from '@/words/plan'

const props = defineProps<{ id: number }>()
const route = useRoute()
const router = useRouter()
const { lesson, revision, checked, pictures, minutesOver, failure, state, stale, load, save, keepMine, adopt, undo, redo, canUndo, canRedo } = useLesson(props.id)
const { look, mend, dismiss, takeBack } = useSecondLook(lesson)
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
    return { slide, index, checked: checked.value.get(slide.id), from, to: clock, first: all[index - 1]?.phase !== slide.phase }
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

/** Slides on which something cannot be seen, by their ids. */
const full = ref(new Set<number>())
function setFull(id: number, isFull: boolean): void {
  if (isFull === full.value.has(id)) return
  const now = new Set(full.value)
  if (isFull) now.add(id)
  else now.delete(id)
  full.value = now
}

function cut(index: number, at: number): void {
  const id = lesson.value && split(lesson.value.slides, index, at)
  if (id !== undefined) openSlide.value = id
}

/** What else can be done with a slide. */
const deedsAt = (index: number): { deed: string; says: string; disabled?: boolean }[] => [
  { deed: 'below', says: moveWords.below },
  { deed: 'twice', says: words.lesson.twice },
  { deed: 'join', says: moveWords.join, disabled: index === rungs.value.length - 1 },
  { deed: 'copy', says: moveWords.send },
  { deed: 'move', says: moveWords.move, disabled: rungs.value.length === 1 },
  { deed: 'remove', says: words.lesson.remove, disabled: rungs.value.length === 1 },
]
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
      <div v-else class="ladder">
        <div class="rail-head">{{ words.lesson.clock }}</div>
        <div />
        <div class="rail-head right">{{ words.lesson.checked }}</div>
        <vue-draggable v-model="lesson.slides" handle=".grip" :animation="140" class="rows" @end="(event) => settle(Number(event.item.dataset.slide))">
        <div v-for="rung in rungs" :id="`slide-${rung.slide.id}`" :key="rung.slide.id" class="row" :data-slide="rung.slide.id">
          <template v-for="phase in emptyPhases.filter((phase) => phase.before === rung.index)" :key="phase.kind">
          <div class="rail clock">
            <strong>{{ phaseNames[phase.kind] }}</strong>
            <span class="soft">{{ phase.minutes }} min</span>
          </div>
          <div class="rung to-come">
            <el-button :aria-label="`${words.lesson.addSlide}: ${phaseNames[phase.kind]}`" @click="addIn(phase.kind)">{{ words.lesson.addSlide }}</el-button>
          </div>
          <div class="rail checked" />
          </template>
          <div class="rail clock">
            <strong v-if="rung.first">{{ phaseNames[rung.slide.phase] }}</strong>
            <span class="soft">{{ rung.from }}–{{ rung.to }} min</span>
          </div>
          <section class="rung" :class="{ open: openSlide === rung.slide.id }" :aria-label="rung.slide.title">
            <div class="beside">
              <slide-face :slide="rung.slide" :pictures="pictures" :theme="lesson.theme" :meanings="lesson.meanings" class="picture" @full="(full) => setFull(rung.slide.id, full)" />
              <slide-editor v-if="openSlide === rung.slide.id" v-model="lesson.slides[rung.index]!" class="work" :lesson="id" :skill="lesson.sheet?.skill" :grade="lesson.grade" :fresh="newSlide === rung.slide.id" @split="(at) => cut(rung.index, at)" @bench="(block) => toBench(block === undefined ? { onto: rung.slide.id } : { slide: rung.slide.id, block })" />
              <p v-else-if="full.has(rung.slide.id)" class="notes full" role="status">{{ blockWords.full }}</p>
              <p v-else class="notes soft">{{ rung.slide.notes || words.lesson.noNotes }}</p>
              <div class="tools">
                <span class="grip" aria-hidden="true">⠿</span>
                <el-button size="small" :aria-expanded="openSlide === rung.slide.id" @click="openSlide = openSlide === rung.slide.id ? undefined : rung.slide.id">
                  {{ openSlide === rung.slide.id ? words.lesson.shut : words.lesson.open }}
                </el-button>
                <span class="push" />
                <el-button text size="small" :disabled="rung.index === 0" @click="move(rung.index, -1)">{{ words.lesson.up }}</el-button>
                <el-button text size="small" :disabled="rung.index === rungs.length - 1" @click="move(rung.index, 1)">{{ words.lesson.down }}</el-button>
                <row-menu :label="`${moveWords.more}: ${rung.slide.title}`" :deeds="deedsAt(rung.index)" @deed="(deed) => act(rung.slide, rung.index, deed)" />
              </div>
            </div>
          </section>
          <div class="rail checked">
            <template v-if="rung.checked?.lines">
              <verdict-mark :word="rung.checked.hold === rung.checked.lines ? 'holds' : 'cant_tell'" :size="30" bare />
              <span>{{ words.lesson.lines(rung.checked.hold, rung.checked.lines) }}</span>
            </template>
            <span v-else class="soft">{{ words.lesson.nothing }}</span>
          </div>
        </div>
        </vue-draggable>
        <template v-for="phase in emptyPhases.filter((phase) => phase.before === rungs.length)" :key="phase.kind">
        <div class="rail clock">
          <strong>{{ phaseNames[phase.kind] }}</strong>
          <span class="soft">{{ phase.minutes }} min</span>
        </div>
        <div class="rung to-come">
          <el-button :aria-label="`${words.lesson.addSlide}: ${phaseNames[phase.kind]}`" @click="addIn(phase.kind)">{{ words.lesson.addSlide }}</el-button>
        </div>
        <div class="rail checked" />
        </template>
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
.ladder {
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr) 124px;
}
.rows,
.row {
  display: grid;
  grid-template-columns: subgrid;
  grid-column: 1 / -1;
}
/* Rows far from the window are laid out when they come near. */
.beside {
  content-visibility: auto;
  contain-intrinsic-size: auto 270px;
}
.grip {
  padding-inline: 4px 8px;
  color: var(--ink-soft);
  cursor: grab;
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
.rail {
  display: grid;
  align-content: start;
  gap: 2px;
  padding: 22px 16px;
  font-size: 0.92rem;
}
.clock {
  justify-items: end;
  text-align: end;
  border-inline-end: var(--rail) solid var(--honey);
}
.checked {
  border-inline-start: var(--rail) solid var(--honey);
  gap: 5px;
}
.rung {
  position: relative;
  padding: 12px 26px;
}
/* The rung itself: it reaches from rail to rail behind the picture. */
.rung::before {
  content: '';
  position: absolute;
  inset-inline: 0;
  inset-block-start: 34px;
  block-size: var(--rail);
  background: var(--honey);
}
.rung.foot::before {
  display: none;
}
.beside {
  position: relative;
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
  grid-template-rows: 1fr auto;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  /* Clipped, not scrolled: the picture stays in sight beside a long editor. */
  overflow: clip;
  background: var(--sunk);
  box-shadow: var(--shadow);
}
.picture {
  grid-row: 1 / -1;
  align-self: start;
}
.notes {
  padding: 16px 18px 4px;
  font-size: 0.95rem;
  white-space: pre-line;
}
.full {
  color: var(--verdict-breaks);
}
.open .picture {
  grid-row: 1;
  position: sticky;
  inset-block-start: 8px;
}
.open .work {
  grid-row: 1 / -1;
}
/* Within reach, however long the editor is. */
.open .tools {
  position: sticky;
  inset-block-end: 0;
  z-index: 1;
  background: var(--sunk);
}
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
  padding: 8px 14px;
}
.tools .el-button {
  margin: 0;
}
.push {
  flex: 1;
}
/* A phase that has no slide yet keeps its place on the ladder. */
.to-come {
  display: flex;
  align-items: start;
  justify-content: center;
  padding-block-start: 19px;
}
.to-come::before {
  background: repeating-linear-gradient(90deg, var(--honey) 0 8px, transparent 8px 16px);
}
.to-come .el-button {
  position: relative;
}
.foot {
  text-align: center;
}
@media (max-width: 860px) {
  .ladder {
    grid-template-columns: 74px minmax(0, 1fr);
  }
  .checked,
  .rail-head.right {
    grid-column: 2;
    border-inline-start: 0;
    padding-block: 0 14px;
    display: flex;
    align-items: center;
  }
  .rail-head.right,
  .checked.foot {
    display: none;
  }
  .clock,
  .rail-head {
    padding-inline: 0 8px;
    font-size: 0.78rem;
  }
  .rung {
    padding-inline: 12px 0;
  }
  .beside {
    grid-template-columns: 1fr;
  }
  .picture,
  .open .picture,
  .open .work {
    grid-row: auto;
  }
}
</style>
