<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { afterwards } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { queries, wantToOrder } from '../api/queries'
import { levelText, fixed } from '../lib/time'
import { weight } from '../lib/units'
import Vessel from '../parts/Vessel.vue'
import Wait from '../parts/Wait.vue'
import { useNotices } from '../stores/notices'
import ProductSheet from './ProductSheet.vue'
import ShelfExchange from './ShelfExchange.vue'
import { $t } from '../lib/i18n'

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
    notices.say($t('shelf.ordered2', { what }), () => void wantToOrder(what).then(changed))
  } catch (error) {
    notices.fail(error)
  }
}
const low = computed(() => products.value.filter((p) => p.is_low))
const columns = [
  [
    { kind: 'lightener', name: $t('shelf.lighteners'), add: $t('shelf.aLightener') },
    { kind: 'developer', name: $t('common.developers'), add: $t('shelf.aDeveloper') },
  ],
  [{ kind: 'toner', name: $t('shelf.toners'), add: $t('shelf.aToner') }],
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
    return $t('shelf.1MinUpToVol', {
      developer_parts: p.developer_parts,
      label_max_min: p.label_max_min,
      max_volume: p.max_volume,
      max_volume_on_scalp: p.max_volume_on_scalp,
      what: p.is_dark ? $t('shelf.dark') : '',
    })
  if (p.kind === 'developer')
    return $t('shelf.vol', {
      volume_strength: levelText(p.volume_strength ?? 0),
      what:
        p.use && p.use !== 'both'
          ? $t('shelf.forOnly', { use: p.use === 'toning' ? $t('shelf.toning') : $t('shelf.lightening') })
          : '',
    })
  return $t('shelf.levelMin', {
    level: levelText(p.level ?? 0),
    what: p.is_oxidative ? `1 : ${p.developer_parts}` : $t('common.neatNoDeveloper'),
    label_max_min: p.label_max_min,
  })
}
const changed = async () => {
  opened.value = null
  adding.value = null
  await client.invalidateQueries()
}
/** Grams of the fullest of each kind: what the others' fill is drawn beside. */
const fullest = computed(() => {
  const most = (kind: string) => Math.max(...products.value.map((p) => (p.kind === kind ? (p.stock_g ?? 0) : 0)), 1)
  return { lightener: most('lightener'), developer: most('developer'), toner: most('toner') }
})
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-2 pb-24 sm:px-6">
    <h1 class="mb-4 text-[34px] leading-tight">{{ $t('common.shelf') }}</h1>
    <Wait
      v-if="!query.data.value"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('shelf.theShelf')"
      @retry="query.refetch()"
    />
    <template v-else>
      <section
        v-if="low.length || orders.length"
        class="mb-4 rounded-[7px] border-s-[8px] border-signal bg-panel px-4 py-3"
        aria-labelledby="low"
      >
        <h2 id="low" class="text-xl">{{ $t('shelf.toOrder') }}</h2>
        <ul class="mt-1 flex flex-wrap gap-x-6 gap-y-1">
          <li v-for="p in low" :key="p.key">
            <i18n-t keypath="shelf.left" scope="global"
              ><template #name
                ><strong>{{ p.name }}</strong></template
              ><template #part2
                ><span class="num">{{ weight(Math.max(p.stock_g ?? 0, 0)) }}</span></template
              ></i18n-t
            >
          </li>
          <li v-for="o in orders" :key="o" class="flex items-center gap-2">
            <strong>{{ o }}</strong>
            <button type="button" class="min-h-9 underline underline-offset-4" @click="ordered(o)">
              {{ $t('shelf.ordered') }}
            </button>
          </li>
        </ul>
      </section>
      <ShelfExchange v-if="isLead && products.length === 0" is-empty />
      <div class="grid items-start gap-4 lg:grid-cols-2">
        <div v-for="(column, i) in columns" :key="i" class="flex min-w-0 flex-col gap-4">
          <section v-for="k in column" :key="k.kind" class="panel" :aria-label="k.name">
            <div class="mb-1 flex items-center">
              <h2 class="grow text-xl">{{ k.name }}</h2>
              <button type="button" class="btn !min-h-11" @click="adding = k.kind">
                {{ $t('shelf.add', { add: k.add }) }}
              </button>
            </div>
            <p v-if="of(k.kind).length === 0" class="text-soft">
              {{ k.kind === 'toner' ? $t('shelf.noneYetNothingToned') : $t('shelf.noneYetNothingPlanned') }}
            </p>
            <ul>
              <li v-for="p in of(k.kind)" :key="p.key" class="border-t border-line">
                <button
                  type="button"
                  class="flex min-h-14 w-full items-center gap-3 py-1.5 text-start hover:bg-raised"
                  @click="opened = p"
                >
                  <Vessel
                    :kind="p.kind"
                    :share="p.stock_g === null ? null : p.stock_g / fullest[p.kind]"
                    :low="p.low_g === null ? null : p.low_g / fullest[p.kind]"
                    :hex="p.hex"
                  />
                  <span class="min-w-0 grow"
                    ><span class="block truncate font-semibold">{{ p.name }}</span
                    ><span class="block truncate text-sm text-soft">{{ label(p) }}</span></span
                  >
                  <span class="shrink-0 text-end leading-tight">
                    <span v-if="p.stock_g === null" class="text-sm text-soft">{{ $t('shelf.notCounted') }}</span>
                    <span v-else-if="p.stock_g < 0" class="text-sm font-semibold">{{ $t('shelf.countItAgain') }}</span>
                    <span v-else class="num block text-lg" :class="{ 'text-signal': p.is_low }">{{
                      weight(p.stock_g)
                    }}</span>
                    <span v-if="p.price_per_g !== null" class="num block text-sm text-soft"
                      >{{ fixed(p.price_per_g * 100, 2) }} {{ query.data.value.currency }} / 100 g</span
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
