<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type ComputedRef, defineAsyncComponent, onBeforeUnmount, ref, watch } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'
import { dueAtBasin, isBasinFirst } from '../lib/basin'
import { minutesUntil } from '../lib/time'
import { type BoardLike, waitingKeys, withWaiting } from '../api/waiting'
import BowlStrip from '../parts/BowlStrip.vue'
import FootBar from '../parts/FootBar.vue'
import ChairNext from '../parts/ChairNext.vue'
import ChairLanes from '../parts/ChairLanes.vue'
import ChairNews from '../parts/ChairNews.vue'
import HeadClock from '../parts/HeadClock.vue'
import UndoButton from '../parts/UndoButton.vue'
import Wait from '../parts/Wait.vue'
import { useAttention } from '../stores/attention'
import { useChairActs } from '../stores/chairActs'
import { useChairKeys } from '../stores/chairKeys'
import { useClock } from '../stores/clock'
import { useLine } from '../stores/line'
import { useOutbox } from '../stores/outbox'
import { usePractice } from '../stores/practice'
import { usePrefs } from '../stores/prefs'
import { useQuickLook } from '../stores/quickLook'
import { useWalls } from '../stores/walls'
import { $t } from '../lib/i18n'
import { behind } from '../lib/later'

/** Who did what comes from the server anyway: it is brought in when it is asked for, and the basin when it is in use. */
const LogSheet = defineAsyncComponent(() => import('./LogSheet.vue'))
const ToneBoard = defineAsyncComponent(() => import('./ToneBoard.vue'))
const LaneSheet = behind(() => import('./LaneSheet.vue'))
const WeighSheet = behind(() => import('../parts/WeighSheet.vue'))
const KEPT_BOARD_MS = 1_100
/** More strands than these hang across the whole page. */
const MANY_LANES = 14
const route = useRoute()
const id = String(route.params.id)
const clock = useClock()
const query = useQuery(queries.board(id))
const practice = usePractice()
const prefs = usePrefs()
const outbox = useOutbox()
const client = useQueryClient()
const line = useLine()
const waiting = computed(() => outbox.of(id))
const waitingZones = computed(() => waitingKeys(waiting.value))
/** The last board known, with what this device has not sent yet marked on it. */
const board = computed(() => {
  const known = query.data.value?.board
  return known && withWaiting(known as BoardLike, waiting.value, clock.now)
}) as ComputedRef<Schemas['Board'] | undefined>
const lanes = computed(() => board.value?.lanes ?? [])
/** Zones with toner on stand on the same board as those still lifting. */
const basin = useQuery(computed(() => ({ ...queries.tone(id, 3), enabled: Boolean(board.value?.toners_on) })))
const toneStep = computed(() => (board.value?.toners_on ? (basin.data.value?.tone_step ?? null) : null))
const toning = computed(() => {
  const next = toneStep.value?.acts[0]?.ids ?? []
  return toneStep.value?.lanes.filter((l) => next.includes(l.id) || (l.toner && !l.toner.rinsed_at)) ?? []
})
/** The colours to read by are fetched before they are needed: the line may be down then. */
watch(
  () => [...new Set(lanes.value.map((l) => l.start_level))].join(' '),
  (starts) => {
    for (const start of starts.split(' ').filter(Boolean)) void client.prefetchQuery(queries.palette(Number(start)))
  },
  { immediate: true },
)
const chair = useChairActs(
  id,
  () => query.data.value,
  () => lanes.value,
)
const { acts, opened, weighing } = chair
const openLane = computed(() => lanes.value.find((l) => l.key === opened.value) ?? null)

/** What need not move every second moves every five. */
const slowNow = computed(() => Math.floor(clock.now / 5_000) * 5_000)
const all = computed(() => chair.told(board.value?.acts ?? []))
const first = computed(() => all.value[0])
const isDue = computed(() => Boolean(first.value && minutesUntil(first.value.due_at, clock.now) <= 0))
const { walls, moments } = useWalls(() => lanes.value)
const behindMin = computed(() => query.data.value?.clock_behind_min ?? 0)
useAttention(
  () => [...all.value, ...walls.value, ...dueAtBasin(toneStep.value?.acts ?? [])],
  () => clock.now,
  () => query.data.value?.client_name ?? $t('common.chair'),
)
/** In practice time that is hurried on waits for the hand, where the board says what is due. */
watch(
  () =>
    practice.of(id)?.help === 'full'
      ? [...all.value, ...dueAtBasin(toneStep.value?.acts ?? [])].map((a) => new Date(a.due_at).getTime())
      : [],
  (at, before) => {
    if (at.join() !== before?.join()) practice.falls(at)
  },
  { immediate: true },
)
/** What fell due, a wall above all, may read differently now: the server is asked again at that moment, not on a beat. */
const isOvertaken = computed(() => {
  const seenAt = new Date(query.data.value?.server_now ?? 0).getTime()
  const due = [...all.value.map((a) => new Date(a.due_at).getTime()), ...moments.value]
  return due.some((at) => at > seenAt && at <= clock.now)
})
let renewing: number | undefined
/** A board that was kept for others for a second may be just older than that moment: it is asked for once more. */
watch([isOvertaken, query.dataUpdatedAt], ([is], before) => {
  window.clearTimeout(renewing)
  if (!is || waiting.value.length > 0) return
  renewing = window.setTimeout(() => void query.refetch(), before[0] ? KEPT_BOARD_MS : 0)
})

const detail = computed(() => {
  const act = first.value
  if (!act) return ''
  const bowl = act.code === 'mix' ? chair.bowlFor(act.zone_key) : undefined
  return bowl ? chair.recipe(bowl) : act.detail
})
const quick = useQuickLook(
  () => (practice.of(id) ? undefined : first.value), // in practice the strand has to be opened and looked at first
  () => lanes.value,
  () => slowNow.value,
)
/** Trips with zones on: each can be rinsed in one tap, whatever the advice says. */
const openVisits = computed(() => {
  const on = lanes.value.filter((l) => l.phase === 'processing')
  return [...new Set(on.map((l) => l.visit))].map((visit) => ({
    visit,
    keys: on.filter((l) => l.visit === visit).map((l) => l.key),
  }))
})
const isLogOpen = ref(false)
const takeBack = (event_id: string, text: string) => acts.undo({ event_id, text })
const undone = computed(() => acts.undoNow(query.data.value?.undo))
watch(() => undone.value?.event_id, practice.acted)
useChairKeys({
  isOff: () => !prefs.hasKeys || Boolean(opened.value || weighing.value || isLogOpen.value),
  count: () => lanes.value.length,
  open: (number) => (opened.value = lanes.value[number - 1]?.key ?? null),
  act: () => (first.value && isDue.value && !acts.isBusy.value ? () => void chair.doAct(first.value!) : null),
  undo: () => undone.value && void acts.undo(undone.value),
})
onBeforeUnmount(() => {
  window.clearTimeout(renewing)
  practice.falls([])
})
</script>

<template>
  <main id="main" class="mx-auto flex w-full max-w-[1500px] grow flex-col px-4 pt-3 pb-6 sm:px-6">
    <h1 class="sr-only">{{ $t('common.chair') }}</h1>
    <p
      v-if="behindMin > 0.1"
      class="mb-2 rounded-[5px] border-s-[8px] border-signal bg-raised px-3 py-1.5 font-semibold"
      role="status"
    >
      {{ $t('chair.theServerSClockWas', { behindMin: Math.ceil(behindMin) }) }}
    </p>
    <Wait
      v-if="!board"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('chair.theChair')"
      @retry="query.refetch()"
    />
    <p v-else-if="lanes.length === 0" class="panel mt-6 text-lg">
      <i18n-t keypath="chair.noPlanIsAtThe" scope="global"
        ><template #part1
          ><RouterLink class="font-bold underline underline-offset-4" :to="{ name: 'service', params: { id } }">{{
            $t('chair.goToWhereTheService')
          }}</RouterLink></template
        ></i18n-t
      >
    </p>
    <template v-else>
      <p
        v-if="query.isRefetchError.value && line.state === 'live'"
        class="mb-2 rounded-[5px] bg-stop px-4 py-2 font-semibold text-stop-ink"
        role="alert"
      >
        {{ $t('chair.theBoardCouldNotBe') }}
      </p>
      <ToneBoard
        v-if="toneStep"
        class="mb-3"
        :service-id="id"
        :step="toneStep"
        :lanes="toning"
        :has-next="isBasinFirst(toneStep.acts, all)"
        :has-reader="query.data.value?.has_reader ?? false"
        :is-locked="false"
      >
        <h2 class="mb-1.5 font-semibold">{{ $t('chair.atTheBasin') }}</h2>
      </ToneBoard>
      <div :class="prefs.isHead ? ['chair-head', lanes.length > MANY_LANES ? 'is-wide' : ''] : 'flex flex-col gap-2'">
        <ChairNext
          v-if="!toneStep || !isBasinFirst(toneStep.acts, all)"
          :acts="all"
          :lanes="lanes"
          :now="clock.now"
          :detail="detail"
          :can-weigh="first?.code === 'mix' && Boolean(chair.bowlFor(first.zone_key))"
          :is-busy="acts.isBusy.value"
          :is-apart="prefs.isHead"
          :reading="quick"
          @do="chair.doAct"
          @only="(act) => chair.doAct({ ...act, then_key: null })"
          @read="(act, level) => chair.quickRead(act, level, quick?.isFirstFoils ?? false)"
          @weigh="weighing = chair.bowlFor(first?.zone_key ?? null) ?? null"
        />
        <div class="chair-aside flex flex-col gap-2">
          <ChairNews
            :service-id="id"
            :proposals="board.proposals"
            :conflicts="query.data.value?.conflicts ?? []"
            :is-column="prefs.isHead"
            :is-busy="acts.isBusy.value"
            @take="chair.takeProposal"
          />
          <div class="flex flex-wrap items-center gap-2">
            <BowlStrip :bowls="board.bowls ?? []" :now="slowNow" />
            <div
              class="ms-auto flex overflow-hidden rounded-[5px] border border-line"
              role="group"
              :aria-label="$t('chair.showAs')"
            >
              <button
                v-for="v in [true, false]"
                :key="String(v)"
                type="button"
                class="min-h-12 px-3 text-[15px] font-semibold"
                :class="prefs.isHead === v ? 'bg-raised' : 'text-soft'"
                :aria-pressed="prefs.isHead === v"
                @click="prefs.isHead = v"
              >
                {{ v ? $t('chair.asHead') : $t('chair.asTime') }}
              </button>
            </div>
          </div>
        </div>
        <div class="chair-lanes flex min-w-0 flex-col">
          <component
            :is="prefs.isHead ? HeadClock : ChairLanes"
            class="grow"
            :lanes="lanes"
            :now="clock.now"
            :label-max-min="query.data.value?.label_max_min ?? null"
            :urgent-key="isDue ? (first?.zone_key ?? null) : null"
            :waiting-zones="waitingZones"
            @open="(key: string) => (opened = key)"
          />
        </div>
        <div class="chair-more mb-20 flex flex-wrap items-center gap-3">
          <button type="button" class="btn" @click="isLogOpen = true">{{ $t('common.whoDidWhat') }}</button>
          <button
            v-for="w in openVisits"
            :key="w.visit"
            type="button"
            class="btn"
            :disabled="acts.isBusy.value"
            @click="chair.rinseWave(w.keys, chair.endsTheChair(w.keys))"
          >
            <i18n-t keypath="chair.rinse" scope="global"
              ><template #what>{{
                openVisits.length > 1 ? $t('chair.trip', { visit: w.visit }) : $t('chair.allThatIsOn')
              }}</template
              ><template #part1
                ><span class="num font-normal text-soft">{{ $t('count.zones', w.keys.length) }}</span></template
              ></i18n-t
            ><span v-if="chair.endsTheChair(w.keys)" class="font-normal">{{
              $t('chairNext.then', { then: $t('chair.onToTheReview') })
            }}</span>
          </button>
        </div>
      </div>
      <FootBar>
        <template #undo>
          <UndoButton :is-off="!undone || acts.isBusy.value" :what="undone?.text" @undo="undone && acts.undo(undone)" />
        </template>
        <template #says>
          <p class="hidden text-sm text-soft md:block">
            {{
              prefs.hasKeys
                ? $t('chair.keysOpenAZoneSpace', { what: lanes.length > 9 ? `1–${lanes.length}` : '1–9' })
                : $t('chair.keysAreOff')
            }}
          </p>
          <button
            type="button"
            class="hidden min-h-12 px-2 text-sm underline underline-offset-4 md:block"
            :aria-pressed="prefs.hasKeys"
            @click="prefs.hasKeys = !prefs.hasKeys"
          >
            {{ prefs.hasKeys ? $t('chair.keysOff') : $t('chair.keysOn') }}
          </button>
        </template>
        <RouterLink
          v-if="lanes.some((l) => l.phase === 'rinsed')"
          class="btn ms-auto"
          :to="{ name: 'tone', params: { id } }"
          >{{ $t('chair.toneWhatIsRinsed') }}</RouterLink
        >
      </FootBar>
      <LaneSheet
        :lane="openLane"
        :service-id="id"
        :has-reader="query.data.value?.has_reader ?? false"
        :is-dark="query.data.value?.is_dark_lightener ?? false"
        :is-busy="acts.isBusy.value"
        :now="clock.now"
        @close="opened = null"
        @read="(...what) => openLane && chair.read(openLane, ...what)"
        @note="(values) => openLane && chair.note(openLane, values)"
        @option="(option, isLabelRead) => openLane && chair.doOption(openLane, option, isLabelRead)"
        @rinse="(isWiped) => openLane && chair.rinse(openLane, isWiped)"
        @apply="(code) => openLane && chair.doLane(code, openLane).then(() => (opened = null))"
      />
      <LogSheet
        v-if="isLogOpen"
        :is-open="isLogOpen"
        :service-id="id"
        :is-busy="acts.isBusy.value"
        @close="isLogOpen = false"
        @take-back="takeBack"
      />
      <WeighSheet
        :bowl="weighing"
        :can-record="true"
        :is-busy="acts.isBusy.value"
        @close="weighing = null"
        @mixed="chair.mixedAsWeighed"
      />
    </template>
  </main>
</template>

<style>
.chair-head {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
}
.chair-head > .chair-lanes {
  min-height: clamp(420px, calc(100dvh - 690px), 620px);
}
@media (min-width: 1100px) {
  .chair-head {
    grid-template-columns: minmax(0, 1fr) 400px;
    grid-template-rows: auto auto 1fr;
  }
  .chair-head > .chair-aside {
    grid-column: 2;
    grid-row: 2;
  }
  .chair-head > .chair-lanes {
    grid-column: 1;
    grid-row: 2 / span 2;
    min-height: clamp(380px, calc(100dvh - 410px), 660px);
    margin-bottom: 80px;
  }
  .chair-head > .chair-more {
    grid-column: 2;
    grid-row: 3;
    align-self: end;
  }
  .chair-head.is-wide > :is(.chair-aside, .chair-lanes, .chair-more) {
    grid-column: 1 / -1;
    grid-row: auto;
    margin-bottom: 0;
  }
  .chair-head.is-wide > .chair-lanes {
    min-height: clamp(380px, calc(100dvh - 424px), 660px);
  }
  .chair-head.is-wide > .chair-more {
    margin-bottom: 80px;
  }
}
</style>
