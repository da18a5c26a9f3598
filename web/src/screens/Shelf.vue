<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { ElButton, ElDropdown, ElDropdownItem, ElDropdownMenu, ElInput, ElOption, ElRadioButton, ElRadioGroup, ElSelect } from 'element-plus'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply, type ShelfEntry, type Strand } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import FirstSteps from '@/components/FirstSteps.vue'
import LadderShelf from '@/components/LadderShelf.vue'
import LookOverDialog from '@/components/LookOverDialog.vue'
import NewLessonDialog from '@/components/NewLessonDialog.vue'
import OfferedShelf from '@/components/OfferedShelf.vue'
import SheetNow from '@/components/SheetNow.vue'
import VerdictMark from '@/components/VerdictMark.vue'
import { offerCommands } from '@/composables/useCommands'
import { gradeName, gradeShort, placeNames, strandNames, words } from '@/words'
import { useList } from '@/composables/useList'
import { startWords } from '@/words/results'
import { shareWords } from '@/words/share'

const router = useRouter()
type Place = keyof typeof placeNames
const place = ref<Place>('shelf')
/** What stands there is a colleague's. */
const offered = ref<'shared' | 'department'>()
const sought = ref('')
const { entries, failure, load } = useList<ShelfEntry>((after) => reply(api.GET('/api/lessons', { params: { query: { place: place.value, words: sought.value, after } } })))
const strand = ref<Strand>()
const grade = ref<number>()
const making = ref(false)
const looking = ref(false)
const printing = ref(false)
const kind = ref<'lessons' | 'ladders'>('lessons')
offerCommands(() => [
  { says: words.shelf.make, run: () => (making.value = true) },
  { says: words.shelf.lookOver, run: () => (looking.value = true) },
  { says: startWords.sheet, run: () => (printing.value = true) },
  { says: startWords.newLadder, run: () => void router.push({ name: 'own-ladder' }) },
  { says: startWords.problem, run: () => void router.push({ name: 'problem' }) },
  { says: words.shelf.ladderTab, run: () => (kind.value = 'ladders') },
  { says: words.shelf.lessonTab, run: () => (kind.value = 'lessons') },
])

const strands = Object.keys(strandNames) as Strand[]
const ofStrand = computed(() => (entries.value ?? []).filter((e) => !strand.value || e.strand === strand.value))
const grades = computed(() => [...new Set((entries.value ?? []).map((e) => e.grade))].sort((a, b) => a - b))
const shelves = computed(() =>
  grades.value
    .filter((g) => grade.value === undefined || g === grade.value)
    .map((g) => ({
      grade: g,
      boards: strands
        .map((s) => ({ strand: s, lessons: ofStrand.value.filter((e) => e.grade === g && e.strand === s) }))
        .filter((board) => board.lessons.length > 0),
    }))
    .filter((shelf) => shelf.boards.length > 0),
)

function stand(at: Place | 'shared' | 'department'): void {
  offered.value = at === 'shared' || at === 'department' ? at : undefined
  if (at !== 'shared' && at !== 'department') place.value = at
}
/** Nothing was made here yet. */
const isNew = computed(() => place.value === 'shelf' && !offered.value && kind.value === 'lessons' && !sought.value && entries.value?.length === 0)

onMounted(() => load())
watch(place, () => load())
watch(sought, useDebounceFn(() => load(), 200))

/** What can be done with a lesson that stands here. */
const deeds = computed(() => {
  const elsewhere = (Object.keys(placeNames) as Place[]).filter((one) => one !== place.value)
  return [{ deed: 'copy' as const, says: words.shelf.copy }, ...elsewhere.map((to) => ({ deed: to, says: words.shelf.put[to] }))]
})
async function act(lesson: ShelfEntry, deed: Place | 'copy'): Promise<void> {
  const params = { path: { id: lesson.id } }
  const answer = deed === 'copy' ? await reply(api.POST('/api/lessons/{id}/copy', { params })) : await reply(api.PUT('/api/lessons/{id}/place', { params, body: { place: deed } }))
  failure.value = answer.ok ? undefined : answer.failure
  if (answer.ok) await load()
}
</script>

<template>
  <main class="page">
    <div class="head">
      <h1>{{ words.shelf.title }}</h1>
      <div class="deeds">
        <el-button size="large" @click="looking = true">{{ words.shelf.lookOver }}</el-button>
        <el-button size="large" @click="printing = true">{{ startWords.sheet }}</el-button>
        <el-button v-if="kind === 'ladders'" size="large" @click="router.push({ name: 'own-ladder' })">{{ startWords.newLadder }}</el-button>
        <el-button type="primary" size="large" @click="making = true">{{ words.shelf.make }}</el-button>
      </div>
    </div>
    <failure-note v-if="failure" :failure="failure" retry @again="load()" />
    <template v-else-if="entries">
      <first-steps v-if="isNew" @sheet="printing = true" @lesson="making = true" @text="looking = true" />
      <div class="find">
        <el-radio-group v-model="kind" size="large" :aria-label="words.shelf.kinds">
          <el-radio-button value="lessons" :label="words.shelf.lessonTab" />
          <el-radio-button value="ladders" :label="words.shelf.ladderTab" />
        </el-radio-group>
        <el-input v-model="sought" size="large" clearable maxlength="100" type="search" :placeholder="words.shelf.search" :aria-label="words.shelf.search" />
        <el-select v-if="kind === 'lessons'" :model-value="offered ?? place" size="large" :aria-label="words.shelf.where" @update:model-value="stand">
          <el-option v-for="(name, one) in placeNames" :key="one" :value="one" :label="name" />
          <el-option v-for="(name, one) in shareWords.place" :key="one" :value="one" :label="name" />
        </el-select>
      </div>
      <nav v-if="!isNew && (!offered || kind === 'ladders')" class="tabs" :aria-label="words.newLesson.strand">
        <button type="button" :aria-pressed="!strand" @click="strand = undefined">{{ words.shelf.every }}</button>
        <button v-for="s in strands" :key="s" type="button" :aria-pressed="strand === s" @click="strand = s">
          {{ strandNames[s] }}
        </button>
      </nav>
      <offered-shelf v-if="offered && kind === 'lessons'" :place="offered" :sought="sought" />
      <ladder-shelf v-else-if="kind === 'ladders'" :sought="sought" :strand="strand" />
      <div v-else-if="!isNew" class="body">
        <nav v-if="grades.length" class="grades" :aria-label="words.shelf.find">
          <button type="button" class="cell all" :aria-pressed="grade === undefined" @click="grade = undefined">
            {{ words.shelf.allGrades }}
          </button>
          <button
            v-for="g in grades"
            :key="g"
            type="button"
            class="cell"
            :aria-pressed="grade === g"
            :aria-label="gradeName(g)"
            @click="grade = grade === g ? undefined : g"
          >
            {{ gradeShort(g) }}
          </button>
        </nav>
        <div class="shelves">
          <p v-if="!entries.length && !isNew" class="soft">{{ sought ? words.shelf.notFound : place === 'shelf' ? words.shelf.empty : words.shelf.emptyPlace }}</p>
          <p v-else-if="!shelves.length" class="soft">{{ words.shelf.none }}</p>
          <section v-for="shelf in shelves" :key="shelf.grade" class="shelf">
            <h2 class="only-heard">{{ gradeName(shelf.grade) }}</h2>
            <div class="boards">
              <div v-for="(board, index) in shelf.boards" :key="board.strand" class="board">
                <h3 class="strand">
                  <span v-if="index === 0" aria-hidden="true">{{ gradeName(shelf.grade) }}</span>
                  <span class="soft">{{ strandNames[board.strand] }}</span>
                </h3>
                <div v-for="lesson in board.lessons" :key="lesson.id" class="slot">
                <router-link
                  class="lesson"
                  :to="{ name: 'lesson', params: { id: lesson.id } }"
                >
                  <span class="title">{{ lesson.title }}</span>
                  <span class="soft facts">
                    {{ words.shelf.minutes(lesson.minutes) }} · {{ words.shelf.slides(lesson.slides) }}<template v-if="lesson.ladders"> · {{ words.shelf.ladders(lesson.ladders) }}</template>
                  </span>
                  <span v-if="lesson.checked.lines" class="checked">
                    <verdict-mark :word="lesson.checked.hold === lesson.checked.lines ? 'holds' : 'cant_tell'" :size="18" bare />
                    {{ words.lesson.lines(lesson.checked.hold, lesson.checked.lines) }}
                  </span>
                </router-link>
                <el-dropdown trigger="click" class="menu" @command="(deed: Place | 'copy') => act(lesson, deed)">
                  <el-button text :aria-label="words.shelf.more(lesson.title)">⋯</el-button>
                  <template #dropdown>
                    <el-dropdown-menu>
                      <el-dropdown-item v-for="one in deeds" :key="one.deed" :command="one.deed">{{ one.says }}</el-dropdown-item>
                    </el-dropdown-menu>
                  </template>
                </el-dropdown>
                </div>
              </div>
            </div>
          </section>
        </div>
      </div>
    </template>
    <p v-else class="soft">{{ words.loading }}</p>
    <look-over-dialog v-model="looking" />
    <sheet-now v-model="printing" />
    <new-lesson-dialog v-model="making" @made="(id) => router.push({ name: 'lesson', params: { id } })" />
  </main>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: var(--gap);
  margin-block-end: 18px;
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.deeds .el-button {
  margin: 0;
}
.find {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 12px;
  margin-block-end: 14px;
}
.slot {
  position: relative;
  display: grid;
}
.menu {
  position: absolute;
  inset-block-start: 6px;
  inset-inline-end: 6px;
}
.menu .el-button {
  padding: 4px 9px;
  font-size: 1.2rem;
}
.body {
  display: grid;
  grid-template-columns: 76px 1fr;
  gap: 28px;
  margin-block-start: 24px;
}
.grades {
  display: grid;
  align-content: start;
  gap: 6px;
  justify-items: center;
}
.cell {
  inline-size: 56px;
  block-size: 50px;
  border: 0;
  clip-path: polygon(25% 0, 75% 0, 100% 50%, 75% 100%, 25% 100%, 0 50%);
  background: var(--sunk);
  color: var(--ink);
  font: inherit;
  font-size: 1.1rem;
  font-weight: 700;
  cursor: pointer;
}
.cell.all {
  font-size: 0.66rem;
  line-height: 1.1;
}
.cell[aria-pressed='true'] {
  background: var(--honey);
  color: #1f2d3a;
}
.cell:focus-visible {
  outline-offset: -6px;
}
.shelf + .shelf {
  margin-block-start: 20px;
}
.boards {
  display: grid;
  gap: 14px;
}
.board {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 260px), 1fr));
  gap: 14px;
  padding-block-end: 12px;
  border-block-end: 5px solid var(--honey-pale);
}
.strand {
  display: flex;
  gap: 12px;
  align-items: baseline;
  grid-column: 1 / -1;
  font-size: 1.15rem;
}
.strand .soft {
  font-size: 0.9rem;
  font-weight: 400;
}
.lesson {
  display: grid;
  align-content: start;
  gap: 5px;
  min-block-size: 104px;
  padding: 14px 16px;
  border: 1px solid var(--line);
  border-inline-start: 6px solid var(--honey);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  text-decoration: none;
  transition: box-shadow 0.15s, translate 0.15s;
}
.lesson:hover {
  box-shadow: var(--shadow);
  translate: 0 -2px;
}
.title {
  padding-inline-end: 26px;
  font-size: 1.1rem;
  font-weight: 700;
  line-height: 1.25;
}
.facts {
  font-size: 0.9rem;
}
.checked {
  display: flex;
  align-items: center;
  gap: 6px;
  align-self: end;
  font-size: 0.9rem;
  color: var(--verdict-holds);
}
.find .el-select {
  inline-size: 190px;
}
@media (max-width: 600px) {
  .find {
    grid-template-columns: 1fr;
  }
  .find .el-select {
    inline-size: 100%;
  }
  .body {
    grid-template-columns: 1fr;
    gap: 18px;
  }
  .grades {
    display: flex;
    flex-wrap: wrap;
  }
}
</style>
