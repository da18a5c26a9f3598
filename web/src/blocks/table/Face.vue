<script setup lang="ts">
/** A table. */
import MathText from '@/components/MathText.vue'
import type { FaceProps } from '../kinds'

defineProps<FaceProps<'table'>>()
</script>

<template>
  <div class="scroll">
    <table>
      <thead v-if="block.heads.some(Boolean)">
        <tr><th v-for="(head, at) in block.heads" :key="at" scope="col"><math-text :text="head" /></th></tr>
      </thead>
      <tbody>
        <tr v-for="(row, at) in block.rows" :key="at"><td v-for="(cell, column) in row" :key="column"><math-text :text="cell" /></td></tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 0.25em 0.8em;
  border: 1px solid var(--line);
  text-align: start;
}
th {
  background: var(--sunk);
}
</style>
