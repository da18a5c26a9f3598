<script setup lang="ts">
/** Asks for a way back to an account, or takes one with a new password. */
import { ElButton, ElInput } from 'element-plus'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, reply } from '@/api/client'
import FailureNote from '@/components/FailureNote.vue'
import SignInFrame from '@/components/SignInFrame.vue'
import { useCall } from '@/composables/useCall'
import { useTeacher } from '@/composables/useTeacher'
import { accountWords } from '@/words/account'

const props = defineProps<{ token?: string }>()
const router = useRouter()
const { take } = useTeacher()
const { failure, call } = useCall()
const signIn = ref('')
const password = ref('')
const sent = ref(false)
const busy = ref(false)

async function go(): Promise<void> {
  busy.value = true
  if (props.token) {
    const body = { token: props.token, password: password.value }
    if (await call(reply(api.POST('/api/password/reset', { body })), take)) await router.push({ name: 'shelf' })
  } else {
    sent.value = await call(reply<unknown>(api.POST('/api/password/forgot', { body: { sign_in: signIn.value } })))
  }
  busy.value = false
}
</script>

<template>
  <sign-in-frame @go="go">
    <h1>{{ token ? accountWords.newPassword : accountWords.forgot }}</h1>
    <p v-if="sent" class="demo" role="status">{{ accountWords.sent }}</p>
    <template v-else-if="token">
      <label>
        <span>{{ accountWords.newPassword }}</span>
        <el-input v-model="password" size="large" type="password" show-password autocomplete="new-password" autofocus maxlength="200" />
      </label>
      <small class="soft">{{ accountWords.passwordHelp }}</small>
      <failure-note v-if="failure" :failure="failure" />
      <el-button type="primary" size="large" native-type="submit" :loading="busy">{{ accountWords.setPassword }}</el-button>
    </template>
    <template v-else>
      <p class="soft">{{ accountWords.forgotLead }}</p>
      <label>
        <span>{{ accountWords.signIn }}</span>
        <el-input v-model="signIn" size="large" autocomplete="username" autofocus maxlength="120" autocapitalize="none" />
      </label>
      <failure-note v-if="failure" :failure="failure" />
      <el-button type="primary" size="large" native-type="submit" :loading="busy">{{ accountWords.send }}</el-button>
    </template>
    <p><router-link :to="{ name: 'sign-in' }">{{ accountWords.backToSignIn }}</router-link></p>
  </sign-in-frame>
</template>
