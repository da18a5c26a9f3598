<script setup lang="ts">
/** What the class answered, put together by what it means, with what can go on the wall. */
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import type { LiveView, TeacherDoes } from '@/api/client'
import MathLine from '@/components/MathLine.vue'
import MathText from '@/components/MathText.vue'
import SceneView from '@/components/SceneView.vue'
import StrokesView from './StrokesView.vue'
import { liveWords, windowWords } from '@/words/live'

type Question = NonNullable<LiveView['question']>
type Group = Question['groups'][number]
const props = defineProps<{ question: Question; students: LiveView['students']; onWall: LiveView['wall']; ended: boolean }>()
const emit = defineEmits<{ act: [does: TeacherDoes] }>()
const names = computed(() => new Map(props.students.map((one) => [one.id, one.name])))
/** Whose answers stand on the wall, in their order. */
const shown = ref<number[]>([])
const lines = ref(0)
const most = computed(() => Math.max(1, ...props.question.groups.map((group) => group.students.length)))

function put(students: number[]): void {
  shown.value = students
  lines.value = students.length === 1 ? 1 : 0
  tell()
}
function tell(): void {
  emit('act', { kind: 'on_wall', answers: shown.value.map((student) => ({ question: props.question.number, student })), lines: lines.value })
}
function step(): void {
  lines.value = lines.value === 0 ? 0 : lines.value + 1
  tell()
}
const state = (group: Group): string => (group.right === true ? windowWords.right : group.right === false ? windowWords.wrong : '')
const hasMore = computed(() => lines.value > 0 && (props.onWall.answers[0]?.of ?? 0) > lines.value)
</script>

<template>
  <div class="groups">
    <p class="prompt"><math-text :text="question.asked.prompt" /></p>
    <scene-view v-if="question.scene" :scene="question.scene" class="scene" />
    <div class="row">
      <strong>{{ liveWords.answered(question.answered, students.length) }}</strong>
      <span v-if="question.right" class="soft">{{ liveWords.isRight }} <math-text :text="question.right" /></span>
      <span class="push" />
      <template v-if="!ended">
        <el-button :aria-pressed="question.closed" @click="emit('act', { kind: 'closed', question: question.number, closed: !question.closed })">{{ question.closed ? windowWords.reopen : windowWords.close }}</el-button>
        <el-button v-if="question.right" :disabled="question.told" @click="emit('act', { kind: 'told', question: question.number })">{{ question.told ? windowWords.told : windowWords.tell }}</el-button>
        <el-button v-if="question.groups.length" :aria-pressed="onWall.shares.length > 0" @click="emit('act', { kind: 'shares_on_wall', question: onWall.shares.length ? undefined : question.number })">{{ onWall.shares.length ? windowWords.sharesDown : windowWords.shares }}</el-button>
      </template>
    </div>
    <div v-if="shown.length && onWall.answers.length" class="row on">
      <span>{{ windowWords.onWall }}: {{ shown.map((one) => names.get(one)).join(', ') }}</span>
      <span class="push" />
      <el-button v-if="hasMore" type="primary" @click="step">{{ windowWords.step }}</el-button>
      <el-button @click="put([])">{{ windowWords.down }}</el-button>
    </div>
    <ol v-if="question.asked.by !== 'drawing'">
      <li v-for="(group, at) in question.groups" :key="at" :class="group.right === true ? 'right' : group.right === false ? 'wrong' : 'open'">
        <div class="what">
          <span class="ends"><math-line v-if="group.latex" :latex="group.latex" /><math-text v-else :text="group.ends" /></span>
          <span v-if="state(group)" class="state">{{ state(group) }}</span>
          <span class="push" />
          <strong class="count">{{ group.students.length }}</strong>
        </div>
        <span class="bar" aria-hidden="true"><i :style="{ inlineSize: `${(100 * group.students.length) / most}%` }" /></span>
        <p v-if="group.slip" class="slip"><math-text :text="group.slip" /></p>
        <div class="who">
          <span class="soft">{{ group.students.slice(0, 12).map((one) => names.get(one) ?? '').join(', ') }}<template v-if="group.students.length > 12"> …</template></span>
          <details v-if="group.forms.length > 1" class="soft">
            <summary>{{ windowWords.forms(group.forms.length) }}</summary>
            <span v-for="form in group.forms" :key="form.text" class="form">{{ form.text }} <strong>{{ form.count }}</strong></span>
          </details>
          <span class="push" />
          <template v-if="!ended">
            <el-button size="small" @click="put([group.students[0]!])">{{ windowWords.onWall }}</el-button>
            <el-button v-if="shown.length === 1 && !group.students.includes(shown[0]!)" size="small" @click="put([shown[0]!, group.students[0]!])">{{ windowWords.compare }}</el-button>
          </template>
        </div>
      </li>
    </ol>
    <div v-else class="drawings">
      <button v-for="drawing in question.drawings" :key="drawing.student" type="button" :disabled="ended" :aria-label="`${windowWords.onWall}: ${names.get(drawing.student)}`" @click="put([drawing.student])">
        <strokes-view :strokes="drawing.strokes" :scene="question.scene ?? undefined" />
        <span class="soft">{{ names.get(drawing.student) }}</span>
      </button>
    </div>
  </div>
</template>

<style scoped>
.groups {
  display: grid;
  gap: 10px;
}
.prompt {
  margin: 0;
  font-size: 1.1rem;
}
.scene {
  max-inline-size: 320px;
}
.row,
.what,
.who {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  margin: 0;
}
.row :deep(.el-button + .el-button),
.who :deep(.el-button + .el-button) {
  margin-inline-start: 0;
}
.on {
  padding: 8px 12px;
  border-inline-start: 5px solid var(--honey);
  background: var(--honey-pale);
}
.push {
  flex: 1;
}
ol {
  display: grid;
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  gap: 6px;
  padding: 10px 14px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
.ends {
  font-size: 1.15rem;
}
.state {
  font-weight: 700;
}
.right .state {
  color: var(--verdict-holds);
}
.wrong .state {
  color: var(--verdict-breaks);
}
.count {
  font-size: 1.3rem;
  font-variant-numeric: tabular-nums;
}
.bar {
  block-size: 8px;
  border-radius: 4px;
  background: var(--sunk);
}
.bar i {
  display: block;
  block-size: 100%;
  border-radius: 4px;
  background: var(--honey);
  transition: inline-size 0.25s;
}
.slip {
  margin: 0;
}
.form {
  display: inline-block;
  margin-inline-end: 14px;
}
.drawings {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px;
}
.drawings button {
  display: grid;
  gap: 4px;
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 6px;
  background: var(--card);
  color: inherit;
  font: inherit;
  cursor: pointer;
}
</style>
