<script setup lang="ts">
/** The ladders that hang on a lesson. */
import { ElButton } from 'element-plus'
import type { LadderEntry } from '@/api/client'
import { words } from '@/words'

defineProps<{ ladders: LadderEntry[]; lesson: number }>()
</script>

<template>
  <section class="ladders">
    <div class="head">
      <h2>{{ words.lesson.ladders }}</h2>
      <router-link v-slot="{ navigate }" custom :to="{ name: 'bench', params: { id: lesson } }">
        <el-button size="large" @click="navigate">{{ words.lesson.makeLadder }}</el-button>
      </router-link>
    </div>
    <p v-if="!ladders.length" class="soft">{{ words.lesson.noLadders }}</p>
    <ul v-else>
      <li v-for="ladder in ladders" :key="ladder.id">
        <router-link :to="{ name: 'ladder', params: { id: ladder.id } }">{{ ladder.title }}</router-link>
        <span class="soft">{{ words.lesson.rungs(ladder.rungs) }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.ladders {
  margin-block-start: 40px;
  padding: 18px 22px;
  border-radius: var(--radius);
  background: var(--honey-pale);
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
ul {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding-block: 8px;
  font-size: 1.05rem;
}
li a {
  font-weight: 700;
}
</style>
