<script setup lang="ts">
/** A field for mathematics that reads what was typed as it was typed. Its value is LaTeX. */
import type { MathfieldElement } from 'mathlive'
import { inject, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import { closedKey } from '@/field/closed'
import { Flow } from '@/field/flow'
import { setUpField } from '@/field/setup'
import { paste, take } from '@/field/typing'

defineProps<{ label: string }>()
const latex = defineModel<string>({ required: true })
const emit = defineEmits<{ enter: []; emptyBackspace: []; up: []; down: [] }>()

const closed = inject(closedKey, ref(false))
const field = useTemplateRef<MathfieldElement>('field')
const flow = new Flow()

/** An empty place that waits is selected, too. */
function isPlaceholder(mf: MathfieldElement): boolean {
  return mf.getValue(mf.selection, 'latex').startsWith('\\placeholder')
}

/** The field tells of its changes a moment later; a quick enter must not be ahead of the last sign. */
function enter(mf: MathfieldElement): void {
  latex.value = mf.value
  emit('enter')
}

function onKey(event: KeyboardEvent): void {
  const mf = field.value
  if (!mf || closed.value || event.isComposing || !event.isTrusted) return
  if (event.key === 'Enter') {
    event.preventDefault()
    event.stopImmediatePropagation()
    enter(mf)
  } else if (event.key === 'Backspace') {
    if (mf.value === '') emit('emptyBackspace')
    flow.takenBack()
  } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && mf.value.search(/frac|\^|_|sqrt/) < 0) {
    if (event.key === 'ArrowUp') emit('up')
    else emit('down')
  } else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey) {
    // What is typed takes the place of what is selected; a bracket would be put around it otherwise.
    if (!mf.selectionIsCollapsed && !isPlaceholder(mf)) mf.executeCommand('deleteBackward')
    if (!take(mf, flow, event.key)) {
      event.preventDefault()
      event.stopImmediatePropagation()
      latex.value = mf.value
    }
  } else if (event.key !== 'Shift') {
    flow.forget()
  }
}

function onPaste(event: ClipboardEvent): void {
  const mf = field.value
  const text = event.clipboardData?.getData('text/plain')
  if (!mf || closed.value || text === undefined) return
  event.preventDefault()
  event.stopPropagation()
  paste(mf, flow, text)
  latex.value = mf.value
}

onMounted(() => {
  const mf = field.value
  if (!mf) return
  setUpField(mf)
  mf.value = latex.value
  mf.addEventListener('keydown', onKey, { capture: true })
  mf.addEventListener('paste', onPaste, { capture: true })
  // The return key of the finger keyboard comes as a line break, not as a key.
  mf.addEventListener('beforeinput', (event) => {
    if (event.inputType === 'insertLineBreak') enter(mf)
  })
  mf.addEventListener('pointerdown', () => flow.forget())
})
onBeforeUnmount(() => window.mathVirtualKeyboard?.hide())

watch(latex, (now) => {
  if (field.value && field.value.value !== now) {
    field.value.value = now
    flow.forget()
  }
})

/**
 * Selects the part of the line that characters `start` to `end` of its LaTeX stand for: the first place
 * at which the LaTeX in front of it has grown past each end.
 */
function select(start: number, end: number): void {
  const mf = field.value
  if (!mf) return
  const place = (at: number): number => {
    for (let offset = 0; offset <= mf.lastOffset; offset += 1) {
      if (mf.getValue(0, offset, 'latex').length > at) return offset
    }
    return mf.lastOffset
  }
  const from = Math.max(0, place(start) - 1)
  mf.focus()
  mf.selection = { ranges: [[from, Math.max(from + 1, place(end - 1))]] }
  flow.forget()
}

defineExpose({ focus: () => field.value?.focus(), select })
</script>

<template>
  <math-field
    ref="field"
    class="math-field"
    :aria-label="label"
    :read-only="closed || undefined"
    @input="latex = ($event.target as MathfieldElement).value"
    @focusout="flow.forget()"
  />
</template>

<style scoped>
.math-field {
  display: block;
  min-inline-size: 0;
  padding: 8px 12px;
  border: 1.5px solid var(--el-border-color);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font-size: 1.25rem;
  font-weight: 400;
  --caret-color: var(--ink);
  --selection-background-color: color-mix(in srgb, var(--honey) 55%, transparent);
  --selection-color: var(--ink);
  --contains-highlight-background-color: transparent;
  --placeholder-color: var(--ink-soft);
  --primary: var(--honey-deep);
}
@media (pointer: coarse) {
  .math-field {
    padding: 2px 8px;
  }
}
.math-field:focus-within {
  outline: 3px solid var(--focus);
  outline-offset: 1px;
}
.math-field::part(menu-toggle) {
  display: none;
}
.math-field::part(virtual-keyboard-toggle) {
  color: var(--honey-deep);
}
@media print {
  .math-field {
    border: 0;
    padding-block: 2px;
    background: none;
  }
  .math-field::part(virtual-keyboard-toggle) {
    display: none;
  }
}
</style>
