<script setup lang="ts">
/** A slide goes to another lesson of the same teacher, as a copy or for good. */
import { ElButton, ElDialog, ElOption, ElSelect } from 'element-plus'
import { computed, onMounted, ref } from 'vue'
import { api, everyPage, reply, type Failure, type ShelfEntry, type Slide } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { gradeName, words } from '@/words'
import { moveWords } from '@/words/plan'

const props = defineProps<{ slide: Slide; from: number; moves: boolean }>()
const emit = defineEmits<{ close: []; sent: [] }>()
const lessons = ref<ShelfEntry[]>([])
const to = ref<number>()
const failure = ref<Failure>()
const done = ref('')
const others = computed(() => lessons.value.filter((one) => one.id !== props.from))

onMounted(async () => {
  const answer = await everyPage(
    (after) => reply(api.GET('/api/lessons', { params: { query: { after } } })),
    (soFar) => (lessons.value = soFar),
  )
  if (!answer.ok) failure.value = answer.failure
})

async function send(): Promise<void> {
  if (to.value === undefined) return
  const answer = await reply(api.POST('/api/lessons/{id}/slides', { params: { path: { id: to.value } }, body: { slide: props.slide } }))
  failure.value = answer.ok ? undefined : answer.failure
  if (!answer.ok) return
  done.value = moveWords.sent(lessons.value.find((one) => one.id === to.value)?.title ?? '')
  emit('sent')
}
</script>

<template>
  <el-dialog :model-value="true" :title="(moves ? moveWords.move : moveWords.send).replace(' …', '')" width="min(94vw, 460px)" @close="emit('close')">
    <p v-if="done" role="status">{{ done }}</p>
    <form v-else id="send" @submit.prevent="send">
      <el-select v-model="to" filterable size="large" :placeholder="moveWords.to" :aria-label="moveWords.to">
        <el-option v-for="one in others" :key="one.id" :value="one.id" :label="`${one.title} · ${gradeName(one.grade)}`" />
      </el-select>
    </form>
    <failure-note v-if="failure" :failure="failure" />
    <template #footer>
      <el-button v-if="!done" size="large" type="primary" native-type="submit" form="send" :disabled="to === undefined">{{ moveWords.go }}</el-button>
      <el-button size="large" @click="emit('close')">{{ done ? words.close : words.cancel }}</el-button>
    </template>
  </el-dialog>
</template>
