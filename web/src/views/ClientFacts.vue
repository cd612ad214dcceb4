<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { reactive, watch } from 'vue'
import type { Schemas } from '../api/client'
import { changeClient } from '../api/queries'
import { reactions } from '../lib/words'
import Choice from '../parts/Choice.vue'
import LanguageChoice from '../parts/LanguageChoice.vue'
import Tick from '../parts/Tick.vue'
import { useNotices } from '../stores/notices'
import { asKept, inUnit, measures } from '../lib/units'
import { $t } from '../lib/i18n'

/** What is known of the person, to be corrected. */
const props = defineProps<{ card: Schemas['ClientCard']; usualGrowth: number }>()
const client = useQueryClient()
const notices = useNotices()
const results = [
  { value: 'not_done', name: $t('clientFacts.notRead') },
  { value: 'negative', name: $t('common.clear') },
  { value: 'positive', name: $t('common.reacted') },
] as const
type Result = (typeof results)[number]['value']
const told = (c: Schemas['ClientCard']) => {
  const placed = c.patch_test_placed_at ? new Date(c.patch_test_placed_at) : null
  return {
    name: c.name,
    birth_date: c.birth_date ?? '',
    notes: c.notes,
    reacts: (c.reacts_to_oxidative === null ? 'unasked' : c.reacts_to_oxidative ? 'yes' : 'no') as
      'unasked' | 'no' | 'yes',
    placed: placed ? new Date(placed.getTime() - placed.getTimezoneOffset() * 60_000).toISOString().slice(0, 16) : '',
    result: c.patch_test_result as Result,
    growth: c.growth_mm_per_month === null ? '' : inUnit(c.growth_mm_per_month, 'mm'),
    isPiece: c.is_hair_piece,
    language: c.language,
  }
}
const form = reactive(told(props.card))
/** What was corrected elsewhere meanwhile comes in; what is being written here stays. */
watch(
  () => props.card,
  (c, before) => {
    const [now, old] = [told(c), told(before)]
    const isSame = c.id === before.id
    const changed = Object.entries(now).filter(([field, value]) => !isSame || value !== old[field as keyof typeof old])
    Object.assign(form, Object.fromEntries(changed))
  },
)
const save = async () => {
  try {
    await changeClient(props.card.id, {
      name: form.name,
      birth_date: form.birth_date || null,
      notes: form.notes,
      reacts_to_oxidative: form.reacts === 'unasked' ? null : form.reacts === 'yes',
      patch_test_placed_at: form.placed ? new Date(form.placed).toISOString() : null,
      patch_test_result: form.result,
      is_hair_piece: form.isPiece,
      language: form.language,
      growth_mm_per_month:
        form.growth === '' ? null : asKept(Number(form.growth), 'mm', props.card.growth_mm_per_month),
    })
    await client.invalidateQueries()
    notices.say($t('common.kept'))
  } catch (error) {
    notices.fail(error)
  }
}
</script>

<template>
  <form class="panel flex flex-col gap-4" @submit.prevent="save">
    <div>
      <label class="label" for="c-name">{{ $t('common.name') }}</label><input
        id="c-name"
        v-model="form.name"
        class="field"
        required
        maxlength="80"
      />
    </div>
    <Tick v-model="form.isPiece">{{ $t('common.aHairPieceOrWig') }}</Tick>
    <div v-if="!form.isPiece" class="grid grid-cols-2 gap-3">
      <div>
        <label class="label" for="c-born">{{ $t('clientFacts.born') }}</label><input
          id="c-born"
          v-model="form.birth_date"
          class="field"
          type="date"
        />
      </div>
      <div>
        <label class="label" for="c-growth">{{ $t('common.growthMmAMonth', { unit: measures.mm.unit }) }}</label><input
          id="c-growth"
          v-model="form.growth"
          class="field"
          type="number"
          :min="inUnit(4, 'mm')"
          :max="inUnit(25, 'mm')"
          step="any"
          :placeholder="String(inUnit(usualGrowth, 'mm'))"
        />
      </div>
    </div>
    <div v-if="!form.isPiece">
      <label class="label" for="c-placed">{{ $t('clientFacts.patchTestPlaced') }}</label><input
        id="c-placed"
        v-model="form.placed"
        class="field"
        type="datetime-local"
      />
    </div>
    <LanguageChoice
      v-if="!form.isPiece"
      v-model="form.language"
      :label="$t('language.takeHomeIn')"
      :none="$t('language.asTheStudio')"
    />
    <Choice
      v-if="!form.isPiece"
      v-model="form.result"
      :legend="$t('clientFacts.patchTestReadAfter48')"
      :options="results"
    />
    <Choice
      v-if="!form.isPiece"
      v-model="form.reacts"
      :legend="$t('clientFacts.hasReactedToOxidativeColour')"
      :options="reactions"
    />
    <div>
      <label class="label" for="c-notes">{{ $t('clientFacts.notes') }}</label><textarea
        id="c-notes"
        v-model="form.notes"
        class="field min-h-24 py-2"
        maxlength="2000"
      />
    </div>
    <button class="btn btn-act">{{ $t('common.keep') }}</button>
  </form>
</template>
