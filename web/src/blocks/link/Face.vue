<script setup lang="ts">
/** A link to another page. */
import type { FaceProps } from '../kinds'

defineProps<FaceProps<'link'>>()
</script>

<template>
  <p><a :href="block.url || undefined" target="_blank" rel="noreferrer noopener" @click.stop>{{ block.text || block.url }}</a></p>
</template>
