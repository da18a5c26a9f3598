<script setup lang="ts">
/** Running text with mathematics between dollar signs; `*word*` is stressed. */
import { computed } from 'vue'
import MathLine from './MathLine.vue'

const props = defineProps<{ text: string }>()

type Piece = { kind: 'text' | 'math' | 'stress'; text: string }

const pieces = computed<Piece[]>(() =>
  props.text.split('$').flatMap((part, index): Piece[] => {
    if (index % 2 === 1) return [{ kind: 'math', text: part }]
    return part
      .split(/\*([^*\n]+)\*/)
      .map((text, at): Piece => ({ kind: at % 2 === 1 ? 'stress' : 'text', text }))
      .filter((piece) => piece.text !== '')
  }),
)
</script>

<template>
  <span class="math-text"><template v-for="(piece, index) in pieces" :key="index"><math-line v-if="piece.kind === 'math'" :latex="piece.text" :display="piece.text.includes('frac')" /><em v-else-if="piece.kind === 'stress'">{{ piece.text }}</em><template v-else>{{ piece.text }}</template></template></span>
</template>

<style scoped>
.math-text {
  white-space: pre-line;
}
em {
  font-style: normal;
  font-weight: 700;
}
</style>
