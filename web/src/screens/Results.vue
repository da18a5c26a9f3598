<script setup lang="ts">
/** What the work of a class adds up to: a table that can be printed, the slips that were seen, and the next ladder. */
import { ElOption, ElRadioButton, ElRadioGroup, ElSelect } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { api, reply, type ResultsView, type Share } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import MathText from '@/components/MathText.vue'
import OverTime from '@/components/OverTime.vue'
import NextLadder from '@/components/NextLadder.vue'
import VerdictMark from '@/components/VerdictMark.vue'
import { useCall } from '@/composables/useCall'
import { stageNames } from '@/words'
import { resultWords } from '@/words/results'

const props = defineProps<{ id: number; assignment?: number }>()
const view = ref<ResultsView>()
const { failure, call } = useCall()
type By = keyof typeof resultWords.byNames
const by = ref<By>(props.assignment === undefined ? 'skill' : 'rung')
/** The assignment that counts; 0 for all. */
const only = ref(props.assignment ?? 0)

const asked = computed(() => ({ by: by.value, ...(only.value ? { assignment: only.value } : {}) }))
const load = (): Promise<boolean> => call(reply(api.GET('/api/classes/{id}/results', { params: { path: { id: props.id }, query: asked.value } })), (found) => (view.value = found))
watch(asked, load, { immediate: true })
/** Rungs are those of one assignment: the latest one, where none is chosen yet. */
watch(by, (now) => {
  if (now === 'rung' && !only.value) only.value = view.value?.works.at(-1)?.id ?? 0
})
watch(only, (now) => {
  if (!now && by.value === 'rung') by.value = 'skill'
})
const file = (ending: string): string => `/api/classes/${props.id}/results.${ending}?${new URLSearchParams(Object.entries(asked.value).map(([key, value]) => [key, String(value)]))}`

/** How full a cell is, from 0 to 4: the shade says what the numbers say. */
const shade = (share: Share): number => (share.asked ? Math.round((4 * share.finished) / share.asked) : -1)
const marks = { begun: 'given', breaks: 'breaks', answered: 'holds_so_far', finished: 'holds' } as const
const isRung = computed(() => by.value === 'rung' && view.value?.columns[0]?.stage !== undefined)
/** Over the weeks: each assignment by itself, of which there are at least two. */
const isOverTime = computed(() => by.value === 'work' && (view.value?.columns.length ?? 0) > 1)
/** Where a slip was seen: each assignment once, with its rungs. */
type Seen = { assignment?: number | null; live?: number | null; title: string; rungs: number[] }
function places(slip: ResultsView['slips'][number]): Seen[] {
  const all = new Map<string, Seen>()
  for (const { assignment, live, title, rung } of slip.on) {
    const key = `${assignment}/${live}`
    const known = all.get(key) ?? { assignment, live, title, rungs: [] }
    known.rungs = [...known.rungs, rung].sort((a, b) => a - b)
    all.set(key, known)
  }
  return [...all.values()]
}
const toSeen = (on: Seen) => (on.live ? { name: 'walk', params: { id: on.live } } : { name: 'assignment', params: { id: on.assignment ?? 0 } })
const print = (): void => window.print()
</script>

<template>
  <main class="page results">
    <router-link class="no-print" :to="{ name: 'class', params: { id } }">{{ resultWords.back }}</router-link>
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <template v-if="view">
      <h1>{{ resultWords.title }} <small class="soft">{{ view.class }}</small></h1>
      <p v-if="!view.works.length" class="soft">{{ resultWords.nothing }}</p>
      <template v-else>
        <div class="choose no-print">
          <el-radio-group v-model="by" size="large" :aria-label="resultWords.by">
            <el-radio-button v-for="(name, one) in resultWords.byNames" :key="one" :value="one" :label="name" />
          </el-radio-group>
          <el-select v-model="only" size="large" class="which" :aria-label="resultWords.which">
            <el-option :value="0" :label="resultWords.allWorks" />
            <el-option v-for="work in view.works" :key="work.id" :value="work.id" :label="work.title" />
          </el-select>
          <span class="files">
            <button type="button" class="deed" @click="print">{{ resultWords.print }}</button>
            <a class="deed" :href="file('xlsx')">{{ resultWords.xlsx }}</a>
            <a class="deed" :href="file('csv')">{{ resultWords.csv }}</a>
          </span>
        </div>
        <div class="scroll" tabindex="0" role="region" :aria-label="resultWords.title">
          <table>
            <caption class="soft">
              {{ resultWords.scale }}
              <span v-for="level in 5" :key="level" class="key" :class="`level-${level - 1}`" aria-hidden="true" />
            </caption>
            <thead>
              <tr>
                <th scope="col">{{ resultWords.student }}</th>
                <th v-if="isOverTime" scope="col" class="column">{{ resultWords.overTime }}</th>
                <th v-for="(column, at) in view.columns" :key="at" scope="col" class="column" :title="column.stage ? stageNames[column.stage] : undefined">
                  <span>{{ isRung ? resultWords.rung(column.title) : column.title }}</span>
                  <small v-if="column.stage" class="soft">{{ stageNames[column.stage] }}</small>
                </th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in view.rows" :key="row.student.id">
                <th scope="row">{{ row.student.name }}</th>
                <td v-if="isOverTime" class="line"><over-time :shares="row.shares" :titles="view.columns.map((column) => column.title)" /></td>
                <td v-for="(share, at) in row.shares" :key="at" :class="isRung ? undefined : `level-${shade(share)}`">
                  <template v-if="isRung">
                    <verdict-mark v-if="share.standing" :word="marks[share.standing]" :size="20" bare />
                    <span v-else aria-hidden="true" class="soft">·</span>
                    <span class="only-heard">{{ share.standing ? resultWords.standing[share.standing] : '' }}</span>
                  </template>
                  <template v-else-if="share.asked">{{ resultWords.of(share.finished, share.asked) }}</template>
                  <span v-else aria-hidden="true" class="soft">·</span>
                </td>
              </tr>
            </tbody>
            <tfoot>
              <tr>
                <th scope="row">{{ resultWords.together }}</th>
                <td v-if="isOverTime" class="line"><over-time :shares="view.together" :titles="view.columns.map((column) => column.title)" /></td>
                <td v-for="(share, at) in view.together" :key="at" :class="`level-${shade(share)}`">{{ resultWords.of(share.finished, share.asked) }}</td>
              </tr>
            </tfoot>
          </table>
        </div>
        <section>
          <h2>{{ resultWords.slips }}</h2>
          <p v-if="!view.slips.length" class="soft">{{ resultWords.noSlips }}</p>
          <ul class="slips">
            <li v-for="(slip, at) in view.slips" :key="at">
              <strong class="many">{{ slip.students.length }}</strong>
              <div>
                <p><math-text :text="slip.says" /></p>
                <p class="soft">{{ slip.students.map((one) => one.name).join(', ') }}</p>
                <p class="soft where">
                  <template v-for="(on, n) in places(slip)" :key="n">
                    <template v-if="n"> · </template>
                    <router-link :to="toSeen(on)">{{ resultWords.on(on.title, on.rungs) }}</router-link>
                  </template>
                </p>
              </div>
            </li>
          </ul>
        </section>
        <next-ladder :id="id" class="no-print" :students="view.students" />
      </template>
    </template>
  </main>
</template>

<style scoped>
h1 small {
  font-size: 1rem;
  font-weight: 400;
}
.choose,
.files {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
}
.choose {
  margin-block: 14px 18px;
}
.which {
  inline-size: min(100%, 320px);
}
.deed {
  padding: 7px 14px;
  border: 1.5px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  text-decoration: none;
  cursor: pointer;
}
.deed:hover {
  border-color: var(--honey);
}
.scroll {
  overflow-x: auto;
  margin-block-end: 26px;
}
table {
  border-collapse: separate;
  border-spacing: 3px;
}
caption {
  caption-side: bottom;
  padding-block-start: 6px;
  font-size: 0.9rem;
  text-align: start;
}
.key {
  display: inline-block;
  inline-size: 22px;
  block-size: 13px;
  margin-inline-start: 3px;
  border-radius: 3px;
  vertical-align: -1px;
}
th {
  padding: 4px 12px 4px 4px;
  text-align: start;
  white-space: nowrap;
}
/* The names stay in sight while the columns pass. */
tbody th,
tfoot th {
  position: sticky;
  inset-inline-start: 0;
  background: var(--paper);
}
.column {
  max-inline-size: 130px;
  padding: 4px 6px;
  font-size: 0.86rem;
  font-weight: 600;
  line-height: 1.2;
  text-align: center;
  vertical-align: bottom;
  white-space: normal;
}
.column small {
  display: block;
  font-weight: 400;
}
td {
  min-inline-size: 58px;
  block-size: 38px;
  border-radius: 6px;
  text-align: center;
  font-variant-numeric: tabular-nums;
}
tfoot th,
tfoot td {
  font-weight: 750;
}
/* The number stands in each cell: the shade only helps the eye. */
.level-0 {
  box-shadow: inset 0 0 0 1.5px var(--line);
}
.level-1 {
  background: color-mix(in srgb, var(--honey) 22%, var(--card));
}
.level-2 {
  background: color-mix(in srgb, var(--honey) 45%, var(--card));
}
.level-3 {
  background: color-mix(in srgb, var(--honey) 72%, var(--card));
}
.level-4 {
  background: var(--honey);
}
.level-3,
.level-4 {
  color: var(--on-honey);
}
.slips {
  display: grid;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.slips li {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr);
  gap: 14px;
  padding-block: 10px;
  border-block-end: 1px solid var(--line);
}
.slips p {
  margin: 0;
}
.many {
  display: grid;
  place-items: center;
  block-size: 40px;
  border-radius: 8px;
  background: var(--honey-pale);
  font-size: 1.2rem;
}
.where {
  font-size: 0.9rem;
}
@media print {
  .no-print {
    display: none;
  }
  .scroll {
    overflow: visible;
  }
  td {
    border: 1px solid #999;
  }
  td,
  .key,
  .many {
    print-color-adjust: exact;
  }
}
</style>
