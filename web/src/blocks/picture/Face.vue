<script setup lang="ts">
/** A picture with its caption. */
import { computed } from 'vue'
import MathText from '@/components/MathText.vue'
import SceneView from '@/components/SceneView.vue'
import { sceneOf } from '@/slide/drawn'
import type { FaceProps } from '../kinds'

const props = defineProps<FaceProps<'picture'>>()
const scene = computed(() => sceneOf(props.block.figure, props.pictures))
</script>

<template>
  <figure class="block-picture">
    <scene-view v-if="scene" :scene="scene" grows />
    <figcaption v-if="block.caption"><math-text :text="block.caption" /></figcaption>
  </figure>
</template>
