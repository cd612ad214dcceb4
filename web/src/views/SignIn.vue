<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { nextTick, ref } from 'vue'
import { askReset } from '../api/account'
import { signIn } from '../api/queries'
import { useAsking } from '../stores/asking'
import { usePrefs } from '../stores/prefs'
import Logo from '../parts/Logo.vue'

const client = useQueryClient()
const prefs = usePrefs()
const username = ref('')
const password = ref('')
const code = ref('')
const needsCode = ref(false)
const { asking, ask } = useAsking()
const send = async () => {
  const session = await ask(() =>
    signIn({
      username: username.value,
      password: password.value,
      is_studios: prefs.isStudios,
      ...(needsCode.value ? { code: code.value } : {}),
    }),
  )
  if (session) {
    client.setQueryData(['session'], session)
  } else if (asking.code === 'code_needed' || asking.code === 'wrong_code') {
    if (asking.code === 'code_needed') asking.problem = ''
    needsCode.value = true
    code.value = ''
    await nextTick()
    document.getElementById('code')?.focus()
  }
}
const isForgotten = ref(false)
const email = ref('')
const wasSent = ref(false)
const sendReset = async () => {
  wasSent.value = Boolean(await ask(() => askReset(email.value)))
}
</script>

<template>
  <main class="mx-auto flex min-h-dvh max-w-sm flex-col justify-center p-6">
    <Logo class="!size-14" />
    <h1 class="mt-4 text-4xl" style="font-stretch: 118%">Fervens</h1>
    <p class="mt-1 mb-8 text-soft">Every zone ready together, every tone the one you meant.</p>
    <form v-if="!isForgotten" class="flex flex-col gap-4" @submit.prevent="send">
      <div>
        <label class="label" for="username">Name</label>
        <input
          id="username"
          v-model="username"
          class="field"
          autocomplete="username"
          autocapitalize="none"
          required
          autofocus
        />
      </div>
      <div>
        <label class="label" for="password">Password</label>
        <input
          id="password"
          v-model="password"
          class="field"
          type="password"
          autocomplete="current-password"
          required
        />
      </div>
      <div v-if="needsCode">
        <label class="label" for="code">Six digits from your phone, or a recovery code</label>
        <input
          id="code"
          v-model="code"
          class="field num text-2xl tracking-widest"
          autocomplete="one-time-code"
          autocapitalize="none"
          maxlength="20"
          required
        />
      </div>
      <label class="flex min-h-12 items-center gap-3"
        ><input v-model="prefs.isStudios" type="checkbox" class="size-6 shrink-0" /><span
          >This device is the studio's: stay signed in here</span
        ></label
      >
      <p v-if="asking.problem" class="rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
        {{ asking.problem }}
      </p>
      <button class="btn btn-act" :disabled="asking.isBusy">{{ asking.isBusy ? 'Signing in …' : 'Sign in' }}</button>
      <button type="button" class="min-h-12 text-left underline underline-offset-4" @click="isForgotten = true">
        Password forgotten
      </button>
    </form>
    <form v-else class="flex flex-col gap-4" @submit.prevent="sendReset">
      <template v-if="wasSent">
        <p class="text-lg" role="status">
          If a member has this address, a link is on its way there. It works for a day.
        </p>
      </template>
      <template v-else>
        <div>
          <label class="label" for="email">Your mail address</label>
          <input id="email" v-model="email" class="field" type="email" autocomplete="email" required autofocus />
        </div>
        <p v-if="asking.problem" class="rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
          {{ asking.problem }}
        </p>
        <button class="btn btn-act" :disabled="asking.isBusy">Send me a link</button>
        <p class="text-sm text-soft">No address in your account? The owner of your studio can hand you a link.</p>
      </template>
      <button type="button" class="btn" @click="isForgotten = wasSent = false">Back to signing in</button>
    </form>
    <p class="mt-10 text-sm text-soft">
      For professional use. The product's label, its safety data sheet, local codes and licensing outrank everything
      shown here.
    </p>
  </main>
</template>
