<script setup lang="ts">
/** The ladders of every lesson, by strand. */
import { useDebounceFn } from '@vueuse/core'
import { computed, onMounted, watch } from 'vue'
import { api, reply, type LadderOnShelf, type Strand } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { words } from '@/words'
import { useList } from '@/composables/useList'

const props = defineProps<{ sought: string; strand?: Strand }>()
const { entries: ladders, failure, load } = useList<LadderOnShelf>((after) => reply(api.GET('/api/ladders', { params: { query: { words: props.sought, after } } })))
const found = computed(() => (ladders.value ?? []).filter((one) => !props.strand || one.strand === props.strand))
/** Typing rests this long before it is looked for, in milliseconds. */
const REST_MS = 200
onMounted(() => load())
watch(() => props.sought, useDebounceFn(() => load(), REST_MS))
</script>

<template>
  <failure-note v-if="failure" :failure="failure" retry @again="load()" />
  <p v-else-if="ladders && !ladders.length && !sought" class="soft">{{ words.shelf.noLadders }}</p>
  <p v-else-if="ladders && !found.length" class="soft">{{ words.shelf.notFound }}</p>
  <ul class="ladders">
    <li v-for="one in found" :key="one.id">
      <router-link class="ladder" :to="{ name: 'ladder', params: { id: one.id } }">
        <span class="title">{{ one.title }}</span>
        <span class="soft">{{ words.shelf.rungs(one.rungs) }} · {{ one.skills.join(', ') }}</span>
      </router-link>
    </li>
  </ul>
</template>

<style scoped>
.ladders {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 280px), 1fr));
  gap: 14px;
  margin: 24px 0 0;
  padding: 0;
  list-style: none;
}
/* Two rails, as everywhere a ladder stands. */
.ladder {
  display: grid;
  gap: 5px;
  block-size: 100%;
  padding: 14px 20px;
  border: 1px solid var(--line);
  border-inline: 5px solid var(--honey);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  text-decoration: none;
}
.ladder:hover {
  box-shadow: var(--shadow);
}
.title {
  font-size: 1.1rem;
  font-weight: 700;
  line-height: 1.25;
}
</style>
