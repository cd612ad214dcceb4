<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { countdown, levelText } from '../lib/time'
import { coverings, modeName } from '../lib/words'
import Choice from './Choice.vue'
import Stepper from './Stepper.vue'
import StrandChart from './StrandChart.vue'
import Tick from './Tick.vue'

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
  const parts = [part(f.extent_ratio, 'farther', 'less far'), part(f.rate_ratio, 'faster', 'slower')].filter(Boolean)
  return parts.length ? `Lifts ${parts.join(', ')} than expected` : 'Lifts as expected'
})
const startHex = computed(() => props.fitted?.start_hex ?? '#888888')
</script>

<template>
  <article class="panel flex flex-col gap-3" :aria-label="`Strand ${strand.key}`">
    <div class="flex items-center gap-3">
      <span class="swatch h-12 w-5 rounded-[3px]" :style="{ background: startHex }" aria-hidden="true" />
      <div class="min-w-0 grow">
        <h2 class="text-xl">Strand {{ strand.key }}</h2>
        <p class="truncate text-soft">
          {{ strand.zone_key ? (zoneNames[strand.zone_key] ?? strand.zone_key) : 'Somewhere on the head' }}, from
          {{ levelText(strand.start_level) }}
        </p>
      </div>
      <p
        v-if="minutes !== null"
        class="num text-[34px] leading-none"
        :class="isOver ? 'text-stop' : ''"
        role="timer"
        :aria-label="`Strand ${strand.key} clock`"
      >
        {{ countdown(minutes) }}
      </p>
    </div>
    <StrandChart
      v-if="fitted"
      :points="fitted.curve"
      :readings="fitted.readings ?? []"
      :hexes="fitted.reading_hexes"
      :start-level="strand.start_level"
      :label-max-min="fitted.label_max_min"
      :now="running ? minutes : null"
      :label="`Fitted curve of strand ${strand.key}: ${(fitted.readings ?? []).length} readings. ${says}`"
    />
    <p class="min-h-6 font-semibold" role="status">{{ says }}</p>
    <div v-if="!isLocked" class="grid grid-cols-2 gap-2">
      <button v-if="!running" type="button" class="btn" :class="{ 'btn-act': !strand.started_at }" @click="start">
        {{ strand.started_at ? 'Start anew' : 'Product is on' }}
      </button>
      <button v-else type="button" class="btn" @click="emit('edit', (s) => (s.ended_at = new Date(now).toISOString()))">
        Rinsed
      </button>
      <button type="button" class="btn" :class="{ 'btn-act': running }" @click="emit('read')">Read it</button>
    </div>
    <ul v-if="strand.readings?.length" class="border-t border-line">
      <li v-for="(r, i) in strand.readings" :key="i" class="flex items-center gap-3 border-b border-line py-1">
        <span class="swatch h-6 w-9 rounded-[3px]" :style="{ background: fitted?.reading_hexes[i] ?? '#888888' }" />
        <span class="num w-9 text-lg">{{ levelText(r.level) }}</span>
        <span class="grow text-soft">at {{ r.minutes.toFixed(0) }} min, {{ modeName(r.mode ?? 'wiped') }}</span>
        <button
          v-if="!isLocked"
          type="button"
          class="btn btn-quiet !min-h-11 !px-3"
          :aria-label="`Take back the reading at ${r.minutes.toFixed(0)} min`"
          @click="emit('edit', (s) => s.readings?.splice(i, 1))"
        >
          ×
        </button>
      </li>
    </ul>
    <fieldset class="grid gap-3 sm:grid-cols-2" :disabled="isLocked">
      <legend class="sr-only">How strand {{ strand.key }} is done</legend>
      <div class="sm:col-span-2">
        <label class="label" :for="`product-${strand.key}`">Product</label>
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
        <label class="label" :for="`zone-${strand.key}`">Taken from</label>
        <select
          :id="`zone-${strand.key}`"
          class="field"
          :value="strand.zone_key"
          @change="(e) => emit('edit', (s) => (s.zone_key = (e.target as HTMLSelectElement).value))"
        >
          <option value="">Somewhere</option>
          <option v-for="(zone, key) in zoneNames" :key="key" :value="key">{{ zone }}</option>
        </select>
      </div>
      <div>
        <label class="label" :for="`start-${strand.key}`">Level before</label>
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
        :label="`Developer, strand ${strand.key}`"
        unit="vol"
        :min="1"
        :max="40"
        :step="5"
        :model-value="strand.volume_strength"
        @update:model-value="(v) => emit('edit', (s) => (s.volume_strength = v))"
      />
      <Choice
        legend="Covering"
        :options="coverings"
        :model-value="strand.covering ?? null"
        @update:model-value="(v) => emit('edit', (s) => (s.covering = v))"
      />
      <Stepper
        :label="`Stretch before, strand ${strand.key}`"
        unit="%"
        :min="0"
        :max="200"
        :step="5"
        :model-value="strand.stretch_before_percent ?? null"
        @update:model-value="(v) => emit('edit', (s) => (s.stretch_before_percent = v))"
      />
      <Stepper
        :label="`Stretch after, strand ${strand.key}`"
        unit="%"
        :min="0"
        :max="200"
        :step="5"
        :model-value="strand.stretch_after_percent ?? null"
        @update:model-value="(v) => emit('edit', (s) => (s.stretch_after_percent = v))"
      />
    </fieldset>
    <p v-if="fitted?.has_suffered" class="rounded-[5px] border-l-[8px] border-stop bg-raised p-2 font-semibold">
      It stretches much more than before: weaker developer or another visit.
    </p>
    <div class="mt-auto flex flex-wrap items-center gap-2">
      <Tick
        class="grow"
        :model-value="strand.has_additive ?? false"
        :is-disabled="isLocked"
        @update:model-value="(v) => emit('edit', (s) => (s.has_additive = v))"
      >
        Bond additive
      </Tick>
      <button v-if="!isLocked" type="button" class="btn btn-quiet" @click="emit('remove')">Remove</button>
    </div>
  </article>
</template>
