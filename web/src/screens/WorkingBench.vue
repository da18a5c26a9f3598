<script setup lang="ts">
/** Makes a worked example: the problem, how it is worked, each line, and the slide it goes to. */
import { ElAlert, ElButton, ElDialog, ElOption, ElRadioButton, ElRadioGroup, ElSelect } from 'element-plus'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type Beginning, type Block, type Detail, type Lesson, type MethodId, type SlipOffer } from '@/api/client'
import ExampleBoard from '@/components/ExampleBoard.vue'
import ExampleLineCard from '@/components/ExampleLineCard.vue'
import FailureNote from '@/components/FailureNote.vue'
import ProblemChooser from '@/components/ProblemChooser.vue'
import SlipChooser from '@/components/SlipChooser.vue'
import { useSkills } from '@/composables/useSkills'
import { useExample, type Place } from '@/composables/useExample'
import { useUndoKeys } from '@/composables/useUndoKeys'
import { slideOf } from '@/example/slide'
import { detailNames, words } from '@/words'

const props = defineProps<{ /** The lesson that it is for; without one it begins a lesson. */ lesson?: number; place?: Place; /** The slide that a new example goes to. */ onto?: number }>()
const router = useRouter()
const bench = useExample(props.lesson, props.place)
const { view, canUndo, canRedo, failure, refused, busy, slips } = bench
/** The lesson that it is for. */
const host = ref<Lesson>()
const { cards, failure: skillFailure } = useSkills(() => host.value?.grade)
const opened = ref<number>()
const choosing = ref(false)
const slipping = ref(false)
/** The slide that the example goes to; 0 is a new one. */
const target = ref(props.onto ?? 0)
const shown = ref(1)
const chooser = useTemplateRef<InstanceType<typeof ProblemChooser>>('chooser')
const details = Object.keys(detailNames) as Detail[]
/** Longest title of a lesson, in characters. */
const MOST_TITLE = 120

const example = computed(() => view.value?.example)
const total = computed(() => view.value?.reveal.steps ?? 0)
const sound = computed(() => example.value?.working.filter((line) => line.verdict === 'holds').length ?? 0)
const claims = computed(() => example.value?.working.filter((line) => line.verdict !== 'given').length ?? 0)
const told = computed(() => words.lesson.lines(sound.value, claims.value))

// What is looked at is the whole board, unless it is being stepped through.
watch(total, (now) => (shown.value = now))

async function begin(beginning: Beginning): Promise<void> {
  if (await bench.begin(beginning)) {
    choosing.value = false
    opened.value = undefined
  }
}
async function putIn(offer: SlipOffer): Promise<void> {
  slipping.value = false
  await bench.change({ kind: 'slip', slip: offer.slip })
}
async function openSlips(): Promise<void> {
  slipping.value = true
  await bench.offerSlips()
}

let landed = 0
function put(there: Lesson, block: Block, isOriginal: (block: Block) => boolean): void {
  const slide = there.slides.find((one) => one.id === (props.place?.slide ?? target.value))
  const at = props.place && slide ? slide.blocks.findIndex(isOriginal) : -1
  if (slide && at >= 0) slide.blocks.splice(at, 1, block)
  else if (slide) slide.blocks.push(block)
  landed = slide?.id ?? slideOf(there, block)
}
/** A new lesson that begins with this example. */
async function begun(): Promise<number | undefined> {
  const { title = '', drawn } = example.value ?? {}
  const skill = cards.value.find((card) => card.id === drawn?.skill)
  const topic = (skill?.title ?? title).slice(0, MOST_TITLE) || words.example.title
  const answer = await reply(api.POST('/api/lessons', { body: { topic, grade: skill?.first_grade ?? 8, strand: skill?.strand ?? 'algebra', minutes: 45 } }))
  if (!answer.ok) failure.value = answer.failure
  return answer.ok ? answer.value.id : undefined
}
async function send(): Promise<void> {
  const into = props.lesson ?? (await begun())
  if (into !== undefined && (await bench.send(into, put))) await router.push({ name: 'lesson', params: { id: into }, hash: `#slide-${landed}` })
}

useUndoKeys(bench.undo, bench.redo)
onMounted(async () => {
  if (props.lesson !== undefined) {
    const there = await reply(api.GET('/api/lessons/{id}', { params: { path: { id: props.lesson } } }))
    if (there.ok) host.value = there.value.lesson
    else failure.value = there.failure
  }
  await bench.load(host.value)
  if (!view.value) chooser.value?.focus()
})
</script>

<template>
  <main class="page">
    <router-link v-if="lesson !== undefined" :to="{ name: 'lesson', params: { id: lesson } }">{{ words.bench.back }}</router-link>
    <router-link v-else :to="{ name: 'shelf' }">{{ words.commands.shelf }}</router-link>
    <h1>{{ words.example.title }}</h1>
    <failure-note v-if="failure ?? skillFailure" :failure="(failure ?? skillFailure)!" />
    <div class="bench">
      <div class="choices">
        <section v-if="!view || choosing">
          <h2>{{ words.example.what }}</h2>
          <problem-chooser ref="chooser" :cards="cards" :busy="busy" @begin="begin" />
          <el-button v-if="view" class="cancel" @click="choosing = false">{{ words.cancel }}</el-button>
        </section>
        <template v-else-if="example">
          <section>
            <h2>{{ words.example.what }}</h2>
            <p class="soft">{{ example.title }}</p>
            <div class="buttons">
              <el-button @click="choosing = true">{{ words.example.another }}</el-button>
              <el-button :loading="busy" @click="bench.change({ kind: 'vary', seed: Math.floor(Math.random() * 1_000_000) })">{{ words.example.vary }}</el-button>
            </div>
          </section>
          <section>
            <h2>{{ words.example.how }}</h2>
            <label v-if="example.methods.length > 1" class="field method">
              <span>{{ words.lesson.method }}</span>
              <el-select :model-value="example.method" :aria-label="words.lesson.method" @update:model-value="(id: MethodId) => bench.change({ kind: 'method', id })">
                <el-option v-for="m in example.methods" :key="m.id" :value="m.id" :label="m.title" />
              </el-select>
            </label>
            <div class="field">
              <span>{{ words.example.detail }}</span>
              <el-radio-group :model-value="example.detail" :aria-label="words.example.detail" @update:model-value="(to) => bench.change({ kind: 'detail', detail: to as Detail })">
                <el-radio-button v-for="one in details" :key="one" :value="one" :label="detailNames[one]" />
              </el-radio-group>
            </div>
          </section>
          <section>
            <h2>{{ words.example.find }}</h2>
            <template v-if="example.slip">
              <p class="soft">{{ words.example.wrote(example.slip.name) }}</p>
              <el-button @click="bench.change({ kind: 'slip', slip: null })">{{ words.example.noMoreSlip }}</el-button>
            </template>
            <template v-else>
              <p class="soft">{{ words.example.findHint }}</p>
              <el-button @click="openSlips">{{ words.example.slip }}</el-button>
            </template>
          </section>
        </template>
      </div>
      <section class="paper" :aria-label="words.example.working">
        <el-alert v-if="refused" class="refused" type="warning" :title="refused.says" :description="view ? words.bench.refused : undefined" show-icon @close="refused = undefined" />
        <p v-if="refused?.mended" class="mend">
          <el-button size="small" @click="begin({ kind: 'typed', problem: { text: refused.mended, latex: false } })">{{ words.example.mend(refused.mended) }}</el-button>
        </p>
        <p v-if="!example" class="soft pick">{{ words.example.pick }}</p>
        <template v-else-if="view">
          <div class="paper-head">
            <h2>{{ words.example.working }}</h2>
            <span class="soft" role="status">{{ told }}</span>
            <span class="push" />
            <el-button :disabled="!canUndo" @click="bench.undo">{{ words.bench.undo }}</el-button>
            <el-button :disabled="!canRedo" @click="bench.redo">{{ words.bench.redo }}</el-button>
          </div>
          <p class="soft hint">{{ words.example.hint }}</p>
          <ol class="lines">
            <example-line-card
              v-for="(line, at) in example.working"
              :key="at"
              :open="opened === at"
              :line="line"
              :offers="view.offers[at]!"
              :at="at"
              :change="bench.change"
              @update:open="(open) => (opened = open ? at : undefined)"
            />
          </ol>
          <section class="wall">
            <div class="paper-head">
              <h2>{{ words.example.wall }}</h2>
              <span class="soft">{{ words.example.step(shown, total) }}</span>
              <span class="push" />
              <el-button :disabled="shown <= 1" @click="shown -= 1">{{ words.example.stepBack }}</el-button>
              <el-button :disabled="shown >= total" @click="shown += 1">{{ words.example.stepOn }}</el-button>
              <el-button @click="shown = 1">{{ words.example.fromStart }}</el-button>
            </div>
            <example-board class="board" :example="example" :pictures="view.pictures" :shown="shown" :reveal="view.reveal" />
          </section>
          <div class="end">
            <label v-if="!place && host" class="target">
              <span>{{ words.example.to }}</span>
              <el-select v-model="target" size="large" :aria-label="words.example.to">
                <el-option :value="0" :label="words.example.newSlide" />
                <el-option v-for="(slide, n) in host.slides" :key="slide.id" :value="slide.id" :label="words.example.slide(n + 1, slide.title)" />
              </el-select>
            </label>
            <el-button type="primary" size="large" :loading="busy" @click="send">{{ place ? words.example.putBack : lesson === undefined ? words.example.begin : words.lesson.keep }}</el-button>
          </div>
        </template>
      </section>
    </div>
    <el-dialog v-model="slipping" :title="words.example.slip" width="min(94vw, 760px)">
      <slip-chooser v-if="slips" :offers="slips" @choose="putIn" />
      <p v-else class="soft">{{ words.loading }}</p>
    </el-dialog>
  </main>
</template>

<style scoped>
.choices h2 {
  margin-block-end: 8px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-block-start: 10px;
}
.buttons .el-button {
  margin: 0;
}
.choices p + .el-button,
.cancel {
  margin-block-start: 10px;
}
.field {
  display: grid;
  gap: 4px;
  margin-block-start: 8px;
  font-weight: 600;
}
.paper-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
}
.paper-head .el-button {
  margin: 0;
}
.push {
  flex: 1;
}
.hint {
  margin-block: 4px 12px;
  font-size: 0.92rem;
}
.refused,
.mend {
  margin-block-end: 12px;
}
.lines {
  margin: 0;
  padding: 0;
  border-block-start: 1px solid var(--line);
  list-style: none;
}
.wall {
  margin-block-start: 30px;
}
.board {
  margin-block-start: 10px;
  padding: 18px 22px;
  border: 2px solid var(--honey);
  border-radius: var(--radius);
  font-size: 1.1rem;
}
.end {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  justify-content: end;
  gap: 12px;
  margin-block-start: 24px;
}
.target {
  display: grid;
  gap: 4px;
  flex: 0 1 320px;
  font-weight: 600;
}
</style>
