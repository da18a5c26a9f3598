<script setup lang="ts">
/** An image with its caption. */
import { imageUrl } from '@/api/client'
import MathText from '@/components/MathText.vue'
import type { FaceProps } from '../kinds'

defineProps<FaceProps<'image'>>()
</script>

<template>
  <figure class="block-picture image">
    <img v-if="block.image" :src="imageUrl(block.image)" :alt="block.alt" />
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
