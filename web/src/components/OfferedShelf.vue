<script setup lang="ts">
/** What colleagues offer: the shelf of the department, or the lessons that are edited together. */
import { computed, onMounted, ref, watch } from 'vue'
import { api, everyPage, reply, type OfferedEntry } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { useCall } from '@/composables/useCall'
import { shareWords } from '@/words/share'
import { words } from '@/words'

const props = defineProps<{ place: 'shared' | 'department'; sought: string }>()
const all = ref<OfferedEntry[]>()
const { failure, call } = useCall()
async function load(): Promise<void> {
  const asked = props.place === 'shared' ? reply(api.GET('/api/shared-with-me')) : everyPage<OfferedEntry>((after) => reply(api.GET('/api/department', { params: { query: { after } } })))
  await call(asked, (found) => (all.value = found))
}
onMounted(load)
watch(() => props.place, load)
const found = computed(() => (all.value ?? []).filter((one) => `${one.title} ${one.from_whom}`.toLowerCase().includes(props.sought.trim().toLowerCase())))
</script>

<template>
  <failure-note v-if="failure" :failure="failure" retry @again="load" />
  <p v-else-if="all && !all.length" class="soft">{{ place === 'shared' ? shareWords.noShared : shareWords.noDepartment }}</p>
  <p v-else-if="all && !found.length" class="soft">{{ words.shelf.notFound }}</p>
  <ul class="offered">
    <li v-for="one in found" :key="one.page">
      <router-link class="one" :to="one.page">
        <strong>{{ one.title }}</strong>
        <span class="soft">{{ one.is_ladder ? shareWords.ladder : shareWords.grade(one.grade ?? 0) }} · {{ shareWords.from(one.from_whom) }}</span>
      </router-link>
    </li>
  </ul>
</template>

<style scoped>
.offered {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 300px), 1fr));
  gap: 14px;
  margin: 24px 0 0;
  padding: 0;
  list-style: none;
}
.one {
  display: grid;
  gap: 5px;
  block-size: 100%;
  padding: 14px 20px;
  border: 1px solid var(--line);
  border-block-start: 5px solid var(--honey);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  text-decoration: none;
}
.one:hover {
  box-shadow: var(--shadow);
}
</style>
