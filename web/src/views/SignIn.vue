<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { nextTick, ref } from 'vue'
import { askReset } from '../api/account'
import { signIn } from '../api/queries'
import { useAsking } from '../stores/asking'
import { usePrefs } from '../stores/prefs'
import Logo from '../parts/Logo.vue'
import { changeLanguage } from '../lib/i18n'
import LanguageChoice from '../parts/LanguageChoice.vue'

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
    <h1 class="mt-4 text-4xl" style="font-stretch: 118%">{{ $t('common.fervens') }}</h1>
    <p class="mt-1 mb-8 text-soft">{{ $t('signIn.everyZoneReadyTogetherEvery') }}</p>
    <form v-if="!isForgotten" class="flex flex-col gap-4" @submit.prevent="send">
      <div>
        <label class="label" for="username">{{ $t('common.name') }}</label>
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
        <label class="label" for="password">{{ $t('common.password') }}</label>
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
        <label class="label" for="code">{{ $t('signIn.sixDigitsFromYourPhone') }}</label>
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
        ><input v-model="prefs.isStudios" type="checkbox" class="size-6 shrink-0" /><span>{{
          $t('common.thisDeviceIsTheStudio')
        }}</span></label
      >
      <p v-if="asking.problem" class="rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
        {{ asking.problem }}
      </p>
      <button class="btn btn-act" :disabled="asking.isBusy">
        {{ asking.isBusy ? $t('signIn.signingIn') : $t('common.signIn') }}
      </button>
      <button type="button" class="min-h-12 text-start underline underline-offset-4" @click="isForgotten = true">
        {{ $t('signIn.passwordForgotten') }}
      </button>
    </form>
    <form v-else class="flex flex-col gap-4" @submit.prevent="sendReset">
      <template v-if="wasSent">
        <p class="text-lg" role="status">
          {{ $t('signIn.ifAMemberHasThis') }}
        </p>
      </template>
      <template v-else>
        <div>
          <label class="label" for="email">{{ $t('signIn.yourMailAddress') }}</label>
          <input id="email" v-model="email" class="field" type="email" autocomplete="email" required autofocus />
        </div>
        <p v-if="asking.problem" class="rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
          {{ asking.problem }}
        </p>
        <button class="btn btn-act" :disabled="asking.isBusy">{{ $t('signIn.sendMeALink') }}</button>
        <p class="text-sm text-soft">{{ $t('signIn.noAddressInYourAccount') }}</p>
      </template>
      <button type="button" class="btn" @click="isForgotten = wasSent = false">
        {{ $t('signIn.backToSigningIn') }}
      </button>
    </form>
    <LanguageChoice class="mt-8" @update:model-value="changeLanguage" />
    <p class="mt-6 text-sm text-soft">
      {{ $t('common.forProfessionalUseTheProduct') }}
    </p>
  </main>
</template>
