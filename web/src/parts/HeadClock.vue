<script setup lang="ts">
import { useMeasured } from '../lib/measured'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { inPlace, rowsOf } from '../lib/hang'
import { $t } from '../lib/i18n'
import { clock as clockText } from '../lib/time'
import HeadHair from './HeadHair.vue'

/** The head is the clock: lanes hang from it as strands in their place and grow, lightening, toward one line. */
const props = defineProps<{
  lanes: readonly Schemas['Lane'][]
  now: number
  labelMaxMin: number | null
  urgentKey: string | null
  waitingZones: Set<string>
}>()
const emit = defineEmits<{ open: [key: string] }>()

const root = ref<HTMLElement | null>(null)
const { width } = useMeasured(root)
const isNarrow = computed(() => width.value < 640)
/** A strand needs room for a fingertip and for its figures. */
const rows = computed(() => {
  if (width.value === 0) return [] // not measured yet: what would be drawn now is drawn twice
  const [aside, each] = isNarrow.value ? [8, 54] : [112, 44]
  return rowsOf(inPlace(props.lanes), Math.floor((width.value - aside) / each))
})
/** Strands move every five seconds, less than a pixel. */
const slowNow = computed(() => Math.floor(props.now / 5_000) * 5_000)
const numbers = computed(() => new Map(props.lanes.map((l, i) => [l.key, i + 1])))
/** The last of what is on or waits is ready then, or must come off. */
const lastReady = computed(() => {
  const open = props.lanes.filter((l) => l.phase !== 'rinsed')
  if (open.length === 0) return null
  return Math.max(
    ...open.map((l) => new Date(l.zero_at).getTime() + Math.min(l.window_min.likely ?? Infinity, l.wall_min) * 60_000),
  )
})
</script>

<template>
  <section ref="root" class="relative flex flex-col" :aria-label="$t('headClock.zonesOnTheHead')">
    <div
      class="pointer-events-none relative z-10 mb-1 flex items-baseline gap-3 sm:absolute sm:top-0 sm:left-0 sm:block"
    >
      <p class="num text-[34px] leading-none sm:text-left sm:text-[44px]">{{ clockText(new Date(slowNow)) }}</p>
      <p v-if="lastReady" class="text-[15px] text-soft sm:mt-1 sm:w-20 sm:text-left sm:leading-tight">
        {{ $t('headClock.allReady', { at: clockText(new Date(lastReady)) }) }}
      </p>
    </div>
    <HeadHair
      v-for="(row, i) in rows"
      :key="i"
      :class="rows.length > 1 ? 'h-[330px]' : 'h-[360px] grow'"
      :lanes="row"
      :numbers="numbers"
      :now="slowNow"
      :urgent-key="urgentKey"
      :waiting-zones="waitingZones"
      :is-narrow="isNarrow"
      @open="(key) => emit('open', key)"
    />
  </section>
</template>
