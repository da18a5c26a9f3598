<script setup lang="ts">
/** Hints from a nudge to the next step, one more at each press. */
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import MathText from './MathText.vue'
import { words } from '@/words'

const props = defineProps<{ hints: string[]; ask: string }>()
const open = ref(0)
watch(() => props.hints.join('\n'), () => (open.value = 0))
const shown = computed(() => props.hints.slice(0, open.value))
</script>

<template>
  <div v-if="hints.length" class="hints">
    <ol v-if="shown.length" role="status">
      <li v-for="hint in shown" :key="hint"><math-text :text="hint" /></li>
    </ol>
    <el-button v-if="open < hints.length" size="small" @click="open += 1">
      {{ open === 0 ? ask : words.desk.moreHelp }}
    </el-button>
  </div>
</template>

<style scoped>
.hints {
  display: grid;
  justify-items: start;
  gap: 6px;
}
ol {
  display: grid;
  gap: 4px;
  margin: 0;
  padding: 8px 14px 8px 30px;
  border-radius: 8px;
  background: var(--honey-pale);
}
@media print {
  .hints {
    display: none;
  }
}
</style>
