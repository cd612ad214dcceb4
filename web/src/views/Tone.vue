<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'
import { levelText } from '../lib/time'
import ToneBowls from '../parts/ToneBowls.vue'
import ToneLane from '../parts/ToneLane.vue'
import ToneNext from '../parts/ToneNext.vue'
import Wait from '../parts/Wait.vue'
import { useActs } from '../stores/acts'
import { useAttention } from '../stores/attention'
import { useClock } from '../stores/clock'
import OwnFormula from './OwnFormula.vue'
import ReadResult from './ReadResult.vue'
import ShadowSheet from './ShadowSheet.vue'
import StrandLook from './StrandLook.vue'
import WishSheet from './WishSheet.vue'

const route = useRoute()
const id = String(route.params.id)
const clock = useClock()
const most = ref(3)
const query = useQuery(computed(() => queries.tone(id, most.value)))
const acts = useActs(id)
const step = computed(() => query.data.value?.tone_step ?? null)
const lanes = computed(() => step.value?.lanes ?? [])
const sheet = ref<'' | 'wish' | 'own' | 'shadow'>('')
const opened = ref<string | null>(null)
const reading = ref<string | null>(null)
const openLane = computed(() => lanes.value.find((l) => l.id === opened.value) ?? null)
const readLane = computed(() => lanes.value.find((l) => l.key === reading.value && !l.part) ?? null)
const isFiled = computed(() => query.data.value?.step === 'record')
const unread = computed(() => lanes.value.filter((l) => !l.is_read))
const onHair = computed(() => lanes.value.filter((l) => l.toner && !l.toner.rinsed_at))

useAttention(
  () =>
    (step.value?.acts ?? [])
      .filter((a) => a.code !== 'apply')
      .map((a) => ({
        ...a,
        zone_key: a.id,
        zone_keys: [a.id],
        code: a.code === 'stop' ? 'stop' : 'rinse',
      })) as Schemas['NextAct'][],
  () => clock.now,
  () => 'Tone',
)
const apply = async (lane: Schemas['ToneLane']) => {
  const bowl = step.value?.bowls.find((b) => b.lane_ids.includes(lane.id))
  if (!bowl || !lane.proposal) return
  const two = bowl.shade_keys.length > 1
  const shadow = lane.part
    ? { part: lane.part, length_mm: step.value?.shadow_length_mm, blend_mm: step.value?.shadow_blend_mm }
    : {}
  await acts.act(
    'TonerApplied',
    {
      zone_key: lane.key,
      shade_key: bowl.shade_keys[0],
      shade_name: bowl.shade_names[0],
      ...(two ? { second_key: bowl.shade_keys[1], second_name: bowl.shade_names[1] } : {}),
      share: two ? bowl.share : 1,
      developer_parts: bowl.developer_parts,
      minutes: lane.proposal.minutes,
      product_g: lane.proposal.product_g,
      developer_g: lane.proposal.developer_g,
      ...shadow,
    },
    `Bowl ${bowl.number} is on ${lane.name}.`,
  )
}
const say = (kind: string, lane: Schemas['ToneLane'], said: string, more: Record<string, unknown> = {}) =>
  acts.act(kind, { zone_key: lane.key, part: lane.part, ...more }, `${lane.name}: ${said}`)
const rinse = async (lane: Schemas['ToneLane']) => {
  if (await say('TonerRinsed', lane, 'toner rinsed.')) opened.value = null
}
const pull = async (minutes: number) => {
  if (openLane.value && (await say('TonerPulledBack', openLane.value, 'pulled back over.', { minutes })))
    opened.value = null
}
const doAct = async (act: Schemas['ToneAct']) => {
  const lane = lanes.value.find((l) => l.id === act.id)
  if (!lane) return
  if (act.code === 'apply') await apply(lane)
  else if (act.code === 'emulsify') await say('TonerEmulsified', lane, 'emulsified.')
  else if (act.code === 'strand') opened.value = lane.id
  else await rinse(lane)
}
const wish = async (values: Record<string, unknown>) => {
  if (await acts.act('WishSet', values, 'The wish is set.')) sheet.value = ''
}
const shadow = async (values: Record<string, unknown>) => {
  if (await acts.act('ShadowSet', values, values.length_mm ? 'Root shadow planned.' : 'No root shadow.'))
    sheet.value = ''
}
const useOwn = async (all: Record<string, unknown>[], name: string) => {
  for (const values of all) if (!(await acts.act('TonerApplied', values, `${name} is on.`))) return
  sheet.value = ''
}
const read = async (values: Record<string, unknown>) => {
  if (
    readLane.value &&
    (await acts.act('ReadingTaken', values, `${readLane.value.name} read at ${String(values.level)}.`))
  )
    reading.value = null
}
const note = (values: { elasticity?: string; scalp?: string }) =>
  readLane.value && acts.act('HairNoted', { zone_key: readLane.value.key, ...values }, `${readLane.value.name}: noted.`)
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-3 pb-28 sm:px-6">
    <h1 class="sr-only">Tone</h1>
    <Wait
      v-if="!query.data.value"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      what="The tone"
      @retry="query.refetch()"
    />
    <p v-else-if="!step || lanes.length === 0" class="panel mt-6 text-lg">
      No zone is rinsed yet; toner is chosen for what the hair became.
      <RouterLink class="font-bold underline underline-offset-4" :to="{ name: 'service', params: { id } }"
        >Back to where the service stands</RouterLink
      >.
    </p>
    <template v-else>
      <p
        v-if="step.blocked"
        class="mb-3 rounded-[5px] bg-stop px-4 py-3 text-lg font-semibold text-stop-ink"
        role="alert"
      >
        No toner of the shelf may be used: {{ step.blocked }}
      </p>
      <p
        v-else-if="step.is_wash_only"
        class="mb-3 rounded-[5px] border-l-[8px] border-ink bg-panel px-4 py-3 text-lg font-semibold"
      >
        No oxidative toner on this person: pigmented shampoo and conditioner only.
        <span class="font-normal text-soft">{{ step.shelf.find((s) => s.blocked)?.blocked }}</span>
      </p>
      <ToneNext v-if="!isFiled" :acts="step.acts" :now="clock.now" :is-busy="acts.isBusy.value" @do="doAct" />
      <div class="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <button type="button" class="btn !h-auto !py-1.5 text-lg" :disabled="isFiled" @click="sheet = 'wish'">
          <span class="swatch flex h-9 w-16 overflow-hidden rounded-[3px]"
            ><span class="grow" :style="{ background: step.wanted_hex }" /><span
              v-if="step.flat_hex"
              class="w-5"
              :style="{ background: step.flat_hex }" /></span
          >Wanted: {{ step.wish.lab ? 'a colour of its own' : step.wish.tone }}, {{ levelText(step.wish.level) }}
          <span class="text-sm font-normal text-soft">{{ step.is_own_wish ? 'change' : 'proposed, change' }}</span>
        </button>
        <p v-if="step.flat_hex" class="text-sm text-soft">right: flat grey, with no warmth put back</p>
        <p v-if="query.data.value.open_zones.length" class="ml-auto font-semibold">
          Still lifting: {{ query.data.value.open_zones.join(', ') }}
        </p>
        <p v-else-if="unread.length && !isFiled" class="ml-auto font-semibold">
          {{ unread.length }} {{ unread.length === 1 ? 'zone is' : 'zones are' }} not read since the rinse
        </p>
        <p v-else-if="step.finish_min && !onHair.length && !isFiled" class="ml-auto text-soft">
          the last one is off <strong class="num text-ink">{{ step.finish_min.toFixed(0) }} min</strong> after the first
        </p>
      </div>
      <ToneBowls
        v-if="step.bowls.length && !isFiled"
        class="mb-3"
        :step="step"
        :most="most"
        :is-locked="isFiled"
        @most="(n) => (most = n)"
        @own="sheet = 'own'"
        @shadow="sheet = 'shadow'"
      />
      <div class="flex flex-col gap-2.5">
        <ToneLane
          v-for="lane in lanes"
          :key="lane.id"
          :lane="lane"
          :now="clock.now"
          :is-next="step.acts[0]?.id === lane.id"
          :is-busy="acts.isBusy.value"
          :is-locked="isFiled"
          @apply="apply(lane)"
          @open="opened = lane.id"
          @strand="opened = lane.id"
          @emulsify="say('TonerEmulsified', lane, 'emulsified.')"
          @rinse="rinse(lane)"
          @read="reading = lane.key"
        />
      </div>
      <p class="mt-4 text-sm text-soft">
        Sections of about 3 mm, barrier cream on the skin, no cotton at the hairline. A toner looks far too dark on the
        head: rinse one low strand and look. No cap, no heat on a toner. Follow the label; patch test 48 h before
        oxidative toner, as it says.
      </p>
      <div class="no-print fixed inset-x-0 bottom-0 z-20 border-t border-line bg-ground px-4 py-3 sm:px-6">
        <div class="mx-auto flex max-w-[1320px] items-center gap-3">
          <button
            type="button"
            class="btn"
            :disabled="!query.data.value.undo || acts.isBusy.value"
            @click="query.data.value.undo && acts.undo(query.data.value.undo)"
          >
            Undo<span v-if="query.data.value.undo" class="hidden max-w-72 truncate font-normal text-soft sm:inline">{{
              query.data.value.undo.text
            }}</span>
          </button>
          <p class="hidden grow text-right text-soft sm:block">
            {{ onHair.length ? `Toner on ${onHair.length} of ${lanes.length}` : '' }}
          </p>
          <RouterLink
            class="btn ml-auto px-8 text-lg whitespace-nowrap"
            :class="{ 'btn-act': !step.acts.length }"
            :to="{ name: 'record', params: { id } }"
            >To the record</RouterLink
          >
        </div>
      </div>
      <WishSheet
        :is-open="sheet === 'wish'"
        :step="step"
        :service-id="id"
        :has-reader="query.data.value.has_reader"
        :is-busy="acts.isBusy.value"
        @close="sheet = ''"
        @wish="wish"
      />
      <OwnFormula
        :is-open="sheet === 'own'"
        :step="step"
        :service-id="id"
        :is-busy="acts.isBusy.value"
        @close="sheet = ''"
        @use="useOwn"
      />
      <ShadowSheet
        :is-open="sheet === 'shadow'"
        :step="step"
        :is-busy="acts.isBusy.value"
        @close="sheet = ''"
        @set="shadow"
      />
      <StrandLook
        :lane="openLane"
        :now="clock.now"
        :is-busy="acts.isBusy.value"
        @close="opened = null"
        @seen="(share) => openLane && say('TonerStrandRead', openLane, 'strand noted.', { deposit_share: share })"
        @pull="pull"
        @rinse="openLane && rinse(openLane)"
        @probe="
          (grab) =>
            openLane && acts.act('ProbeRead', { zone_key: openLane.key, grab }, `${openLane.name}: probe noted.`)
        "
        @read="((reading = openLane?.key ?? null), (opened = null))"
      />
      <ReadResult
        :zone="readLane"
        :service-id="id"
        :has-reader="query.data.value.has_reader"
        :is-busy="acts.isBusy.value"
        @close="reading = null"
        @read="read"
        @note="note"
      />
    </template>
  </main>
</template>
