<script setup lang="ts">
/** The place for an answer, fitted to its kind: below the lines, which stay free. */
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { AnswerKind, GivenAnswer, JudgedLine } from '@/api/client'
import MathText from '@/components/MathText.vue'
import VerdictMark from '@/components/VerdictMark.vue'
import { answerWords } from '@/words/answer'
import AnswerBrokenLine from './AnswerBrokenLine.vue'
import AnswerCells from './AnswerCells.vue'
import AnswerChoice from './AnswerChoice.vue'
import AnswerNumber from './AnswerNumber.vue'
import AnswerOnLine from './AnswerOnLine.vue'
import AnswerOrder from './AnswerOrder.vue'

const props = defineProps<{
  place: AnswerKind
  /** The lines of somebody's working, typeset. */
  working: string[]
  given?: GivenAnswer
  verdict?: JudgedLine
}>()
defineEmits<{
  /** What stands there now; `done` when nothing more is to be waited for. */
  give: [given: GivenAnswer, done: boolean]
}>()

/** Above the finger keyboard everything is seen that belongs to the answer: the units, and what is said of it. */
const root = useTemplateRef('root')
const KEYBOARD_MS = 350
const show = (): void => root.value?.scrollIntoView({ block: 'nearest' })
const comes = (): void => void setTimeout(show, KEYBOARD_MS)
watch(
  () => props.verdict,
  async (found) => {
    await nextTick()
    if (found && root.value?.contains(document.activeElement)) show()
  },
)

const part = computed(() => {
  switch (props.place.kind) {
    case 'choice':
    case 'judgement':
      return AnswerChoice
    case 'broken_line':
      return AnswerBrokenLine
    case 'order':
      return AnswerOrder
    case 'interval':
      return AnswerOnLine
    case 'table':
      return AnswerCells
    default:
      return AnswerNumber
  }
})
</script>

<template>
  <section ref="root" class="place" :class="verdict?.verdict.word" :aria-label="answerWords.title" @focusin="comes">
    <h2>{{ answerWords.title }}</h2>
    <component :is="part" :place="place" :working="working" :given="given" :wrong="verdict?.verdict.word === 'breaks'" @give="(now: GivenAnswer, done: boolean) => $emit('give', now, done)" />
    <div v-if="verdict" class="verdict" role="status">
      <verdict-mark :word="verdict.verdict.word" bare />
      <strong v-if="verdict.answers">{{ answerWords.right }}</strong>
      <strong v-else-if="verdict.verdict.word === 'breaks'">{{ answerWords.notYet }}</strong>
      <span v-if="verdict.verdict.says"><math-text :text="verdict.verdict.says" /></span>
    </div>
  </section>
</template>

<style scoped>
.place {
  display: grid;
  gap: 10px;
  padding: 14px 16px 16px;
  border: 1.5px solid var(--line);
  border-inline-start: 6px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  scroll-margin-block: 12px calc(16px + var(--keyboard, 0px));
}
.place.holds {
  border-inline-start-color: var(--verdict-holds);
}
.place.breaks,
.place.drops_solution,
.place.adds_solution {
  border-inline-start-color: var(--verdict-breaks);
}
h2 {
  font-size: 1rem;
}
.verdict {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}
</style>
