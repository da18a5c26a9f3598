<script setup lang="ts">
/**
 * A slide between the two rails: when it comes, its picture with its notes or its editor, and what was checked on it.
 * A row of its own, so that typing on one slide leaves the others alone.
 */
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import type { Checked, Drawing, Meaning, Slide, Theme } from '@/api/client'
import RowMenu from './RowMenu.vue'
import SlideEditor from './SlideEditor.vue'
import SlideFace from './SlideFace.vue'
import VerdictMark from './VerdictMark.vue'
import { phaseNames, words } from '@/words'
import { blockWords, moveWords } from '@/words/plan'

const slide = defineModel<Slide>({ required: true })
const props = defineProps<{
  /** Its place among the slides. */
  index: number
  /** The minutes from which and to which it stands. */
  from: number
  to: number
  /** Whether it is the first of its phase. */
  first: boolean
  /** How many slides there are. */
  count: number
  lesson: number
  grade: number
  skill?: string | null
  theme?: Theme
  meanings?: Meaning[]
  pictures: Drawing[]
  checked?: Checked
  open: boolean
  fresh: boolean
}>()
const emit = defineEmits<{ toggle: []; move: [by: number]; deed: [deed: string]; split: [at: number]; bench: [block?: number] }>()

/** Whether something on it cannot be seen. */
const isFull = ref(false)
const isLast = computed(() => props.index === props.count - 1)
const deeds = computed(() => [
  { deed: 'below', says: moveWords.below },
  { deed: 'twice', says: words.lesson.twice },
  { deed: 'join', says: moveWords.join, disabled: isLast.value },
  { deed: 'copy', says: moveWords.send },
  { deed: 'move', says: moveWords.move, disabled: props.count === 1 },
  { deed: 'remove', says: words.lesson.remove, disabled: props.count === 1 },
])
</script>

<template>
  <div class="rail clock">
    <strong v-if="first">{{ phaseNames[slide.phase] }}</strong>
    <span class="soft">{{ from }}–{{ to }} min</span>
  </div>
  <section class="rung" :class="{ open }" :aria-label="slide.title">
    <div class="beside">
      <slide-face :slide="slide" :pictures="pictures" :theme="theme" :meanings="meanings" class="picture" @full="(full) => (isFull = full)" />
      <slide-editor v-if="open" v-model="slide" class="work" :lesson="lesson" :skill="skill" :grade="grade" :fresh="fresh" @split="(at) => emit('split', at)" @bench="(block) => emit('bench', block)" />
      <p v-else-if="isFull" class="notes full" role="status">{{ blockWords.full }}</p>
      <p v-else class="notes soft">{{ slide.notes || words.lesson.noNotes }}</p>
      <div class="tools">
        <span class="grip" aria-hidden="true">⠿</span>
        <el-button size="small" :aria-expanded="open" @click="emit('toggle')">{{ open ? words.lesson.shut : words.lesson.open }}</el-button>
        <span class="push" />
        <el-button text size="small" :disabled="index === 0" @click="emit('move', -1)">{{ words.lesson.up }}</el-button>
        <el-button text size="small" :disabled="isLast" @click="emit('move', 1)">{{ words.lesson.down }}</el-button>
        <row-menu :label="`${moveWords.more}: ${slide.title}`" :deeds="deeds" @deed="(deed) => emit('deed', deed)" />
      </div>
    </div>
  </section>
  <div class="rail checked">
    <template v-if="checked?.lines">
      <verdict-mark :word="checked.hold === checked.lines ? 'holds' : 'cant_tell'" :size="30" bare />
      <span>{{ words.lesson.lines(checked.hold, checked.lines) }}</span>
    </template>
    <span v-else class="soft">{{ words.lesson.nothing }}</span>
  </div>
</template>

<style scoped>
/* Rows far from the window are laid out when they come near. */
.beside {
  content-visibility: auto;
  contain-intrinsic-size: auto 270px;
}
.grip {
  padding-inline: 4px 8px;
  color: var(--ink-soft);
  cursor: grab;
}
.beside {
  position: relative;
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
  grid-template-rows: 1fr auto;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  /* Clipped, not scrolled: the picture stays in sight beside a long editor. */
  overflow: clip;
  background: var(--sunk);
  box-shadow: var(--shadow);
}
.picture {
  grid-row: 1 / -1;
  align-self: start;
}
.notes {
  padding: 16px 18px 4px;
  font-size: 0.95rem;
  white-space: pre-line;
}
.full {
  color: var(--verdict-breaks);
}
.open .picture {
  grid-row: 1;
  position: sticky;
  inset-block-start: 8px;
}
.open .work {
  grid-row: 1 / -1;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
  padding: 8px 14px;
}
.tools .el-button {
  margin: 0;
}
.push {
  flex: 1;
}
@media (min-width: 861px) {
  /* Within reach, however long the editor is. */
  .open .tools {
    position: sticky;
    inset-block-end: 0;
    z-index: 1;
    background: var(--sunk);
  }
}
@media (max-width: 860px) {
  .beside {
    grid-template-columns: 1fr;
  }
  .picture,
  .open .picture,
  .open .work {
    grid-row: auto;
  }
}
</style>
