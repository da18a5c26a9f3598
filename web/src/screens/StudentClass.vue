<script setup lang="ts">
/** A student's own page: a code, and what is open, in progress, handed in, given back. */
import { ElButton, ElInput } from 'element-plus'
import { computed, onMounted, ref } from 'vue'
import { api, reply, type StudentPage } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import HoneyMark from '@/components/HoneyMark.vue'
import { useCall } from '@/composables/useCall'
import { dayOf } from '@/words/account'
import { words } from '@/words'
import { pageWords } from '@/words/class'

const props = defineProps<{ link: string }>()
const page = ref<StudentPage>()
const code = ref('')
const name = ref('')
/** Whether somebody of an open class comes back with their code. */
const comesBack = ref(false)
const byName = computed(() => page.value?.is_open && !comesBack.value)
const { failure, call } = useCall()
const { failure: notIn, call: enterCall } = useCall()
const params = { path: { link: props.link } }

const load = (): Promise<boolean> => call(reply(api.GET('/api/class/{link}', { params })), (found) => (page.value = found))
/** A card that was scanned brings its code along, behind the sign that no server sees. */
onMounted(async () => {
  const scanned = location.hash.slice(1)
  if (!scanned) return load()
  history.replaceState(history.state, '', location.pathname)
  code.value = scanned
  comesBack.value = true
  return (await load()) && enter()
})
async function enter(): Promise<boolean> {
  const body = byName.value ? { name: name.value } : { code: code.value }
  const done = await enterCall(reply(api.POST('/api/class/{link}/enter', { params, body })), (found) => (page.value = found))
  if (notIn.value?.kind === 'taken') comesBack.value = true
  return done
}
async function leave(): Promise<void> {
  if (await call(reply<unknown>(api.POST('/api/class/{link}/leave', { params })))) await load()
  code.value = ''
  name.value = ''
}
</script>

<template>
  <main class="own">
    <header>
      <span class="brand"><honey-mark /><span>{{ page?.title }}</span></span>
      <button v-if="page?.student" type="button" class="as-link" @click="leave">{{ pageWords.notMe(page.student) }}</button>
    </header>
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <form v-else-if="page && !page.student" class="enter" @submit.prevent="enter">
      <label v-if="byName">
        <span class="ask">{{ words.desk.join }}</span>
        <el-input v-model="name" size="large" maxlength="40" autofocus autocomplete="given-name" name="name" />
      </label>
      <label v-else>
        <span class="ask">{{ pageWords.code }}</span>
        <span class="soft">{{ page.is_open ? pageWords.codeGiven : pageWords.codeLead }}</span>
        <el-input v-model="code" size="large" maxlength="8" autofocus autocapitalize="none" autocomplete="off" spellcheck="false" />
      </label>
      <failure-note v-if="notIn" :failure="notIn" />
      <el-button type="primary" size="large" native-type="submit">{{ pageWords.go }}</el-button>
      <button v-if="byName" type="button" class="as-link" @click="comesBack = true">{{ words.desk.beenHere }}</button>
    </form>
    <template v-else-if="page?.student">
      <h1>{{ pageWords.hello(page.student) }}</h1>
      <p v-if="page.code" class="soft">{{ pageWords.yourCode }} <strong class="code">{{ page.code }}</strong>. {{ pageWords.codeHelp }}</p>
      <p v-if="!page.assignments.length" class="soft">{{ pageWords.nothing }}</p>
      <ul>
        <li v-for="one in page.assignments" :key="one.desk">
          <router-link :to="one.desk" class="task" :class="one.state">
            <span class="title">{{ one.title }}</span>
            <span class="state">{{ pageWords.states[one.state] }}</span>
            <span class="soft">
              <template v-if="one.due">{{ pageWords.due(dayOf(one.due)) }}</template>
              <template v-if="one.due && one.finished !== undefined"> · </template>
              <template v-if="one.finished !== undefined">{{ pageWords.finished(one.finished ?? 0, one.rungs) }}</template>
              <template v-if="one.nth"> · {{ pageWords.nth(one.nth, 0) }}</template>
            </span>
          </router-link>
        </li>
      </ul>
    </template>
  </main>
</template>

<style scoped>
.own {
  display: grid;
  gap: 18px;
  max-inline-size: 640px;
  margin-inline: auto;
  padding: 12px clamp(12px, 4vw, 28px) 60px;
}
header,
.brand :deep(svg) {
  flex: none;
}
.brand {
  display: flex;
  align-items: center;
  gap: 10px;
}
header {
  justify-content: space-between;
}
.brand {
  font-weight: 700;
}
.enter {
  display: grid;
  gap: 16px;
  margin-block-start: 8vh;
}
.enter label {
  display: grid;
  gap: 6px;
}
.ask {
  font-size: 1.5rem;
  font-weight: 700;
}
ul {
  display: grid;
  gap: 12px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.task {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 14px;
  padding: 14px 18px;
  border: 1px solid var(--line);
  border-inline-start: 6px solid var(--honey);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  text-decoration: none;
}
.task.handed_in {
  border-inline-start-color: var(--line);
}
.task.given_back {
  border-inline-start-color: var(--verdict-holds);
}
.title {
  font-size: 1.1rem;
  font-weight: 700;
}
.state {
  font-weight: 650;
}
.task .soft {
  grid-column: 1 / -1;
}
</style>
