<script setup lang="ts">
/** A picture for a slide, drawn from a few values as they are typed. */
import { useDebounceFn } from '@vueuse/core'
import { ElButton, ElInput, ElOption, ElSelect } from 'element-plus'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { api, reply, type Block, type Drawing, type PictureCard, type PictureKind } from '@/api/client'
import SceneView from './SceneView.vue'
import { blockWords } from '@/words/plan'

/** What every chooser is told; a picture is chosen the same way for all of them. */
defineProps<{ skill?: string | null; grade?: number }>()
const emit = defineEmits<{ made: [block: Block] }>()
const cards = ref<PictureCard[]>([])
const kind = ref<PictureKind>('number_line')
const values = ref<string[]>([])
const drawn = ref<Drawing>()
const refused = ref('')
const kinds = useTemplateRef('kinds')
const REST_MS = 250

const card = computed(() => cards.value.find((one) => one.kind === kind.value))
watch(card, (now) => (values.value = now?.fields.map((field) => field.begins) ?? []))
onMounted(async () => {
  kinds.value?.focus()
  const answer = await reply(api.GET('/api/pictures'))
  if (answer.ok) cards.value = answer.value
})

const draw = useDebounceFn(async () => {
  if (!card.value) return
  const order = { kind: kind.value, values: [...values.value] }
  const answer = await reply(api.POST('/api/pictures', { body: order }))
  // A slow answer to older values is none.
  if (order.kind !== kind.value || order.values.join('|') !== values.value.join('|')) return
  refused.value = answer.ok ? '' : answer.failure.says
  drawn.value = answer.ok ? answer.value : undefined
}, REST_MS)
watch(values, draw, { deep: true })

function take(): void {
  if (drawn.value) emit('made', { kind: 'picture', figure: drawn.value.figure, caption: '' })
}
</script>

<template>
  <form class="chooser" @submit.prevent="take">
    <label>
      <span>{{ blockWords.pictureOf }}</span>
      <el-select ref="kinds" v-model="kind" filterable :aria-label="blockWords.pictureOf">
        <el-option v-for="one in cards" :key="one.kind" :value="one.kind" :label="one.title" />
      </el-select>
    </label>
    <div class="values">
      <label v-for="(field, at) in card?.fields ?? []" :key="`${kind}${at}`"><span>{{ field.label }}</span><el-input v-model="values[at]" maxlength="120" /></label>
    </div>
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
    <scene-view v-if="drawn" :scene="drawn.scene" class="seen" />
    <el-button native-type="submit" type="primary" :disabled="!drawn">{{ blockWords.putPicture }}</el-button>
  </form>
</template>

<style scoped>
.chooser {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  justify-items: start;
  gap: 10px;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.values {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(110px, 1fr));
  gap: 8px;
  inline-size: 100%;
}
label {
  display: grid;
  gap: 3px;
  inline-size: 100%;
  font-size: 0.9rem;
  font-weight: 600;
}
.refused {
  color: var(--verdict-breaks);
  font-size: 0.9rem;
}
.seen {
  justify-self: center;
  max-block-size: 320px;
}
</style>
