<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { clock as clockText, grams, levelText } from '../lib/time'
import WeighSheet from './WeighSheet.vue'

/** Every bowl in the order it is mixed, with its minute and its time on the clock, its staleness and what is left over. */
const props = defineProps<{
  plan: Schemas['PlanOut']
  /** When the first product goes on: known, or now. */
  zero: Date
  isRunning: boolean
}>()
const weighing = ref<Schemas['BowlOut'] | null>(null)
const products = computed(() => Object.entries(props.plan.lighteners_g))
const totalG = computed(() => props.plan.bowls.reduce((sum, b) => sum + b.total_g, 0))
const pours = (bowl: Schemas['BowlOut']) =>
  bowl.pours.map((p) => `${grams(p.mass_g)} g of ${levelText(p.volume_strength)}`).join(' + ')
const stale = (bowl: Schemas['BowlOut']) =>
  bowl.oldest_min > bowl.life_min + 0.5
    ? `${bowl.oldest_min.toFixed(0)} min old at its end, lifts ${(bowl.lift_lost_share * 100).toFixed(0)} % less far`
    : ''
const at = (bowl: Schemas['BowlOut']) => clockText(new Date(props.zero.getTime() + bowl.mix_min * 60_000))
const says = (bowl: Schemas['BowlOut']) => bowl.fills.map((f) => f.lane_name).join(', ')
</script>

<template>
  <section class="panel" aria-labelledby="mixing">
    <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
      <h2 id="mixing" class="grow text-xl">Mixing list</h2>
      <p class="text-soft">
        {{ plan.bowls.length }} bowls · {{ totalG.toFixed(0) }} g, {{ plan.waste_g.toFixed(0) }} g of it to spare
      </p>
      <slot />
    </div>
    <div class="relative overflow-x-auto" tabindex="0" role="region" aria-label="Mixing list table">
      <table class="w-full min-w-[620px] text-left">
        <thead class="text-sm text-soft">
          <tr>
            <th scope="col" class="py-1 font-semibold">{{ isRunning ? 'Clock' : 'If you start now' }}</th>
            <th scope="col" class="font-semibold">Min</th>
            <th scope="col" class="font-semibold">For</th>
            <th scope="col" class="font-semibold">Lightener</th>
            <th scope="col" class="font-semibold">Developer</th>
            <th scope="col" class="font-semibold">Makes</th>
            <th scope="col" class="no-print"><span class="sr-only">Weigh</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="b in plan.bowls" :key="b.number" class="border-t border-line">
            <td class="num py-1.5 pr-4 text-lg">{{ at(b) }}</td>
            <td class="num pr-4 text-soft">{{ b.mix_min.toFixed(0) }}</td>
            <td class="max-w-72 pr-4 font-semibold">
              {{ says(b) }}
              <span v-if="stale(b)" class="block text-sm font-normal">{{ stale(b) }}</span>
            </td>
            <td class="pr-4 whitespace-nowrap">
              <span class="num text-lg">{{ grams(b.lightener_g) }}</span> g
              <span v-if="products.length > 1" class="block text-sm">{{ b.lightener_name }}</span>
            </td>
            <td class="pr-4 whitespace-nowrap">{{ pours(b) }} vol</td>
            <td class="pr-4 whitespace-nowrap">
              <span class="num text-lg">{{ grams(b.total_g) }}</span> g at
              {{ levelText(Math.round(b.volume_strength * 10) / 10) }} vol
            </td>
            <td class="no-print text-right">
              <button type="button" class="btn !min-h-11" :aria-label="`Weigh bowl ${b.number}`" @click="weighing = b">
                Weigh
              </button>
            </td>
          </tr>
        </tbody>
        <tfoot>
          <tr class="border-t border-strong">
            <td class="py-2 font-semibold" colspan="3">From the shelf</td>
            <td class="pr-4 whitespace-nowrap">
              <span v-for="[name, mass] in products" :key="name" class="block"
                ><span class="num text-lg">{{ grams(mass) }}</span> g
                <span v-if="products.length > 1" class="text-sm">{{ name }}</span></span
              >
            </td>
            <td colspan="3">
              {{ plan.poured.map((p) => `${grams(p.mass_g)} g of ${levelText(p.volume_strength)} vol`).join(', ') }}
            </td>
          </tr>
        </tfoot>
      </table>
    </div>
    <WeighSheet :bowl="weighing" :can-record="false" @close="weighing = null" />
  </section>
</template>
