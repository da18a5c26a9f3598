<script setup lang="ts">
/** What came back: a row for each student, a cell for each rung; read, marked with one key, given back. */
import { ElButton, ElInput } from 'element-plus'
import { useClipboard } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type AssignmentView, type HandedRung, type HandedWork, type JudgedLine, type VerdictWord } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import FlawedLines from '@/components/FlawedLines.vue'
import JudgedLines from '@/components/JudgedLines.vue'
import MathLine from '@/components/MathLine.vue'
import MathText from '@/components/MathText.vue'
import VerdictMark from '@/components/VerdictMark.vue'
import WorkingLines from '@/components/WorkingLines.vue'
import { sure } from '@/composables/sure'
import { useCall } from '@/composables/useCall'
import { dayOf } from '@/words/account'
import { classWords, workWords } from '@/words/class'
import { words } from '@/words'

const props = defineProps<{ id: number }>()
const router = useRouter()
const view = ref<AssignmentView>()
const { failure, call } = useCall()
const { failure: notSaid, call: sayCall } = useCall()
const at = ref<{ row: number; rung: number }>()
const remark = ref('')

const path = { path: { id: props.id } }
const load = (): Promise<boolean> => call(reply(api.GET('/api/assignments/{id}', { params: path })), (found) => (view.value = found))
onMounted(load)

const { copy, copied } = useClipboard({ legacy: true })
const deskLink = computed(() => location.origin + (view.value?.assignment.desk ?? ''))
const work = computed(() => view.value?.work ?? [])
const rungs = computed(() => view.value?.rungs ?? [])
const handedIn = computed(() => work.value.filter((one) => one.handed_in).length)
const rungOf = (one: HandedWork, number: number): HandedRung | undefined => one.rungs.find((rung) => rung.number === number)
const linesOf = (rung?: HandedRung): JudgedLine[] => (rung ? [...rung.lines, ...(rung.answer ? [rung.answer] : [])] : [])

type State = keyof typeof workWords.state
const state = (one: HandedWork, number: number): State => rungOf(one, number)?.standing ?? 'none'
const marks: Record<Exclude<State, 'none'>, VerdictWord> = { begun: 'given', breaks: 'breaks', finished: 'holds', answered: 'holds_so_far' }
const standing = (one: HandedWork): string => {
  if (one.given_back) return workWords.given
  if (one.handed_in) return workWords.in
  return one.desk ? workWords.working : workWords.notOpened
}

const shown = computed(() => {
  const one = at.value && work.value[at.value.row]
  // A try with numbers of its own has its own problems.
  const rung = at.value && (one?.own?.length ? one.own : rungs.value).find((each) => each.number === at.value?.rung)
  return one && rung ? { one, rung, written: rungOf(one, rung.number) } : undefined
})
/** What students ended with on the rung that is read: those who mean the same stand together, the most first. */
const groups = computed(() => {
  const number = shown.value?.rung.number
  if (number === undefined) return []
  const found = new Map<number, { ending: string; all: { row: number; name: string }[] }>()
  work.value.forEach((one, row) => {
    const rung = rungOf(one, number)
    if (!rung || rung.alike === undefined || rung.alike === null) return
    const group = found.get(rung.alike) ?? { ending: linesOf(rung).at(-1)?.reading ?? '', all: [] }
    group.all.push({ row, name: one.name })
    found.set(rung.alike, group)
  })
  return [...found.values()].sort((a, b) => b.all.length - a.all.length)
})
/** The others who ended with the same. */
const others = computed(() => (groups.value.find((group) => group.all.some((one) => one.row === at.value?.row))?.all ?? []).filter((one) => one.row !== at.value?.row))
watch(shown, (now) => (remark.value = now?.written?.remark ?? ''))
/** Remarks that were made here before: they are one tap away. */
const used = computed(() => [...new Set(work.value.flatMap((one) => one.rungs.flatMap((rung) => rung.remark ?? [])))].slice(0, 8))

async function say(mark: string | undefined, text: string): Promise<void> {
  const { one, written } = shown.value ?? {}
  if (!one?.desk || !written) return
  const params = { path: { id: props.id, desk: one.desk, rung: written.number } }
  const kept = await sayCall(reply<unknown>(api.PUT('/api/assignments/{id}/desks/{desk}/rungs/{rung}', { params, body: { mark, remark: text } })))
  if (kept) Object.assign(written, { mark, remark: text || undefined })
}
/** Says the same to the others who ended with the same. */
async function sayAll(): Promise<void> {
  const { rung, written } = shown.value ?? {}
  if (!rung || !written) return
  for (const { row } of others.value) {
    const one = work.value[row]!
    const theirs = rungOf(one, rung.number)
    if (!theirs || !one.desk) continue
    const body = { mark: written.mark, remark: remark.value }
    const kept = await sayCall(reply<unknown>(api.PUT('/api/assignments/{id}/desks/{desk}/rungs/{rung}', { params: { path: { id: props.id, desk: one.desk, rung: rung.number } }, body })))
    if (!kept) return
    Object.assign(theirs, { mark: written.mark, remark: remark.value || undefined })
  }
}
/** The next cell in which something stands. */
function go(by: number): void {
  const cells = work.value.flatMap((one, row) => rungs.value.filter((rung) => rungOf(one, rung.number)).map((rung) => ({ row, rung: rung.number })))
  const now = cells.findIndex((cell) => cell.row === at.value?.row && cell.rung === at.value?.rung)
  at.value = cells[(now + by + cells.length) % cells.length] ?? at.value
}
function onKey(event: KeyboardEvent): void {
  if ((event.target as HTMLElement).closest('input, textarea')) return
  const mark = { 1: 'right', 2: 'partly', 3: 'again' }[event.key]
  if (mark) void say(mark, remark.value)
  else if (event.key === 'ArrowRight') go(1)
  else if (event.key === 'ArrowLeft') go(-1)
  else return
  event.preventDefault()
}
async function giveBack(desk?: number): Promise<void> {
  if (await call(reply(api.POST('/api/assignments/{id}/give-back', { params: path, body: { desk } })))) await load()
}
async function openAgain(desk: number): Promise<void> {
  if (await call(reply<unknown>(api.POST('/api/assignments/{id}/desks/{desk}/open', { params: { path: { id: props.id, desk } } })))) await load()
}
async function takeBack(): Promise<void> {
  if (!view.value || !(await sure(workWords.takeBackAsk, workWords.takeBack))) return
  const to = view.value.class
  if (await call(reply<unknown>(api.DELETE('/api/assignments/{id}', { params: path })))) await router.push({ name: 'class', params: { id: to } })
}
</script>

<template>
  <main class="page" @keydown="onKey">
    <router-link v-if="view" :to="{ name: 'class', params: { id: view.class } }">{{ workWords.back }}</router-link>
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <template v-if="view">
      <div class="head">
        <div>
          <h1>{{ view.assignment.title }}</h1>
          <p class="soft">
            {{ workWords.handedIn(handedIn, work.length) }} ·
            {{ view.assignment.rules.due ? classWords.dueOn(dayOf(view.assignment.rules.due)) : classWords.noDue }}
          </p>
          <p class="link">
            {{ classWords.deskLink }} <a :href="view.assignment.desk" target="_blank">{{ deskLink }}</a>
            <el-button size="small" @click="copy(deskLink)">{{ copied ? classWords.copied : classWords.copy }}</el-button>
          </p>
        </div>
        <div class="deeds">
          <el-button size="large" type="primary" :disabled="!handedIn" @click="giveBack()">{{ workWords.giveAll }}</el-button>
          <router-link class="to-results" :to="{ name: 'results', params: { id: view.class }, query: { assignment: id } }">{{ workWords.results }}</router-link>
          <el-button size="large" @click="takeBack">{{ workWords.takeBack }}</el-button>
        </div>
      </div>
      <div class="both">
        <div class="scroll">
          <table>
            <thead>
              <tr>
                <th scope="col">{{ words.ladder.student }}</th>
                <td class="row-deeds" />
                <th v-for="rung in rungs" :key="rung.number" scope="col" class="number">{{ rung.number }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(one, row) in work" :key="one.student">
                <th scope="row">{{ one.name }} <small class="soft">{{ standing(one) }}</small>
                  <small v-if="one.tries > 1" class="soft" :title="workWords.nthHelp"> · {{ workWords.nth(one.nth, one.tries) }}</small>
                </th>
                <td class="row-deeds">
                  <el-button v-if="one.desk && one.handed_in && !one.given_back" size="small" @click="giveBack(one.desk)">{{ workWords.giveBack }}</el-button>
                  <el-button v-if="one.desk && one.handed_in" size="small" text @click="openAgain(one.desk)">{{ workWords.openAgain }}</el-button>
                </td>
                <td v-for="rung in rungs" :key="rung.number">
                  <button
                    type="button"
                    class="cell"
                    :class="{ chosen: at?.row === row && at?.rung === rung.number }"
                    :disabled="state(one, rung.number) === 'none'"
                    :aria-pressed="at?.row === row && at?.rung === rung.number"
                    :aria-label="`${one.name}, ${words.ladder.rung(rung.number)}: ${workWords.state[state(one, rung.number)]}`"
                    @click="at = { row, rung: rung.number }"
                  >
                    <verdict-mark v-if="state(one, rung.number) !== 'none'" :word="marks[state(one, rung.number) as keyof typeof marks]" bare />
                    <span v-else class="soft" aria-hidden="true">·</span>
                    <span v-if="rungOf(one, rung.number)?.mark" class="mark" aria-hidden="true">{{ { right: '✓', partly: '~', again: '↺' }[rungOf(one, rung.number)!.mark!] }}</span>
                  </button>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <section class="beside" aria-live="polite">
          <template v-if="shown">
            <div class="who">
              <h2>{{ shown.one.name }}, {{ words.ladder.rung(shown.rung.number) }}</h2>
              <span v-if="shown.one.desk && shown.one.handed_in" class="narrow">
                <el-button v-if="!shown.one.given_back" size="small" @click="giveBack(shown.one.desk)">{{ workWords.giveBack }}</el-button>
                <el-button size="small" text @click="openAgain(shown.one.desk)">{{ workWords.openAgain }}</el-button>
              </span>
            </div>
            <p><math-text :text="shown.rung.rung.prompt" /></p>
            <flawed-lines v-if="shown.rung.rung.flawed" :lines="shown.rung.rung.flawed.lines" />
            <judged-lines v-if="linesOf(shown.written).length" :lines="linesOf(shown.written)" />
            <p v-else class="soft">{{ workWords.nothing }}</p>
            <details v-if="groups.length > 1 || others.length" class="groups">
              <summary>{{ workWords.groups }}</summary>
              <ul>
                <li v-for="(group, n) in groups" :key="n">
                  <math-line v-if="group.ending" :latex="group.ending" />
                  <span>
                    <el-button v-for="one in group.all" :key="one.row" size="small" :type="one.row === at?.row ? 'primary' : undefined" @click="at = { row: one.row, rung: shown.rung.number }">{{ one.name }}</el-button>
                  </span>
                </li>
              </ul>
            </details>
            <template v-if="shown.written">
              <div class="says">
                <el-button v-for="(says, mark) in workWords.marks" :key="mark" :type="shown.written.mark === mark ? 'primary' : undefined" @click="say(shown.written.mark === mark ? undefined : String(mark), remark)">{{ says }}</el-button>
              </div>
              <el-input v-model="remark" type="textarea" :autosize="{ minRows: 1, maxRows: 4 }" maxlength="400" :aria-label="workWords.remark" :placeholder="workWords.remark" @change="say(shown.written.mark ?? undefined, remark)" />
              <div v-if="used.length" class="says">
                <span class="soft">{{ workWords.used }}</span>
                <el-button v-for="one in used" :key="one" size="small" @click="say(shown.written.mark ?? undefined, (remark = one))">{{ one }}</el-button>
              </div>
              <p v-if="others.length" class="soft">
                {{ workWords.same(others.map((one) => one.name).join(', ')) }}
                <el-button size="small" :disabled="!shown.written.mark && !remark" @click="sayAll">{{ workWords.sayAll(others.length) }}</el-button>
              </p>
              <failure-note v-if="notSaid" :failure="notSaid" />
            </template>
            <p class="soft">{{ workWords.markKeys }}</p>
            <details>
              <summary>{{ workWords.key }}</summary>
              <p>{{ shown.rung.rung.answer.text }}</p>
              <working-lines :lines="shown.rung.rung.working" />
            </details>
          </template>
          <p v-else class="soft">{{ workWords.choose }}</p>
        </section>
      </div>
    </template>
  </main>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  justify-content: space-between;
  gap: 12px 24px;
  margin-block: 8px 18px;
}
.deeds,
.says {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.deeds .el-button + .el-button,
.says .el-button + .el-button {
  margin-inline-start: 0;
}
.to-results {
  padding: 7px 14px;
}
.groups ul {
  display: grid;
  gap: 8px;
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
.groups li {
  display: grid;
  grid-template-columns: minmax(90px, auto) 1fr;
  align-items: center;
  gap: 4px 16px;
}
.groups .el-button {
  margin: 2px 6px 2px 0;
}
.both {
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
  white-space: nowrap;
}
.number {
  padding-inline: 3px;
  text-align: center;
}
th small {
  display: block;
  font-weight: 400;
}
.row-deeds {
  white-space: nowrap;
}
.cell {
  position: relative;
  display: grid;
  place-items: center;
  inline-size: 38px;
  block-size: 38px;
  border: 2px solid transparent;
  border-radius: 8px;
  background: none;
  cursor: pointer;
}
.cell:disabled {
  cursor: default;
}
.cell.chosen {
  border-color: var(--honey-deep);
  background: var(--honey-pale);
}
.mark {
  position: absolute;
  inset-block-start: -2px;
  inset-inline-end: 1px;
  color: var(--honey-deep);
  font-size: 0.8rem;
  font-weight: 800;
}
.beside {
  display: grid;
  gap: 14px;
  position: sticky;
  inset-block-start: 16px;
}
.who {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 6px 14px;
}
.narrow {
  display: none;
}
@media (max-width: 860px) {
  .row-deeds {
    display: none;
  }
  .narrow {
    display: inline-flex;
  }
  .both {
    grid-template-columns: 1fr;
  }
}
</style>
