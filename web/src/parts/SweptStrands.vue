<script setup lang="ts">
import { computed, useId } from 'vue'
import { strandFibres } from '../lib/hang'

/** Two swept strands, one above the other: learnt hair under the model's, or hair as an eye reads it under what lies there. */
const props = defineProps<{ model: readonly string[]; learnt: readonly string[]; label?: string }>()
const uid = useId()
const WIDTH = 260
const rows = computed(() =>
  [props.model, props.learnt].map((hexes, i) => ({
    id: `swept-${uid}-${i}`,
    hexes,
    top: 4 + i * 24,
    fibres: strandFibres(i + 3, 40).map((f) => ({
      ...f,
      y: 4 + i * 24 + (f.aside + 0.5) * 18,
      end: WIDTH - 2 - f.short,
    })),
  })),
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} 50`"
    class="swatch h-[50px] w-full max-w-[420px]"
    preserveAspectRatio="none"
    fill="none"
    role="img"
    :aria-label="label ?? $t('numbers.modelAboveLearntBelow')"
  >
    <defs>
      <linearGradient
        v-for="r in rows"
        :id="r.id"
        :key="r.id"
        gradientUnits="userSpaceOnUse"
        x1="0"
        :x2="WIDTH"
        y1="0"
        y2="0"
      >
        <stop v-for="(hex, i) in r.hexes" :key="i" :offset="i / (r.hexes.length - 1)" :stop-color="hex" />
      </linearGradient>
    </defs>
    <g v-for="r in rows" :key="r.id" stroke-linecap="round">
      <path
        v-for="(f, i) in r.fibres"
        :key="i"
        :d="`M2 ${r.top + 9 + f.aside * 12}C60 ${f.y - 3} 160 ${f.y + 3} ${f.end} ${f.y}`"
        :stroke="`url(#${r.id})`"
        stroke-width="2.2"
      />
      <template v-for="(f, i) in r.fibres" :key="`s${i}`">
        <path
          v-if="f.tone !== 'body'"
          :d="`M2 ${r.top + 9 + f.aside * 12}C60 ${f.y - 3} 160 ${f.y + 3} ${f.end - 3} ${f.y}`"
          :stroke="f.tone === 'shade' ? '#000' : '#fff'"
          stroke-width="0.6"
          opacity="0.2"
        />
      </template>
    </g>
  </svg>
</template>
