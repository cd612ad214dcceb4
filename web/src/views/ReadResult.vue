<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import type { Noted, Read } from '../api/events'
import { queries } from '../api/queries'
import { feels, restAmounts, rests, stretches, warmths } from '../lib/words'
import CameraRead from '../parts/CameraRead.vue'
import Choice from '../parts/Choice.vue'
import PracticeLook from '../parts/PracticeLook.vue'
import ReaderRead from '../parts/ReaderRead.vue'
import Sheet from '../parts/Sheet.vue'
import SwatchScale from '../parts/SwatchScale.vue'
import { usePractice } from '../stores/practice'

/** Reading what a rinsed zone became: beside its own painted scale, with what else shows on it. */
export interface ZoneToRead {
  key: string
  name: string
  before_level: number
  target_level: number
  /** No lightener went on it; reading it takes it in among what is toned. */
  is_kept?: boolean
}
const props = defineProps<{ zone: ZoneToRead | null; serviceId: string; hasReader: boolean; isBusy: boolean }>()
const emit = defineEmits<{
  close: []
  read: [values: Read]
  note: [values: Noted]
}>()
const practice = usePractice()
const round = computed(() => practice.of(props.serviceId))
const shown = ref<ZoneToRead | null>(null)
const mode = ref<'rinsed_wet' | 'dry'>('dry')
const warmth = ref<'-1' | '0' | '1'>('0')
const rest = ref<'' | 'green' | 'blue' | 'violet' | 'red'>('')
const amount = ref<'0.25' | '0.5' | '1'>('0.5')
watch(
  () => props.zone,
  (zone) => {
    if (!zone) return
    shown.value = zone
    warmth.value = '0'
    rest.value = ''
  },
)
const start = computed(() => shown.value?.before_level ?? null)
const palette = useQuery(computed(() => ({ ...queries.palette(start.value), enabled: start.value !== null })))
const dampOrDry = [
  { value: 'rinsed_wet', name: 'Damp' },
  { value: 'dry', name: 'Dry' },
] as const
const send = (level: number, lab: readonly number[] = [], instrument = '', levelStd?: number) =>
  emit('read', {
    zone_key: shown.value?.key ?? '',
    level,
    mode: mode.value,
    lab: [...lab],
    instrument,
    ...(levelStd ? { level_std: levelStd } : {}),
    warmth: Number(warmth.value),
    rest: rest.value || null,
    rest_amount: rest.value ? Number(amount.value) : 0,
    ...(shown.value?.is_kept ? { is_kept: true } : {}),
  })
</script>

<template>
  <Sheet
    :is-open="zone !== null"
    :title="shown?.name ?? ''"
    :subtitle="
      shown
        ? shown.is_kept
          ? 'no lightener went on it'
          : `from ${shown.before_level}, wanted ${shown.target_level}`
        : ''
    "
    @close="emit('close')"
  >
    <div v-if="shown" class="flex flex-col gap-5">
      <Choice v-model="mode" legend="The hair is" :options="dampOrDry" />
      <PracticeLook
        v-if="round"
        :key="shown.key"
        :service-id="serviceId"
        :lane-key="shown.key"
        :mode="mode"
        :is-on="false"
      />
      <Choice v-model="warmth" legend="Beside the swatch it looks" :options="warmths" />
      <Choice v-model="rest" legend="A rest of old dye shows" :options="rests" />
      <Choice v-if="rest" v-model="amount" legend="How much of it" :options="restAmounts" />
      <SwatchScale
        v-if="palette.data.value"
        :key="shown.key"
        legend="Tap the swatch that matches; it is noted at once"
        :levels="palette.data.value.levels"
        :hexes="palette.data.value.hexes"
        :undertones="palette.data.value.undertones"
        :model-value="null"
        is-large
        @update:model-value="(level) => send(level)"
      />
      <ReaderRead
        v-if="hasReader"
        :service-id="serviceId"
        :lane-key="shown.key"
        :is-busy="isBusy"
        @note="(level, lab, instrument) => send(level, lab, instrument)"
      />
      <CameraRead
        v-if="!round"
        :service-id="serviceId"
        :lane-key="shown.key"
        :is-busy="isBusy"
        @note="(level, lab, instrument, levelStd) => send(level, lab, instrument, levelStd)"
      />
      <Choice
        v-if="!shown.is_kept"
        :model-value="null"
        legend="A wet strand stretches and"
        :options="stretches"
        @update:model-value="(elasticity) => emit('note', { elasticity })"
      />
      <Choice
        v-if="!shown.is_kept"
        :model-value="null"
        legend="The scalp feels"
        :options="feels"
        @update:model-value="(scalp) => emit('note', { scalp })"
      />
    </div>
  </Sheet>
</template>
