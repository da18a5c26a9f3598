<script setup lang="ts">
/** The lesson on the wall: one slide, revealed step by step, with ink over it and the clock below it. */
import { ElMessageBox } from 'element-plus'
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type Drawing, type Failure, type LessonView } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import KeysList from '@/components/KeysList.vue'
import SlideFace from '@/components/SlideFace.vue'
import SlideJump from '@/components/SlideJump.vue'
import SpareBoard from '@/components/SpareBoard.vue'
import WallInk from '@/components/WallInk.vue'
import WallNumbers from '@/components/WallNumbers.vue'
import LiveOnWall from '@/live/LiveOnWall.vue'
import { useShow } from '@/composables/useShow'
import { shownTime, useClock } from '@/wall/clock'
import { useInk, type Tool } from '@/wall/ink'
import { useWallKeys, type Keys } from '@/wall/keys'
import { useWallLink } from '@/wall/link'
import { useWallExample } from '@/wall/example'
import { useZoom } from '@/wall/zoom'
import { words } from '@/words'
import { wallWords } from '@/words/wall'

const props = defineProps<{ id: number; from: number }>()
const router = useRouter()
const view = ref<LessonView>()
const lesson = computed(() => view.value?.lesson)
const pictures = ref<Drawing[]>([])
const failure = ref<Failure>()
const blank = ref(false)
const jumping = ref(false)
const keys = ref(false)
const board = ref(false)
const boardLines = ref([''])
const numbers = ref(false)
const live = useTemplateRef('live')
const { slides, at, shown, slide, reveal, total, ended, spoken, next, back, jump } = useShow(view, props.from)
const { tool, strokes, isDrawn, add, undo, wipe, keep, drop } = useInk(props.id, () => slide.value?.id)
const { elapsed, left, restart } = useClock(props.id, lesson, at)
const zoom = useZoom()
watch(at, zoom.reset)

const { tell } = useWallLink(props.id, (told) => {
  if (told.kind === 'asks') tellPlace()
  else if (told.kind === 'jump') jump(told.at)
  else if (told.kind === 'go') (told.to === 'next' ? next : back)()
})
const tellPlace = (): void => tell({ kind: 'stands', at: at.value, shown: shown.value })
watch([at, shown], tellPlace)

const { example, changeExample } = useWallExample(view, pictures, at, shown)
watch(at, () => (numbers.value = false))

const tools: { tool: Exclude<Tool, 'none'>; name: string }[] = [
  { tool: 'pen', name: wallWords.pen },
  { tool: 'marker', name: wallWords.marker },
  { tool: 'pointer', name: wallWords.pointer },
]
const pick = (one: Tool): void => void (tool.value = tool.value === one ? 'none' : one)
const time = computed(() => (left.value < 0 ? wallWords.over(shownTime(-left.value)) : wallWords.left(shownTime(left.value))))

async function load(): Promise<void> {
  const answer = await reply(api.GET('/api/lessons/{id}', { params: { path: { id: props.id } } }))
  failure.value = answer.ok ? undefined : answer.failure
  if (!answer.ok) return
  view.value = answer.value
  pictures.value = answer.value.pictures
  tellPlace()
}
onMounted(load)

async function leave(): Promise<void> {
  if (document.fullscreenElement) await document.exitFullscreen().catch(() => undefined)
  if (isDrawn.value) {
    await ElMessageBox.confirm(wallWords.keepHelp, wallWords.keep, { confirmButtonText: wallWords.keepYes, cancelButtonText: wallWords.keepNo })
      .then(keep)
      .catch(drop)
  }
  await router.push({ name: 'lesson', params: { id: props.id } })
}
onBeforeUnmount(() => {
  if (document.fullscreenElement) void document.exitFullscreen().catch(() => undefined)
})

function beside(): void {
  window.open(router.resolve({ name: 'beside', params: { id: props.id } }).href, `beside-${props.id}`, 'width=1100,height=760')
}

/** A click goes on, unless it drew, moved the slide, or followed a link. */
function click(): void {
  if (tool.value === 'none' && !zoom.moved.value) next()
}

const keysOf: Keys = {
  ArrowRight: next,
  ArrowDown: next,
  PageDown: next,
  ArrowLeft: back,
  ArrowUp: back,
  PageUp: back,
  Backspace: back,
  Home: () => jump(0),
  End: () => jump(slides.value.length - 1),
  b: () => (blank.value = !blank.value),
  '.': () => (blank.value = !blank.value),
  g: () => (jumping.value = true),
  p: () => pick('pen'),
  h: () => pick('marker'),
  l: () => pick('pointer'),
  u: undo,
  s: () => (board.value = true),
  c: () => live.value?.toggleCode(),
  n: () => (numbers.value = Boolean(example.value) && !numbers.value),
  '+': () => zoom.by(1.25),
  '-': () => zoom.by(0.8),
  '0': zoom.reset,
  '?': () => (keys.value = !keys.value),
  Escape: () => void leave(),
}
useWallKeys(keysOf, next, () => jumping.value)
</script>

<template>
  <main class="wall">
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <template v-else-if="slide">
      <div class="stage" @click="click" @wheel.prevent="zoom.wheel" @pointerdown="zoom.grab" @pointermove="zoom.drag" @pointerup="zoom.drop">
        <div class="sheet" :style="zoom.style.value">
          <slide-face :key="slide.id" :slide="slide" :pictures="pictures" :shown="shown" :reveal="reveal" :theme="lesson?.theme" :meanings="lesson?.meanings" class="face" />
          <wall-ink :tool="tool" :strokes="strokes" @drawn="add" />
        </div>
      </div>
      <div v-if="blank" class="blank" role="status" @click="blank = false">{{ words.show.blank }}</div>
      <p class="only-heard" aria-live="polite">{{ spoken }}</p>
      <footer>
        <button type="button" @click="jumping = true">{{ words.show.place(at + 1, slides.length) }}</button>
        <span class="cells" aria-hidden="true">
          <i v-for="n in total" :key="n" :class="{ on: n <= shown }" />
        </span>
        <span v-if="ended">{{ words.show.end }}</span>
        <span class="push" />
        <button type="button" class="time" :class="{ over: left < 0 }" :title="`${wallWords.elapsed(shownTime(elapsed))}. ${wallWords.restart}`" @click="restart">{{ time }}</button>
        <span class="tools" role="group" :aria-label="wallWords.tools">
          <button v-for="one in tools" :key="one.tool" type="button" :aria-pressed="tool === one.tool" @click="pick(one.tool)">{{ one.name }}</button>
          <button v-if="strokes.length" type="button" @click="undo">{{ wallWords.undo }}</button>
          <button v-if="strokes.length" type="button" @click="wipe">{{ wallWords.wipe }}</button>
        </span>
        <live-on-wall ref="live" :lesson="id" :at="at" :shown="shown" @go="(slideAt, step) => (jump(slideAt), (shown = step))" />
        <button type="button" @click="board = true">{{ wallWords.board }}</button>
        <button v-if="example" type="button" :aria-expanded="numbers" @click="numbers = !numbers">{{ wallWords.numbers }}</button>
        <button type="button" @click="beside">{{ wallWords.beside }}</button>
        <button type="button" :aria-expanded="keys" @click="keys = !keys">{{ wallWords.keys }}</button>
        <button type="button" @click="back">{{ words.show.back }}</button>
        <button type="button" class="on" @click="next">{{ words.show.next }}</button>
        <button type="button" @click="leave">{{ words.show.leave }}</button>
      </footer>
      <spare-board v-if="board" v-model="boardLines" :asks="live?.isGoing" @ask="(problem) => ((board = false), live?.askClass(problem))" @close="board = false" />
      <wall-numbers v-if="numbers && example" :example="example" class="keys" @changed="changeExample" @close="numbers = false" />
      <keys-list v-if="keys" :keys="wallWords.list" class="keys" />
      <slide-jump v-if="jumping" :slides="slides" :pictures="pictures" :theme="lesson?.theme" :meanings="lesson?.meanings" :at="at" @jump="(to) => (jump(to), (jumping = false))" @close="jumping = false" />
    </template>
  </main>
</template>

<style scoped src="@/styles/wall-buttons.css"></style>
<style scoped>
.wall {
  display: grid;
  grid-template-rows: 1fr auto;
  block-size: 100vh;
  background: var(--card);
}
.stage {
  display: grid;
  place-items: center;
  min-block-size: 0;
  overflow: hidden;
  cursor: default;
  touch-action: none;
}
/* As large as the wall allows, whatever its shape. */
.sheet {
  position: relative;
  inline-size: min(100vw, (100vh - 48px) * 16 / 9);
}
.blank {
  position: fixed;
  inset: 0;
  z-index: 10;
  display: grid;
  place-items: end center;
  padding: 24px;
  background: #10161b;
  color: #8d979e;
}
footer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  min-block-size: 48px;
  padding-inline: 14px;
  border-block-start: 3px solid var(--honey);
  color: var(--ink-soft);
  font-size: 0.85rem;
}
.cells {
  display: inline-flex;
  gap: 3px;
}
.cells i {
  inline-size: 13px;
  block-size: 12px;
  clip-path: polygon(25% 0, 75% 0, 100% 50%, 75% 100%, 25% 100%, 0 50%);
  background: var(--line);
}
.cells i.on {
  background: var(--honey);
}
.push {
  flex: 1;
}
.tools {
  display: inline-flex;
  gap: 4px;
}
button {
  min-block-size: 32px;
  padding-inline: 10px;
}
.time {
  border-color: transparent;
  font-variant-numeric: tabular-nums;
}
.time.over {
  color: var(--verdict-breaks);
}
.keys {
  position: fixed;
  inset-block-end: 60px;
  inset-inline-end: 16px;
  z-index: 8;
}
@media (max-width: 1000px) {
  .time,
  .tools {
    display: none;
  }
}
</style>
