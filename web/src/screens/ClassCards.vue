<script setup lang="ts">
/** The cards of a class, to be printed and cut: the page, the name, the code. */
import { ElButton } from 'element-plus'
import { computed, onMounted, ref } from 'vue'
import { api, reply, type ClassView } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import { useCall } from '@/composables/useCall'
import { classWords } from '@/words/class'

const props = defineProps<{ id: number }>()
const view = ref<ClassView>()
const { failure, call } = useCall()
const page = computed(() => (view.value ? `${location.host}${view.value.page}` : ''))
onMounted(() => call(reply(api.GET('/api/classes/{id}', { params: { path: { id: props.id } } })), (found) => (view.value = found)))
const print = (): void => window.print()
</script>

<template>
  <main class="page sheet">
    <div class="screen">
      <router-link :to="{ name: 'class', params: { id } }">{{ view?.title }}</router-link>
      <p class="soft">{{ classWords.cardsLead }}</p>
      <el-button type="primary" size="large" @click="print">{{ classWords.print }}</el-button>
    </div>
    <failure-note v-if="failure" :failure="failure" />
    <ul v-if="view" class="cards">
      <li v-for="one in view.students.filter((s) => !s.hidden)" :key="one.id">
        <span class="name">{{ one.name }}</span>
        <span class="code">{{ one.code }}</span>
        <img class="qr" :src="`/api/classes/${id}/students/${one.id}/card.svg`" :alt="classWords.scan(one.name)" loading="lazy" />
        <span class="where">{{ page }}</span>
      </li>
    </ul>
  </main>
</template>

<style scoped>
.screen {
  display: grid;
  justify-items: start;
  gap: 10px;
  margin-block-end: 18px;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 12px;
  padding: 16px;
  border: 1px dashed var(--ink-soft);
  break-inside: avoid;
}
.name {
  font-weight: 700;
}
.code {
  font-size: 1.7rem;
  font-weight: 700;
  letter-spacing: 0.14em;
}
.qr {
  grid-row: 1 / span 2;
  grid-column: 2;
  inline-size: 88px;
  block-size: 88px;
}
.where {
  grid-column: 1 / -1;
  overflow-wrap: anywhere;
  font-size: 0.85rem;
}
@media print {
  .screen {
    display: none;
  }
  .cards {
    grid-template-columns: repeat(3, 1fr);
  }
}
</style>
