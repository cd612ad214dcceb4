<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { coverings } from '../lib/words'
import type { NamedOf, OwnOf } from '../stores/plan'

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
const strength = ref('')
const minutes = ref('')
const problem = ref('')
const lanes = computed(() => props.plan.lanes)
const kinds = computed(() => {
  const found: { name: string; keys: string[] }[] = [{ name: 'All', keys: lanes.value.map((l) => l.key) }]
  const by = (name: string, is: (l: Schemas['PlanLane']) => boolean) => {
    const keys = lanes.value.filter(is).map((l) => l.key)
    if (keys.length && keys.length < lanes.value.length) found.push({ name, keys })
  }
  by('Left', (l) => l.side === 'left')
  by('Right', (l) => l.side === 'right')
  by('Roots', (l) => l.part === 'root')
  by('Lengths', (l) => ['lengths', 'regrowth'].includes(l.part))
  by('Ends', (l) => l.part === 'ends')
  by('Delicate', (l) => l.is_delicate)
  return found
})
const isAll = (keys: readonly string[]) => keys.every((k) => props.selected.includes(k))
const pick = (keys: string[]) =>
  emit(
    'select',
    isAll(keys) ? props.selected.filter((k) => !keys.includes(k)) : [...new Set([...props.selected, ...keys])],
  )
const numbers = (text: string) =>
  text
    .trim()
    .split(/[\s,;/-]+/)
    .filter(Boolean)
    .map((t) => Number(t.replace(',', '.')))
const setStrength = () => {
  const told = numbers(strength.value)
  if (!told.length || told.some((n) => !(n >= 0.5 && n <= 40))) {
    problem.value = 'Strength: must be from 0.5 to 40 vol, or a ladder such as 20 25 30.'
    return
  }
  problem.value = ''
  if (told.length === 1) emit('own', 'volumes', props.selected, told[0]!)
  else emit('ladder', props.selected, told)
  strength.value = ''
}
const setMinutes = () => {
  const [told] = numbers(minutes.value)
  if (told === undefined || !(told >= 1 && told <= 180)) {
    problem.value = 'Minutes on the hair: must be from 1 to 180.'
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
  <section class="no-print mb-2 rounded-[7px] bg-panel px-3 py-2" aria-label="Set several lanes at once">
    <div class="flex flex-wrap items-center gap-2">
      <button
        v-for="k in kinds"
        :key="k.name"
        type="button"
        class="btn !min-h-11 !px-3"
        :class="{ 'btn-act': isAll(k.keys) }"
        :aria-pressed="isAll(k.keys)"
        @click="pick(k.keys)"
      >
        {{ k.name }}
      </button>
      <template v-if="selected.length">
        <form class="flex items-center gap-1" @submit.prevent="setStrength">
          <input
            v-model="strength"
            class="field num !w-32"
            inputmode="text"
            placeholder="vol, or 20 25 30"
            aria-label="Strength, or a ladder"
          />
          <button type="submit" class="btn !min-h-11 !px-3">Set vol</button>
        </form>
        <form class="flex items-center gap-1" @submit.prevent="setMinutes">
          <input
            v-model="minutes"
            class="field num !w-20"
            inputmode="numeric"
            placeholder="min"
            aria-label="Minutes on"
          />
          <button type="submit" class="btn !min-h-11 !px-3">Set min</button>
        </form>
        <select
          class="field !w-44"
          aria-label="Covering"
          :value="alike('coverings')"
          @change="(e) => setNamed('coverings', e)"
        >
          <option value="">Covered as read</option>
          <option v-for="c in coverings" :key="c.value" :value="c.value">{{ c.name }}</option>
        </select>
        <select
          v-if="lighteners.length > 1"
          class="field !w-44"
          aria-label="Product"
          :value="alike('lighteners')"
          @change="(e) => setNamed('lighteners', e)"
        >
          <option value="">The usual product</option>
          <option v-for="l in lighteners" :key="l.key" :value="l.key">{{ l.name }}, {{ l.label_max_min }} min</option>
        </select>
        <select
          v-if="inRows.length"
          class="field !w-40"
          aria-label="Rows"
          :value="rowsNow"
          @change="(e) => emit('rows', inRows, Number((e.target as HTMLSelectElement).value))"
        >
          <option v-if="rowsNow === ''" value="" disabled>Rows differ</option>
          <option :value="1">In one piece</option>
          <option v-for="n in [2, 3, 4]" :key="n" :value="n">In {{ n }} rows</option>
        </select>
        <template v-if="plan.visits.length > 1">
          <button
            v-for="v in plan.visits"
            :key="v.number"
            type="button"
            class="btn !min-h-11 !px-3"
            @click="emit('own', 'visits', selected, v.number)"
          >
            Trip {{ v.number }}
          </button>
        </template>
        <button type="button" class="btn !min-h-11 !px-3" @click="sameForAll">Same for all</button>
        <button type="button" class="btn !min-h-11 !px-3" @click="emit('lock', selected)">Lock</button>
        <button type="button" class="btn !min-h-11 !px-3" @click="emit('free', selected)">Free</button>
        <button
          v-if="selected.length === 1 && first && (isParted || first.zone_key !== plan.lanes[0]?.zone_key)"
          type="button"
          class="btn !min-h-11 !px-3"
          @click="emit('part', first.zone_key)"
        >
          {{ isParted ? 'Do not part here' : 'Part the head here' }}
        </button>
        <span class="text-sm text-soft">{{ selected.length }} selected</span>
      </template>
      <span v-else class="text-sm text-soft"
        >Tap lanes to set strength, minutes, covering, product or trip for several at once.</span
      >
    </div>
    <p v-if="problem" class="mt-1 font-semibold text-stop" role="alert">{{ problem }}</p>
  </section>
</template>
