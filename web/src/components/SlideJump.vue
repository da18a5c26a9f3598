<script setup lang="ts">
/** Every slide, small: choose one to jump to. */
import { nextTick, onMounted, useTemplateRef } from 'vue'
import type { Drawing, Meaning, Slide, Theme } from '@/api/client'
import SlideFace from './SlideFace.vue'
import { wallWords } from '@/words/wall'

const props = defineProps<{ slides: Slide[]; pictures: Drawing[]; at: number; theme?: Theme; meanings?: Meaning[] }>()
const emit = defineEmits<{ jump: [at: number]; close: [] }>()
const buttons = useTemplateRef<HTMLButtonElement[]>('buttons')

onMounted(async () => {
  await nextTick()
  buttons.value?.[props.at]?.focus()
})
</script>

<template>
  <div class="over" role="dialog" :aria-label="wallWords.jump" @keydown.esc.stop="emit('close')" @click.self="emit('close')">
    <ol>
      <li v-for="(slide, index) in slides" :key="slide.id">
        <button ref="buttons" type="button" :aria-current="index === at" @click="emit('jump', index)">
          <slide-face :slide="slide" :pictures="pictures" :theme="theme" :meanings="meanings" inert />
          <span>{{ index + 1 }}. {{ slide.title }}</span>
        </button>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.over {
  position: fixed;
  inset: 0;
  z-index: 20;
  overflow-y: auto;
  padding: 24px;
  background: rgb(16 22 27 / 82%);
}
ol {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 16px;
  max-inline-size: 1300px;
  margin: 0 auto;
  padding: 0;
  list-style: none;
}
button {
  display: grid;
  gap: 4px;
  inline-size: 100%;
  padding: 4px;
  border: 3px solid transparent;
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 0.9rem;
  text-align: start;
  cursor: pointer;
}
button[aria-current='true'] {
  border-color: var(--honey);
}
span {
  padding: 2px 8px 4px;
}
</style>
