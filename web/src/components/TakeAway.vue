<script setup lang="ts">
/** Takes a working along: as text, as LaTeX, as a picture, on paper. */
import { ElButton, ElDropdown, ElDropdownItem, ElDropdownMenu } from 'element-plus'
import { ref } from 'vue'
import type { JudgedLine } from '@/api/client'
import { copyText, pngOf } from '@/composables/useCopying'
import { words } from '@/words'

const props = defineProps<{ link: string; number: number; lines: () => JudgedLine[] }>()
const told = ref('')

async function copy(how: 'text' | 'latex' | 'picture'): Promise<void> {
  try {
    if (how === 'picture') {
      const made = await pngOf(`/api/desk/${props.link}/rungs/${props.number}/working.svg`)
      told.value = made === 'copied' ? words.desk.copied : words.desk.downloaded
      return
    }
    const of = (line: JudgedLine): string => (how === 'latex' && line.reading ? line.reading : line.plain)
    const lines = props.lines().map(of).filter(Boolean)
    const latex = `\\begin{gathered}\n${lines.join(' \\\\\n')}\n\\end{gathered}`
    await copyText(how === 'latex' ? latex : lines.join('\n'))
    told.value = words.desk.copied
  } catch {
    told.value = words.desk.notCopied
  }
}
const print = (): void => window.print()
</script>

<template>
  <div class="take">
    <el-dropdown trigger="click" @command="copy">
      <el-button size="large">{{ words.desk.copy }}</el-button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item command="text">{{ words.desk.asText }}</el-dropdown-item>
          <el-dropdown-item command="latex">{{ words.desk.asLatex }}</el-dropdown-item>
          <el-dropdown-item command="picture">{{ words.desk.asPicture }}</el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
    <el-button size="large" @click="print">{{ words.desk.print }}</el-button>
    <span class="soft" role="status">{{ told }}</span>
  </div>
</template>

<style scoped>
.take {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.el-button + .el-button {
  margin-inline-start: 0;
}
@media print {
  .take {
    display: none;
  }
}
</style>
