<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { levelText } from '../lib/time'

/** One zone as it came out: before, now and wanted side by side, and the ways on from here. */
const props = defineProps<{ lane: Schemas['ReviewLane']; way: string; isLocked: boolean }>()
const emit = defineEmits<{ read: []; way: [way: string] }>()
const chosen = computed(() => props.lane.options.find((o) => o.way === props.way) ?? props.lane.options[0])
const off = computed(() =>
  props.lane.is_kept
    ? 'not lightened'
    : props.lane.is_on_target
      ? 'on target'
      : `${Math.abs(props.lane.off_levels).toFixed(1)} ${props.lane.off_levels < 0 ? 'short' : 'past it'}`,
)
</script>

<template>
  <article
    class="grid items-center gap-x-4 gap-y-2 border-t border-line py-3 md:grid-cols-[126px_150px_minmax(0,1fr)]"
    :aria-label="lane.name"
  >
    <div>
      <h2 class="narrow text-[19px] leading-tight">{{ lane.name }}</h2>
      <button
        type="button"
        class="min-h-10 text-left text-sm font-semibold underline underline-offset-4"
        :class="{ 'text-soft': lane.is_read }"
        :disabled="isLocked"
        @click="emit('read')"
      >
        {{ lane.is_read ? 'read again' : 'read it' }}
      </button>
    </div>
    <div class="flex items-center gap-3">
      <span
        class="swatch flex h-14 w-[74px] shrink-0 overflow-hidden rounded-[4px]"
        role="img"
        :aria-label="`before, now and wanted`"
      >
        <span class="w-[22%]" :style="{ background: lane.before_hex }" />
        <span class="grow" :style="{ background: lane.now_hex }" />
        <span class="w-[22%] border-l-[3px] border-panel" :style="{ background: lane.target_hex }" />
      </span>
      <p class="leading-tight">
        <span class="num text-[26px]">{{
          levelText(lane.level) === String(lane.level) ? lane.level : lane.level.toFixed(1)
        }}</span><span class="num text-soft"> / {{ levelText(lane.target_level) }}</span>
        <span class="block text-sm" :class="lane.is_on_target ? 'text-soft' : 'font-semibold'">{{ off }}</span>
      </p>
    </div>
    <p class="min-w-0 text-[15px] leading-snug">
      {{ lane.says }}.<strong v-if="lane.band" class="ml-1">Band: {{ lane.band }}.</strong>
      <span v-if="lane.options.length === 1" class="block text-sm text-soft">{{ lane.options[0]?.reason }}</span>
    </p>
    <div v-if="lane.options.length > 1" class="md:col-span-3">
      <div class="flex flex-wrap gap-1.5" role="radiogroup" :aria-label="`What to do with ${lane.name}`">
        <button
          v-for="o in lane.options"
          :key="o.way"
          type="button"
          role="radio"
          class="narrow flex min-h-12 items-center gap-2 rounded-[5px] border px-2.5 text-[15px]"
          :class="o.way === way ? 'border-ink bg-raised font-bold' : 'border-line'"
          :aria-checked="o.way === way"
          :disabled="isLocked || o.blocked !== null"
          @click="emit('way', o.way)"
        >
          <span class="swatch size-6 rounded-full border border-strong" :style="{ background: o.hex }" />
          {{ o.title }}<span v-if="o.blocked" class="font-bold text-stop">no</span>
        </button>
      </div>
      <p v-if="chosen" class="mt-1 text-sm text-soft">
        {{ chosen.reason
        }}<template v-if="chosen.way === 'again' && chosen.volume_strength !== null">
          · {{ levelText(chosen.volume_strength ?? 0) }} vol, about {{ (chosen.minutes ?? 0).toFixed(0) }} min</template
        >
      </p>
      <p v-for="o in lane.options.filter((x) => x.blocked)" :key="o.way" class="mt-1 text-sm font-semibold text-stop">
        {{ o.title }}: no, {{ o.blocked }}.
      </p>
    </div>
  </article>
</template>
