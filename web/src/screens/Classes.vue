<script setup lang="ts">
/** A teacher's classes. */
import { ElButton, ElInput, ElOption, ElSelect } from 'element-plus'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type ClassEntry } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import { useCall } from '@/composables/useCall'
import { GRADES, gradeName } from '@/words'
import { classWords } from '@/words/class'

const router = useRouter()
const classes = ref<ClassEntry[]>()
const { failure, call } = useCall()
const { failure: notMade, call: make } = useCall()
const title = ref('')
const grade = ref(7)

const load = (): Promise<boolean> => call(reply(api.GET('/api/classes')), (all) => (classes.value = all))
onMounted(load)

async function add(): Promise<void> {
  await make(reply(api.POST('/api/classes', { body: { title: title.value, grade: grade.value } })), ({ id }) => void router.push({ name: 'class', params: { id } }))
}
</script>

<template>
  <main class="page classes">
    <h1>{{ classWords.title }}</h1>
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <p v-if="classes && !classes.length" class="soft">{{ classWords.none }}</p>
    <ul v-if="classes?.length" class="cards">
      <li v-for="one in classes" :key="one.id">
        <router-link class="card" :to="{ name: 'class', params: { id: one.id } }">
          <span class="name">{{ one.title }}</span>
          <span class="soft">{{ gradeName(one.grade) }} · {{ classWords.count(one.students) }}<template v-if="one.is_open"> · {{ classWords.byLink }}</template></span>
        </router-link>
      </li>
    </ul>
    <form class="make" @submit.prevent="add">
      <h2>{{ classWords.make }}</h2>
      <label>
        <span>{{ classWords.name }}</span>
        <el-input v-model="title" size="large" maxlength="80" />
      </label>
      <label>
        <span>{{ classWords.grade }}</span>
        <el-select v-model="grade" size="large" :aria-label="classWords.grade">
          <el-option v-for="one in GRADES" :key="one" :label="gradeName(one)" :value="one" />
        </el-select>
      </label>
      <failure-note v-if="notMade" :failure="notMade" />
      <div><el-button type="primary" size="large" native-type="submit">{{ classWords.make }}</el-button></div>
    </form>
  </main>
</template>

<style scoped>
.classes {
  display: grid;
  gap: 22px;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 260px), 1fr));
  gap: 14px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.card {
  display: grid;
  gap: 4px;
  padding: 16px 20px;
  border: 1px solid var(--line);
  border-block-start: 5px solid var(--honey);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  text-decoration: none;
}
.card:hover {
  box-shadow: var(--shadow);
}
.name {
  font-size: 1.15rem;
  font-weight: 700;
}
.make {
  display: grid;
  gap: 12px;
  max-inline-size: 420px;
  padding-block-start: 18px;
  border-block-start: var(--rail) solid var(--honey);
}
label {
  display: grid;
  gap: 4px;
}
</style>
