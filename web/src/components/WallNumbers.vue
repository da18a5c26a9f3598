<script setup lang="ts">
/** Other numbers in a worked example while the class looks on: the working follows. The lesson itself stays as it is. */
import { computed, ref, watch } from 'vue'
import { api, reply, type Beginning, type Drawing, type Example } from '@/api/client'
import { words } from '@/words'
import { wallWords } from '@/words/wall'

const props = defineProps<{ example: Example }>()
const emit = defineEmits<{ changed: [example: Example, pictures: Drawing[]]; close: [] }>()
const busy = ref(false)
const refused = ref('')

/** What is worked, in plain typing: the first line, which holds the numbers. */
const problem = computed(() => props.example.working[0]?.math ?? props.example.problem)
/** What a story asks cannot be taken from its first line alone: it is drawn again. */
const isStory = computed(() => Boolean(props.example.prompt) || problem.value.includes('$'))
const pieces = computed(() => problem.value.split(/(\d+(?:\.\d+)?)/))
const numbers = ref<string[]>([])
watch(pieces, (now) => (numbers.value = now.filter((_, at) => at % 2 === 1)), { immediate: true })

async function work(): Promise<void> {
  const text = pieces.value.map((piece, at) => (at % 2 === 1 ? numbers.value[(at - 1) / 2] : piece)).join('')
  if (text !== problem.value) await take({ kind: 'typed', problem: { text, latex: false }, method: props.example.method })
}
async function again(): Promise<void> {
  const drawn = props.example.drawn
  if (drawn) await take({ kind: 'drawn', skill: props.example.skill, stage: drawn.stage, seed: Math.floor(Math.random() * 1_000_000), method: props.example.method })
}
async function take(body: Beginning): Promise<void> {
  busy.value = true
  const answer = await reply(api.POST('/api/examples', { body }))
  busy.value = false
  refused.value = answer.ok ? '' : answer.failure.says
  if (answer.ok) emit('changed', answer.value.example, answer.value.pictures)
}
</script>

<template>
  <form class="numbers" :aria-label="wallWords.numbers" @submit.prevent="work" @keydown.esc.stop.prevent="emit('close')">
    <p v-if="!isStory" class="problem">
      <template v-for="(piece, at) in pieces" :key="at">
        <input v-if="at % 2 === 1" v-model="numbers[(at - 1) / 2]" inputmode="decimal" maxlength="9" :size="Math.max(2, numbers[(at - 1) / 2]?.length ?? 2)" :aria-label="wallWords.number((at + 1) / 2)" />
        <template v-else>{{ piece }}</template>
      </template>
    </p>
    <p v-if="refused" role="alert" class="refused">{{ refused }}</p>
    <p class="deeds">
      <button v-if="!isStory" type="submit" class="on" :disabled="busy">{{ wallWords.workAgain }}</button>
      <button v-if="example.drawn" type="button" :disabled="busy" @click="again">{{ wallWords.drawAgain }}</button>
      <button type="button" @click="emit('close')">{{ words.close }}</button>
    </p>
  </form>
</template>

<style scoped src="@/styles/wall-buttons.css"></style>
<style scoped>
.numbers {
  display: grid;
  gap: 10px;
  padding: 14px 18px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shadow);
}
.problem {
  font-size: 1.5rem;
  white-space: pre-wrap;
}
input {
  min-inline-size: 2.4em;
  padding: 2px 6px;
  border: 1.5px solid var(--el-border-color);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  text-align: center;
}
.deeds {
  display: flex;
  gap: 8px;
}
.refused {
  color: var(--verdict-breaks);
}
button {
  min-block-size: 34px;
  padding-inline: 12px;
}
</style>
