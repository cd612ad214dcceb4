<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../api/queries'
import { coverings, curls, dyeHues, loads, textures } from '../lib/words'
import {
  type HairPart,
  type Kind,
  type KindName,
  newPieces,
  type Slot,
  type StrandPart,
  type Zone,
} from '../stores/zones'
import Choice from './Choice.vue'
import Stepper from './Stepper.vue'
import Tick from './Tick.vue'
import { $t } from '../lib/i18n'

/** What few heads need: curl, grey, old colour, another product, another kind of hair in turn. */
const props = defineProps<{
  zones: Zone[]
  parts: (Kind | StrandPart)[]
  kind: KindName
  place: Slot
  lightens: boolean
}>()
const emit = defineEmits<{ edit: [change: (zone: Zone) => void]; set: [change: (part: Kind | StrandPart) => void] }>()
const shelf = useQuery(queries.shelf())
const lighteners = computed(() => [
  { value: '', name: $t('moreHair.asTheService') },
  ...(shelf.data.value?.lighteners ?? []).map((x) => ({ value: x.key, name: x.name })),
])
const hues = [{ value: '', name: $t('common.none') }, ...dyeHues] as const
const ownCoverings = [{ value: '', name: $t('moreHair.asTheZone') }, ...coverings] as const
const ownLoads = [{ value: '', name: $t('moreHair.asTheZone') }, ...loads] as const
const isZone = computed(() => props.kind === 'rest' && props.place === 'lengths')
function same<K extends keyof HairPart | 'lightener' | 'load' | 'covering'>(field: K) {
  const first = props.parts[0]
  return first && props.parts.every((p) => p[field] === first[field]) ? first[field] : undefined
}
function sameZone<K extends keyof Zone>(field: K): Zone[K] | null {
  const first = props.zones[0]
  return first && props.zones.every((z) => z[field] === first[field]) ? first[field] : null
}
const hasPieces = computed(() => props.zones.every((z) => z.pieces !== null))
const setPieces = (isOn: boolean) => emit('edit', (z) => (z.pieces = isOn ? (z.pieces ?? newPieces(z)) : null))
type PieceField = 'name' | 'rest_name' | 'share' | 'spacing_mm'
const samePiece = <K extends PieceField>(field: K) => {
  const first = props.zones[0]?.pieces
  return first && props.zones.every((z) => z.pieces?.[field] === first[field]) ? first[field] : null
}
const pieceName = computed({
  get: () => samePiece('name') ?? '',
  set: (text: string) => {
    if (text.trim()) editPieces((p) => (p.name = text.trim()))
  },
})
const restName = computed({
  get: () => samePiece('rest_name') ?? '',
  set: (text: string) => editPieces((p) => (p.rest_name = text.trim())),
})
const editPieces = (change: (pieces: NonNullable<Zone['pieces']>) => void) =>
  emit('edit', (z) => {
    if (z.pieces) change(z.pieces)
  })
</script>

<template>
  <details class="group rounded-[5px] border border-line">
    <summary
      class="flex min-h-12 cursor-pointer items-center gap-2 px-3 font-semibold select-none marker:content-['']"
      data-testid="more-hair"
    >
      <span class="transition-transform group-open:rotate-90" aria-hidden="true">›</span>
      {{ lightens ? $t('moreHair.moreWithProduct') : $t('moreHair.more') }}
    </summary>
    <div class="flex flex-col gap-4 p-3 pt-1">
      <div class="grid gap-4 sm:grid-cols-2">
        <Choice
          :legend="$t('moreHair.curl')"
          :options="curls"
          :model-value="same('curl') ?? null"
          @update:model-value="(v) => emit('set', (p) => (p.curl = v))"
        />
        <Choice
          :legend="$t('moreHair.drinksProduct')"
          :options="textures"
          :model-value="same('texture') ?? null"
          @update:model-value="(v) => emit('set', (p) => (p.texture = v))"
        />
        <Stepper
          :label="$t('moreHair.greyShare')"
          unit="%"
          :min="0"
          :max="100"
          :step="10"
          :placeholder="$t('common.differ')"
          :model-value="same('grey_share') === undefined ? null : Math.round(same('grey_share')! * 100)"
          @update:model-value="(v) => emit('set', (p) => (p.grey_share = v / 100))"
        />
        <Stepper
          v-if="isZone && lightens"
          :label="$t('moreHair.keepOffTheScalp')"
          measure="mm"
          :min="0"
          :max="300"
          :step="1"
          :placeholder="$t('common.differ')"
          :model-value="sameZone('off_scalp_mm')"
          @update:model-value="(v) => emit('edit', (z) => (z.off_scalp_mm = Math.min(v, z.length_mm - 5)))"
        />
      </div>
      <Choice
        v-if="same('history') !== 'virgin' && same('history') !== 'direct_dye'"
        :legend="$t('moreHair.oldColourThatStillShows')"
        :options="hues"
        :model-value="same('dye_hue') === undefined ? null : (same('dye_hue') ?? '')"
        @update:model-value="(v) => emit('set', (p) => (p.dye_hue = v === '' ? null : v))"
      />
      <template v-if="lightens">
        <Choice
          :legend="$t('moreHair.lightenerHere')"
          :options="lighteners"
          :model-value="same('lightener') === undefined ? null : (same('lightener') ?? '')"
          @update:model-value="(v) => emit('set', (p) => (p.lightener = v === '' ? null : v))"
        />
        <div class="grid gap-4 sm:grid-cols-2">
          <Choice
            :legend="$t('moreHair.loadOfProduct')"
            :options="isZone ? loads : ownLoads"
            :model-value="same('load') ?? (isZone ? null : '')"
            @update:model-value="(v) => emit('set', (p) => (p.load = (v === '' ? null : v) as Zone['load']))"
          />
          <Choice
            v-if="!isZone"
            :legend="$t('moreHair.coveringHere')"
            :options="ownCoverings"
            :model-value="same('covering') ?? ''"
            @update:model-value="(v) => emit('set', (p) => (p.covering = (v === '' ? null : v) as Zone['covering']))"
          />
        </div>
      </template>
      <template v-if="place === 'lengths'">
        <Tick :model-value="hasPieces" @update:model-value="setPieces">
          {{ $t('moreHair.twoKindsInTurnOld') }}
        </Tick>
        <div v-if="hasPieces" class="grid gap-4 sm:grid-cols-2">
          <div>
            <label class="label" for="piece-name">{{ $t('moreHair.theOneKind') }}</label><input
              id="piece-name"
              class="field"
              maxlength="40"
              v-model.lazy="pieceName"
            />
          </div>
          <div>
            <label class="label" for="rest-name">{{ $t('moreHair.theOther') }}</label><input
              id="rest-name"
              class="field"
              maxlength="40"
              :placeholder="$t('moreHair.theRest')"
              v-model.lazy="restName"
            />
          </div>
          <Stepper
            :label="$t('moreHair.shareOf', { samePiece: samePiece('name') ?? $t('moreHair.theOneKind2') })"
            unit="%"
            :min="5"
            :max="95"
            :step="5"
            :placeholder="$t('common.differ')"
            :model-value="samePiece('share') === null ? null : Math.round(samePiece('share')! * 100)"
            @update:model-value="(v) => editPieces((p) => (p.share = v / 100))"
          />
          <Stepper
            :label="$t('moreHair.fromOneToTheNext')"
            measure="mm"
            :min="1"
            :max="200"
            :step="1"
            :placeholder="$t('moreHair.notSaid')"
            :model-value="samePiece('spacing_mm')"
            @update:model-value="(v) => editPieces((p) => (p.spacing_mm = v))"
          />
        </div>
      </template>
    </div>
  </details>
</template>
