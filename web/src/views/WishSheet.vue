<script setup lang="ts">
import type { EventData } from '../api/events'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { measure, queries } from '../api/queries'
import { inkOn } from '../lib/strip'
import { levelText } from '../lib/time'
import Sheet from '../parts/Sheet.vue'
import Tick from '../parts/Tick.vue'
import { useNotices } from '../stores/notices'

/** The wish, picked from a painted scale of tones by levels, or measured on a reference strand. */
const props = defineProps<{
  isOpen: boolean
  step: Schemas['ToneStep'] | null
  serviceId: string
  hasReader: boolean
  /** Lanes it is for; none for all of the head. */
  keys: readonly string[]
  isBusy: boolean
}>()
const emit = defineEmits<{ close: []; wish: [values: EventData<'WishSet'>] }>()
const notices = useNotices()
const scale = useQuery(computed(() => ({ ...queries.wishes(), enabled: props.isOpen })))
const measured = ref<Schemas['MeasuredOut'] | null>(null)
const isWarmthBack = ref(true)
const rows = computed(() => {
  const found = new Map<string, Schemas['WishCell'][]>()
  for (const cell of scale.data.value?.cells ?? []) found.set(cell.name, [...(found.get(cell.name) ?? []), cell])
  return [...found.entries()]
})
const levels = computed(() => rows.value[0]?.[1].map((c) => c.level) ?? [])
/** Parts it is for: as it was opened, and by a tap each. */
const chosen = ref<string[]>([])
const parts = computed(() => (props.step?.lanes ?? []).filter((l) => !l.part))
watch(
  () => props.isOpen,
  (isOpen) => {
    if (isOpen) chosen.value = props.keys.length ? [...props.keys] : parts.value.map((l) => l.key)
  },
)
const toggle = (key: string) =>
  (chosen.value = chosen.value.includes(key) ? chosen.value.filter((k) => k !== key) : [...chosen.value, key])
const zone_keys = computed(() => (chosen.value.length === parts.value.length ? [] : chosen.value))
const now = computed(
  () => props.step?.wishes.find((w) => w.keys.some((k) => chosen.value.includes(k)))?.wish ?? props.step?.wish,
)
const isNow = (c: Schemas['WishCell']) =>
  now.value !== undefined &&
  !now.value.lab &&
  c.tone === now.value.tone &&
  c.level === now.value.level &&
  (c.tone !== 'pastel' || c.hue_deg === now.value.hue_deg)
const pick = (c: Schemas['WishCell']) =>
  emit('wish', {
    tone: c.tone,
    level: c.level,
    hue_deg: c.hue_deg,
    is_warmth_back: isWarmthBack.value,
    zone_keys: zone_keys.value,
  })
const useReader = async () => {
  const key = props.step?.lanes[0]?.key
  if (!key) return
  try {
    measured.value = await measure(props.serviceId, key)
  } catch (error) {
    notices.fail(error)
  }
}
const takeMeasured = () => {
  if (measured.value && props.step)
    emit('wish', {
      tone: props.step.wish.tone,
      level: Math.round(measured.value.level * 2) / 2,
      lab: [...measured.value.lab],
      zone_keys: zone_keys.value,
    })
  measured.value = null
}
</script>

<template>
  <Sheet
    :is-open="isOpen"
    :title="$t('common.theWish')"
    :subtitle="$t('wishSheet.tapTheColourItIs')"
    @close="emit('close')"
  >
    <div class="flex flex-col gap-5">
      <fieldset v-if="parts.length > 1">
        <legend class="label">
          {{
            $t('wishSheet.for', {
              what:
                chosen.length === parts.length
                  ? $t('wishSheet.allOfTheHead')
                  : $t('common.parts', { count: chosen.length }),
            })
          }}
        </legend>
        <div class="flex flex-wrap gap-1.5">
          <button
            v-for="l in parts"
            :key="l.key"
            type="button"
            class="btn narrow !min-h-11 !px-2.5"
            :class="{ 'btn-act': chosen.includes(l.key) }"
            :aria-pressed="chosen.includes(l.key)"
            @click="toggle(l.key)"
          >
            {{ l.name }}
          </button>
        </div>
      </fieldset>
      <table v-if="rows.length" class="w-full table-fixed border-separate border-spacing-[2px]">
        <thead>
          <tr>
            <th class="w-16" />
            <th v-for="l in levels" :key="l" scope="col" class="num text-sm text-soft">{{ levelText(l) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[name, cells] in rows" :key="name">
            <th scope="row" class="narrow text-start text-[15px] font-medium first-letter:uppercase">{{ name }}</th>
            <td v-for="c in cells" :key="c.level" class="p-0">
              <button
                type="button"
                class="swatch h-10 w-full rounded-[3px]"
                :style="{ background: c.hex, color: inkOn(c.hex) }"
                :aria-label="$t('wishSheet.at', { name, level: levelText(c.level) })"
                :aria-pressed="isNow(c)"
                :disabled="isBusy || chosen.length === 0"
                @click="pick(c)"
              >
                {{ isNow(c) ? '●' : '' }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <div v-if="step?.flat_hex" class="rounded-[5px] border border-line p-3">
        <p class="mb-2 flex items-center gap-3">
          <span class="swatch flex h-9 w-24 overflow-hidden rounded-[3px]"
            ><span class="grow" :style="{ background: step.wanted_hex }" /><span
              class="grow"
              :style="{ background: step.flat_hex }" /></span
          >{{ $t('wishSheet.whiteWithALittleWarmth') }}
        </p>
        <Tick v-model="isWarmthBack">{{ $t('wishSheet.putTheLittleWarmthBack') }}</Tick>
      </div>
      <div v-if="hasReader" class="flex flex-wrap items-center gap-3">
        <button type="button" class="btn" @click="useReader">
          {{ measured ? $t('common.measureAgain') : $t('wishSheet.measureAReferenceStrand') }}
        </button>
        <template v-if="measured">
          <span class="swatch h-9 w-12 rounded-[3px]" :style="{ background: measured.hex }" />
          <span class="num"
            >L* {{ measured.lab[0]?.toFixed(0) }}, a* {{ measured.lab[1]?.toFixed(0) }}, b*
            {{ measured.lab[2]?.toFixed(0) }}</span
          >
          <button type="button" class="btn btn-act" :disabled="isBusy" @click="takeMeasured">
            {{ $t('wishSheet.wishThis') }}
          </button>
        </template>
      </div>
    </div>
  </Sheet>
</template>
