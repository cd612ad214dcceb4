<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'
import {
  breakages,
  coverings,
  densities,
  dyeHues,
  elasticities,
  histories,
  meetings,
  porosities,
  thicknesses,
  tones,
  undertones,
  undertoneName,
} from '../lib/words'
import {
  addPart,
  type HairPart,
  type Kind,
  type KindName,
  kindOf,
  partAt,
  removePart,
  setEdge,
  setLength,
  type Slot,
  slotsOf,
  type StrandPart,
  type Zone,
} from '../stores/zones'
import Choice from './Choice.vue'
import HairStrand from './HairStrand.vue'
import MoreHair from './MoreHair.vue'
import Stepper from './Stepper.vue'
import StrandBar from './StrandBar.vue'
import SwatchScale from './SwatchScale.vue'
import Tick from './Tick.vue'
import { lengthText } from '../lib/units'
import { $t } from '../lib/i18n'

/** Reading the chosen zones, all at once: each of their kinds of hair, and each part of its strands. */
const props = defineProps<{
  zones: Zone[]
  head: Schemas['HeadOut']
  natural: Schemas['PaletteOut']
  serviceKind?: Schemas['ServiceKind']
  /** In practice: how the hair lies. */
  stills?: readonly Schemas['StillOut'][] | null
}>()
const emit = defineEmits<{ edit: [change: (zone: Zone) => void]; leaveOut: [] }>()
type Part = Kind | StrandPart

/** In practice the hair of the chosen zone is looked at; one zone at a time. */
const lies = computed(() => {
  const zone = props.zones.length === 1 ? props.zones[0] : undefined
  return zone && isZone.value ? props.stills?.find((s) => s.key === zone.key) : undefined
})
const kind = ref<KindName>('rest')
const slot = ref<Slot>('lengths')
const lightens = computed(() => (props.serviceKind ?? 'lighten_and_tone') === 'lighten_and_tone')
const deepens = computed(() => props.serviceKind === 'deepen')
const first = computed(() => props.zones[0])
const firstKind = computed(() => (first.value ? kindOf(first.value, kind.value) : null))
const isMain = computed(() => slot.value === 'lengths')
const isZone = computed(() => isMain.value && kind.value === 'rest')
const hasTwoKinds = computed(() => props.zones.every((z) => z.pieces !== null))
watch(
  () => props.zones,
  (zones) => {
    if (!zones.every((z) => kindOf(z, kind.value))) kind.value = 'rest'
    if (!zones.every((z) => partAt(kindOf(z, kind.value), slot.value))) slot.value = 'lengths'
  },
)
const kinds = computed(() => [
  { value: 'rest' as const, name: first.value?.pieces?.rest_name || $t('hairPanel.theRest') },
  { value: 'pieces' as const, name: first.value?.pieces?.name ?? '' },
])
/** What the server painted is of hair as it was; it paints anew. */
const unpaint = (z: Zone) => {
  z.part_hexes = []
  z.pieces_hexes = []
}
const openKind = (name: KindName) => {
  kind.value = name
  slot.value = 'lengths'
}
const inKinds = (change: (kind: Kind, zone: Zone) => void) => {
  const name = kind.value
  emit('edit', (z) => {
    const found = kindOf(z, name)
    if (found) change(found, z)
  })
}
const canPart = (what: 'root' | 'band' | 'ends') =>
  what === 'band'
    ? (firstKind.value?.parts.length ?? 0) < 12
    : props.zones.some((z) => !partAt(kindOf(z, kind.value), what))
const part = (what: 'root' | 'band' | 'ends') => {
  let made: Slot | null = null
  inKinds((k, z) => {
    made = addPart(k, what, z.length_mm, props.head.root_mm) ?? made
    unpaint(z)
  })
  if (made) slot.value = made
}
const together = () => {
  const gone = slot.value
  slot.value = 'lengths'
  inKinds((k, z) => {
    removePart(k, gone)
    unpaint(z)
  })
}

const parts = computed(() =>
  props.zones.map((z) => partAt(kindOf(z, kind.value), slot.value)).filter((p): p is Part => p !== null),
)
const strandParts = computed(() => (isMain.value ? [] : (parts.value as StrandPart[])))
const isReady = computed(() => parts.value.length === props.zones.length)
function same<K extends keyof HairPart | 'tone' | 'target_level'>(field: K): Part[K] | null {
  const one = parts.value[0]
  return one && parts.value.every((p) => p[field] === one[field]) ? (one[field] ?? null) : null
}
function sameZone<K extends keyof Zone>(field: K): Zone[K] | null {
  const one = props.zones[0]
  return one && props.zones.every((z) => z[field] === one[field]) ? one[field] : null
}
function samePart<K extends 'from_mm' | 'to_mm' | 'meeting'>(field: K): StrandPart[K] | null {
  const one = strandParts.value[0]
  return one && strandParts.value.every((p) => p[field] === one[field]) ? one[field] : null
}
const set = (change: (part: Part, zone: Zone) => void) => {
  const at = slot.value
  inKinds((k, z) => {
    const found = partAt(k, at)
    if (found) change(found, z)
  })
}
const edge = (which: 'from_mm' | 'to_mm', mm: number) => {
  const at = slot.value
  inKinds((k, z) => setEdge(k, at, which, mm, z.length_mm))
}
const natural = (level: number) =>
  props.natural.hexes[props.natural.levels.indexOf(Math.round(level * 2) / 2)] ?? '#888888'
/** What the server painted of the first zone's hair; the natural colour until it has answered. */
const hexOf = (at: Slot, level: number) => {
  const z = first.value
  const k = firstKind.value
  if (!z || !k) return natural(level)
  const i = slotsOf(k.parts).indexOf(at)
  if (kind.value === 'rest') return (at === 'lengths' ? z.start_hex : z.part_hexes[i]) ?? natural(level)
  return z.pieces_hexes[at === 'lengths' ? 0 : i + 1] ?? natural(level)
}
const keeps = (p: Part) => ('keeps_depth' in p ? p.keeps_depth : p.is_left_out)
const wantedOf = (p: Part, z: Zone) => p.target_level ?? z.target_level
const setStart = (level: number) =>
  set((p, z) => {
    const wasDeeper = p.target_level !== null && p.target_level < p.start_level
    p.start_level = level
    unpaint(z)
    if (!('keeps_depth' in p)) return
    z.start_hex = natural(level)
    if (!(wasDeeper && z.target_level < level) && (z.target_level < level || z.keeps_depth || !lightens.value))
      z.target_level = level
  })

/** What is wanted here: lighter, as it is, or deeper than it is. */
type Way = 'lighter' | 'keep' | 'deeper'
const wayOf = (p: Part): Way => {
  if (keeps(p)) return 'keep'
  const own = p.target_level
  if (own !== null && own < p.start_level) return 'deeper'
  return deepens.value ? 'keep' : 'lighter'
}
const way = computed(() => {
  const ways = new Set(parts.value.map(wayOf))
  return ways.size === 1 ? ([...ways][0] ?? null) : null
})
const ways = computed(() => [
  ...(lightens.value ? [{ value: 'lighter' as const, name: $t('hairPanel.lighter') }] : []),
  {
    value: 'keep' as const,
    name: isZone.value ? $t('hairPanel.keepDepthNoProduct') : $t('hairPanel.leaveOutNoProduct'),
  },
  { value: 'deeper' as const, name: $t('hairPanel.deeper') },
])
const setKeeps = (p: Part, isKept: boolean) => {
  if ('keeps_depth' in p) p.keeps_depth = isKept
  else p.is_left_out = isKept
}
const setWay = (wanted: Way) =>
  set((p, z) => {
    setKeeps(p, wanted === 'keep' && !deepens.value)
    const now = p.start_level
    if (wanted === 'deeper') p.target_level = Math.max(Math.min(wantedOf(p, z), now - 1), 1)
    else if ('keeps_depth' in p) p.target_level = wanted === 'keep' ? now : Math.max(p.target_level, now)
    else p.target_level = null
  })
const highest = computed(() => Math.max(...parts.value.map((p) => p.start_level), 1))
const lowest = computed(() => (parts.value.length ? Math.min(...parts.value.map((p) => p.start_level)) : null))
/** The last colours stay until the next have come: nothing below may jump away from under a finger. */
const lifted = useQuery(
  computed(() => ({
    ...queries.palette(lowest.value),
    enabled: lowest.value !== null,
    placeholderData: keepPreviousData,
  })),
)
const deeper = computed(() => {
  const levels = props.natural.levels.filter((l) => l < (lowest.value ?? 1))
  return { levels, hexes: levels.map(natural) }
})
const target = computed(() => {
  if (way.value === 'keep') return null
  const levels = new Set(props.zones.map((z, i) => (parts.value[i] ? wantedOf(parts.value[i]!, z) : null)))
  return levels.size === 1 ? ([...levels][0] ?? null) : null
})
const setTarget = (level: number) =>
  set((p, z) => {
    setKeeps(p, false)
    if (!('keeps_depth' in p)) {
      p.target_level = level
      return
    }
    const at = way.value === 'deeper' ? Math.min(level, z.start_level) : Math.max(level, z.start_level)
    z.target_level = at
    z.target_hex = lifted.data.value?.hexes[lifted.data.value.levels.indexOf(level)] ?? natural(at)
  })
const toneOptions = [{ value: '', name: $t('hairPanel.asTheWish') }, ...tones] as const
</script>

<template>
  <div class="flex flex-col gap-4">
    <Choice
      v-if="hasTwoKinds"
      :legend="$t('hairPanel.kindOfHair')"
      :options="kinds"
      :model-value="kind"
      @update:model-value="openKind"
    />
    <StrandBar
      v-if="first && firstKind"
      :kind="firstKind"
      :length="first.length_mm"
      :off-scalp="first.off_scalp_mm"
      :hex-of="hexOf"
      :place="slot"
      :can-part="canPart"
      @open="(s) => (slot = s)"
      @part="part"
    >
      <button v-if="!isMain" type="button" class="btn btn-quiet !min-h-11 text-[15px]" @click="together">
        {{ $t('hairPanel.readAsOneAgain') }}
      </button>
    </StrandBar>
    <p v-if="slot === 'root'" class="-mt-2 text-sm text-soft">
      {{ $t('hairPanel.theFirstMmWarmedBy', { root_mm: lengthText(head.root_mm) }) }}
    </p>
    <p v-if="!isReady" class="text-soft">
      {{ $t('hairPanel.notAllOfTheseZones') }}
      <button type="button" class="underline underline-offset-4" @click="slot = 'lengths'">
        {{ $t('hairPanel.toTheLengths') }}
      </button>
    </p>
    <template v-if="isReady">
      <HairStrand
        v-if="lies"
        :colours="lies.dry"
        :seed="lies.seed"
        :label="$t('hairPanel.theHairOfDry', { name: first?.name })"
      />
      <p v-else-if="props.stills && props.zones.length > 1" class="text-soft">
        {{ $t('hairPanel.chooseOneZoneToLook') }}
      </p>
      <SwatchScale
        :legend="props.stills ? $t('hairPanel.levelNowAsYouSee') : $t('common.levelNow')"
        :levels="props.natural.levels"
        :hexes="props.natural.hexes"
        :model-value="same('start_level')"
        @update:model-value="setStart"
      />
      <Choice
        v-if="lightens || deepens"
        :legend="$t('hairPanel.wantedHere')"
        :options="ways"
        :model-value="way"
        @update:model-value="setWay"
      />
      <SwatchScale
        v-if="way === 'deeper' && deeper.levels.length"
        :legend="$t('hairPanel.levelWantedDeeperThanNow')"
        :levels="deeper.levels"
        :hexes="deeper.hexes"
        :model-value="target"
        @update:model-value="setTarget"
      />
      <SwatchScale
        v-else-if="lifted.data.value && lightens && way !== 'keep'"
        :legend="$t('hairPanel.levelWantedAsThisHair')"
        :levels="lifted.data.value.levels"
        :hexes="lifted.data.value.hexes"
        :undertones="lifted.data.value.undertones"
        :least="highest"
        :model-value="target"
        @update:model-value="setTarget"
      />
      <div v-if="!isMain" class="grid gap-4 sm:grid-cols-2">
        <Stepper
          v-if="slot !== 'root'"
          :label="$t('hairPanel.fromTheScalp')"
          measure="mm"
          :min="1"
          :max="1499"
          :step="slot === 'ends' ? 10 : 5"
          :placeholder="$t('common.differ')"
          :model-value="samePart('from_mm')"
          @update:model-value="(v) => edge('from_mm', v)"
        />
        <Stepper
          v-if="slot !== 'ends'"
          :label="slot === 'root' ? $t('hairPanel.regrowth') : $t('hairPanel.to')"
          measure="mm"
          :min="1"
          :max="1500"
          :step="slot === 'root' ? 2 : 5"
          :placeholder="$t('common.differ')"
          :model-value="samePart('to_mm')"
          @update:model-value="(v) => edge('to_mm', v)"
        />
        <Choice
          v-if="slot !== 'ends'"
          :legend="$t('hairPanel.meetsWhatComesAfterIt')"
          :options="meetings"
          :model-value="samePart('meeting')"
          @update:model-value="(v) => set((p) => ((p as StrandPart).meeting = v))"
        />
      </div>
      <Choice
        :legend="$t('hairPanel.beforeToday')"
        :options="histories"
        :model-value="same('history')"
        @update:model-value="(v) => set((h) => (h.history = v))"
      />
      <SwatchScale
        v-if="same('history') === 'tinted'"
        :legend="$t('hairPanel.levelOfTheTint')"
        :levels="props.natural.levels.filter((l) => Number.isInteger(l))"
        :hexes="props.natural.hexes.filter((_, i) => Number.isInteger(props.natural.levels[i]))"
        :model-value="same('tint_level') ?? null"
        @update:model-value="(v) => set((h) => (h.tint_level = v))"
      />
      <Choice
        v-if="same('history') === 'direct_dye'"
        :legend="$t('hairPanel.hueOfTheOldDye')"
        :options="dyeHues"
        :model-value="same('dye_hue') ?? null"
        @update:model-value="(v) => set((h) => (h.dye_hue = v))"
      />
      <div class="grid gap-4 sm:grid-cols-2">
        <Choice
          :legend="$t('hairPanel.porosity')"
          :options="porosities"
          :model-value="same('porosity')"
          @update:model-value="(v) => set((h) => (h.porosity = v))"
        />
        <Choice
          :legend="$t('common.strand')"
          :options="thicknesses"
          :model-value="same('thickness')"
          @update:model-value="(v) => set((h) => (h.thickness = v))"
        />
        <Choice
          :legend="$t('hairPanel.wetStretch')"
          :options="elasticities"
          :model-value="same('elasticity')"
          @update:model-value="(v) => set((h) => (h.elasticity = v))"
        />
        <Choice
          :legend="$t('hairPanel.breakage')"
          :options="breakages"
          :model-value="same('breakage')"
          @update:model-value="(v) => set((h) => (h.breakage = v))"
        />
        <div>
          <label class="label" for="undertone">{{ $t('hairPanel.warmthThatShows') }}</label>
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
            <option value="">{{ $t('hairPanel.notLookedAt') }}</option>
            <option v-for="u in undertones" :key="u" :value="u">{{ undertoneName(u) }}</option>
          </select>
        </div>
        <template v-if="isZone">
          <Choice
            :legend="$t('hairPanel.density')"
            :options="densities"
            :model-value="sameZone('density')"
            @update:model-value="(v) => emit('edit', (z) => (z.density = v))"
          />
          <Choice
            :legend="$t('common.covering')"
            :options="coverings"
            :model-value="sameZone('covering')"
            @update:model-value="(v) => emit('edit', (z) => (z.covering = v))"
          />
          <Stepper
            :label="$t('hairPanel.hairLength')"
            measure="mm"
            :min="20"
            :max="1500"
            :step="50"
            :placeholder="$t('common.differ')"
            :model-value="sameZone('length_mm')"
            @update:model-value="(v) => emit('edit', (z) => setLength(z, v))"
          />
          <Stepper
            :label="$t('hairPanel.sections')"
            unit=""
            :min="1"
            :max="60"
            :step="1"
            :placeholder="$t('common.differ')"
            :model-value="sameZone('foil_count')"
            @update:model-value="(v) => emit('edit', (z) => (z.foil_count = Math.round(v)))"
          />
          <Stepper
            :label="$t('hairPanel.pace')"
            :unit="$t('hairPanel.minASection')"
            :min="0.1"
            :max="6"
            :step="0.1"
            :placeholder="$t('common.differ')"
            :model-value="sameZone('pace_min_per_foil')"
            @update:model-value="(v) => emit('edit', (z) => (z.pace_min_per_foil = Math.round(v * 10) / 10))"
          />
        </template>
      </div>
      <Choice
        :legend="$t('hairPanel.toneHere')"
        :options="toneOptions"
        :model-value="same('tone') ?? ''"
        @update:model-value="(v) => set((p) => (p.tone = v === '' ? null : v))"
      />
      <MoreHair
        :zones="zones"
        :parts="parts"
        :kind="kind"
        :place="slot"
        :lightens="lightens"
        @edit="(change) => emit('edit', change)"
        @set="(change) => set(change)"
      />
      <template v-if="isZone">
        <div class="flex flex-wrap gap-x-6">
          <Tick
            :model-value="sameZone('is_delicate') === true"
            @update:model-value="(v) => emit('edit', (z) => (z.is_delicate = v))"
          >
            {{ $t('hairPanel.delicateFineBabyHair') }}
          </Tick>
          <Tick
            :model-value="sameZone('touches_the_scalp') === true"
            @update:model-value="(v) => emit('edit', (z) => ((z.is_on_scalp = v), (z.touches_the_scalp = v)))"
          >
            {{ $t('hairPanel.productOnTheScalp') }}
          </Tick>
        </div>
        <button type="button" class="btn self-start" @click="emit('leaveOut')">
          {{ $t('hairPanel.forget', zones.length) }}
        </button>
      </template>
    </template>
  </div>
</template>
