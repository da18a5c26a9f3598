<script setup lang="ts">
/** A worked example after so many steps. */
import ExampleBoard from '@/components/ExampleBoard.vue'
import type { FaceProps } from '../kinds'

defineProps<FaceProps<'worked_example'>>()
</script>

<template>
  <example-board class="lines" :example="block.example" :pictures="pictures" :shown="steps" :reveal="reveal" />
</template>

<style scoped>
.lines :deep(.katex) {
  font-size: 1.12em;
}
</style>
