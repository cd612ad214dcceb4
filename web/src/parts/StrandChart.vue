<script setup lang="ts">
import { computed } from 'vue'
import { type LevelPoint, type StrandAxes, ticks } from '../lib/strip'
import { levelText } from '../lib/time'

/** The fitted curve of a strand: its spread as a band in the colour the hair should have, the likely level, the readings. */
const props = defineProps<{
  points: readonly LevelPoint[]
  readings: readonly { minutes: number; level: number }[]
  hexes: readonly string[]
  labelMaxMin: number
  /** One set of axes for all strands of the bench: the last minute, the highest and the lowest level. */
  axes: StrandAxes
  now: number | null
  label: string
}>()
const width = 360
const height = 190
const pad = { left: 26, right: 8, top: 8, bottom: 22 }
const end = computed(() => props.axes.end)
const top = computed(() => props.axes.top)
const bottom = computed(() => props.axes.bottom)
const x = (minute: number) => pad.left + (minute / end.value) * (width - pad.left - pad.right)
const y = (level: number) =>
  pad.top + ((top.value - level) / Math.max(top.value - bottom.value, 1)) * (height - pad.top - pad.bottom)
const slices = computed(() =>
  props.points.slice(0, -1).map((p, i) => {
    const next = props.points[i + 1] as LevelPoint
    const corners: [number, number][] = [
      [p.minute, p.level_fast],
      [next.minute, next.level_fast],
      [next.minute, next.level_slow],
      [p.minute, p.level_slow],
    ]
    return { hex: p.hex, d: `M${corners.map(([m, l]) => `${x(m).toFixed(1)} ${y(l).toFixed(1)}`).join(' L')} Z` }
  }),
)
const line = computed(
  () => `M${props.points.map((p) => `${x(p.minute).toFixed(1)} ${y(p.level_likely).toFixed(1)}`).join(' L')}`,
)
const levels = computed(() => {
  const found: number[] = []
  for (let n = bottom.value; n <= top.value; n++) found.push(n)
  return found
})
const minutes = computed(() => ticks({ from: 0, to: end.value }, 7))
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" class="swatch w-full" role="img" :aria-label="label">
    <g v-for="n in levels" :key="n">
      <line :x1="pad.left" :x2="width - pad.right" :y1="y(n)" :y2="y(n)" stroke="var(--line)" stroke-width="1" />
      <text :x="pad.left - 7" :y="y(n) + 4.5" text-anchor="end" class="num fill-soft text-[13px]">{{ n }}</text>
    </g>
    <path v-for="(s, i) in slices" :key="i" :d="s.d" :fill="s.hex" :stroke="s.hex" stroke-width="0.6" />
    <path :d="line" fill="none" stroke="var(--ink)" stroke-width="2" />
    <line
      :x1="x(labelMaxMin)"
      :x2="x(labelMaxMin)"
      :y1="pad.top"
      :y2="height - pad.bottom"
      stroke="var(--ink)"
      stroke-width="4"
    />
    <line
      v-if="now !== null && now <= end"
      :x1="x(now)"
      :x2="x(now)"
      :y1="pad.top"
      :y2="height - pad.bottom"
      stroke="var(--signal)"
      stroke-width="2.5"
    />
    <g v-for="(r, i) in readings" :key="i">
      <circle
        :cx="x(r.minutes)"
        :cy="y(r.level)"
        r="9"
        :fill="hexes[i] ?? '#888'"
        stroke="var(--ink)"
        stroke-width="2"
      />
      <title>{{ $t('strandChart.atMin', { level: levelText(r.level), minutes: r.minutes.toFixed(0) }) }}</title>
    </g>
    <text
      v-for="m in minutes"
      :key="m"
      :x="x(m)"
      :y="height - 6"
      text-anchor="middle"
      class="num fill-soft text-[13px]"
    >
      {{ m }}
    </text>
  </svg>
</template>
