<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { addProduct, changeProduct, removeProduct } from '../api/afterwards'
import type { Schemas } from '../api/client'
import Choice from '../parts/Choice.vue'
import Sheet from '../parts/Sheet.vue'
import { useNotices } from '../stores/notices'
import { asKept, inUnit, measures } from '../lib/units'
import { $t } from '../lib/i18n'

/** One product: what its label says, what is left of it, what it costs. */
type Product = Schemas['ProductOut']
const props = defineProps<{ product: Product | null; adding: Product['kind'] | null; currency: string }>()
const emit = defineEmits<{ close: []; changed: [] }>()
const notices = useNotices()
const isBusy = ref(false)
const kind = computed(() => props.product?.kind ?? props.adding)
interface FieldOf {
  key: string
  name: string
  step: number
  kinds: readonly Product['kind'][]
}
const fields: readonly FieldOf[] = [
  { key: 'volume_strength', name: $t('productSheet.strengthVol'), step: 0.5, kinds: ['developer'] },
  { key: 'level', name: $t('productSheet.level'), step: 0.5, kinds: ['toner'] },
  { key: 'developer_parts', name: $t('common.developerToOnePart'), step: 0.1, kinds: ['lightener', 'toner'] },
  { key: 'label_min_min', name: $t('productSheet.shortestTimeMin'), step: 1, kinds: ['toner'] },
  { key: 'label_max_min', name: $t('productSheet.longestTimeMin'), step: 1, kinds: ['lightener', 'toner'] },
  { key: 'max_volume', name: $t('productSheet.strongestVol'), step: 1, kinds: ['lightener'] },
  { key: 'max_volume_on_scalp', name: $t('productSheet.strongestOnTheScalpVol'), step: 1, kinds: ['lightener'] },
  { key: 'bowl_life_min', name: $t('productSheet.aBowlWorksForMin'), step: 1, kinds: ['lightener'] },
  { key: 'max_applications', name: $t('productSheet.applicationsAVisit'), step: 1, kinds: ['lightener'] },
  { key: 'developer_volume', name: $t('productSheet.developerVol'), step: 0.5, kinds: ['toner'] },
  { key: 'patch_test_wait_h', name: $t('productSheet.patchTestBeforeH'), step: 1, kinds: ['toner'] },
]
const stock: readonly { key: string; name: string; step: number }[] = [
  { key: 'stock_g', name: $t('productSheet.onTheShelfG', { unit: measures.g.unit }), step: 0.01 },
  { key: 'low_g', name: $t('productSheet.toOrderBelowG', { unit: measures.g.unit }), step: 0.01 },
  { key: 'price', name: $t('productSheet.priceFor100G'), step: 0.01 },
]
const flags: readonly { key: string; name: string; kinds: readonly Product['kind'][] }[] = [
  { key: 'is_dark', name: $t('productSheet.blueOrCharcoalHidesThe'), kinds: ['lightener'] },
  { key: 'is_heat_allowed', name: $t('productSheet.labelAllowsHeat'), kinds: ['lightener'] },
  { key: 'counts_from_end', name: $t('productSheet.labelCountsFromTheLast'), kinds: ['lightener'] },
  { key: 'is_oxidative', name: $t('productSheet.oxidative'), kinds: ['toner'] },
]
const families = ['yellow', 'orange', 'red', 'violet', 'blue', 'green'] as const
const usual: Record<string, Record<string, number>> = {
  lightener: { developer_parts: 1.5, label_max_min: 50, max_volume: 40, max_volume_on_scalp: 20, bowl_life_min: 20 },
  developer: { volume_strength: 20 },
  toner: {
    level: 9,
    developer_parts: 1.5,
    developer_volume: 7,
    label_min_min: 2,
    label_max_min: 20,
    patch_test_wait_h: 48,
  },
}
const uses = [
  { value: 'both', name: $t('productSheet.both') },
  { value: 'lightening', name: $t('productSheet.lightening') },
  { value: 'toning', name: $t('productSheet.toning') },
] as const
const use = ref<'both' | 'lightening' | 'toning'>('both')
const name = ref('')
const numbers = reactive<Record<string, number | string>>({})
const ticks = reactive<Record<string, boolean>>({})
const dyes = reactive<Record<string, number | string>>({})
watch(
  () => [props.product, props.adding] as const,
  ([p, adding]) => {
    if (!p && !adding) return
    name.value = p?.name ?? ''
    use.value = p?.use ?? 'both'
    const known = p as Record<string, unknown> | null
    for (const f of fields) numbers[f.key] = (known?.[f.key] as number | null) ?? usual[kind.value ?? '']?.[f.key] ?? ''
    numbers.stock_g = p?.stock_g === null || p?.stock_g === undefined ? '' : inUnit(p.stock_g, 'g')
    numbers.low_g = p?.low_g === null || p?.low_g === undefined ? '' : inUnit(p.low_g, 'g')
    numbers.price =
      p?.price_per_g === null || p?.price_per_g === undefined ? '' : Math.round(p.price_per_g * 10_000) / 100
    for (const f of flags) ticks[f.key] = (known?.[f.key] as boolean | null) ?? f.key === 'is_oxidative'
    for (const f of families) dyes[f] = p?.dyes?.[f] ? Math.round(p.dyes[f] * 100) : ''
  },
  { immediate: true },
)
/** A pigment wash has no developer: it never goes on with peroxide. */
const developerFields = ['developer_parts', 'developer_volume']
const isWash = computed(() => kind.value === 'toner' && !ticks.is_oxidative)
const own = computed(() =>
  fields.filter(
    (f) => kind.value && f.kinds.includes(kind.value) && !(isWash.value && developerFields.includes(f.key)),
  ),
)
const ownFlags = computed(() => flags.filter((f) => kind.value && f.kinds.includes(kind.value)))
const dyeSum = computed(() => families.reduce((sum, f) => sum + Number(dyes[f] || 0), 0))
const number = (v: number | string | undefined) => (v === '' || v === undefined ? null : Number(v))
const kept = (v: number | string | undefined, was: number | null | undefined) => {
  const typed = number(v)
  return typed === null ? null : asKept(typed, 'g', was)
}
const values = (): Schemas['ProductIn'] => {
  const found: Record<string, unknown> = { name: name.value.trim() }
  for (const f of own.value) {
    const value = number(numbers[f.key])
    if (value !== null || f.key === 'max_applications') found[f.key] = value
  }
  for (const f of ownFlags.value) found[f.key] = ticks[f.key]
  if (isWash.value) for (const key of developerFields) found[key] = null
  found.stock_g = kept(numbers.stock_g, props.product?.stock_g)
  found.low_g = kept(numbers.low_g, props.product?.low_g)
  const price = number(numbers.price)
  found.price_per_g = price === null ? null : price / 100
  if (kind.value === 'developer') found.use = use.value
  if (kind.value === 'toner')
    found.dyes = Object.fromEntries(families.filter((f) => Number(dyes[f]) > 0).map((f) => [f, Number(dyes[f]) / 100]))
  return found
}
const run = async (does: () => Promise<unknown>, said: string) => {
  isBusy.value = true
  try {
    await does()
    notices.say(said)
    emit('changed')
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const save = () =>
  run(
    async () => {
      if (props.product) await changeProduct(props.product.kind, props.product.key, values())
      else if (props.adding) await addProduct(props.adding, values())
    },
    $t('productSheet.kept', { name: name.value.trim() }),
  )
const remove = () =>
  props.product &&
  run(
    () => removeProduct(props.product!.kind, props.product!.key),
    $t('productSheet.isOffTheShelf', { name: props.product.name }),
  )
</script>

<template>
  <Sheet
    :is-open="product !== null || adding !== null"
    :title="product?.name ?? $t('productSheet.new', { adding: adding ?? '' })"
    :subtitle="$t('productSheet.asItsLabelSaysThe')"
    @close="emit('close')"
  >
    <form class="flex flex-col gap-5" @submit.prevent="save">
      <div>
        <label class="label" for="p-name">{{ $t('common.name') }}</label><input
          id="p-name"
          v-model="name"
          class="field"
          required
          maxlength="80"
        />
      </div>
      <fieldset class="grid grid-cols-3 gap-3">
        <legend class="label">{{ $t('productSheet.stock') }}</legend>
        <div v-for="f in stock" :key="f.key">
          <label class="label" :for="`p-${f.key}`">{{
            f.key === 'price' ? `${f.name}, ${currency}` : f.name
          }}</label><input
            :id="`p-${f.key}`"
            v-model="numbers[f.key]"
            class="field"
            type="number"
            :step="f.step"
            inputmode="decimal"
          />
        </div>
      </fieldset>
      <fieldset v-if="kind === 'toner'">
        <legend class="label">
          <i18n-t keypath="productSheet.dyesInHundredths" scope="global"
            ><template #part1
              ><span v-if="dyeSum !== 100" class="ms-2 font-semibold text-stop">{{
                $t('productSheet.togetherMustBe100', { dyeSum })
              }}</span></template
            ></i18n-t
          >
        </legend>
        <div class="grid grid-cols-3 gap-3">
          <div v-for="f in families" :key="f">
            <label class="label capitalize" :for="`p-dye-${f}`">{{ f }}</label><input
              :id="`p-dye-${f}`"
              v-model="dyes[f]"
              class="field"
              type="number"
              min="0"
              max="100"
              step="1"
            />
          </div>
        </div>
      </fieldset>
      <fieldset class="grid grid-cols-2 gap-3">
        <legend class="label">{{ $t('productSheet.label') }}</legend>
        <div v-for="f in own" :key="f.key">
          <label class="label" :for="`p-${f.key}`">{{ f.name }}</label><input
            :id="`p-${f.key}`"
            v-model="numbers[f.key]"
            class="field"
            type="number"
            :step="f.step"
            inputmode="decimal"
          />
        </div>
      </fieldset>
      <Choice v-if="kind === 'developer'" v-model="use" :legend="$t('productSheet.itIsFor')" :options="uses" />
      <label v-for="f in ownFlags" :key="f.key" class="flex min-h-12 items-center gap-3"
        ><input v-model="ticks[f.key]" type="checkbox" class="size-6" /> {{ f.name }}</label
      >
      <button class="btn btn-act text-lg" :disabled="isBusy || !name.trim()">
        {{ product ? $t('common.keep') : $t('productSheet.putItOnTheShelf') }}
      </button>
      <button v-if="product" type="button" class="btn text-stop" :disabled="isBusy" @click="remove">
        {{ $t('productSheet.takeItOffTheShelf') }}
      </button>
    </form>
  </Sheet>
</template>
