<script setup lang="ts">
/** The problems of a ladder as they climb, with their key when it is asked for. */
import { computed } from 'vue'
import type { RungView, Stage } from '@/api/client'
import RungFace from './RungFace.vue'
import StageHeading from './StageHeading.vue'
import { stageNames } from '@/words'

const props = defineProps<{ rungs: RungView[]; keyShown?: boolean }>()

const stages = computed(() =>
  (Object.keys(stageNames) as Stage[])
    .map((stage) => ({ stage, rungs: props.rungs.filter((r) => r.rung.stage === stage) }))
    .filter((group) => group.rungs.length),
)
</script>

<template>
  <section v-for="group in stages" :key="group.stage" class="stage">
    <stage-heading :stage="group.stage" />
    <ol class="rungs">
      <rung-face
        v-for="view in group.rungs"
        :key="view.number"
        :view="view"
        :key-shown="keyShown"
        class="rung"
        :class="{ short: !keyShown && view.rung.prompt.length < 60 }"
      />
    </ol>
  </section>
</template>

<style scoped>
.stage + .stage {
  margin-block-start: 24px;
}
.rungs {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 18px 22px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.rung {
  grid-column: 1 / -1;
}
.rung.short {
  grid-column: span 2;
}
@media (max-width: 700px) {
  .rung.short {
    grid-column: 1 / -1;
  }
}
</style>
