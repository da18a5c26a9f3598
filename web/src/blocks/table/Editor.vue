<script setup lang="ts">
/** The heads and cells of a table, and how many there are. */
import { ElButton, ElInput } from 'element-plus'
import { resized } from './resize'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'table'>>({ required: true })
function resize(rows: number, columns: number): void {
  Object.assign(block.value, resized(block.value, block.value.rows.length + rows, block.value.heads.length + columns))
}
</script>

<template>
  <div class="table" :style="{ '--columns': block.heads.length }">
    <el-input v-for="(_, column) in block.heads" :key="`h${column}`" v-model="block.heads[column]" maxlength="400" class="head" :aria-label="words.head(column + 1)" />
    <template v-for="(row, at) in block.rows" :key="at">
      <el-input v-for="(_, column) in row" :key="column" v-model="row[column]" maxlength="400" :aria-label="words.cell(at + 1, column + 1)" />
    </template>
  </div>
  <div class="block-row">
    <el-button text size="small" :disabled="block.rows.length >= 20" @click="resize(1, 0)">{{ words.moreRows }}</el-button>
    <el-button text size="small" :disabled="block.rows.length < 2" @click="resize(-1, 0)">{{ words.fewerRows }}</el-button>
    <el-button text size="small" :disabled="block.heads.length >= 20" @click="resize(0, 1)">{{ words.moreColumns }}</el-button>
    <el-button text size="small" :disabled="block.heads.length < 2" @click="resize(0, -1)">{{ words.fewerColumns }}</el-button>
  </div>
</template>

<style scoped>
.table {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(3.2rem, 1fr));
  gap: 4px;
  inline-size: 100%;
  overflow-x: auto;
}
.head :deep(input) {
  font-weight: 700;
}
</style>
