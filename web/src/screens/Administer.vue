<script setup lang="ts">
/** What an administrator sees and sets: who may make an account, invitations, messages, accounts, what happened. */
import { ElButton, ElOption, ElSelect } from 'element-plus'
import { onMounted, ref } from 'vue'
import { api, reply, type AuditEntry, type Message, type SignUp, type TeacherEntry } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import { useCall } from '@/composables/useCall'
import { accountWords, dayOf, momentOf } from '@/words/account'

const { failure, call } = useCall()
const rule = ref<SignUp>()
const link = ref('')
const messages = ref<Message[]>()
const teachers = ref<TeacherEntry[]>()
const log = ref<AuditEntry[]>([])
const next = ref<string>()

async function more(): Promise<void> {
  await call(reply(api.GET('/api/audit', { params: { query: { after: next.value } } })), (page) => {
    log.value = [...log.value, ...page.entries]
    next.value = page.next ?? undefined
  })
}
async function load(): Promise<void> {
  log.value = []
  next.value = undefined
  const got =
    (await call(reply(api.GET('/api/site')), (site) => (rule.value = site.sign_up))) &&
    (await call(reply(api.GET('/api/outbox')), (found) => (messages.value = found))) &&
    (await call(reply(api.GET('/api/teachers')), (found) => (teachers.value = found)))
  if (got) await more()
}
onMounted(load)

async function setRule(to: SignUp): Promise<void> {
  if (await call(reply<unknown>(api.PUT('/api/site/sign-up', { body: { sign_up: to } })))) rule.value = to
}
const invite = (): Promise<boolean> => call(reply(api.POST('/api/invitations')), (made) => (link.value = made.link))
async function promote(id: number): Promise<void> {
  if (await call(reply<unknown>(api.POST('/api/teachers/{id}/administrator', { params: { path: { id } } })))) await load()
}
</script>

<template>
  <main class="page administer">
    <h1>{{ accountWords.administer }}</h1>
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <section v-if="rule" class="part">
      <h2>{{ accountWords.whoMay }}</h2>
      <div class="row">
        <el-select :model-value="rule" size="large" :aria-label="accountWords.whoMay" @update:model-value="setRule">
          <el-option v-for="(says, name) in accountWords.rules" :key="name" :label="says" :value="name" />
        </el-select>
        <el-button size="large" @click="invite">{{ accountWords.invite }}</el-button>
      </div>
      <p v-if="link" class="link" role="status">{{ accountWords.invitation }} <code>{{ link }}</code></p>
    </section>
    <section class="part">
      <h2>{{ accountWords.outbox }}</h2>
      <p class="soft">{{ accountWords.outboxLead }}</p>
      <p v-if="messages && !messages.length" class="soft">{{ accountWords.noMessages }}</p>
      <details v-for="(one, at) in messages" :key="at" class="message">
        <summary>{{ one.to }} <span class="soft">{{ one.subject }}, {{ momentOf(one.at) }}</span></summary>
        <pre>{{ one.text }}</pre>
      </details>
    </section>
    <section class="part">
      <h2>{{ accountWords.accounts }}</h2>
      <ul class="rows">
        <li v-for="one in teachers" :key="one.id">
          <span>{{ one.name }}</span>
          <span class="soft">{{ one.sign_in }}</span>
          <span v-if="one.is_administrator" class="soft end">{{ accountWords.isAdministrator }}</span>
          <el-button v-else size="small" class="end" @click="promote(one.id)">{{ accountWords.promote }}</el-button>
        </li>
      </ul>
    </section>
    <section class="part">
      <h2>{{ accountWords.log }}</h2>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ accountWords.when }}</th>
              <th scope="col">{{ accountWords.who }}</th>
              <th scope="col">{{ accountWords.what }}</th>
              <th scope="col">{{ accountWords.where }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(one, at) in log" :key="at">
              <td :title="dayOf(one.at)">{{ momentOf(one.at) }}</td>
              <td>{{ one.name }}</td>
              <td>{{ one.what }}</td>
              <td>{{ one.address }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="next"><el-button @click="more">{{ accountWords.more }}</el-button></div>
    </section>
  </main>
</template>

<style scoped>
.administer {
  display: grid;
  gap: 26px;
  max-inline-size: 860px;
}
.part {
  display: grid;
  gap: 12px;
  padding-block-start: 18px;
  border-block-start: var(--rail) solid var(--honey);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.row .el-select {
  inline-size: min(100%, 360px);
}
.link code {
  overflow-wrap: anywhere;
  user-select: all;
}
.message pre {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  padding: 12px 14px;
  border-radius: var(--radius);
  background: var(--sunk);
  font: inherit;
}
.message summary {
  min-block-size: 36px;
  cursor: pointer;
}
.rows {
  margin: 0;
  padding: 0;
  list-style: none;
}
.rows li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
  min-block-size: 44px;
  border-block-end: 1px solid var(--line);
}
.end {
  margin-inline-start: auto;
}
.scroll {
  overflow-x: auto;
}
table {
  inline-size: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 6px 14px 6px 0;
  border-block-end: 1px solid var(--line);
  text-align: start;
  white-space: nowrap;
}
</style>
