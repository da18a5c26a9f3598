<script setup lang="ts">
/** How the slides of a lesson look: their theme, and quantities that keep one colour wherever they stand. */
import { ElButton, ElInput, ElOption, ElRadioButton, ElRadioGroup, ElSelect } from 'element-plus'
import { computed } from 'vue'
import type { Lesson, Meaning, Theme } from '@/api/client'
import { colourNames, planWords, styleWords, themeNames } from '@/words/plan'

const lesson = defineModel<Lesson>({ required: true })
const theme = computed({
  get: (): Theme => lesson.value.theme ?? 'daylight',
  set: (now) => (lesson.value.theme = now === 'daylight' ? undefined : now),
})
const meanings = computed<Meaning[]>(() => lesson.value.meanings ?? [])
const colours = Object.keys(colourNames) as Meaning['colour'][]
const MOST = 6

function more(): void {
  const used = meanings.value.map((meaning) => meaning.colour)
  const colour = colours.find((one) => !used.includes(one)) ?? colours[0]!
  lesson.value.meanings = [...meanings.value, { what: '', colour }]
}
</script>

<template>
  <section class="style" :aria-label="styleWords.title">
    <h2>{{ styleWords.title }}</h2>
    <el-radio-group v-model="theme" :aria-label="styleWords.theme">
      <el-radio-button v-for="(name, one) in themeNames" :key="one" :value="one" :label="name" />
    </el-radio-group>
    <div>
      <p class="label">{{ styleWords.meanings }}</p>
      <p class="soft">{{ styleWords.meaningsHelp }}</p>
    </div>
    <div v-for="(meaning, at) in meanings" :key="at" class="row">
      <el-input v-model="meaning.what" maxlength="30" :placeholder="styleWords.whatHint" :aria-label="styleWords.what(at + 1)" />
      <el-select v-model="meaning.colour" :aria-label="styleWords.colour(at + 1)">
        <el-option v-for="(name, one) in colourNames" :key="one" :value="one" :label="name" />
      </el-select>
      <span class="sample"><span :class="`tone-${meaning.colour}`">{{ meaning.what || 'x' }}</span></span>
      <el-button text :aria-label="planWords.remove(meaning.what)" @click="meanings.splice(at, 1)">×</el-button>
    </div>
    <el-button v-if="meanings.length < MOST" text class="more" @click="more">+ {{ styleWords.more }}</el-button>
  </section>
</template>

<style scoped>
.style {
  display: grid;
  gap: 12px;
  justify-items: start;
}
h2 {
  font-size: 1.05rem;
}
.label {
  font-size: 0.9rem;
  font-weight: 600;
}
.row {
  display: grid;
  grid-template-columns: minmax(90px, 180px) minmax(150px, 230px) auto auto;
  gap: 10px;
  align-items: center;
}
.sample {
  min-inline-size: 2em;
  font-size: 1.2rem;
  text-align: center;
}
.more {
  margin: 0;
}
@media (max-width: 600px) {
  .row {
    grid-template-columns: 1fr 1fr auto;
  }
  .sample {
    display: none;
  }
}
</style>
