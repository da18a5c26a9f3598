<script setup lang="ts">
/** Second Look at a ladder. */
import { onMounted, ref } from 'vue'
import { api, reply, type Failure, type Spotted } from '@/api/client'
import FailureNote from './FailureNote.vue'
import FindingList from './FindingList.vue'
import { words } from '@/words'
import { lookWords } from '@/words/look'

const props = defineProps<{ ladder: number }>()
const found = ref<Spotted[]>()
const failure = ref<Failure>()
async function look(): Promise<void> {
  const answer = await reply(api.GET('/api/ladders/{id}/second-look', { params: { path: { id: props.ladder } } }))
  failure.value = answer.ok ? undefined : answer.failure
  if (answer.ok) found.value = answer.value
}
onMounted(look)
</script>

<template>
  <failure-note v-if="failure" :failure="failure" retry @again="look" />
  <div v-else-if="found" class="look"><finding-list :findings="found" :place-of="(one) => lookWords.rung((one.place.block ?? 0) + 1)" /></div>
  <p v-else class="soft">{{ words.loading }}</p>
</template>

<style scoped>
.look {
  display: grid;
  gap: 14px;
  max-inline-size: 760px;
}
</style>
