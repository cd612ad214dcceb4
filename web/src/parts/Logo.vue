<script setup lang="ts">
/** The mark: strands that part at the crown, lift from dark to pale, and are ready on one line. */
const STRANDS = [
  { d: 'M15.2 5 C8 7 5 14 5 27', tip: '#8a5a34' },
  { d: 'M15.6 5 C11.6 8 10.4 16 10.4 27', tip: '#ab7a44' },
  { d: 'M16 5 L16 27', tip: '#c79c63' },
  { d: 'M16.4 5 C20.4 8 21.6 16 21.6 27', tip: '#d9bb88' },
  { d: 'M16.8 5 C24 7 27 14 27 27', tip: '#e7d6b0' },
]
</script>

<template>
  <svg viewBox="0 0 32 32" class="size-9" aria-hidden="true" fill="none" stroke-width="3.5">
    <g stroke="currentColor">
      <path v-for="s in STRANDS" :key="s.d" :d="s.d" />
    </g>
    <g>
      <path v-for="s in STRANDS" :key="s.d" :d="s.d" :stroke="s.tip" pathLength="100" stroke-dasharray="0 70 40" />
    </g>
    <path d="M2.5 29.4 H29.5" stroke="currentColor" stroke-width="2" />
  </svg>
</template>
