<script setup lang="ts">
/** Makes an account. */
import { ElButton, ElInput } from 'element-plus'
import { computed, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, reply, type AboutSite } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import SignInFrame from '@/components/SignInFrame.vue'
import { useCall } from '@/composables/useCall'
import { useTeacher } from '@/composables/useTeacher'
import { accountWords } from '@/words/account'

const route = useRoute()
const router = useRouter()
const { take } = useTeacher()
const { failure, call } = useCall()
const busy = ref(false)
const name = ref('')
const signIn = ref('')
const password = ref('')
const site = ref<AboutSite>()
const invitation = computed(() => (typeof route.query.invitation === 'string' ? route.query.invitation : undefined))
const invited = computed(() => site.value?.sign_up !== 'invited' || Boolean(invitation.value))

onMounted(async () => {
  const about = await reply(api.GET('/api/site'))
  if (about.ok) site.value = about.value
})

async function go(): Promise<void> {
  busy.value = true
  const body = { name: name.value, sign_in: signIn.value, password: password.value, invitation: invitation.value }
  const made = await call(reply(api.POST('/api/sign-up', { body })), take)
  busy.value = false
  if (made) await router.push({ name: 'shelf' })
}
</script>

<template>
  <sign-in-frame @go="go">
    <h1>{{ site?.is_new ? accountWords.first : accountWords.make }}</h1>
    <p class="soft">{{ site?.is_new ? accountWords.firstLead : accountWords.makeLead }}</p>
    <p v-if="site?.sign_up === 'closed'" class="demo">{{ accountWords.closed }}</p>
    <p v-else-if="!invited" class="demo">{{ accountWords.askInvitation }}</p>
    <template v-else>
      <label>
        <span>{{ accountWords.name }}</span>
        <el-input v-model="name" size="large" autocomplete="name" autofocus maxlength="80" />
      </label>
      <label>
        <span>{{ accountWords.signIn }}</span>
        <el-input v-model="signIn" size="large" autocomplete="username" maxlength="120" autocapitalize="none" />
      </label>
      <label>
        <span>{{ accountWords.password }}</span>
        <el-input v-model="password" size="large" type="password" show-password autocomplete="new-password" maxlength="200" />
      </label>
      <small class="soft">{{ accountWords.passwordHelp }}</small>
      <failure-note v-if="failure" :failure="failure" />
      <el-button type="primary" size="large" native-type="submit" :loading="busy">{{ accountWords.go }}</el-button>
    </template>
    <p><router-link :to="{ name: 'sign-in' }">{{ accountWords.haveOne }}</router-link></p>
  </sign-in-frame>
</template>
