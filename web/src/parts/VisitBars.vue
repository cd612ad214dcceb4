<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import MiniHair from './MiniHair.vue'

/** The zones of one service as strands: what they were at the scalp, what they came to below. */
const props = defineProps<{ lanes: readonly Schemas['LaneThen'][]; label: string }>()
const strands = computed(() => props.lanes.map((l) => [l.before_hex, l.before_hex, l.level_hex, l.level_hex]))
</script>

<template>
  <MiniHair :strands="strands" :width="Math.min(Math.max(lanes.length * 15, 70), 210)" :height="64" :label="label" />
</template>
