<script setup lang="ts">
/** The students of a class: names, codes, and what can be done with each. */
import { ElButton, ElDropdown, ElDropdownItem, ElDropdownMenu, ElInput, ElOption, ElSelect } from 'element-plus'
import { ref } from 'vue'
import { api, reply, type StudentEntry } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { sure } from '@/composables/sure'
import { useCall } from '@/composables/useCall'
import { classWords } from '@/words/class'

const props = defineProps<{ id: number; students: StudentEntry[] }>()
const emit = defineEmits<{ changed: [] }>()
const { failure, call } = useCall()
const renaming = ref<number>()
const name = ref('')
const merging = ref<StudentEntry>()
const other = ref<number>()

const path = (student: number): { id: number; student: number } => ({ id: props.id, student })
async function then(asked: Promise<boolean>): Promise<void> {
  if (await asked) {
    renaming.value = merging.value = undefined
    emit('changed')
  }
}
const set = (one: StudentEntry, to: string, hidden: boolean): Promise<void> =>
  then(call(reply<unknown>(api.PUT('/api/classes/{id}/students/{student}', { params: { path: path(one.id) }, body: { name: to, hidden } }))))

function begin(one: StudentEntry): void {
  renaming.value = one.id
  name.value = one.name
}
async function act(one: StudentEntry, deed: string): Promise<void> {
  if (deed === 'rename') begin(one)
  else if (deed === 'hide') await set(one, one.name, !one.hidden)
  else if (deed === 'merge') merging.value = one
  else if (deed === 'stored') location.href = `/api/classes/${props.id}/students/${one.id}/stored`
  else if (deed === 'code' && (await sure(classWords.newCodeAsk(one.name), classWords.newCode)))
    await then(call(reply<unknown>(api.POST('/api/classes/{id}/students/{student}/code', { params: { path: path(one.id) } }))))
  else if (deed === 'remove' && (await sure(classWords.removeAsk(one.name), classWords.remove)))
    await then(call(reply<unknown>(api.DELETE('/api/classes/{id}/students/{student}', { params: { path: path(one.id) } }))))
}
async function merge(): Promise<void> {
  if (!merging.value || other.value === undefined) return
  const into = other.value
  await then(call(reply<unknown>(api.POST('/api/classes/{id}/students/{student}/merge', { params: { path: path(into) }, body: { other: merging.value.id } }))))
}
</script>

<template>
  <failure-note v-if="failure" :failure="failure" />
  <form v-if="merging" class="merge" @submit.prevent="merge">
    <span>{{ classWords.mergeLead(merging.name) }}</span>
    <el-select v-model="other" :aria-label="classWords.mergeLead(merging.name)">
      <el-option v-for="one in students.filter((s) => s.id !== merging?.id)" :key="one.id" :label="one.name" :value="one.id" />
    </el-select>
    <el-button type="primary" native-type="submit" :disabled="other === undefined">{{ classWords.mergeGo }}</el-button>
  </form>
  <ul class="students">
    <li v-for="one in students" :key="one.id" :class="{ gone: one.hidden }">
      <form v-if="renaming === one.id" class="rename" @submit.prevent="set(one, name, one.hidden)">
        <el-input v-model="name" maxlength="40" autofocus :aria-label="classWords.rename" />
        <el-button native-type="submit">{{ classWords.save }}</el-button>
      </form>
      <span v-else class="name">{{ one.name }}</span>
      <span v-if="one.hidden" class="soft">{{ classWords.left }}</span>
      <span v-else class="soft code">{{ classWords.code }} <strong>{{ one.code }}</strong></span>
      <el-dropdown class="more" trigger="click" @command="(deed: string) => act(one, deed)">
        <el-button text :aria-label="`${one.name}: …`">…</el-button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item command="rename">{{ classWords.rename }}</el-dropdown-item>
            <el-dropdown-item command="hide">{{ one.hidden ? classWords.show : classWords.hide }}</el-dropdown-item>
            <el-dropdown-item command="code">{{ classWords.newCode }}</el-dropdown-item>
            <el-dropdown-item command="merge">{{ classWords.merge }}</el-dropdown-item>
            <el-dropdown-item command="stored">{{ classWords.saveStored }}</el-dropdown-item>
            <el-dropdown-item command="remove">{{ classWords.remove }}</el-dropdown-item>
          </el-dropdown-menu>
        </template>
      </el-dropdown>
    </li>
  </ul>
</template>

<style scoped>
.students {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 300px), 1fr));
  gap: 0 28px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  gap: 14px;
  min-block-size: 44px;
  border-block-end: 1px solid var(--line);
}
.name {
  font-weight: 650;
}
.gone .name {
  color: var(--ink-soft);
  font-weight: 400;
}
.code strong {
  letter-spacing: 0.08em;
}
.more {
  margin-inline-start: auto;
}
.rename,
.merge {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.merge .el-select {
  inline-size: 200px;
}
</style>
