<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { type Axis, likelyAt, pointAt } from '../lib/strip'
import { countdown, levelText, fixed } from '../lib/time'
import Strip from './Strip.vue'
import Swatch from './Swatch.vue'
import { $t } from '../lib/i18n'
import { phaseNames } from '../lib/words'

const props = defineProps<{
  lane: Schemas['Lane']
  number: number
  axis: Axis
  zero: number
  now: number
  isUrgent: boolean
  isWaiting?: boolean
}>()
const emit = defineEmits<{ open: [] }>()
const sinceZero = computed(() => props.now - props.zero)
const isLive = computed(
  () => props.lane.phase === 'processing' || (props.lane.phase === 'applying' && props.lane.application_count > 1),
)
const level = computed(() => {
  if (props.lane.phase === 'rinsed') return props.lane.achieved_level ?? props.lane.level_now.likely
  return isLive.value
    ? (likelyAt(props.lane.curve, sinceZero.value) ?? props.lane.level_now.likely)
    : props.lane.start_level
})
const hex = computed(() =>
  isLive.value ? (pointAt(props.lane.curve, sinceZero.value)?.hex ?? props.lane.hex_now) : props.lane.hex_now,
)
const toWall = computed(() => props.lane.wall_min - sinceZero.value)
const applyFrom = computed(
  () => props.zero - (new Date(props.lane.zero_at).getTime() - new Date(props.lane.started_at).getTime()) / 60_000,
)
const status = computed<{ text: string; isStrong: boolean; isDue?: boolean }>(() => {
  const lane = props.lane
  if (lane.phase === 'waiting')
    return { text: lane.has_bowl ? $t('chairLane.bowlIsMixed') : $t('chairLane.waits'), isStrong: false }
  if (lane.stop_reason) return { text: $t('chairLane.rinseAtOnce'), isStrong: true }
  if (lane.phase === 'applying' && lane.application_count > 1)
    return { text: $t('chairLane.newProductGoingOn'), isStrong: false }
  if (lane.phase === 'applying')
    return {
      text: $t('chairLane.lastSectionInMin', { what: Math.max(0, Math.round(-sinceZero.value)) }),
      isStrong: false,
    }
  if (lane.phase === 'rinsed')
    return { text: lane.is_passed_wall ? $t('chairLane.rinsedPastTheLabel') : 'rinsed', isStrong: lane.is_passed_wall }
  if (toWall.value <= 0)
    return { text: $t('chairLane.labelPassed', { toWall: countdown(toWall.value) }), isStrong: true }
  const [soon, near] = lane.warn_mins as [number, number]
  if (sinceZero.value >= near)
    return { text: $t('chairLane.wallIn', { toWall: countdown(toWall.value) }), isStrong: true }
  const { early, late } = lane.window_min
  const isWallNear = sinceZero.value >= soon
  const off = { basin: 'rinse', wiped: $t('common.wipeOut'), dried: $t('chairLane.dryOut') }[lane.leaves]
  if (lane.advice?.act === 'rinse') return { text: $t('chairLane.ready', { off }), isStrong: false, isDue: true }
  if (lane.advice?.act === 'short') return { text: $t('chairLane.willStopShort'), isStrong: false, isDue: true }
  if (lane.advice?.act === 'leave' && lane.advice.then === 'rinse') {
    const due = Math.max(0, Math.round(lane.advice.due_min - sinceZero.value))
    return {
      text: $t('chairLane.inWall', { off, due, toWall: Math.round(toWall.value) }),
      isStrong: false,
      isDue: isWallNear,
    }
  }
  if (early === null || early > lane.wall_min)
    return { text: $t('chairLane.wallInMin', { toWall: toWall.value.toFixed(0) }), isStrong: false, isDue: isWallNear }
  const from = Math.max(0, Math.round(early - sinceZero.value))
  const wall = Math.round(toWall.value)
  const to =
    late === null || late > lane.wall_min
      ? ''
      : ` ${$t('chairLane.to', { what: Math.max(0, Math.round(late - sinceZero.value)) })}`
  const text = to ? $t('chairLane.inWall2', { from, to, wall }) : $t('chairLane.fromWall', { from, wall })
  return { text, isStrong: false, isDue: isWallNear }
})
const window = computed(() => {
  const at = (m: number | null) => (m === null ? null : props.zero + m)
  const { early, likely, late } = props.lane.window_min
  return { early: at(early), likely: at(likely), late: at(late) }
})
const check = computed(() =>
  isLive.value && props.lane.advice && props.lane.advice.act !== 'stop' ? props.zero + props.lane.advice.due_min : null,
)
const label = computed(() =>
  $t('chairLane.nowAboutTarget', {
    name: props.lane.name,
    phase: phaseNames[props.lane.phase],
    level: fixed(level.value, 1),
    target_level: levelText(props.lane.target_level),
    text: status.value.text,
  }),
)
</script>

<template>
  <div :class="{ 'bg-panel': isUrgent }">
    <button
      type="button"
      class="flex min-h-12 w-full min-w-0 items-center gap-2.5 text-start hover:underline"
      @click="emit('open')"
    >
      <span
        class="num flex size-8 shrink-0 items-center justify-center rounded-[4px] text-lg"
        :class="[
          isUrgent ? 'bg-signal text-signal-ink' : 'bg-sunk',
          lane.is_last_placed ? 'outline-2 outline-offset-2 outline-ink outline-dashed' : '',
        ]"
        >{{ number }}</span
      >
      <span class="min-w-0">
        <span class="narrow line-clamp-2 text-[17px] leading-tight font-semibold"
          ><template v-if="lane.part"
            ><span class="capitalize">{{ lane.part }}</span
            >, <span class="font-normal">{{ lane.zone_name }}</span></template
          ><template v-else>{{ lane.name }}</template></span
        >
        <span class="block truncate text-[13px] text-soft"
          ><i18n-t keypath="chairLane.vol" scope="global"
            ><template #volume_strength>{{ levelText(lane.volume_strength) }}</template
            ><template #part1
              ><b v-if="isWaiting" class="text-ink">{{ `${$t('chairLane.notSent')} ` }} </b></template
            ><template #part2
              ><span v-if="lane.notes.length" class="md:max-lg:hidden"> · {{ lane.notes.join(', ') }}</span></template
            ><template #part3
              ><span class="md:hidden">
                · {{ fixed(level, 1) }} {{ $t('arrow.on') }} {{ levelText(lane.target_level) }} ·
                <b :class="{ 'text-stop': status.isStrong }">{{ status.text }}</b></span
              ></template
            ></i18n-t
          ></span
        >
      </span>
    </button>
    <Strip
      class="lane-strip cursor-pointer"
      :axis="axis"
      :zero="zero"
      :points="lane.curve"
      :apply-from="applyFrom"
      :end="zero + lane.end_min"
      :now="now"
      :wall="zero + lane.wall_min"
      :window="window"
      :crossings="lane.crossings"
      :readings="lane.readings"
      :check="check"
      :is-forecast="lane.is_forecast"
      has-now-line
      :is-rinsed="lane.phase === 'rinsed'"
      :label="label"
      @click="emit('open')"
    />
    <div class="hidden items-center gap-3 md:flex">
      <Swatch :now="hex" :target="lane.hex_target" :size="44" :label="$t('common.leftNowRightWanted')" />
      <p class="min-w-0 leading-tight">
        <span class="num text-[24px]">{{ fixed(level, 1) }}</span>
        <span class="num text-lg text-soft"> {{ $t('arrow.on') }} {{ levelText(lane.target_level) }}</span>
        <span
          class="narrow block truncate text-[15px]"
          :class="status.isStrong ? 'font-bold text-stop' : status.isDue ? 'font-bold text-signal' : 'text-soft'"
          >{{ status.text }}</span
        >
      </p>
    </div>
  </div>
</template>

<style>
.lane-strip {
  height: clamp(40px, calc((100dvh - var(--above, 424px)) / var(--lanes, 8)), 76px);
}
@media (max-width: 767px) {
  .lane-strip {
    height: 54px;
  }
}
</style>
