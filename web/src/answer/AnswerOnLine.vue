<script setup lang="ts">
/** Solutions set on a number line: which part of it is shaded, and where it ends. */
import { computed, ref, useId, useTemplateRef } from 'vue'
import type { AnswerKind, GivenAnswer, LineEnd, LinePart } from '@/api/client'
import { answerWords } from '@/words/answer'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ place: AnswerKind; given?: GivenAnswer }>()
const emit = defineEmits<{ give: [given: GivenAnswer, done: boolean] }>()
const name = useId()

/** An end that stands where nobody has put it yet is no answer. */
interface Handle extends LineEnd {
  isSet: boolean
}
const PARTS: LinePart[] = ['below', 'above', 'between', 'outside']
const hasTwo = (part?: LinePart): boolean => part === 'between' || part === 'outside'

const letter = computed(() => (props.place.kind === 'interval' ? props.place.letter : 'x'))
const reach = computed(() => (props.place.kind === 'interval' ? (props.place.reach ?? 10) : 10))
const marks = computed(() => Array.from({ length: 2 * reach.value + 1 }, (_, at) => at - reach.value))
/** Every fifth mark is told by its number. */
const isTold = (mark: number): boolean => mark % 5 === 0
const minus = (at: number): string => String(at).replace('-', '−')
const across = (at: number): string => `${((at + reach.value + 1) / (2 * reach.value + 2)) * 100}%`

const before = props.given?.kind === 'on_line' ? props.given : undefined
const part = ref<LinePart | undefined>(before?.part)
const handles = ref<Handle[]>(before?.ends.map((end) => ({ ...end, isSet: true })) ?? [])
const shown = computed(() => handles.value.slice(0, hasTwo(part.value) ? 2 : 1))
const sorted = computed(() => shown.value.map((end) => end.at).sort((a, b) => a - b))

/** What is shaded, as stretches from one place to another. */
const shaded = computed(() => {
  const [low, high] = sorted.value.map(across)
  switch (part.value) {
    case 'below':
      return [{ from: '0%', to: low! }]
    case 'above':
      return [{ from: low!, to: '100%' }]
    case 'between':
      return [{ from: low!, to: high! }]
    case 'outside':
      return [
        { from: '0%', to: low! },
        { from: high!, to: '100%' },
      ]
    default:
      return []
  }
})

function choose(which: LinePart): void {
  part.value = which
  const middle = hasTwo(which) ? [-reach.value / 2, reach.value / 2] : [0]
  for (let at = handles.value.length; at < middle.length; at += 1) {
    handles.value.push({ at: middle[at]!, belongs: false, isSet: false })
  }
  give()
}

/** What is set is given at once; while one end is not set yet, nothing is. */
function give(): void {
  if (!part.value || !shown.value.every((end) => end.isSet)) return
  const ends = shown.value.map(({ at, belongs }) => ({ at, belongs }))
  emit('give', { kind: 'on_line', part: part.value, ends }, true)
}

function put(end: Handle, at: number): void {
  end.at = Math.max(-reach.value, Math.min(reach.value, at))
  end.isSet = true
}
function belong(end: Handle): void {
  end.belongs = !end.belongs
  end.isSet = true
  give()
}
/** The first touch of an end says: here it is. */
function touch(end: Handle): void {
  if (end.isSet) return belong(end)
  end.isSet = true
  give()
}

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -5, PageUp: 5 }
function press(end: Handle, event: KeyboardEvent): void {
  const step = STEPS[event.key]
  if (step !== undefined) put(end, end.at + step)
  else if (event.key === 'Home') put(end, -reach.value)
  else if (event.key === 'End') put(end, reach.value)
  else if (event.key === ' ' || event.key === 'Enter') return void (event.preventDefault(), touch(end))
  else return
  event.preventDefault()
  give()
}

const line = useTemplateRef('line')
const held = ref<{ end: Handle; moved: boolean }>()
function under(event: PointerEvent): number {
  const box = line.value!.getBoundingClientRect()
  return Math.round(((event.clientX - box.left) / box.width) * (2 * reach.value + 2)) - reach.value - 1
}
function grip(event: PointerEvent): void {
  const at = under(event)
  const nearest = [...shown.value].sort((a, b) => Math.abs(a.at - at) - Math.abs(b.at - at))[0]
  // A tap on the end itself says whether it belongs; anywhere else, it brings the end there.
  const on = (event.target as Element).closest<HTMLElement>('.end')
  const end = on ? shown.value[Number(on.dataset.end)] : nearest
  if (!end || event.button !== 0) return
  held.value = { end, moved: !on }
  if (!on) put(end, at)
  line.value!.setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent): void {
  if (!held.value) return
  const at = under(event)
  if (at === held.value.end.at) return
  held.value.moved = true
  put(held.value.end, at)
}
function drop(): void {
  if (!held.value) return
  const { end, moved } = held.value
  held.value = undefined
  if (moved) give()
  else touch(end)
}
</script>

<template>
  <fieldset class="parts">
    <legend>{{ answerWords.shade(letter) }}</legend>
    <label v-for="which in PARTS" :key="which" class="tile">
      <input type="radio" :name="name" :value="which" :checked="part === which" @change="choose(which)" />
      <span>{{ answerWords.parts[which] }}</span>
    </label>
  </fieldset>
  <div class="frame">
    <div ref="line" class="line" :class="{ live: part }" @pointerdown="grip" @pointermove="drag" @pointerup="drop" @pointercancel="held = undefined">
      <span class="axis" />
      <span v-for="(stretch, at) in shaded" :key="at" class="shaded" :style="{ left: stretch.from, right: `calc(100% - ${stretch.to})` }" />
      <span v-for="mark in marks" :key="mark" class="mark" :class="{ told: isTold(mark) }" :style="{ left: across(mark) }">
        <span v-if="isTold(mark)" class="number">{{ minus(mark) }}</span>
      </span>
      <template v-if="part">
        <button
          v-for="(end, at) in shown"
          :key="at"
          type="button"
          class="end"
          :class="{ filled: end.belongs, waits: !end.isSet }"
          :style="{ left: across(end.at) }"
          :data-end="at"
          role="slider"
          :aria-label="answerWords.end(at, shown.length)"
          :aria-valuemin="-reach"
          :aria-valuemax="reach"
          :aria-valuenow="end.at"
          :aria-valuetext="answerWords.endSays(letter, minus(end.at), end.belongs, end.isSet)"
          @keydown="press(end, $event)"
        />
      </template>
    </div>
  </div>
  <div v-if="part" class="parts">
    <label v-for="(end, at) in shown" :key="at" class="tile">
      <input type="checkbox" :checked="end.belongs" @change="belong(end)" />
      <span>{{ answerWords.belongs(minus(end.at)) }}</span>
    </label>
  </div>
  <p v-if="part && !shown.every((end) => end.isSet)" class="soft">{{ answerWords.setEnds(shown.length) }}</p>
</template>

<style scoped>
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 0;
  border: 0;
  padding: 0;
}
.parts input[type='checkbox'] {
  inline-size: 18px;
  block-size: 18px;
  margin: 0;
  accent-color: var(--honey-deep);
}
.parts legend {
  margin-block-end: 6px;
}
.frame {
  max-inline-size: 620px;
  /* The line goes from left to right in every language. */
  direction: ltr;
}
.line {
  position: relative;
  block-size: 78px;
  touch-action: pan-y;
}
.line.live {
  cursor: pointer;
}
.axis,
.shaded,
.mark,
.end {
  position: absolute;
}
.axis {
  inset-inline: 0;
  top: 29px;
  block-size: 2px;
  background: var(--ink);
}
.shaded {
  top: 26px;
  block-size: 8px;
  border-radius: 4px;
  background: var(--honey-deep);
}
.mark {
  top: 25px;
  inline-size: 1px;
  block-size: 10px;
  background: var(--ink);
}
.mark.told {
  top: 22px;
  inline-size: 2px;
  block-size: 16px;
  margin-inline-start: -0.5px;
}
.number {
  position: absolute;
  top: 20px;
  left: 50%;
  transform: translateX(-50%);
  font-variant-numeric: tabular-nums;
}
.end {
  top: 8px;
  inline-size: 44px;
  block-size: 44px;
  margin-inline-start: -22px;
  border: 0;
  padding: 0;
  background: none;
  cursor: grab;
}
.end::after {
  content: '';
  display: block;
  inline-size: 20px;
  block-size: 20px;
  margin: auto;
  border: 4px solid var(--honey-deep);
  border-radius: 50%;
  background: var(--card);
}
.end.filled::after {
  background: var(--honey-deep);
}
.end.waits::after {
  border-style: dashed;
}
.end:focus-visible {
  outline: none;
}
.end:focus-visible::after {
  outline: 3px solid var(--focus);
  outline-offset: 2px;
}
</style>
