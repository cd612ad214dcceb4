<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'
import ToneLane from '../parts/ToneLane.vue'
import Wait from '../parts/Wait.vue'
import { useActs } from '../stores/acts'
import { useAttention } from '../stores/attention'
import { useClock } from '../stores/clock'
import LaneSheet from './LaneSheet.vue'

const route = useRoute()
const id = String(route.params.id)
const clock = useClock()
const query = useQuery(queries.tone(id))
const board = useQuery(queries.board(id))
const acts = useActs(id)
const lanes = computed(() => query.data.value?.lanes ?? [])
const reading = ref<string | null>(null)
const readLane = computed(() => board.data.value?.board.lanes.find((l) => l.key === reading.value) ?? null)
const isFiled = computed(() => query.data.value?.step === 'record')
const unread = computed(() => lanes.value.filter((l) => !l.is_read))
const onHair = computed(() => lanes.value.filter((l) => l.toner && !l.toner.rinsed_at))

useAttention(
  () =>
    onHair.value.map((l) => ({
      code: new Date(l.toner!.label_at).getTime() <= clock.now ? 'stop' : 'rinse',
      zone_key: l.key,
      title: `Rinse the toner: ${l.name}`,
      detail: '',
      due_at: new Date(l.toner!.label_at).getTime() <= clock.now ? l.toner!.label_at : l.toner!.due_at,
      hex: null,
    })),
  () => clock.now,
  () => 'Tone',
)
const apply = async (lane: Schemas['ToneLane'], option: Schemas['ToneOption']) => {
  await acts.act(
    'TonerApplied',
    {
      zone_key: lane.key,
      shade_key: option.shade_key,
      shade_name: option.shade_name,
      minutes: option.minutes,
      product_g: option.product_g,
      developer_g: option.developer_g,
    },
    `${option.shade_name} is on ${lane.name}.`,
  )
}
const rinse = (lane: Schemas['ToneLane']) =>
  acts.act('TonerRinsed', { zone_key: lane.key }, `${lane.name}: toner rinsed.`)
const read = async (level: number, mode: string) => {
  if (
    readLane.value &&
    (await acts.act(
      'ReadingTaken',
      { zone_key: readLane.value.key, level, mode },
      `${readLane.value.name} read at ${level}.`,
    ))
  )
    reading.value = null
}
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
    <p v-else-if="lanes.length === 0" class="panel mt-6 text-lg">
      No zone is rinsed yet; toner is chosen for what the hair became.
      <RouterLink class="font-bold underline underline-offset-4" :to="{ name: 'service', params: { id } }"
        >Back to where the service stands</RouterLink
      >.
    </p>
    <template v-else>
      <div class="mb-3 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <p class="text-lg">
          <strong class="mr-2">Wanted: {{ query.data.value.tone }}.</strong
          ><span class="text-soft"
            >Each zone its own toner, so that all end alike. Resistant first, porous ends last.</span
          >
        </p>
        <p v-if="query.data.value.open_zones.length" class="ml-auto font-semibold">
          Still lifting: {{ query.data.value.open_zones.join(', ') }}
        </p>
        <p v-else-if="unread.length && !isFiled" class="ml-auto font-semibold">
          {{ unread.length }} {{ unread.length === 1 ? 'zone is' : 'zones are' }} not read since the rinse: read dry for
          a better choice
        </p>
      </div>
      <div class="flex flex-col gap-2.5">
        <ToneLane
          v-for="lane in lanes"
          :key="lane.key"
          :lane="lane"
          :now="clock.now"
          :is-busy="acts.isBusy.value"
          :is-locked="isFiled"
          @apply="(o) => apply(lane, o)"
          @rinse="rinse(lane)"
          @read="reading = lane.key"
        />
      </div>
      <p class="mt-4 text-sm text-soft">
        A toner looks far too dark on the head: do not take it off early; rinse one low strand and look, pull product
        back over if it needs longer. No cap, no heat on a toner. Patch test 48 h before oxidative toner, as the label
        says.
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
            class="btn btn-act ml-auto px-8 text-lg whitespace-nowrap"
            :to="{ name: 'record', params: { id } }"
            >To the record</RouterLink
          >
        </div>
      </div>
      <LaneSheet
        :lane="readLane"
        :is-dark="false"
        :is-busy="acts.isBusy.value"
        :now="clock.now"
        @close="reading = null"
        @read="read"
      />
    </template>
  </main>
</template>
