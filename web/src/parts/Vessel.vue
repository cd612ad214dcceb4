<script setup lang="ts">
import { computed, useId } from 'vue'

/** What a product stands in, at its true fill: full is the most that stands of its kind, the notch is where it runs low. */
const props = defineProps<{
  kind: 'lightener' | 'developer' | 'toner'
  /** Its share of the fullest of its kind, 0 to 1; null where it is not counted. */
  share: number | null
  low: number | null
  hex?: string | null
}>()
const id = useId()
const SHAPES = {
  // a tube on its cap, a bottle, a tub
  toner: { body: 'M6 4 H26 L24 34 H8 Z', cap: 'M10 36 H22 V42 H10 Z', top: 4, bottom: 34 },
  developer: {
    body: 'M8 14 Q8 10 12 9 V6 H20 V9 Q24 10 24 14 V42 H8 Z',
    cap: 'M12 1 H20 V5 H12 Z',
    top: 10,
    bottom: 42,
  },
  lightener: { body: 'M4 16 H28 L26.500 42 H5.500 Z', cap: 'M3 10 H29 V15 H3 Z', top: 16, bottom: 42 },
} as const
const shape = computed(() => SHAPES[props.kind])
const at = (share: number) =>
  shape.value.bottom - (shape.value.bottom - shape.value.top) * Math.min(Math.max(share, 0), 1)
</script>

<template>
  <svg viewBox="0 0 32 44" class="swatch h-11 w-8 shrink-0" aria-hidden="true">
    <clipPath :id="id"><path :d="shape.body" /></clipPath>
    <g :clip-path="`url(#${id})`">
      <rect width="32" height="44" fill="var(--sunk)" />
      <rect v-if="share !== null" width="32" :y="at(share)" :height="44 - at(share)" :fill="hex ?? 'var(--raised)'" />
      <path v-if="share !== null && share > 0" :d="`M0 ${at(share)} H32`" stroke="var(--ink)" stroke-width="1" />
    </g>
    <path
      :d="shape.body"
      fill="none"
      stroke="var(--line-strong)"
      stroke-width="1.4"
      :stroke-dasharray="share === null ? '3 2.5' : undefined"
    />
    <path :d="shape.cap" fill="var(--line-strong)" />
    <path v-if="low !== null && share !== null" :d="`M27 ${at(low)} H32`" stroke="var(--ink)" stroke-width="2" />
  </svg>
</template>
