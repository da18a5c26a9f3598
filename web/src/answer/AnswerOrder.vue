<script setup lang="ts">
/** Things that are put in an order: each is tapped in its turn, and taken back by another tap. */
import { computed } from 'vue'
import type { AnswerKind, GivenAnswer } from '@/api/client'
import { answerWords } from '@/words/answer'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ place: AnswerKind; given?: GivenAnswer }>()
const emit = defineEmits<{ give: [given: GivenAnswer, done: boolean] }>()

const all = computed(() => (props.place.kind === 'order' ? props.place.items : []))
const sign = computed(() => (props.place.kind === 'order' ? props.place.sign : ''))
const put = computed(() => (props.given?.kind === 'order' ? props.given.items : []))
const left = computed(() => all.value.filter((item) => !put.value.includes(item)))

const give = (items: string[]): void => emit('give', { kind: 'order', items }, true)
</script>

<template>
  <ol class="row put" :aria-label="answerWords.inOrder">
    <li v-for="(item, at) in put" :key="item">
      <span v-if="at > 0" class="sign">{{ sign }}</span>
      <button type="button" class="tile chip" :aria-label="answerWords.takeBack(item)" @click="give(put.filter((one) => one !== item))">{{ item }}</button>
    </li>
    <li v-if="!put.length" class="soft">{{ answerWords.tapInOrder }}</li>
  </ol>
  <div class="row">
    <button v-for="item in left" :key="item" type="button" class="tile chip" @click="give([...put, item])">{{ item }}</button>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.put {
  min-block-size: 46px;
}
.put li {
  display: flex;
  align-items: center;
  gap: 8px;
}
.sign {
  font-weight: 700;
}
.chip {
  font: inherit;
  font-weight: 650;
  cursor: pointer;
}
</style>
