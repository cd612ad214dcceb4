<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'
import {
  breakages,
  coverings,
  densities,
  dyeHues,
  elasticities,
  histories,
  porosities,
  thicknesses,
  tones,
  undertones,
} from '../lib/words'
import { type HairPart, newSegment, type Part, partOf, type Segment, type Zone } from '../stores/zones'
import Choice from './Choice.vue'
import Stepper from './Stepper.vue'
import SwatchScale from './SwatchScale.vue'
import Tick from './Tick.vue'

/** Reading the chosen zones, all at once: their lengths, and root or ends where those are read apart. */
const props = defineProps<{
  zones: Zone[]
  head: Schemas['HeadOut']
  natural: Schemas['PaletteOut']
  isToneOnly?: boolean
}>()
const emit = defineEmits<{ edit: [change: (zone: Zone) => void]; leaveOut: [] }>()

const part = ref<Part>('lengths')
const isApart = (which: 'root' | 'ends') => props.zones.some((z) => z[which])
const hasParts = computed(() => isApart('root') || isApart('ends'))
const tabs = computed(() => [
  { key: 'lengths' as const, name: hasParts.value ? 'Lengths' : 'All of it' },
  { key: 'root' as const, name: isApart('root') ? 'Root' : 'Root apart' },
  { key: 'ends' as const, name: isApart('ends') ? 'Ends' : 'Ends apart' },
])
const open = (which: Part) => {
  if (which !== 'lengths' && props.zones.some((z) => !z[which])) {
    const length = which === 'root' ? props.head.root_mm : Math.round(props.head.usual_length_mm / 5)
    emit('edit', (z) => {
      z[which] ??= newSegment(z, which, length)
    })
  }
  part.value = which
}
const together = () => {
  const which = part.value
  if (which === 'lengths') return
  emit('edit', (z) => (z[which] = null))
  part.value = 'lengths'
}

const parts = computed(() =>
  props.zones.map((z) => partOf(z, part.value)).filter((p): p is Zone | Segment => p !== null),
)
const isReady = computed(() => parts.value.length === props.zones.length)
function same<K extends keyof HairPart>(field: K): HairPart[K] | null {
  const first = parts.value[0]
  return first && parts.value.every((p) => p[field] === first[field]) ? (first[field] ?? null) : null
}
function sameZone<K extends keyof Zone>(field: K): Zone[K] | null {
  const first = props.zones[0]
  return first && props.zones.every((z) => z[field] === first[field]) ? first[field] : null
}
const sameSegment = <K extends 'length_mm' | 'target_level' | 'is_left_out'>(field: K) => {
  const found = parts.value as Segment[]
  const first = found[0]
  return first && found.every((s) => s[field] === first[field]) ? first[field] : null
}
const segmentLength = computed(() => sameSegment('length_mm') as number | null)
const set = (change: (hair: HairPart) => void) => {
  const which = part.value
  emit('edit', (z) => {
    const found = partOf(z, which)
    if (found) change(found)
  })
}
const setSegment = (change: (segment: Segment) => void) => {
  const which = part.value
  if (which === 'lengths') return
  emit('edit', (z) => {
    const found = z[which]
    if (found) change(found)
  })
}
const natural = (level: number) => props.natural.hexes[props.natural.levels.indexOf(level)] ?? '#888888'
const setStart = (level: number) => {
  const which = part.value
  emit('edit', (z) => {
    const found = partOf(z, which)
    if (!found) return
    found.start_level = level
    if (which === 'lengths') {
      z.start_hex = natural(level)
      if (z.target_level < level || z.keeps_depth || props.isToneOnly) z.target_level = level
    }
  })
}
const highest = computed(() => Math.max(...parts.value.map((p) => p.start_level), 1))
const lowest = computed(() => (parts.value.length ? Math.min(...parts.value.map((p) => p.start_level)) : null))
const lifted = useQuery(computed(() => ({ ...queries.palette(lowest.value), enabled: lowest.value !== null })))
const target = computed(() => {
  if (part.value === 'lengths') return sameZone('keeps_depth') === true ? null : sameZone('target_level')
  const own = sameSegment('target_level')
  return own ?? sameZone('target_level')
})
const setTarget = (level: number) => {
  if (part.value === 'lengths')
    emit('edit', (z) => {
      z.keeps_depth = false
      z.target_level = Math.max(level, z.start_level)
      z.target_hex = lifted.data.value?.hexes[lifted.data.value.levels.indexOf(level)] ?? z.target_hex
    })
  else setSegment((s) => (s.target_level = level))
}
const keep = (keeps: boolean) =>
  emit('edit', (z) => {
    z.keeps_depth = keeps
    if (keeps) z.target_level = z.start_level
  })
const toneOptions = [{ value: '', name: 'As the wish' }, ...tones] as const
</script>

<template>
  <div class="flex flex-col gap-4">
    <div class="flex flex-wrap items-center gap-1.5" role="tablist" aria-label="Part of the hair">
      <button
        v-for="tab in tabs"
        :key="tab.key"
        type="button"
        role="tab"
        class="btn !min-h-11 text-[15px]"
        :class="{ 'btn-act': part === tab.key }"
        :aria-selected="part === tab.key"
        @click="open(tab.key)"
      >
        {{ tab.name }}
      </button>
      <button v-if="part !== 'lengths'" type="button" class="btn btn-quiet !min-h-11 text-[15px]" @click="together">
        Read as one again
      </button>
    </div>
    <p v-if="part === 'root'" class="-mt-2 text-sm text-soft">
      The first {{ head.root_mm }} mm, warmed by the scalp. Longer regrowth is planned as two applications.
    </p>
    <template v-if="isReady">
      <SwatchScale
        legend="Level now"
        :levels="props.natural.levels"
        :hexes="props.natural.hexes"
        :model-value="same('start_level')"
        @update:model-value="setStart"
      />
      <SwatchScale
        v-if="lifted.data.value && !isToneOnly"
        legend="Level wanted, as this hair will look there before toner"
        :levels="lifted.data.value.levels"
        :hexes="lifted.data.value.hexes"
        :undertones="lifted.data.value.undertones"
        :least="highest"
        :model-value="target"
        @update:model-value="setTarget"
      />
      <div class="-mt-2 flex flex-wrap items-center gap-x-6">
        <Tick v-if="part === 'lengths'" :model-value="sameZone('keeps_depth') === true" @update:model-value="keep">
          Keep depth here: no product
        </Tick>
        <Tick
          v-else
          :model-value="sameSegment('is_left_out') === true"
          @update:model-value="(v) => setSegment((s) => (s.is_left_out = v))"
        >
          Leave out: no product here
        </Tick>
      </div>
      <div v-if="part !== 'lengths'" class="max-w-56">
        <Stepper
          :label="part === 'root' ? 'Regrowth' : 'Length of the ends'"
          unit="mm"
          :min="1"
          :max="300"
          :step="part === 'root' ? 2 : 10"
          :model-value="segmentLength"
          @update:model-value="(v) => setSegment((s) => (s.length_mm = v))"
        />
      </div>
      <Choice
        legend="Before today"
        :options="histories"
        :model-value="same('history')"
        @update:model-value="(v) => set((h) => (h.history = v))"
      />
      <SwatchScale
        v-if="same('history') === 'tinted'"
        legend="Level of the tint"
        :levels="props.natural.levels.filter((l) => Number.isInteger(l))"
        :hexes="props.natural.hexes.filter((_, i) => Number.isInteger(props.natural.levels[i]))"
        :model-value="same('tint_level') ?? null"
        @update:model-value="(v) => set((h) => (h.tint_level = v))"
      />
      <Choice
        v-if="same('history') === 'direct_dye'"
        legend="Hue of the old dye"
        :options="dyeHues"
        :model-value="same('dye_hue') ?? null"
        @update:model-value="(v) => set((h) => (h.dye_hue = v))"
      />
      <div class="grid gap-4 sm:grid-cols-2">
        <Choice
          legend="Porosity"
          :options="porosities"
          :model-value="same('porosity')"
          @update:model-value="(v) => set((h) => (h.porosity = v))"
        />
        <Choice
          legend="Strand"
          :options="thicknesses"
          :model-value="same('thickness')"
          @update:model-value="(v) => set((h) => (h.thickness = v))"
        />
        <Choice
          legend="Wet stretch"
          :options="elasticities"
          :model-value="same('elasticity')"
          @update:model-value="(v) => set((h) => (h.elasticity = v))"
        />
        <Choice
          legend="Breakage"
          :options="breakages"
          :model-value="same('breakage')"
          @update:model-value="(v) => set((h) => (h.breakage = v))"
        />
        <div>
          <label class="label" for="undertone">Warmth that shows</label>
          <select
            id="undertone"
            class="field"
            :value="same('undertone') ?? ''"
            @change="
              (e) => {
                const value = (e.target as HTMLSelectElement).value
                set((h) => (h.undertone = value === '' ? null : (value as (typeof undertones)[number])))
              }
            "
          >
            <option value="">Not looked at</option>
            <option v-for="u in undertones" :key="u" :value="u">{{ u }}</option>
          </select>
        </div>
        <template v-if="part === 'lengths'">
          <Choice
            legend="Density"
            :options="densities"
            :model-value="sameZone('density')"
            @update:model-value="(v) => emit('edit', (z) => (z.density = v))"
          />
          <Choice
            legend="Covering"
            :options="coverings"
            :model-value="sameZone('covering')"
            @update:model-value="(v) => emit('edit', (z) => (z.covering = v))"
          />
          <Stepper
            label="Hair length"
            unit="mm"
            :min="20"
            :max="1500"
            :step="50"
            placeholder="differ"
            :model-value="sameZone('length_mm')"
            @update:model-value="(v) => emit('edit', (z) => (z.length_mm = v))"
          />
          <Stepper
            label="Sections"
            unit=""
            :min="1"
            :max="60"
            :step="1"
            placeholder="differ"
            :model-value="sameZone('foil_count')"
            @update:model-value="(v) => emit('edit', (z) => (z.foil_count = Math.round(v)))"
          />
          <Stepper
            label="Pace"
            unit="min a section"
            :min="0.1"
            :max="6"
            :step="0.1"
            placeholder="differ"
            :model-value="sameZone('pace_min_per_foil')"
            @update:model-value="(v) => emit('edit', (z) => (z.pace_min_per_foil = Math.round(v * 10) / 10))"
          />
        </template>
      </div>
      <template v-if="part === 'lengths'">
        <Choice
          legend="Tone here"
          :options="toneOptions"
          :model-value="sameZone('tone') ?? ''"
          @update:model-value="(v) => emit('edit', (z) => (z.tone = v === '' ? null : v))"
        />
        <div class="flex flex-wrap gap-x-6">
          <Tick
            :model-value="sameZone('is_delicate') === true"
            @update:model-value="(v) => emit('edit', (z) => (z.is_delicate = v))"
          >
            Delicate: fine, baby hair
          </Tick>
          <Tick
            :model-value="sameZone('touches_the_scalp') === true"
            @update:model-value="(v) => emit('edit', (z) => ((z.is_on_scalp = v), (z.touches_the_scalp = v)))"
          >
            Product on the scalp
          </Tick>
        </div>
        <button type="button" class="btn self-start" @click="emit('leaveOut')">
          Forget {{ zones.length === 1 ? 'this zone' : 'these zones' }}
        </button>
      </template>
    </template>
  </div>
</template>
