<script setup lang="ts">
/** The text. */
import { ElInput } from 'element-plus'
import { LONG } from '@/blocks/sizes'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'text'>>({ required: true })
</script>

<template>
  <label>
    <span>{{ words.text }}</span>
    <el-input v-model="block.text" type="textarea" :autosize="LONG" maxlength="4000" />
  </label>
</template>
