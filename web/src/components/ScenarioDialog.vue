<script setup lang="ts">
/** A scenario of the teacher's own: people, a place, things with their numbers, and the stories that come of it. */
import { ElButton, ElDialog, ElInput, ElInputNumber } from 'element-plus'
import { reactive, ref, watch } from 'vue'
import { api, reply, type OwnThing, type ScenarioEntry, type OwnScenario } from '@/api/client'
import FailureNote from './FailureNote.vue'
import MathText from './MathText.vue'
import { words } from '@/words'
import { useCall } from '@/composables/useCall'

const open = defineModel<boolean>({ required: true })
/** The scenario that is changed; a new one when there is none. */
const props = defineProps<{ entry?: ScenarioEntry }>()
const emit = defineEmits<{ kept: [world: OwnScenario]; gone: [] }>()

const fresh = (): OwnThing => ({ one: '', many: '', of: '', least: 2, most: 100 })
const form = reactive({ title: '', place: '', people: '', things: [fresh()] })
const { failure, busy, call } = useCall()
const stories = ref<string[]>([])

watch(open, (now) => {
  if (!now) return
  const from = props.entry?.world
  form.title = from?.title ?? ''
  form.place = from?.place ?? ''
  form.people = from?.people.join(', ') ?? ''
  form.things = from ? from.things.map((thing) => ({ ...thing })) : [fresh()]
  stories.value = []
  failure.value = undefined
})

function world(): OwnScenario {
  return {
    title: form.title.trim(),
    place: form.place.trim(),
    people: form.people.split(/[,;\n]/).map((name) => name.trim()).filter(Boolean),
    things: form.things.map((thing) => ({ ...thing, one: thing.one.trim(), many: thing.many.trim(), of: thing.of?.trim() ?? '' })),
  }
}

async function tell(): Promise<void> {
  stories.value = []
  await call(reply(api.POST('/api/scenarios/stories', { body: world() })), (told) => {
    stories.value = told
    if (!told.length) failure.value = { kind: 'bad', says: words.scenario.noStory }
  })
}

async function keep(): Promise<void> {
  const body = world()
  const kept = props.entry
    ? reply<unknown>(api.PUT('/api/scenarios/{id}', { params: { path: { id: props.entry.id } }, body: { based_on: props.entry.revision, world: body } }))
    : reply<unknown>(api.POST('/api/scenarios', { body }))
  await call(kept, () => emit('kept', body))
}

async function remove(): Promise<void> {
  if (!props.entry) return
  await call(reply<unknown>(api.DELETE('/api/scenarios/{id}', { params: { path: { id: props.entry.id } } })), () => emit('gone'))
}
</script>

<template>
  <el-dialog v-model="open" :title="words.scenario.title" width="min(94vw, 760px)">
    <form class="form" @submit.prevent="keep">
      <p class="soft">{{ words.scenario.lead }}</p>
      <div class="two">
        <label>
          <span>{{ words.scenario.name }}</span>
          <el-input v-model="form.title" maxlength="60" :placeholder="words.scenario.nameHint" />
        </label>
        <label>
          <span>{{ words.scenario.place }}</span>
          <el-input v-model="form.place" maxlength="60" :placeholder="words.scenario.placeHint" />
        </label>
      </div>
      <label>
        <span>{{ words.scenario.people }}</span>
        <el-input v-model="form.people" maxlength="400" :placeholder="words.scenario.peopleHint" />
      </label>
      <fieldset>
        <legend>{{ words.scenario.things }}</legend>
        <div v-for="(thing, at) in form.things" :key="at" class="thing" role="group" :aria-label="words.scenario.thing(at + 1)">
          <el-input v-model="thing.one" maxlength="30" :placeholder="words.scenario.oneHint" :aria-label="words.scenario.one" />
          <el-input v-model="thing.many" maxlength="30" :placeholder="words.scenario.manyHint" :aria-label="words.scenario.many" />
          <el-input v-model="thing.of" maxlength="30" :placeholder="words.scenario.ofHint" :aria-label="words.scenario.of" />
          <el-input-number v-model="thing.least" :min="0" :max="99999" :controls="false" :aria-label="words.scenario.least" />
          <span class="soft">{{ words.scenario.to }}</span>
          <el-input-number v-model="thing.most" :min="1" :max="100000" :controls="false" :aria-label="words.scenario.most" />
          <el-button text :disabled="form.things.length === 1" :aria-label="`${words.scenario.remove}: ${words.scenario.thing(at + 1)}`" @click="form.things.splice(at, 1)">{{ words.scenario.remove }}</el-button>
        </div>
        <el-button :disabled="form.things.length >= 12" @click="form.things.push(fresh())">{{ words.scenario.add }}</el-button>
      </fieldset>
      <failure-note v-if="failure" :failure="failure" />
      <ul v-if="stories.length" class="stories" aria-live="polite">
        <li v-for="story in stories" :key="story"><math-text :text="story" /></li>
      </ul>
      <div class="actions">
        <el-button v-if="entry" size="large" @click="remove">{{ words.scenario.takeAway }}</el-button>
        <span class="push" />
        <el-button size="large" @click="tell">{{ words.scenario.tell }}</el-button>
        <el-button size="large" type="primary" native-type="submit" :loading="busy">{{ words.scenario.keep }}</el-button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 16px;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 16px;
}
label,
fieldset {
  display: grid;
  gap: 4px;
  justify-items: start;
  font-weight: 600;
}
fieldset {
  gap: 8px;
  margin: 0;
  padding: 0;
  border: 0;
}
.thing {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) 76px auto 76px auto;
  gap: 6px;
  align-items: center;
  inline-size: 100%;
  font-weight: 400;
}
.thing .el-input-number {
  inline-size: 100%;
}
.stories {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 12px 14px 12px 30px;
  border-radius: var(--radius);
  background: var(--sunk);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.actions .el-button {
  margin: 0;
}
.push {
  flex: 1;
}
@media (max-width: 640px) {
  .thing {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
