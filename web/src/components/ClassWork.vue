<script setup lang="ts">
/** What the class wrote: a row for each student, a cell for each rung, and the lines beside the rung. */
import { ElButton } from 'element-plus'
import { useIntervalFn, useDocumentVisibility } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { api, reply, type DeskEntry, type JudgedLine, type LadderView, type VerdictWord, type WrittenRung } from '@/api/client'
import FailureNote from './FailureNote.vue'
import FlawedLines from './FlawedLines.vue'
import JudgedLines from './JudgedLines.vue'
import MathText from './MathText.vue'
import VerdictMark from './VerdictMark.vue'
import { words } from '@/words'
import { useCall } from '@/composables/useCall'
import { useList } from '@/composables/useList'
import { sure } from '@/composables/sure'

const props = defineProps<{ ladder: LadderView }>()
const path = { id: props.ladder.id }
const { entries: desks, failure, load } = useList<DeskEntry>((after) => reply(api.GET('/api/ladders/{id}/desks', { params: { path, query: { after } } })))
const { failure: notDone, call } = useCall()
const chosen = ref<{ desk: number; rung: number }>()
const REFRESH_MS = 4000

onMounted(() => load())
const { pause, resume } = useIntervalFn(() => load(true), REFRESH_MS)
watch(useDocumentVisibility(), (now) => (now === 'visible' ? resume() : pause()))

type State = keyof typeof words.ladder.state
const marks: Record<Exclude<State, 'none'>, VerdictWord> = {
  begun: 'given',
  breaks: 'breaks',
  finished: 'holds',
  answered: 'breaks',
}

const written = (desk: DeskEntry, rung: number): WrittenRung | undefined =>
  desk.rungs.find((r) => r.number === rung && (r.lines.length > 0 || r.answer))

/** The lines, and the answer in its place below them. */
const linesOf = (found?: WrittenRung): JudgedLine[] => (found ? [...found.lines, ...(found.answer ? [found.answer] : [])] : [])

function state(desk: DeskEntry, rung: number): State {
  const found = written(desk, rung)
  if (!found) return 'none'
  if (found.finished) return 'finished'
  if (found.answered) return 'answered'
  const wrong: VerdictWord[] = ['breaks', 'drops_solution', 'adds_solution']
  return linesOf(found).some((line) => wrong.includes(line.verdict.word)) ? 'breaks' : 'begun'
}

async function takeAway(desk: DeskEntry): Promise<void> {
  if (!(await sure(words.ladder.takeAwayAsk(desk.student), words.ladder.takeAwayYes))) return
  const desks = { id: props.ladder.id, desk: desk.id }
  await call(reply<unknown>(api.DELETE('/api/ladders/{id}/desks/{desk}', { params: { path: desks } })))
  chosen.value = undefined
  await load(true)
}

const shown = computed(() => {
  const desk = chosen.value && desks.value?.[chosen.value.desk]
  const rung = chosen.value && props.ladder.rungs.find((r) => r.number === chosen.value?.rung)
  return desk && rung ? { desk, rung, lines: linesOf(written(desk, rung.number)) } : undefined
})
</script>

<template>
  <failure-note v-if="failure" :failure="failure" retry @again="load()" />
  <failure-note v-if="notDone" :failure="notDone" />
  <p v-if="desks && !desks.length" class="soft">{{ words.ladder.nobody }}</p>
  <div v-else-if="desks" class="class">
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ words.ladder.student }}</th>
            <th v-for="r in ladder.rungs" :key="r.number" scope="col">{{ r.number }}</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(desk, row) in desks" :key="desk.id">
            <th scope="row">
              {{ desk.student }}
              <small v-if="desk.code" class="soft">{{ words.ladder.codeOf(desk.code) }}</small>
            </th>
            <td v-for="r in ladder.rungs" :key="r.number">
              <button
                type="button"
                :disabled="state(desk, r.number) === 'none'"
                :aria-pressed="chosen?.desk === row && chosen?.rung === r.number"
                :aria-label="`${desk.student}, ${words.ladder.rung(r.number)}: ${words.ladder.state[state(desk, r.number)]}`"
                @click="chosen = { desk: row, rung: r.number }"
              >
                <verdict-mark v-if="state(desk, r.number) !== 'none'" :word="marks[state(desk, r.number) as keyof typeof marks]" bare />
                <span v-else class="soft" aria-hidden="true">·</span>
              </button>
            </td>
            <td>
              <el-button text class="away" :aria-label="words.ladder.takeAway(desk.student)" :title="words.ladder.takeAway(desk.student)" @click="takeAway(desk)">×</el-button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <section class="beside" aria-live="polite">
      <template v-if="shown">
        <h2>{{ shown.desk.student }}, {{ words.ladder.rung(shown.rung.number) }}</h2>
        <p class="prompt"><math-text :text="shown.rung.rung.prompt" /></p>
        <flawed-lines v-if="shown.rung.rung.flawed" :lines="shown.rung.rung.flawed.lines" />
        <judged-lines :lines="shown.lines" />
      </template>
      <p v-else class="soft">{{ words.ladder.choose }}</p>
    </section>
  </div>
</template>

<style scoped>
.class {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 28px;
  align-items: start;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 2px 3px;
  border-block-end: 1px solid var(--line);
}
th {
  padding-inline: 6px 12px;
  text-align: start;
}
th small {
  display: block;
  font-weight: 400;
  white-space: nowrap;
}
.away {
  font-size: 1.25rem;
}
thead th:not(:first-child) {
  padding-inline: 0;
  text-align: center;
}
td button {
  display: grid;
  place-items: center;
  inline-size: 38px;
  block-size: 38px;
  border: 2px solid transparent;
  border-radius: 8px;
  background: none;
  cursor: pointer;
}
td button:disabled {
  cursor: default;
}
td button[aria-pressed='true'] {
  border-color: var(--honey);
  background: var(--honey-pale);
}
.beside {
  padding: 18px 22px;
  border-inline-start: var(--rail) solid var(--honey);
  min-block-size: 180px;
}
.prompt {
  margin-block: 8px 14px;
}
@media (max-width: 860px) {
  .class {
    grid-template-columns: 1fr;
  }
}
</style>
