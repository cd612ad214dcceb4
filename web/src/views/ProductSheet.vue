<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { addProduct, changeProduct, removeProduct } from '../api/afterwards'
import type { Schemas } from '../api/client'
import Choice from '../parts/Choice.vue'
import Sheet from '../parts/Sheet.vue'
import { useNotices } from '../stores/notices'

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
  { key: 'volume_strength', name: 'Strength, vol', step: 0.5, kinds: ['developer'] },
  { key: 'level', name: 'Level', step: 0.5, kinds: ['toner'] },
  { key: 'developer_parts', name: 'Developer to one part', step: 0.1, kinds: ['lightener', 'toner'] },
  { key: 'label_min_min', name: 'Shortest time, min', step: 1, kinds: ['toner'] },
  { key: 'label_max_min', name: 'Longest time, min', step: 1, kinds: ['lightener', 'toner'] },
  { key: 'max_volume', name: 'Strongest, vol', step: 1, kinds: ['lightener'] },
  { key: 'max_volume_on_scalp', name: 'Strongest on the scalp, vol', step: 1, kinds: ['lightener'] },
  { key: 'bowl_life_min', name: 'A bowl works for, min', step: 1, kinds: ['lightener'] },
  { key: 'max_applications', name: 'Applications a visit', step: 1, kinds: ['lightener'] },
  { key: 'developer_volume', name: 'Developer, vol', step: 0.5, kinds: ['toner'] },
  { key: 'patch_test_wait_h', name: 'Patch test before, h', step: 1, kinds: ['toner'] },
]
const stock: readonly { key: string; name: string; step: number }[] = [
  { key: 'stock_g', name: 'On the shelf, g', step: 1 },
  { key: 'low_g', name: 'To order below, g', step: 1 },
  { key: 'price', name: 'Price for 100 g', step: 0.01 },
]
const flags: readonly { key: string; name: string; kinds: readonly Product['kind'][] }[] = [
  { key: 'is_dark', name: 'Blue or charcoal: hides the level', kinds: ['lightener'] },
  { key: 'is_heat_allowed', name: 'Label allows heat', kinds: ['lightener'] },
  { key: 'counts_from_end', name: 'Label counts from the last section', kinds: ['lightener'] },
  { key: 'is_oxidative', name: 'Oxidative', kinds: ['toner'] },
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
  { value: 'both', name: 'Both' },
  { value: 'lightening', name: 'Lightening' },
  { value: 'toning', name: 'Toning' },
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
    numbers.stock_g = p?.stock_g === null || p?.stock_g === undefined ? '' : Math.round(p.stock_g * 10) / 10
    numbers.low_g = p?.low_g ?? ''
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
const values = (): Schemas['ProductIn'] => {
  const found: Record<string, unknown> = { name: name.value.trim() }
  for (const f of own.value) {
    const value = number(numbers[f.key])
    if (value !== null || f.key === 'max_applications') found[f.key] = value
  }
  for (const f of ownFlags.value) found[f.key] = ticks[f.key]
  if (isWash.value) for (const key of developerFields) found[key] = null
  found.stock_g = number(numbers.stock_g)
  found.low_g = number(numbers.low_g)
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
  run(async () => {
    if (props.product) await changeProduct(props.product.kind, props.product.key, values())
    else if (props.adding) await addProduct(props.adding, values())
  }, `${name.value.trim()} kept.`)
const remove = () =>
  props.product &&
  run(() => removeProduct(props.product!.kind, props.product!.key), `${props.product.name} is off the shelf.`)
</script>

<template>
  <Sheet
    :is-open="product !== null || adding !== null"
    :title="product?.name ?? `New ${adding ?? ''}`"
    subtitle="As its label says; the label wins"
    @close="emit('close')"
  >
    <form class="flex flex-col gap-5" @submit.prevent="save">
      <div>
        <label class="label" for="p-name">Name</label
        ><input id="p-name" v-model="name" class="field" required maxlength="80" />
      </div>
      <fieldset class="grid grid-cols-3 gap-3">
        <legend class="label">Stock</legend>
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
          Dyes, in hundredths<span v-if="dyeSum !== 100" class="ml-2 font-semibold text-stop"
            >together {{ dyeSum }}, must be 100</span
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
        <legend class="label">Label</legend>
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
      <Choice v-if="kind === 'developer'" v-model="use" legend="It is for" :options="uses" />
      <label v-for="f in ownFlags" :key="f.key" class="flex min-h-12 items-center gap-3"
        ><input v-model="ticks[f.key]" type="checkbox" class="size-6" /> {{ f.name }}</label
      >
      <button class="btn btn-act text-lg" :disabled="isBusy || !name.trim()">
        {{ product ? 'Keep' : 'Put it on the shelf' }}
      </button>
      <button v-if="product" type="button" class="btn text-stop" :disabled="isBusy" @click="remove">
        Take it off the shelf
      </button>
    </form>
  </Sheet>
</template>
