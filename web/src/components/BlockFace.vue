<script setup lang="ts">
/** A block as the class sees it, with as many of its steps as have come. */
import type { Block, Drawing, Reveal } from '@/api/client'
import { blockKinds } from '@/blocks/registry'

withDefaults(defineProps<{ block: Block; pictures: Drawing[]; steps?: number; reveal?: Reveal }>(), { steps: Infinity, reveal: undefined })
</script>

<template>
  <component :is="blockKinds[block.kind].face" :block="block" :pictures="pictures" :steps="steps" :reveal="reveal" />
</template>
