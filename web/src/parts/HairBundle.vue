<script setup lang="ts">
/** A service's zones as strands: the hair as it is, its tips dipped in the colour wanted. */
defineProps<{ now: string[]; target: string[]; label: string }>()
const lengths = [1, 0.93, 0.98, 0.9, 1, 0.95, 0.88, 0.97, 0.92, 1, 0.94, 0.9]
</script>

<template>
  <svg viewBox="0 0 96 56" class="swatch h-14 w-24" role="img" :aria-label="label">
    <template v-if="now.length">
      <g v-for="(hex, i) in now" :key="i">
        <rect
          :x="2 + (92 / now.length) * i"
          y="2"
          :width="92 / now.length - 1.4"
          :height="40 * (lengths[i % 12] ?? 1)"
          :fill="hex"
        />
        <rect
          :x="2 + (92 / now.length) * i"
          :y="2 + 40 * (lengths[i % 12] ?? 1)"
          :width="92 / now.length - 1.4"
          height="13"
          :fill="target[i] ?? hex"
        />
      </g>
    </template>
    <g v-else stroke="var(--line-strong)" stroke-width="1.4" stroke-dasharray="3 3">
      <line v-for="i in 8" :key="i" :x1="i * 11" :x2="i * 11" y1="3" y2="52" />
    </g>
  </svg>
</template>
