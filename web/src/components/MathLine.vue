<script setup lang="ts">
/** One piece of mathematics, typeset, with MathML for those who listen. */
import katex from 'katex'
import { computed } from 'vue'
import { tonedLatex, useMeanings } from '@/slide/meanings'

const props = defineProps<{ latex: string; display?: boolean; speech?: string }>()

const meanings = useMeanings()
const latex = computed(() => tonedLatex(props.latex, meanings?.value ?? []))
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

<template>
  <span v-if="speech" class="math-line"><span aria-hidden="true" v-html="html" /><span class="only-heard">{{ speech }}</span></span>
  <span v-else class="math-line" v-html="html" />
</template>

<style scoped>
.math-line {
  display: inline-block;
  max-inline-size: 100%;
}
</style>
