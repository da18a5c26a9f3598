<script setup lang="ts">
/** Asks the class: something of the slide, a problem or a question that comes up, a poll, a look back, a drawing. */
import { ElButton, ElInput, ElOption, ElSelect } from 'element-plus'
import { ref } from 'vue'
import type { LiveView, ToAsk } from '@/api/client'
import MathText from '@/components/MathText.vue'
import type { Tells } from './useLive'
import { windowWords } from '@/words/live'

const props = defineProps<{ offers: LiveView['offers']; slide: number; question?: LiveView['question'] }>()
const emit = defineEmits<{ ask: [wanted: ToAsk, tells: Tells, tries: number] }>()
const typed = ref('')
const tells = ref<Tells>('at_once')
const tries = ref(0)

const ask = (wanted: ToAsk): void => emit('ask', wanted, tells.value, tries.value)
function askTyped(): void {
  if (typed.value.trim()) ask({ from: 'typed', text: typed.value })
  typed.value = ''
}
const trueFalse = (is_true: boolean): void => {
  if (typed.value.trim()) ask({ from: 'true_or_false', prompt: typed.value, is_true })
  typed.value = ''
}
const poll = (kind: string): void => ask({ from: 'choice', prompt: typed.value.trim() || windowWords.pollPrompt, choices: windowWords.pollChoices[kind]!, right: [] })
</script>

<template>
  <div class="ask">
    <div v-if="offers.length" class="offers">
      <span class="soft">{{ windowWords.fromSlide }}</span>
      <button v-for="(offer, nth) in offers" :key="nth" type="button" class="offer" @click="ask({ from: 'slide', slide, nth })">
        <math-text :text="offer.prompt" />
      </button>
    </div>
    <form class="typed" @submit.prevent="askTyped">
      <el-input v-model="typed" size="large" maxlength="600" :placeholder="windowWords.typed" :aria-label="windowWords.typed" />
      <el-button type="primary" size="large" native-type="submit" :disabled="!typed.trim()">{{ windowWords.ask }}</el-button>
    </form>
    <p class="soft help">{{ windowWords.typedHelp }}</p>
    <div class="row">
      <span class="soft">{{ windowWords.poll }}</span>
      <el-button v-for="(name, kind) in windowWords.pollKinds" :key="kind" size="small" @click="poll(String(kind))">{{ name }}</el-button>
    </div>
    <div class="row">
      <span class="soft">{{ windowWords.reflect }}</span>
      <el-button v-for="one in windowWords.reflections" :key="one" size="small" @click="$emit('ask', { from: 'typed', text: one }, 'never', 0)">{{ one }}</el-button>
    </div>
    <div class="row">
      <el-button size="small" @click="ask({ from: 'drawing', prompt: typed.trim() || windowWords.drawPrompt })">{{ windowWords.draw }}</el-button>
      <template v-if="typed.trim()">
        <span class="soft">{{ windowWords.trueFalse }}</span>
        <el-button size="small" @click="trueFalse(true)">{{ windowWords.isTrue }}</el-button>
        <el-button size="small" @click="trueFalse(false)">{{ windowWords.wrong }}</el-button>
      </template>
      <el-button v-if="props.question?.asked.by === 'rung'" size="small" @click="ask({ from: 'again', question: props.question.number, seed: Date.now() })">{{ windowWords.again }}</el-button>
    </div>
    <div class="row">
      <label>
        <span class="soft">{{ windowWords.tells }}</span>
        <el-select v-model="tells" :aria-label="windowWords.tells">
          <el-option v-for="(name, key) in windowWords.tellsNames" :key="key" :label="name" :value="key" />
        </el-select>
      </label>
      <label>
        <span class="soft">{{ windowWords.tries }}</span>
        <el-select v-model="tries" :aria-label="windowWords.tries">
          <el-option v-for="(name, n) in windowWords.triesNames" :key="n" :label="name" :value="Number(n)" />
        </el-select>
      </label>
    </div>
  </div>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 10px;
  padding: 14px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
.offers {
  display: grid;
  gap: 6px;
}
.offer {
  padding: 10px 14px;
  border: 1px solid var(--line);
  border-inline-start: 5px solid var(--honey);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  text-align: start;
  cursor: pointer;
}
.offer:hover {
  background: var(--honey-pale);
}
.typed {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
}
.help {
  margin: 0;
  font-size: 0.85rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
}
.row :deep(.el-button + .el-button) {
  margin-inline-start: 0;
}
.row :deep(.el-button) {
  max-inline-size: 100%;
  white-space: normal;
  block-size: auto;
  min-block-size: 26px;
}
.row label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.row :deep(.el-select) {
  inline-size: 190px;
}
</style>
