<script setup lang="ts">
/** Makes a ladder, for a lesson or for the shelf: what to practise, how it climbs, and the sheet as it will be. */
import { ElAlert, ElButton, ElCheckbox, ElInput, ElInputNumber, ElOption, ElSelect, ElSwitch } from 'element-plus'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type ClassEntry, type LadderOrder, type MethodId, type SkillCard, type Stage, type Strand } from '@/api/client'
import BenchRungCard from '@/components/BenchRungCard.vue'
import FailureNote from '@/components/FailureNote.vue'
import StaleChoice from '@/components/StaleChoice.vue'
import StageHeading from '@/components/StageHeading.vue'
import StoryChooser from '@/components/StoryChooser.vue'
import { useBench } from '@/composables/useBench'
import { useSkills } from '@/composables/useSkills'
import { stageNames, strandNames, words } from '@/words'
import { useCall } from '@/composables/useCall'
import { useEventListener } from '@vueuse/core'
import { useUndoKeys } from '@/composables/useUndoKeys'

const props = defineProps<{ lesson?: number }>()
const router = useRouter()
/** The grade of the lesson that the ladder is for. */
const lessonGrade = ref<number>()
const { cards, failure: skillFailure } = useSkills(lessonGrade)
const hangs = useCall()
const { failure: hangFailure, busy: hanging } = hangs
const showKey = ref(false)
const newSeed = (): number => Math.floor(Math.random() * 1_000_000)
const order = reactive<LadderOrder>({ skills: [], grip: 3, tilt: 3, climb: 3, seed: newSeed(), method: null, methods: {}, world: null })
/** What the numbers may be; 0 stands for any size. */
const numbers = reactive({ largest: 0, whole: false, positive: false, by_hand: false })
const stages = Object.keys(stageNames) as Stage[]
const bench = useBench(props.lesson)
const { plan, rungs, canUndo, canRedo, failure, refused, state, stale } = bench

const find = ref('')
const grade = ref<number>()
const grades = Array.from({ length: 13 }, (_, n) => n)
const plain = (text: string): string => text.toLowerCase()
const fits = (card: SkillCard): boolean => {
  const text = plain(`${card.title} ${card.objective} ${strandNames[card.strand]}`)
  const inGrade = grade.value == null || (card.first_grade <= grade.value && grade.value <= card.last_grade)
  return inGrade && plain(find.value).split(/\s+/).every((word) => text.includes(word))
}
/** What is chosen stands first and stays in sight, whatever is looked for. */
const chosen = computed(() => cards.value.filter((card) => order.skills.includes(card.id)))
const fitting = computed(() => cards.value.filter(fits).length)
const offered = computed(() => cards.value.filter((card) => !order.skills.includes(card.id) && fits(card)))
/** What is chosen, and then what fits, strand by strand. */
const lists = computed(() =>
  [
    { name: words.bench.chosen, cards: chosen.value },
    ...(Object.keys(strandNames) as Strand[]).map((strand) => ({ name: strandNames[strand], cards: offered.value.filter((card) => card.strand === strand) })),
  ].filter((list) => list.cards.length),
)

/** The classes that are taught in a way of their own. */
const classes = ref<ClassEntry[]>([])
const same = (methods?: Record<string, string>): string => JSON.stringify(Object.entries(methods ?? {}).sort())
const forClass = computed(() => classes.value.find((one) => same(one.methods) === same(order.methods))?.id)
function teach(id?: number): void {
  order.methods = { ...(classes.value.find((one) => one.id === id)?.methods as Record<string, MethodId> | undefined) }
}

const methods = computed(() => chosen.value.flatMap((card) => card.methods))
const suggested = computed(() => chosen.value.map((card) => card.title).join(', '))
const groups = computed(() =>
  stages
    .map((stage) => ({ stage, rungs: rungs.value.filter((lying) => lying.rung.stage === stage) }))
    .filter((group) => group.rungs.length),
)

/** The order of the bench, as it was drawn; a change of ours draws it again. */
let drawn = ''
const asked = (): LadderOrder => ({
  ...order,
  skills: [...order.skills],
  method: order.method || null,
  methods: { ...order.methods },
  world: order.world ?? null,
  numbers: { whole: numbers.whole, positive: numbers.positive, by_hand: numbers.by_hand, ...(numbers.largest ? { largest: numbers.largest } : {}) },
})
function takeOrder(from: LadderOrder): void {
  const { numbers: told, ...rest } = from
  Object.assign(order, rest, { skills: [...from.skills], method: from.method ?? null, methods: { ...from.methods }, world: from.world ?? null })
  Object.assign(numbers, { largest: told?.largest ?? 0, whole: told?.whole ?? false, positive: told?.positive ?? false, by_hand: told?.by_hand ?? false })
  drawn = JSON.stringify(asked())
}
watch([order, numbers], async () => {
  if (order.method && !methods.value.some((m) => m.id === order.method)) order.method = null
  if (JSON.stringify(asked()) === drawn || !order.skills.length) return
  drawn = JSON.stringify(asked())
  await bench.draw(asked())
})
// Undone or opened again, the choices are those of the ladder that is shown.
watch(plan, (now) => {
  if (now && now.rungs.length && JSON.stringify(now.order) !== JSON.stringify(asked())) takeOrder(now.order)
})

useUndoKeys(bench.undo, bench.redo)
useEventListener('keydown', (event: KeyboardEvent) => {
  const isCommand = event.ctrlKey || event.metaKey || event.altKey
  const isWriting = event.target instanceof HTMLElement && event.target.closest('input, textarea, [contenteditable]')
  if (event.key.toLowerCase() === 'k' && !isCommand && !isWriting) showKey.value = !showKey.value
})
onMounted(async () => {
  const of = props.lesson
  const [answer, taught] = await Promise.all([of === undefined ? undefined : reply(api.GET('/api/lessons/{id}', { params: { path: { id: of } } })), reply(api.GET('/api/classes')), bench.load()])
  if (taught.ok) classes.value = taught.value.filter((one) => Object.keys(one.methods).length)
  if (!answer) return
  if (answer.ok) grade.value = lessonGrade.value = answer.value.lesson.grade
  else failure.value = answer.failure
})

async function hang(): Promise<void> {
  if (!plan.value) return
  const body = { title: plan.value.title.trim() || suggested.value, plan: plan.value }
  const kept = props.lesson === undefined ? api.POST('/api/ladders', { body }) : api.POST('/api/lessons/{id}/ladders', { params: { path: { id: props.lesson } }, body })
  await hangs.call(reply(kept), ({ id }) => {
    bench.done()
    void router.replace({ name: 'ladder', params: { id } })
  })
}
</script>

<template>
  <main class="page">
    <router-link v-if="lesson !== undefined" :to="{ name: 'lesson', params: { id: lesson } }">{{ words.bench.back }}</router-link>
    <router-link v-else :to="{ name: 'shelf' }">{{ words.commands.shelf }}</router-link>
    <h1>{{ words.bench.title }}</h1>
    <div class="bench">
      <div class="choices">
        <section>
          <h2>{{ words.bench.what }}</h2>
          <div class="find">
            <el-input v-model="find" clearable :placeholder="words.bench.find" :aria-label="words.bench.find" />
            <el-select v-model="grade" clearable :placeholder="words.bench.everyGrade" :aria-label="words.bench.grade">
              <el-option v-for="n in grades" :key="n" :value="n" :label="n ? `${words.bench.grade} ${n}` : words.bench.kindergarten" />
            </el-select>
          </div>
          <p class="soft count" role="status">{{ fitting ? words.bench.found(fitting) : words.bench.noSkill }}</p>
          <div class="skills" tabindex="0" :aria-label="words.bench.what" role="group">
            <template v-for="list in lists" :key="list.name">
            <h3 class="soft">{{ list.name }}</h3>
            <label v-for="card in list.cards" :key="card.id" class="card" :class="{ on: order.skills.includes(card.id) }">
              <el-checkbox
                :model-value="order.skills.includes(card.id)"
                :aria-label="card.title"
                @update:model-value="(on) => (order.skills = on ? [...order.skills, card.id] : order.skills.filter((id) => id !== card.id))"
              />
              <span>
                <strong>{{ card.title }}</strong>
                <span class="soft">{{ words.bench.grades(card.first_grade, card.last_grade) }}</span>
                <span class="soft">{{ card.objective }}</span>
              </span>
            </label>
            </template>
          </div>
        </section>
        <section>
          <h2>{{ words.bench.climbs }}</h2>
          <div v-for="stage in [...stages].reverse()" :key="stage" class="stage" :class="stage">
            <span :id="`count-${stage}`">{{ stageNames[stage] }}</span>
            <el-input-number v-model="order[stage]" :min="0" :max="30" :aria-label="stageNames[stage]" />
          </div>
          <label v-if="classes.length" class="field">
            <span>{{ words.bench.forClass }}</span>
            <el-select :model-value="forClass" :placeholder="words.bench.anyClass" clearable :aria-label="words.bench.forClass" @update:model-value="teach">
              <el-option v-for="one in classes" :key="one.id" :value="one.id" :label="one.title" />
            </el-select>
          </label>
          <label v-if="methods.length" class="field">
            <span>{{ words.bench.method }}</span>
            <el-select v-model="order.method" :placeholder="words.bench.usual" clearable :aria-label="words.bench.method">
              <el-option v-for="m in methods" :key="m.id" :value="m.id" :label="m.title" />
            </el-select>
          </label>
          <label class="field">
            <span>{{ words.bench.largest }}</span>
            <el-select v-model="numbers.largest" :aria-label="words.bench.largest">
              <el-option :value="0" :label="words.bench.anySize" />
              <el-option v-for="most in [10, 20, 50, 100, 1000]" :key="most" :value="most" :label="words.bench.upTo(most)" />
            </el-select>
          </label>
          <div class="kinds">
            <el-checkbox v-model="numbers.whole" :label="words.bench.whole" />
            <el-checkbox v-model="numbers.positive" :label="words.bench.positive" />
            <el-checkbox v-model="numbers.by_hand" :label="words.bench.byHand" />
          </div>
          <story-chooser v-model="order.world" />
          <el-button :disabled="!order.skills.length" @click="order.seed = newSeed()">{{ words.bench.again }}</el-button>
          <p class="soft hint">{{ words.bench.againHint }}</p>
        </section>
      </div>
      <section class="paper">
        <div class="paper-head">
          <el-input
            :model-value="plan?.title ?? ''"
            size="large"
            maxlength="120"
            :placeholder="suggested || words.bench.name"
            :aria-label="words.bench.name"
            @update:model-value="bench.setTitle"
          />
          <el-switch v-model="showKey" :active-text="words.bench.key" :aria-label="words.bench.key" />
          <span class="steps">
            <el-button :disabled="!canUndo" @click="bench.undo">{{ words.bench.undo }}</el-button>
            <el-button :disabled="!canRedo" @click="bench.redo">{{ words.bench.redo }}</el-button>
            <span class="soft state" role="status">{{ words.lesson[state] }}</span>
          </span>
        </div>
        <failure-note v-if="failure" :failure="failure" retry @again="bench.load" />
        <failure-note v-if="hangFailure" :failure="hangFailure" />
        <failure-note v-if="skillFailure" :failure="skillFailure" />
        <el-alert v-if="refused" class="refused" type="warning" :title="refused" :description="words.bench.refused" show-icon @close="refused = undefined" />
        <p v-if="!rungs.length" class="soft pick">{{ words.bench.pick }}</p>
        <section v-for="group in groups" :key="group.stage" class="group">
          <stage-heading :stage="group.stage" />
          <ol class="rungs">
            <bench-rung-card v-for="lying in group.rungs" :key="lying.key" :lying="lying" :key-shown="showKey" :change="bench.change" />
          </ol>
        </section>
        <div class="end">
          <el-button type="primary" size="large" :disabled="!rungs.length" :loading="hanging" @click="hang">
            {{ lesson === undefined ? words.bench.keep : words.bench.hang }}
          </el-button>
        </div>
      </section>
    </div>
    <stale-choice :open="stale !== undefined" :says="words.bench.stale" @mine="bench.keepMine" @theirs="bench.load" />
  </main>
</template>

<style scoped>
section h2 {
  margin-block-end: 10px;
}
.card {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 10px;
  align-items: start;
  padding: 10px 14px;
  margin-block-end: 10px;
  border: 1.5px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  cursor: pointer;
}
.card.on {
  border-color: var(--honey);
  box-shadow: inset 6px 0 0 var(--honey);
}
.card span span {
  display: block;
  font-size: 0.88rem;
}
.find {
  display: grid;
  grid-template-columns: 1fr 130px;
  gap: 8px;
}
.count {
  margin-block: 8px;
}
.skills h3 {
  margin-block: 6px 8px;
  font-size: 0.92rem;
}
.skills {
  max-block-size: 430px;
  overflow-y: auto;
  padding: 2px;
}
.stage {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 9px 14px;
  border-inline: var(--rail) solid var(--honey);
  border-block-start: var(--rail) solid var(--honey);
  font-weight: 700;
}
.stage.grip {
  border-block-end: var(--rail) solid var(--honey);
}
.field {
  display: grid;
  gap: 4px;
  margin-block: 16px 12px;
  font-weight: 600;
}
.kinds {
  display: grid;
  margin-block-end: 12px;
}
.paper-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px 20px;
  margin-block-end: 20px;
}
.paper-head > :first-child {
  flex: 1 1 240px;
}
.steps {
  display: flex;
  align-items: center;
  gap: 6px;
}
.steps .el-button {
  margin: 0;
}
.state {
  min-inline-size: 9ch;
}
.hint {
  margin-block-start: 6px;
}
.refused {
  margin-block-end: 14px;
}
.group + .group {
  margin-block-start: 22px;
}
.rungs {
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.pick {
  padding-block: 40px;
  text-align: center;
}
.end {
  display: flex;
  justify-content: end;
  margin-block-start: 22px;
}
</style>
