<script setup lang="ts">
/** Types a problem and gets its working, by the method of the class. */
import { ElButton, ElInput, ElOption, ElSelect } from 'element-plus'
import { ref, useTemplateRef, watch } from 'vue'
import type { TypedWorking } from '@/api/client'
import { useWorking } from '@/composables/useWorking'
import FailureNote from './FailureNote.vue'
import MathInput from './MathInput.vue'
import VerdictMark from './VerdictMark.vue'
import WorkingLines from './WorkingLines.vue'
import { words } from '@/words'

const emit = defineEmits<{ keep: [example: TypedWorking]; cancel: [] }>()
const latex = ref('')
const inWords = ref('')
const method = ref<string>()
const { working, failure, busy, work } = useWorking()

/** What stands in the field that was used last is worked. */
const worded = ref(false)
function go(): void {
  const problem = worded.value ? { text: inWords.value, latex: false } : { text: latex.value, latex: true }
  void work(problem, method.value)
}
function start(words: boolean): void {
  worded.value = words
  method.value = undefined
  go()
}
function mend(text: string): void {
  void work({ text, latex: false }, method.value)
}
const field = useTemplateRef<InstanceType<typeof MathInput>>('field')
defineExpose({ focus: () => field.value?.focus() })

// Another problem may not have the method of the last one.
watch(latex, () => (method.value = undefined))
</script>

<template>
  <div class="maker">
    <p class="soft">{{ words.lesson.problemHint }}</p>
    <div class="row">
      <math-input ref="field" v-model="latex" :label="words.lesson.problem" class="grow" @enter="start(false)" />
      <el-button size="large" type="primary" :loading="busy && !worded" @click="start(false)">{{ words.lesson.work }}</el-button>
    </div>
    <form class="row" @submit.prevent="start(true)">
      <el-input v-model="inWords" size="large" class="grow" maxlength="300" :placeholder="words.lesson.inWordsHint" :aria-label="words.lesson.inWords" />
      <el-button size="large" native-type="submit" :loading="busy && worded" :disabled="!inWords.trim()">{{ words.lesson.workWords }}</el-button>
    </form>
    <failure-note v-if="failure" :failure="failure" @mend="mend" />
    <template v-if="working">
      <div v-if="working.methods.length > 1" class="row">
        <span id="method-label">{{ words.lesson.method }}</span>
        <el-select
          :model-value="working.method"
          aria-labelledby="method-label"
          class="method"
          @update:model-value="(id: string) => { method = id; go() }"
        >
          <el-option v-for="m in working.methods" :key="m.id" :value="m.id" :label="m.title" />
        </el-select>
      </div>
      <working-lines :lines="working.working" class="lines">
        <template #mark="{ line }"><verdict-mark :word="line.verdict" /></template>
      </working-lines>
      <div class="row end">
        <el-button size="large" @click="emit('cancel')">{{ words.cancel }}</el-button>
        <el-button size="large" type="primary" @click="emit('keep', working)">{{ words.lesson.keep }}</el-button>
      </div>
    </template>
  </div>
</template>

<style scoped>
.maker {
  display: grid;
  gap: 14px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
.grow {
  flex: 1 1 240px;
}
.method {
  inline-size: 260px;
}
.end {
  justify-content: end;
}
.lines {
  font-size: 1.1rem;
}
</style>
