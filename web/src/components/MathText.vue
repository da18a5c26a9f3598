<script setup lang="ts">
/** Running text with mathematics between dollar signs; `*word*` is stressed. */
import { computed } from 'vue'
import MathLine from './MathLine.vue'
import { toned, useMeanings } from '@/slide/meanings'

const props = defineProps<{ text: string }>()
const meanings = useMeanings()

type Piece = { kind: 'text' | 'math' | 'stress'; text: string; tone?: string; after?: string }

/** What closes a clause stays with the mathematics before it. */
const CLOSES = /^[,.;:?!)]+/

const pieces = computed<Piece[]>(() =>
  props.text.split('$').flatMap((part, index, parts): Piece[] => {
    if (index % 2 === 1) return [{ kind: 'math', text: part, after: CLOSES.exec(parts[index + 1] ?? '')?.[0] }]
    return (index > 0 ? part.replace(CLOSES, '') : part)
      .split(/\*([^*\n]+)\*/)
      .flatMap((text, at): Piece[] => (at % 2 === 1 ? [{ kind: 'stress', text }] : toned(text, meanings?.value ?? []).map((one) => ({ kind: 'text', ...one }))))
      .filter((piece) => piece.text !== '')
  }),
)
</script>

<template>
  <span class="math-text"><template v-for="(piece, index) in pieces" :key="index"><span v-if="piece.kind === 'math'" class="kept"><math-line :latex="piece.text" :display="piece.text.includes('frac')" />{{ piece.after }}</span><em v-else-if="piece.kind === 'stress'">{{ piece.text }}</em><span v-else-if="piece.tone" :class="piece.tone">{{ piece.text }}</span><template v-else>{{ piece.text }}</template></template></span>
</template>

<style scoped>
.math-text {
  white-space: pre-line;
}
.kept {
  white-space: nowrap;
}
/* A long formula may still break within itself. */
.kept > :deep(.math-line) {
  white-space: normal;
}
em {
  font-style: normal;
  font-weight: 700;
}
</style>
