<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { ApiError } from '../api/client'
import { signIn } from '../api/queries'
import Logo from '../parts/Logo.vue'

const client = useQueryClient()
const username = ref('')
const password = ref('')
const problem = ref('')
const isBusy = ref(false)
const send = async () => {
  isBusy.value = true
  problem.value = ''
  try {
    client.setQueryData(['session'], await signIn(username.value, password.value))
  } catch (error) {
    problem.value = error instanceof ApiError ? error.problem.detail : 'Signing in failed here. Try again.'
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <main class="mx-auto flex min-h-dvh max-w-sm flex-col justify-center p-6">
    <Logo class="!size-14" />
    <h1 class="mt-4 text-4xl" style="font-stretch: 118%">Fervens</h1>
    <p class="mt-1 mb-8 text-soft">Every zone ready together, every tone the one you meant.</p>
    <form class="flex flex-col gap-4" @submit.prevent="send">
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
      <p v-if="problem" class="rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">{{ problem }}</p>
      <button class="btn btn-act" :disabled="isBusy">{{ isBusy ? 'Signing in …' : 'Sign in' }}</button>
    </form>
    <p class="mt-10 text-sm text-soft">
      For professional use. The product's label, its safety data sheet, local codes and licensing outrank everything
      shown here.
    </p>
  </main>
</template>
