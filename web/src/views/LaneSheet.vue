<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import type { Noted, Read } from '../api/events'
import { queries } from '../api/queries'
import { clock as clockText, countdown, levelText, fixed } from '../lib/time'
import { feels, modeName, modes, stretches, undertoneName } from '../lib/words'
import CameraRead from '../parts/CameraRead.vue'
import Choice from '../parts/Choice.vue'
import LaneOptions from '../parts/LaneOptions.vue'
import PracticeLook from '../parts/PracticeLook.vue'
import ReaderRead from '../parts/ReaderRead.vue'
import Sheet from '../parts/Sheet.vue'
import SwatchScale from '../parts/SwatchScale.vue'
import { usePractice } from '../stores/practice'
import { $t } from '../lib/i18n'

/** One zone opened: what can be done with it now, largest first. */
const props = defineProps<{
  lane: Schemas['Lane'] | null
  serviceId: string
  isDark: boolean
  hasReader: boolean
  isBusy: boolean
  now: number
}>()
const emit = defineEmits<{
  close: []
  read: [
    level: number,
    mode: Read['mode'],
    lab: number[],
    instrument: string,
    foils: Schemas['Foils'],
    levelStd?: number,
  ]
  note: [values: Noted]
  option: [option: Schemas['LaneOption'], isLabelRead: boolean]
  rinse: [isWiped: boolean]
  apply: [code: string]
}>()
const practice = usePractice()
/** In practice the hair itself is looked at, and the board may say less. */
const round = computed(() => practice.of(props.serviceId))
const mode = ref<Schemas['ReadingMode']>('wiped')
const foils = ref<Schemas['Foils']>('last')
const shown = ref<Schemas['Lane'] | null>(null)
/** The plan has it come off in its place; what must come off at once goes to the basin. */
const isWiped = computed(() => Boolean(shown.value && shown.value.leaves !== 'basin' && !shown.value.stop_reason))
watch(
  () => props.lane,
  (lane, before) => {
    if (!lane) return
    shown.value = lane
    if (lane.key === before?.key) return
    mode.value = lane.phase === 'rinsed' ? 'dry' : 'wiped'
    foils.value = lane.phase === 'processing' && lane.advice?.foils === 'first' ? 'first' : 'last'
  },
  { immediate: true }, // it may be asked for before it is there
)
const start = computed(() => shown.value?.start_level ?? null)
const palette = useQuery(computed(() => ({ ...queries.palette(start.value), enabled: start.value !== null })))
const options = useQuery(
  computed(() => ({
    ...queries.options(props.serviceId, props.lane?.key ?? ''),
    enabled: props.lane?.phase === 'processing',
  })),
)
const toWall = computed(() =>
  shown.value ? shown.value.wall_min - (props.now - new Date(shown.value.zero_at).getTime()) / 60_000 : 0,
)
/** Its rinse is advised: then it is the loudest control; else a zone is opened to be read. */
const isReady = computed(() => shown.value?.advice?.act === 'rinse')
const isOn = computed(() => shown.value?.phase === 'processing' || shown.value?.phase === 'applying')
const hasFirst = computed(() => shown.value?.phase === 'processing' && shown.value.span_min >= 3)
const looks = computed(() => {
  const lane = shown.value
  if (!lane) return null
  const isFirst = hasFirst.value && foils.value === 'first'
  return { hex: isFirst ? lane.hex_first : lane.hex_now, level: isFirst ? lane.level_first : lane.level_now, isFirst }
})
const canRead = computed(() => shown.value?.phase === 'processing' || shown.value?.phase === 'rinsed')
const learnt = computed(() => {
  const lane = shown.value
  if (!lane || lane.phase === 'waiting') return ''
  const rate = Math.round((lane.ratio_rate - 1) * 100)
  const extent = Math.round((lane.ratio_extent - 1) * 100)
  const say = (n: number, more: string, less: string) => (n === 0 ? '' : `${Math.abs(n)} % ${n > 0 ? more : less}`)
  const parts = [
    say(rate, $t('common.faster'), $t('common.slower')),
    say(extent, $t('laneSheet.further'), $t('common.lessFar')),
  ].filter(Boolean)
  return parts.length ? $t('laneSheet.theReadingsSoFarLifts', { parts: parts.join(', ') }) : ''
})
</script>

<template>
  <Sheet
    :is-open="lane !== null"
    :title="shown?.name ?? ''"
    :subtitle="
      shown
        ? $t('laneSheet.volTo', {
            volume_strength: levelText(shown.volume_strength),
            start_level: levelText(shown.start_level),
            target_level: levelText(shown.target_level),
            what: shown.notes.length ? ` · ${shown.notes.join(', ')}` : '',
          })
        : ''
    "
    @close="emit('close')"
  >
    <div v-if="shown" class="flex flex-col gap-5">
      <p v-if="shown.stop_reason" class="rounded-[5px] bg-stop p-3 text-lg font-semibold text-stop-ink" role="alert">
        {{ shown.stop_reason }}.
      </p>
      <div v-if="shown.phase === 'waiting'" class="flex flex-col gap-2">
        <button
          v-if="!shown.has_bowl"
          type="button"
          class="btn min-h-16 text-lg"
          :disabled="isBusy"
          @click="emit('apply', 'mix')"
        >
          {{ $t('laneSheet.bowlIsMixed') }}
        </button>
        <button type="button" class="btn btn-act min-h-16 text-lg" :disabled="isBusy" @click="emit('apply', 'start')">
          {{ $t('common.firstSectionOn') }}
        </button>
      </div>
      <button
        v-if="shown.phase === 'applying'"
        type="button"
        class="btn btn-act min-h-16 text-lg"
        :disabled="isBusy"
        @click="emit('apply', 'finish')"
      >
        {{ $t('laneSheet.lastSectionOnStartIts') }}
      </button>
      <template v-if="canRead">
        <Choice
          v-if="hasFirst"
          v-model="foils"
          :legend="$t('laneSheet.whichFoils')"
          :options="[
            { value: 'first', name: $t('laneSheet.firstOn', { min: shown.span_min.toFixed(0) }) },
            { value: 'last', name: $t('laneSheet.lastOn') },
          ]"
        />
        <p v-if="looks && (!round || round.help === 'full')" class="text-lg">
          <i18n-t keypath="laneSheet.shouldLookLike" scope="global"
            ><template #part1
              ><span
                class="swatch inline-block h-6 w-12 rounded-[3px] align-[-5px]"
                :style="{ background: looks.hex }" /></template
            ><template #likely
              ><strong class="num ms-2 text-xl">{{ fixed(looks.level.likely, 1) }}</strong></template
            ><template #part3
              ><template v-if="!looks.isFirst">, {{ undertoneName(shown.undertone_now) }}</template></template
            ><template #part4
              ><span class="text-soft">
                {{
                  ` ${$t('laneSheet.betweenAnd', { slow: fixed(looks.level.slow, 1), fast: fixed(looks.level.fast, 1) })}`
                }}</span
              ></template
            ></i18n-t
          >
        </p>
        <Choice v-model="mode" :legend="$t('laneSheet.howItIsRead')" :options="modes" />
        <PracticeLook
          v-if="round"
          :key="shown.key"
          :service-id="serviceId"
          :lane-key="shown.key"
          :mode="mode"
          :longer-min="hasFirst && foils === 'first' ? shown.span_min : 0"
          :zero-at="shown.zero_at"
          :is-on="shown.phase === 'processing'"
          :applications="shown.application_count"
        />
        <p v-if="mode === 'through_product'" class="rounded-[5px] border-s-[8px] border-ink bg-raised p-3">
          {{ isDark ? $t('laneSheet.thisLightenerIsDarkThrough') : $t('laneSheet.throughTheProductHairLooks') }}
        </p>
        <SwatchScale
          v-if="palette.data.value"
          :legend="$t('common.tapTheSwatchThatMatches')"
          :levels="palette.data.value.levels"
          :hexes="palette.data.value.hexes"
          :undertones="palette.data.value.undertones"
          :model-value="null"
          is-large
          is-first
          @update:model-value="(level) => emit('read', level, mode, [], '', hasFirst ? foils : 'last')"
        />
        <ReaderRead
          v-if="hasReader"
          :service-id="serviceId"
          :lane-key="shown.key"
          :is-busy="isBusy"
          @note="(level, lab, instrument) => emit('read', level, mode, lab, instrument, hasFirst ? foils : 'last')"
        />
        <CameraRead
          v-if="!round"
          :service-id="serviceId"
          :lane-key="shown.key"
          :is-busy="isBusy"
          @note="
            (level, lab, instrument, levelStd) =>
              emit('read', level, mode, lab, instrument, hasFirst ? foils : 'last', levelStd)
          "
        />
        <button
          v-if="shown.phase === 'processing'"
          type="button"
          class="btn min-h-16 text-lg"
          :class="toWall <= 0 || shown.stop_reason ? 'btn-stop' : isReady ? 'btn-act' : ''"
          :disabled="isBusy"
          @click="emit('rinse', isWiped)"
        >
          {{ isWiped ? $t('common.wipedOut') : $t('common.rinsed')
          }}<span class="font-normal opacity-80">{{
            toWall > 0
              ? $t('laneSheet.labelSTimeEndsIn', { toWall: countdown(toWall) })
              : $t('laneSheet.labelSTimePassed', { toWall: countdown(toWall) })
          }}</span>
        </button>
        <button
          v-if="shown.phase === 'processing' && !shown.stop_reason"
          type="button"
          class="btn"
          :disabled="isBusy"
          @click="emit('rinse', !isWiped)"
        >
          {{ isWiped ? $t('laneSheet.rinsedAtTheBasinInstead') : $t('laneSheet.wipedOutInstead') }}
        </button>
      </template>
      <template v-if="isOn">
        <Choice
          :model-value="null"
          :legend="$t('common.aWetStrandStretchesAnd')"
          :options="stretches"
          @update:model-value="(elasticity) => emit('note', { elasticity })"
        />
        <Choice
          :model-value="null"
          :legend="$t('common.theScalpFeels')"
          :options="feels"
          @update:model-value="(scalp) => emit('note', { scalp })"
        />
      </template>
      <LaneOptions
        v-if="shown.phase === 'processing' && options.data.value"
        :options="options.data.value.options"
        :zero-at="shown.zero_at"
        :now="now"
        :lightener-name="shown.lightener"
        :is-busy="isBusy"
        @do="(option, isLabelRead) => emit('option', option, isLabelRead)"
      />
      <p v-if="learnt" class="text-soft">{{ learnt }}</p>
      <div v-if="shown.readings.length">
        <h3 class="label">{{ $t('laneSheet.readings') }}</h3>
        <ul>
          <li v-for="r in shown.readings" :key="r.event_id" class="flex items-center gap-3 border-t border-line py-1.5">
            <span class="swatch h-7 w-12 rounded-[3px]" :style="{ background: r.hex }" />
            <span class="num text-lg">{{ levelText(r.level) }}</span><span class="text-soft">{{
              $t('laneSheet.afterMin', {
                what: r.foils === 'first' ? `${$t('laneSheet.firstFoils')} ` : '',
                mode: modeName(r.mode),
                zero_at: clockText(new Date(new Date(shown.zero_at).getTime() + r.minute * 60_000)),
                minute: r.minute.toFixed(0),
              })
            }}</span>
          </li>
        </ul>
      </div>
      <p class="text-sm text-soft">
        {{ $t('laneSheet.burningOrItchingRinseAt') }}
      </p>
    </div>
  </Sheet>
</template>
