<script setup lang="ts">
import { ElButton, ElDialog, ElInput, ElInputNumber, ElOption, ElOptionGroup, ElRadioButton, ElRadioGroup, ElSelect } from 'element-plus'
import { computed, reactive, ref, watch } from 'vue'
import { api, reply, type ClassEntry, type MethodId, type NewLesson, type Strand } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { useSkills } from '@/composables/useSkills'
import { gradeName, strandNames, words } from '@/words'
import { useCall } from '@/composables/useCall'

const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ made: [id: number] }>()
const lesson = reactive<NewLesson>({ topic: '', grade: 6, strand: 'fractions_ratio', minutes: 45 })
const how = ref<'whole' | 'blank' | 'file'>('whole')
const text = ref('')
/** A lesson that was saved from here tells its grade and strand itself. */
const isOurs = computed(() => text.value.trimStart().startsWith('{'))
async function choose(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  text.value = file && file.size <= MOST_BYTES ? await file.text() : ''
}
const skill = ref('')
const method = ref<MethodId>()
const { cards } = useSkills()
const { failure, busy, call } = useCall()
/** Largest file, in bytes. */
const MOST_BYTES = 24_000_000
const strands = Object.keys(strandNames) as Strand[]

const ofGrade = computed(() => cards.value.filter((card) => card.first_grade <= lesson.grade && lesson.grade <= card.last_grade))
const byStrand = computed(() => strands.map((strand) => ({ strand, cards: ofGrade.value.filter((card) => card.strand === strand) })).filter((one) => one.cards.length))
const methods = computed(() => cards.value.find((card) => card.id === skill.value)?.methods ?? [])

/** The classes of this teacher: one of them tells the grade, and the method of the skill. */
const classes = ref<ClassEntry[]>([])
const forClass = ref<number>()
const taught = computed(() => classes.value.find((one) => one.id === forClass.value))
watch(open, async (isOpen) => {
  if (isOpen && !classes.value.length) await call(reply(api.GET('/api/classes')), (all) => (classes.value = all))
})
watch(taught, (now) => {
  if (now) lesson.grade = now.grade
})
watch([skill, taught], () => (method.value = taught.value?.methods[skill.value] as MethodId | undefined))
watch(ofGrade, (now) => {
  if (!now.some((card) => card.id === skill.value)) skill.value = ''
})

async function make(): Promise<void> {
  const { grade, minutes } = lesson
  const seed = Math.floor(Math.random() * 1_000_000)
  const made =
    how.value === 'whole'
      ? reply(api.POST('/api/lessons/offer', { body: { skill: skill.value, method: method.value ?? null, grade, minutes, seed } }))
      : how.value === 'file'
        ? reply(api.POST('/api/lessons/file', { body: { text: text.value, grade, strand: lesson.strand, minutes } }))
        : reply(api.POST('/api/lessons', { body: lesson }))
  await call(made, ({ id }) => emit('made', id))
}
</script>

<template>
  <el-dialog v-model="open" :title="words.newLesson.title" width="min(94vw, 520px)">
    <form class="form" @submit.prevent="make">
      <el-radio-group v-model="how" size="large" :aria-label="words.newLesson.how">
        <el-radio-button value="whole" :label="words.newLesson.whole" />
        <el-radio-button value="blank" :label="words.newLesson.blank" />
        <el-radio-button value="file" :label="words.newLesson.file" />
      </el-radio-group>
      <p v-if="how === 'whole'" class="soft">{{ words.newLesson.wholeHelp }}</p>
      <template v-if="how === 'file'">
        <p class="soft">{{ words.newLesson.fileHelp }}</p>
        <label>
          <span>{{ words.newLesson.fileLabel }}</span>
          <input type="file" accept=".json,.md,.markdown,.txt,application/json,text/markdown,text/plain" class="file" @change="choose" />
        </label>
      </template>
      <label v-if="classes.length && how === 'whole'">
        <span>{{ words.newLesson.forClass }}</span>
        <el-select v-model="forClass" size="large" clearable :placeholder="words.bench.anyClass" :aria-label="words.newLesson.forClass">
          <el-option v-for="one in classes" :key="one.id" :value="one.id" :label="one.title" />
        </el-select>
      </label>
      <label v-if="!(how === 'file' && isOurs)">
        <span>{{ words.newLesson.grade }}</span>
        <el-select v-model="lesson.grade" size="large" :aria-label="words.newLesson.grade">
          <el-option v-for="n in 13" :key="n" :value="n - 1" :label="gradeName(n - 1)" />
        </el-select>
      </label>
      <template v-if="how === 'whole'">
        <label>
          <span>{{ words.newLesson.skill }}</span>
          <el-select v-model="skill" size="large" filterable :placeholder="words.newLesson.skillHint" :aria-label="words.newLesson.skill">
            <el-option-group v-for="one in byStrand" :key="one.strand" :label="strandNames[one.strand]">
              <el-option v-for="card in one.cards" :key="card.id" :value="card.id" :label="card.title" />
            </el-option-group>
          </el-select>
        </label>
        <label v-if="methods.length > 1">
          <span>{{ words.newLesson.method }}</span>
          <el-select v-model="method" size="large" :aria-label="words.newLesson.method">
            <el-option value="" :label="words.newLesson.usual" />
            <el-option v-for="one in methods" :key="one.id" :value="one.id" :label="one.title" />
          </el-select>
        </label>
      </template>
      <template v-else-if="!(how === 'file' && isOurs)">
      <label>
        <span>{{ words.newLesson.strand }}</span>
        <el-select v-model="lesson.strand" size="large" :aria-label="words.newLesson.strand">
          <el-option v-for="s in strands" :key="s" :value="s" :label="strandNames[s]" />
        </el-select>
      </label>
      <label v-if="how === 'blank'">
        <span>{{ words.newLesson.topic }}</span>
        <el-input v-model="lesson.topic" size="large" maxlength="120" :placeholder="words.newLesson.topicHint" name="topic" />
      </label>
      </template>
      <label v-if="!(how === 'file' && isOurs)">
        <span>{{ words.newLesson.minutes }}</span>
        <el-input-number v-model="lesson.minutes" size="large" :min="5" :max="300" :step="5" :aria-label="words.newLesson.minutes" />
      </label>
      <failure-note v-if="failure" :failure="failure" />
      <div class="actions">
        <el-button size="large" @click="open = false">{{ words.cancel }}</el-button>
        <el-button size="large" type="primary" native-type="submit" :loading="busy" :disabled="(how === 'whole' && !skill) || (how === 'file' && !text.trim())">{{ words.newLesson.go }}</el-button>
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
