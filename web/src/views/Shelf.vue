<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { afterwards } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { queries, wantToOrder } from '../api/queries'
import { grams, levelText } from '../lib/time'
import Wait from '../parts/Wait.vue'
import { useNotices } from '../stores/notices'
import ProductSheet from './ProductSheet.vue'
import ShelfExchange from './ShelfExchange.vue'

type Product = Schemas['ProductOut']
const query = useQuery(afterwards.stock())
const session = useQuery(queries.session())
const isLead = computed(() => ['owner', 'technician'].includes(session.data.value?.role ?? ''))
const client = useQueryClient()
const notices = useNotices()
const opened = ref<Product | null>(null)
const adding = ref<Product['kind'] | null>(null)
const products = computed(() => query.data.value?.products ?? [])
const orders = computed(() => query.data.value?.to_order ?? [])
const ordered = async (what: string) => {
  try {
    await wantToOrder(what, false)
    await changed()
    notices.say(`Ordered: ${what}`, () => void wantToOrder(what).then(changed))
  } catch (error) {
    notices.fail(error)
  }
}
const low = computed(() => products.value.filter((p) => p.is_low))
const columns = [
  [
    { kind: 'lightener', name: 'Lighteners', add: 'a lightener' },
    { kind: 'developer', name: 'Developers', add: 'a developer' },
  ],
  [{ kind: 'toner', name: 'Toners', add: 'a toner' }],
] as const
const of = (kind: string) =>
  products.value
    .filter((p) => p.kind === kind)
    .sort(
      (a, b) =>
        (a.volume_strength ?? 0) - (b.volume_strength ?? 0) ||
        (b.level ?? 0) - (a.level ?? 0) ||
        a.name.localeCompare(b.name),
    )
const label = (p: Product) => {
  if (p.kind === 'lightener')
    return `1 : ${p.developer_parts}, ${p.label_max_min} min, up to ${p.max_volume} vol, ${p.max_volume_on_scalp} on the scalp${p.is_dark ? ', dark' : ''}`
  if (p.kind === 'developer')
    return `${levelText(p.volume_strength ?? 0)} vol${p.use && p.use !== 'both' ? `, for ${p.use} only` : ''}`
  return `level ${levelText(p.level ?? 0)}, ${p.is_oxidative ? `1 : ${p.developer_parts}` : 'neat, no developer'}, ${p.label_max_min} min`
}
const changed = async () => {
  opened.value = null
  adding.value = null
  await client.invalidateQueries()
}
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-2 pb-24 sm:px-6">
    <h1 class="mb-4 text-[34px] leading-tight">Shelf</h1>
    <Wait
      v-if="!query.data.value"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      what="The shelf"
      @retry="query.refetch()"
    />
    <template v-else>
      <section
        v-if="low.length || orders.length"
        class="mb-4 rounded-[7px] border-l-[8px] border-signal bg-panel px-4 py-3"
        aria-labelledby="low"
      >
        <h2 id="low" class="text-xl">To order</h2>
        <ul class="mt-1 flex flex-wrap gap-x-6 gap-y-1">
          <li v-for="p in low" :key="p.key">
            <strong>{{ p.name }}</strong> <span class="num">{{ grams(Math.max(p.stock_g ?? 0, 0)) }} g</span> left
          </li>
          <li v-for="o in orders" :key="o" class="flex items-center gap-2">
            <strong>{{ o }}</strong>
            <button type="button" class="min-h-9 underline underline-offset-4" @click="ordered(o)">ordered</button>
          </li>
        </ul>
      </section>
      <ShelfExchange v-if="isLead && products.length === 0" is-empty />
      <div class="grid items-start gap-4 lg:grid-cols-2">
        <div v-for="(column, i) in columns" :key="i" class="flex flex-col gap-4">
          <section v-for="k in column" :key="k.kind" class="panel" :aria-label="k.name">
            <div class="mb-1 flex items-center">
              <h2 class="grow text-xl">{{ k.name }}</h2>
              <button type="button" class="btn !min-h-11" @click="adding = k.kind">Add {{ k.add }}</button>
            </div>
            <p v-if="of(k.kind).length === 0" class="text-soft">
              None yet; nothing can be {{ k.kind === 'toner' ? 'toned' : 'planned' }} without one.
            </p>
            <ul>
              <li v-for="p in of(k.kind)" :key="p.key" class="border-t border-line">
                <button
                  type="button"
                  class="flex min-h-14 w-full items-center gap-3 py-1.5 text-left hover:bg-raised"
                  @click="opened = p"
                >
                  <span
                    v-if="p.hex"
                    class="swatch size-9 shrink-0 rounded-full"
                    :style="{ background: p.hex }"
                    aria-hidden="true"
                  />
                  <span class="min-w-0 grow"
                    ><span class="block truncate font-semibold">{{ p.name }}</span
                    ><span class="block truncate text-sm text-soft">{{ label(p) }}</span></span
                  >
                  <span class="shrink-0 text-right leading-tight">
                    <span v-if="p.stock_g === null" class="text-sm text-soft">not counted</span>
                    <span v-else-if="p.stock_g < 0" class="text-sm font-semibold">count it again</span>
                    <span v-else class="num block text-lg" :class="{ 'text-signal': p.is_low }"
                      >{{ grams(p.stock_g) }} g</span
                    >
                    <span v-if="p.price_per_g !== null" class="num block text-sm text-soft"
                      >{{ (p.price_per_g * 100).toFixed(2) }} {{ query.data.value.currency }} / 100 g</span
                    >
                  </span>
                </button>
              </li>
            </ul>
          </section>
        </div>
      </div>
      <ShelfExchange v-if="isLead && products.length > 0" class="mt-4" :is-empty="false" />
      <ProductSheet
        :product="opened"
        :adding="adding"
        :currency="query.data.value.currency"
        @close="((opened = null), (adding = null))"
        @changed="changed"
      />
    </template>
  </main>
</template>
