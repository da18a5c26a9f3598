<script setup lang="ts">
/** Second Look for a text that stands nowhere here: a sheet, a plan, a page from elsewhere. */
import { ElButton, ElDialog, ElInput } from 'element-plus'
import { ref, watch } from 'vue'
import { api, reply, type Spotted } from '@/api/client'
import FailureNote from './FailureNote.vue'
import FindingList from './FindingList.vue'
import { lookWords } from '@/words/look'
import { useCall } from '@/composables/useCall'

const open = defineModel<boolean>({ required: true })
const text = ref('')
const found = ref<Spotted[]>()
const { failure, busy, call } = useCall()
watch(text, () => (found.value = undefined))

async function look(): Promise<void> {
  found.value = undefined
  await call(reply(api.POST('/api/second-look/text', { body: { text: text.value } })), (spotted) => (found.value = spotted))
}
</script>

<template>
  <el-dialog v-model="open" :title="lookWords.overText" width="min(94vw, 760px)">
    <form class="form" @submit.prevent="look">
      <label>
        <span>{{ lookWords.textHelp }}</span>
        <el-input v-model="text" type="textarea" :rows="10" maxlength="200000" :placeholder="lookWords.textHint" />
      </label>
      <el-button type="primary" size="large" native-type="submit" :loading="busy" :disabled="!text.trim()">{{ lookWords.lookOver }}</el-button>
      <failure-note v-if="failure" :failure="failure" />
      <finding-list v-if="found" :findings="found" :place-of="(one) => lookWords.line(one.place.line ?? 1)" />
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 14px;
  justify-items: start;
}
label,
.form :deep(.findings) {
  display: grid;
  gap: 6px;
  inline-size: 100%;
}
</style>
