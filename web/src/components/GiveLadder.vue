<script setup lang="ts">
/** Gives a ladder to a class, or to whoever has its link: which, until when, and what holds. */
import { ElButton, ElCheckbox, ElDialog, ElInput, ElOption, ElSelect } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, everyPage, reply, type AssignmentRules, type ClassEntry, type LadderOnShelf } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { useCall } from '@/composables/useCall'
import { words } from '@/words'
import { classWords } from '@/words/class'

/** One of both is known where it is opened; the other is chosen. */
const props = defineProps<{ ladder?: number; toClass?: number }>()
const open = defineModel<boolean>({ required: true })
const router = useRouter()
const { failure, call } = useCall()
const classes = ref<ClassEntry[]>()
const ladders = ref<LadderOnShelf[]>()
const chosen = ref<number>()
/** Stands for whoever has the link where a class is chosen: no class has this number. */
const BY_LINK = 0
const due = ref('')
const rules = ref<AssignmentRules>({ hints: 3, alone: true, feedback: 'at_once', staged: false, tries: 1, fresh: false })

watch(open, async (isOpen) => {
  if (!isOpen) return
  chosen.value = undefined
  if (props.toClass === undefined) await call(reply(api.GET('/api/classes')), (all) => (classes.value = all))
  else await call(everyPage<LadderOnShelf>((after) => reply(api.GET('/api/ladders', { params: { query: { words: '', after } } }))), (all) => (ladders.value = all))
})
const empty = computed(() => props.toClass !== undefined && ladders.value?.length === 0)

async function give(): Promise<void> {
  const [id, ladder] = props.toClass === undefined ? [chosen.value, props.ladder] : [props.toClass, chosen.value]
  if (id === undefined || ladder === undefined) return
  // A day is over at its last minute where the teacher is.
  const until = due.value ? Math.floor(new Date(`${due.value}T23:59:00`).getTime() / 1000) : undefined
  const body = { ladder, rules: { ...rules.value, due: until } }
  const giving = id === BY_LINK ? api.POST('/api/assignments', { body }) : api.POST('/api/classes/{id}/assignments', { params: { path: { id } }, body })
  const made = await call(reply(giving), (given) => void router.push({ name: 'assignment', params: { id: given.id } }))
  if (made) open.value = false
}
</script>

<template>
  <el-dialog v-model="open" :title="toClass === undefined ? classWords.giveTo : classWords.give" width="min(94vw, 480px)">
    <form class="give" @submit.prevent="give">
      <p v-if="empty" class="soft">{{ classWords.noLadders }}</p>
      <label v-else class="field">
        <span>{{ toClass === undefined ? classWords.toWhich : classWords.which }}</span>
        <el-select v-model="chosen" size="large" filterable :aria-label="toClass === undefined ? classWords.toWhich : classWords.which">
          <template v-if="toClass === undefined">
            <el-option v-for="one in classes" :key="one.id" :label="one.title" :value="one.id" />
            <el-option :label="classWords.anyone" :value="BY_LINK" />
          </template>
          <template v-else><el-option v-for="one in ladders" :key="one.id" :label="one.title" :value="one.id" /></template>
        </el-select>
        <span v-if="chosen === BY_LINK" class="soft">{{ classWords.anyoneLead }}</span>
      </label>
      <label class="field">
        <span>{{ classWords.due }}</span>
        <el-input v-model="due" type="date" size="large" />
      </label>
      <label class="field">
        <span>{{ classWords.feedback }}</span>
        <el-select v-model="rules.feedback" size="large" :aria-label="classWords.feedback">
          <el-option v-for="(name, key) in classWords.feedbackNames" :key="key" :label="name" :value="key" />
        </el-select>
      </label>
      <label class="field">
        <span>{{ classWords.hints }}</span>
        <el-select v-model="rules.hints" size="large" :aria-label="classWords.hints">
          <el-option v-for="(name, given) in words.ladder.hintNames" :key="name" :label="name" :value="given" />
        </el-select>
      </label>
      <label class="field">
        <span>{{ classWords.tries }}</span>
        <el-select v-model="rules.tries" size="large" :aria-label="classWords.tries">
          <el-option v-for="n in [1, 2, 3, 5, 0]" :key="n" :label="classWords.triesOf(n)" :value="n" />
        </el-select>
      </label>
      <el-checkbox v-if="rules.tries !== 1" v-model="rules.fresh" :label="classWords.fresh" />
      <el-checkbox v-model="rules.alone" :label="classWords.alone" />
      <el-checkbox v-model="rules.staged" :label="classWords.staged" />
      <failure-note v-if="failure" :failure="failure" />
      <div><el-button type="primary" size="large" native-type="submit" :disabled="chosen === undefined">{{ classWords.giveNow }}</el-button></div>
    </form>
  </el-dialog>
</template>

<style scoped>
.give {
  display: grid;
  gap: 12px;
}
.field {
  display: grid;
  gap: 4px;
}
</style>
