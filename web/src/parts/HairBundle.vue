<script setup lang="ts">
import { computed } from 'vue'
import MiniHair from './MiniHair.vue'

/** A service's zones as strands: the hair as it is, its tips dipped in the colour wanted. */
const props = defineProps<{ now: string[]; target: string[]; label: string }>()
const strands = computed(() =>
  props.now.map((hex, i) => [hex, hex, hex, props.target[i] ?? hex, props.target[i] ?? hex]),
)
</script>

<template>
  <MiniHair v-if="now.length" :strands="strands" :width="96" :height="56" :label="label" />
  <svg v-else viewBox="0 0 96 56" class="swatch h-14 w-24" role="img" :aria-label="label">
    <g stroke="var(--line-strong)" stroke-width="1.4" stroke-dasharray="3 3">
      <line v-for="i in 8" :key="i" :x1="i * 11" :x2="i * 11" y1="3" y2="52" />
    </g>
  </svg>
</template>
