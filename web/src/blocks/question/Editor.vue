<script setup lang="ts">
/** A question and how it is answered. */
import { ElButton, ElCheckbox, ElInput, ElOption, ElSelect } from 'element-plus'
import type { Asks } from '@/api/client'
import { LONG } from '@/blocks/sizes'
import type { OfKind } from '../kinds'
import { emptyAsks } from './asks'
import { words } from './words'

const block = defineModel<OfKind<'question'>>({ required: true })
const ways: { by: Asks['by']; name: string }[] = [
  { by: 'open', name: words.open },
  { by: 'choice', name: words.choice },
  { by: 'true_or_false', name: words.trueFalse },
]
function answerBy(by: Asks['by']): void {
  block.value.asks = emptyAsks(by)
}
</script>

<template>
  <label>
    <span>{{ words.question }}</span>
    <el-input v-model="block.prompt" type="textarea" :autosize="LONG" maxlength="4000" />
  </label>
  <label>
    <span>{{ words.answered }}</span>
    <el-select :model-value="block.asks.by" :aria-label="words.answered" @update:model-value="answerBy">
      <el-option v-for="way in ways" :key="way.by" :value="way.by" :label="way.name" />
    </el-select>
  </label>
  <label v-if="block.asks.by === 'open'">
    <span>{{ words.answer }}</span>
    <el-input v-model="block.asks.answer" type="textarea" :autosize="LONG" maxlength="4000" />
  </label>
  <template v-else-if="block.asks.by === 'choice'">
    <div v-for="(choice, at) in block.asks.choices" :key="at" class="block-row">
      <el-input v-model="choice.text" maxlength="400" :aria-label="words.choiceText(at + 1)" />
      <el-checkbox v-model="choice.right" :label="words.right" />
      <el-button text size="small" :aria-label="`${words.remove}: ${words.choiceText(at + 1)}`" @click="block.asks.choices.splice(at, 1)">×</el-button>
    </div>
    <el-button v-if="block.asks.choices.length < 8" text size="small" @click="block.asks.choices.push({ text: '', right: false })">+ {{ words.more }}</el-button>
  </template>
  <template v-else>
    <el-checkbox v-model="block.asks.is_true" :label="words.isTrue" />
    <label>
      <span>{{ words.why }}</span>
      <el-input v-model="block.asks.why" type="textarea" :autosize="LONG" maxlength="4000" />
    </label>
  </template>
</template>
