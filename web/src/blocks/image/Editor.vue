<script setup lang="ts">
/** An image of a slide: chosen from a file, with words for those who cannot see it. */
import { ElInput } from 'element-plus'
import { ref } from 'vue'
import { keptImage } from '@/api/client'
import type { OfKind } from '../kinds'
import { words } from './words'

const block = defineModel<OfKind<'image'>>({ required: true })
const busy = ref(false)
const refused = ref('')

async function choose(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  busy.value = true
  const answer = await keptImage(file)
  busy.value = false
  refused.value = answer.ok ? '' : answer.failure.says
  if (answer.ok) block.value.image = answer.value
}
</script>

<template>
  <label class="file">
    <span>{{ words.imageFile }}</span>
    <input type="file" accept="image/png,image/jpeg,image/svg+xml,.png,.jpg,.jpeg,.svg" :disabled="busy" @change="choose" />
  </label>
  <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
  <label>
    <span>{{ words.alt }}</span>
    <el-input v-model="block.alt" type="textarea" :autosize="{ minRows: 1, maxRows: 4 }" maxlength="1000" :placeholder="words.altHint" />
  </label>
  <label><span>{{ words.caption }}</span><el-input v-model="block.caption" maxlength="400" /></label>
</template>

<style scoped>
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
</style>
