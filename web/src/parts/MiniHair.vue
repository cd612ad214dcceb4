<script setup lang="ts">
import { computed, useId } from 'vue'
import { fibre } from '../lib/hang'

/** A head in small, as it hangs at the chair: a strand for each zone, painted from the scalp to its tip. */
const props = defineProps<{ strands: readonly (readonly string[])[]; width: number; height: number; label: string }>()
const uid = useId()
const hung = computed(() => {
  const room = (props.width - 4) / Math.max(props.strands.length, 1)
  const strandWidth = Math.min(room * 0.82, 13)
  const left = (props.width - room * props.strands.length) / 2
  const frame = { parting: { x: props.width / 2, y: 2 + strandWidth * 0.1 }, fall: props.height * 0.42, strandWidth }
  const strands = props.strands.map((hexes, i) => {
    const x = left + room * (i + 0.5)
    const end = props.height - 2 - ((i * 5) % 3) * 2
    return {
      id: `mini-${uid}-${i}`,
      hexes,
      d: fibre(frame, x, 0, end),
      lines: [-0.28, 0.05, 0.32].map((aside) => fibre(frame, x, aside, end - 1)),
      away: Math.abs(x - props.width / 2),
    }
  })
  return { strandWidth, strands: strands.sort((a, b) => b.away - a.away) }
})
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    :width="width"
    :height="height"
    class="swatch shrink-0"
    role="img"
    :aria-label="label"
    fill="none"
  >
    <defs>
      <linearGradient
        v-for="s in hung.strands"
        :id="s.id"
        :key="s.id"
        gradientUnits="userSpaceOnUse"
        x1="0"
        x2="0"
        :y1="height * 0.3"
        :y2="height"
      >
        <stop
          v-for="(hex, i) in s.hexes"
          :key="i"
          :offset="s.hexes.length > 1 ? i / (s.hexes.length - 1) : 0"
          :stop-color="hex"
        />
      </linearGradient>
    </defs>
    <g v-for="s in hung.strands" :key="s.id">
      <path :d="s.d" :stroke="`url(#${s.id})`" :stroke-width="hung.strandWidth" />
      <path
        v-for="(d, i) in s.lines"
        :key="i"
        :d="d"
        :stroke="i === 1 ? '#fff' : '#000'"
        stroke-width="0.7"
        opacity="0.2"
      />
    </g>
  </svg>
</template>
