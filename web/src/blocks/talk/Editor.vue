<script setup lang="ts">
/** What to talk about. */
import { ElInput } from 'element-plus'
import ListEditor from '@/components/ListEditor.vue'
import { LONG } from '@/blocks/sizes'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'talk'>>({ required: true })
</script>

<template>
  <label>
    <span>{{ words.prompt }}</span>
    <el-input v-model="block.prompt" type="textarea" :autosize="LONG" maxlength="4000" />
  </label>
  <list-editor v-model="block.starters" :label="words.starters" :most="8" :name="words.starter" />
</template>
