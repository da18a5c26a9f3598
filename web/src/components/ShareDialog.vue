<script setup lang="ts">
/** Shares a lesson or a ladder: links to look, to copy, to edit together, and the shelf of the department. */
import { ElButton, ElCheckbox, ElDialog, ElOption, ElRadio, ElRadioGroup, ElSelect } from 'element-plus'
import { useClipboard } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, reply, type ShareEntry, type ShareKind, type Sharing } from '@/api/client'
import FailureNote from './FailureNote.vue'
import { sure } from '@/composables/sure'
import { useCall } from '@/composables/useCall'
import { dayOf } from '@/words/account'
import { shareWords } from '@/words/share'

const props = defineProps<{ lesson?: number; ladder?: number }>()
const open = defineModel<boolean>({ required: true })
const sharing = ref<Sharing>()
const kind = ref<ShareKind>('look')
const days = ref(0)
const withKey = ref(false)
const { failure, busy, call } = useCall()
const { copy, text } = useClipboard({ legacy: true })
const kinds = computed(() => (Object.keys(shareWords.kinds) as ShareKind[]).filter((one) => props.lesson !== undefined || one !== 'edit'))
const address = (share: ShareEntry): string => `${location.origin}${share.page}`

async function load(): Promise<void> {
  const asked = props.lesson === undefined ? api.GET('/api/ladders/{id}/shares', { params: { path: { id: props.ladder! } } }) : api.GET('/api/lessons/{id}/shares', { params: { path: { id: props.lesson } } })
  await call(reply(asked), (found) => (sharing.value = found))
}
watch(open, (isOpen) => {
  if (isOpen) void load()
})
async function make(): Promise<void> {
  const body = { kind: kind.value, with_key: withKey.value, days: days.value || null }
  const asked = props.lesson === undefined ? api.POST('/api/ladders/{id}/shares', { params: { path: { id: props.ladder! } }, body }) : api.POST('/api/lessons/{id}/shares', { params: { path: { id: props.lesson } }, body })
  let made: ShareEntry | undefined
  if (!(await call(reply(asked), (share) => (made = share)))) return
  if (made && kind.value !== 'department') await copy(address(made))
  await load()
}
async function end(share: ShareEntry): Promise<void> {
  if (!(await sure(shareWords.endAsk, shareWords.end))) return
  if (await call(reply<unknown>(api.DELETE('/api/shares/{id}', { params: { path: { id: share.id } } })))) await load()
}
</script>

<template>
  <el-dialog v-model="open" :title="shareWords.title" width="min(94vw, 560px)">
    <form class="share" @submit.prevent="make">
      <p class="soft">{{ shareWords.lead }}</p>
      <el-radio-group v-model="kind" class="kinds" :aria-label="shareWords.what">
        <el-radio v-for="one in kinds" :key="one" :value="one" :label="shareWords.kinds[one]" size="large" />
      </el-radio-group>
      <div class="more">
        <label v-if="kind !== 'department'" class="lasts">
          <span>{{ shareWords.days }}</span>
          <el-select v-model="days" size="large" :aria-label="shareWords.days">
            <el-option v-for="(says, n) in shareWords.lasts" :key="n" :value="Number(n)" :label="says" />
          </el-select>
        </label>
        <el-checkbox v-if="ladder !== undefined" v-model="withKey" :label="shareWords.withKey" size="large" />
        <el-button type="primary" size="large" native-type="submit" :loading="busy">{{ kind === 'department' ? shareWords.toDepartment : shareWords.make }}</el-button>
      </div>
      <failure-note v-if="failure" :failure="failure" />
    </form>
    <template v-if="sharing">
      <p v-if="sharing.editors.length" class="soft">{{ shareWords.editors(sharing.editors.join(', ')) }}</p>
      <h3>{{ shareWords.links }}</h3>
      <p v-if="!sharing.shares.length" class="soft">{{ shareWords.none }}</p>
      <ul class="links">
        <li v-for="share in sharing.shares" :key="share.id" :class="{ over: share.over }">
          <span>
            <strong>{{ shareWords.short[share.kind] }}</strong>
            <span v-if="share.with_key" class="soft"> · {{ shareWords.withKey }}</span>
            <span v-if="share.over" class="soft"> · {{ shareWords.over }}</span>
            <span v-else-if="share.expires" class="soft"> · {{ shareWords.until(dayOf(share.expires)) }}</span>
          </span>
          <span class="deeds">
            <el-button v-if="!share.over" size="small" @click="copy(address(share))">{{ text === address(share) ? shareWords.copied : shareWords.copyLink }}</el-button>
            <a v-if="!share.over" :href="share.page" target="_blank" rel="noopener">{{ shareWords.preview }}</a>
            <el-button size="small" text @click="end(share)">{{ shareWords.end }}</el-button>
          </span>
        </li>
      </ul>
    </template>
  </el-dialog>
</template>

<style scoped>
.share {
  display: grid;
  gap: 12px;
}
.share p {
  margin: 0;
}
.kinds {
  display: grid;
  justify-items: start;
}
.kinds .el-radio {
  margin: 0;
  white-space: normal;
}
.more {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px 18px;
}
.lasts {
  display: grid;
  gap: 4px;
  min-inline-size: 180px;
  font-weight: 600;
}
h3 {
  margin-block: 22px 6px;
  font-size: 1rem;
}
.links {
  display: grid;
  margin: 0;
  padding: 0;
  list-style: none;
}
.links li,
.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 6px 12px;
}
.links li {
  min-block-size: 46px;
  border-block-end: 1px solid var(--line);
}
.over {
  color: var(--ink-soft);
}
</style>
