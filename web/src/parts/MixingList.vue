<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { clock as clockText, levelText } from '../lib/time'
import { weight } from '../lib/units'
import WeighSheet from './WeighSheet.vue'
import { $t } from '../lib/i18n'

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
  bowl.pours
    .map((p) => $t('mixingList.gOf', { mass_g: weight(p.mass_g), volume_strength: levelText(p.volume_strength) }))
    .join(' + ')
const stale = (bowl: Schemas['BowlOut']) =>
  bowl.oldest_min > bowl.life_min + 0.5
    ? $t('mixingList.minOldAtItsEnd', {
        oldest_min: bowl.oldest_min.toFixed(0),
        lift_lost_share: (bowl.lift_lost_share * 100).toFixed(0),
      })
    : ''
const at = (bowl: Schemas['BowlOut']) => clockText(new Date(props.zero.getTime() + bowl.mix_min * 60_000))
const says = (bowl: Schemas['BowlOut']) => bowl.fills.map((f) => f.lane_name).join(', ')
</script>

<template>
  <section class="panel" aria-labelledby="mixing">
    <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
      <h2 id="mixing" class="grow text-xl">{{ $t('mixingList.mixingList') }}</h2>
      <p class="text-soft">
        {{
          $t('mixingList.bowlsGGOfIt', {
            count: plan.bowls.length,
            totalG: weight(totalG),
            waste_g: weight(plan.waste_g),
          })
        }}
      </p>
      <slot />
    </div>
    <div class="relative overflow-x-auto" tabindex="0" role="region" :aria-label="$t('mixingList.mixingListTable')">
      <table class="stack w-full text-start sm:min-w-[620px]">
        <thead class="text-sm text-soft">
          <tr>
            <th scope="col" class="py-1 font-semibold">
              {{ isRunning ? $t('mixingList.clock') : $t('mixingList.ifYouStartNow') }}
            </th>
            <th scope="col" class="font-semibold">{{ $t('mixingList.min') }}</th>
            <th scope="col" class="font-semibold">{{ $t('mixingList.for') }}</th>
            <th scope="col" class="font-semibold">{{ $t('common.lightener') }}</th>
            <th scope="col" class="font-semibold">{{ $t('mixingList.developer') }}</th>
            <th scope="col" class="font-semibold">{{ $t('mixingList.makes') }}</th>
            <th scope="col" class="no-print">
              <span class="sr-only">{{ $t('mixingList.weigh') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="b in plan.bowls" :key="b.number" class="border-t border-line">
            <td
              class="num py-1.5 pe-4 text-lg"
              :data-label="isRunning ? $t('mixingList.clock') : $t('mixingList.startNow')"
            >
              {{ at(b) }}
            </td>
            <td class="num pe-4 text-soft" :data-label="$t('mixingList.minute')">{{ b.mix_min.toFixed(0) }}</td>
            <td class="max-w-72 pe-4 font-semibold" :data-label="$t('mixingList.for')">
              {{ says(b) }}
              <span v-if="stale(b)" class="block text-sm font-normal">{{ stale(b) }}</span>
            </td>
            <td class="pe-4 whitespace-nowrap" :data-label="$t('common.lightener')">
              <span class="num text-lg">{{ weight(b.lightener_g) }}</span>
              <span v-if="products.length > 1" class="block text-sm">{{ b.lightener_name }}</span>
            </td>
            <td class="pe-4 whitespace-nowrap" :data-label="$t('mixingList.developer')">
              {{ $t('mixingList.vol', { b: pours(b) }) }}
            </td>
            <td class="pe-4 whitespace-nowrap" :data-label="$t('mixingList.makes')">
              <i18n-t keypath="mixingList.gAtVol" scope="global"
                ><template #volume_strength>{{ levelText(Math.round(b.volume_strength * 10) / 10) }}</template
                ><template #total_g
                  ><span class="num text-lg">{{ weight(b.total_g) }}</span></template
                ></i18n-t
              >
            </td>
            <td class="no-print text-end">
              <button
                type="button"
                class="btn max-sm:w-full"
                :aria-label="$t('mixingList.weighBowl', { number: b.number })"
                @click="weighing = b"
              >
                {{ $t('mixingList.weigh') }}
              </button>
            </td>
          </tr>
        </tbody>
        <tfoot>
          <tr class="border-t border-strong">
            <td class="py-2 font-semibold" colspan="3">{{ $t('mixingList.fromTheShelf') }}</td>
            <td class="pe-4 whitespace-nowrap">
              <span v-for="[name, mass] in products" :key="name" class="block"
                ><span class="num text-lg">{{ weight(mass) }}</span>
                <span v-if="products.length > 1" class="text-sm">{{ name }}</span></span
              >
            </td>
            <td colspan="3">
              {{
                plan.poured
                  .map((p) =>
                    $t('common.gOfVol', { mass_g: weight(p.mass_g), volume_strength: levelText(p.volume_strength) }),
                  )
                  .join(', ')
              }}
            </td>
          </tr>
        </tfoot>
      </table>
    </div>
    <WeighSheet :bowl="weighing" :can-record="false" @close="weighing = null" />
  </section>
</template>
