<script setup lang="ts">
/** A line on the working bench: as it stands, and opened with what can be done with it. */
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import type { Blank, ExampleChange, ExampleLine, LineOffers } from '@/api/client'
import MathInput from './MathInput.vue'
import MathLine from './MathLine.vue'
import MathText from './MathText.vue'
import VerdictMark from './VerdictMark.vue'
import { words } from '@/words'

const props = defineProps<{
  line: ExampleLine
  offers: LineOffers
  at: number
  change: (change: ExampleChange) => Promise<boolean>
}>()
const open = defineModel<boolean>('open', { required: true })

const math = ref('')
const reason = ref('')
const below = ref('')
const isLast = ref(false)
const number = computed(() => props.at + 1)
const label = (what: string): string => `${what}: ${words.example.line(number.value)}`

function refresh(): void {
  math.value = props.line.latex
  reason.value = props.line.reason
}
watch(() => props.line, refresh, { immediate: true })

const same = (a: Blank, b: Blank): boolean => JSON.stringify(a) === JSON.stringify(b)
const isOut = (blank: Blank): boolean => props.line.blanks?.some((other) => same(other, blank)) ?? false
function partName(blank: Blank, text: string): string {
  if (blank.kind === 'line') return words.example.wholeLine
  return blank.kind === 'reason' ? words.example.itsReason : text
}

async function write(): Promise<void> {
  if (math.value.trim() && math.value !== props.line.latex) await props.change({ kind: 'write', line: props.at, text: { text: math.value, latex: true } })
}
async function insert(): Promise<void> {
  if (!below.value.trim()) return
  const made = await props.change({ kind: 'insert', below: props.at, text: { text: below.value, latex: true } })
  if (made) [below.value, isLast.value] = ['', false]
}
async function reword(): Promise<void> {
  if (reason.value.trim() === props.line.reason) return
  const made = await props.change({ kind: 'reason', line: props.at, text: reason.value })
  if (!made) refresh()
}
</script>

<template>
  <li class="line" :class="{ open, folded: line.folded, own: line.own, wrong: !['given', 'holds'].includes(line.verdict) }">
    <button type="button" class="face" :aria-expanded="open" @click="open = !open">
      <span class="only-heard">{{ words.example.line(number) }}: </span>
      <span class="math">
        <math-line v-if="line.latex" display :latex="line.asked?.latex || line.latex" />
        <math-text v-else :text="line.asked ? '…' : line.math" />
      </span>
      <span class="reason soft">
        <template v-if="line.folded">{{ words.example.folded }}</template>
        <template v-else-if="line.asked?.reason">…</template>
        <math-text v-else :text="line.reason" />
      </span>
      <verdict-mark :word="line.verdict" />
    </button>
    <p v-if="line.says" class="says"><math-text :text="line.says" /></p>
    <div v-if="open" class="edit">
      <div v-if="offers.writes" class="field">
        <span>{{ words.example.theLine }}</span>
        <math-input v-model="math" :label="label(words.example.theLine)" @enter="write" />
        <span class="buttons">
          <el-button :disabled="math === line.latex || !math.trim()" @click="write">{{ words.example.check }}</el-button>
          <el-button v-if="line.own" @click="change({ kind: 'restore', line: at })">{{ line.from == null ? words.example.takeOut : words.example.computed }}</el-button>
        </span>
      </div>
      <div v-else-if="line.own" class="buttons">
        <el-button @click="change({ kind: 'restore', line: at })">{{ words.example.takeOut }}</el-button>
      </div>
      <label v-if="line.role !== 'starts'" class="field">
        <span>{{ words.example.reason }}</span>
        <el-input v-model="reason" maxlength="300" :aria-label="label(words.example.reason)" @change="reword" />
        <span v-if="line.reworded" class="buttons">
          <el-button @click="change({ kind: 'reason', line: at, text: null })">{{ words.example.ownReason }}</el-button>
        </span>
      </label>
      <div v-if="offers.parts.length" class="field" role="group" :aria-label="label(words.example.leaveOut)">
        <span>{{ words.example.leaveOut }}</span>
        <span class="buttons">
          <el-button
            v-for="part in offers.parts"
            :key="JSON.stringify(part.blank)"
            :type="isOut(part.blank) ? 'primary' : undefined"
            :aria-pressed="isOut(part.blank)"
            @click="change({ kind: 'leave', line: at, blank: part.blank, out: !isOut(part.blank) })"
          >
            {{ partName(part.blank, part.text) }}
          </el-button>
        </span>
      </div>
      <div class="buttons">
        <el-button v-if="offers.folds" @click="change({ kind: 'fold', line: at, folded: !line.folded })">
          {{ line.folded ? words.example.unfold : words.example.fold }}
        </el-button>
        <el-button :aria-expanded="isLast" @click="isLast = !isLast">{{ words.example.lineBelow }}</el-button>
      </div>
      <div v-if="isLast" class="field">
        <math-input v-model="below" :label="label(words.example.newLine)" @enter="insert" />
        <span class="buttons"><el-button :disabled="!below.trim()" @click="insert">{{ words.example.check }}</el-button></span>
      </div>
    </div>
  </li>
</template>

<style scoped>
.line {
  border-block-end: 1px solid var(--line);
}
.face {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr) 8em;
  gap: 4px 18px;
  align-items: center;
  inline-size: 100%;
  min-block-size: 46px;
  padding: 7px 10px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: start;
  cursor: pointer;
}
.face:hover,
.open > .face {
  background: var(--sunk);
}
.math {
  font-size: 1.1rem;
  overflow-x: auto;
}
.own .math {
  padding-inline-start: 10px;
  border-inline-start: 3px solid var(--honey);
}
.reason {
  font-size: 0.92rem;
}
.folded .math {
  opacity: 0.55;
  font-size: 0.95rem;
}
.says {
  padding: 0 10px 8px;
  font-size: 0.94rem;
}
.wrong .says {
  color: var(--verdict-breaks);
}
.edit {
  display: grid;
  gap: 14px;
  padding: 12px 14px 16px;
  background: var(--sunk);
}
.field {
  display: grid;
  gap: 5px;
  font-size: 0.9rem;
  font-weight: 600;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.buttons .el-button {
  margin: 0;
}
@media (max-width: 640px) {
  .face {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .reason {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
