<script setup lang="ts">
/** A ladder: print it, share its Step Desk, and see what the class wrote beside each rung. */
import { ElButton, ElCheckbox, ElInput, ElOption, ElSelect, ElTabPane, ElTabs } from 'element-plus'
import { useClipboard } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { api, everyPage, reply, type Failure, type LadderView, type Sharing, type ShelfEntry } from '@/api/client'
import ClassWork from '@/components/ClassWork.vue'
import FailureNote from '@/components/FailureNote.vue'
import GiveLadder from '@/components/GiveLadder.vue'
import LadderLook from '@/components/LadderLook.vue'
import RungSheet from '@/components/RungSheet.vue'
import ShareDialog from '@/components/ShareDialog.vue'
import { sure } from '@/composables/sure'
import { useRouter } from 'vue-router'
import { words } from '@/words'
import { classWords } from '@/words/class'
import { lookWords } from '@/words/look'
import { shareWords } from '@/words/share'

const props = defineProps<{ id: number }>()
const ladder = ref<LadderView>()
const failure = ref<Failure>()
const tab = ref('problems')
const giving = ref(false)
const sharing = ref(false)
const { copy, copied, isSupported } = useClipboard({ legacy: true })

const link = computed(() => (ladder.value ? `${location.origin}${ladder.value.desk}` : ''))

const version = ref<keyof typeof words.ladder.versionNames>('A')
const strength = ref<keyof typeof words.ladder.strengthNames>('middle')
const choices = ref(false)
const print = (what: string, full = false): string => {
  const asked = new URLSearchParams({ version: version.value, strength: strength.value })
  if (full) asked.set('full', 'true')
  if (choices.value && what === 'sheet') asked.set('choices', 'true')
  return `/api/ladders/${props.id}/${what}.pdf?${asked}`
}

async function load(): Promise<void> {
  const answer = await reply(api.GET('/api/ladders/{id}', { params: { path: { id: props.id } } }))
  failure.value = answer.ok ? undefined : answer.failure
  if (answer.ok) ladder.value = answer.value
}
/** Whose ladder it is, and where it came from; nothing for a colleague who edits its lesson: they look and print. */
const origin = ref<Sharing>()
async function loadOrigin(): Promise<void> {
  const answer = await reply(api.GET('/api/ladders/{id}/shares', { params: { path: { id: props.id } } }))
  if (answer.ok) origin.value = answer.value
}
onMounted(() => Promise.all([load(), loadOrigin()]))

const router = useRouter()
const lessons = ref<ShelfEntry[]>()
async function findLessons(isOpen: boolean): Promise<void> {
  if (!isOpen || lessons.value) return
  const answer = await everyPage<ShelfEntry>((after) => reply(api.GET('/api/lessons', { params: { query: { after } } })))
  failure.value = answer.ok ? undefined : answer.failure
  if (answer.ok) lessons.value = answer.value
}
/** Hangs it on a lesson, or takes it off. */
async function hang(lesson?: number): Promise<void> {
  const answer = await reply<unknown>(api.PUT('/api/ladders/{id}/lesson', { params: { path: { id: props.id } }, body: { lesson: lesson ?? null } }))
  failure.value = answer.ok ? undefined : answer.failure
  if (answer.ok) await load()
}
async function remove(): Promise<void> {
  if (!(await sure(words.ladder.removeAsk, words.ladder.remove))) return
  const answer = await reply<unknown>(api.DELETE('/api/ladders/{id}', { params: { path: { id: props.id } } }))
  if (answer.ok) await router.push(ladder.value?.lesson ? { name: 'lesson', params: { id: ladder.value.lesson } } : { name: 'shelf' })
  else failure.value = answer.failure
}

/** A link that went too far is renewed; students come back with their names and codes. */
async function renewLink(): Promise<void> {
  if (!(await sure(words.ladder.newLinkAsk, words.ladder.newLink))) return
  const answer = await reply(api.POST('/api/ladders/{id}/link', { params: { path: { id: props.id } } }))
  if (!answer.ok) failure.value = answer.failure
  else if (ladder.value) ladder.value.desk = answer.value.desk
}

/** What holds on the Step Desk: how strong a hint, and whether an answer alone is enough. */
async function rule(rules: { hints: number; alone: boolean }): Promise<void> {
  const answer = await reply(api.PUT('/api/ladders/{id}/rules', { params: { path: { id: props.id } }, body: rules }))
  if (!answer.ok) failure.value = answer.failure
  else if (ladder.value) Object.assign(ladder.value, rules)
}
</script>

<template>
  <main class="page">
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <template v-else-if="ladder">
      <router-link v-if="ladder.lesson" :to="{ name: 'lesson', params: { id: ladder.lesson } }">{{ words.bench.back }}</router-link>
      <router-link v-else :to="{ name: 'shelf' }">{{ words.commands.shelf }}</router-link>
      <h1>{{ ladder.title }}</h1>
      <p v-if="origin?.came_from" class="soft">{{ origin.came_from }}</p>
      <div class="actions">
        <template v-if="ladder.versions">
          <el-select v-model="version" size="large" class="which" :aria-label="words.ladder.version">
            <el-option v-for="(name, letter) in words.ladder.versionNames" :key="letter" :label="name" :value="letter" />
          </el-select>
          <el-select v-model="strength" size="large" class="which" :aria-label="words.ladder.strength">
            <el-option v-for="(name, whom) in words.ladder.strengthNames" :key="whom" :label="`${words.ladder.strength} ${name}`" :value="whom" />
          </el-select>
        </template>
        <el-checkbox v-model="choices" :label="words.ladder.choices" size="large" />
        <a class="print" :href="print('sheet')" target="_blank" rel="noopener">{{ words.ladder.sheet }}</a>
        <a class="print" :href="print('key')" target="_blank" rel="noopener">{{ words.ladder.key }}</a>
        <a class="print" :href="print('key', true)" target="_blank" rel="noopener">{{ words.ladder.fullKey }}</a>
        <div v-if="origin" class="link">
          <el-input :model-value="link" readonly :aria-label="words.ladder.link" size="large">
            <template #prepend>{{ words.ladder.link }}</template>
          </el-input>
          <el-button size="large" type="primary" @click="copy(link)">{{ copied ? words.ladder.copied : words.ladder.copy }}</el-button>
          <el-button size="large" @click="giving = true">{{ classWords.giveTo }}</el-button>
          <el-button size="large" @click="renewLink">{{ words.ladder.newLink }}</el-button>
          <span v-if="!isSupported" class="soft">{{ words.ladder.notCopied }}</span>
        </div>
        <label v-if="origin" class="hints">
          <span>{{ words.ladder.hints }}</span>
          <el-select :model-value="ladder.hints" size="large" :aria-label="words.ladder.hints" @update:model-value="(hints: number) => ladder && rule({ hints, alone: ladder.alone })">
            <el-option v-for="(name, given) in words.ladder.hintNames" :key="name" :label="name" :value="given" />
          </el-select>
        </label>
        <el-checkbox
          v-if="origin"
          :model-value="ladder.alone"
          :label="words.ladder.alone"
          size="large"
          @update:model-value="(alone) => ladder && rule({ hints: ladder.hints, alone: alone === true })"
        />
      </div>
      <div v-if="origin" class="actions">
        <label class="hints">
          <span>{{ words.ladder.lesson }}</span>
          <el-select
            :model-value="ladder.lesson ?? undefined"
            size="large"
            class="host"
            filterable
            clearable
            :placeholder="words.ladder.noLesson"
            :aria-label="words.ladder.lesson"
            @visible-change="findLessons"
            @update:model-value="(lesson?: number) => hang(lesson)"
          >
            <el-option v-if="ladder.lesson && !lessons" :value="ladder.lesson" :label="words.ladder.thisLesson" />
            <el-option v-for="one in lessons" :key="one.id" :value="one.id" :label="one.title" />
          </el-select>
        </label>
        <el-button size="large" @click="sharing = true">{{ shareWords.open }}</el-button>
        <el-button size="large" @click="remove">{{ words.ladder.remove }}</el-button>
      </div>
      <give-ladder v-model="giving" :ladder="id" />
      <share-dialog v-model="sharing" :ladder="id" />
      <el-tabs v-model="tab">
        <el-tab-pane :label="words.ladder.problems" name="problems"><rung-sheet :rungs="ladder.rungs" key-shown /></el-tab-pane>
        <el-tab-pane v-if="origin" :label="words.ladder.work" name="work" lazy><class-work :ladder="ladder" /></el-tab-pane>
        <el-tab-pane :label="lookWords.title" name="look" lazy><ladder-look :ladder="id" /></el-tab-pane>
      </el-tabs>
    </template>
    <p v-else class="soft">{{ words.loading }}</p>
  </main>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-block: 16px 22px;
}
/* A long rule goes on in a second line on a phone. */
.actions :deep(.el-checkbox) {
  block-size: auto;
  white-space: normal;
}
.print {
  padding: 7px 16px;
  border: 1.5px solid var(--honey);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font-weight: 650;
  text-decoration: none;
}
.print:hover {
  background: var(--honey-pale);
}
.which {
  inline-size: 190px;
}
.link {
  display: flex;
  flex: 1 1 380px;
  flex-wrap: wrap;
  gap: 8px;
}
.link .el-input {
  flex: 1 1 180px;
}
.link .el-button + .el-button {
  margin-inline-start: 0;
}
.hints {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
.hints .el-select {
  inline-size: 200px;
}
@media (max-width: 600px) {
  .link :deep(.el-input-group__prepend) {
    display: none;
  }
}
.host {
  inline-size: min(100%, 320px);
}
</style>
