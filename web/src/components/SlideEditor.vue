<script setup lang="ts">
/** Everything of one slide that can be changed, beside its picture. Changes go straight into the lesson. */
import { ElButton, ElDropdown, ElDropdownItem, ElDropdownMenu, ElInput, ElInputNumber, ElOption, ElSelect } from 'element-plus'
import { computed, nextTick, onMounted, ref, useTemplateRef, type ComponentPublicInstance } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import type { Block, PhaseKind, Slide } from '@/api/client'
import { blockKinds, offeredKinds } from '@/blocks/registry'
import type { Kind } from '@/blocks/kinds'
import { comesAt } from '@/slide/comes'
import BlockEditor from './BlockEditor.vue'
import { phaseNames, words } from '@/words'
import { blockWords } from '@/words/plan'

const slide = defineModel<Slide>({ required: true })
const props = defineProps<{ lesson: number; skill?: string | null; grade?: number; /** Just made: its heading is to be typed over. */ fresh?: boolean }>()
const emit = defineEmits<{ bench: [block?: number]; split: [at: number] }>()
const phases = Object.keys(phaseNames) as PhaseKind[]
/** The kind that is being chosen, where it is chosen before it is put on the slide. */
const choosing = ref<Kind>()

const heading = useTemplateRef('heading')
const blocks = useTemplateRef<HTMLElement[]>('blocks')
const chooser = useTemplateRef<ComponentPublicInstance>('chooser')
onMounted(() => props.fresh && heading.value?.select())

/** The blocks with when they come, so that both move together. */
const parts = computed({
  get: () => slide.value.blocks.map((block, at) => ({ block, comes: comesAt(slide.value, at) })),
  set: (all) => {
    slide.value.blocks = all.map((part) => part.block)
    slide.value.comes = all.some((part) => part.comes) ? all.map((part) => part.comes) : []
  },
})
function change(make: (all: { block: Block; comes: number }[]) => void): void {
  const all = [...parts.value]
  make(all)
  parts.value = all
}
const put = (block: Block): void => change((all) => all.push({ block, comes: 0 }))
/** A new block is written on at once. */
async function putEmpty(block: Block): Promise<void> {
  put(block)
  await nextTick()
  blocks.value?.at(-1)?.querySelector<HTMLElement>('textarea, input:not(.comes input)')?.focus()
}
const move = (at: number, by: number): void => change((all) => all.splice(at + by, 0, ...all.splice(at, 1)))
const copy = (at: number): void => change((all) => all.splice(at + 1, 0, JSON.parse(JSON.stringify(all[at]))))
const comes = (at: number, step: number): void => change((all) => (all[at] = { block: all[at]!.block, comes: step }))

async function add(kind: Kind): Promise<void> {
  const { chooser: chosen, empty } = blockKinds[kind]
  choosing.value = chosen ? kind : undefined
  if (empty) await putEmpty(empty())
  else if (!chosen) emit('bench')
  else {
    await nextTick()
    chooser.value?.$el.scrollIntoView({ block: 'center' })
  }
}
function made(block: Block): void {
  put(block)
  choosing.value = undefined
}
</script>

<template>
  <div class="editor">
    <label class="wide">
      <span>{{ words.lesson.heading }}</span>
      <el-input ref="heading" v-model="slide.title" maxlength="200" />
    </label>
    <label>
      <span>{{ words.lesson.phase }}</span>
      <el-select v-model="slide.phase" :aria-label="words.lesson.phase">
        <el-option v-for="p in phases" :key="p" :value="p" :label="phaseNames[p]" />
      </el-select>
    </label>
    <label>
      <span>{{ words.lesson.minutes }}</span>
      <el-input-number v-model="slide.minutes" :min="0" :max="300" :aria-label="words.lesson.minutes" />
    </label>
    <vue-draggable v-model="parts" handle=".grip" :animation="140" class="wide blocks">
      <section v-for="(part, at) in parts" ref="blocks" :key="at" class="block" :aria-label="blockKinds[part.block.kind].name">
        <div class="bar">
          <span class="grip" aria-hidden="true">⠿</span>
          <strong>{{ blockKinds[part.block.kind].name }}</strong>
          <span class="push" />
          <el-select :model-value="part.comes" size="small" class="comes" :aria-label="blockWords.comes" @update:model-value="(step: number) => comes(at, step)">
            <el-option :value="0" :label="blockWords.fromStart" />
            <el-option v-for="n in parts.length" :key="n" :value="n" :label="blockWords.step(n)" />
          </el-select>
          <span class="deeds">
          <el-button text size="small" :aria-label="blockWords.up" :disabled="at === 0" @click="move(at, -1)">↑</el-button>
          <el-button text size="small" :aria-label="blockWords.down" :disabled="at === parts.length - 1" @click="move(at, 1)">↓</el-button>
          <el-button v-if="at > 0" text size="small" :aria-label="blockWords.split" :title="blockWords.split" @click="emit('split', at)">{{ blockWords.splitShort }}</el-button>
          <el-button text size="small" :aria-label="blockWords.twice" @click="copy(at)">{{ words.lesson.twice }}</el-button>
          <el-button text size="small" :aria-label="words.lesson.removeBlock" @click="change((all) => all.splice(at, 1))">×</el-button>
          </span>
        </div>
        <block-editor v-model="slide.blocks[at]!" @bench="emit('bench', at)" />
      </section>
    </vue-draggable>
    <div class="wide">
      <el-dropdown trigger="click" @command="add">
        <el-button>{{ blockWords.add }} …</el-button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item v-for="(entry, at) in offeredKinds" :key="entry.kind" :command="entry.kind" :divided="!entry.empty && Boolean(offeredKinds[at - 1]?.empty)">{{ entry.name }}</el-dropdown-item>
          </el-dropdown-menu>
        </template>
      </el-dropdown>
    </div>
    <component :is="blockKinds[choosing].chooser" v-if="choosing" ref="chooser" class="wide" :skill="skill" :grade="grade" @made="made" />
    <label class="wide">
      <span>{{ words.lesson.notes }}</span>
      <el-input v-model="slide.notes" type="textarea" :autosize="{ minRows: 1, maxRows: 6 }" maxlength="4000" />
    </label>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 14px;
  align-content: start;
  padding: 14px 16px;
  background: var(--sunk);
}
label {
  display: grid;
  gap: 3px;
  align-content: start;
  font-size: 0.9rem;
  font-weight: 600;
}
.wide {
  grid-column: 1 / -1;
}
.blocks {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.block {
  display: grid;
  justify-items: start;
  gap: 8px;
  padding: 6px 10px 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  inline-size: 100%;
  font-size: 0.85rem;
}
.bar .el-button {
  margin: 0;
  padding-inline: 7px;
  font-size: 0.9rem;
}
.deeds {
  display: flex;
  gap: 2px;
}
.grip {
  padding-inline: 4px;
  color: var(--ink-soft);
  cursor: grab;
}
.push {
  flex: 1;
}
.comes {
  inline-size: 118px;
}
</style>
