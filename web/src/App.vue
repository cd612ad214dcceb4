<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refAutoReset, refDebounced, useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { RouterLink, RouterView, useRoute } from 'vue-router'
import { OUTDATED } from './api/client'
import { queries, readDemo, signOut, wakeDemo } from './api/queries'
import Logo from './parts/Logo.vue'
import Notices from './parts/Notices.vue'
import Wait from './parts/Wait.vue'
import { serviceAt } from './lib/address'
import { clock as clockText, duration } from './lib/time'
import { useHere } from './stores/here'
import { useClock } from './stores/clock'
import { useLine } from './stores/line'
import { useNotices } from './stores/notices'
import { useOutbox } from './stores/outbox'
import { usePrefs } from './stores/prefs'
import { $t, changeLanguage } from './lib/i18n'
import { measureIn } from './lib/units'

const Account = defineAsyncComponent(() => import('./views/Account.vue'))
const SignIn = defineAsyncComponent(() => import('./views/SignIn.vue'))
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
/** What the server says of the reader in this page's life: what was kept from before may be what was just changed. */
const reader = computed(() => (session.isFetchedAfterMount.value ? session.data.value : undefined))
watch(
  () => reader.value?.language ?? '',
  (own) => changeLanguage(own),
  { immediate: true },
)
watch(
  () => reader.value?.member_name && reader.value.units,
  (own) => own && measureIn(own),
  { immediate: true },
)
watch(
  () => session.data.value?.member_name ?? null,
  (name) => {
    outbox.signIn(name)
    if (!name) return line.close()
    // the page may be opened on a service: one line from the start, not one of all first
    line.follow(serviceAt(location.pathname))
    line.open()
  },
  { immediate: true },
)
/** A demo left open for long is woken with one tap, instead of standing past every label. */
const demo = useQuery({
  queryKey: ['demo'],
  queryFn: readDemo,
  enabled: computed(() => Boolean(isIn.value && session.data.value?.is_demo)),
  refetchInterval: 60_000,
})
const asleepMin = computed(() => demo.data.value?.asleep_min ?? 0)
const wake = async () => {
  try {
    await wakeDemo()
    await client.invalidateQueries()
  } catch (error) {
    notices.fail(error)
  }
}
const isOutdated = ref(false)
useEventListener(window, [OUTDATED, 'vite:preloadError'], () => (isOutdated.value = true))
const loadAnew = () => window.location.reload()
useHere(() => isIn.value && !session.data.value?.is_studios)
/** An act on its way for so long waits; for less it is only being sent, and a banner would move the page for a blink. */
const SENT_MS = 2_000
const isLate = refDebounced(
  computed(() => outbox.count > 0),
  SENT_MS,
)
/** What waits is told at once without the line, and then until it is sent. */
const isTold = ref(false)
watch(
  [() => outbox.count, isLate, () => line.state],
  ([count, late, state]) => {
    if (count === 0) isTold.value = false
    else if (late || state === 'lost' || state === 'behind') isTold.value = true
  },
  { immediate: true, flush: 'sync' },
)
/** What the header says of the line: nothing while all is well. */
const lineText = computed(() => {
  const waiting = isTold.value && outbox.count ? $t('app.actsWait', outbox.count) : ''
  const since = line.lastHeard ? $t('app.lastHeard', { lastHeard: clockText(new Date(line.lastHeard)) }) : ''
  if (line.state === 'lost') return $t('app.noLineToTheServer', { since, what: waiting ? ` · ${waiting}` : '' })
  if (line.state === 'behind') return $t('app.behindTheDatabaseDoesNot', { what: waiting ? ` · ${waiting}` : '' })
  return waiting
})
/** A banner that comes or goes moves the page: what is tapped in that moment was not what was meant. */
const MOVING_MS = 400
const isMoving = refAutoReset(false, MOVING_MS)
const banners = computed(() =>
  [
    Boolean(lineText.value),
    Boolean(clock.changedMs),
    Boolean(asleepMin.value),
    isOutdated.value,
    outbox.returned.length,
    Boolean(outbox.others.length),
  ].join(),
)
watch(banners, () => (isMoving.value = true), { flush: 'sync' })
watch(
  () => route.meta.title,
  (title) => {
    document.title = title ? $t('app.fervens', { title: title() }) : 'Fervens'
  },
)
const places = [
  { name: 'day', text: $t('common.day') },
  { name: 'practice', text: $t('common.practice') },
  { name: 'shelf', text: $t('common.shelf') },
  { name: 'numbers', text: $t('common.numbers') },
  { name: 'studio', text: $t('common.studio') },
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
    <a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-raised focus:p-3">{{
      $t('app.toTheContent')
    }}</a>
    <header class="no-print flex flex-wrap items-center gap-x-1.5 px-4 pt-2 sm:px-6 lg:flex-nowrap xl:gap-x-3">
      <RouterLink
        to="/"
        class="flex min-h-12 items-center gap-2.5 text-lg font-bold"
        :aria-label="$t('app.fervensToTheDay')"
      >
        <Logo /><span class="hidden lg:inline" style="font-stretch: 118%">{{ $t('common.fervens') }}</span>
      </RouterLink>
      <nav
        class="order-last -mx-2 w-full flex-wrap items-center md:order-none md:mx-0 md:flex md:w-auto md:shrink-0 md:flex-nowrap"
        :class="route.path.startsWith('/services') ? 'hidden' : 'flex'"
        :aria-label="$t('app.theStudio')"
      >
        <RouterLink
          v-for="to in places"
          :key="to.name"
          :to="{ name: to.name }"
          class="flex min-h-12 items-center px-2 text-sm font-semibold hover:underline max-md:sm:px-3 xl:px-3"
          :class="route.name === to.name ? 'underline decoration-[3px] underline-offset-[6px]' : 'text-soft'"
          :aria-current="route.name === to.name ? 'page' : undefined"
          >{{ to.text }}</RouterLink
        >
      </nav>
      <span class="hidden min-w-0 grow truncate text-end text-sm text-soft lg:block">{{
        session.data.value.studio_name
      }}</span>
      <span class="grow lg:hidden" />
      <button
        type="button"
        class="btn btn-quiet px-1.5 text-sm whitespace-nowrap xl:px-3"
        :aria-pressed="prefs.isMuted"
        @click="prefs.isMuted = !prefs.isMuted"
      >
        {{ prefs.isMuted ? $t('app.soundOff') : $t('app.soundOn') }}
      </button>
      <button
        type="button"
        class="btn btn-quiet px-1.5 text-sm whitespace-nowrap xl:px-3"
        @click="prefs.theme = prefs.theme === 'dark' ? 'light' : 'dark'"
      >
        {{ prefs.theme === 'dark' ? $t('app.light') : $t('app.dark') }}
      </button>
      <RouterLink
        :to="{ name: 'account' }"
        class="btn btn-quiet px-1.5 text-sm whitespace-nowrap xl:px-3"
        :class="{ underline: route.name === 'account' }"
        :aria-label="$t('app.yourAccount', { member_name: session.data.value.member_name })"
        ><span class="hidden sm:inline">{{ session.data.value.member_name }}</span
        ><span class="sm:hidden">{{ $t('common.you') }}</span></RouterLink
      >
      <button type="button" class="btn btn-quiet px-1.5 text-sm whitespace-nowrap xl:px-3" @click="leave">
        {{ $t('app.signOut') }}
      </button>
    </header>
    <p
      v-if="lineText"
      class="no-print mx-4 mb-1 flex items-center gap-2 rounded-[5px] border-s-[8px] border-signal bg-raised px-3 py-1.5 text-[15px] font-semibold sm:mx-6"
      role="status"
    >
      {{ lineText }}
      <span v-if="line.state !== 'live'" class="font-normal text-soft">{{ $t('app.theClocksGoOnHere') }}</span>
    </p>
    <section
      v-if="clock.changedMs"
      class="no-print mx-4 mb-1 flex flex-wrap items-center gap-3 rounded-[5px] border-s-[8px] border-signal bg-raised px-3 py-1.5 sm:mx-6"
      role="status"
    >
      <span class="grow"
        ><i18n-t keypath="app.lookAtTheHairNot" scope="global"
          ><template #part1
            ><b>{{
              $t('app.theServerSClockWas', {
                what: clock.changedMs > 0 ? $t('app.forward') : $t('app.back'),
                changedMs: Math.round(Math.abs(clock.changedMs) / 60_000),
              })
            }}</b></template
          ></i18n-t
        ></span
      >
      <button type="button" class="btn !min-h-11" @click="clock.seen">{{ $t('common.seen') }}</button>
    </section>
    <section
      v-if="asleepMin && isIn"
      class="no-print mx-4 mb-1 flex flex-wrap items-center gap-3 rounded-[5px] border-s-[8px] border-signal bg-raised px-3 py-1.5 sm:mx-6"
      role="status"
    >
      <span class="grow"
        ><i18n-t keypath="app.itsDayGoesOnFrom" scope="global"
          ><template #part1
            ><b>{{ $t('app.thisDemoHasStoodFor', { asleepMin: duration(asleepMin) }) }}</b></template
          ></i18n-t
        ></span
      >
      <button type="button" class="btn !min-h-11" @click="wake">{{ $t('app.wakeIt') }}</button>
    </section>
    <section
      v-if="isOutdated"
      class="no-print mx-4 mb-1 flex flex-wrap items-center gap-3 rounded-[5px] border-s-[8px] border-signal bg-raised px-3 py-1.5 sm:mx-6"
      role="status"
    >
      <span class="grow"
        ><i18n-t keypath="app.actsThatWaitAreKept" scope="global"
          ><template #part1
            ><b>{{ $t('app.theServerHasANewer') }}</b></template
          ></i18n-t
        ></span
      >
      <button type="button" class="btn !min-h-11" @click="loadAnew">{{ $t('app.loadIt') }}</button>
    </section>
    <section
      v-for="act in outbox.returned"
      :key="act.event_id"
      class="no-print mx-4 mb-1 flex flex-wrap items-center gap-3 rounded-[5px] bg-stop px-4 py-2 text-stop-ink sm:mx-6"
      role="alert"
    >
      <span class="grow"
        ><i18n-t keypath="app.notTakenOf" scope="global"
          ><template #occurred_at>{{ clockText(act.occurred_at) }}</template
          ><template #text>{{ act.text }}</template
          ><template #reason
            ><b>{{ act.reason }}</b></template
          ></i18n-t
        ></span
      >
      <button
        type="button"
        class="min-h-12 rounded-[5px] border-2 border-stop-ink px-4 font-bold"
        @click="outbox.dismiss(act.event_id)"
      >
        {{ $t('common.seen') }}
      </button>
    </section>
    <p v-if="outbox.others.length" class="no-print mx-4 mb-1 px-1 text-[15px] text-soft sm:mx-6" role="status">
      {{
        $t('app.actsOfWaitOnThis', {
          count: outbox.others.length,
          member: outbox.others[0]?.member || $t('app.someoneElse'),
        })
      }}
    </p>
    <div class="contents" :class="{ 'pointer-events-none': isMoving }">
      <Account v-if="session.data.value.owes" />
      <RouterView v-else />
    </div>
    <Notices v-if="notices.sheets.length === 0 && notices.bars === 0" />
  </div>
</template>
