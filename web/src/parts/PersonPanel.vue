<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import type { Schemas } from '../api/client'
import { homeCare, reactions, scalps, serviceKinds, tones } from '../lib/words'
import type { Draft } from '../stores/consultation'
import Choice from './Choice.vue'
import Stepper from './Stepper.vue'
import SwatchScale from './SwatchScale.vue'
import Tick from './Tick.vue'

/** The person and the wish: what of the client changes the work. */
const props = defineProps<{
  draft: Draft
  service: Schemas['ServiceOut']
  natural: Schemas['PaletteOut']
  isLocked: boolean
}>()
const emit = defineEmits<{ edit: [change: (draft: Draft) => void] }>()
/** What is typed stays while something else is answered: only a change of its own ever replaces it. */
const typed = (field: 'wish' | 'allergies' | 'medication') =>
  computed({ get: () => props.draft[field] ?? '', set: (text: string) => emit('edit', (d) => (d[field] = text)) })
const wish = typed('wish')
const allergies = typed('allergies')
const medication = typed('medication')
type Care = (typeof homeCare)[number]['value']
const has = (care: Care) => props.draft.home_care?.includes(care) ?? false
const toggle = (care: Care, isOn: boolean) =>
  emit('edit', (d) => (d.home_care = [...(d.home_care ?? []).filter((c) => c !== care), ...(isOn ? [care] : [])]))
/** One wish for all: every zone that is not to keep its depth takes it. */
const wishFor = (level: number) =>
  emit('edit', (d) => {
    d.wanted_level = level
    for (const z of d.zones)
      if (!z.keeps_depth)
        z.target_level = d.kind === 'deepen' ? Math.min(level, z.start_level) : Math.max(level, z.start_level)
  })
/** Toning alone lightens nothing: what was wanted lighter is no wish of today. */
const setKind = (kind: Schemas['ServiceKind']) =>
  emit('edit', (d) => {
    d.kind = kind
    for (const z of d.zones) {
      const wanted = d.wanted_level ?? z.start_level
      const isKept = z.keeps_depth || kind === 'tone_only' || kind === 'strand_test'
      z.target_level = isKept
        ? z.start_level
        : kind === 'deepen'
          ? Math.min(wanted, z.start_level)
          : Math.max(wanted, z.start_level)
    }
  })
</script>

<template>
  <fieldset class="flex flex-col gap-4" :disabled="isLocked">
    <legend class="sr-only">{{ $t('common.thePersonAndTheWish') }}</legend>
    <div>
      <label class="label" for="wish">{{
        service.is_hair_piece ? $t('common.theWish') : $t('personPanel.theWishInTheClient')
      }}</label>
      <textarea id="wish" class="field min-h-20 py-2" maxlength="2000" v-model.lazy="wish" />
    </div>
    <Choice
      :legend="$t('personPanel.whatIsDone')"
      :options="serviceKinds"
      :model-value="draft.kind ?? null"
      @update:model-value="setKind"
    />
    <Choice
      :legend="$t('personPanel.toneWanted')"
      :options="tones"
      :model-value="draft.tone ?? null"
      @update:model-value="(v) => emit('edit', (d) => (d.tone = v))"
    />
    <SwatchScale
      v-if="draft.kind !== 'tone_only' && draft.kind !== 'strand_test'"
      :legend="$t('personPanel.levelWantedForAllZones')"
      :levels="natural.levels"
      :hexes="natural.hexes"
      :model-value="draft.wanted_level ?? null"
      @update:model-value="wishFor"
    />
    <Choice
      v-if="!service.is_hair_piece"
      :legend="$t('common.scalp')"
      :options="scalps"
      :model-value="draft.scalp ?? null"
      @update:model-value="(v) => emit('edit', (d) => (d.scalp = v))"
    />
    <div>
      <p class="label">{{ $t('personPanel.inUseAtHome') }}</p>
      <div class="grid gap-x-4 sm:grid-cols-2">
        <Tick
          v-for="care in homeCare"
          :key="care.value"
          :model-value="has(care.value)"
          @update:model-value="(v) => toggle(care.value, v)"
        >
          {{ care.name }}
        </Tick>
      </div>
      <Tick
        v-if="service.builds_up"
        :model-value="draft.is_clarified ?? false"
        @update:model-value="(v) => emit('edit', (d) => (d.is_clarified = v))"
      >
        <i18n-t keypath="personPanel.andReadAgain" scope="global"
          ><template #part1
            ><strong>{{ $t('personPanel.washedOutToday') }}</strong></template
          ></i18n-t
        >
      </Tick>
    </div>
    <div class="grid gap-4 sm:grid-cols-2">
      <Stepper
        :label="service.is_hair_piece ? $t('personPanel.timeThereIs') : $t('personPanel.timeTheClientHas')"
        :unit="$t('common.min')"
        :min="15"
        :max="900"
        :step="15"
        :placeholder="$t('personPanel.open')"
        :model-value="draft.time_min ?? null"
        @update:model-value="(v) => emit('edit', (d) => (d.time_min = v))"
      />
      <Stepper
        :label="$t('personPanel.timeBooked')"
        :unit="$t('common.min')"
        :min="15"
        :max="900"
        :step="15"
        :placeholder="$t('personPanel.open')"
        :model-value="draft.booked_min ?? null"
        @update:model-value="(v) => emit('edit', (d) => (d.booked_min = v))"
      />
      <div v-if="!service.is_hair_piece">
        <label class="label" for="allergies">{{ $t('personPanel.allergiesAndPastReactions') }}</label>
        <input id="allergies" class="field" maxlength="500" v-model.lazy="allergies" />
      </div>
      <div v-if="!service.is_hair_piece" class="sm:order-last sm:col-span-2">
        <Choice
          :legend="$t('personPanel.reactedToOxidativeColourBefore')"
          :options="reactions"
          :model-value="
            draft.reacts_to_oxidative === null || draft.reacts_to_oxidative === undefined
              ? 'unasked'
              : draft.reacts_to_oxidative
                ? 'yes'
                : 'no'
          "
          @update:model-value="
            (v) => emit('edit', (d) => (d.reacts_to_oxidative = v === 'unasked' ? null : v === 'yes'))
          "
        />
        <p v-if="service.is_reaction_open" class="mt-1 font-semibold" role="alert">
          {{ $t('personPanel.anAllergyOrReactionIs') }}
        </p>
      </div>
      <div v-if="!service.is_hair_piece">
        <label class="label" for="medication">{{ $t('personPanel.medicationAsTold') }}</label>
        <input id="medication" class="field" maxlength="500" v-model.lazy="medication" />
      </div>
    </div>
    <p class="text-sm text-soft">
      <template v-if="service.is_hair_piece">{{ $t('personPanel.aHairPieceNoPerson') }}</template>
      <template v-else-if="service.client_age_years !== null">{{
        $t('personPanel.years', { client_age_years: service.client_age_years })
      }}</template><template v-else>{{ $t('personPanel.ageNotAsked') }}</template
      ><template v-if="service.reacts_to_oxidative"> {{ ` ${$t('personPanel.hasReactedBefore')}` }}</template
      >.
      <RouterLink
        class="font-semibold text-ink underline underline-offset-4"
        :to="{ name: 'client', params: { id: service.client_id } }"
        >{{ $t('personPanel.changeOnTheClientS') }}</RouterLink
      >
    </p>
  </fieldset>
</template>
