<script setup lang="ts">
/** What is wrong with a lesson: each with its place, why, and a mend in one tap where there is one. */
import { ElButton, ElInput } from 'element-plus'
import { ref } from 'vue'
import type { Lesson, Look, Named } from '@/api/client'
import MathText from './MathText.vue'
import VerdictMark from './VerdictMark.vue'
import { kindNames, lookWords } from '@/words/look'

const props = defineProps<{ lesson: Lesson; look: Look }>()
const emit = defineEmits<{ slide: [id: number]; plan: []; mend: [name: string]; dismiss: [name: string, reason: string]; back: [name: string] }>()
const leaving = ref('')
const reason = ref('')

function placeOf(named: Named): string {
  const at = props.lesson.slides.findIndex((slide) => slide.id === named.place.slide)
  return at < 0 ? lookWords.plan : lookWords.slide(at + 1, props.lesson.slides[at]!.title)
}
const isLatex = (text: string): boolean => /\\[a-z]/i.test(text)
const shown = (text: string): string => (isLatex(text) ? `$${text}$` : text)
function leave(name: string): void {
  emit('dismiss', name, reason.value.trim())
  leaving.value = ''
  reason.value = ''
}
</script>

<template>
  <section class="look" :aria-label="lookWords.title">
    <p class="lead" role="status">
      <verdict-mark :word="look.open.length ? 'cant_tell' : 'holds'" bare />
      {{ look.open.length ? lookWords.lead(look.open.length) : lookWords.clean }}
    </p>
    <ol v-if="look.open.length" class="findings">
      <li v-for="named in look.open" :key="named.name">
        <div class="what">
          <span class="kind">{{ kindNames[named.kind] }}</span>
          <span class="soft">{{ placeOf(named) }}</span>
        </div>
        <p v-if="named.found" class="found"><math-text :text="shown(named.found)" /></p>
        <p>{{ named.says }}</p>
        <div class="deeds">
          <el-button v-if="named.mend" type="primary" size="small" @click="emit('mend', named.name)">
            <template v-if="named.kind === 'minutes-do-not-add'">{{ named.mend }}</template>
            <math-text v-else :text="lookWords.mend(shown(named.mend))" />
          </el-button>
          <el-button size="small" @click="named.place.slide ? emit('slide', named.place.slide) : emit('plan')">{{ lookWords.go }}</el-button>
          <el-button v-if="leaving !== named.name" text size="small" @click="leaving = named.name">{{ lookWords.leave }} …</el-button>
          <form v-else class="reason" @submit.prevent="leave(named.name)">
            <el-input v-model="reason" size="small" maxlength="400" :placeholder="lookWords.reason" :aria-label="lookWords.reason" autofocus />
            <el-button size="small" native-type="submit" :disabled="!reason.trim()">{{ lookWords.keep }}</el-button>
          </form>
        </div>
      </li>
    </ol>
    <details v-if="look.dismissed.length">
      <summary>{{ lookWords.dismissed }} ({{ look.dismissed.length }})</summary>
      <ol class="findings left">
        <li v-for="named in look.dismissed" :key="named.name">
          <span class="soft">{{ placeOf(named) }}</span>
          <p class="found"><math-text :text="shown(named.found)" /></p>
          <p>{{ named.dismissed }}</p>
          <div class="deeds"><el-button text size="small" @click="emit('back', named.name)">{{ lookWords.back }}</el-button></div>
        </li>
      </ol>
    </details>
  </section>
</template>

<style scoped>
.look {
  display: grid;
  gap: 16px;
  max-inline-size: 860px;
}
.lead {
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 1.15rem;
  font-weight: 700;
}
.findings {
  display: grid;
  gap: 12px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.findings li {
  display: grid;
  gap: 6px;
  padding: 14px 18px;
  border: 1px solid var(--line);
  border-inline-start: 6px solid var(--verdict-breaks);
  border-radius: var(--radius);
  background: var(--card);
}
.findings.left li {
  border-inline-start-color: var(--line);
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
}
.kind {
  font-weight: 700;
  color: var(--verdict-breaks);
}
.found {
  justify-self: start;
  padding: 2px 10px;
  border-radius: 6px;
  background: var(--sunk);
  overflow-wrap: anywhere;
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.deeds .el-button {
  margin: 0;
}
.reason {
  display: flex;
  flex: 1 1 260px;
  gap: 6px;
}
summary {
  cursor: pointer;
}
details .findings {
  margin-block-start: 10px;
}
</style>
