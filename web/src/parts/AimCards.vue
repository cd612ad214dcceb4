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
const visits = (a: Schemas['AimOut']) =>
  a.visits === null ? 'not in six visits' : a.visits === 1 ? 'one visit' : `${a.visits} visits`
const spread = (a: Schemas['AimOut']) => (a.spread_levels < 0.05 ? 'none' : `${a.spread_levels.toFixed(1)} level`)
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
      <span class="mt-2 flex flex-col gap-[3px]" aria-hidden="true">
        <span v-for="(lane, i) in a.lanes" :key="i" class="relative block h-[6px]">
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
      <span class="mt-2 grid grid-cols-2 gap-x-3 gap-y-0.5 text-sm">
        <span
          ><span class="text-soft">strongest</span>
          <b class="num text-base">{{ levelText(a.strongest_volume) }}</b> vol</span
        >
        <span
          ><span class="text-soft">spread</span> <b class="num text-base">{{ spread(a) }}</b></span
        >
        <span
          ><span class="text-soft">load</span>
          <b class="num text-base">{{ a.contact_load_volume_min.toFixed(0) }}</b> vol·min</span
        >
        <span
          ><span class="text-soft">on hair</span> <b class="num text-base">{{ a.contact_min.toFixed(0) }}</b> min</span
        >
        <span
          ><b class="num text-base">{{ a.bowl_count }}</b> bowls, <b class="num text-base">{{ a.wave_count }}</b>
          {{ a.wave_count === 1 ? 'wave' : 'waves' }}</span
        >
        <span :class="{ 'font-bold': a.visits !== 1 }">{{ visits(a) }}</span>
      </span>
      <span v-if="a.short_count" class="mt-1 block text-sm font-semibold">
        {{ a.short_count }} of {{ a.lanes.length }} stop short today
      </span>
    </button>
  </div>
</template>
