<script setup lang="ts">
/** A short menu that costs nothing until it is opened: a page may have a hundred of them. */
import { useEventListener } from '@vueuse/core'
import { nextTick, ref, useTemplateRef } from 'vue'

defineProps<{ label: string; deeds: { deed: string; says: string; disabled?: boolean }[] }>()
const emit = defineEmits<{ deed: [deed: string] }>()
const open = ref(false)
const button = useTemplateRef('button')
const menu = useTemplateRef('menu')
const WIDTH = 250

const items = (): HTMLButtonElement[] => [...(menu.value?.querySelectorAll<HTMLButtonElement>('button:not([disabled])') ?? [])]

async function show(): Promise<void> {
  open.value = true
  await nextTick()
  const at = button.value?.getBoundingClientRect()
  if (!menu.value || !at) return
  // In the top layer nothing clips it.
  menu.value.showPopover?.()
  const height = menu.value.offsetHeight
  menu.value.style.left = `${Math.max(8, Math.min(at.right - WIDTH, innerWidth - WIDTH - 8))}px`
  menu.value.style.top = `${at.bottom + height + 8 > innerHeight ? Math.max(8, at.top - height - 4) : at.bottom + 4}px`
  items()[0]?.focus()
}
function shut(back = true): void {
  open.value = false
  if (back) button.value?.focus()
}
function run(deed: string): void {
  shut()
  emit('deed', deed)
}
function step(by: number): void {
  const all = items()
  const at = all.indexOf(document.activeElement as HTMLButtonElement)
  all[(at + by + all.length) % all.length]?.focus()
}
useEventListener('pointerdown', (event) => {
  if (open.value && event.target instanceof Node && !menu.value?.contains(event.target) && !button.value?.contains(event.target)) shut(false)
})
useEventListener('scroll', () => open.value && shut(false), { passive: true })
</script>

<template>
  <button ref="button" type="button" class="more" aria-haspopup="menu" :aria-expanded="open" :aria-label="label" @click="open ? shut() : show()">⋯</button>
  <ul v-if="open" ref="menu" popover="manual" role="menu" :aria-label="label" @keydown.esc.stop.prevent="shut()" @keydown.down.prevent="step(1)" @keydown.up.prevent="step(-1)" @keydown.tab="shut(false)">
    <li v-for="one in deeds" :key="one.deed" role="none">
      <button type="button" role="menuitem" :disabled="one.disabled" @click="run(one.deed)">{{ one.says }}</button>
    </li>
  </ul>
</template>

<style scoped>
.more {
  min-block-size: 24px;
  padding: 3px 9px;
  border: 0;
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-weight: 700;
  cursor: pointer;
}
.more:hover {
  background: var(--honey-pale);
}
ul {
  position: fixed;
  inset: auto;
  inline-size: 250px;
  margin: 0;
  padding: 6px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shadow);
  list-style: none;
}
li button {
  inline-size: 100%;
  padding: 8px 12px;
  border: 0;
  border-radius: 7px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 0.95rem;
  text-align: start;
  cursor: pointer;
}
li button:hover:not([disabled]),
li button:focus-visible {
  background: var(--honey-pale);
}
li button[disabled] {
  color: var(--ink-soft);
  cursor: default;
}
</style>
