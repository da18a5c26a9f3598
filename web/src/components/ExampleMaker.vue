<script setup lang="ts">
/** Types a problem and gets its working, by the method of the class. */
import { ElButton, ElOption, ElSelect } from 'element-plus'
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
const method = ref<string>()
const { working, failure, busy, work } = useWorking()

function go(): void {
  void work({ text: latex.value, latex: true }, method.value)
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
      <math-input ref="field" v-model="latex" :label="words.lesson.problem" class="grow" @enter="go" />
      <el-button size="large" type="primary" :loading="busy" @click="go">{{ words.lesson.work }}</el-button>
    </div>
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
