<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import CommandList from '@/components/CommandList.vue'
import HoneyMark from '@/components/HoneyMark.vue'
import { useTeacher } from '@/composables/useTeacher'
import { words } from '@/words'

const route = useRoute()
const router = useRouter()
const { name, signOut } = useTeacher()
const commands = useTemplateRef('commands')
const bare = computed(() => route.meta.bare === true)

async function leave(): Promise<void> {
  await signOut()
  await router.push({ name: 'sign-in' })
}
</script>

<template>
  <header v-if="!bare" class="top">
    <router-link :to="{ name: 'shelf' }" class="brand"><honey-mark /> <span>{{ words.name }}</span></router-link>
    <div v-if="name" class="who">
      <router-link :to="{ name: 'classes' }" class="nav">{{ words.classes }}</router-link>
      <el-button text :title="words.commands.open" @click="commands?.show()">{{ words.commands.short }} <kbd aria-hidden="true">Ctrl K</kbd></el-button>
      <router-link :to="{ name: 'account' }" class="soft account">{{ name }}</router-link>
      <el-button text @click="leave">{{ words.signIn.out }}</el-button>
    </div>
  </header>
  <!-- Another lesson is another screen, with a sitting of its own. -->
  <router-view :key="route.path" />
  <command-list v-if="name" ref="commands" />
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: var(--gap);
  padding: 10px clamp(14px, 3vw, 32px);
  border-block-end: 1px solid var(--line);
}
.brand {
  display: inline-flex;
  align-items: center;
  gap: 10px;
  color: var(--ink);
  font-weight: 750;
  font-size: 1.1rem;
  text-decoration: none;
}

.account,
.nav {
  text-decoration: none;
}
.account:hover,
.nav:hover {
  text-decoration: underline;
}
.who {
  display: flex;
  align-items: center;
  gap: 8px;
}
kbd {
  margin-inline-start: 6px;
  padding: 1px 6px;
  border: 1px solid var(--line);
  border-radius: 5px;
  font: inherit;
  font-size: 0.78rem;
  color: var(--ink-soft);
}
@media print {
  .top {
    display: none;
  }
}
@media (max-width: 480px) {
  kbd,
  .who .soft:not(.account) {
    display: none;
  }
  /* The mark alone leads home; its name is still heard. */
  .brand span {
    position: absolute;
    inline-size: 1px;
    overflow: hidden;
    clip-path: inset(50%);
    white-space: nowrap;
  }
  .account {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .who {
    min-inline-size: 0;
  }
}
</style>
