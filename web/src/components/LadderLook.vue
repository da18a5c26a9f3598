<script setup lang="ts">
/** Second Look at a ladder. */
import { onMounted, ref } from 'vue'
import { api, reply, type Spotted } from '@/api/client'
import FailureNote from './FailureNote.vue'
import FindingList from './FindingList.vue'
import { words } from '@/words'
import { lookWords } from '@/words/look'
import { useCall } from '@/composables/useCall'

const props = defineProps<{ ladder: number }>()
const found = ref<Spotted[]>()
const { failure, call } = useCall()
const look = (): Promise<boolean> =>
  call(reply(api.GET('/api/ladders/{id}/second-look', { params: { path: { id: props.ladder } } })), (spotted) => (found.value = spotted))
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
