<script setup lang="ts">
/** A board over the slide to work something unplanned: what is typed is judged line by line, as it is written. */
import { nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { api, reply, type JudgedLine } from '@/api/client'
import MathInput from './MathInput.vue'
import MathText from './MathText.vue'
import VerdictMark from './VerdictMark.vue'
import { verdictNames, words } from '@/words'
import { wallWords } from '@/words/wall'

/** The lines, in LaTeX; they stay as long as the lesson is shown. */
const lines = defineModel<string[]>({ required: true })
/** Whether a class is in that can be asked. */
const props = defineProps<{ asks?: boolean }>()
const emit = defineEmits<{ close: []; ask: [problem: string] }>()
const judged = ref<JudgedLine[]>([])
const failure = ref('')
const fields = useTemplateRef<InstanceType<typeof MathInput>[]>('fields')
let newest = 0

async function focus(at: number): Promise<void> {
  await nextTick()
  fields.value?.[at]?.focus()
}
onMounted(() => {
  void judge()
  void focus(lines.value.length - 1)
})

/** Everything down to the last line that was finished. */
async function judge(): Promise<void> {
  const mine = (newest += 1)
  const written = lines.value.filter((line) => line.trim())
  if (!written.length) {
    judged.value = []
    return
  }
  const answer = await reply(api.POST('/api/board', { body: { lines: written.map((text) => ({ text, latex: true })) } }))
  if (mine !== newest) return
  failure.value = answer.ok ? '' : answer.failure.says
  if (answer.ok) judged.value = answer.value.lines
}

async function enter(at: number): Promise<void> {
  if (at === lines.value.length - 1 && lines.value[at]?.trim() && lines.value.length < 12) lines.value.push('')
  // The next line waits for nobody: what is typed meanwhile belongs there.
  await Promise.all([focus(Math.min(at + 1, lines.value.length - 1)), judge()])
}
async function remove(at: number): Promise<void> {
  if (lines.value.length === 1) return
  lines.value.splice(at, 1)
  await judge()
  await focus(Math.max(0, at - 1))
}
async function wipe(): Promise<void> {
  lines.value = ['']
  judged.value = []
  await focus(0)
}

/** The verdict on the line at `at`, counted without the empty ones. */
function verdictAt(at: number): JudgedLine | undefined {
  if (!lines.value[at]?.trim()) return undefined
  return judged.value[lines.value.slice(0, at).filter((line) => line.trim()).length]
}
</script>

<template>
  <section class="spare" :aria-label="wallWords.spare" @keydown.esc.stop.prevent="emit('close')">
    <header>
      <h2>{{ wallWords.spare }}</h2>
      <span class="push" />
      <button v-if="props.asks" type="button" :disabled="!judged[0]?.plain" @click="emit('ask', judged[0]!.plain)">{{ wallWords.askClass }}</button>
      <button type="button" @click="wipe">{{ wallWords.wipeBoard }}</button>
      <button type="button" @click="emit('close')">{{ words.close }}</button>
    </header>
    <ol>
      <li v-for="(_, at) in lines" :key="at">
        <math-input
          ref="fields"
          v-model="lines[at]!"
          class="field"
          :label="wallWords.boardLine(at + 1)"
          @enter="enter(at)"
          @empty-backspace="remove(at)"
          @up="focus(Math.max(0, at - 1))"
          @down="focus(Math.min(lines.length - 1, at + 1))"
        />
        <span class="said" role="status">
          <template v-if="verdictAt(at) && (at > 0 || verdictAt(at)?.verdict.word === 'cant_read')">
            <verdict-mark :word="verdictAt(at)!.verdict.word" :size="34" bare />
            <strong aria-hidden="true">{{ verdictNames[verdictAt(at)!.verdict.word] }}</strong>
            <span v-if="verdictAt(at)!.verdict.says" class="why"><math-text :text="verdictAt(at)!.verdict.says" /></span>
          </template>
        </span>
      </li>
    </ol>
    <p v-if="failure" role="alert">{{ failure }}</p>
    <p class="soft">{{ wallWords.boardHelp }}</p>
  </section>
</template>

<style scoped src="@/styles/wall-buttons.css"></style>
<style scoped>
.spare {
  position: fixed;
  inset: 0 0 51px;
  z-index: 9;
  display: grid;
  align-content: start;
  gap: 2vh;
  padding: 3vh 4vw;
  overflow-y: auto;
  background: var(--card);
  color: var(--ink);
}
header {
  display: flex;
  align-items: center;
  gap: 10px;
}
h2 {
  font-size: 1.4rem;
}
.push {
  flex: 1;
}
ol {
  display: grid;
  gap: 1.6vh;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 2vw;
  align-items: center;
}
.field {
  font-size: clamp(1.4rem, 3vw, 3.4rem);
}
.said {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  font-size: clamp(1rem, 1.5vw, 1.8rem);
}
.why {
  flex-basis: 100%;
  color: var(--ink-soft);
}
button {
  min-block-size: 36px;
  padding-inline: 14px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
