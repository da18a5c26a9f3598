<script setup lang="ts">
/** A lesson as a ladder between two rails: the clock on the left, what was checked on the right. */
import { ElButton } from 'element-plus'
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { VueDraggable } from 'vue-draggable-plus'
import { api, reply, type LadderEntry, type LessonView, type Sharing } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import LadderList from '@/components/LadderList.vue'
import PhaseToCome from '@/components/PhaseToCome.vue'
import PlanSheet from '@/components/PlanSheet.vue'
import SecondLook from '@/components/SecondLook.vue'
import SendSlide from '@/components/SendSlide.vue'
import ShareDialog from '@/components/ShareDialog.vue'
import StaleChoice from '@/components/StaleChoice.vue'
import SlideRow from '@/components/SlideRow.vue'
import VersionsDialog from '@/components/VersionsDialog.vue'
import LivePast from '@/live/LivePast.vue'
import { offerCommands } from '@/composables/useCommands'
import { useLesson } from '@/composables/useLesson'
import { useSecondLook } from '@/composables/useSecondLook'
import { useSlides } from '@/composables/useSlides'
import { useUndoKeys } from '@/composables/useUndoKeys'
import { gradeName, strandNames, words } from '@/words'
import { lookWords } from '@/words/look'
import { shareWords } from '@/words/share'
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
const sharing = ref(false)
/** Whose lesson it is, and where it came from. */
const origin = ref<Sharing>()
async function loadOrigin(): Promise<void> {
  const answer = await reply(api.GET('/api/lessons/{id}/shares', { params: { path: { id: props.id } } }))
  if (answer.ok) origin.value = answer.value
}
const ladders = ref<LadderEntry[]>([])
const openSlide = ref<number>()
const { rungs, emptyPhases, newSlide, addLast, addIn, settle, move, cut, act, sending, sent } = useSlides(lesson, openOn, openSlide)

async function loadLadders(): Promise<void> {
  const answer = await reply(api.GET('/api/lessons/{id}/ladders', { params: { path: { id: props.id } } }))
  if (answer.ok) ladders.value = answer.value
}
onMounted(async () => {
  await Promise.all([load(), loadLadders(), loadOrigin()])
  // Back from the bench the slide that it put its example on is in sight.
  if (route.hash) await bring(route.hash)
})

/** What was typed is saved before the bench opens: it puts its example into the lesson as it stands there. */
async function toBench(place?: { slide: number; block: number } | { onto: number }): Promise<void> {
  await save()
  await router.push({ name: 'working', params: { id: props.id }, query: place })
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
  ...(origin.value?.mine ? [{ says: shareWords.open, run: () => (sharing.value = true) }] : []),
  { says: historyWords.undo, run: undo },
  { says: historyWords.redo, run: redo },
  { says: moveWords.file, run: () => void saveFile() },
  ...(lesson.value?.slides ?? []).map((slide, at) => ({ says: slide.title, place: lookWords.slide(at + 1, '').replace(/: $/, ''), run: () => void openOn(slide.id) })),
])

useUndoKeys(undo, redo)

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
          <p v-if="origin && !origin.mine" class="soft">{{ shareWords.ofOwner(origin.owner) }}</p>
          <p v-if="origin?.came_from" class="soft">{{ origin.came_from }}</p>
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
          <el-button v-if="origin?.mine" text size="large" @click="sharing = true">{{ shareWords.open }}</el-button>
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
      <live-past :lesson="id" />
      <share-dialog v-model="sharing" :lesson="id" />
      <versions-dialog v-model="history" :lesson="id" :revision="revision" @restored="restored" />

      <stale-choice :open="stale !== undefined" :says="words.lesson.stale" @mine="keepMine" @theirs="load" />
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
