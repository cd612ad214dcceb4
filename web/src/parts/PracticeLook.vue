<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { useActs } from '../stores/acts'
import { useClock } from '../stores/clock'
import { usePractice } from '../stores/practice'
import HairStrand from './HairStrand.vue'
import { $t } from '../lib/i18n'

/** What lies in a lane of a practice round: opened, it is seen as hair; the level is for the learner to name. */
const props = defineProps<{
  serviceId: string
  laneKey: string
  mode: Schemas['ReadingMode']
  /** How much longer the sections have been on that are looked at, min. */
  longerMin?: number
  zeroAt?: string
  isOn: boolean
  applications?: number
}>()
const practice = usePractice()
const clock = useClock()
const acts = useActs(props.serviceId)
const isOpen = ref(false)
watch(
  () => [props.laneKey, props.isOn],
  () => (isOpen.value = !props.isOn),
  { immediate: true },
)
const round = computed(() => practice.of(props.serviceId))
const lane = computed(() => round.value?.lanes.find((l) => l.key === props.laneKey))
const still = computed(() => round.value?.stills.find((s) => s.key === props.laneKey))
const minute = computed(() =>
  props.zeroAt ? (clock.now - new Date(props.zeroAt).getTime()) / 60_000 + (props.longerMin ?? 0) : 0,
)
const colours = computed<Schemas['StrandColours'] | null>(() => {
  const found = lane.value
  if (props.isOn && found) {
    const row = props.mode === 'through_product' ? found.through : found.wiped
    const at = Math.round(Math.max(minute.value, 0) / found.step_min)
    return row[Math.min(at, row.length - 1)] ?? null
  }
  const isWet = props.mode === 'rinsed_wet'
  return (isWet ? (found?.wet ?? still.value?.wet) : (found?.dry ?? still.value?.dry)) ?? null
})
const isWet = computed(() => props.isOn || props.mode === 'rinsed_wet')
const seed = computed(() => lane.value?.seed ?? still.value?.seed ?? 1)
const paste = computed(() => (props.isOn && props.mode === 'through_product' ? (lane.value?.paste ?? null) : null))
/** What nobody tells of, and is seen now. */
const found = computed(() =>
  (round.value?.mishaps ?? []).filter(
    (m) =>
      m.is_hidden &&
      m.lane_key === props.laneKey &&
      new Date(m.at).getTime() <= clock.now &&
      !seenBefore.value.has(m.key) &&
      (m.kind !== 'dried' || (props.applications ?? 1) === 1),
  ),
)
const seenBefore = ref(new Set<string>())
watch(isOpen, (is, was) => {
  if (was && !is) for (const m of found.value) if (m.kind === 'slipped') seenBefore.value.add(m.key)
})
const open = async () => {
  isOpen.value = true
  const mode = props.mode === 'through_product' ? 'through_product' : 'wiped'
  await acts.act('FoilOpened', { zone_key: props.laneKey, mode, foils: props.longerMin ? 'first' : 'last' })
}
const label = computed(
  () =>
    ({
      through_product: $t('practiceLook.theStrandThroughItsProduct'),
      wiped: $t('practiceLook.theStrandWiped'),
      rinsed_wet: $t('practiceLook.theStrandRinsedAndDamp'),
      dry: $t('practiceLook.theStrandDry'),
    })[props.mode],
)
</script>

<template>
  <section v-if="round" :aria-label="$t('practiceLook.whatLiesThere')" class="flex flex-col gap-2">
    <button v-if="!isOpen" type="button" class="btn btn-act min-h-20 w-full text-lg" @click="open">
      {{ $t('practiceLook.openItAndLook') }}
    </button>
    <template v-else-if="colours">
      <HairStrand :colours="colours" :seed="seed" :is-wet="isWet" :paste="paste" :label="label" />
      <p v-if="round.light === 'yellow'" class="text-sm text-soft">{{ $t('practiceLook.seenByAYellowLamp') }}</p>
      <p v-for="m in found" :key="m.key" class="rounded-[5px] border-s-[8px] border-signal bg-raised p-3 text-lg">
        {{ m.text }}
      </p>
    </template>
    <p v-else class="text-soft">{{ $t('practiceLook.nothingIsToBeSeen') }}</p>
  </section>
</template>
