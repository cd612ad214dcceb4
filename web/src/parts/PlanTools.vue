<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { coverings } from '../lib/words'
import LadderField from './LadderField.vue'
import type { NamedOf, OwnOf } from '../stores/plan'
import { $t } from '../lib/i18n'

/** Quick hands: lanes are selected, then strength, minutes, covering, product or trip are set for all of them at once. */
const props = defineProps<{
  plan: Schemas['PlanOut']
  selected: readonly string[]
  lighteners: Schemas['LightenerOut'][]
}>()
const emit = defineEmits<{
  select: [keys: string[]]
  own: [what: OwnOf, keys: readonly string[], value: number | null]
  of: [what: NamedOf, keys: readonly string[], value: string | null]
  ladder: [keys: readonly string[], strengths: readonly number[]]
  lock: [keys: readonly string[]]
  free: [keys: readonly string[]]
  part: [zone: string]
  rows: [zones: string[], count: number]
}>()
const minutes = ref('')
const problem = ref('')
const lanes = computed(() => props.plan.lanes)
const kinds = computed(() => {
  const found: { name: string; keys: string[] }[] = [{ name: $t('common.all'), keys: lanes.value.map((l) => l.key) }]
  const by = (name: string, is: (l: Schemas['PlanLane']) => boolean) => {
    const keys = lanes.value.filter(is).map((l) => l.key)
    if (keys.length && keys.length < lanes.value.length) found.push({ name, keys })
  }
  by($t('common.left'), (l) => l.side === 'left')
  by($t('common.right'), (l) => l.side === 'right')
  by($t('common.roots'), (l) => l.part === 'root')
  by($t('common.lengths'), (l) => ['lengths', 'regrowth'].includes(l.part))
  by($t('common.ends'), (l) => l.part === 'ends')
  by($t('planTools.delicate'), (l) => l.is_delicate)
  return found
})
const isAll = (keys: readonly string[]) => keys.every((k) => props.selected.includes(k))
const pick = (keys: string[]) =>
  emit(
    'select',
    isAll(keys) ? props.selected.filter((k) => !keys.includes(k)) : [...new Set([...props.selected, ...keys])],
  )
const setStrength = (told: number[]) => {
  if (told.length === 1) emit('own', 'volumes', props.selected, told[0]!)
  else emit('ladder', props.selected, told)
}
const setMinutes = () => {
  const told = Number(minutes.value.trim().replace(',', '.'))
  if (!(told >= 1 && told <= 180)) {
    problem.value = $t('planTools.minutesOnTheHairMust')
    return
  }
  problem.value = ''
  emit('own', 'minutes', props.selected, told)
  minutes.value = ''
}
const first = computed(() => lanes.value.find((l) => l.key === props.selected[0]))
const sameForAll = () =>
  first.value &&
  emit(
    'own',
    'volumes',
    lanes.value.map((l) => l.key),
    first.value.volume_strength,
  )
/** What all of the selected have alike; empty where they differ. */
const alike = (what: NamedOf) => {
  const own = props.selected.map((k) => props.plan[what][k] ?? '')
  return own.every((v) => v === own[0]) ? (own[0] ?? '') : ''
}
const setNamed = (what: NamedOf, event: Event) =>
  emit('of', what, props.selected, (event.target as HTMLSelectElement).value || null)
/** Zones of the selected that have sections enough for rows. */
const ROW_SECTIONS = 4
const inRows = computed(() => {
  const own = lanes.value.filter((l) => props.selected.includes(l.key))
  const zones = [...new Set(own.map((l) => l.zone_key))]
  return zones.filter((z) => props.plan.rows[z] || own.some((l) => l.zone_key === z && l.foil_count >= ROW_SECTIONS))
})
const rowsNow = computed(() => {
  const counts = new Set(inRows.value.map((z) => props.plan.rows[z] ?? 1))
  return counts.size === 1 ? [...counts][0]! : ''
})
const isParted = computed(() => Boolean(first.value && props.plan.round_starts.includes(first.value.zone_key)))
</script>

<template>
  <section class="no-print mb-2 rounded-[7px] bg-panel px-3 py-2" :aria-label="$t('planTools.setSeveralLanesAtOnce')">
    <div class="flex flex-wrap items-center gap-2">
      <button
        v-for="k in kinds"
        :key="k.name"
        type="button"
        class="btn !px-3"
        :class="{ 'btn-act': isAll(k.keys) }"
        :aria-pressed="isAll(k.keys)"
        @click="pick(k.keys)"
      >
        {{ k.name }}
      </button>
      <template v-if="selected.length">
        <LadderField :label="$t('planTools.strengthOrALadder')" @set="setStrength" />
        <form class="flex items-center gap-1" @submit.prevent="setMinutes">
          <input
            v-model="minutes"
            class="field num !w-20"
            inputmode="numeric"
            :placeholder="$t('common.min')"
            :aria-label="$t('planTools.minutesOn')"
          />
          <button type="submit" class="btn !px-3">{{ $t('planTools.setMin') }}</button>
        </form>
        <select
          class="field !w-44"
          :aria-label="$t('common.covering')"
          :value="alike('coverings')"
          @change="(e) => setNamed('coverings', e)"
        >
          <option value="">{{ $t('planTools.coveredAsRead') }}</option>
          <option v-for="c in coverings" :key="c.value" :value="c.value">{{ c.name }}</option>
        </select>
        <select
          v-if="lighteners.length > 1"
          class="field !w-44"
          :aria-label="$t('common.product')"
          :value="alike('lighteners')"
          @change="(e) => setNamed('lighteners', e)"
        >
          <option value="">{{ $t('planTools.theUsualProduct') }}</option>
          <option v-for="l in lighteners" :key="l.key" :value="l.key">
            {{ $t('common.min2', { name: l.name, label_max_min: l.label_max_min }) }}
          </option>
        </select>
        <select
          v-if="inRows.length"
          class="field !w-40"
          :aria-label="$t('planTools.rows')"
          :value="rowsNow"
          @change="(e) => emit('rows', inRows, Number((e.target as HTMLSelectElement).value))"
        >
          <option v-if="rowsNow === ''" value="" disabled>{{ $t('planTools.rowsDiffer') }}</option>
          <option :value="1">{{ $t('planTools.inOnePiece') }}</option>
          <option v-for="n in [2, 3, 4]" :key="n" :value="n">{{ $t('planTools.inRows', { n }) }}</option>
        </select>
        <template v-if="plan.visits.length > 1">
          <button
            v-for="v in plan.visits"
            :key="v.number"
            type="button"
            class="btn !px-3"
            @click="emit('own', 'visits', selected, v.number)"
          >
            {{ $t('planTools.trip', { number: v.number }) }}
          </button>
        </template>
        <button type="button" class="btn !px-3" @click="sameForAll">{{ $t('planTools.sameForAll') }}</button>
        <button type="button" class="btn !px-3" @click="emit('lock', selected)">
          {{ $t('planTools.lock') }}
        </button>
        <button type="button" class="btn !px-3" @click="emit('free', selected)">
          {{ $t('planTools.free') }}
        </button>
        <button
          v-if="selected.length === 1 && first && (isParted || first.zone_key !== plan.lanes[0]?.zone_key)"
          type="button"
          class="btn !px-3"
          @click="emit('part', first.zone_key)"
        >
          {{ isParted ? $t('planTools.doNotPartHere') : $t('planTools.partTheHeadHere') }}
        </button>
        <span class="text-sm text-soft">{{ $t('planTools.selected', { count: selected.length }) }}</span>
      </template>
      <span v-else class="text-sm text-soft">{{ $t('planTools.tapLanesToSetStrength') }}</span>
    </div>
    <p v-if="problem" class="mt-1 font-semibold text-stop" role="alert">{{ problem }}</p>
  </section>
</template>
