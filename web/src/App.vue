<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { RouterLink, RouterView, useRoute } from 'vue-router'
import { queries, signOut } from './api/queries'
import Logo from './parts/Logo.vue'
import Notices from './parts/Notices.vue'
import Wait from './parts/Wait.vue'
import { useClock } from './stores/clock'
import { useNotices } from './stores/notices'
import { usePrefs } from './stores/prefs'
import SignIn from './views/SignIn.vue'

const session = useQuery(queries.session())
const client = useQueryClient()
const clock = useClock()
const prefs = usePrefs()
const notices = useNotices()
const route = useRoute()
const isIn = computed(() => Boolean(session.data.value?.member_name))
watch(session.data, (s) => s && clock.learn(s.server_now), { immediate: true })
watch(
  () => route.meta.title,
  (title) => {
    document.title = title ? `${String(title)} · Fervens` : 'Fervens'
  },
)
const leave = async () => {
  try {
    await signOut()
    client.clear()
    await session.refetch()
  } catch (error) {
    notices.fail(error)
  }
}
</script>

<template>
  <Wait
    v-if="!session.data.value"
    :is-loading="session.isLoading.value"
    :error="session.error.value"
    what="Fervens"
    @retry="session.refetch()"
  />
  <SignIn v-else-if="!isIn" />
  <div v-else class="flex min-h-dvh flex-col">
    <a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-raised focus:p-3"
      >To the content</a
    >
    <header class="no-print flex items-center gap-3 px-4 pt-2 sm:px-6">
      <RouterLink to="/" class="flex min-h-12 items-center gap-2.5 text-lg font-bold" aria-label="Fervens, to the day">
        <Logo /><span class="hidden sm:inline" style="font-stretch: 118%">Fervens</span>
      </RouterLink>
      <span class="hidden grow truncate text-sm text-soft md:block">{{ session.data.value.studio_name }}</span>
      <span class="grow md:hidden" />
      <button
        type="button"
        class="btn btn-quiet px-3 text-sm"
        :aria-pressed="prefs.isMuted"
        @click="prefs.isMuted = !prefs.isMuted"
      >
        {{ prefs.isMuted ? 'Sound off' : 'Sound on' }}
      </button>
      <button
        type="button"
        class="btn btn-quiet px-3 text-sm"
        @click="prefs.theme = prefs.theme === 'dark' ? 'light' : 'dark'"
      >
        {{ prefs.theme === 'dark' ? 'Light' : 'Dark' }}
      </button>
      <button type="button" class="btn btn-quiet px-3 text-sm" @click="leave">
        <span class="hidden sm:inline">{{ session.data.value.member_name }} ·</span> Sign out
      </button>
    </header>
    <RouterView />
    <Notices />
  </div>
</template>
