<script setup lang="ts">
/** The students of a live lesson: those who need somebody stand first. */
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import type { LiveView, TeacherDoes } from '@/api/client'
import { windowWords } from '@/words/live'

type Student = LiveView['students'][number]
const props = defineProps<{ students: Student[]; now: number; hasQuestion: boolean; wonders: LiveView['wonders']; wonder?: string; ended?: boolean }>()
const emit = defineEmits<{ act: [does: TeacherDoes] }>()

const rank = (one: Student): number => (one.hand ? 0 : one.stuck ? 1 : props.hasQuestion && !one.tries ? 2 : one.right === false ? 3 : 4)
const sorted = computed(() => [...props.students].sort((a, b) => rank(a) - rank(b) || a.name.localeCompare(b.name)))
const state = (one: Student): string => {
  if (one.right === true) return windowWords.right
  if (one.right === false) return windowWords.wrong
  if (one.tries) return '·'
  return props.hasQuestion ? windowWords.waits : ''
}
</script>

<template>
  <div class="people">
    <p v-if="!students.length" class="soft">{{ windowWords.nobody }}</p>
    <ul>
      <li v-for="one in sorted" :key="one.id" :class="{ hand: one.hand, stuck: one.stuck, right: one.right === true, wrong: one.right === false }">
        <span class="name">{{ one.name }}<template v-if="one.partner"> + {{ one.partner }}</template></span>
        <span class="soft state">{{ state(one) }}</span>
        <span v-if="one.stuck" class="why">{{ windowWords.stuck[one.stuck] }}</span>
        <span v-if="one.answered" class="soft took">{{ windowWords.took(one.answered, one.were_right) }}</span>
        <span v-if="one.hand" class="why">
          {{ windowWords.hand }} <el-button v-if="!ended" size="small" @click="emit('act', { kind: 'hand_seen', student: one.id })">{{ windowWords.handSeen }}</el-button>
        </span>
      </li>
    </ul>
    <template v-if="wonders.length">
      <h3>{{ windowWords.wonders }}</h3>
      <ul class="wonders">
        <li v-for="one in wonders" :key="one.id">
          <span>{{ one.text }}</span>
          <el-button v-if="!ended" size="small" :aria-pressed="wonder === one.text" @click="emit('act', { kind: 'wonder_on_wall', wonder: wonder === one.text ? undefined : one.id })">{{ wonder === one.text ? windowWords.down : windowWords.wonderWall }}</el-button>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.people {
  display: grid;
  gap: 10px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 8px;
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-inline-start: 5px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
li.right {
  border-inline-start-color: var(--verdict-holds);
}
li.wrong {
  border-inline-start-color: var(--verdict-breaks);
}
li.stuck,
li.hand {
  border-inline-start-color: var(--honey);
  background: var(--honey-pale);
}
.name {
  flex: 1;
  font-weight: 700;
}
.why,
.took {
  flex-basis: 100%;
  font-size: 0.85rem;
}
h3 {
  margin: 6px 0 0;
  font-size: 0.95rem;
}
.wonders {
  grid-template-columns: minmax(0, 1fr);
}
.wonders span {
  flex: 1;
}
</style>
