<script setup lang="ts">
/** A number, a ratio, a numeral or a bearing, with the units that are offered. */
import { computed, useId } from 'vue'
import type { AnswerKind, DeskLine, GivenAnswer } from '@/api/client'
import MathInput from '@/components/MathInput.vue'
import { answerWords } from '@/words/answer'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ place: AnswerKind; given?: GivenAnswer }>()
const emit = defineEmits<{ give: [given: GivenAnswer, done: boolean] }>()
const name = useId()

const given = computed(() => (props.given?.kind === 'number' ? props.given : undefined))
const units = computed(() => (props.place.kind === 'quantity' ? props.place.units : []))
/** One unit alone is no choice: it stands behind the field. */
const unit = computed(() => given.value?.unit || (units.value.length === 1 ? units.value[0]! : ''))
const rounded = computed(() => (props.place.kind === 'quantity' || props.place.kind === 'number' ? props.place.rounded : undefined))
const behind = computed(() => (props.place.kind === 'numeral' ? answerWords.base(props.place.base) : units.value.length === 1 ? units.value[0] : ''))

function give(number: DeskLine, chosen: string, done: boolean): void {
  emit('give', { kind: 'number', number, unit: chosen }, done)
}
const typed = (text: string): void => give({ text, latex: true }, unit.value, false)
const number = computed<DeskLine>(() => given.value?.number ?? { text: '', latex: true })
</script>

<template>
  <div class="number">
    <math-input class="field" :label="answerWords.number" :model-value="number.text" @update:model-value="typed" @enter="give(number, unit, true)" />
    <span v-if="behind" class="behind">{{ behind }}</span>
    <fieldset v-else-if="units.length" class="units">
      <legend class="only-heard">{{ answerWords.unit }}</legend>
      <label v-for="one in units" :key="one" class="tile">
        <input type="radio" :name="name" :value="one" :checked="given?.unit === one" @change="give(number, one, true)" />
        <span>{{ one }}</span>
      </label>
    </fieldset>
  </div>
  <p v-if="rounded" class="soft">{{ answerWords.rounded(rounded) }}</p>
</template>

<style scoped>
.number {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
.field {
  flex: 1 1 160px;
  min-inline-size: 0;
  max-inline-size: 320px;
}
.behind {
  font-size: 1.1rem;
  font-weight: 650;
}
.units {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 0;
  border: 0;
  padding: 0;
}
</style>
