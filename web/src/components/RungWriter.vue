<script setup lang="ts">
/** One rung: what is asked, and the lines that are written under it. */
import { ElButton } from 'element-plus'
import { computed, nextTick, onMounted, provide, ref, toRef } from 'vue'
import type { DeskRung, GivenAnswer, JudgedLine, VerdictWord } from '@/api/client'
import type { RungWriting, WritingLine } from '@/composables/useRungWriting'
import AnswerPlace from '@/answer/AnswerPlace.vue'
import DeskLineField from './DeskLineField.vue'
import HintSteps from './HintSteps.vue'
import MathText from './MathText.vue'
import SceneView from './SceneView.vue'
import TakeAway from './TakeAway.vue'
import { closedKey } from '@/field/closed'
import { fitKeyboard } from '@/field/keyboard'
import { words } from '@/words'

const props = defineProps<{ link: string; rung: DeskRung; writing: RungWriting; last: boolean; pictures: boolean; closed?: boolean }>()
defineEmits<{ next: [] }>()
provide(closedKey, toRef(() => props.closed === true))
const { begun, lines, given, said, state, failure, stale, answered, finished, next, verdict } = props.writing
const fields = ref<InstanceType<typeof DeskLineField>[]>([])

async function focus(line: WritingLine | undefined): Promise<void> {
  await nextTick()
  fields.value.find((field) => field.line.key === line?.key)?.focus()
}

function enter(at: number): void {
  void props.writing.save()
  const below = lines[at + 1]
  void focus(below && below.text === '' ? below : props.writing.addAfter(at))
}

function remove(at: number): void {
  if (lines.length === 1) return
  props.writing.remove(at)
  void focus(lines[Math.max(0, at - 1)])
}
/** The place of a line among those that are saved, from 1: empty lines are not. */
function placeOf(at: number): number {
  return lines.slice(0, at + 1).filter((line) => line.text.trim() !== '').length
}
/** A tap is saved at once; typing when it pauses. */
function give(answer: GivenAnswer, done: boolean): void {
  props.writing.give(answer)
  if (done) void props.writing.save()
}
const judged = (): JudgedLine[] => lines.flatMap((line) => verdict(line) ?? [])
const wrong: VerdictWord[] = ['breaks', 'drops_solution', 'adds_solution']
const closing = computed(() => {
  if (finished.value) return words.desk.finished
  return judged().some((line) => wrong.includes(line.verdict.word)) ? words.desk.answered : words.desk.answeredAlone
})
/** Somebody's lines belong to the problem: they are picked where they stand. */
const picksLine = computed(() => props.rung.place?.kind === 'broken_line')
const lead = computed(() => {
  if (props.rung.story) return words.desk.startStory
  if (picksLine.value) return words.desk.startBeside
  return props.rung.place ? words.desk.startPlace : words.desk.start
})
const hasWork = computed(() => lines.some((line) => verdict(line)))

onMounted(() => {
  fitKeyboard(props.rung.keypad)
  // On a phone the keyboard would cover the problem before it is read.
  if (matchMedia('(pointer: fine)').matches) void focus(lines.at(-1))
})
</script>

<template>
  <section class="rung">
    <div class="asked">
      <p class="prompt"><math-text :text="rung.prompt" /></p>
      <scene-view v-if="rung.scene" :scene="rung.scene" />
    </div>
    <fieldset v-if="rung.place && picksLine" class="bare" :disabled="closed">
      <answer-place :place="rung.place" :working="rung.working ?? []" :given="given" :verdict="said" @give="give" />
    </fieldset>
    <p v-if="!closed" class="soft lead">{{ lead }}</p>
    <ol class="lines">
      <li v-for="(line, at) in lines" :key="line.key">
        <desk-line-field
          ref="fields"
          :line="line"
          :label="words.desk.line(at + 1)"
          :verdict="verdict(line)"
          :removable="lines.length > 1"
          :place="pictures || answered ? { link, number: rung.number, line: placeOf(at) } : undefined"
          @write="(text, latex) => writing.write(line, text, latex)"
          @enter="enter(at)"
          @remove="remove(at)"
          @up="focus(lines[at - 1])"
          @down="focus(lines[at + 1])"
        />
      </li>
    </ol>
    <div v-if="!closed" class="foot">
      <el-button size="large" @click="enter(lines.length - 1)">{{ words.desk.addLine }}</el-button>
      <span class="state" :class="state" role="status">
        <template v-if="state === 'refused'">{{ words.desk.refused }} {{ failure?.says }}</template>
        <template v-else-if="stale === undefined && (begun || state !== 'saved')">{{ words.desk[state] }}</template>
      </span>
    </div>
    <fieldset v-if="rung.place && !picksLine" class="bare" :disabled="closed">
      <answer-place :place="rung.place" :working="[]" :given="given" :verdict="said" @give="give" />
    </fieldset>
    <hint-steps v-if="state === 'saved' && !answered && !closed" :hints="next" :ask="words.desk.stuck" />
    <take-away v-if="hasWork" :link="link" :number="rung.number" :lines="judged" />
    <div v-if="stale !== undefined" class="notice" role="alert">
      <p>{{ words.desk.stale }}</p>
      <el-button @click="writing.keepMine()">{{ words.desk.staleMine }}</el-button>
      <el-button @click="writing.takeTheirs()">{{ words.desk.staleTheirs }}</el-button>
    </div>
    <div v-if="finished || answered" class="notice" :class="{ finished }" role="status">
      <p>{{ closing }}</p>
      <el-button v-if="finished && !last" type="primary" size="large" @click="$emit('next')">{{ words.desk.next }}</el-button>
    </div>
  </section>
</template>

<style scoped>
.rung {
  display: grid;
  gap: 14px;
}
.asked {
  display: grid;
  gap: 14px;
  padding: 18px 20px;
  border-radius: var(--radius);
  background: var(--honey-pale);
}
.prompt {
  font-size: 1.2rem;
  line-height: 1.45;
}
.lead {
  font-size: 0.95rem;
}
.bare {
  min-inline-size: 0;
  margin: 0;
  padding: 0;
  border: 0;
}
.lines {
  display: grid;
  gap: 10px;
  margin: 0;
  padding-inline: 16px 0;
  list-style: none;
  border-inline-start: var(--rail) solid var(--honey);
}
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 14px;
}
.state {
  color: var(--ink-soft);
}
.state.saved {
  color: var(--verdict-holds);
  font-weight: 650;
}
.state.offline,
.state.refused {
  color: var(--verdict-breaks);
  font-weight: 650;
}
.notice {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
  padding: 12px 16px;
  border-radius: var(--radius);
  background: var(--sunk);
}
.notice.finished {
  background: color-mix(in srgb, var(--verdict-holds) 14%, var(--card));
  font-weight: 650;
}
@media print {
  .foot,
  .lead,
  .notice {
    display: none;
  }
}
</style>
