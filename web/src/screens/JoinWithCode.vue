<script setup lang="ts">
/** The way in to a live lesson: the code that stands on the wall. */
import HoneyMark from '@/components/HoneyMark.vue'
import JoinCode from '@/live/JoinCode.vue'
import { joinWords } from '@/words/live'
</script>

<template>
  <main class="way-in">
    <header><honey-mark /><h1>{{ joinWords.title }}</h1></header>
    <join-code />
  </main>
</template>

<style scoped>
.way-in {
  display: grid;
  gap: 8vh;
  max-inline-size: 420px;
  margin-inline: auto;
  padding: 12px clamp(12px, 4vw, 28px);
}
header {
  display: flex;
  align-items: center;
  gap: 12px;
}
h1 {
  margin: 0;
  font-size: 1.2rem;
}
</style>
