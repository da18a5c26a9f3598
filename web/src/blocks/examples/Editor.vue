<script setup lang="ts">
/** Of what, and what only looks like it. */
import { ElInput } from 'element-plus'
import ListEditor from '@/components/ListEditor.vue'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'examples'>>({ required: true })
</script>

<template>
  <label><span>{{ words.of }}</span><el-input v-model="block.of" maxlength="120" /></label>
  <list-editor v-model="block.fits" :label="words.fits" :most="8" :name="words.one" />
  <list-editor v-model="block.fits_not" :label="words.fitsNot" :most="8" :name="words.none" />
</template>
