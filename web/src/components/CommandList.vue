<script setup lang="ts">
/** Everything that can be done, found by typing a few letters of it: Control and K opens it on every screen. */
import { useDebounceFn, useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type LadderOnShelf, type ShelfEntry } from '@/api/client'
import { useCommands, type Command } from '@/composables/useCommands'
import { gradeName, words } from '@/words'

const router = useRouter()
const { offered, gather } = useCommands()
const open = ref(false)
const sought = ref('')
const at = ref(0)
const lessons = ref<ShelfEntry[]>([])
const ladders = ref<LadderOnShelf[]>([])
const field = useTemplateRef('field')
const list = useTemplateRef('list')
const MOST = 40
/** Typing rests this long before it is looked for, in milliseconds. */
const REST_MS = 250
let before: Element | null = null

const all = computed<Command[]>(() => [
  ...offered.value,
  { says: words.commands.shelf, run: () => void router.push({ name: 'shelf' }) },
  ...lessons.value.map((lesson) => ({ says: lesson.title, place: `${words.commands.lesson} · ${gradeName(lesson.grade)}`, run: () => void router.push({ name: 'lesson', params: { id: lesson.id } }) })),
  ...ladders.value.map((ladder) => ({ says: ladder.title, place: words.commands.ladder, run: () => void router.push({ name: 'ladder', params: { id: ladder.id } }) })),
])
const found = computed(() => {
  const wanted = sought.value.toLowerCase().split(/\s+/).filter(Boolean)
  return all.value.filter((one) => wanted.every((word) => `${one.says} ${one.place ?? ''}`.toLowerCase().includes(word))).slice(0, MOST)
})
watch(sought, () => (at.value = 0))

/** What is called that, as far as one page holds it. */
async function find(words: string): Promise<void> {
  const params = { query: { words } }
  const [mine, theirs] = await Promise.all([reply(api.GET('/api/lessons', { params })), reply(api.GET('/api/ladders', { params }))])
  if (mine.ok) lessons.value = mine.value.entries
  if (theirs.ok) ladders.value = theirs.value.entries
}
// On a long shelf a title may stand on a later page.
watch(sought, useDebounceFn((now: string) => void find(now.slice(0, 100)), REST_MS))

async function show(): Promise<void> {
  before = document.activeElement
  gather()
  sought.value = ''
  at.value = 0
  open.value = true
  await nextTick()
  field.value?.focus()
  await find('')
}
function shut(): void {
  open.value = false
  if (before instanceof HTMLElement) before.focus()
}
function run(command: Command | undefined): void {
  if (!command) return
  open.value = false
  command.run()
}
async function step(by: number): Promise<void> {
  at.value = (at.value + by + found.value.length) % Math.max(1, found.value.length)
  await nextTick()
  list.value?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' })
}
useEventListener('keydown', (event: KeyboardEvent) => {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
    event.preventDefault()
    if (open.value) shut()
    else void show()
  }
})
defineExpose({ show })
</script>

<template>
  <div v-if="open" class="veil" @click.self="shut">
    <div class="box" role="dialog" aria-modal="true" :aria-label="words.commands.title" @keydown.esc.prevent="shut" @keydown.tab.prevent>
      <input
        ref="field"
        v-model="sought"
        type="text"
        role="combobox"
        maxlength="80"
        aria-expanded="true"
        aria-controls="commands"
        aria-autocomplete="list"
        :aria-activedescendant="found.length ? `command-${at}` : undefined"
        :aria-label="words.commands.find"
        :placeholder="words.commands.find"
        @keydown.down.prevent="step(1)"
        @keydown.up.prevent="step(-1)"
        @keydown.enter.prevent="run(found[at])"
      />
      <ul id="commands" ref="list" role="listbox" :aria-label="words.commands.title">
        <li v-for="(one, index) in found" :id="`command-${index}`" :key="index" role="option" :aria-selected="index === at" @click="run(one)" @pointermove="at = index">
          <span>{{ one.says }}</span><span v-if="one.place" class="soft">{{ one.place }}</span>
        </li>
      </ul>
      <p v-if="!found.length" class="soft none" role="status">{{ words.commands.none }}</p>
    </div>
  </div>
</template>

<style scoped>
.veil {
  position: fixed;
  inset: 0;
  z-index: 3000;
  display: grid;
  justify-items: center;
  align-items: start;
  padding: 12vh 14px 14px;
  background: rgb(21 28 35 / 45%);
}
.box {
  display: grid;
  inline-size: min(600px, 100%);
  max-block-size: 66vh;
  grid-template-rows: auto minmax(0, 1fr) auto;
  border-radius: 14px;
  border-block-start: 5px solid var(--honey);
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shadow);
  overflow: hidden;
}
input {
  padding: 16px 20px;
  border: 0;
  border-block-end: 1px solid var(--line);
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 1.15rem;
}
input:focus-visible {
  outline-offset: -3px;
}
ul {
  margin: 0;
  padding: 6px;
  overflow-y: auto;
  list-style: none;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 9px 14px;
  border-radius: 8px;
  cursor: pointer;
}
li[aria-selected='true'] {
  background: var(--honey-pale);
}
.none {
  padding: 4px 20px 16px;
}
</style>
