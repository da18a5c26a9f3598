<script setup lang="ts">
/** One piece of mathematics, typeset, with MathML for those who listen. */
import katex from 'katex'
import { computed } from 'vue'

const props = defineProps<{ latex: string; display?: boolean; speech?: string }>()

const html = computed(() =>
  katex.renderToString(props.display ? `\\displaystyle ${props.latex}` : props.latex, {
    throwOnError: false,
    trust: false,
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
