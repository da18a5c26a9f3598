<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import { onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, reply, type AboutSite, type Failure } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import SignInFrame from '@/components/SignInFrame.vue'
import { useTeacher } from '@/composables/useTeacher'
import { words } from '@/words'
import { joinWords } from '@/words/live'

const route = useRoute()
const router = useRouter()
const { signIn } = useTeacher()
const name = ref('')
const password = ref('')
const failure = ref<Failure>()
const busy = ref(false)

const site = ref<AboutSite>()
onMounted(async () => {
  const about = await reply(api.GET('/api/site'))
  if (!about.ok) return
  site.value = about.value
  // Where nobody has an account yet, the first one is to be made.
  if (about.value.is_new) await router.replace({ name: 'sign-up' })
})

async function go(): Promise<void> {
  busy.value = true
  failure.value = await signIn(name.value, password.value)
  busy.value = false
  if (failure.value) return
  const to = route.query.to
  // Only a path of this site, never another address.
  await router.push(typeof to === 'string' && /^\/(?!\/)/.test(to) ? to : { name: 'shelf' })
}
</script>


<template>
  <sign-in-frame @go="go">
      <h1>{{ words.signIn.title }}</h1>
      <p class="soft">{{ words.signIn.lead }}</p>
      <p v-if="site?.demo" class="demo">{{ words.signIn.demo }}</p>
      <label>
        <span>{{ words.signIn.name }}</span>
        <el-input v-model="name" size="large" autocomplete="username" autofocus maxlength="64" name="sign-in" />
      </label>
      <label>
        <span>{{ words.signIn.password }}</span>
        <el-input v-model="password" size="large" type="password" show-password autocomplete="current-password" maxlength="200" name="password" />
      </label>
      <failure-note v-if="failure" :failure="failure" />
      <el-button type="primary" size="large" native-type="submit" :loading="busy">{{ words.signIn.go }}</el-button>
      <p class="ways">
        <router-link v-if="site && site.sign_up !== 'closed'" :to="{ name: 'sign-up' }">{{ words.signIn.make }}</router-link>
        <router-link :to="{ name: 'forgot' }">{{ words.signIn.forgot }}</router-link>
        <router-link :to="{ name: 'join-code' }">{{ joinWords.title }}</router-link>
      </p>
  </sign-in-frame>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 8px 20px;
  margin: 0;
}
</style>
