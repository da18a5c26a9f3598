<script setup lang="ts">
/** A verdict: a cell whose filling differs, and its word. Colour never stands alone. */
import { computed } from 'vue'
import type { VerdictWord } from '@/api/client'
import { verdictNames } from '@/words'

const props = withDefaults(defineProps<{ word: VerdictWord; size?: number; bare?: boolean }>(), { size: 22 })

const tone = computed(() => {
  switch (props.word) {
    case 'holds':
    case 'holds_so_far':
      return 'holds'
    case 'breaks':
      return 'breaks'
    case 'drops_solution':
    case 'adds_solution':
      return 'changes'
    default:
      return 'open'
  }
})
</script>

<template>
  <span class="verdict" :class="tone">
    <svg :width="size" :height="size" viewBox="0 0 24 24" aria-hidden="true">
      <path v-if="word === 'holds'" class="full" d="M7 2h10l5.5 10L17 22H7L1.5 12z" />
      <template v-else-if="word === 'holds_so_far'">
        <path class="edge" d="M7 2h10l5.5 10L17 22H7L1.5 12z" />
        <path class="full" d="M1.5 12h21L17 22H7z" />
      </template>
      <!-- A wedge is broken out of the cell. -->
      <path v-else-if="word === 'breaks'" class="full" d="M7 2h3l2.2 7.5 3.5-2L14 2h3l5.5 10L17 22H7L1.5 12z" />
      <template v-else-if="word === 'drops_solution'">
        <path class="edge" d="M9 19.500H7L2.5 11.5 7 3h10l4.5 8.5-4.5 8h-2" />
        <circle class="full" cx="12" cy="20" r="2.6" />
      </template>
      <template v-else-if="word === 'adds_solution'">
        <path class="edge" d="M15.5 3H7L2.5 12 7 21h10l4.5-8" />
        <path class="edge" d="M19.5 2v7M16 5.500h7" />
      </template>
      <template v-else-if="word === 'cant_read'">
        <path class="edge" d="M7 2h10l5.5 10L17 22H7L1.5 12z" />
        <path class="edge" d="M7 13.500l2.5-3 2.5 3 2.5-3 2.5 3" />
      </template>
      <template v-else>
        <path class="edge dashed" :class="{ plain: word === 'given' }" d="M7 2h10l5.5 10L17 22H7L1.5 12z" />
      </template>
    </svg>
    <span :class="{ 'only-heard': bare }">{{ verdictNames[word] }}</span>
  </span>
</template>

<style scoped>
.verdict {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  color: var(--tone);
  font-weight: 650;
  white-space: nowrap;
}
.holds {
  --tone: var(--verdict-holds);
}
.breaks {
  --tone: var(--verdict-breaks);
}
.changes {
  --tone: var(--verdict-changes);
}
.open {
  --tone: var(--verdict-open);
}
.full {
  fill: currentcolor;
}
.edge {
  fill: none;
  stroke: currentcolor;
  stroke-width: 2;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.dashed {
  stroke-dasharray: 3.5 3.5;
}
.plain {
  stroke-dasharray: none;
}
svg {
  flex: none;
}
</style>
