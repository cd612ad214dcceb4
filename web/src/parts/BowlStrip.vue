<script setup lang="ts">
import type { Schemas } from '../api/client'
import { levelText } from '../lib/time'

/** Bowls in use, each with its age beside its life. */
const props = defineProps<{ bowls: readonly Schemas['BoardBowl'][]; now: number }>()
const age = (b: Schemas['BoardBowl']) => (props.now - new Date(b.mixed_at).getTime()) / 60_000
const life = (b: Schemas['BoardBowl']) => (new Date(b.stale_at).getTime() - new Date(b.mixed_at).getTime()) / 60_000
const isStale = (b: Schemas['BoardBowl']) => age(b) > life(b)
</script>

<template>
  <ul v-if="bowls.length" class="flex flex-wrap gap-2" :aria-label="$t('bowlStrip.bowlsInUse')">
    <li
      v-for="b in bowls"
      :key="b.event_id"
      class="relative flex min-h-9 items-center gap-2 overflow-hidden rounded-[5px] bg-panel px-3 pb-1 text-[15px]"
    >
      <b class="num">{{ $t('bowlStrip.bowl', { number: b.number }) }}</b>
      <span class="num">{{ $t('common.vol', { volume_strength: levelText(b.volume_strength) }) }}</span>
      <span class="max-w-56 truncate text-soft">{{ b.lane_names.join(', ') }}</span>
      <span class="num" :class="isStale(b) ? 'font-bold text-stop' : ''">{{
        $t('bowlStrip.ofMin', {
          what: Math.max(0, age(b)).toFixed(0),
          b: life(b).toFixed(0),
          what2: isStale(b) ? $t('bowlStrip.stale') : '',
        })
      }}</span>
      <span
        class="absolute bottom-0 start-0 h-[3px]"
        :class="isStale(b) ? 'bg-stop' : 'bg-ink'"
        :style="{ width: `${Math.min(100, (age(b) / life(b)) * 100)}%` }"
        aria-hidden="true"
      />
    </li>
  </ul>
</template>
