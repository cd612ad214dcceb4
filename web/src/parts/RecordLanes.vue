<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { type Axis, ticks, toPercent } from '../lib/strip'
import { fixed, levelText } from '../lib/time'
import Strip from './Strip.vue'
import Swatch from './Swatch.vue'
import { $t } from '../lib/i18n'

/** Every lane as it ran: its minutes, what was read on it, what was reached. */
const props = defineProps<{ record: Schemas['RecordOut']; lanes: readonly Schemas['Lane'][] }>()
const base = computed(() => Math.min(...props.lanes.map((l) => new Date(l.started_at).getTime())))
const zeroOf = (at: string) => (new Date(at).getTime() - base.value) / 60_000
const axis = computed<Axis>(() => ({
  from: 0,
  to: Math.max(...props.lanes.map((l) => zeroOf(l.zero_at) + l.end_min), 20) + 2,
}))
const ranOf = (key: string) => props.record.ran.find((r) => r.key === key)
</script>

<template>
  <section class="panel mb-4" aria-labelledby="ran">
    <h2 id="ran" class="mb-1 text-xl">{{ $t('record.asItRan') }}</h2>
    <p v-if="lanes.length === 0" class="text-soft">{{ $t('record.noProductHasBeenOn') }}</p>
    <template v-else>
      <div class="record-row text-soft">
        <span />
        <div class="relative h-6">
          <span
            v-for="m in ticks(axis, 12)"
            :key="m"
            class="num absolute bottom-0 -translate-x-1/2 text-[14px]"
            :style="{ left: `${toPercent(axis, m)}%` }"
            >{{ m }}</span
          >
        </div>
        <span />
      </div>
      <div v-for="lane in lanes" :key="lane.key" class="record-row border-t border-line">
        <p class="leading-tight">
          <span class="narrow line-clamp-2 font-semibold">{{ lane.name }}</span><span class="text-[13px] text-soft"
            ><i18n-t keypath="record.volMin" scope="global"
              ><template #volume_strength>{{ levelText(lane.volume_strength) }}</template
              ><template #zero_at>{{
                (zeroOf(lane.zero_at) - zeroOf(lane.started_at) + (lane.rinsed_min ?? lane.end_min)).toFixed(0)
              }}</template
              ><template #part1
                ><template v-if="ranOf(lane.key)?.planned_min != null">
                  {{ ` ${$t('record.plan', { planned_min: ranOf(lane.key)?.planned_min?.toFixed(0) })}` }}</template
                ></template
              ></i18n-t
            ></span
          >
        </p>
        <Strip
          class="h-[46px]"
          :axis="axis"
          :zero="zeroOf(lane.zero_at)"
          :points="lane.curve"
          :fibres="lane.fibres"
          :apply-from="zeroOf(lane.started_at)"
          :end="zeroOf(lane.zero_at) + lane.end_min"
          :now="axis.to"
          :wall="null"
          :readings="lane.readings.filter((r) => r.minute <= lane.end_min)"
          :is-rinsed="true"
          :label="$t('record.asItRanReadings', { name: lane.name, count: lane.readings.length })"
        />
        <div class="flex items-center gap-2.5">
          <Swatch
            :now="lane.hex_now"
            :target="lane.hex_target"
            :size="36"
            :label="$t('record.leftReachedRightWanted')"
          />
          <p class="num text-lg leading-tight whitespace-nowrap">
            {{ levelText(lane.start_level) }} {{ $t('arrow.on') }}
            {{
              lane.achieved_level === null
                ? $t('record.about', { likely: fixed(lane.level_now.likely, 1) })
                : levelText(lane.achieved_level)
            }}<span class="block text-[13px] font-normal text-soft" style="font-stretch: 92%">{{
              $t('record.wanted', { target_level: levelText(lane.target_level) })
            }}</span>
          </p>
        </div>
      </div>
    </template>
  </section>
</template>

<style scoped>
.record-row {
  display: grid;
  grid-template-columns: 148px minmax(0, 1fr) 150px;
  align-items: center;
  column-gap: 14px;
}
@media (max-width: 640px) {
  .record-row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
