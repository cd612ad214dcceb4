<script setup lang="ts">
import type { EventData, Noted, Read } from '../api/events'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { bowlApplied } from '../api/toning'
import ToneLane from '../parts/ToneLane.vue'
import ToneNext from '../parts/ToneNext.vue'
import { useActs } from '../stores/acts'
import { useClock } from '../stores/clock'
import { usePractice } from '../stores/practice'
import ReadResult from './ReadResult.vue'
import StrandLook from './StrandLook.vue'
import { $t } from '../lib/i18n'

/** Zones at the basin with their clocks and what is done to them; the same at the chair and at the tone. */
const props = defineProps<{
  serviceId: string
  step: Schemas['ToneStep']
  lanes: readonly Schemas['ToneLane'][]
  hasNext: boolean
  hasReader: boolean
  isLocked: boolean
}>()
const emit = defineEmits<{ order: [what: string] }>()
const clock = useClock()
const practice = usePractice()
const acts = useActs(props.serviceId)
const opened = ref<string | null>(null)
const reading = ref<string | null>(null)
const openLane = computed(() => props.step.lanes.find((l) => l.id === opened.value) ?? null)
const readLane = computed(() => props.step.lanes.find((l) => l.key === reading.value && !l.part) ?? null)

const names = computed(() => Object.fromEntries(props.step.lanes.map((l) => [l.id, l.name])))
const many = (ids: readonly string[]) =>
  ids.length > 3 ? $t('common.parts', { count: ids.length }) : ids.map((id) => names.value[id] ?? id).join(', ')
const apply = async (number: number | null, ids: string[], before: readonly number[] = []) => {
  const bowl = props.step.bowls.find((b) => b.number === number)
  if (!bowl || !ids.length) return
  const values = bowlApplied(props.step, bowl, ids, before)
  await acts.act('ToneBowlApplied', values, $t('toneBoard.bowlIsOn', { number: bowl.number, ids: many(ids) }))
}
type Toning = 'TonerStrandRead' | 'TonerPulledBack'
const say = <K extends Toning>(
  kind: K,
  lane: Schemas['ToneLane'],
  said: string,
  more: Omit<EventData<K>, 'zone_key' | 'part'>,
) => acts.act(kind, { zone_key: lane.key, part: lane.part, ...more } as EventData<K>, `${lane.name}: ${said}`)
const emulsify = (ids: string[]) =>
  acts.act('TonersEmulsified', { ids }, $t('toneBoard.emulsified', { ids: many(ids) }))
const rinse = async (ids: string[]) => {
  if (await acts.act('TonersRinsed', { ids }, $t('toneBoard.tonerRinsed', { ids: many(ids) }))) opened.value = null
}
const pull = async (minutes: number) => {
  if (openLane.value && (await say('TonerPulledBack', openLane.value, $t('toneBoard.pulledBackOver'), { minutes })))
    opened.value = null
}
const doAct = async (act: Schemas['ToneAct'], ids: string[]) => {
  if (act.code === 'apply') {
    const before = ids.map((id) => act.before_min[act.ids.indexOf(id)] ?? 0)
    await apply(act.bowl, ids, before)
  } else if (act.code === 'emulsify') await emulsify(ids)
  else if (act.code === 'strand') opened.value = ids[0] ?? null
  else await rinse(ids)
}
const read = async (values: Read) => {
  if (readLane.value && (await acts.read(values, readLane.value.name))) reading.value = null
}
const seen = async (id: string | null, share: number) => {
  const lane = props.step.lanes.find((l) => l.id === id)
  if (lane && (await say('TonerStrandRead', lane, $t('toneBoard.strandNoted'), { deposit_share: share })))
    opened.value = null
}
/** What the strand that is next may look like; in practice it has to be opened and looked at first. */
const scale = computed(() => {
  const act = props.step.acts[0]
  if (act?.code !== 'strand' || practice.of(props.serviceId)) return []
  return props.step.lanes.find((l) => l.id === act.ids[0])?.toner?.strand_scale ?? []
})
const note = (values: Noted) =>
  readLane.value &&
  acts.act('HairNoted', { zone_key: readLane.value.key, ...values }, $t('common.noted', { name: readLane.value.name }))
</script>

<template>
  <div>
    <ToneNext
      v-if="hasNext"
      :acts="step.acts"
      :names="names"
      :now="clock.now"
      :is-busy="acts.isBusy.value"
      :scale="scale"
      @do="doAct"
      @seen="seen"
    />
    <slot />
    <div class="flex flex-col gap-2.5">
      <ToneLane
        v-for="lane in lanes"
        :key="lane.id"
        :lane="lane"
        :now="clock.now"
        :is-next="step.acts[0]?.ids.includes(lane.id) ?? false"
        :is-busy="acts.isBusy.value"
        :is-locked="isLocked"
        @apply="apply(lane.proposal?.bowl ?? null, [lane.id])"
        @open="opened = lane.id"
        @strand="opened = lane.id"
        @emulsify="emulsify([lane.id])"
        @rinse="rinse([lane.id])"
        @read="reading = lane.key"
        @order="(what) => emit('order', what)"
      />
    </div>
    <StrandLook
      :lane="openLane"
      :now="clock.now"
      :is-busy="acts.isBusy.value"
      :looks="practice.of(serviceId)?.toned.find((t) => t.key === openLane?.id) ?? null"
      @close="opened = null"
      @seen="(share) => seen(opened, share)"
      @pull="pull"
      @rinse="openLane && rinse([openLane.id])"
      @probe="
        (grab) =>
          openLane &&
          acts.act('ProbeRead', { zone_key: openLane.key, grab }, $t('common.noted', { name: openLane.name }))
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
