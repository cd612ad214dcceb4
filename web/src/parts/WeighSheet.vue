<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { checkMix, readScale } from '../api/queries'
import { levelText, fixed } from '../lib/time'
import { asKept, inUnit, measures, weight } from '../lib/units'
import { useNotices } from '../stores/notices'
import Sheet from './Sheet.vue'
import { $t } from '../lib/i18n'

/** Weighing one bowl: lightener, then each bottle, typed by hand or by the scale; what is in it is checked at once. */
const props = defineProps<{
  bowl: Schemas['BowlOut'] | null
  canRecord: boolean
  isBusy?: boolean
}>()
const emit = defineEmits<{
  close: []
  mixed: [values: { volume_strength: number; product_g: number; developer_g: number; recipe: string }]
}>()
const notices = useNotices()
interface Line {
  name: string
  volume: number | null
  wanted: number
  weighed: number | null
}
const lines = ref<Line[]>([])
const mix = ref<Schemas['WeighedMix'] | null>(null)
const pouring = ref<number | null>(null)
watch(
  () => props.bowl,
  (bowl) => {
    mix.value = null
    lines.value = bowl
      ? [
          { name: bowl.lightener_name, volume: null, wanted: bowl.lightener_g, weighed: null },
          ...bowl.pours.map((p) => ({ name: p.name, volume: p.volume_strength, wanted: p.mass_g, weighed: null })),
        ]
      : []
  },
  { immediate: true },
)
const isWhole = computed(() => lines.value.length > 1 && lines.value.every((l) => l.weighed !== null))
const title = computed(() => {
  const bowl = props.bowl
  return bowl
    ? $t('weighSheet.bowlVol', {
        number: bowl.number,
        volume_strength: levelText(Math.round(bowl.volume_strength * 10) / 10),
      })
    : ''
})
const check = async () => {
  const bowl = props.bowl
  if (!bowl || !isWhole.value) return
  try {
    mix.value = await checkMix({
      lightener_key: bowl.lightener_key,
      product_g: lines.value[0]?.weighed ?? 0,
      pours: lines.value.slice(1).map((l) => ({ volume_strength: l.volume ?? 0, mass_g: l.weighed ?? 0 })),
      wanted_volume: bowl.volume_strength,
    })
  } catch (error) {
    mix.value = null
    notices.fail(error)
  }
}
const type = (index: number, text: string) => {
  const line = lines.value[index]
  const value = Number(text.replace(',', '.'))
  if (!line) return
  line.weighed = text.trim() === '' || !Number.isFinite(value) || value < 0 ? null : asKept(value, 'g')
  mix.value = null
  void check()
}
/** The simulated scale types what it shows into the line, as a real one on the keyboard port would. */
const pour = async (index: number) => {
  const line = lines.value[index]
  if (!line || pouring.value !== null) return
  pouring.value = index
  mix.value = null
  try {
    const { shown_g } = await readScale(line.wanted, Math.round(line.wanted * 1000) + index)
    for (const shown of shown_g) {
      line.weighed = shown
      await new Promise((done) => setTimeout(done, 70))
    }
    await check()
  } catch (error) {
    notices.fail(error)
  } finally {
    pouring.value = null
  }
}
const done = () => {
  const poured = lines.value.slice(1)
  const product = lines.value[0]?.weighed
  if (product === null || product === undefined || !mix.value) return
  emit('mixed', {
    volume_strength: Math.round(mix.value.volume_strength * 10) / 10,
    product_g: product,
    developer_g: Math.round(mix.value.developer_g * 10) / 10,
    recipe: poured
      .map((l) => $t('weighSheet.gOfVol', { weighed: weight(l.weighed ?? 0), volume: levelText(l.volume ?? 0) }))
      .join(' + '),
  })
}
</script>

<template>
  <Sheet
    :is-open="bowl !== null"
    :title="title"
    :subtitle="bowl?.fills.map((f) => f.lane_name).join(', ')"
    @close="emit('close')"
  >
    <div v-if="bowl" class="flex flex-col gap-4">
      <ol class="flex flex-col gap-3">
        <li v-for="(line, i) in lines" :key="i" class="rounded-[5px] bg-raised p-3">
          <div class="flex items-end gap-3">
            <p class="min-w-0 grow">
              <span class="block truncate font-semibold">{{ line.name }}</span>
              <span class="text-soft">{{ $t('common.wanted') }}</span>
              <span class="num text-2xl">{{ weight(line.wanted) }}</span>
            </p>
            <label class="w-28">
              <span class="label">{{ $t('weighSheet.onTheScaleG', { unit: measures.g.unit }) }}</span>
              <input
                class="field num text-end text-xl"
                inputmode="decimal"
                :value="line.weighed === null ? '' : inUnit(line.weighed, 'g')"
                :aria-label="$t('weighSheet.gramsOnTheScale', { name: line.name })"
                @change="(e) => type(i, (e.target as HTMLInputElement).value)"
              />
            </label>
            <button type="button" class="btn" :disabled="pouring !== null" @click="pour(i)">
              {{ pouring === i ? $t('weighSheet.pouring') : $t('weighSheet.pour') }}
            </button>
          </div>
          <div class="mt-2 h-2 overflow-hidden rounded-full bg-sunk" aria-hidden="true">
            <div
              class="h-full bg-act transition-[width] duration-75"
              :style="{ width: `${Math.min(100, ((line.weighed ?? 0) / line.wanted) * 100)}%` }"
            />
          </div>
        </li>
      </ol>
      <p class="min-h-14 text-lg" role="status">
        <template v-if="mix">
          <i18n-t keypath="weighSheet.vol1" scope="global"
            ><template #volume_strength
              ><span class="num text-2xl">{{ fixed(mix.volume_strength, 1) }}</span></template
            ><template #developer_parts
              ><span class="num text-2xl">{{ fixed(mix.developer_parts, 2) }}</span></template
            ></i18n-t
          >
          <strong class="block">{{ mix.advice || $t('weighSheet.asWanted') }}</strong>
        </template>
        <template v-else>
          <span class="text-soft">{{ $t('weighSheet.pourOrTypeWhatYour') }}</span>
        </template>
      </p>
      <button
        v-if="canRecord"
        type="button"
        class="btn btn-act min-h-16 text-lg"
        :disabled="!mix || isBusy"
        @click="done"
      >
        {{ $t('weighSheet.mixedAsWeighed') }}
      </button>
      <p v-else class="text-sm text-soft">{{ $t('weighSheet.atTheChairABowl') }}</p>
      <p class="text-sm text-soft">{{ $t('weighSheet.simulatedScaleFoldThePowder') }}</p>
    </div>
  </Sheet>
</template>
