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
import { $t } from '../lib/i18n'

/** Reading what a rinsed zone became: beside its own painted scale, with what else shows on it. */
export interface ZoneToRead {
  key: string
  name: string
  before_level: number
  target_level: number
  /** No lightener went on it; reading it takes it in among what is toned. */
  is_kept?: boolean
  part?: string
  side?: string
}
const props = defineProps<{
  zone: ZoneToRead | null
  /** What is not read yet either: it can be read alike, in the same look. */
  others?: readonly ZoneToRead[]
  serviceId: string
  hasReader: boolean
  isBusy: boolean
}>()
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
  (zone, before) => {
    if (!zone) return
    shown.value = zone
    if (zone.key === before?.key) return // the same part, told anew: what was chosen stays
    warmth.value = '0'
    rest.value = ''
    alike.value = []
    isListed.value = false
  },
)
/** Lanes read alike with this one. */
const alike = ref<string[]>([])
const isListed = ref(false)
const groups = computed(() => {
  const found: { name: string; keys: string[] }[] = []
  const by = (name: string, is: (z: ZoneToRead) => boolean) => {
    const keys = (props.others ?? []).filter(is).map((z) => z.key)
    if (keys.length && !found.some((g) => g.keys.join() === keys.join())) found.push({ name, keys })
  }
  by($t('readResult.allTheRest'), () => true)
  by($t('common.roots'), (z) => z.part === 'root')
  by($t('common.lengths'), (z) => z.part === 'lengths' || z.part === 'regrowth')
  by($t('common.bands'), (z) => z.part === 'band')
  by($t('common.ends'), (z) => z.part === 'ends')
  by($t('common.left'), (z) => z.side === 'left')
  by($t('common.right'), (z) => z.side === 'right')
  return found
})
const isIn = (keys: readonly string[]) => keys.every((k) => alike.value.includes(k))
const toggle = (keys: readonly string[]) => {
  alike.value = isIn(keys) ? alike.value.filter((k) => !keys.includes(k)) : [...new Set([...alike.value, ...keys])]
}
const start = computed(() => shown.value?.before_level ?? null)
const palette = useQuery(computed(() => ({ ...queries.palette(start.value), enabled: start.value !== null })))
const dampOrDry = [
  { value: 'rinsed_wet', name: $t('readResult.damp') },
  { value: 'dry', name: $t('common.dry') },
] as const
const send = (level: number, lab: readonly number[] = [], instrument = '', levelStd?: number) =>
  emit('read', {
    zone_key: shown.value?.key ?? '',
    also_for: alike.value.filter((key) => props.others?.some((z) => z.key === key)),
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
          ? $t('readResult.noLightenerWentOnIt')
          : $t('readResult.fromWanted', { before_level: shown.before_level, target_level: shown.target_level })
        : ''
    "
    @close="emit('close')"
  >
    <div v-if="shown" class="flex flex-col gap-5">
      <fieldset v-if="others?.length && !round">
        <legend class="label">{{ $t('readResult.looksAlikeReadInThe') }}</legend>
        <div class="flex flex-wrap gap-1.5">
          <button
            v-for="g in groups"
            :key="g.name"
            type="button"
            class="btn !px-3"
            :class="{ 'btn-act': isIn(g.keys) }"
            :aria-pressed="isIn(g.keys)"
            @click="toggle(g.keys)"
          >
            {{ g.name }} <span class="num font-normal opacity-80">{{ g.keys.length }}</span>
          </button>
          <button v-if="!isListed" type="button" class="btn btn-quiet !px-3" @click="isListed = true">
            {{ $t('readResult.oneByOne') }}
          </button>
          <template v-else>
            <button
              v-for="z in others"
              :key="z.key"
              type="button"
              class="btn narrow !px-2.5 text-[15px]"
              :class="{ 'btn-act': alike.includes(z.key) }"
              :aria-pressed="alike.includes(z.key)"
              @click="toggle([z.key])"
            >
              {{ z.name }}
            </button>
          </template>
        </div>
      </fieldset>
      <Choice v-model="mode" :legend="$t('readResult.theHairIs')" :options="dampOrDry" />
      <PracticeLook
        v-if="round"
        :key="shown.key"
        :service-id="serviceId"
        :lane-key="shown.key"
        :mode="mode"
        :is-on="false"
      />
      <Choice v-model="warmth" :legend="$t('readResult.besideTheSwatchItLooks')" :options="warmths" />
      <Choice v-model="rest" :legend="$t('readResult.aRestOfOldDye')" :options="rests" />
      <Choice v-if="rest" v-model="amount" :legend="$t('readResult.howMuchOfIt')" :options="restAmounts" />
      <SwatchScale
        v-if="palette.data.value"
        :key="shown.key"
        :legend="
          alike.length
            ? $t('readResult.tapTheSwatchThatMatches', { count: alike.length + 1 })
            : $t('common.tapTheSwatchThatMatches')
        "
        :levels="palette.data.value.levels"
        :hexes="palette.data.value.hexes"
        :undertones="palette.data.value.undertones"
        :model-value="null"
        is-large
        is-first
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
        :legend="$t('common.aWetStrandStretchesAnd')"
        :options="stretches"
        @update:model-value="(elasticity) => emit('note', { elasticity })"
      />
      <Choice
        v-if="!shown.is_kept"
        :model-value="null"
        :legend="$t('common.theScalpFeels')"
        :options="feels"
        @update:model-value="(scalp) => emit('note', { scalp })"
      />
    </div>
  </Sheet>
</template>
