<script setup lang="ts">
/** The phases of a plan with their minutes, who does what, and their slides, which can be dragged from one to another. */
import { useDebounceFn } from '@vueuse/core'
import { ElButton, ElInput, ElInputNumber, ElOption, ElSelect } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { api, reply, type Grouping, type Lesson, type Mend, type PhaseKind, type Slide } from '@/api/client'
import { phaseNames } from '@/words'
import { groupingNames, planWords } from '@/words/plan'

const lesson = defineModel<Lesson>({ required: true })
const emit = defineEmits<{ slide: [id: number]; add: [phase: PhaseKind] }>()
const groupings = Object.keys(groupingNames) as Grouping[]
const mends = ref<Mend[]>([])

const sum = computed(() => lesson.value.phases.reduce((all, phase) => all + (phase.minutes ?? 0), 0))
const over = computed(() => sum.value - lesson.value.minutes)
const told = computed(() => (over.value === 0 ? planWords.fits(sum.value) : over.value > 0 ? planWords.over(over.value) : planWords.short(-over.value)))

const ask = useDebounceFn(async () => {
  const { phases, minutes } = lesson.value
  const answer = await reply(api.POST('/api/lessons/mends', { body: { phases, minutes } }))
  mends.value = answer.ok ? answer.value : []
}, 150)
watch(() => [lesson.value.minutes, ...lesson.value.phases.map((phase) => phase.minutes)].join(), ask, { immediate: true })

function take(mend: Mend): void {
  lesson.value.phases.forEach((phase, at) => (phase.minutes = mend.minutes[at] ?? phase.minutes))
  lesson.value.minutes = mend.length
}

const slidesOf = (kind: PhaseKind): Slide[] => lesson.value.slides.filter((slide) => slide.phase === kind)
const onSlides = (kind: PhaseKind): number => slidesOf(kind).reduce((all, slide) => all + slide.minutes, 0)

/** The slides of one phase stand in that order; the lesson keeps the order of its phases. */
function arrange(kind: PhaseKind, slides: Slide[]): void {
  const here = new Set(slides.map((slide) => slide.id))
  const lists = lesson.value.phases.map((phase) =>
    phase.kind === kind ? slides.map((slide) => ({ ...slide, phase: kind })) : slidesOf(phase.kind).filter((slide) => !here.has(slide.id)),
  )
  lesson.value.slides = lists.flat()
}

function send(slide: Slide, to: PhaseKind): void {
  arrange(to, [...slidesOf(to).filter((other) => other.id !== slide.id), slide])
}
</script>

<template>
  <section class="phases" :aria-label="planWords.phases">
    <div class="sum" :class="{ off: over !== 0 }" role="status">
      <strong>{{ told }}</strong>
      <el-button v-for="mend in mends" :key="mend.says" size="small" @click="take(mend)">{{ mend.says }}</el-button>
    </div>
    <div v-for="phase in lesson.phases" :key="phase.kind" class="phase">
      <div class="what">
        <h3>{{ phaseNames[phase.kind] }}</h3>
        <el-input-number v-model="phase.minutes" :min="0" :max="300" :aria-label="`${phaseNames[phase.kind]}: ${planWords.minutes}`" />
        <span v-if="slidesOf(phase.kind).length" class="soft" :class="{ off: onSlides(phase.kind) !== phase.minutes }">{{ planWords.slideMinutes(onSlides(phase.kind)) }}</span>
        <el-select v-model="phase.grouping" :aria-label="`${phaseNames[phase.kind]}: ${planWords.grouping}`">
          <el-option v-for="one in groupings" :key="one" :value="one" :label="groupingNames[one]" />
        </el-select>
      </div>
      <div class="does">
        <label><span>{{ planWords.teacher }}</span><el-input v-model="phase.teacher" type="textarea" :autosize="{ minRows: 1, maxRows: 6 }" maxlength="4000" /></label>
        <label><span>{{ planWords.students }}</span><el-input v-model="phase.students" type="textarea" :autosize="{ minRows: 1, maxRows: 6 }" maxlength="4000" /></label>
      </div>
      <div class="slides">
        <span class="head">{{ planWords.itsSlides }}</span>
        <vue-draggable :model-value="slidesOf(phase.kind)" group="slides" :animation="140" class="pile" @update:model-value="(slides: Slide[]) => arrange(phase.kind, slides)">
          <div v-for="slide in slidesOf(phase.kind)" :key="slide.id" class="slide">
            <button type="button" class="name" @click="emit('slide', slide.id)">{{ slide.title }}</button>
            <span class="soft">{{ slide.minutes }} min</span>
            <el-select :model-value="slide.phase" size="small" class="to" :aria-label="`${slide.title}: ${planWords.moveTo}`" @update:model-value="(to: PhaseKind) => send(slide, to)">
              <el-option v-for="other in lesson.phases" :key="other.kind" :value="other.kind" :label="phaseNames[other.kind]" />
            </el-select>
          </div>
        </vue-draggable>
        <span v-if="!slidesOf(phase.kind).length" class="soft none">{{ planWords.noSlides }}</span>
        <el-button text size="small" class="add" :aria-label="`${phaseNames[phase.kind]}: ${planWords.addSlide}`" @click="emit('add', phase.kind)">+ {{ planWords.addSlide }}</el-button>
      </div>
    </div>
  </section>
</template>

<style scoped>
.phases {
  display: grid;
  gap: 12px;
}
.sum {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 10px 14px;
  border-inline-start: 5px solid var(--verdict-holds);
  border-radius: 6px;
  background: var(--sunk);
}
.sum.off {
  border-color: var(--verdict-breaks);
}
.sum .el-button {
  margin: 0;
}
.phase {
  display: grid;
  grid-template-columns: 170px minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 18px;
  padding: 14px 16px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
.what,
.does {
  display: grid;
  align-content: start;
  gap: 8px;
}
h3 {
  font-size: 1rem;
}
label {
  display: grid;
  gap: 2px;
}
label > span,
.head {
  font-size: 0.85rem;
  font-weight: 600;
}
.soft {
  font-size: 0.85rem;
}
.soft.off {
  color: var(--verdict-breaks);
}
.slides {
  position: relative;
  display: grid;
  align-content: start;
  gap: 4px;
}
.pile {
  display: grid;
  align-content: start;
  gap: 4px;
  min-block-size: 40px;
}
.none {
  position: absolute;
  inset-block-start: 30px;
  pointer-events: none;
}
.add {
  justify-self: start;
}
.slide {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 112px;
  align-items: center;
  gap: 8px;
  padding: 3px 4px 3px 10px;
  border-inline-start: 4px solid var(--honey);
  border-radius: 4px;
  background: var(--sunk);
  cursor: grab;
}
.name {
  padding: 4px 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 0.92rem;
  text-align: start;
  cursor: pointer;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
@media (max-width: 900px) {
  .phase {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
