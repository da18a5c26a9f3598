<script setup lang="ts">
/** The keys of a screen, each with what it does. */
defineProps<{ keys: [string, string][] }>()
</script>

<template>
  <dl class="keys">
    <template v-for="[key, does] in keys" :key="key">
      <dt>{{ key }}</dt>
      <dd>{{ does }}</dd>
    </template>
  </dl>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: auto auto;
  gap: 4px 18px;
  margin: 0;
  padding: 14px 18px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shadow);
  font-size: 0.92rem;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
}
</style>
