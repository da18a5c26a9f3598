<script setup lang="ts">
/** Where a link leads, and what it is called. */
import { ElInput } from 'element-plus'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'link'>>({ required: true })
</script>

<template>
  <label><span>{{ words.url }}</span><el-input v-model="block.url" maxlength="2000" :placeholder="words.urlHint" /></label>
  <label><span>{{ words.linkText }}</span><el-input v-model="block.text" maxlength="400" /></label>
</template>
