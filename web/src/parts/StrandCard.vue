<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import type { StrandAxes } from '../lib/strip'
import { countdown, levelText } from '../lib/time'
import { coverings, modeName, undertoneName } from '../lib/words'
import Choice from './Choice.vue'
import Stepper from './Stepper.vue'
import StrandChart from './StrandChart.vue'
import Tick from './Tick.vue'
import { $t } from '../lib/i18n'

/** One strand on the bench: what it is, its clock, its readings, and the curve through them. */
const props = defineProps<{
  strand: Schemas['StrandIn']
  /** As the server has fitted it; missing until it is kept. */
  fitted: Schemas['StrandOut'] | undefined
  zoneNames: Record<string, string>
  lighteners: readonly Schemas['LightenerOut'][]
  natural: Schemas['PaletteOut']
  now: number
  isLocked: boolean
  axes: StrandAxes
  /** The look that is next, min after its product went on; null once it has had its last. */
  look: number | null
}>()
const emit = defineEmits<{ edit: [change: (strand: Schemas['StrandIn']) => void]; remove: []; read: [] }>()

const running = computed(() => Boolean(props.strand.started_at) && !props.strand.ended_at)
const minutes = computed(() => {
  const from = props.strand.started_at
  if (!from) return null
  const to = props.strand.ended_at ? new Date(props.strand.ended_at).getTime() : props.now
  return Math.max(0, (to - new Date(from).getTime()) / 60_000)
})
const isOver = computed(() => running.value && (minutes.value ?? 0) > (props.fitted?.label_max_min ?? Infinity))
/** What is next to be done with it: a look that is due, or how long until the next. */
const isDue = computed(() => running.value && props.look !== null && (minutes.value ?? 0) >= props.look)
const next = computed(() => {
  if (!running.value || props.look === null) return ''
  return isDue.value
    ? $t('strandCard.readItMin', {
        look: props.look.toFixed(0),
        what: props.look >= (props.fitted?.label_max_min ?? Infinity) ? $t('strandCard.itsLabelEnds') : '',
      })
    : $t('strandCard.nextLookIn', { look: countdown(props.look - (minutes.value ?? 0)) })
})
const start = () =>
  emit('edit', (s) => {
    s.started_at = new Date(props.now).toISOString()
    s.ended_at = null
  })
const says = computed(() => {
  const f = props.fitted
  if (!f || f.readings?.length === 0) return ''
  const part = (ratio: number, more: string, less: string) =>
    Math.abs(ratio - 1) < 0.015 ? '' : `${Math.round(Math.abs(ratio - 1) * 100)} % ${ratio > 1 ? more : less}`
  const parts = [
    part(f.extent_ratio, $t('strandCard.farther'), $t('common.lessFar')),
    part(f.rate_ratio, $t('common.faster'), $t('common.slower')),
  ].filter(Boolean)
  return parts.length
    ? $t('strandCard.liftsThanExpected', { parts: parts.join(', ') })
    : $t('strandCard.liftsAsExpected')
})
const startHex = computed(() => props.fitted?.start_hex ?? '#888888')
</script>

<template>
  <article
    class="panel flex flex-col gap-3"
    :class="{ 'outline-4 outline-signal': isDue }"
    :aria-label="$t('strandCard.strand', { key: strand.key })"
  >
    <div class="flex items-center gap-3">
      <span class="swatch h-12 w-5 rounded-[3px]" :style="{ background: startHex }" aria-hidden="true" />
      <div class="min-w-0 grow">
        <h2 class="text-xl">{{ $t('strandCard.strand', { key: strand.key }) }}</h2>
        <p class="truncate text-soft">
          {{
            $t('strandCard.from', {
              zoneNames: strand.zone_key
                ? (zoneNames[strand.zone_key] ?? strand.zone_key)
                : $t('strandCard.somewhereOnTheHead'),
              start_level: levelText(strand.start_level),
            })
          }}
        </p>
      </div>
      <p
        v-if="minutes !== null"
        class="num text-[34px] leading-none"
        :class="isOver ? 'text-stop' : ''"
        role="timer"
        :aria-label="$t('strandCard.strandClock', { key: strand.key })"
      >
        {{ countdown(minutes) }}
      </p>
    </div>
    <StrandChart
      v-if="fitted"
      :points="fitted.curve"
      :readings="fitted.readings ?? []"
      :hexes="fitted.reading_hexes"
      :axes="axes"
      :label-max-min="fitted.label_max_min"
      :now="running ? minutes : null"
      :label="
        $t('strandCard.fittedCurveOfStrandReadings', { key: strand.key, count: (fitted.readings ?? []).length, says })
      "
    />
    <p class="min-h-6 font-semibold" role="status">{{ says }}</p>
    <p v-if="next" class="num text-[22px] leading-none" :class="isDue ? 'text-signal' : 'text-soft'">{{ next }}</p>
    <div v-if="!isLocked" class="grid grid-cols-2 gap-2">
      <button v-if="!running" type="button" class="btn" :class="{ 'btn-act': !strand.started_at }" @click="start">
        {{ strand.started_at ? $t('strandCard.startAnew') : $t('strandCard.productIsOn') }}
      </button>
      <button v-else type="button" class="btn" @click="emit('edit', (s) => (s.ended_at = new Date(now).toISOString()))">
        {{ $t('common.rinsed') }}
      </button>
      <button type="button" class="btn" :class="{ 'btn-act': running }" @click="emit('read')">
        {{ $t('common.readIt') }}
      </button>
    </div>
    <ul v-if="strand.readings?.length" class="border-t border-line">
      <li v-for="(r, i) in strand.readings" :key="i" class="flex items-center gap-3 border-b border-line py-1">
        <span class="swatch h-6 w-9 rounded-[3px]" :style="{ background: fitted?.reading_hexes[i] ?? '#888888' }" />
        <span class="num w-9 text-lg">{{ levelText(r.level) }}</span>
        <span class="grow text-soft">{{
          $t('strandCard.atMin', {
            what: fitted?.reading_undertones[i] ? `${undertoneName(fitted.reading_undertones[i]!)}, ` : '',
            minutes: r.minutes.toFixed(0),
            mode: modeName(r.mode ?? 'wiped'),
          })
        }}</span>
        <button
          v-if="!isLocked"
          type="button"
          class="btn btn-quiet !min-h-11 !px-3"
          :aria-label="$t('strandCard.takeBackTheReadingAt', { minutes: r.minutes.toFixed(0) })"
          @click="emit('edit', (s) => s.readings?.splice(i, 1))"
        >
          ×
        </button>
      </li>
    </ul>
    <fieldset class="grid gap-3 sm:grid-cols-2" :disabled="isLocked">
      <legend class="sr-only">{{ $t('strandCard.howStrandIsDone', { key: strand.key }) }}</legend>
      <div class="sm:col-span-2">
        <label class="label" :for="`product-${strand.key}`">{{ $t('common.product') }}</label>
        <select
          :id="`product-${strand.key}`"
          class="field"
          :value="strand.lightener_key"
          @change="(e) => emit('edit', (s) => (s.lightener_key = (e.target as HTMLSelectElement).value))"
        >
          <option v-for="l in lighteners" :key="l.key" :value="l.key">{{ l.name }}</option>
        </select>
      </div>
      <div>
        <label class="label" :for="`zone-${strand.key}`">{{ $t('strandCard.takenFrom') }}</label>
        <select
          :id="`zone-${strand.key}`"
          class="field"
          :value="strand.zone_key"
          @change="(e) => emit('edit', (s) => (s.zone_key = (e.target as HTMLSelectElement).value))"
        >
          <option value="">{{ $t('strandCard.somewhere') }}</option>
          <option v-for="(zone, key) in zoneNames" :key="key" :value="key">{{ zone }}</option>
        </select>
      </div>
      <div>
        <label class="label" :for="`start-${strand.key}`">{{ $t('strandCard.levelBefore') }}</label>
        <select
          :id="`start-${strand.key}`"
          class="field"
          :value="strand.start_level"
          @change="(e) => emit('edit', (s) => (s.start_level = Number((e.target as HTMLSelectElement).value)))"
        >
          <option v-for="l in natural.levels" :key="l" :value="l">{{ levelText(l) }}</option>
        </select>
      </div>
      <Stepper
        :label="$t('strandCard.developerStrand', { key: strand.key })"
        :unit="$t('common.vol2')"
        :min="1"
        :max="40"
        :step="5"
        :model-value="strand.volume_strength"
        @update:model-value="(v) => emit('edit', (s) => (s.volume_strength = v))"
      />
      <Choice
        :legend="$t('common.covering')"
        :options="coverings"
        :model-value="strand.covering ?? null"
        @update:model-value="(v) => emit('edit', (s) => (s.covering = v))"
      />
      <Stepper
        :label="$t('strandCard.stretchBeforeStrand', { key: strand.key })"
        unit="%"
        :min="0"
        :max="200"
        :step="5"
        :model-value="strand.stretch_before_percent ?? null"
        @update:model-value="(v) => emit('edit', (s) => (s.stretch_before_percent = v))"
      />
      <Stepper
        :label="$t('strandCard.stretchAfterStrand', { key: strand.key })"
        unit="%"
        :min="0"
        :max="200"
        :step="5"
        :model-value="strand.stretch_after_percent ?? null"
        @update:model-value="(v) => emit('edit', (s) => (s.stretch_after_percent = v))"
      />
    </fieldset>
    <p v-if="fitted?.has_suffered" class="rounded-[5px] border-s-[8px] border-stop bg-raised p-2 font-semibold">
      {{ $t('strandCard.itStretchesMuchMoreThan') }}
    </p>
    <div class="mt-auto flex flex-wrap items-center gap-2">
      <Tick
        class="grow"
        :model-value="strand.has_additive ?? false"
        :is-disabled="isLocked"
        @update:model-value="(v) => emit('edit', (s) => (s.has_additive = v))"
      >
        {{ $t('common.bondAdditive') }}
      </Tick>
      <button v-if="!isLocked" type="button" class="btn btn-quiet" @click="emit('remove')">
        {{ $t('strandCard.remove') }}
      </button>
    </div>
  </article>
</template>
