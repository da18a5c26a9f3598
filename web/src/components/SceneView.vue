<script setup lang="ts">
/** A scene as SVG with typeset labels. Nothing is laid out here: the places come with the scene. */
import type { Scene } from '@/api/client'
import MathLine from './MathLine.vue'
import MathText from './MathText.vue'
import { useMeanings } from '@/slide/meanings'

/** A picture that grows fills its place, its labels with it; otherwise it is as large as it was drawn. */
defineProps<{ scene: Scene; grows?: boolean; /** The widest picture that comes at this place: all are drawn to its scale. */ widest?: number }>()

const meanings = useMeanings()

/** The size of a label as it was drawn, in pixels. */
const LABEL = 16

const shift = { start: 'translate(0, -50%)', middle: 'translate(-50%, -50%)', end: 'translate(-100%, -50%)' }
</script>

<template>
  <figure class="scene" role="img" :aria-label="scene.describes" :class="{ grows }" :style="grows ? { '--shape': scene.width / scene.height, '--share': scene.width / (widest ?? scene.width), '--label': `${(100 * LABEL) / scene.width}cqw` } : { maxWidth: `${scene.width}px` }">
    <svg :viewBox="`0 0 ${scene.width} ${scene.height}`" aria-hidden="true">
      <template v-for="(shape, index) in scene.shapes" :key="index">
        <line
          v-if="shape.kind === 'line'"
          :x1="shape.x1" :y1="shape.y1" :x2="shape.x2" :y2="shape.y2" :class="['stroke', shape.tone]" :stroke-width="shape.width"
        />
        <rect
          v-else-if="shape.kind === 'box'"
          :x="shape.x" :y="shape.y" :width="shape.width" :height="shape.height" :class="['box', shape.fill ?? 'none']"
        />
        <polyline
          v-else-if="shape.kind === 'curve'"
          :points="shape.points.map((p) => p.join(',')).join(' ')"
          :class="['stroke', 'curve', shape.tone]"
          :stroke-width="shape.width"
          :stroke-dasharray="shape.dashed ? '8 6' : undefined"
        />
        <polygon v-else-if="shape.kind === 'area'" :points="shape.points.map((p) => p.join(',')).join(' ')" :class="['box', shape.fill]" />
        <circle v-else :cx="shape.x" :cy="shape.y" :r="shape.radius" :class="['box', shape.tone, { hollow: shape.hollow }]" />
      </template>
    </svg>
    <span
      v-for="(label, index) in scene.labels"
      :key="index"
      class="label"
      aria-hidden="true"
      :style="{
        left: `${(100 * label.x) / scene.width}%`,
        top: `${(100 * label.y) / scene.height}%`,
        transform: shift[label.anchor],
      }"
    ><math-line v-if="label.latex" :latex="label.latex" /><math-text v-else-if="meanings?.length" :text="label.text" /><template v-else>{{ label.text }}</template></span>
  </figure>
</template>

<style scoped>
.scene {
  position: relative;
  margin: 0;
  inline-size: 100%;
  container-type: inline-size;
}
/* On a slide, which is a container of its own, a picture is at most two thirds as high as the slide, and less where the
   slide is full. */
.grows {
  inline-size: calc(100% * var(--share));
  max-inline-size: calc(var(--shape) * 37cqw * var(--fit, 1) * var(--grow, 1));
  justify-self: center;
}
.grows .label {
  font-size: var(--label);
}
svg {
  display: block;
  inline-size: 100%;
}
.label {
  position: absolute;
  white-space: nowrap;
  font-size: clamp(0.7rem, 4.4cqw, 1rem);
  color: var(--ink);
  /* A label stays readable where a line runs behind it. */
  text-shadow: 0 0 2px var(--card), 0 0 3px var(--card), 0 0 4px var(--card), 0 0 5px var(--card);
}
.stroke.ink {
  stroke: var(--ink);
}
.stroke.faint {
  stroke: var(--line);
}
.box {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.stroke.deep {
  stroke: var(--honey-deep);
}
.stroke.honey {
  stroke: var(--honey);
}
.curve {
  fill: none;
  stroke-linejoin: round;
}
.box.deep {
  fill: var(--honey-deep);
}
.box.hollow {
  fill: var(--card);
  stroke: var(--honey-deep);
  stroke-width: 3;
}
.box.none {
  fill: none;
}
.box.honey {
  fill: color-mix(in srgb, var(--honey) 45%, var(--card));
}
.box.ground {
  fill: var(--sunk);
}
.box.ink {
  fill: var(--ink);
}
.box.faint {
  fill: var(--line);
}
</style>
