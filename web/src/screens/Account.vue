<script setup lang="ts">
/** One's own account: the password, the sessions, everything as a file, and leaving. */
import { ElButton, ElInput } from 'element-plus'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type SessionEntry } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import { useCall } from '@/composables/useCall'
import { useTeacher } from '@/composables/useTeacher'
import { accountWords, device, dayOf } from '@/words/account'

const router = useRouter()
const { me, forget } = useTeacher()
const sessions = ref<SessionEntry[]>()
const now = ref('')
const fresh = ref('')
const changed = ref(false)
const leaving = ref(false)
const last = ref('')
const { failure: notListed, call: list } = useCall()
const { failure: notChanged, call: change } = useCall()
const { failure: notLeft, call: leave } = useCall()

const load = (): Promise<boolean> => list(reply(api.GET('/api/me/sessions')), (found) => (sessions.value = found))
onMounted(load)

async function changePassword(): Promise<void> {
  changed.value = await change(reply<unknown>(api.PUT('/api/me/password', { body: { now: now.value, new: fresh.value } })))
  if (!changed.value) return
  now.value = fresh.value = ''
  await load()
}
async function end(name: string): Promise<void> {
  if (await list(reply<unknown>(api.DELETE('/api/me/sessions/{name}', { params: { path: { name } } })))) await load()
}
async function deleteAll(): Promise<void> {
  if (!(await leave(reply<unknown>(api.POST('/api/me/delete', { body: { password: last.value } }))))) return
  forget()
  await router.push({ name: 'sign-in' })
}
</script>

<template>
  <main class="page account">
    <div>
      <h1>{{ accountWords.title }}</h1>
      <p v-if="me" class="soft">{{ accountWords.signedInAs(me.name, me.sign_in) }}</p>
      <p v-if="me?.is_administrator"><router-link :to="{ name: 'administer' }">{{ accountWords.administer }}</router-link></p>
    </div>
    <form class="part" @submit.prevent="changePassword">
      <h2>{{ accountWords.password }}</h2>
      <label>
        <span>{{ accountWords.passwordNow }}</span>
        <el-input v-model="now" size="large" type="password" show-password autocomplete="current-password" maxlength="200" />
      </label>
      <label>
        <span>{{ accountWords.newPassword }}</span>
        <el-input v-model="fresh" size="large" type="password" show-password autocomplete="new-password" maxlength="200" />
      </label>
      <small class="soft">{{ accountWords.passwordHelp }}</small>
      <failure-note v-if="notChanged" :failure="notChanged" />
      <p v-if="changed" class="done" role="status">{{ accountWords.changed }}</p>
      <div><el-button size="large" native-type="submit">{{ accountWords.change }}</el-button></div>
    </form>
    <section class="part">
      <h2>{{ accountWords.sessions }}</h2>
      <failure-note v-if="notListed" :failure="notListed" retry @again="load" />
      <ul v-if="sessions" class="rows">
        <li v-for="one in sessions" :key="one.name">
          <span>{{ device(one.agent) }}</span>
          <span class="soft">{{ one.this ? accountWords.thisOne : accountWords.used(dayOf(one.used)) }}</span>
          <el-button v-if="!one.this" size="small" @click="end(one.name)">{{ accountWords.end }}</el-button>
        </li>
      </ul>
    </section>
    <section class="part">
      <h2>{{ accountWords.yours }}</h2>
      <p>{{ accountWords.exportLead }}</p>
      <p><a class="file" href="/api/me/export" download>{{ accountWords.export }}</a></p>
      <el-button v-if="!leaving" class="leave" @click="leaving = true">{{ accountWords.leave }}</el-button>
      <form v-else class="leaving" @submit.prevent="deleteAll">
        <p>{{ accountWords.leaveLead }}</p>
        <label>
          <span>{{ accountWords.passwordNow }}</span>
          <el-input v-model="last" size="large" type="password" autocomplete="current-password" maxlength="200" />
        </label>
        <failure-note v-if="notLeft" :failure="notLeft" />
        <div>
          <el-button type="danger" size="large" native-type="submit">{{ accountWords.leaveYes }}</el-button>
          <el-button size="large" @click="leaving = false">{{ accountWords.stay }}</el-button>
        </div>
      </form>
    </section>
  </main>
</template>

<style scoped>
.account {
  display: grid;
  gap: 28px;
  max-inline-size: 680px;
}
.part,
.leaving {
  display: grid;
  gap: 12px;
}
.part {
  padding-block-start: 20px;
  border-block-start: var(--rail) solid var(--honey);
}
label {
  display: grid;
  gap: 4px;
  max-inline-size: 420px;
}
.rows {
  display: grid;
  gap: 0;
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
.rows .el-button {
  margin-inline-start: auto;
}
.done {
  color: var(--verdict-holds);
  font-weight: 650;
}
.leave {
  justify-self: start;
}
</style>
