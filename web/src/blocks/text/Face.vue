<script setup lang="ts">
/** Text, as it was written. */
import MathText from '@/components/MathText.vue'
import type { FaceProps } from '../kinds'

defineProps<FaceProps<'text'>>()
</script>

<template>
  <p class="block-text"><math-text :text="block.text" /></p>
</template>
