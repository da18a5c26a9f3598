<script setup lang="ts">
/** The teacher's own window: what stands on the wall, what comes then, notes, answers, and the clock. It follows the wall. */
import { useEventListener } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { api, reply, type LessonView } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import SlideFace from '@/components/SlideFace.vue'
import { shownTime, useClock } from '@/wall/clock'
import { useWallLink } from '@/wall/link'
import { words } from '@/words'
import { wallWords } from '@/words/wall'
import { useCall } from '@/composables/useCall'

const props = defineProps<{ id: number }>()
const view = ref<LessonView>()
const lesson = computed(() => view.value?.lesson)
const pictures = computed(() => view.value?.pictures ?? [])
const { failure, call } = useCall()
const at = ref(0)
const shown = ref(1)
const isHeard = ref(false)

const { tell } = useWallLink(props.id, (told) => {
  if (told.kind !== 'stands') return
  isHeard.value = true
  at.value = told.at
  shown.value = told.shown
})
const { elapsed, left } = useClock(props.id, lesson, at)
const slide = computed(() => lesson.value?.slides[at.value])
/** How the slide is revealed. */
const reveal = computed(() => view.value?.reveals[at.value])
/** What the next step will show: this slide one step on, or the next slide. */
const then = computed(() => {
  const now = slide.value
  if (!now || !reveal.value) return undefined
  if (shown.value < reveal.value.moments.length) return { slide: now, reveal: reveal.value, shown: shown.value + 1 }
  const next = lesson.value?.slides[at.value + 1]
  return next && { slide: next, reveal: view.value?.reveals[at.value + 1], shown: 1 }
})
const answers = computed(() => reveal.value?.blocks.map((block) => block.answer).filter(Boolean) ?? [])

onMounted(async () => {
  await call(reply(api.GET('/api/lessons/{id}', { params: { path: { id: props.id } } })), (lesson) => (view.value = lesson))
  tell({ kind: 'asks' })
})
useEventListener('keydown', (event: KeyboardEvent) => {
  if (event.ctrlKey || event.metaKey || event.altKey || event.target instanceof HTMLButtonElement) return
  const on = [' ', 'ArrowRight', 'ArrowDown', 'PageDown'].includes(event.key)
  if (!on && !['ArrowLeft', 'ArrowUp', 'PageUp'].includes(event.key)) return
  tell({ kind: 'go', to: on ? 'next' : 'back' })
  event.preventDefault()
})
</script>

<template>
  <main class="beside">
    <h1 class="only-heard">{{ wallWords.window.title }}</h1>
    <failure-note v-if="failure" :failure="failure" />
    <template v-else-if="lesson && slide">
      <p v-if="!isHeard" class="soft waits" role="status">{{ wallWords.window.waits }}</p>
      <section class="now">
        <h2>{{ wallWords.window.now }} · {{ words.show.place(at + 1, lesson.slides.length) }}</h2>
        <slide-face :key="slide.id" :slide="slide" :pictures="pictures" :theme="lesson.theme" :meanings="lesson.meanings" :shown="shown" :reveal="reveal" class="face" />
      </section>
      <section class="then">
        <h2>{{ wallWords.window.next }}</h2>
        <slide-face v-if="then" :key="`${then.slide.id}`" :slide="then.slide" :pictures="pictures" :theme="lesson.theme" :meanings="lesson.meanings" :shown="then.shown" :reveal="then.reveal" class="face" />
        <p v-else class="soft">{{ wallWords.window.end }}</p>
      </section>
      <section>
        <h2>{{ wallWords.window.notes }}</h2>
        <p class="notes">{{ slide.notes || wallWords.window.noNotes }}</p>
      </section>
      <section>
        <h2>{{ wallWords.window.answers }}</h2>
        <ol v-if="answers.length"><li v-for="(answer, n) in answers" :key="n">{{ answer }}</li></ol>
        <p v-else class="soft">–</p>
      </section>
      <footer>
        <span class="clock">{{ shownTime(elapsed) }}</span>
        <span :class="{ over: left < 0 }">{{ left < 0 ? wallWords.over(shownTime(-left)) : wallWords.left(shownTime(left)) }}</span>
        <span class="push" />
        <button type="button" @click="tell({ kind: 'go', to: 'back' })">{{ words.show.back }}</button>
        <button type="button" class="on" @click="tell({ kind: 'go', to: 'next' })">{{ words.show.next }}</button>
      </footer>
    </template>
    <p v-else class="soft">{{ words.loading }}</p>
  </main>
</template>

<style scoped src="@/styles/wall-buttons.css"></style>
<style scoped>
.beside {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  align-content: start;
  gap: 14px 20px;
  min-block-size: 100vh;
  padding: 16px 20px 76px;
}
.waits {
  grid-column: 1 / -1;
}
h2 {
  margin-block-end: 6px;
  font-size: 0.9rem;
}
.face {
  border: 1px solid var(--line);
  border-radius: 8px;
}
.notes {
  font-size: 1.15rem;
  white-space: pre-line;
}
ol {
  margin: 0;
  padding-inline-start: 1.3em;
  font-size: 1.15rem;
}
footer {
  position: fixed;
  inset-inline: 0;
  inset-block-end: 0;
  display: flex;
  align-items: center;
  gap: 14px;
  min-block-size: 56px;
  padding-inline: 20px;
  border-block-start: 3px solid var(--honey);
  background: var(--paper);
}
.clock {
  font-size: 1.5rem;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.over {
  color: var(--verdict-breaks);
}
.push {
  flex: 1;
}
button {
  min-block-size: 38px;
  padding-inline: 16px;
}
@media (max-width: 760px) {
  .beside {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
