<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { RouterLink, RouterView, useRoute } from 'vue-router'
import { OUTDATED } from './api/client'
import { queries, signOut } from './api/queries'
import Logo from './parts/Logo.vue'
import Notices from './parts/Notices.vue'
import Wait from './parts/Wait.vue'
import { clock as clockText } from './lib/time'
import { useHere } from './stores/here'
import { useClock } from './stores/clock'
import { useLine } from './stores/line'
import { useNotices } from './stores/notices'
import { useOutbox } from './stores/outbox'
import { usePrefs } from './stores/prefs'
import Account from './views/Account.vue'
import SignIn from './views/SignIn.vue'

const session = useQuery(queries.session())
const client = useQueryClient()
const clock = useClock()
const prefs = usePrefs()
const notices = useNotices()
const route = useRoute()
const isIn = computed(() => Boolean(session.data.value?.member_name))
const line = useLine()
const outbox = useOutbox()
watch(
  () => session.dataUpdatedAt.value,
  () => session.data.value && !session.isStale.value && clock.learn(session.data.value.server_now),
)
watch(
  () => session.data.value?.member_name ?? null,
  (name) => {
    outbox.signIn(name)
    if (name) line.open()
    else line.close()
  },
  { immediate: true },
)
const isOutdated = ref(false)
useEventListener(window, [OUTDATED, 'vite:preloadError'], () => (isOutdated.value = true))
const loadAnew = () => window.location.reload()
useHere(() => isIn.value && !session.data.value?.is_studios)
/** What the header says of the line: nothing while all is well. */
const lineText = computed(() => {
  const waiting = outbox.count ? `${outbox.count} ${outbox.count === 1 ? 'act waits' : 'acts wait'}` : ''
  const since = line.lastHeard ? `, last heard ${clockText(new Date(line.lastHeard))}` : ''
  if (line.state === 'lost') return `No line to the server${since}${waiting ? ` · ${waiting}` : ''}`
  if (line.state === 'behind') return `Behind: the database does not answer${waiting ? ` · ${waiting}` : ''}`
  return waiting
})
watch(
  () => route.meta.title,
  (title) => {
    document.title = title ? `${String(title)} · Fervens` : 'Fervens'
  },
)
const places = [
  { name: 'day', text: 'Day' },
  { name: 'practice', text: 'Practice' },
  { name: 'shelf', text: 'Shelf' },
  { name: 'numbers', text: 'Numbers' },
  { name: 'studio', text: 'Studio' },
]
const leave = async () => {
  try {
    await signOut()
    line.close()
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
  <RouterView v-else-if="route.meta.isOpen" />
  <SignIn v-else-if="!isIn" />
  <div v-else class="flex min-h-dvh flex-col">
    <a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-raised focus:p-3"
      >To the content</a
    >
    <header class="no-print flex flex-wrap items-center gap-x-3 px-4 pt-2 sm:flex-nowrap sm:px-6">
      <RouterLink to="/" class="flex min-h-12 items-center gap-2.5 text-lg font-bold" aria-label="Fervens, to the day">
        <Logo /><span class="hidden lg:inline" style="font-stretch: 118%">Fervens</span>
      </RouterLink>
      <nav
        class="order-last -mx-2 w-full items-center sm:order-none sm:mx-0 sm:flex sm:w-auto"
        :class="route.path.startsWith('/services') ? 'hidden' : 'flex'"
        aria-label="The studio"
      >
        <RouterLink
          v-for="to in places"
          :key="to.name"
          :to="{ name: to.name }"
          class="flex min-h-12 items-center px-2 text-sm font-semibold hover:underline sm:px-3"
          :class="route.name === to.name ? 'underline decoration-[3px] underline-offset-[6px]' : 'text-soft'"
          :aria-current="route.name === to.name ? 'page' : undefined"
          >{{ to.text }}</RouterLink
        >
      </nav>
      <span class="hidden grow truncate text-right text-sm text-soft lg:block">{{
        session.data.value.studio_name
      }}</span>
      <span class="grow lg:hidden" />
      <button
        type="button"
        class="btn btn-quiet px-1.5 text-sm whitespace-nowrap sm:px-2 lg:px-3"
        :aria-pressed="prefs.isMuted"
        @click="prefs.isMuted = !prefs.isMuted"
      >
        {{ prefs.isMuted ? 'Sound off' : 'Sound on' }}
      </button>
      <button
        type="button"
        class="btn btn-quiet px-1.5 text-sm whitespace-nowrap sm:px-2 lg:px-3"
        @click="prefs.theme = prefs.theme === 'dark' ? 'light' : 'dark'"
      >
        {{ prefs.theme === 'dark' ? 'Light' : 'Dark' }}
      </button>
      <RouterLink
        :to="{ name: 'account' }"
        class="btn btn-quiet px-1.5 text-sm whitespace-nowrap sm:px-2 lg:px-3"
        :class="{ underline: route.name === 'account' }"
        :aria-label="`Your account, ${session.data.value.member_name}`"
        ><span class="hidden sm:inline">{{ session.data.value.member_name }}</span
        ><span class="sm:hidden">You</span></RouterLink
      >
      <button type="button" class="btn btn-quiet px-1.5 text-sm whitespace-nowrap sm:px-2 lg:px-3" @click="leave">
        Sign out
      </button>
    </header>
    <p
      v-if="lineText"
      class="no-print mx-4 mb-1 flex items-center gap-2 rounded-[5px] border-l-[8px] border-signal bg-raised px-3 py-1.5 text-[15px] font-semibold sm:mx-6"
      role="status"
    >
      {{ lineText }}
      <span v-if="line.state !== 'live'" class="font-normal text-soft"
        >The clocks go on here; what you tap is kept and sent.</span
      >
    </p>
    <section
      v-if="clock.changedMs"
      class="no-print mx-4 mb-1 flex flex-wrap items-center gap-3 rounded-[5px] border-l-[8px] border-signal bg-raised px-3 py-1.5 sm:mx-6"
      role="status"
    >
      <span class="grow"
        ><b
          >The server's clock was set {{ clock.changedMs > 0 ? 'forward' : 'back' }} by
          {{ Math.round(Math.abs(clock.changedMs) / 60_000) }} min.</b
        >
        Look at the hair, not at the clocks, on whatever is on now.</span
      >
      <button type="button" class="btn !min-h-11" @click="clock.seen">Seen</button>
    </section>
    <section
      v-if="isOutdated"
      class="no-print mx-4 mb-1 flex flex-wrap items-center gap-3 rounded-[5px] border-l-[8px] border-signal bg-raised px-3 py-1.5 sm:mx-6"
      role="status"
    >
      <span class="grow"><b>The server has a newer page.</b> Acts that wait are kept, and go out with it.</span>
      <button type="button" class="btn !min-h-11" @click="loadAnew">Load it</button>
    </section>
    <section
      v-for="act in outbox.returned"
      :key="act.event_id"
      class="no-print mx-4 mb-1 flex flex-wrap items-center gap-3 rounded-[5px] bg-stop px-4 py-2 text-stop-ink sm:mx-6"
      role="alert"
    >
      <span class="grow"
        >Not taken, of {{ clockText(act.occurred_at) }}: {{ act.text }} <b>{{ act.reason }}</b></span
      >
      <button
        type="button"
        class="min-h-12 rounded-[5px] border-2 border-stop-ink px-4 font-bold"
        @click="outbox.dismiss(act.event_id)"
      >
        Seen
      </button>
    </section>
    <p v-if="outbox.others.length" class="no-print mx-4 mb-1 px-1 text-[15px] text-soft sm:mx-6" role="status">
      {{ outbox.others.length }} acts of {{ outbox.others[0]?.member || 'someone else' }} wait on this device; they go
      out when that member signs in here.
    </p>
    <Account v-if="session.data.value.owes" />
    <RouterView v-else />
    <Notices v-if="notices.sheets.length === 0 && notices.bars === 0" />
  </div>
</template>
