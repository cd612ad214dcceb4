<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { laneNow } from '../lib/lane'
import type { Axis } from '../lib/strip'
import { levelText, fixed } from '../lib/time'
import Strip from './Strip.vue'
import Swatch from './Swatch.vue'
import { $t } from '../lib/i18n'

const props = defineProps<{
  lane: Schemas['Lane']
  number: number
  axis: Axis
  zero: number
  now: number
  isUrgent: boolean
  isWaiting?: boolean
}>()
const emit = defineEmits<{ open: [] }>()
const sinceZero = computed(() => props.now - props.zero)
const says = computed(() => laneNow(props.lane, sinceZero.value))
const applyFrom = computed(
  () => props.zero - (new Date(props.lane.zero_at).getTime() - new Date(props.lane.started_at).getTime()) / 60_000,
)
const window = computed(() => {
  const at = (m: number | null) => (m === null ? null : props.zero + m)
  const { early, likely, late } = props.lane.window_min
  return { early: at(early), likely: at(likely), late: at(late) }
})
const check = computed(() =>
  says.value.isLive && props.lane.advice && props.lane.advice.act !== 'stop'
    ? props.zero + props.lane.advice.due_min
    : null,
)
</script>

<template>
  <div :class="{ 'bg-panel': isUrgent }">
    <button
      type="button"
      class="flex min-h-12 w-full min-w-0 items-center gap-2.5 text-start hover:underline"
      @click="emit('open')"
    >
      <span
        class="num flex size-8 shrink-0 items-center justify-center rounded-[4px] text-lg"
        :class="[
          isUrgent ? 'bg-signal text-signal-ink' : 'bg-sunk',
          lane.is_last_placed ? 'outline-2 outline-offset-2 outline-ink outline-dashed' : '',
        ]"
        >{{ number }}</span
      >
      <span class="min-w-0">
        <span class="narrow line-clamp-2 text-[17px] leading-tight font-semibold"
          ><template v-if="lane.part"
            ><span class="capitalize">{{ lane.part }}</span
            >, <span class="font-normal">{{ lane.zone_name }}</span></template
          ><template v-else>{{ lane.name }}</template></span
        >
        <span class="block truncate text-[13px] text-soft"
          ><i18n-t keypath="chairLane.vol" scope="global"
            ><template #volume_strength>{{ levelText(lane.volume_strength) }}</template
            ><template #part1
              ><b v-if="isWaiting" class="text-ink">{{ `${$t('chairLane.notSent')} ` }} </b></template
            ><template #part2
              ><span v-if="lane.notes.length" class="md:max-lg:hidden"> · {{ lane.notes.join(', ') }}</span></template
            ><template #part3
              ><span class="md:hidden">
                · {{ fixed(says.level, 1) }} {{ $t('arrow.on') }} {{ levelText(lane.target_level) }} ·
                <b :class="{ 'text-stop': says.isStrong }">{{ says.text }}</b></span
              ></template
            ></i18n-t
          ></span
        >
      </span>
    </button>
    <Strip
      class="lane-strip cursor-pointer"
      :axis="axis"
      :zero="zero"
      :points="lane.curve"
      :fibres="lane.fibres"
      :apply-from="applyFrom"
      :end="zero + lane.end_min"
      :now="now"
      :wall="zero + lane.wall_min"
      :window="window"
      :crossings="lane.crossings"
      :readings="lane.readings"
      :check="check"
      :is-forecast="lane.is_forecast"
      has-now-line
      :is-rinsed="lane.phase === 'rinsed'"
      :label="says.label"
      @click="emit('open')"
    />
    <div class="hidden items-center gap-3 md:flex">
      <Swatch :now="says.hex" :target="lane.hex_target" :size="44" :label="$t('common.leftNowRightWanted')" />
      <p class="min-w-0 leading-tight">
        <span class="num text-[24px]">{{ fixed(says.level, 1) }}</span>
        <span class="num text-lg text-soft"> {{ $t('arrow.on') }} {{ levelText(lane.target_level) }}</span>
        <span
          class="narrow block truncate text-[15px]"
          :class="says.isStrong ? 'font-bold text-stop' : says.isDue ? 'font-bold text-signal' : 'text-soft'"
          >{{ says.text }}</span
        >
      </p>
    </div>
  </div>
</template>

<style>
.lane-strip {
  height: clamp(40px, calc((100dvh - var(--above, 424px)) / var(--lanes, 8)), 76px);
}
@media (max-width: 767px) {
  .lane-strip {
    height: 54px;
  }
}
</style>
