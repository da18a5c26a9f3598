<script setup lang="ts">
/** The lesson on the wall: one slide, its working revealed line by line. */
import { useEventListener } from '@vueuse/core'
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type Drawing, type Failure, type Lesson } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import SlideFace from '@/components/SlideFace.vue'
import { useShow } from '@/composables/useShow'
import { words } from '@/words'

const props = defineProps<{ id: number; from: number }>()
const router = useRouter()
const lesson = ref<Lesson>()
const pictures = ref<Drawing[]>([])
const failure = ref<Failure>()
const blank = ref(false)
const { slides, at, shown, slide, total, ended, spoken, next, back, jump } = useShow(lesson, props.from)

async function load(): Promise<void> {
  const answer = await reply(api.GET('/api/lessons/{id}', { params: { path: { id: props.id } } }))
  failure.value = answer.ok ? undefined : answer.failure
  if (!answer.ok) return
  lesson.value = answer.value.lesson
  pictures.value = answer.value.pictures
}
onMounted(load)

async function leave(): Promise<void> {
  if (document.fullscreenElement) await document.exitFullscreen().catch(() => undefined)
  await router.push({ name: 'lesson', params: { id: props.id } })
}
onBeforeUnmount(() => {
  if (document.fullscreenElement) void document.exitFullscreen().catch(() => undefined)
})

useEventListener('keydown', (event: KeyboardEvent) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  const onButton = event.target instanceof HTMLButtonElement
  switch (event.key) {
    case ' ':
    case 'Enter':
      // A button that has the focus is pressed, and nothing else.
      if (onButton) return
      next()
      break
    case 'ArrowRight':
    case 'ArrowDown':
    case 'PageDown':
      next()
      break
    case 'ArrowLeft':
    case 'ArrowUp':
    case 'PageUp':
    case 'Backspace':
      back()
      break
    case 'Home':
      jump(0)
      break
    case 'End':
      jump(slides.value.length - 1)
      break
    case 'b':
    case 'B':
    case '.':
      blank.value = !blank.value
      break
    case 'Escape':
      void leave()
      break
    default:
      return
  }
  event.preventDefault()
})
</script>

<template>
  <main class="wall">
    <failure-note v-if="failure" :failure="failure" retry @again="load" />
    <template v-else-if="slide">
      <div class="stage" @click="next">
        <slide-face :key="slide.id" :slide="slide" :pictures="pictures" :shown="shown" class="face" />
      </div>
      <div v-if="blank" class="blank" role="status" @click="blank = false">{{ words.show.blank }}</div>
      <p class="only-heard" aria-live="polite">{{ spoken }}</p>
      <footer>
        <span>{{ words.show.place(at + 1, slides.length) }}</span>
        <span class="cells" aria-hidden="true">
          <i v-for="n in total" :key="n" :class="{ on: n <= shown }" />
        </span>
        <span v-if="ended">{{ words.show.end }}</span>
        <span class="push" />
        <span class="hint">{{ words.show.hint }}</span>
        <button type="button" @click="back">{{ words.show.back }}</button>
        <button type="button" @click="next">{{ words.show.next }}</button>
        <button type="button" @click="leave">{{ words.show.leave }}</button>
      </footer>
    </template>
  </main>
</template>

<style scoped>
.wall {
  display: grid;
  grid-template-rows: 1fr auto;
  block-size: 100vh;
  background: var(--card);
}
.stage {
  display: grid;
  place-items: center;
  min-block-size: 0;
  cursor: default;
}
/* As large as the wall allows, whatever its shape. */
.face {
  inline-size: min(100vw, (100vh - 44px) * 16 / 9);
}
.blank {
  position: fixed;
  inset: 0;
  display: grid;
  place-items: end center;
  padding: 24px;
  background: #10161b;
  color: #8d979e;
}
footer {
  display: flex;
  align-items: center;
  gap: 16px;
  min-block-size: 44px;
  padding-inline: 18px;
  border-block-start: 3px solid var(--honey);
  color: var(--ink-soft);
  font-size: 0.85rem;
}
.cells {
  display: inline-flex;
  gap: 3px;
}
.cells i {
  inline-size: 13px;
  block-size: 12px;
  clip-path: polygon(25% 0, 75% 0, 100% 50%, 75% 100%, 25% 100%, 0 50%);
  background: var(--line);
}
.cells i.on {
  background: var(--honey);
}
.push {
  flex: 1;
}
button {
  min-block-size: 32px;
  padding-inline: 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
@media (max-width: 900px) {
  .hint {
    display: none;
  }
}
</style>
