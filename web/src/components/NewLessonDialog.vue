<script setup lang="ts">
import { ElButton, ElDialog, ElInput, ElInputNumber, ElOption, ElSelect } from 'element-plus'
import { reactive, ref } from 'vue'
import { api, reply, type Failure, type NewLesson, type Strand } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { gradeName, strandNames, words } from '@/words'

const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ made: [id: number] }>()
const lesson = reactive<NewLesson>({ topic: '', grade: 6, strand: 'fractions_ratio', minutes: 45 })
const failure = ref<Failure>()
const busy = ref(false)
const strands = Object.keys(strandNames) as Strand[]

async function make(): Promise<void> {
  busy.value = true
  const answer = await reply(api.POST('/api/lessons', { body: lesson }))
  busy.value = false
  failure.value = answer.ok ? undefined : answer.failure
  if (answer.ok) emit('made', answer.value.id)
}
</script>

<template>
  <el-dialog v-model="open" :title="words.newLesson.title" width="min(94vw, 520px)">
    <form class="form" @submit.prevent="make">
      <label>
        <span>{{ words.newLesson.grade }}</span>
        <el-select v-model="lesson.grade" size="large" :aria-label="words.newLesson.grade">
          <el-option v-for="n in 13" :key="n" :value="n - 1" :label="gradeName(n - 1)" />
        </el-select>
      </label>
      <label>
        <span>{{ words.newLesson.strand }}</span>
        <el-select v-model="lesson.strand" size="large" :aria-label="words.newLesson.strand">
          <el-option v-for="s in strands" :key="s" :value="s" :label="strandNames[s]" />
        </el-select>
      </label>
      <label>
        <span>{{ words.newLesson.topic }}</span>
        <el-input v-model="lesson.topic" size="large" maxlength="120" :placeholder="words.newLesson.topicHint" name="topic" />
      </label>
      <label>
        <span>{{ words.newLesson.minutes }}</span>
        <el-input-number v-model="lesson.minutes" size="large" :min="5" :max="300" :step="5" :aria-label="words.newLesson.minutes" />
      </label>
      <failure-note v-if="failure" :failure="failure" />
      <div class="actions">
        <el-button size="large" @click="open = false">{{ words.cancel }}</el-button>
        <el-button size="large" type="primary" native-type="submit" :loading="busy">{{ words.newLesson.go }}</el-button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 16px;
}
label {
  display: grid;
  gap: 4px;
  font-weight: 600;
}
.actions {
  display: flex;
  justify-content: end;
}
</style>
