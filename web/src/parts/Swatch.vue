<script setup lang="ts">
/** Two halves of one disc: the colour now and the colour wanted, to be compared where they meet. */
defineProps<{ now: string; target?: string; size?: number; label: string }>()
</script>

<template>
  <svg
    class="swatch shrink-0"
    :width="size ?? 44"
    :height="size ?? 44"
    viewBox="0 0 44 44"
    role="img"
    :aria-label="label"
  >
    <circle cx="22" cy="22" r="20.5" :fill="now" />
    <path v-if="target" d="M22 1.5 A20.5 20.5 0 0 1 22 42.5 Z" :fill="target" />
    <circle cx="22" cy="22" r="20.5" fill="none" stroke="currentColor" stroke-width="1.5" opacity="0.55" />
  </svg>
</template>
