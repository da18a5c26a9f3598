<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { api, reply, type DeskView } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { words } from '@/words'
import { pageWords } from '@/words/class'
import { useCall } from '@/composables/useCall'

/** Students of a class come with their codes alone, unless it is open: then a first name is enough. */
const props = defineProps<{ link: string; ofClass?: boolean; isOpen?: boolean }>()
const emit = defineEmits<{ joined: [desk: DeskView] }>()
const name = ref('')
const code = ref('')
const { failure, busy, call } = useCall()
/** Whether this is somebody's way back, with the code that they were given. */
const comesBack = ref(false)
const byCode = computed(() => props.ofClass && (!props.isOpen || comesBack.value))

async function join(): Promise<void> {
  const params = { path: { link: props.link } }
  const body = { name: name.value, code: comesBack.value || byCode.value ? code.value : undefined }
  await call(reply(api.POST('/api/desk/{link}/join', { params, body })), (desk) => emit('joined', desk))
  if (failure.value?.kind === 'taken') comesBack.value = true
}
</script>

<template>
  <form class="join" @submit.prevent="join">
    <h1>{{ byCode ? pageWords.code : words.desk.join }}</h1>
    <el-input v-if="!byCode" v-model="name" size="large" maxlength="40" autofocus autocomplete="given-name" :aria-label="words.desk.name" name="name" />
    <label v-if="comesBack || byCode">
      <span>{{ byCode ? (isOpen ? pageWords.codeGiven : pageWords.codeLead) : words.desk.code }}</span>
      <el-input v-model="code" size="large" maxlength="8" autocapitalize="none" autocomplete="off" name="code" />
    </label>
    <failure-note v-if="failure" :failure="failure" />
    <el-button type="primary" size="large" native-type="submit" :loading="busy">{{ words.desk.go }}</el-button>
    <button v-if="!comesBack && !byCode" type="button" class="as-link" @click="comesBack = true">{{ words.desk.beenHere }}</button>
  </form>
</template>

<style scoped>
.join {
  display: grid;
  gap: 16px;
  margin-block-start: 10vh;
}
label {
  display: grid;
  gap: 4px;
  font-weight: 600;
}
.as-link {
  justify-self: start;
}
</style>
