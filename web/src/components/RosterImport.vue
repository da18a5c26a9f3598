<script setup lang="ts">
/** Takes students in: a pasted list or a file, what each row was read as, and one tap. */
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { api, reply, type RosterRow } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { useCall } from '@/composables/useCall'
import { classWords } from '@/words/class'

const props = defineProps<{ id: number }>()
const emit = defineEmits<{ done: [] }>()
const text = ref('')
const rows = ref<RosterRow[]>()
const { failure, call } = useCall()
const names = computed(() => (rows.value ?? []).map((row) => row.name.trim()).filter(Boolean))

async function read(bytes: Blob): Promise<void> {
  await call(
    reply(
      api.POST('/api/classes/{id}/roster', {
        params: { path: { id: props.id } },
        body: bytes as unknown as number[],
        bodySerializer: (body) => body as unknown as BodyInit,
        headers: { 'Content-Type': 'application/octet-stream' },
      }),
    ),
    (found) => (rows.value = found),
  )
}
const readText = (): Promise<void> => read(new Blob([text.value]))
function readFile(event: Event): void {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) void read(file)
  field.value = ''
}
async function take(): Promise<void> {
  const body = { names: names.value }
  if (!(await call(reply<unknown>(api.POST('/api/classes/{id}/students', { params: { path: { id: props.id } }, body }))))) return
  rows.value = undefined
  text.value = ''
  emit('done')
}
</script>

<template>
  <section class="import">
    <h2>{{ classWords.takeIn }}</h2>
    <label>
      <span>{{ classWords.paste }}</span>
      <el-input v-model="text" type="textarea" :autosize="{ minRows: 3, maxRows: 10 }" maxlength="60000" />
    </label>
    <div class="row">
      <el-button size="large" :disabled="!text.trim()" @click="readText">{{ classWords.read }}</el-button>
      <label class="file">
        <span>{{ classWords.file }}</span>
        <input type="file" accept=".xlsx,.csv,.txt,.tsv" @change="readFile" />
      </label>
    </div>
    <failure-note v-if="failure" :failure="failure" />
    <template v-if="rows">
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ classWords.asWritten }}</th>
              <th scope="col">{{ classWords.readAs }}</th>
              <th scope="col">{{ classWords.remark }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, at) in rows" :key="at" :class="{ out: !row.name }">
              <td>{{ row.written }}</td>
              <td><el-input v-model="row.name" maxlength="40" :aria-label="`${classWords.readAs}: ${row.written}`" :placeholder="classWords.notTaken" /></td>
              <td class="soft">{{ row.says }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div><el-button type="primary" size="large" :disabled="!names.length" @click="take">{{ classWords.takeInNow(names.length) }}</el-button></div>
    </template>
  </section>
</template>

<style scoped>
.import {
  display: grid;
  gap: 12px;
  padding-block-start: 18px;
  border-block-start: var(--rail) solid var(--honey);
}
label {
  display: grid;
  gap: 4px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px 24px;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 4px 14px 4px 0;
  border-block-end: 1px solid var(--line);
  text-align: start;
}
.out td:first-child {
  color: var(--ink-soft);
}
</style>
