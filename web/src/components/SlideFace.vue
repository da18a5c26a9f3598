<script setup lang="ts">
/**
 * A slide as the class sees it: sixteen to nine, every size in hundredths of its width, so that it is the
 * same picture in the lesson and on the wall. Too much for one picture is set smaller until it fits.
 */
import { useDebounceFn, useElementVisibility, useResizeObserver } from '@vueuse/core'
import { computed, toRef, useTemplateRef, watch } from 'vue'
import type { Drawing, Meaning, Slide, SlideReveal, Theme } from '@/api/client'
import { layOut } from '@/slide/fit'
import { provideMeanings } from '@/slide/meanings'
import BlockFace from './BlockFace.vue'
import MathText from './MathText.vue'

/** Without a moment everything shows. */
const props = withDefaults(defineProps<{ slide: Slide; pictures?: Drawing[]; shown?: number; /** How it is revealed; all of it shows without. */ reveal?: SlideReveal; theme?: Theme; meanings?: Meaning[]; /** Read on a narrow screen: as long as it needs to be, in letters of a fixed size. */ flows?: boolean }>(), {
  shown: Infinity,
  reveal: undefined,
  pictures: () => [],
  theme: 'daylight',
  meanings: () => [],
})
const emit = defineEmits<{ full: [isFull: boolean] }>()
provideMeanings(toRef(() => props.meanings))

/** Typing rests this long before the slide is laid out again, in milliseconds. */
const REST_MS = 150
const face = useTemplateRef('face')
const inside = useTemplateRef('inside')
/** How many steps of each block show. */
const steps = computed<number[]>(() => {
  const moments = props.reveal?.moments
  if (!moments || !Number.isFinite(props.shown)) return props.slide.blocks.map(() => Infinity)
  return moments[Math.min(Math.max(1, props.shown), moments.length) - 1]?.shown ?? []
})

function measure(): void {
  if (props.flows || !isNear.value || !face.value || !inside.value) return
  emit('full', !layOut(face.value, inside.value, props.slide.blocks.length))
}
// Measuring lays a slide out several times: only those that are seen, or will be soon, are worth it.
const isNear = useElementVisibility(face, { rootMargin: '400px' })
useResizeObserver(face, measure)
watch([isNear, () => props.pictures], measure, { flush: 'post' })
// Not for every letter that is typed.
watch(() => props.slide, useDebounceFn(measure, REST_MS), { deep: true, flush: 'post' })
</script>

<template>
  <div ref="face" class="face" :class="{ flows }" :data-theme="theme">
    <div ref="inside" class="inside">
      <h2><math-text :text="slide.title" /></h2>
      <block-face v-for="(block, at) in slide.blocks" :key="at" :block="block" :pictures="pictures" :steps="steps[at] ?? 0" :reveal="reveal?.blocks[at]?.example ?? undefined" :class="{ waits: !steps[at] }" />
    </div>
  </div>
</template>

<style scoped>
.face {
  container-type: inline-size;
  aspect-ratio: 16 / 9;
  overflow: hidden;
  background: var(--card);
  color: var(--ink);
}
.inside {
  display: grid;
  align-content: start;
  gap: 2cqw;
  padding: 4cqw 5.5cqw;
  font-size: calc(3.5cqw * var(--fit, 1));
  line-height: 1.35;
}
.face.flows {
  aspect-ratio: auto;
  overflow: visible;
}
.flows .inside {
  gap: 12px;
  padding: 16px;
  font-size: 1rem;
}
/* A line and its reason stand below each other. */
.flows :deep(.working > li) {
  grid-template-columns: minmax(0, 1fr);
}
.flows :deep(.working .reason) {
  grid-column: 1;
}
.flows :deep(.scene) {
  max-inline-size: 100% !important;
}
.columns {
  display: block;
  column-count: 2;
  column-gap: 4cqw;
}
.columns > * {
  break-inside: avoid;
  margin-block-end: 2cqw;
}
.columns > h2 {
  column-span: all;
}
h2 {
  position: relative;
  padding-inline-start: 0.75em;
  font-size: 1.3em;
  line-height: 1.15;
}
h2::before {
  content: '';
  position: absolute;
  inset-block: 0.1em;
  inset-inline-start: 0;
  inline-size: 0.28em;
  border-radius: 0.14em;
  background: var(--honey);
}
/* What has not come yet keeps its place. */
.waits {
  visibility: hidden;
}
</style>
