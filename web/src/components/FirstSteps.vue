<script setup lang="ts">
/** What a teacher can do with an empty shelf: each one tap away. */
import { startWords } from '@/words/results'

defineEmits<{ sheet: []; lesson: []; text: [] }>()
</script>

<template>
  <section class="steps" aria-labelledby="first-steps">
    <h2 id="first-steps">{{ startWords.title }}</h2>
    <ul>
      <li>
        <button type="button" class="step first" @click="$emit('sheet')">
          <strong>{{ startWords.sheet }}</strong>
          <span class="soft">{{ startWords.sheetLead }}</span>
        </button>
      </li>
      <li>
        <button type="button" class="step" @click="$emit('lesson')">
          <strong>{{ startWords.lesson }}</strong>
          <span class="soft">{{ startWords.lessonLead }}</span>
        </button>
      </li>
      <li>
        <router-link class="step" :to="{ name: 'problem' }">
          <strong>{{ startWords.problem }}</strong>
          <span class="soft">{{ startWords.problemLead }}</span>
        </router-link>
      </li>
      <li>
        <button type="button" class="step" @click="$emit('text')">
          <strong>{{ startWords.text }}</strong>
          <span class="soft">{{ startWords.textLead }}</span>
        </button>
      </li>
      <li>
        <router-link class="step" :to="{ name: 'classes' }">
          <strong>{{ startWords.class }}</strong>
          <span class="soft">{{ startWords.classLead }}</span>
        </router-link>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.steps {
  display: grid;
  gap: 16px;
  margin-block: 10px 28px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 320px), 1fr));
  gap: 14px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.step {
  display: grid;
  gap: 6px;
  align-content: start;
  inline-size: 100%;
  block-size: 100%;
  padding: 18px 22px;
  border: 1.5px solid var(--line);
  border-block-end: 5px solid var(--honey);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  font: inherit;
  text-align: start;
  text-decoration: none;
  cursor: pointer;
}
.step strong {
  font-size: 1.15rem;
}
.step:hover,
.first {
  background: var(--honey-pale);
}
</style>
