<script setup lang="ts">
import type { Schemas } from '../api/client'

/** The zones of one service as strands: what they were above, what they came to below. */
defineProps<{ lanes: readonly Schemas['LaneThen'][]; label: string }>()
</script>

<template>
  <span class="swatch flex h-[58px] gap-[3px] rounded-[4px]" role="img" :aria-label="label">
    <span v-for="(lane, i) in lanes" :key="i" class="flex w-[15px] flex-col overflow-hidden rounded-[2px]">
      <span class="h-[34%]" :style="{ background: lane.before_hex }" />
      <span class="grow" :style="{ background: lane.level_hex }" />
    </span>
  </span>
</template>
