<script setup lang="ts">
import { useMeasured } from '../lib/measured'
import { computed, ref } from 'vue'
import { type Axis, clampPercent, type FibrePoint, gradient, inkOn, type LevelPoint, toPercent } from '../lib/strip'
import StripFibres from './StripFibres.vue'
import { levelText } from '../lib/time'

/**
 * One lane painted in time. Hair that has lived its minutes is thick; hair still expected is thin.
 * All minutes are on the axis; the curve's own minutes start at `zero`.
 */
const props = defineProps<{
  axis: Axis
  zero: number
  points: readonly LevelPoint[]
  applyFrom: number
  end: number
  now: number | null
  wall: number | null
  window?: { early: number | null; likely: number | null; late: number | null }
  crossings?: readonly { level: number; minute: number }[]
  readings?: readonly { event_id: string; minute: number; level: number; hex: string }[]
  check?: number | null
  isForecast?: boolean
  hasNowLine?: boolean
  isRinsed?: boolean
  label: string
  /** How its fibres look: with them it is hair, without a colour. */
  fibres?: readonly FibrePoint[]
}>()

const x = (minute: number) => clampPercent(toPercent(props.axis, minute))
const box = (from: number, to: number) => ({ left: `${x(from)}%`, width: `${Math.max(x(to) - x(from), 0)}%` })
const last = computed(() => props.zero + (props.points[props.points.length - 1]?.minute ?? 0))
const shownEnd = computed(() => Math.min(props.end, last.value))

/** The gradient covers the whole curve; each part shows its own stretch of it. */
const paint = (from: number, to: number) => {
  const a = Math.max(from, props.axis.from)
  const b = Math.min(to, props.axis.to)
  const span = Math.max(last.value - props.zero, 0.01)
  const width = Math.max(b - a, 0.001)
  return {
    ...box(a, b),
    backgroundImage: gradient(props.points),
    backgroundSize: `${(span / width) * 100}% 100%`,
    backgroundPosition: span - width < 0.01 ? '0 0' : `${((a - props.zero) / (span - width)) * 100}% 0`,
  }
}
/** Which of the curve's own minutes a part shows. */
const stretch = (to: number) => ({
  from: Math.max(props.axis.from - props.zero, 0),
  to: Math.min(to, props.axis.to) - props.zero,
})
const livedTo = computed(() =>
  props.now === null || props.isForecast ? props.zero : Math.min(props.now, shownEnd.value),
)
const windowBox = computed(() => {
  const { early, likely, late } = props.window ?? { early: null, likely: null, late: null }
  if (early === null || early > shownEnd.value + 0.01) return null
  const open = late === null || late > (props.wall ?? Infinity)
  const to = open ? Math.max(props.wall ?? shownEnd.value, early) : (late as number)
  return { style: box(early, to), open, likely: likely !== null && likely <= to ? likely : null }
})
/** Ticks of levels that have room for their figure: from the highest down, none over another or under the wall. */
const TICK_PX = 13
const root = ref<HTMLElement | null>(null)
const { width } = useMeasured(root)
const ticks = computed(() => {
  const kept: { level: number; at: number; minute: number }[] = []
  for (const c of [...(props.crossings ?? [])].sort((a, b) => b.level - a.level)) {
    const minute = props.zero + c.minute
    const at = x(minute)
    if (!isOn(minute) || minute > shownEnd.value) continue
    const isClear = (other: number) => (Math.abs(other - at) / 100) * width.value >= TICK_PX
    const isFree = kept.every((k) => isClear(k.at)) && (props.wall === null || isClear(x(props.wall)))
    if (isFree || width.value === 0) kept.push({ level: c.level, at, minute })
  }
  return kept
})
const isOn = (minute: number) => minute >= props.axis.from && minute <= props.axis.to
</script>

<template>
  <div ref="root" dir="ltr" class="strip relative h-full min-h-[40px] overflow-hidden" role="img" :aria-label="label">
    <div class="hatch absolute top-[12px] bottom-[14px] rounded-s-[3px] opacity-55" :style="box(applyFrom, zero)" />
    <div
      v-if="shownEnd > zero"
      class="absolute top-[36%] bottom-[38%] rounded-e-[2px]"
      :class="{ 'opacity-75': isForecast }"
      :style="paint(zero, shownEnd)"
    >
      <StripFibres v-if="fibres?.length" :fibres="fibres" :count="4" :seed="points.length" v-bind="stretch(shownEnd)" />
    </div>
    <div v-if="livedTo > zero" class="absolute top-[11px] bottom-[13px] rounded-[2px]" :style="paint(zero, livedTo)">
      <StripFibres v-if="fibres?.length" :fibres="fibres" :count="8" :seed="points.length" v-bind="stretch(livedTo)" />
    </div>

    <template v-if="windowBox && !isRinsed">
      <div
        class="absolute top-[2px] h-[7px] border-x-2 border-t-2 border-ink"
        :class="{ 'border-e-0': windowBox.open }"
        :style="windowBox.style"
      />
      <div
        v-if="windowBox.likely !== null && isOn(windowBox.likely)"
        class="absolute top-0 h-[11px] w-[5px] -translate-x-1/2 bg-ink"
        :style="{ left: `${x(windowBox.likely)}%` }"
      />
    </template>

    <div
      v-for="c in ticks"
      :key="c.level"
      class="absolute bottom-0 flex h-[15px] -translate-x-1/2 flex-col items-center"
      :style="{ left: `${c.at}%` }"
    >
      <span class="h-[4px] w-[1.5px] bg-strong" />
      <span data-tick class="num text-[11px] leading-[11px] text-soft">{{ c.level }}</span>
    </div>

    <template v-for="r in readings ?? []" :key="r.event_id">
      <div
        v-if="isOn(zero + r.minute)"
        class="num absolute top-[8px] bottom-[10px] flex w-[26px] -translate-x-1/2 items-center justify-center rounded-[4px] border-2 border-ink text-[13px]"
        :style="{ left: `${x(zero + r.minute)}%`, background: r.hex, color: inkOn(r.hex) }"
      >
        {{ levelText(r.level) }}
      </div>
    </template>

    <div
      v-if="check !== null && check !== undefined && isOn(check)"
      class="absolute top-[10px] bottom-[12px] w-0 border-s-[2.5px] border-dotted border-ink"
      :style="{ left: `${x(check)}%` }"
    />
    <div
      v-if="wall !== null && isOn(wall) && !isRinsed"
      class="absolute top-[5px] bottom-[7px] w-[5px] rounded-[1px] bg-ink"
      :style="{ left: `${x(wall)}%` }"
    />
    <div
      v-if="isRinsed && isOn(shownEnd)"
      class="absolute top-[8px] bottom-[10px] w-[2px] bg-ink"
      :style="{ left: `${x(shownEnd)}%` }"
    />
    <div
      v-if="hasNowLine && now !== null && isOn(now)"
      class="absolute inset-y-0 w-[2.5px] -translate-x-1/2 bg-signal md:hidden"
      :style="{ left: `${x(now)}%` }"
    />
  </div>
</template>
