<script setup lang="ts">
import { computed, useId } from 'vue'
import { type FibrePoint, laidFibres } from '../lib/strip'

/** Fibres over a stretch of a lane, in the core's colours for them, quietly. */
const props = defineProps<{
  fibres: readonly FibrePoint[]
  seed: number
  count: number
  /** Minutes of the lane's own that are shown here. */
  from: number
  to: number
}>()
const uid = useId()
const laid = computed(() => laidFibres(props.seed, props.count))
const at = (minute: number) => ((minute - props.from) / Math.max(props.to - props.from, 0.01)) * 100
const ends = computed(() => {
  const [first, last] = [props.fibres[0]!.minute, props.fibres[props.fibres.length - 1]!.minute]
  return { x1: at(first), x2: at(last), first, span: Math.max(last - first, 0.01) }
})
const lines = computed(() =>
  laid.value.map(({ y, kind }) => {
    const [a, b, c, d] = y.map((part) => (part * 100).toFixed(1))
    return { d: `M0 ${a}C33 ${b} 67 ${c} 100 ${d}`, kind }
  }),
)
</script>

<template>
  <svg
    class="pointer-events-none absolute inset-0 size-full"
    viewBox="0 0 100 100"
    preserveAspectRatio="none"
    fill="none"
    aria-hidden="true"
  >
    <defs>
      <linearGradient
        v-for="kind in ['shade', 'light'] as const"
        :id="`${uid}-${kind}`"
        :key="kind"
        gradientUnits="userSpaceOnUse"
        y1="0"
        y2="0"
        :x1="ends.x1"
        :x2="ends.x2"
      >
        <stop v-for="f in fibres" :key="f.minute" :offset="(f.minute - ends.first) / ends.span" :stop-color="f[kind]" />
      </linearGradient>
    </defs>
    <path
      v-for="(line, i) in lines"
      :key="i"
      :d="line.d"
      :stroke="`url(#${uid}-${line.kind})`"
      stroke-width="1.2"
      stroke-opacity="0.6"
      vector-effect="non-scaling-stroke"
    />
  </svg>
</template>
