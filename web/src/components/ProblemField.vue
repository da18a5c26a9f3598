<script setup lang="ts">
/**
 * One field for whatever a teacher would type, mathematics or words. What was understood stands below it before anything is
 * worked; what was not says what to do.
 */
import { ElInput } from 'element-plus'
import { useDebounceFn } from '@vueuse/core'
import { ref, useTemplateRef, watch } from 'vue'
import { api, reply, type Failure, type Understanding } from '@/api/client'
import MathText from './MathText.vue'
import { words } from '@/words'

defineProps<{ label: string; hint: string }>()
const problem = defineModel<string>({ required: true })
const field = useTemplateRef<InstanceType<typeof ElInput>>('field')
const understood = ref<Understanding>()
const failure = ref<Failure>()

/** A pause this long ends a line of typing, in milliseconds. */
const PAUSE_MS = 350

const ask = useDebounceFn(async () => {
  const asked = problem.value
  if (!asked.trim()) return
  const answer = await reply(api.POST('/api/examples/understood', { body: { problem: asked } }))
  // Typing went on in the meantime: this answer is about something else.
  if (asked !== problem.value) return
  understood.value = answer.ok ? answer.value : undefined
  failure.value = answer.ok ? undefined : answer.failure
}, PAUSE_MS)

watch(problem, () => {
  failure.value = undefined
  if (!problem.value.trim()) understood.value = undefined
  void ask()
})

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="problem">
    <el-input ref="field" v-model="problem" size="large" maxlength="300" :placeholder="hint" :aria-label="label" autocomplete="off" spellcheck="false">
      <template v-if="$slots.append" #append><slot name="append" /></template>
    </el-input>
    <p class="reading" aria-live="polite">
      <template v-if="failure">
        {{ failure.says }}
        <button v-if="failure.mended" type="button" class="mend" @click="problem = failure.mended">{{ words.example.takeMend(failure.mended) }}</button>
      </template>
      <template v-else-if="understood && problem.trim()">
        <math-text :text="understood.says" /> <span class="title">{{ understood.title }}</span>
      </template>
      <template v-else>{{ words.example.takes }}</template>
    </p>
  </div>
</template>

<style scoped>
.problem {
  display: grid;
  gap: 6px;
  inline-size: 100%;
}
.reading {
  min-block-size: 1.6em;
  color: var(--ink-soft);
  font-size: 0.95rem;
  overflow-wrap: anywhere;
}
.title {
  margin-inline-start: 8px;
  padding: 1px 8px;
  border-radius: 999px;
  background: color-mix(in srgb, var(--honey) 25%, transparent);
  color: var(--ink);
  font-size: 0.85rem;
  white-space: nowrap;
}
.mend {
  min-block-size: 24px;
  border: 0;
  background: none;
  color: var(--honey-deep);
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
</style>
