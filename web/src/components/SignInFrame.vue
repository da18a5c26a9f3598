<script setup lang="ts">
/** What stands around signing in: on the left what the product does, told by one equation; on the right a form. */
const steps = [
  ['3(2x − 5) = 27', ''],
  ['6x − 15 = 27', 'multiply out'],
  ['6x = 42', 'add 15 to both sides'],
  ['x = 7', 'divide both sides by 6'],
]
defineEmits<{ go: [] }>()
</script>

<template>
  <main class="sign-in">
    <section class="scene" aria-hidden="true">
      <ol>
        <li v-for="([math, why], index) in steps" :key="index">
          <span class="cell" :class="{ open: index === 0 }" />
          <span class="math">{{ math }}</span>
          <span class="why">{{ why }}</span>
        </li>
      </ol>
    </section>
    <form class="form" @submit.prevent="$emit('go')">
      <slot />
    </form>
  </main>
</template>

<style scoped>
.sign-in {
  display: grid;
  grid-template-columns: 1.15fr 1fr;
  min-block-size: calc(100vh - 56px);
}
.scene {
  display: grid;
  place-items: center;
  background: var(--honey-pale);
}
ol {
  position: relative;
  margin: 0;
  padding: 34px 56px;
  list-style: none;
  border-inline: 6px solid var(--honey);
}
li {
  display: grid;
  grid-template-columns: 30px auto;
  column-gap: 18px;
  align-items: center;
  padding-block: 15px;
}
li + li {
  border-block-start: 4px solid color-mix(in srgb, var(--honey) 55%, transparent);
}
.cell {
  inline-size: 28px;
  aspect-ratio: 1.12;
  clip-path: polygon(25% 0, 75% 0, 100% 50%, 75% 100%, 25% 100%, 0 50%);
  background: var(--verdict-holds);
}
.cell.open {
  background: var(--ink-soft);
  opacity: 0.35;
}
.math {
  font-size: 2rem;
  font-weight: 600;
  white-space: nowrap;
}
.why {
  grid-column: 2;
  color: var(--ink-soft);
}
.form {
  align-self: center;
  display: grid;
  gap: 16px;
  inline-size: min(100%, 420px);
  margin-inline: auto;
  padding: 24px;
}
.form :slotted(.demo) {
  margin: 0;
  padding: 10px 14px;
  border-inline-start: 4px solid var(--honey);
  background: var(--honey-pale);
}
.form :slotted(label) {
  display: grid;
  gap: 4px;
  font-weight: 600;
}
@media (max-width: 820px) {
  .sign-in {
    grid-template-columns: 1fr;
    align-content: start;
  }
  .scene {
    display: none;
  }
}
</style>
