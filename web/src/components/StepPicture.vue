<script setup lang="ts">
/** A step, seen: both sides as curves and the solutions on a number line, of the line above and of this one. */
import { onMounted, ref } from 'vue'
import { api, reply, type StepScenes } from '@/api/client'
import MathLine from './MathLine.vue'
import SceneView from './SceneView.vue'
import { words } from '@/words'

const props = defineProps<{ link: string; number: number; line: number }>()
const scenes = ref<StepScenes>()
const says = ref('')

onMounted(async () => {
  const path = { link: props.link, number: props.number, line: props.line }
  const answer = await reply(api.GET('/api/desk/{link}/rungs/{number}/lines/{line}/picture', { params: { path } }))
  if (answer.ok) scenes.value = answer.value
  else says.value = answer.failure.says
})
</script>

<template>
  <div class="step" aria-live="polite">
    <p v-if="says" class="soft">{{ says }}</p>
    <template v-if="scenes">
      <section v-for="(one, name) in { [words.desk.above]: scenes.above, [words.desk.this]: scenes.line }" :key="name">
        <h3>{{ name }}: <math-line :latex="one.latex" /></h3>
        <scene-view v-if="one.curves" :scene="one.curves" />
        <scene-view v-if="one.solutions" :scene="one.solutions" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.step {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 280px), 1fr));
  gap: 14px 20px;
  padding: 12px 14px;
  border: 1.5px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
section {
  display: grid;
  align-content: start;
  gap: 8px;
  min-inline-size: 0;
}
h3 {
  margin: 0;
  font-size: 1rem;
  font-weight: 650;
}
</style>
