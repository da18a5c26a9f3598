<script setup lang="ts">
/** A table whose empty cells are to be filled. */
import { computed } from 'vue'
import type { AnswerKind, GivenAnswer } from '@/api/client'
import { answerWords } from '@/words/answer'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ place: AnswerKind; given?: GivenAnswer }>()
const emit = defineEmits<{ give: [given: GivenAnswer, done: boolean] }>()

const heads = computed(() => (props.place.kind === 'table' ? props.place.heads : []))
/** Each cell with what stands in it, or with its place among the empty ones. */
const rows = computed(() => {
  let empty = 0
  const table = props.place.kind === 'table' ? props.place.rows : []
  return table.map((row) => row.map((text) => (text === '' ? { at: empty++, text } : { at: -1, text })))
})
const blanks = computed(() => rows.value.flat().filter((cell) => cell.at >= 0).length)
const filled = computed(() => (props.given?.kind === 'cells' ? props.given.cells : []))

function fill(at: number, text: string): void {
  const cells = Array.from({ length: blanks.value }, (_, place) => filled.value[place] ?? '')
  cells[at] = text
  emit('give', { kind: 'cells', cells }, false)
}
</script>

<template>
  <table>
    <tbody>
      <tr v-for="(row, r) in rows" :key="r">
        <th scope="row">{{ heads[r] }}</th>
        <td v-for="(cell, c) in row" :key="c">
          <span v-if="cell.at < 0">{{ cell.text }}</span>
          <input
            v-else
            type="text"
            autocomplete="off"
            maxlength="40"
            :aria-label="answerWords.cell(heads[r] ?? '')"
            :value="filled[cell.at] ?? ''"
            @input="fill(cell.at, ($event.target as HTMLInputElement).value)"
          />
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  border-collapse: collapse;
  justify-self: start;
}
th,
td {
  border: 1px solid var(--line);
  padding: 6px 12px;
  text-align: start;
}
input {
  inline-size: 7em;
  min-block-size: 40px;
  border: 1.5px solid var(--el-border-color);
  border-radius: 6px;
  padding-inline: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
</style>
