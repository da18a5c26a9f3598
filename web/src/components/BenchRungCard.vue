<script setup lang="ts">
/** A rung on the bench: the problem, its key when it is shown, and what can be done with it. */
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import type { BenchRung, Change } from '@/api/client'
import ProblemField from './ProblemField.vue'
import RungFace from './RungFace.vue'
import { words } from '@/words'

const props = defineProps<{ lying: BenchRung; keyShown: boolean; change: (asked: Change) => Promise<boolean> }>()
const editing = ref(false)
const busy = ref(false)
const numbers = ref<string[]>([])
const text = ref('')
const problem = ref('')
const key = computed(() => props.lying.key)
const label = (what: string): string => `${what}: ${words.ladder.rung(props.lying.number)}`

function refresh(): void {
  numbers.value = [...props.lying.numbers]
  text.value = props.lying.rung.prompt
}
watch(() => props.lying, refresh, { immediate: true })

async function make(asked: Change): Promise<void> {
  if (busy.value) return
  busy.value = true
  const made = await props.change(asked)
  busy.value = false
  // What was refused goes back to what stands.
  if (!made) refresh()
}

async function type(): Promise<void> {
  if (!problem.value.trim()) return
  await make({ kind: 'typed', key: key.value, problem: problem.value })
}

function setNumber(at: number): void {
  const to = numbers.value[at]?.trim() ?? ''
  if (to && to !== props.lying.numbers[at]) void make({ kind: 'number', key: key.value, at, to })
  else refresh()
}

function setWords(): void {
  if (text.value.trim() !== props.lying.rung.prompt) void make({ kind: 'wording', key: key.value, text: text.value })
}
</script>

<template>
  <rung-face :view="lying" :key-shown="keyShown" class="rung" :class="{ locked: lying.locked, editing }" :aria-busy="busy">
    <div class="tools" role="group" :aria-label="words.ladder.rung(lying.number)">
      <el-button size="small" :disabled="lying.typed" :aria-label="label(words.bench.reroll)" @click="make({ kind: 'reroll', key })">{{ words.bench.reroll }}</el-button>
      <el-button size="small" :disabled="lying.typed" :aria-label="label(words.bench.easier)" @click="make({ kind: 'easier', key })">{{ words.bench.easier }}</el-button>
      <el-button size="small" :disabled="lying.typed" :aria-label="label(words.bench.harder)" @click="make({ kind: 'harder', key })">{{ words.bench.harder }}</el-button>
      <el-button size="small" :aria-expanded="editing" :aria-label="label(words.bench.edit)" @click="editing = !editing">{{ words.bench.edit }}</el-button>
      <el-button size="small" :aria-label="label(words.bench.up)" @click="make({ kind: 'move', key, by: -1 })">↑</el-button>
      <el-button size="small" :aria-label="label(words.bench.down)" @click="make({ kind: 'move', key, by: 1 })">↓</el-button>
      <el-button size="small" :aria-pressed="lying.locked" :type="lying.locked ? 'primary' : undefined" :aria-label="label(words.bench.lock)" @click="make({ kind: 'lock', key, locked: !lying.locked })">
        {{ lying.locked ? words.bench.locked : words.bench.lock }}
      </el-button>
      <el-button size="small" :aria-label="label(words.bench.remove)" @click="make({ kind: 'remove', key })">{{ words.bench.remove }}</el-button>
    </div>
    <div v-if="editing" class="edit">
      <div v-if="numbers.length && !lying.typed && !lying.worded" class="field">
        <span>{{ words.bench.numbers }}</span>
        <div class="numbers">
          <el-input
            v-for="(_, at) in numbers"
            :key="at"
            v-model="numbers[at]"
            maxlength="12"
            inputmode="decimal"
            :aria-label="words.bench.number(at + 1)"
            @change="setNumber(at)"
          />
        </div>
      </div>
      <label class="field">
        <span>{{ words.bench.wording }}</span>
        <el-input v-model="text" type="textarea" autosize maxlength="600" @change="setWords" />
        <el-button v-if="lying.worded" size="small" class="back" @click="make({ kind: 'wording', key, text: null })">{{ words.bench.ownWords }}</el-button>
      </label>
      <form class="field" @submit.prevent="type">
        <span aria-hidden="true">{{ words.bench.typed }}</span>
        <problem-field v-model="problem" :label="words.bench.typed" :hint="words.bench.typedHint">
          <template #append><el-button native-type="submit">{{ words.bench.take }}</el-button></template>
        </problem-field>
      </form>
    </div>
  </rung-face>
</template>

<style scoped>
.rung {
  padding: 8px 10px;
  margin-inline: -10px;
  border-radius: var(--radius);
}
.rung:hover,
.rung:focus-within {
  background: var(--sunk);
}
.rung.locked {
  box-shadow: inset 4px 0 0 var(--honey);
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.tools .el-button {
  margin: 0;
  min-block-size: 28px;
}
@media (hover: hover) {
  .rung:not(:hover, :focus-within, .editing, .locked) .tools {
    /* Out of sight, and still there for the keyboard and for what reads the page. */
    block-size: 0;
    margin-block-start: -10px;
    overflow: hidden;
    opacity: 0;
  }
}
.edit {
  display: grid;
  gap: 14px;
  padding: 12px 14px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
.field {
  display: grid;
  gap: 4px;
  font-weight: 600;
}
.numbers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.numbers .el-input {
  inline-size: 84px;
}
.back {
  justify-self: start;
}
</style>
