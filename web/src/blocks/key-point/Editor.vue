<script setup lang="ts">
/** What to remember. */
import { ElInput } from 'element-plus'
import { LONG } from '@/blocks/sizes'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'key_point'>>({ required: true })
</script>

<template>
  <label>
    <span>{{ words.point }}</span>
    <el-input v-model="block.point" type="textarea" :autosize="LONG" maxlength="4000" />
  </label>
</template>
