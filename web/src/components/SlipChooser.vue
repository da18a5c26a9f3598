<script setup lang="ts">
/** The slips that can be put into a working, by the line that would break. */
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import type { SlipOffer } from '@/api/client'
import MathLine from './MathLine.vue'
import { words } from '@/words'

const props = defineProps<{ offers: SlipOffer[] }>()
const emit = defineEmits<{ choose: [offer: SlipOffer] }>()
const groups = computed(() => {
  const lines = [...new Set(props.offers.map((offer) => offer.slip.line))]
  return lines.map((line) => ({ line, offers: props.offers.filter((offer) => offer.slip.line === line) }))
})
</script>

<template>
  <p v-if="!offers.length" class="soft">{{ words.example.noSlip }}</p>
  <section v-for="group in groups" :key="group.line">
    <h3>{{ words.example.insteadOf(group.line + 1) }}</h3>
    <ul>
      <li v-for="offer in group.offers" :key="offer.latex">
        <math-line :latex="offer.latex" :speech="offer.speech" />
        <span class="soft">{{ offer.says }}</span>
        <el-button size="small" :aria-label="`${words.example.putIn}: ${offer.says}`" @click="emit('choose', offer)">{{ words.example.putIn }}</el-button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section + section {
  margin-block-start: 16px;
}
h3 {
  font-size: 0.95rem;
}
ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr) auto;
  gap: 4px 16px;
  align-items: center;
  padding-block: 7px;
  border-block-start: 1px solid var(--line);
}
@media (max-width: 640px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  li > .soft {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
