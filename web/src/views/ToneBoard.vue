<script setup lang="ts">
import type { EventData, Noted, Read } from '../api/events'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import ToneLane from '../parts/ToneLane.vue'
import ToneNext from '../parts/ToneNext.vue'
import { useActs } from '../stores/acts'
import { useClock } from '../stores/clock'
import ReadResult from './ReadResult.vue'
import StrandLook from './StrandLook.vue'

/** Zones at the basin with their clocks and what is done to them; the same at the chair and at the tone. */
const props = defineProps<{
  serviceId: string
  step: Schemas['ToneStep']
  lanes: readonly Schemas['ToneLane'][]
  hasNext: boolean
  hasReader: boolean
  isLocked: boolean
}>()
const clock = useClock()
const acts = useActs(props.serviceId)
const opened = ref<string | null>(null)
const reading = ref<string | null>(null)
const openLane = computed(() => props.step.lanes.find((l) => l.id === opened.value) ?? null)
const readLane = computed(() => props.step.lanes.find((l) => l.key === reading.value && !l.part) ?? null)

const apply = async (lane: Schemas['ToneLane']) => {
  const bowl = props.step.bowls.find((b) => b.lane_ids.includes(lane.id))
  if (!bowl || !lane.proposal) return
  const two = bowl.shade_keys.length > 1
  const shadow = lane.part
    ? { part: lane.part, length_mm: props.step.shadow_length_mm, blend_mm: props.step.shadow_blend_mm }
    : {}
  await acts.act(
    'TonerApplied',
    {
      zone_key: lane.key,
      shade_key: bowl.shade_keys[0] ?? '',
      shade_name: bowl.shade_names[0] ?? '',
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
type Toning = 'TonerEmulsified' | 'TonerStrandRead' | 'TonerPulledBack' | 'TonerRinsed'
const say = <K extends Toning>(
  kind: K,
  lane: Schemas['ToneLane'],
  said: string,
  more: Omit<EventData<K>, 'zone_key' | 'part'>,
) => acts.act(kind, { zone_key: lane.key, part: lane.part, ...more } as EventData<K>, `${lane.name}: ${said}`)
const rinse = async (lane: Schemas['ToneLane']) => {
  if (await say('TonerRinsed', lane, 'toner rinsed.', {})) opened.value = null
}
const pull = async (minutes: number) => {
  if (openLane.value && (await say('TonerPulledBack', openLane.value, 'pulled back over.', { minutes })))
    opened.value = null
}
const doAct = async (act: Schemas['ToneAct']) => {
  const lane = props.step.lanes.find((l) => l.id === act.id)
  if (!lane) return
  if (act.code === 'apply') await apply(lane)
  else if (act.code === 'emulsify') await say('TonerEmulsified', lane, 'emulsified.', {})
  else if (act.code === 'strand') opened.value = lane.id
  else await rinse(lane)
}
const read = async (values: Read) => {
  if (
    readLane.value &&
    (await acts.act('ReadingTaken', values, `${readLane.value.name} read at ${String(values.level)}.`))
  )
    reading.value = null
}
const note = (values: Noted) =>
  readLane.value && acts.act('HairNoted', { zone_key: readLane.value.key, ...values }, `${readLane.value.name}: noted.`)
</script>

<template>
  <div>
    <ToneNext v-if="hasNext" :acts="step.acts" :now="clock.now" :is-busy="acts.isBusy.value" @do="doAct" />
    <slot />
    <div class="flex flex-col gap-2.5">
      <ToneLane
        v-for="lane in lanes"
        :key="lane.id"
        :lane="lane"
        :now="clock.now"
        :is-next="step.acts[0]?.id === lane.id"
        :is-busy="acts.isBusy.value"
        :is-locked="isLocked"
        @apply="apply(lane)"
        @open="opened = lane.id"
        @strand="opened = lane.id"
        @emulsify="say('TonerEmulsified', lane, 'emulsified.', {})"
        @rinse="rinse(lane)"
        @read="reading = lane.key"
      />
    </div>
    <StrandLook
      :lane="openLane"
      :now="clock.now"
      :is-busy="acts.isBusy.value"
      @close="opened = null"
      @seen="(share) => openLane && say('TonerStrandRead', openLane, 'strand noted.', { deposit_share: share })"
      @pull="pull"
      @rinse="openLane && rinse(openLane)"
      @probe="
        (grab) => openLane && acts.act('ProbeRead', { zone_key: openLane.key, grab }, `${openLane.name}: probe noted.`)
      "
      @read="((reading = openLane?.key ?? null), (opened = null))"
    />
    <ReadResult
      :zone="readLane"
      :service-id="serviceId"
      :has-reader="hasReader"
      :is-busy="acts.isBusy.value"
      @close="reading = null"
      @read="read"
      @note="note"
    />
  </div>
</template>
