<script setup lang="ts">
/** What a class is called, its grade, its methods, and how long work is kept. */
import { ElButton, ElCheckbox, ElInput, ElInputNumber, ElOption, ElSelect } from 'element-plus'
import { computed, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type ClassView } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { sure } from '@/composables/sure'
import { useCall } from '@/composables/useCall'
import { useSkills } from '@/composables/useSkills'
import { GRADES, gradeName } from '@/words'
import { classWords } from '@/words/class'

const props = defineProps<{ view: ClassView }>()
const emit = defineEmits<{ changed: [] }>()
const router = useRouter()
const { failure, call } = useCall()
const saved = ref(false)
const { title, grade, keep_days, is_open } = props.view
const now = reactive({ title, grade, keep_days, is_open, methods: { ...props.view.methods } as Record<string, string> })
const { cards } = useSkills(() => now.grade)
const withChoice = computed(() => cards.value.filter((skill) => skill.methods.length > 1))
const chosen = computed(() => withChoice.value.filter((skill) => skill.id in now.methods))
const addable = computed(() => withChoice.value.filter((skill) => !(skill.id in now.methods)))

async function save(): Promise<void> {
  saved.value = await call(reply<unknown>(api.PUT('/api/classes/{id}', { params: { path: { id: props.view.id } }, body: now })))
  if (saved.value) emit('changed')
}
function add(id: string): void {
  const skill = withChoice.value.find((one) => one.id === id)
  if (skill?.methods[1]) now.methods[id] = skill.methods[1].id
}
function choose(skill: string, method: string): void {
  if (method === '') delete now.methods[skill]
  else now.methods[skill] = method
}
async function remove(): Promise<void> {
  if (!(await sure(classWords.removeClassAsk(props.view.title), classWords.remove))) return
  if (await call(reply<unknown>(api.DELETE('/api/classes/{id}', { params: { path: { id: props.view.id } } })))) await router.push({ name: 'classes' })
}
</script>

<template>
  <form class="settings" @submit.prevent="save">
    <label>
      <span>{{ classWords.name }}</span>
      <el-input v-model="now.title" size="large" maxlength="80" />
    </label>
    <label>
      <span>{{ classWords.grade }}</span>
      <el-select v-model="now.grade" size="large" :aria-label="classWords.grade">
        <el-option v-for="one in GRADES" :key="one" :label="gradeName(one)" :value="one" />
      </el-select>
    </label>
    <label>
      <span>{{ classWords.keep }}</span>
      <span class="days"><el-input-number v-model="now.keep_days" :min="7" :max="1500" size="large" :aria-label="classWords.keep" /> <span class="soft">{{ classWords.days(now.keep_days) }}</span></span>
    </label>
    <el-checkbox v-model="now.is_open" :label="classWords.isOpen" />
    <fieldset>
      <legend>{{ classWords.methods }}</legend>
      <p class="soft">{{ classWords.methodsLead }}</p>
      <label v-for="skill in chosen" :key="skill.id">
        <span>{{ skill.title }}</span>
        <el-select :model-value="now.methods[skill.id]" :aria-label="skill.title" @update:model-value="(method: string) => choose(skill.id, method)">
          <el-option :label="classWords.usual" value="" />
          <el-option v-for="method in skill.methods" :key="method.id" :label="method.title" :value="method.id" />
        </el-select>
      </label>
      <el-select model-value="" filterable :placeholder="classWords.addMethod" :aria-label="classWords.addMethod" @update:model-value="add">
        <el-option v-for="skill in addable" :key="skill.id" :label="skill.title" :value="skill.id" />
      </el-select>
    </fieldset>
    <failure-note v-if="failure" :failure="failure" />
    <div class="row">
      <el-button type="primary" size="large" native-type="submit">{{ classWords.save }}</el-button>
      <span v-if="saved" role="status">{{ classWords.saved }}</span>
      <el-button class="remove" size="large" @click="remove">{{ classWords.removeClass }}</el-button>
    </div>
  </form>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 16px;
  max-inline-size: 560px;
}
label {
  display: grid;
  gap: 4px;
}
.days,
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
.remove {
  margin-inline-start: auto;
}
fieldset {
  display: grid;
  gap: 10px;
  margin: 0;
  border: 0;
  border-block-start: var(--rail) solid var(--honey);
  padding: 14px 0 0;
}
legend {
  float: inline-start;
  padding: 0;
  font-weight: 700;
}
</style>
