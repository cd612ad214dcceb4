<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { afterwards, carryLearnt, undoLearnt } from '../api/afterwards'
import type { Schemas } from '../api/client'
import SweptStrands from '../parts/SweptStrands.vue'
import Wait from '../parts/Wait.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'
import { fixed } from '../lib/time'
import { weight } from '../lib/units'

/** The studio's own numbers beside the model, and what they say of each lightener. */
const query = useQuery(afterwards.learning())
const client = useQueryClient()
const notices = useNotices()
const numbers = computed(() => query.data.value)
const sweptOf = (key: string) => {
  const found = numbers.value?.swept.find((x) => x.key === key)
  return found && { model: found.model, learnt: found.learnt }
}
const percent = (factor: number) => {
  const off = Math.round((factor - 1) * 100)
  return off === 0
    ? $t('numbers.as')
    : $t(off > 0 ? 'numbers.percentMore' : 'numbers.percentLess', { off: Math.abs(off) })
}
const quick = (factor: number) => {
  const off = Math.round((factor - 1) * 100)
  return off === 0
    ? $t('numbers.asQuick')
    : $t(off > 0 ? 'numbers.percentQuicker' : 'numbers.percentSlower', { off: Math.abs(off) })
}
const both = (far: number | null, fast: number | null) =>
  $t('numbers.and', { far: fixed(far ?? 1, 2), fast: fixed(fast ?? 1, 2) })
/** Whether what was learnt is worth a tap. */
const hasMore = (p: Schemas['ProductLearnt']) =>
  (p.proposed_factor !== null && Math.abs(p.proposed_factor - p.lift_factor) >= 0.005) ||
  (p.proposed_rate !== null && Math.abs(p.proposed_rate - p.rate_factor) >= 0.01)
const undo = async (p: Schemas['ProductLearnt']) => {
  try {
    client.setQueryData(['learning'], await undoLearnt(p.key))
    notices.say($t('numbers.asItWasBefore', { name: p.name }))
  } catch (error) {
    notices.fail(error)
  }
}
const carry = async (p: Schemas['ProductLearnt']) => {
  try {
    client.setQueryData(['learning'], await carryLearnt(p.key))
    notices.say($t('numbers.isPlannedByWhatWas', { name: p.name }), () => void undo(p))
  } catch (error) {
    notices.fail(error)
  }
}
/** Where a factor stands on a bar from half to one and a half. */
const place = (factor: number) => `${Math.min(Math.max((factor - 0.5) * 100, 0), 100)}%`
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-2 pb-24 sm:px-6">
    <h1 class="mb-4 text-[34px] leading-tight">{{ $t('common.numbers') }}</h1>
    <Wait
      v-if="!numbers"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('numbers.theStudioSNumbers')"
      @retry="query.refetch()"
    />
    <p v-else-if="numbers.services === 0" class="panel text-lg">
      {{ $t('numbers.nothingIsFiledYetWith') }}
    </p>
    <template v-else>
      <dl class="mb-4 grid grid-cols-2 gap-3 sm:grid-cols-4">
        <div class="panel">
          <dt class="text-sm text-soft">{{ $t('numbers.filedServices') }}</dt>
          <dd class="num text-[34px] leading-none">
            {{ numbers.services
            }}<span class="ms-2 text-xl text-soft">{{ $t('numbers.lanes', { lanes: numbers.lanes }) }}</span>
          </dd>
        </div>
        <div class="panel">
          <dt class="text-sm text-soft">{{ $t('numbers.lanesOnTarget') }}</dt>
          <dd class="num text-[34px] leading-none">
            {{ numbers.on_target_share === null ? '–' : `${Math.round(numbers.on_target_share * 100)} %` }}
          </dd>
        </div>
        <div class="panel">
          <dt class="text-sm text-soft">{{ $t('numbers.wallsPassed') }}</dt>
          <dd class="num text-[34px] leading-none" :class="{ 'text-stop': numbers.walls_passed }">
            {{ numbers.walls_passed }}
          </dd>
        </div>
        <div class="panel">
          <dt class="text-sm text-soft">{{ $t('numbers.mixedAndNotNeeded') }}</dt>
          <dd class="num text-[34px] leading-none">
            {{ weight(numbers.wasted_g)
            }}<span class="text-xl text-soft"> {{ ` ${$t('numbers.of', { mixed_g: weight(numbers.mixed_g) })}` }}</span>
          </dd>
        </div>
      </dl>
      <section class="panel mb-4" aria-labelledby="products">
        <h2 id="products" class="text-xl">{{ $t('numbers.lightenersAgainstTheirProfile') }}</h2>
        <ul>
          <li
            v-for="p in numbers.products"
            :key="p.key"
            class="grid items-center gap-x-5 gap-y-2 border-t border-line py-3 md:grid-cols-[250px_minmax(0,1fr)_auto]"
          >
            <p>
              <strong class="block text-lg leading-tight">{{ p.name }}</strong><span class="text-sm text-soft"
                ><i18n-t keypath="numbers.plannedWithAsFarAs" scope="global"
                  ><template #lift_factor
                    ><span class="num">{{ fixed(p.lift_factor, 2) }}</span></template
                  ><template #rate_factor
                    ><span class="num">{{ fixed(p.rate_factor, 2) }}</span></template
                  ></i18n-t
                ></span
              >
            </p>
            <p v-if="!p.learnt" class="text-soft">{{ $t('numbers.noFiledServiceWithReadings') }}</p>
            <div v-else>
              <p>
                <i18n-t keypath="numbers.liftsFar" scope="global"
                  ><template #rate>{{ quick(p.learnt.rate) }}</template
                  ><template #extent
                    ><strong>{{ percent(p.learnt.extent) }}</strong></template
                  ><template #part2
                    ><span class="text-soft">{{
                      $t('numbers.spreadOf', {
                        extent_spread: fixed(p.learnt.extent_spread, 2),
                        lanes: $t('count.lanes', p.learnt.lanes),
                        services: $t('count.services', p.learnt.services),
                      })
                    }}</span></template
                  ></i18n-t
                >
              </p>
              <p v-for="k in p.kinds" :key="k.hair" class="text-sm text-soft">
                {{ $t('numbers.farBesideOtherHair', { hair: k.hair, extent: percent(k.extent), rate: quick(k.rate) }) }}
              </p>
              <SweptStrands v-if="sweptOf(p.key)" class="mt-1" v-bind="sweptOf(p.key)!" />
              <div class="relative mt-1 h-3 rounded-[2px] bg-sunk" aria-hidden="true">
                <span class="absolute top-[-3px] h-[18px] w-px bg-strong" :style="{ left: place(1) }" /><span
                  class="absolute top-[-2px] h-4 w-[6px] -translate-x-1/2 rounded-[1px] bg-ink"
                  :style="{ left: place(p.learnt.extent) }"
                />
              </div>
            </div>
            <div class="flex flex-wrap gap-2">
              <button v-if="hasMore(p)" type="button" class="btn btn-act" @click="carry(p)">
                {{ $t('numbers.planWith', { proposed_factor: both(p.proposed_factor, p.proposed_rate) }) }}
              </button>
              <span v-else-if="p.learnt && p.proposed_factor === null" class="text-sm text-soft">{{
                $t('numbers.needsThreeServices')
              }}</span>
              <button v-if="p.lift_factor_before !== null" type="button" class="btn" @click="undo(p)">
                {{ $t('numbers.backTo', { lift_factor_before: both(p.lift_factor_before, p.rate_factor_before) }) }}
              </button>
            </div>
          </li>
        </ul>
      </section>
      <div class="grid items-start gap-4 lg:grid-cols-2">
        <section class="panel" aria-labelledby="hair">
          <h2 id="hair" class="text-xl">{{ $t('numbers.hairAgainstTheModel') }}</h2>
          <ul>
            <li v-for="h in numbers.by_hair" :key="h.key" class="border-t border-line py-1.5">
              <strong class="first-letter:uppercase">{{ h.name }}</strong>
              <SweptStrands v-if="sweptOf(h.key)" class="my-1" v-bind="sweptOf(h.key)!" />
              <span class="block text-[15px]"
                ><i18n-t keypath="numbers.far" scope="global"
                  ><template #extent>{{ percent(h.extent) }}</template
                  ><template #extent_spread>{{ fixed(h.extent_spread, 2) }}</template
                  ><template #rate>{{ quick(h.rate) }}</template
                  ><template #rate_spread>{{ fixed(h.rate_spread, 2) }}</template
                  ><template #part1
                    ><span class="text-soft"
                      >{{ $t('count.lanes', h.lanes) }}, {{ $t('count.services', h.services) }}</span
                    ></template
                  ></i18n-t
                ></span
              >
            </li>
          </ul>
        </section>
        <section class="panel" aria-labelledby="pace">
          <h2 id="pace" class="text-xl">{{ $t('common.paceMinutesASection') }}</h2>
          <ul>
            <li v-for="p in numbers.paces" :key="p.zone" class="flex gap-3 border-t border-line py-1.5">
              <span class="grow">{{ p.zone }}</span><span class="num">{{ fixed(p.mean_min, 1) }}</span
              ><span class="num w-16 text-soft">± {{ fixed(p.spread_min, 1) }}</span
              ><span class="num w-16 text-end text-soft">{{ p.lanes }} ×</span>
            </li>
          </ul>
        </section>
      </div>
    </template>
  </main>
</template>
