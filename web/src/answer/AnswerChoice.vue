<script setup lang="ts">
/** One of several, or a judgement with its reason. */
import { ElInput } from 'element-plus'
import { computed, useId } from 'vue'
import type { AnswerKind, GivenAnswer } from '@/api/client'
import MathText from '@/components/MathText.vue'
import { answerWords } from '@/words/answer'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ place: AnswerKind; given?: GivenAnswer }>()
const emit = defineEmits<{ give: [given: GivenAnswer, done: boolean] }>()
const name = useId()

const judges = computed(() => props.place.kind === 'judgement')
const options = computed(() => {
  if (props.place.kind === 'choice') return props.place.options
  if (props.place.kind === 'judgement') return props.place.options.map((text) => ({ text, shown: answerWords.judged(text) }))
  return []
})
const chosen = computed(() => (props.given?.kind === 'choice' || props.given?.kind === 'judgement' ? props.given.choice : ''))
const because = computed(() => (props.given?.kind === 'judgement' ? (props.given.because ?? '') : ''))
const asksWhy = computed(() => props.place.kind === 'judgement' && props.place.because)

function give(choice: string, why: string, done: boolean): void {
  emit('give', judges.value ? { kind: 'judgement', choice, because: why } : { kind: 'choice', choice }, done)
}
</script>

<template>
  <fieldset class="options">
    <legend class="only-heard">{{ answerWords.choose }}</legend>
    <label v-for="option in options" :key="option.text" class="tile">
      <input type="radio" :name="name" :value="option.text" :checked="chosen === option.text" @change="give(option.text, because, true)" />
      <math-text :text="option.shown" />
    </label>
  </fieldset>
  <label v-if="asksWhy" class="why">
    <span>{{ answerWords.because }}</span>
    <el-input
      type="textarea"
      :autosize="{ minRows: 1, maxRows: 4 }"
      maxlength="400"
      size="large"
      :model-value="because"
      @update:model-value="(why: string) => give(chosen, why, false)"
    />
  </label>
</template>

<style scoped>
.options {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 0;
  border: 0;
  padding: 0;
}
.why {
  display: grid;
  gap: 4px;
}
</style>
