<script setup lang="ts">
/** Where the stories of a ladder come from: the bee garden, or a scenario of the teacher's own. */
import { ElButton, ElOption, ElSelect } from 'element-plus'
import { computed, onMounted, ref } from 'vue'
import { api, reply, type ScenarioEntry, type OwnScenario } from '@/api/client'
import ScenarioDialog from './ScenarioDialog.vue'
import { words } from '@/words'

const world = defineModel<OwnScenario | null | undefined>({ required: true })
const entries = ref<ScenarioEntry[]>([])
const open = ref(false)
const changed = ref<ScenarioEntry>()

async function load(): Promise<void> {
  const answer = await reply(api.GET('/api/scenarios'))
  if (answer.ok) entries.value = answer.value
}
onMounted(load)

const same = (a: OwnScenario, b: OwnScenario): boolean => JSON.stringify(a) === JSON.stringify(b)
const entry = computed(() => entries.value.find((one) => world.value && same(one.world, world.value)))
/** The id of the scenario; 0 is the bee garden, and -1 one that has been changed since the ladder was drawn. */
const chosen = computed(() => (world.value ? (entry.value?.id ?? -1) : 0))

function choose(id: number): void {
  world.value = entries.value.find((one) => one.id === id)?.world ?? null
}
function edit(one?: ScenarioEntry): void {
  changed.value = one
  open.value = true
}
async function kept(now: OwnScenario): Promise<void> {
  open.value = false
  await load()
  world.value = now
}
async function gone(): Promise<void> {
  open.value = false
  world.value = null
  await load()
}
</script>

<template>
  <div class="stories">
    <label class="field">
      <span>{{ words.scenario.from }}</span>
      <el-select :model-value="chosen" :aria-label="words.scenario.from" @update:model-value="choose">
        <el-option :value="0" :label="words.scenario.bees" />
        <el-option v-for="one in entries" :key="one.id" :value="one.id" :label="one.world.title" />
        <el-option v-if="chosen === -1 && world" :value="-1" :label="world.title" />
      </el-select>
    </label>
    <div class="buttons">
      <el-button v-if="entry" size="small" @click="edit(entry)">{{ words.scenario.change }}</el-button>
      <el-button size="small" @click="edit()">{{ words.scenario.make }}</el-button>
    </div>
    <scenario-dialog v-model="open" :entry="changed" @kept="kept" @gone="gone" />
  </div>
</template>

<style scoped>
.stories {
  margin-block-end: 16px;
}
.field {
  display: grid;
  gap: 4px;
  font-weight: 600;
}
.buttons {
  display: flex;
  gap: 8px;
  margin-block-start: 6px;
}
.buttons .el-button {
  margin: 0;
}
</style>
