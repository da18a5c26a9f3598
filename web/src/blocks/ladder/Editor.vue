<script setup lang="ts">
/** Where a ladder is opened; it is changed there. */
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'ladder'>>({ required: true })
</script>

<template>
  <router-link :to="{ name: 'ladder', params: { id: block.ladder } }">{{ words.toLadder }}: {{ block.title }}</router-link>
</template>
