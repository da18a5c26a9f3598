<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import { ref } from 'vue'
import { api, reply, type DeskView } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { words } from '@/words'
import { useCall } from '@/composables/useCall'

const props = defineProps<{ link: string }>()
const emit = defineEmits<{ joined: [desk: DeskView] }>()
const name = ref('')
const { failure, busy, call } = useCall()

async function join(): Promise<void> {
  const params = { path: { link: props.link } }
  await call(reply(api.POST('/api/desk/{link}/join', { params, body: { name: name.value } })), (desk) => emit('joined', desk))
}
</script>

<template>
  <form class="join" @submit.prevent="join">
    <h1>{{ words.desk.join }}</h1>
    <el-input v-model="name" size="large" maxlength="40" autofocus autocomplete="given-name" :aria-label="words.desk.name" name="name" />
    <failure-note v-if="failure" :failure="failure" />
    <el-button type="primary" size="large" native-type="submit" :loading="busy">{{ words.desk.go }}</el-button>
  </form>
</template>

<style scoped>
.join {
  display: grid;
  gap: 16px;
  margin-block-start: 10vh;
}
</style>
