<script setup lang="ts">
/** What is said below a picture. */
import { ElInput } from 'element-plus'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'picture'>>({ required: true })
</script>

<template>
  <label><span>{{ words.caption }}</span><el-input v-model="block.caption" maxlength="4000" /></label>
</template>
