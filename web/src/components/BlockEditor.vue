<script setup lang="ts">
/** One block of a slide, to be written on. */
import { ElButton, ElCheckbox, ElInput, ElOption, ElSelect } from 'element-plus'
import type { Asks, Block } from '@/api/client'
import ImageEditor from './ImageEditor.vue'
import ListEditor from './ListEditor.vue'
import VerdictMark from './VerdictMark.vue'
import WorkingLines from './WorkingLines.vue'
import MathText from './MathText.vue'
import { words } from '@/words'
import { blockWords } from '@/words/plan'

const block = defineModel<Block>({ required: true })
defineProps<{ lesson: number }>()
const emit = defineEmits<{ bench: []; draw: [] }>()

const ways: { by: Asks['by']; name: string }[] = [
  { by: 'open', name: blockWords.open },
  { by: 'choice', name: blockWords.choice },
  { by: 'true_or_false', name: blockWords.trueFalse },
]
function answerBy(by: Asks['by']): void {
  if (block.value.kind !== 'question') return
  const empty = { text: '', right: false }
  const asks: Record<Asks['by'], Asks> = {
    open: { by: 'open', answer: '' },
    choice: { by: 'choice', choices: [{ ...empty, right: true }, empty, empty] },
    true_or_false: { by: 'true_or_false', is_true: true, why: '' },
  }
  block.value.asks = asks[by]
}

function resize(rows: number, columns: number): void {
  if (block.value.kind !== 'table') return
  const line = (cells: string[]): string[] => Array.from({ length: columns }, (_, at) => cells[at] ?? '')
  block.value.heads = line(block.value.heads)
  block.value.rows = Array.from({ length: rows }, (_, at) => line(block.value.kind === 'table' ? (block.value.rows[at] ?? []) : []))
}
const size = { minRows: 1, maxRows: 8 }
</script>

<template>
  <label v-if="block.kind === 'text'">
    <span>{{ words.lesson.text }}</span>
    <el-input v-model="block.text" type="textarea" :autosize="size" maxlength="4000" />
  </label>
  <template v-else-if="block.kind === 'worked_example'">
    <working-lines :lines="block.example.working.filter((line) => !line.folded)">
      <template #mark="{ line }"><verdict-mark :word="line.verdict" bare /></template>
    </working-lines>
    <el-button size="small" @click="emit('bench')">{{ words.example.open }}</el-button>
  </template>
  <template v-else-if="block.kind === 'practice'">
    <p class="told"><math-text :text="block.rung.prompt" /></p>
    <p class="soft">{{ blockWords.answer }}: {{ block.rung.answer.text }}</p>
    <el-button v-if="block.source.source.kind === 'drawn'" size="small" @click="emit('draw')">{{ blockWords.another }}</el-button>
  </template>
  <template v-else-if="block.kind === 'question'">
    <label>
      <span>{{ blockWords.question }}</span>
      <el-input v-model="block.prompt" type="textarea" :autosize="size" maxlength="4000" />
    </label>
    <label>
      <span>{{ blockWords.answered }}</span>
      <el-select :model-value="block.asks.by" :aria-label="blockWords.answered" @update:model-value="answerBy">
        <el-option v-for="way in ways" :key="way.by" :value="way.by" :label="way.name" />
      </el-select>
    </label>
    <label v-if="block.asks.by === 'open'">
      <span>{{ blockWords.answer }}</span>
      <el-input v-model="block.asks.answer" type="textarea" :autosize="size" maxlength="4000" />
    </label>
    <template v-else-if="block.asks.by === 'choice'">
      <div v-for="(choice, at) in block.asks.choices" :key="at" class="row">
        <el-input v-model="choice.text" maxlength="400" :aria-label="blockWords.choiceText(at + 1)" />
        <el-checkbox v-model="choice.right" :label="blockWords.right" />
        <el-button text size="small" :aria-label="`${blockWords.remove}: ${blockWords.choiceText(at + 1)}`" @click="block.asks.choices.splice(at, 1)">×</el-button>
      </div>
      <el-button v-if="block.asks.choices.length < 8" text size="small" @click="block.asks.choices.push({ text: '', right: false })">+ {{ blockWords.more }}</el-button>
    </template>
    <template v-else>
      <el-checkbox v-model="block.asks.is_true" :label="blockWords.isTrue" />
      <label>
        <span>{{ blockWords.why }}</span>
        <el-input v-model="block.asks.why" type="textarea" :autosize="size" maxlength="4000" />
      </label>
    </template>
  </template>
  <template v-else-if="block.kind === 'talk'">
    <label>
      <span>{{ blockWords.prompt }}</span>
      <el-input v-model="block.prompt" type="textarea" :autosize="size" maxlength="4000" />
    </label>
    <list-editor v-model="block.starters" :label="blockWords.starters" :most="8" :name="blockWords.starter" />
  </template>
  <template v-else-if="block.kind === 'word'">
    <label><span>{{ blockWords.word }}</span><el-input v-model="block.word" maxlength="120" /></label>
    <label>
      <span>{{ blockWords.means }}</span>
      <el-input v-model="block.means" type="textarea" :autosize="size" maxlength="4000" />
    </label>
  </template>
  <template v-else-if="block.kind === 'examples'">
    <label><span>{{ blockWords.of }}</span><el-input v-model="block.of" maxlength="120" /></label>
    <list-editor v-model="block.fits" :label="blockWords.fits" :most="8" :name="blockWords.one" />
    <list-editor v-model="block.fits_not" :label="blockWords.fitsNot" :most="8" :name="blockWords.none" />
  </template>
  <template v-else-if="block.kind === 'table'">
    <div class="table" :style="{ '--columns': block.heads.length }">
      <el-input v-for="(_, column) in block.heads" :key="`h${column}`" v-model="block.heads[column]" maxlength="400" class="head" :aria-label="blockWords.head(column + 1)" />
      <template v-for="(row, at) in block.rows" :key="at">
        <el-input v-for="(_, column) in row" :key="column" v-model="row[column]" maxlength="400" :aria-label="blockWords.cell(at + 1, column + 1)" />
      </template>
    </div>
    <div class="row">
      <el-button text size="small" :disabled="block.rows.length >= 20" @click="resize(block.rows.length + 1, block.heads.length)">{{ blockWords.moreRows }}</el-button>
      <el-button text size="small" :disabled="block.rows.length < 2" @click="resize(block.rows.length - 1, block.heads.length)">{{ blockWords.fewerRows }}</el-button>
      <el-button text size="small" :disabled="block.heads.length >= 20" @click="resize(block.rows.length, block.heads.length + 1)">{{ blockWords.moreColumns }}</el-button>
      <el-button text size="small" :disabled="block.heads.length < 2" @click="resize(block.rows.length, block.heads.length - 1)">{{ blockWords.fewerColumns }}</el-button>
    </div>
  </template>
  <template v-else-if="block.kind === 'link'">
    <label><span>{{ blockWords.url }}</span><el-input v-model="block.url" maxlength="2000" :placeholder="blockWords.urlHint" /></label>
    <label><span>{{ blockWords.linkText }}</span><el-input v-model="block.text" maxlength="400" /></label>
  </template>
  <label v-else-if="block.kind === 'picture'"><span>{{ blockWords.caption }}</span><el-input v-model="block.caption" maxlength="4000" /></label>
  <image-editor v-else-if="block.kind === 'image'" v-model="block" />
  <router-link v-else :to="{ name: 'ladder', params: { id: block.ladder } }">{{ blockWords.toLadder }}: {{ block.title }}</router-link>
</template>

<style scoped>
label:not(.el-checkbox) {
  display: grid;
  gap: 3px;
  inline-size: 100%;
  font-size: 0.9rem;
  font-weight: 600;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  inline-size: 100%;
}
.row > .el-input {
  flex: 1;
}
.row .el-button {
  margin: 0;
}
.told {
  white-space: pre-line;
}
.table {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(3.2rem, 1fr));
  gap: 4px;
  inline-size: 100%;
  overflow-x: auto;
}
.head :deep(input) {
  font-weight: 700;
}
</style>
