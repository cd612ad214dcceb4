<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { reactive, watch } from 'vue'
import { afterwards, changeStudio } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { bowlStyles, delicateWays, orderWays, steps } from '../lib/words'
import { useNotices } from '../stores/notices'
import ClosedDays from '../parts/ClosedDays.vue'
import { asKept, inUnit, measures } from '../lib/units'
import { $t } from '../lib/i18n'

/** The studio's name and what it plans with. */
defineProps<{ isLocked: boolean }>()
const query = useQuery(afterwards.studio())
const client = useQueryClient()
const notices = useNotices()
const form = reactive({
  name: '',
  pace_min_per_foil: 1.2,
  growth_mm_per_month: 12,
  weakest_natural: 20,
  weakest_worn: 10,
  weakest_old_dye: 5,
  hands: {
    root_share: 0.5,
    band_share: 0.6,
    open_air_share: 0.7,
    change_min: 1.5,
    join_change_min: 0.5,
    rinse_min: 7,
    look_min: 0.5,
    mix_min: 3,
    tone_share: 0.25,
  },
  school: {
    order_way: null,
    step: 'whole',
    bowl_style: 'usual',
    delicate_way: 'weaker_last',
    has_additive: false,
    hands: 1,
  } as Schemas['School'],
  currency: '€',
  units: 'metric' as Schemas['StudioOut']['units'],
  idle_min: 120,
  demands_second_factor: false,
  closed_on: [] as Schemas['ClosedDays'][],
})
/** Shares are told in percent of a foil's time. */
const hands = [
  { field: 'root_share' as const, name: $t('common.roots'), isShare: true, least: 10, most: 150 },
  { field: 'band_share' as const, name: $t('common.bands'), isShare: true, least: 10, most: 150 },
  { field: 'open_air_share' as const, name: $t('common.openAir'), isShare: true, least: 10, most: 150 },
  { field: 'tone_share' as const, name: $t('common.toner'), isShare: true, least: 5, most: 100 },
  { field: 'rinse_min' as const, name: $t('studioSettings.aTripToTheBasin'), isShare: false, least: 1, most: 30 },
  { field: 'mix_min' as const, name: $t('studioSettings.oneBowlMixed'), isShare: false, least: 0.5, most: 15 },
  { field: 'change_min' as const, name: $t('studioSettings.toTheNextZone'), isShare: false, least: 0, most: 15 },
  { field: 'look_min' as const, name: $t('studioSettings.oneLaneLookedAt'), isShare: false, least: 0.1, most: 5 },
]
const shown = (h: (typeof hands)[number]) => {
  const value = form.hands[h.field]
  return h.isShare ? Math.round(value * 100) : value
}
const told = (h: (typeof hands)[number], text: string) => {
  const value = Number(text)
  if (text !== '') form.hands[h.field] = h.isShare ? value / 100 : value
}
/** How long it is, beside what is told with it: as hands stand on a lane, hatched. */
const lengthOf = (h: (typeof hands)[number]) => {
  const alike = hands.filter((x) => x.isShare === h.isShare)
  const longest = Math.max(...alike.map((x) => form.hands[x.field]), h.isShare ? 1 : 0)
  return `${Math.max((100 * form.hands[h.field]) / longest, 1)}%`
}
const schools = [
  { field: 'step' as const, name: $t('common.developers'), ways: steps },
  { field: 'bowl_style' as const, name: $t('common.bowls'), ways: bowlStyles },
  { field: 'delicate_way' as const, name: $t('common.delicateHair'), ways: delicateWays },
]
const weakest = [
  { field: 'weakest_natural' as const, name: $t('studioSettings.naturalHair') },
  { field: 'weakest_worn' as const, name: $t('studioSettings.lightFineOrPorous') },
  { field: 'weakest_old_dye' as const, name: $t('studioSettings.oldDye') },
]
const asShown = (s: Schemas['StudioOut']) => ({
  ...s,
  growth_mm_per_month: inUnit(s.growth_mm_per_month, 'mm'),
  hands: { ...s.hands },
  school: { ...s.school },
})
/** What was changed elsewhere meanwhile comes in; what is being written here stays. */
watch(
  query.data,
  (s, before) => {
    if (!s) return
    const [now, old] = [asShown(s), before ? asShown(before) : null]
    const changed = Object.entries(now).filter(
      ([field, value]) => JSON.stringify(value) !== JSON.stringify(old?.[field as keyof typeof now]),
    )
    Object.assign(form, Object.fromEntries(changed))
  },
  { immediate: true },
)
const save = async () => {
  try {
    await changeStudio({
      ...form,
      pace_min_per_foil: Number(form.pace_min_per_foil),
      growth_mm_per_month: asKept(Number(form.growth_mm_per_month), 'mm', query.data.value?.growth_mm_per_month),
      weakest_natural: Number(form.weakest_natural),
      weakest_worn: Number(form.weakest_worn),
      weakest_old_dye: Number(form.weakest_old_dye),
      idle_min: Number(form.idle_min),
    })
    await client.invalidateQueries()
    notices.say($t('common.kept'))
  } catch (error) {
    notices.fail(error)
  }
}
</script>

<template>
  <form class="panel" aria-labelledby="settings" @submit.prevent="save">
    <h2 id="settings" class="mb-1 text-xl">{{ $t('studioSettings.settings') }}</h2>
    <p v-if="isLocked" class="mb-3 text-soft">{{ $t('studioSettings.onlyAnOwnerChangesThese') }}</p>
    <fieldset :class="{ 'read-only': isLocked }" :disabled="isLocked || !query.data.value">
      <section class="grid grid-cols-2 gap-3 pb-5">
        <div class="col-span-2">
          <label class="label" for="s-name">{{ $t('common.name') }}</label><input
            id="s-name"
            v-model="form.name"
            class="field"
            required
            maxlength="80"
          />
        </div>
        <div>
          <label class="label" for="s-currency">{{ $t('studioSettings.currency') }}</label><input
            id="s-currency"
            v-model="form.currency"
            class="field"
            maxlength="8"
          />
        </div>
        <div>
          <label class="label" for="s-units">{{ $t('studioSettings.units') }}</label><select
            id="s-units"
            v-model="form.units"
            class="field"
          >
            <option value="metric">{{ $t('studioSettings.unitsMetric') }}</option>
            <option value="us">{{ $t('studioSettings.unitsUs') }}</option>
          </select>
        </div>
        <div>
          <label class="label" for="s-growth">{{
            $t('common.growthMmAMonth', { unit: measures.mm.unit })
          }}</label><input
            id="s-growth"
            v-model="form.growth_mm_per_month"
            class="field"
            type="number"
            :min="inUnit(4, 'mm')"
            :max="inUnit(25, 'mm')"
            step="any"
          />
        </div>
        <div>
          <label class="label" for="s-idle">{{ $t('studioSettings.signedOutElsewhereAfterMin') }}</label><input
            id="s-idle"
            v-model="form.idle_min"
            class="field"
            type="number"
            min="15"
            max="720"
            step="15"
          />
        </div>
        <label class="col-span-2 flex min-h-12 items-center gap-3"
          ><input v-model="form.demands_second_factor" type="checkbox" class="size-6 shrink-0" /><span>{{
            $t('studioSettings.everyoneHereNeedsASecond')
          }}</span></label
        >
      </section>
      <section class="border-t border-line pt-3 pb-5" aria-labelledby="s-begin">
        <h3 id="s-begin" class="mb-2 text-lg">{{ $t('studioSettings.withWhatYourPlansBegin') }}</h3>
        <p class="label">{{ $t('studioSettings.weakestDeveloperProposedToLighten') }}</p>
        <div class="mb-3 grid grid-cols-3 items-end gap-3">
          <div v-for="w in weakest" :key="w.field">
            <label class="text-sm text-soft" :for="w.field">{{
              $t('studioSettings.on', { name: w.name })
            }}</label><input
              :id="w.field"
              v-model="form[w.field]"
              class="field"
              type="number"
              min="0.5"
              max="40"
              step="0.5"
            />
          </div>
        </div>
        <div class="grid grid-cols-2 gap-3">
          <div v-for="s in schools" :key="s.field">
            <label class="label" :for="`school-${s.field}`">{{ s.name }}</label><select
              :id="`school-${s.field}`"
              v-model="form.school[s.field]"
              class="field"
            >
              <option v-for="w in s.ways" :key="w.value" :value="w.value">{{ w.name }}</option>
            </select>
          </div>
          <div>
            <label class="label" for="school-order">{{ $t('common.order') }}</label><select
              id="school-order"
              v-model="form.school.order_way"
              class="field"
            >
              <option :value="null">{{ $t('common.asProposed') }}</option>
              <option v-for="(name, way) in orderWays" :key="way" :value="way">{{ name }}</option>
            </select>
          </div>
          <label class="col-span-2 flex min-h-12 items-center gap-3"
            ><input v-model="form.school.has_additive" type="checkbox" class="size-6" />{{
              $t('common.bondAdditive')
            }}</label
          >
        </div>
      </section>
      <section class="border-t border-line pt-3 pb-5" aria-labelledby="s-hands">
        <h3 id="s-hands" class="mb-2 text-lg">{{ $t('common.hands') }}</h3>
        <div class="mb-3 grid grid-cols-2 gap-3">
          <div>
            <label class="label" for="school-hands">{{ $t('studioSettings.whoWorks') }}</label><select
              id="school-hands"
              v-model.number="form.school.hands"
              class="field"
            >
              <option :value="1">{{ $t('common.alone') }}</option>
              <option :value="2">{{ $t('common.withAnAssistant') }}</option>
            </select>
          </div>
          <div>
            <label class="label" for="s-pace">{{ $t('common.paceMinutesASection') }}</label><input
              id="s-pace"
              v-model="form.pace_min_per_foil"
              class="field"
              type="number"
              min="0.1"
              max="6"
              step="0.1"
            />
          </div>
        </div>
        <div v-for="isShare in [true, false]" :key="String(isShare)" class="mb-3">
          <p class="label">
            {{ isShare ? $t('studioSettings.aSectionOfTheTime') : $t('studioSettings.theHandsMinutes') }}
          </p>
          <ul>
            <li
              v-for="h in hands.filter((x) => x.isShare === isShare)"
              :key="h.field"
              class="grid grid-cols-[minmax(7rem,11rem)_5.5rem_1fr] items-center gap-3 py-1"
            >
              <label class="leading-tight" :for="h.field">{{ h.name }}</label><input
                :id="h.field"
                class="field num"
                type="number"
                :value="shown(h)"
                :min="h.least"
                :max="h.most"
                :step="isShare ? 5 : 0.1"
                @input="told(h, ($event.target as HTMLInputElement).value)"
              />
              <span
                class="hatch block h-5 rounded-s-[3px] opacity-70"
                :style="{ width: lengthOf(h) }"
                aria-hidden="true"
              />
            </li>
          </ul>
        </div>
      </section>
      <ClosedDays v-model="form.closed_on" :is-locked="isLocked" />
      <button v-if="!isLocked" class="btn btn-act w-full">{{ $t('common.keep') }}</button>
    </fieldset>
  </form>
</template>
