<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'
import { type Axis, clampPercent, ticks, toPercent } from '../lib/strip'
import { clock as clockText, countdown, inMinutes, minutesUntil } from '../lib/time'
import ChairLane from '../parts/ChairLane.vue'
import Wait from '../parts/Wait.vue'
import WeighSheet from '../parts/WeighSheet.vue'
import { useActs } from '../stores/acts'
import { useAttention } from '../stores/attention'
import { useClock } from '../stores/clock'
import LaneSheet from './LaneSheet.vue'

const route = useRoute()
const router = useRouter()
const id = String(route.params.id)
const clock = useClock()
const query = useQuery(queries.board(id))
const acts = useActs(id)
const board = computed(() => query.data.value?.board)
const lanes = computed(() => board.value?.lanes ?? [])
const opened = ref<string | null>(null)
const openLane = computed(() => lanes.value.find((l) => l.key === opened.value) ?? null)

const isNarrow = ref(false)
const media = window.matchMedia('(max-width: 700px)')
const look = () => (isNarrow.value = media.matches)
const base = computed(() => Math.min(...lanes.value.map((l) => new Date(l.started_at).getTime())))
const nowMin = computed(() => (clock.now - base.value) / 60_000)
const zeroOf = (lane: Schemas['Lane']) => (new Date(lane.zero_at).getTime() - base.value) / 60_000
const axis = computed<Axis>(() => {
  if (isNarrow.value) return { from: nowMin.value - 22, to: nowMin.value + 38 }
  return { from: -2, to: Math.max(...lanes.value.map((l) => zeroOf(l) + l.wall_min), nowMin.value + 5, 30) + 3 }
})
const marks = computed(() => {
  // whole ten minutes of the clock on the wall
  const first = new Date(base.value)
  const shift = first.getMinutes() + first.getSeconds() / 60
  return ticks(
    { from: axis.value.from + shift, to: axis.value.to + shift },
    isNarrow.value ? 5 : window.innerWidth < 1000 ? 7 : 12,
  )
    .map((m) => m - shift)
    .filter(
      (m) =>
        Math.abs(toPercent(axis.value, m) - toPercent(axis.value, nowMin.value)) >
        (isNarrow.value || window.innerWidth < 1000 ? 9 : 5),
    )
    .map((m) => ({ minute: m, text: clockText(new Date(base.value + m * 60_000)) }))
})

const all = computed(() => board.value?.acts ?? [])
const first = computed(() => all.value[0])
const rest = computed(() => all.value.slice(1, 4))
/** What the large clock counts: towards a look, or, once a zone is to be rinsed, towards its wall. */
const timer = computed(() => {
  const act = first.value
  const lane = lanes.value.find((l) => l.key === act?.zone_key)
  if (!act || !lane || !['read', 'rinse', 'stop', 'finish'].includes(act.code)) return null
  const dueIn = minutesUntil(act.due_at, clock.now)
  if (act.code === 'rinse' && dueIn > 0) return { minutes: dueIn, caption: 'until the rinse' }
  if (act.code === 'rinse' || act.code === 'stop') {
    const minutes = zeroOf(lane) + lane.wall_min - nowMin.value
    return { minutes, caption: minutes < 0 ? 'past the label' : 'to the wall' }
  }
  const minutes = dueIn
  return { minutes, caption: minutes < 0 ? 'overdue' : act.code === 'finish' ? 'planned' : 'until the look' }
})
const isDue = computed(() => Boolean(first.value && minutesUntil(first.value.due_at, clock.now) <= 0))
useAttention(
  () => all.value,
  () => clock.now,
  () => query.data.value?.client_name ?? 'Chair',
)

const bowlFor = (key: string | null) => query.data.value?.bowls.find((b) => b.fills.some((f) => f.lane_key === key))
const weighing = ref<Schemas['BowlOut'] | null>(null)
/** A bowl for a lane, and for the lanes that are filled from the same one and wait as well. */
const mixed = async (
  bowl: Schemas['BowlOut'],
  lane: Schemas['Lane'],
  as: { volume_strength: number; product_g: number; developer_g: number; recipe: string },
) => {
  const waiting = new Set(lanes.value.filter((l) => l.phase === 'waiting').map((l) => l.key))
  const also_for = bowl.fills.map((f) => f.lane_key).filter((k) => k !== lane.key && waiting.has(k))
  const values = { zone_key: lane.key, ...as, also_for }
  if (await acts.act('BowlMixed', values, `Bowl for ${lane.name} mixed.`)) weighing.value = null
}
const mixedAsWeighed = async (as: Parameters<typeof mixed>[2]) => {
  const bowl = weighing.value
  const lane = lanes.value.find((l) => bowl?.fills.some((f) => f.lane_key === l.key) && l.phase === 'waiting')
  if (bowl && lane) await mixed(bowl, lane, as)
}
const recipe = (bowl: Schemas['BowlOut']) =>
  [
    `${bowl.lightener_g.toFixed(0)} g lightener`,
    ...bowl.pours.map((p) => `${p.mass_g.toFixed(0)} g of ${p.volume_strength} vol`),
  ].join(' + ')
const detail = computed(() => {
  const act = first.value
  if (!act) return ''
  const bowl = act.code === 'mix' ? bowlFor(act.zone_key) : undefined
  return bowl ? recipe(bowl) : act.detail
})
const verbs: Record<string, string> = {
  mix: 'Mixed',
  start: 'First section on',
  finish: 'Last section on',
  read: 'Read it',
  rinse: 'Rinsed',
  stop: 'Rinsed',
  short: 'Open the zone',
  tone: 'To the tone',
}
const doAct = async (act: Schemas['NextAct']) => {
  const lane = lanes.value.find((l) => l.key === act.zone_key)
  if (act.code === 'tone') return void (await router.push({ name: 'tone', params: { id } }))
  if (!lane) return
  if (act.code === 'read' || act.code === 'short') opened.value = lane.key
  else await doLane(act.code, lane)
}
const doLane = async (code: string, lane: Schemas['Lane']) => {
  const zone_key = lane.key
  if (code === 'mix') {
    const bowl = bowlFor(lane.key)
    if (!bowl) return
    await mixed(bowl, lane, {
      volume_strength: bowl.volume_strength,
      product_g: bowl.lightener_g,
      developer_g: bowl.developer_g,
      recipe: recipe(bowl),
    })
  } else if (code === 'start') {
    await acts.act(
      'ApplicationStarted',
      { zone_key, volume_strength: lane.volume_strength },
      `${lane.name}: label's time runs.`,
    )
  } else if (code === 'finish') {
    await acts.act('ApplicationFinished', { zone_key }, `${lane.name}: clock started.`)
  } else if (code === 'rinse' || code === 'stop') {
    await acts.act('Rinsed', { zone_key }, `${lane.name} rinsed.`)
  }
}
const read = async (lane: Schemas['Lane'], level: number, mode: string) => {
  const done = await acts.act('ReadingTaken', { zone_key: lane.key, level, mode }, `${lane.name} read at ${level}.`)
  if (done) opened.value = null
}
const rinse = async (lane: Schemas['Lane']) => {
  if (await acts.act('Rinsed', { zone_key: lane.key }, `${lane.name} rinsed.`)) opened.value = null
}
const onKey = (event: KeyboardEvent) => {
  if (opened.value || weighing.value || event.ctrlKey || event.metaKey || event.altKey) return
  if (
    event.target instanceof HTMLElement &&
    ['INPUT', 'TEXTAREA', 'SELECT', 'BUTTON', 'A'].includes(event.target.tagName)
  )
    return
  const number = Number(event.key)
  const undone = query.data.value?.undo
  if (number >= 1 && number <= 9 && lanes.value[number - 1]) opened.value = lanes.value[number - 1]!.key
  else if (event.key === ' ' && first.value) {
    event.preventDefault()
    void doAct(first.value)
  } else if (event.key.toLowerCase() === 'u' && undone) void acts.undo(undone)
}
onMounted(() => {
  look()
  media.addEventListener('change', look)
  window.addEventListener('keydown', onKey)
})
onBeforeUnmount(() => {
  media.removeEventListener('change', look)
  window.removeEventListener('keydown', onKey)
})
</script>

<template>
  <main id="main" class="mx-auto flex w-full max-w-[1500px] grow flex-col px-4 pt-3 pb-6 sm:px-6">
    <h1 class="sr-only">Chair</h1>
    <Wait
      v-if="!board"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      what="The chair"
      @retry="query.refetch()"
    />
    <p v-else-if="lanes.length === 0" class="panel mt-6 text-lg">
      No plan is at the chair yet.
      <RouterLink class="font-bold underline underline-offset-4" :to="{ name: 'service', params: { id } }"
        >Go to where the service stands</RouterLink
      >.
    </p>
    <template v-else>
      <p
        v-if="query.isRefetchError.value"
        class="mb-2 rounded-[5px] bg-stop px-4 py-2 font-semibold text-stop-ink"
        role="alert"
      >
        No answer from the server: the clocks go on here, new readings by others are missing.
      </p>
      <div class="flex flex-wrap items-stretch gap-3">
        <section
          class="flex min-w-0 grow basis-full flex-wrap lg:basis-[460px] items-center gap-x-5 gap-y-2 sm:flex-nowrap rounded-[7px] bg-act px-5 py-3 text-act-ink"
          :class="{
            'outline-4 outline-signal': isDue && first?.code !== 'stop',
            '!bg-stop !text-stop-ink': first?.code === 'stop',
          }"
          aria-label="Next"
        >
          <template v-if="first">
            <span
              v-if="first.hex"
              class="swatch hidden h-[72px] w-[30px] shrink-0 rounded-[3px] sm:block"
              :style="{ background: first.hex }"
            />
            <div class="min-w-0 grow basis-full sm:basis-auto">
              <h2 class="text-[26px] sm:truncate leading-tight sm:text-[34px]">{{ first.title }}</h2>
              <p class="text-base opacity-90 sm:text-lg">{{ detail }}</p>
            </div>
            <p
              v-if="timer"
              class="shrink-0 text-center"
              role="timer"
              :aria-label="`${countdown(timer.minutes)} ${timer.caption}`"
            >
              <span class="num block text-[46px] leading-[0.95] sm:text-[60px]">{{ countdown(timer.minutes) }}</span>
              <span class="block text-sm opacity-90">{{ timer.caption }}</span>
            </p>
            <button
              v-if="first.code === 'mix' && bowlFor(first.zone_key)"
              type="button"
              class="min-h-16 shrink-0 rounded-[5px] border-2 border-act-ink px-5 text-lg font-bold"
              @click="weighing = bowlFor(first.zone_key) ?? null"
            >
              Weigh it
            </button>
            <button
              type="button"
              class="ml-auto min-h-16 shrink-0 rounded-[5px] bg-act-ink px-5 text-lg font-bold text-act"
              :class="{ '!bg-stop-ink !text-stop': first.code === 'stop' }"
              :disabled="acts.isBusy.value"
              @click="doAct(first)"
            >
              {{ verbs[first.code] }}
            </button>
          </template>
          <p v-else class="text-2xl font-semibold">Nothing to do just now.</p>
        </section>
        <section class="panel flex grow basis-[270px] lg:grow-0 flex-col !py-2.5" aria-label="Then">
          <h2 class="text-sm font-semibold text-soft">Then</h2>
          <p v-if="rest.length === 0" class="text-soft">Nothing else for now.</p>
          <ul class="grow">
            <li v-for="a in rest" :key="a.code + a.zone_key" class="flex items-baseline justify-between gap-3">
              <button type="button" class="min-h-8 truncate text-left hover:underline" @click="doAct(a)">
                {{ a.title }}
              </button>
              <span
                class="num text-lg whitespace-nowrap"
                :class="{ 'font-bold': minutesUntil(a.due_at, clock.now) <= 0 }"
                >{{ inMinutes(minutesUntil(a.due_at, clock.now)) }}</span
              >
            </li>
          </ul>
        </section>
      </div>

      <section class="relative mt-3" :style="{ '--lanes': lanes.length }" aria-label="Zones over time">
        <div class="chair-row text-soft">
          <span class="hidden text-sm md:block">label {{ query.data.value?.label_max_min }} min</span>
          <div class="relative h-7">
            <span
              v-for="m in marks"
              :key="m.minute"
              class="num absolute bottom-0.5 -translate-x-1/2 text-[15px]"
              :style="{ left: `${toPercent(axis, m.minute)}%` }"
              >{{ m.text }}</span
            >
            <span
              class="num absolute bottom-0 z-10 flex h-6 -translate-x-1/2 items-center rounded-[4px] bg-signal px-1.5 text-[16px] text-signal-ink"
              :style="{ left: `${clampPercent(toPercent(axis, nowMin))}%` }"
              >{{ clockText(new Date(clock.now)) }}</span
            >
          </div>
          <span class="hidden md:block" />
        </div>
        <div class="chair-row pointer-events-none absolute inset-0" aria-hidden="true">
          <span class="hidden md:block" />
          <div class="relative h-full">
            <span
              class="absolute top-7 bottom-0 z-10 hidden w-[2.5px] md:block -translate-x-1/2 bg-signal"
              :style="{ left: `${clampPercent(toPercent(axis, nowMin))}%` }"
            />
          </div>
          <span class="hidden md:block" />
        </div>
        <ChairLane
          v-for="(lane, i) in lanes"
          :key="lane.key"
          class="chair-row border-t border-line"
          :lane="lane"
          :number="i + 1"
          :axis="axis"
          :zero="zeroOf(lane)"
          :now="nowMin"
          :is-urgent="first?.zone_key === lane.key && isDue"
          @open="opened = lane.key"
        />
      </section>
      <div class="mt-4 flex flex-wrap items-center gap-3">
        <button
          type="button"
          class="btn"
          :disabled="!query.data.value?.undo || acts.isBusy.value"
          @click="query.data.value?.undo && acts.undo(query.data.value.undo)"
        >
          Undo<span v-if="query.data.value?.undo" class="max-w-72 truncate font-normal text-soft">{{
            query.data.value.undo.text
          }}</span>
        </button>
        <p class="hidden grow text-sm text-soft md:block">Keys: 1–9 open a zone, space does what is next, U undoes.</p>
        <RouterLink
          v-if="lanes.some((l) => l.phase === 'rinsed')"
          class="btn ml-auto"
          :to="{ name: 'tone', params: { id } }"
          >Tone what is rinsed</RouterLink
        >
      </div>
      <LaneSheet
        :lane="openLane"
        :is-dark="query.data.value?.is_dark_lightener ?? false"
        :is-busy="acts.isBusy.value"
        :now="clock.now"
        @close="opened = null"
        @read="(level, mode) => openLane && read(openLane, level, mode)"
        @rinse="openLane && rinse(openLane)"
        @apply="(code) => openLane && doLane(code, openLane).then(() => (opened = null))"
      />
      <WeighSheet
        :bowl="weighing"
        :lightener-key="query.data.value?.lightener_key ?? ''"
        :lightener-name="query.data.value?.lightener_name ?? 'Lightener'"
        :can-record="true"
        :is-busy="acts.isBusy.value"
        @close="weighing = null"
        @mixed="mixedAsWeighed"
      />
    </template>
  </main>
</template>

<style>
.chair-row {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-items: center;
  column-gap: 14px;
}
@media (min-width: 768px) {
  .chair-row {
    grid-template-columns: 158px minmax(0, 1fr) 214px;
  }
}
@media (min-width: 768px) and (max-width: 1000px) {
  .chair-row {
    grid-template-columns: 118px minmax(0, 1fr) 168px;
  }
}
</style>
