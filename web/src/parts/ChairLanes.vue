<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { type Axis, clampPercent, ticks, toPercent } from '../lib/strip'
import { clock as clockText } from '../lib/time'
import ChairLane from './ChairLane.vue'

/** All lanes over one axis of time, with the clock on the wall and the now-line through them. */
const props = defineProps<{
  lanes: readonly Schemas['Lane'][]
  now: number
  labelMaxMin: number | null
  urgentKey: string | null
  waitingZones: Set<string>
}>()
const emit = defineEmits<{ open: [key: string] }>()

const isNarrow = useMediaQuery('(max-width: 700px)')
const isMedium = useMediaQuery('(max-width: 999px)')
const base = computed(() => Math.min(...props.lanes.map((l) => new Date(l.started_at).getTime())))
const exactMin = computed(() => (props.now - base.value) / 60_000)
/** Strips move every five seconds, less than a pixel; only clocks count every second. */
const nowMin = computed(() => Math.floor(exactMin.value * 12) / 12)
/** A lane close to its wall counts on by the second. */
const nowOf = (lane: Schemas['Lane']) =>
  lane.phase === 'processing' && exactMin.value - zeroOf(lane) >= (lane.warn_mins[1] ?? Infinity)
    ? exactMin.value
    : nowMin.value
const zeroOf = (lane: Schemas['Lane']) => (new Date(lane.zero_at).getTime() - base.value) / 60_000
const axis = computed<Axis>(() => {
  if (isNarrow.value) return { from: nowMin.value - 22, to: nowMin.value + 38 }
  return { from: -2, to: Math.max(...props.lanes.map((l) => zeroOf(l) + l.wall_min), nowMin.value + 5, 30) + 3 }
})
const marks = computed(() => {
  // whole ten minutes of the clock on the wall
  const first = new Date(base.value)
  const shift = first.getMinutes() + first.getSeconds() / 60
  return ticks(
    { from: axis.value.from + shift, to: axis.value.to + shift },
    isNarrow.value ? 5 : isMedium.value ? 7 : 12,
  )
    .map((m) => m - shift)
    .filter(
      (m) =>
        Math.abs(toPercent(axis.value, m) - toPercent(axis.value, nowMin.value)) >
        (isNarrow.value ? 14 : isMedium.value ? 9 : 5),
    )
    .map((m) => ({ minute: m, text: clockText(new Date(base.value + m * 60_000)) }))
})
</script>

<template>
  <section class="relative" :style="{ '--lanes': lanes.length }" :aria-label="$t('chairLanes.zonesOverTime')">
    <div class="chair-row text-soft">
      <span class="hidden text-sm md:block">{{ $t('chairLanes.labelMin', { labelMaxMin }) }}</span>
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
          >{{ clockText(new Date(base + nowMin * 60_000)) }}</span
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
      :now="nowOf(lane)"
      :is-urgent="urgentKey === lane.key"
      :is-waiting="waitingZones.has(lane.key)"
      @open="emit('open', lane.key)"
    />
  </section>
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
