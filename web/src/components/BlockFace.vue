<script setup lang="ts">
/** A block as the class sees it, with as many of its parts as have come. */
import { computed } from 'vue'
import { imageUrl, type Block, type Drawing } from '@/api/client'
import { sceneOf } from '@/example/board'
import ExampleBoard from './ExampleBoard.vue'
import MathLine from './MathLine.vue'
import MathText from './MathText.vue'
import SceneView from './SceneView.vue'
import VerdictMark from './VerdictMark.vue'
import { blockWords } from '@/words/plan'

const props = withDefaults(defineProps<{ block: Block; pictures: Drawing[]; parts?: number }>(), { parts: Infinity })
const answered = computed(() => props.parts > 1)
const scene = computed(() => {
  const block = props.block
  if (block.kind === 'practice') return sceneOf(block.rung.figure ?? undefined, props.pictures)
  if (block.kind === 'picture' || block.kind === 'word') return sceneOf(block.figure ?? undefined, props.pictures)
  return undefined
})
</script>

<template>
  <p v-if="block.kind === 'text'" class="text"><math-text :text="block.text" /></p>
  <example-board v-else-if="block.kind === 'worked_example'" class="lines" :example="block.example" :pictures="pictures" :shown="parts" />
  <figure v-else-if="block.kind === 'picture'" class="picture">
    <scene-view v-if="scene" :scene="scene" grows />
    <figcaption v-if="block.caption"><math-text :text="block.caption" /></figcaption>
  </figure>
  <div v-else-if="block.kind === 'question'" class="question">
    <p class="text"><math-text :text="block.prompt" /></p>
    <ol v-if="block.asks.by === 'choice'" class="choices">
      <li v-for="(choice, at) in block.asks.choices" :key="at" :class="{ right: answered && choice.right, wrong: answered && !choice.right }">
        <span class="letter" aria-hidden="true">{{ String.fromCharCode(65 + at) }}</span>
        <math-text :text="choice.text" />
        <verdict-mark v-if="answered && choice.right" word="holds" bare />
      </li>
    </ol>
    <template v-else-if="block.asks.by === 'true_or_false'">
      <p class="soft">{{ blockWords.trueOrFalse }}</p>
      <p class="answer" :class="{ waits: !answered }">
        <strong>{{ block.asks.is_true ? blockWords.isTrueShort : blockWords.isFalseShort }}.</strong> {{ ' ' }}<math-text :text="block.asks.why" />
      </p>
    </template>
    <p v-else-if="block.asks.answer" class="answer" :class="{ waits: !answered }"><math-text :text="block.asks.answer" /></p>
  </div>
  <div v-else-if="block.kind === 'practice'" class="practice" :class="{ pictured: scene }">
    <div class="asked">
      <p class="text"><math-text :text="block.rung.prompt" /></p>
      <p class="answer" :class="{ waits: !answered }">
        <template v-if="block.rung.story || !block.rung.answer.latex">{{ block.rung.answer.text }}</template>
        <math-line v-else :latex="block.rung.answer.latex" />
      </p>
    </div>
    <scene-view v-if="scene" :scene="scene" grows />
  </div>
  <div v-else-if="block.kind === 'talk'" class="talk">
    <p class="text"><math-text :text="block.prompt" /></p>
    <ul v-if="block.starters.some(Boolean)">
      <li v-for="(starter, at) in block.starters.filter(Boolean)" :key="at"><math-text :text="starter" /></li>
    </ul>
  </div>
  <div v-else-if="block.kind === 'word'" class="word" :class="{ pictured: scene }">
    <p><strong>{{ block.word }}</strong><span><math-text :text="block.means" /></span></p>
    <scene-view v-if="scene" :scene="scene" grows />
  </div>
  <div v-else-if="block.kind === 'examples'" class="examples">
    <p v-if="block.of" class="text"><strong><math-text :text="block.of" /></strong></p>
    <ul class="is">
      <li v-for="(one, at) in block.fits.filter(Boolean)" :key="at"><span class="tag">{{ blockWords.isOne }}</span><math-text :text="one" /></li>
    </ul>
    <ul class="is-not">
      <li v-for="(one, at) in block.fits_not.filter(Boolean)" :key="at"><span class="tag">{{ blockWords.isNone }}</span><math-text :text="one" /></li>
    </ul>
  </div>
  <div v-else-if="block.kind === 'table'" class="scroll">
    <table>
      <thead v-if="block.heads.some(Boolean)">
        <tr><th v-for="(head, at) in block.heads" :key="at" scope="col"><math-text :text="head" /></th></tr>
      </thead>
      <tbody>
        <tr v-for="(row, at) in block.rows" :key="at"><td v-for="(cell, column) in row" :key="column"><math-text :text="cell" /></td></tr>
      </tbody>
    </table>
  </div>
  <figure v-else-if="block.kind === 'image'" class="picture image">
    <img v-if="block.image" :src="imageUrl(block.image)" :alt="block.alt" />
    <figcaption v-if="block.caption"><math-text :text="block.caption" /></figcaption>
  </figure>
  <p v-else-if="block.kind === 'link'"><a :href="block.url || undefined" target="_blank" rel="noreferrer noopener" @click.stop>{{ block.text || block.url }}</a></p>
  <p v-else-if="block.kind === 'ladder'" class="ladder">
    <span class="rails" aria-hidden="true"><i /><i /><i /></span>
    <span>{{ blockWords.ladder }}: <strong>{{ block.title }}</strong></span>
  </p>
</template>

<style scoped>
.text {
  max-inline-size: 36em;
  white-space: pre-line;
}
.picture,
.question,
.practice,
.talk,
.examples {
  display: grid;
  gap: 0.5em;
  margin: 0;
}
figcaption {
  font-size: 0.85em;
  color: var(--ink-soft);
}
.image {
  justify-items: center;
}
.image img {
  max-inline-size: 100%;
  max-block-size: calc(34cqw * var(--fit, 1));
  object-fit: contain;
}
.lines :deep(.katex) {
  font-size: 1.12em;
}
.choices {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.5em;
  margin: 0;
  padding: 0;
  list-style: none;
}
.choices li {
  display: flex;
  align-items: center;
  gap: 0.6em;
  padding: 0.35em 0.6em;
  border: 2px solid var(--line);
  border-radius: 0.4em;
}
.choices .right {
  border-color: var(--verdict-holds);
  background: var(--honey-pale);
}
.choices .wrong {
  opacity: 0.55;
}
.letter {
  font-weight: 700;
}
/* Its place is kept from the start, so that nothing jumps when the answer comes. */
.answer {
  justify-self: start;
  padding: 0.15em 0.6em;
  border-radius: 0.3em;
  background: var(--honey-pale);
}
.waits {
  visibility: hidden;
}
.talk {
  padding: 0.5em 0.8em;
  border-radius: 0.5em;
  background: var(--sunk);
}
.talk ul {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4em 1em;
  margin: 0;
  padding: 0;
  list-style: none;
  font-style: italic;
}
.word p {
  display: grid;
  gap: 0.1em;
}
.word strong {
  font-size: 1.1em;
}
.asked {
  display: grid;
  gap: 0.5em;
}
.word.pictured,
.practice.pictured {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, var(--picture-part, 1fr));
  gap: 0.5em 1em;
  align-items: center;
}
[data-pictures='stacked'] :is(.word, .practice).pictured {
  grid-template-columns: minmax(0, 1fr);
}
.examples ul {
  display: grid;
  gap: 0.25em;
  margin: 0;
  padding: 0;
  list-style: none;
}
.tag {
  display: inline-block;
  min-inline-size: 4.2em;
  font-size: 0.8em;
  font-weight: 700;
}
.is .tag {
  color: var(--verdict-holds);
}
.is-not .tag {
  color: var(--verdict-breaks);
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 0.25em 0.8em;
  border: 1px solid var(--line);
  text-align: start;
}
th {
  background: var(--sunk);
}
.ladder {
  display: flex;
  align-items: center;
  gap: 0.7em;
}
.rails {
  display: inline-grid;
  gap: 0.22em;
  inline-size: 1.5em;
  padding-inline: 0.12em;
  border-inline: 0.2em solid var(--honey);
}
.rails i {
  block-size: 0.16em;
  background: var(--honey);
}
.practice :deep(.scene),
.word :deep(.scene) {
  max-inline-size: calc(var(--shape) * 19cqw * var(--fit, 1) * var(--grow, 1));
}
@media (max-width: 700px) {
  .word.pictured,
  .practice.pictured {
    grid-template-columns: 1fr;
  }
}
</style>
