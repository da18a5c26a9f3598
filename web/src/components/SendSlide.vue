<script setup lang="ts">
/** A slide goes to another lesson of the same teacher, as a copy or for good. */
import { ElButton, ElDialog, ElOption, ElSelect } from 'element-plus'
import { computed, onMounted, ref } from 'vue'
import { api, reply, type ShelfEntry, type Slide } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { gradeName, words } from '@/words'
import { moveWords } from '@/words/plan'
import { useCall } from '@/composables/useCall'
import { useList } from '@/composables/useList'

const props = defineProps<{ slide: Slide; from: number; moves: boolean }>()
const emit = defineEmits<{ close: []; sent: [] }>()
const { entries: lessons, failure: listFailure, load } = useList<ShelfEntry>((after) => reply(api.GET('/api/lessons', { params: { query: { after } } })))
const to = ref<number>()
const { failure, call } = useCall()
const done = ref('')
const others = computed(() => (lessons.value ?? []).filter((one) => one.id !== props.from))

onMounted(() => load())

async function send(): Promise<void> {
  if (to.value === undefined) return
  const path = { id: to.value }
  await call(reply(api.POST('/api/lessons/{id}/slides', { params: { path }, body: { slide: props.slide } })), () => {
    done.value = moveWords.sent(others.value.find((one) => one.id === path.id)?.title ?? '')
    emit('sent')
  })
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
    <failure-note v-if="failure ?? listFailure" :failure="(failure ?? listFailure)!" />
    <template #footer>
      <el-button v-if="!done" size="large" type="primary" native-type="submit" form="send" :disabled="to === undefined">{{ moveWords.go }}</el-button>
      <el-button size="large" @click="emit('close')">{{ done ? words.close : words.cancel }}</el-button>
    </template>
  </el-dialog>
</template>
