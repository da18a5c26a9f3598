<script setup lang="ts">
/** A class: its students with their cards, its assignments, its settings. */
import { ElButton, ElTabPane, ElTabs } from 'element-plus'
import { useClipboard } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { api, reply, type ClassView } from '@/api/client'
import ClassSettings from '@/components/ClassSettings.vue'
import LivePast from '@/live/LivePast.vue'
import FailureNote from '@/components/FailureNote.vue'
import GiveLadder from '@/components/GiveLadder.vue'
import RosterImport from '@/components/RosterImport.vue'
import StudentRows from '@/components/StudentRows.vue'
import { useCall } from '@/composables/useCall'
import { gradeName } from '@/words'
import { dayOf } from '@/words/account'
import { classWords } from '@/words/class'
import { resultWords } from '@/words/results'

const props = defineProps<{ id: number }>()
const view = ref<ClassView>()
const { failure, call } = useCall()
const tab = ref('students')
const giving = ref(false)
const { copy, copied } = useClipboard({ legacy: true })
const page = computed(() => (view.value ? `${location.origin}${view.value.page}` : ''))

const load = (): Promise<boolean> => call(reply(api.GET('/api/classes/{id}', { params: { path: { id: props.id } } })), (found) => (view.value = found))
onMounted(load)
</script>

<template>
  <main class="page class">
    <router-link :to="{ name: 'classes' }">{{ classWords.back }}</router-link>
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <template v-if="view">
      <div class="head">
        <h1>{{ view.title }} <small class="soft">{{ gradeName(view.grade) }}</small></h1>
        <div class="deeds">
          <el-button size="large" @click="copy(page)">{{ copied ? classWords.copied : classWords.copy }}</el-button>
          <router-link class="print" :to="{ name: 'cards', params: { id } }">{{ classWords.cards }}</router-link>
          <router-link class="print" :to="{ name: 'results', params: { id } }">{{ resultWords.title }}</router-link>
          <el-button type="primary" size="large" @click="giving = true">{{ classWords.give }}</el-button>
        </div>
      </div>
      <p class="soft page-link">{{ classWords.page }}: <code>{{ page }}</code></p>
      <el-tabs v-model="tab">
        <el-tab-pane :label="classWords.students" name="students">
          <div class="pane">
            <p v-if="!view.students.length" class="soft">{{ classWords.nobody }}</p>
            <student-rows :id="id" :students="view.students" @changed="load" />
            <p class="soft">{{ classWords.stored }}</p>
            <roster-import :id="id" @done="load" />
          </div>
        </el-tab-pane>
        <el-tab-pane :label="classWords.assignments" name="assignments">
          <p v-if="!view.assignments.length" class="soft">{{ classWords.noAssignments }}</p>
          <ul class="given">
            <li v-for="one in view.assignments" :key="one.id">
              <router-link :to="{ name: 'assignment', params: { id: one.id } }">{{ one.title }}</router-link>
              <span v-if="one.student" class="soft">{{ classWords.onlyFor(view.students.find((student) => student.id === one.student)?.name ?? '') }}</span>
              <span class="soft">{{ classWords.rungs(one.rungs) }} · {{ one.rules.due ? classWords.dueOn(dayOf(one.rules.due)) : classWords.noDue }}</span>
            </li>
          </ul>
          <live-past :of-class="id" />
        </el-tab-pane>
        <el-tab-pane :label="classWords.settings" name="settings" lazy><class-settings :view="view" @changed="load" /></el-tab-pane>
      </el-tabs>
      <give-ladder v-model="giving" :to-class="id" />
    </template>
  </main>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 12px 24px;
  margin-block: 8px;
}
h1 small {
  font-size: 1rem;
  font-weight: 400;
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
.deeds .el-button + .el-button {
  margin-inline-start: 0;
}
.print {
  padding: 7px 16px;
  border: 1.5px solid var(--honey);
  border-radius: 8px;
  color: var(--ink);
  font-weight: 650;
  text-decoration: none;
}
.page-link code {
  overflow-wrap: anywhere;
  user-select: all;
}
.pane {
  display: grid;
  gap: 18px;
}
.given {
  display: grid;
  margin: 0;
  padding: 0;
  list-style: none;
}
.given li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
  min-block-size: 46px;
  border-block-end: 1px solid var(--line);
}
</style>
