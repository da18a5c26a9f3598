<script setup lang="ts">
/** One block of a slide, to be written on. */
import type { Block } from '@/api/client'
import { blockKinds } from '@/blocks/registry'

const block = defineModel<Block>({ required: true })
const emit = defineEmits<{ bench: [] }>()
</script>

<template>
  <div class="block-editor">
    <component :is="blockKinds[block.kind].editor" v-model="block" @bench="emit('bench')" />
  </div>
</template>
