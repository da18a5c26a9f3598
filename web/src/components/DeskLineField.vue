<script setup lang="ts">
/** One line of a student's working with what is said of it. */
import { ElButton, ElInput } from 'element-plus'
import { computed, inject, nextTick, ref, useTemplateRef, watch } from 'vue'
import { closedKey } from '@/field/closed'
import type { JudgedLine } from '@/api/client'
import type { WritingLine } from '@/composables/useRungWriting'
import HintSteps from './HintSteps.vue'
import MathInput from './MathInput.vue'
import MathLine from './MathLine.vue'
import MathText from './MathText.vue'
import StepPicture from './StepPicture.vue'
import VerdictMark from './VerdictMark.vue'
import { words } from '@/words'

const props = defineProps<{
  line: WritingLine
  label: string
  verdict?: JudgedLine
  removable: boolean
  /** Where its picture is to be had, if it is: the desk's link, the rung's number, and the place among the saved lines. */
  place?: { link: string; number: number; line: number }
}>()
const emit = defineEmits<{ write: [text: string, latex: boolean]; enter: []; remove: []; up: []; down: [] }>()
const closed = inject(closedKey, ref(false))
const field = useTemplateRef<InstanceType<typeof MathInput>>('field')
const plain = useTemplateRef<InstanceType<typeof ElInput>>('plain')

function write(text: string, latex = props.line.latex === true): void {
  if (text === props.line.text && latex === props.line.latex) return
  emit('write', text, latex)
}

/** Where words are asked for, a line is a plain text; mathematics can be written all the same. */
function turn(): void {
  write('', true)
}

// What is said of the line that is being written must be seen above the finger keyboard.
const root = useTemplateRef('root')
watch(
  () => props.verdict,
  async (found) => {
    await nextTick()
    if (found && root.value?.contains(document.activeElement)) root.value.scrollIntoView({ block: 'nearest', behavior: 'smooth' })
  },
)

const pictured = ref(false)
const canBeSeen = computed(() => props.place !== undefined && Boolean(props.verdict?.reading) && props.verdict?.verdict.word !== 'cant_read')
watch(
  () => props.verdict,
  () => (pictured.value = false),
)

defineExpose({ line: props.line, focus: () => (props.line.latex ? field.value?.focus() : plain.value?.focus()) })
</script>

<template>
  <div ref="root" class="line" :class="verdict?.verdict.word">
    <math-input
      v-if="line.latex"
      ref="field"
      class="field"
      :label="label"
      :model-value="line.text"
      @update:model-value="(text) => write(text)"
      @enter="emit('enter')"
      @empty-backspace="removable && emit('remove')"
      @up="emit('up')"
      @down="emit('down')"
    />
    <el-input
      v-else
      ref="plain"
      class="field"
      size="large"
      maxlength="400"
      :readonly="closed"
      :model-value="line.text"
      :aria-label="label"
      @update:model-value="(text: string) => write(text)"
      @keydown.enter.prevent="emit('enter')"
    />
    <div v-if="!closed" class="tools">
      <el-button v-if="!line.text && !line.latex" text size="small" @click="turn">{{ words.desk.maths }}</el-button>
      <el-button v-if="removable" text size="small" :aria-label="`${words.desk.removeLine}: ${label}`" @click="emit('remove')">✕</el-button>
    </div>
    <div v-if="verdict" class="verdict" role="status">
      <!-- The line as it was read is spoken before what is said of it. -->
      <span v-if="verdict.speech" class="only-heard">{{ verdict.speech }}:</span>
      <verdict-mark :word="verdict.verdict.word" />
      <span v-if="verdict.verdict.made" class="soft"><math-text :text="verdict.verdict.made" /></span>
      <span v-if="verdict.verdict.domain" class="soft"><math-text :text="verdict.verdict.domain" /></span>
      <el-button v-if="canBeSeen" class="see" size="small" text :aria-expanded="pictured" @click="pictured = !pictured">
        {{ pictured ? words.desk.noPicture : words.desk.picture }}
      </el-button>
      <span v-if="verdict.verdict.says" class="says"><math-text :text="verdict.verdict.says" /></span>
      <span v-if="!line.latex && verdict.reading" class="soft">{{ words.desk.reads }} <math-line :latex="verdict.reading" /></span>
      <span v-if="verdict.note" class="soft">{{ verdict.note }}</span>
      <el-button v-if="verdict.error && line.latex" size="small" @click="field?.select(verdict.error.start, verdict.error.end)">{{ words.desk.where }}</el-button>
      <el-button v-if="verdict.error?.mended" size="small" @click="write(verdict.error.mended)">
        {{ words.desk.mend }}<template v-if="line.latex">: <math-line :latex="verdict.error.mended" /></template>
      </el-button>
    </div>
    <hint-steps v-if="verdict?.hints?.length" class="help" :hints="verdict.hints" :ask="words.desk.hint" />
    <step-picture v-if="pictured && place" v-bind="place" />
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 8px;
  align-items: center;
}
/* Clear of the finger keyboard when it is scrolled to. */
.line {
  scroll-margin-block: 12px calc(16px + var(--keyboard, 0px));
}
.tools {
  display: flex;
}
.verdict {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  min-block-size: 28px;
}
.says {
  flex-basis: 100%;
}
.help {
  grid-column: 1 / -1;
}
.breaks .field,
.drops_solution .field,
.adds_solution .field {
  border-inline-start-width: 6px;
  border-inline-start-color: var(--verdict-breaks);
}
.holds .field {
  border-inline-start-width: 6px;
  border-inline-start-color: var(--verdict-holds);
}
.el-button + .el-button {
  margin-inline-start: 0;
}
@media print {
  .tools,
  .see {
    display: none;
  }
}
</style>
