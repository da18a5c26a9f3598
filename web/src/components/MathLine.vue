<script setup lang="ts">
/** One piece of mathematics, typeset, with MathML for those who listen. */
import katex from 'katex'
import { computed } from 'vue'
import { tonedLatex, useMeanings } from '@/slide/meanings'

const props = defineProps<{ latex: string; display?: boolean; speech?: string }>()

const OR = '\\text{ or }'

const hasPairs = computed(() => props.latex.includes(';') && props.latex.includes(OR))

/** Solutions of a system, a pair a piece: a line that is too long breaks behind an "or", not within a pair. */
function inPairs(whole: string): string {
  if (!hasPairs.value) return whole
  return whole.split(OR).map((pair) => `{${pair}}`).join(`${OR}\\allowbreak `)
}

const meanings = useMeanings()
const latex = computed(() => inPairs(tonedLatex(props.latex, meanings?.value ?? [])))
const html = computed(() =>
  katex.renderToString(props.display ? `\\displaystyle ${latex.value}` : latex.value, {
    throwOnError: false,
    // Only our own classes, for quantities that have a colour.
    trust: ({ command }) => command === '\\htmlClass' && Boolean(meanings?.value.length),
    strict: false,
    maxExpand: 200,
    // With words of our own to be spoken, the second copy for listeners is not needed.
    output: props.speech ? 'html' : 'htmlAndMathml',
  }),
)
</script>

<!-- eslint-disable vue/no-v-html -- KaTeX escapes what it is given. -->
<template>
  <span v-if="speech" class="math-line" :class="{ pairs: hasPairs }"><span aria-hidden="true" v-html="html" /><span class="only-heard">{{ speech }}</span></span>
  <span v-else class="math-line" :class="{ pairs: hasPairs }" v-html="html" />
</template>

<style scoped>
.math-line {
  display: inline-block;
  max-inline-size: 100%;
}

/* Fractions of lines above each other keep apart. */
.pairs :deep(.katex .base) {
  margin-block: 0.15em;
}
</style>
