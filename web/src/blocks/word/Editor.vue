<script setup lang="ts">
/** A word and what it means. */
import { ElInput } from 'element-plus'
import { LONG } from '@/blocks/sizes'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'word'>>({ required: true })
</script>

<template>
  <label><span>{{ words.word }}</span><el-input v-model="block.word" maxlength="120" /></label>
  <label>
    <span>{{ words.means }}</span>
    <el-input v-model="block.means" type="textarea" :autosize="LONG" maxlength="4000" />
  </label>
</template>
