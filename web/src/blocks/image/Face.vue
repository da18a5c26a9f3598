<script setup lang="ts">
/** An image with its caption. */
import { inject } from 'vue'
import { imageFolder } from '@/api/client'
import MathText from '@/components/MathText.vue'
import type { FaceProps } from '../kinds'

defineProps<FaceProps<'image'>>()
/** Where images come from: those of a shared lesson come by its link. */
const folder = inject(imageFolder, '/api/images')
</script>

<template>
  <figure class="block-picture image">
    <img v-if="block.image" :src="`${folder}/${block.image}`" :alt="block.alt" />
    <figcaption v-if="block.caption"><math-text :text="block.caption" /></figcaption>
  </figure>
</template>

<style scoped>
.image {
  justify-items: center;
}
.image img {
  max-inline-size: 100%;
  max-block-size: calc(34cqw * var(--fit, 1));
  object-fit: contain;
}
</style>
