<script setup lang="ts">
/** The live lessons of a class or of a lesson: each can be walked through again. */
import { onMounted, ref } from 'vue'
import { api, reply, type LiveEntry } from '@/api/client'
import { useCall } from '@/composables/useCall'
import { dayOf } from '@/words/account'
import { liveWords, windowWords } from '@/words/live'

const props = defineProps<{ lesson?: number; ofClass?: number }>()
const all = ref<LiveEntry[]>([])
const { call } = useCall()
onMounted(() => call(reply(api.GET('/api/live', { params: { query: { lesson: props.lesson, class: props.ofClass } } })), (found) => (all.value = found)))
</script>

<template>
  <section v-if="all.length" class="past">
    <h2>{{ windowWords.past }}</h2>
    <ul>
      <li v-for="one in all" :key="one.id">
        <router-link v-if="one.ended" :to="{ name: 'walk', params: { id: one.id } }">{{ one.title }}, {{ dayOf(one.began / 1000) }}</router-link>
        <router-link v-else :to="{ name: 'live', params: { id: one.id } }">{{ one.title }}, {{ dayOf(one.began / 1000) }} · {{ liveWords.goesOn }}</router-link>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.past {
  display: grid;
  gap: 8px;
}
ul {
  margin: 0;
  padding-inline-start: 1.2em;
}
</style>
