<script setup lang="ts">
/** Takes the code that stands on the wall. */
import { ElButton, ElInput } from 'element-plus'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { joinWords } from '@/words/live'

const router = useRouter()
const typed = ref('')
const go = (): void => void router.push({ name: 'join', params: { code: typed.value.trim().toLowerCase() } })
</script>

<template>
  <form class="code" @submit.prevent="go">
    <label>
      <span class="ask">{{ joinWords.code }}</span>
      <el-input v-model="typed" size="large" maxlength="8" autocapitalize="none" autocomplete="off" spellcheck="false" name="join" />
    </label>
    <el-button type="primary" size="large" native-type="submit" :disabled="typed.trim().length < 4">{{ joinWords.next }}</el-button>
  </form>
</template>

<style scoped>
.code {
  display: grid;
  gap: 12px;
}
label {
  display: grid;
  gap: 4px;
}
.ask {
  font-size: 1.2rem;
  font-weight: 700;
}
.code :deep(input) {
  font-size: 1.4rem;
  letter-spacing: 0.12em;
}
</style>
