<script setup lang="ts">
/** What a lesson was: who saved it when, each to be looked at and gone back to. */
import { ElButton, ElDialog } from 'element-plus'
import { ref, watch } from 'vue'
import { api, reply, type LessonView, type VersionEntry } from '@/api/client'
import FailureNote from './FailureNote.vue'
import SlideFace from './SlideFace.vue'
import { words } from '@/words'
import { historyWords } from '@/words/plan'
import { useCall } from '@/composables/useCall'

const open = defineModel<boolean>({ required: true })
const props = defineProps<{ lesson: number; revision: number }>()
const emit = defineEmits<{ restored: [view: LessonView] }>()
const versions = ref<VersionEntry[]>([])
const looked = ref<LessonView>()
const { failure, call } = useCall()

const when = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' })

watch(open, async (isOpen) => {
  if (!isOpen) return
  looked.value = undefined
  await call(reply(api.GET('/api/lessons/{id}/versions', { params: { path: { id: props.lesson } } })), (kept) => (versions.value = kept))
})

async function look(revision: number): Promise<void> {
  const path = { id: props.lesson, revision }
  await call(reply(api.GET('/api/lessons/{id}/versions/{revision}', { params: { path } })), (view) => (looked.value = view))
}

async function restore(revision: number): Promise<void> {
  const path = { id: props.lesson, revision }
  const body = { based_on: props.revision }
  await call(reply(api.POST('/api/lessons/{id}/versions/{revision}', { params: { path }, body })), (view) => {
    emit('restored', view)
    open.value = false
  })
}
</script>

<template>
  <el-dialog v-model="open" :title="historyWords.title" top="4vh" width="min(94vw, 720px)">
    <p class="soft">{{ historyWords.lead }}</p>
    <failure-note v-if="failure" :failure="failure" />
    <template v-if="looked">
      <div class="row">
        <el-button @click="looked = undefined">{{ historyWords.shut }}</el-button>
        <el-button type="primary" @click="restore(looked.revision)">{{ historyWords.restore }}</el-button>
      </div>
      <h3>{{ looked.lesson.title }}</h3>
      <ol class="faces">
        <li v-for="slide in looked.lesson.slides" :key="slide.id"><slide-face :slide="slide" :pictures="looked.pictures" :theme="looked.lesson.theme" :meanings="looked.lesson.meanings" /></li>
      </ol>
    </template>
    <ol v-else class="versions">
      <li v-for="(version, at) in versions" :key="version.revision">
        <span>{{ when.format(version.saved_at) }}</span>
        <span class="soft">{{ historyWords.by(version.teacher) }}<template v-if="at === 0">, {{ historyWords.now }}</template></span>
        <span class="push" />
        <el-button size="small" @click="look(version.revision)">{{ historyWords.look }}</el-button>
        <el-button v-if="at > 0" size="small" @click="restore(version.revision)">{{ historyWords.restore }}</el-button>
      </li>
    </ol>
    <template #footer><el-button size="large" @click="open = false">{{ words.close }}</el-button></template>
  </el-dialog>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-block: 12px;
}
.versions,
.faces {
  display: grid;
  gap: 6px;
  max-block-size: 60vh;
  margin: 12px 0 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
.versions li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  padding: 8px 12px;
  border-inline-start: 5px solid var(--honey);
  border-radius: 6px;
  background: var(--sunk);
}
.push {
  flex: 1;
}
.faces {
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: 10px;
}
.faces li {
  border: 1px solid var(--line);
  border-radius: 8px;
  overflow: hidden;
}
</style>
