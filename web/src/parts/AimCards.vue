<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { levelText } from '../lib/time'
import { aims as words } from '../lib/words'

/** Three plans side by side with what each costs; a tap takes one. */
const props = defineProps<{ aims: readonly Schemas['AimOut'][]; taken: Schemas['Aim']; isLocked: boolean }>()
const emit = defineEmits<{ take: [aim: Schemas['Aim']] }>()
const longest = computed(() => Math.max(...props.aims.map((a) => a.finish_min), 30))
const share = (minute: number) => `${(minute / longest.value) * 100}%`
const facts = (a: Schemas['AimOut']) => [
  `to ${levelText(Math.round(a.strongest_volume * 10) / 10)} vol · spread ${a.spread_levels.toFixed(1)} level`,
  `load ${a.contact_load_volume_min.toFixed(0)} vol·min · ${a.contact_min.toFixed(0)} min on hair`,
  `${a.bowl_count} bowls in ${a.wave_count} ${a.wave_count === 1 ? 'wave' : 'waves'}`,
]
const visits = (a: Schemas['AimOut']) => {
  const count = a.visits === null ? 'Not in six visits' : a.visits === 1 ? 'One visit' : `${a.visits} visits`
  return a.short_count ? `${count}; ${a.short_count} of ${a.lanes.length} short today` : count
}
</script>

<template>
  <div class="grid gap-3 md:grid-cols-3" role="group" aria-label="Aims">
    <button
      v-for="a in aims"
      :key="a.aim"
      type="button"
      class="rounded-[7px] border-2 bg-panel p-3 text-left transition-colors"
      :class="taken === a.aim ? 'border-act' : 'border-transparent hover:border-strong'"
      :aria-pressed="taken === a.aim"
      :disabled="isLocked"
      @click="emit('take', a.aim)"
    >
      <span class="flex items-baseline gap-2">
        <span class="text-xl font-bold">{{ words[a.aim].name }}</span>
        <span class="grow truncate text-sm text-soft">{{ words[a.aim].says }}</span>
        <span class="num text-2xl leading-none">{{ a.finish_min.toFixed(0) }}</span><span class="text-sm">min</span>
      </span>
      <span class="mt-1 grid grid-cols-[minmax(0,1fr)_36%] gap-x-4">
        <span class="block text-sm leading-snug">
          <span v-for="(line, n) in facts(a)" :key="n" class="block">{{ line }}</span>
          <b class="block">{{ visits(a) }}</b>
        </span>
        <span class="flex flex-col justify-center gap-[3px]" aria-hidden="true">
          <span v-for="(lane, i) in a.lanes" :key="i" class="relative block h-[6px] max-h-[6px] min-h-[2px] shrink">
            <span
              class="hatch absolute inset-y-0 opacity-50"
              :style="{ left: share(lane.start_min), width: share(lane.end_min - lane.start_min) }"
            />
            <span
              class="swatch absolute inset-y-0 rounded-r-[2px]"
              :class="{ 'opacity-60': lane.is_short }"
              :style="{
                left: share(lane.end_min),
                width: share(lane.rinse_min - lane.end_min),
                background: `linear-gradient(to right, ${lane.hexes[0]}, ${lane.hexes[1]})`,
              }"
            />
          </span>
        </span>
      </span>
    </button>
  </div>
</template>
