<script setup lang="ts">
/** How one student did, assignment after assignment: a line from 0 to all, where nothing was asked it has a gap. */
import { computed } from 'vue'
import type { Share } from '@/api/client'
import { resultWords } from '@/words/results'

const props = defineProps<{ shares: Share[]; titles: string[] }>()
const WIDTH = 120
const HEIGHT = 28
const EDGE = 4

const points = computed(() => {
  const step = (WIDTH - 2 * EDGE) / Math.max(1, props.shares.length - 1)
  return props.shares.flatMap((share, at) => {
    if (!share.asked) return []
    const part = share.finished / share.asked
    return [{ x: EDGE + at * step, y: HEIGHT - EDGE - part * (HEIGHT - 2 * EDGE), says: resultWords.onDay(props.titles[at] ?? '', share.finished, share.asked) }]
  })
})
const line = computed(() => points.value.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' '))
const says = computed(() => points.value.map((point) => point.says).join('; '))
</script>

<template>
  <svg v-if="points.length" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" :width="WIDTH" :height="HEIGHT" role="img" :aria-label="says">
    <line :x1="EDGE" :x2="WIDTH - EDGE" :y1="HEIGHT - EDGE" :y2="HEIGHT - EDGE" class="ground" />
    <polyline :points="line" />
    <circle v-for="(point, at) in points" :key="at" :cx="point.x" :cy="point.y" r="3.2">
      <title>{{ point.says }}</title>
    </circle>
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
.ground {
  stroke: var(--line);
  stroke-width: 1;
}
polyline {
  fill: none;
  stroke: var(--honey-deep);
  stroke-width: 2;
  stroke-linejoin: round;
}
circle {
  fill: var(--honey-deep);
}
</style>
