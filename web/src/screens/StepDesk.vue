<script setup lang="ts">
/** The Step Desk: a student joins with a name, takes a rung, and writes line by line. */
import { computed, defineAsyncComponent, effectScope, onMounted, onScopeDispose, ref, shallowRef } from 'vue'
import { api, reply, type DeskView } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import HoneyMark from '@/components/HoneyMark.vue'
import JoinDesk from '@/components/JoinDesk.vue'
import { dropDraft } from '@/composables/useDraft'
import { useRungWriting, type RungWriting } from '@/composables/useRungWriting'
import { stageNames, words } from '@/words'
import { pageWords, workWords } from '@/words/class'
import WorkingLines from '@/components/WorkingLines.vue'
import { sure } from '@/composables/sure'
import { ElButton } from 'element-plus'
import { useCall } from '@/composables/useCall'

/** With the field for mathematics, which is large: it comes while a name is typed. */
const loadWriter = () => import('@/components/RungWriter.vue')
const RungWriter = defineAsyncComponent(loadWriter)

const props = defineProps<{ link: string }>()
const desk = ref<DeskView>()
const { failure, call } = useCall()
const at = ref(0)
const writings = shallowRef<RungWriting[]>([])
let scope = effectScope()
onScopeDispose(() => scope.stop())

const rung = computed(() => desk.value?.rungs[at.value])
const writing = computed(() => writings.value[at.value])

function take(view: DeskView): void {
  desk.value = view
  scope.stop()
  scope = effectScope()
  scope.run(() => {
    writings.value = view.rungs.map(({ number, words: inWords }) => {
      const kept = view.written.find((written) => written.number === number)
      return useRungWriting(props.link, number, {
        lines: kept?.lines ?? [],
        answer: kept?.answer ?? undefined,
        revision: kept?.revision ?? 0,
        judgement: kept?.judgement,
        words: inWords,
      })
    })
  })
  const open = writings.value.findIndex((w) => !w.finished.value)
  at.value = open < 0 ? 0 : open
}

const remark = computed(() => desk.value?.assigned?.remarks.find((one) => one.number === rung.value?.number))
const key = computed(() => (rung.value ? desk.value?.assigned?.keys[rung.value.number - 1] : undefined))
/** Whether what holds is told only when it is given back. */
const later = computed(() => desk.value?.written.some((one) => one.judgement.lines.some((line) => line.verdict.word === 'given')) ?? false)

async function handIn(): Promise<void> {
  if (!(await sure(pageWords.handInAsk, pageWords.handIn))) return
  await Promise.all(writings.value.map((w) => w.save()))
  if (await call(reply<unknown>(api.POST('/api/desk/{link}/hand-in', { params: { path: { link: props.link } } })))) await load()
}

/** A further try: a clean desk, with the same numbers or with others. */
async function again(): Promise<void> {
  const params = { path: { link: props.link } }
  await call(reply(api.POST('/api/desk/{link}/again', { params })), (view) => {
    view.rungs.forEach(({ number }) => dropDraft(`${props.link}/${number}`))
    take(view)
  })
}

const load = (): Promise<boolean> => call(reply(api.GET('/api/desk/{link}', { params: { path: { link: props.link } } })), take)
onMounted(load)

async function leave(): Promise<void> {
  await Promise.all(writings.value.map((w) => w.save()))
  if (!(await call(reply<unknown>(api.POST('/api/desk/{link}/leave', { params: { path: { link: props.link } } }))))) return
  desk.value?.rungs.forEach(({ number }) => dropDraft(`${props.link}/${number}`))
  await load()
}
</script>

<template>
  <main class="desk">
    <header>
      <span class="brand"><honey-mark /><span>{{ desk?.title ?? words.desk.title }}</span></span>
      <span v-if="desk?.student" class="who">
        <span v-if="desk.code" class="soft" :title="words.desk.codeHelp">{{ words.desk.yourCode }} <strong>{{ desk.code }}</strong></span>
        <router-link v-if="desk.assigned" :to="desk.assigned.page">{{ pageWords.toPage }}</router-link>
        <button type="button" class="as-link" @click="leave">{{ words.desk.notMe(desk.student) }}</button>
      </span>
    </header>
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <join-desk v-else-if="desk && !desk.student" :link="link" :of-class="desk.of_class" :is-open="desk.is_open" @joined="take" @input.once="loadWriter" />
    <template v-else-if="desk && rung && writing">
      <nav class="rungs" :aria-label="words.desk.rungs">
        <button
          v-for="(r, index) in desk.rungs"
          :key="r.number"
          type="button"
          class="cell"
          :class="{ here: index === at, done: writings[index]?.finished.value, begun: writings[index]?.begun.value }"
          :aria-current="index === at ? 'step' : undefined"
          :aria-label="words.desk.rung(r.number, stageNames[r.stage]) + (writings[index]?.finished.value ? `, ${words.desk.done}` : '')"
          :disabled="r.locked"
          :title="r.locked ? pageWords.locked : undefined"
          @click="at = index"
        >
          <span>{{ r.number }}</span>
        </button>
        <span class="soft stage">{{ stageNames[rung.stage] }}</span>
      </nav>
      <div v-if="desk.assigned" class="assigned" role="status">
        <span v-if="desk.assigned.given_back">{{ pageWords.givenBack }}</span>
        <span v-else-if="desk.assigned.handed_in">{{ pageWords.handedIn }}</span>
        <template v-else>
          <span v-if="later" class="soft">{{ pageWords.later }}</span>
          <el-button size="large" @click="handIn">{{ pageWords.handIn }}</el-button>
        </template>
        <span v-if="desk.assigned.tries !== 1" class="soft">{{ pageWords.nth(desk.assigned.nth, desk.assigned.tries) }}</span>
        <el-button v-if="desk.assigned.again" size="large" type="primary" @click="again">{{ desk.assigned.fresh ? pageWords.againFresh : pageWords.again }}</el-button>
      </div>
      <div v-if="remark" class="remark">
        <strong v-if="remark.mark">{{ workWords.marks[remark.mark] }}</strong> {{ remark.remark }}
      </div>
      <rung-writer :key="`${rung.number}-${desk.student}-${desk.assigned?.nth ?? 1}`" :link="link" :rung="rung" :writing="writing" :last="at === desk.rungs.length - 1" :pictures="desk.pictures" :closed="desk.assigned?.handed_in !== undefined" @next="at += 1" />
    </template>
    <p v-else class="soft">{{ words.loading }}</p>
    <details v-if="key" class="key">
      <summary>{{ pageWords.key }}</summary>
      <p>{{ key.answer }}</p>
      <working-lines :lines="key.working" />
    </details>
  </main>
</template>

<style scoped src="@/styles/student-head.css"></style>
<style scoped>
.desk {
  display: grid;
  gap: 18px;
  max-inline-size: 760px;
  margin-inline: auto;
  padding: 12px clamp(12px, 4vw, 28px) calc(120px + var(--keyboard, 0px));
}
.who {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: end;
  column-gap: 14px;
}
.who strong {
  letter-spacing: 0.08em;
}
.rungs {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 5px;
}
.cell {
  position: relative;
  display: grid;
  place-items: center;
  inline-size: 46px;
  block-size: 40px;
  border: 0;
  padding: 0;
  clip-path: polygon(25% 0, 75% 0, 100% 50%, 75% 100%, 25% 100%, 0 50%);
  background: var(--line);
  color: var(--ink);
  font: inherit;
  font-weight: 700;
  cursor: pointer;
}
/* An edge of its own: the outline of a clipped shape is clipped with it. */
.cell::before {
  content: '';
  position: absolute;
  inset: 3px;
  clip-path: inherit;
  background: var(--card);
}
.cell span {
  position: relative;
}
.cell.begun::before {
  background: linear-gradient(var(--card) 50%, var(--honey-pale) 50%);
}
.cell.done {
  background: var(--verdict-holds);
  color: var(--card);
}
.cell.done::before {
  background: var(--verdict-holds);
}
.cell.here {
  background: var(--honey);
}
.cell:focus-visible {
  background: var(--focus);
}
.cell:disabled {
  opacity: 0.45;
  cursor: not-allowed;
}
.assigned {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 16px;
}
.remark {
  padding: 10px 16px;
  border-inline-start: 5px solid var(--honey);
  background: var(--honey-pale);
}
.key {
  display: grid;
  gap: 10px;
}
.stage {
  margin-inline-start: 8px;
}
@media print {
  .rungs,
  .link {
    display: none;
  }
}
</style>
