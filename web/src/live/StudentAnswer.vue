<script setup lang="ts">
/** How a student answers: words or mathematics, a choice, true or false and why, the lines of a working, a drawing. */
import { ElButton, ElInput } from 'element-plus'
import { computed, nextTick, ref, watch } from 'vue'
import type { ClassGiven, GivenAnswer, StudentQuestion } from '@/api/client'
import AnswerPlace from '@/answer/AnswerPlace.vue'
import MathInput from '@/components/MathInput.vue'
import MathText from '@/components/MathText.vue'
import DrawPad from './DrawPad.vue'
import { joinWords } from '@/words/live'
import { dropDraft, findDraft, keepDraft } from '@/composables/useDraft'

const props = defineProps<{ question: StudentQuestion; lesson: string }>()
const emit = defineEmits<{ give: [given: ClassGiven] }>()

interface Draft {
  text: string
  why: string
  isTrue?: boolean
  lines: string[]
  answer?: GivenAnswer
  strokes: number[][]
}
const key = computed(() => `live/${props.lesson}/${props.question.number}`)
const empty = (): Draft => ({ text: '', why: '', lines: [''], strokes: [] })

function before(): Draft {
  const kept = findDraft<Draft>(key.value)
  if (kept) return { ...empty(), ...kept }
  const given = props.question.given
  switch (given?.by) {
    case 'text':
      return { ...empty(), text: given.text }
    case 'judged':
      return { ...empty(), isTrue: given.is_true, why: given.why ?? '' }
    case 'desk':
      return { ...empty(), lines: given.lines?.length ? given.lines.map((line) => line.text) : [''], answer: given.answer ?? undefined }
    case 'drawing':
      return { ...empty(), strokes: given.strokes }
    default:
      return empty()
  }
}
const now = ref<Draft>(before())
watch(key, () => (now.value = before()))
// A flat battery in mid-answer loses nothing.
watch(now, (draft) => keepDraft(key.value, draft), { deep: true })

const by = computed(() => props.question.asked.by)
const chosen = computed(() => (props.question.given?.by === 'choice' ? props.question.given.choice : undefined))
const place = computed(() => props.question.asked.place ?? undefined)
/** Somebody's lines are picked where they stand: there are none to write. */
const writes = computed(() => by.value === 'rung' && place.value?.kind !== 'broken_line')

const given = computed<ClassGiven | undefined>(() => {
  const { text, why, isTrue, lines, answer, strokes } = now.value
  switch (by.value) {
    case 'open':
      return text.trim() ? { by: 'text', text } : undefined
    case 'true_or_false':
      return isTrue === undefined ? undefined : { by: 'judged', is_true: isTrue, why }
    case 'rung': {
      const written = lines.filter((line) => line.trim()).map((line) => ({ text: line, latex: true }))
      return written.length || answer ? { by: 'desk', lines: written, answer } : undefined
    }
    case 'drawing':
      return strokes.length ? { by: 'drawing', strokes } : undefined
    default:
      return undefined
  }
})

function give(what = given.value): void {
  if (!what) return
  emit('give', what)
  dropDraft(key.value)
}
async function addLine(): Promise<void> {
  now.value.lines.push('')
  await nextTick()
}
</script>

<template>
  <form class="answer" @submit.prevent="give()">
    <template v-if="by === 'open'">
      <el-input v-model="now.text" type="textarea" :autosize="{ minRows: 1, maxRows: 6 }" size="large" maxlength="600" :aria-label="joinWords.answer" :disabled="!question.open" @keydown.enter.exact.prevent="give()" />
    </template>
    <div v-else-if="by === 'choice'" class="choices" role="group" :aria-label="joinWords.choose">
      <button v-for="(choice, at) in question.asked.choices" :key="at" type="button" :aria-pressed="chosen === at" :disabled="!question.open" @click="give({ by: 'choice', choice: at })">
        <math-text :text="choice" />
      </button>
    </div>
    <template v-else-if="by === 'true_or_false'">
      <div class="choices two" role="group" :aria-label="joinWords.choose">
        <button type="button" :aria-pressed="now.isTrue === true" :disabled="!question.open" @click="now.isTrue = true">{{ joinWords.true }}</button>
        <button type="button" :aria-pressed="now.isTrue === false" :disabled="!question.open" @click="now.isTrue = false">{{ joinWords.false }}</button>
      </div>
      <label class="why">
        <span>{{ joinWords.why }}</span>
        <el-input v-model="now.why" type="textarea" :autosize="{ minRows: 1, maxRows: 4 }" size="large" maxlength="600" :disabled="!question.open" />
      </label>
    </template>
    <template v-else-if="by === 'rung'">
      <ol v-if="writes" class="lines">
        <li v-for="(_, at) in now.lines" :key="at">
          <math-input v-model="now.lines[at]!" :label="joinWords.line(at + 1)" @enter="at === now.lines.length - 1 ? addLine() : undefined" />
        </li>
      </ol>
      <el-button v-if="writes" text @click="addLine">{{ joinWords.addLine }}</el-button>
      <answer-place v-if="place" :place="place" :working="question.asked.working ?? []" :given="now.answer" @give="(what) => (now.answer = what)" />
    </template>
    <draw-pad v-else v-model="now.strokes" :scene="question.scene ?? undefined" :closed="!question.open" />
    <el-button v-if="by !== 'choice' && question.open" type="primary" size="large" native-type="submit" :disabled="!given">{{ question.tries ? joinWords.again : joinWords.give }}</el-button>
  </form>
</template>

<style scoped>
.answer {
  display: grid;
  gap: 12px;
}
.answer :deep(.el-button + .el-button) {
  margin-inline-start: 0;
}
.choices {
  display: grid;
  gap: 10px;
}
.two {
  grid-template-columns: 1fr 1fr;
}
.choices button {
  min-block-size: 52px;
  padding: 8px 16px;
  border: 2px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 1.05rem;
  text-align: start;
  cursor: pointer;
}
.choices button[aria-pressed='true'] {
  border-color: var(--honey);
  background: var(--honey-pale);
  font-weight: 700;
}
.choices button:disabled {
  cursor: not-allowed;
}
.why {
  display: grid;
  gap: 4px;
}
.lines {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
