<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { afterwards, carryLearnt, undoLearnt } from '../api/afterwards'
import type { Schemas } from '../api/client'
import Wait from '../parts/Wait.vue'
import { useNotices } from '../stores/notices'

/** The studio's own numbers beside the model, and what they say of each lightener. */
const query = useQuery(afterwards.learning())
const client = useQueryClient()
const notices = useNotices()
const numbers = computed(() => query.data.value)
const percent = (factor: number) => {
  const off = Math.round((factor - 1) * 100)
  return off === 0 ? 'as' : `${Math.abs(off)} % ${off > 0 ? 'more' : 'less'}`
}
const quick = (factor: number) => {
  const off = Math.round((factor - 1) * 100)
  return off === 0 ? 'as quick' : `${Math.abs(off)} % ${off > 0 ? 'quicker' : 'slower'}`
}
const both = (far: number | null, fast: number | null) => `${(far ?? 1).toFixed(2)} and ${(fast ?? 1).toFixed(2)}`
/** Whether what was learnt is worth a tap. */
const hasMore = (p: Schemas['ProductLearnt']) =>
  (p.proposed_factor !== null && Math.abs(p.proposed_factor - p.lift_factor) >= 0.005) ||
  (p.proposed_rate !== null && Math.abs(p.proposed_rate - p.rate_factor) >= 0.01)
const undo = async (p: Schemas['ProductLearnt']) => {
  try {
    client.setQueryData(['learning'], await undoLearnt(p.key))
    notices.say(`${p.name}: as it was before.`)
  } catch (error) {
    notices.fail(error)
  }
}
const carry = async (p: Schemas['ProductLearnt']) => {
  try {
    client.setQueryData(['learning'], await carryLearnt(p.key))
    notices.say(`${p.name} is planned by what was learnt.`, () => void undo(p))
  } catch (error) {
    notices.fail(error)
  }
}
const many = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`
/** Where a factor stands on a bar from half to one and a half. */
const place = (factor: number) => `${Math.min(Math.max((factor - 0.5) * 100, 0), 100)}%`
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-2 pb-24 sm:px-6">
    <h1 class="mb-4 text-[34px] leading-tight">Numbers</h1>
    <Wait
      v-if="!numbers"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      what="The studio's numbers"
      @retry="query.refetch()"
    />
    <p v-else-if="numbers.services === 0" class="panel text-lg">
      Nothing is filed yet with readings in it. File services, and the studio learns its own pace, hair and products.
    </p>
    <template v-else>
      <dl class="mb-4 grid grid-cols-2 gap-3 sm:grid-cols-4">
        <div class="panel">
          <dt class="text-sm text-soft">Filed services</dt>
          <dd class="num text-[34px] leading-none">
            {{ numbers.services }}<span class="ml-2 text-xl text-soft">{{ numbers.lanes }} lanes</span>
          </dd>
        </div>
        <div class="panel">
          <dt class="text-sm text-soft">Lanes on target</dt>
          <dd class="num text-[34px] leading-none">
            {{ numbers.on_target_share === null ? '–' : `${Math.round(numbers.on_target_share * 100)} %` }}
          </dd>
        </div>
        <div class="panel">
          <dt class="text-sm text-soft">Walls passed</dt>
          <dd class="num text-[34px] leading-none" :class="{ 'text-stop': numbers.walls_passed }">
            {{ numbers.walls_passed }}
          </dd>
        </div>
        <div class="panel">
          <dt class="text-sm text-soft">Mixed and not needed</dt>
          <dd class="num text-[34px] leading-none">
            {{ numbers.wasted_g.toFixed(0) }} g<span class="text-xl text-soft">
              of {{ numbers.mixed_g.toFixed(0) }}</span
            >
          </dd>
        </div>
      </dl>
      <section class="panel mb-4" aria-labelledby="products">
        <h2 id="products" class="text-xl">Lighteners, against their profile</h2>
        <ul>
          <li
            v-for="p in numbers.products"
            :key="p.key"
            class="grid items-center gap-x-5 gap-y-2 border-t border-line py-3 md:grid-cols-[250px_minmax(0,1fr)_auto]"
          >
            <p>
              <strong class="block text-lg leading-tight">{{ p.name }}</strong><span class="text-sm text-soft"
                >planned with <span class="num">{{ p.lift_factor.toFixed(2) }}</span> as far,
                <span class="num">{{ p.rate_factor.toFixed(2) }}</span> as fast</span
              >
            </p>
            <p v-if="!p.learnt" class="text-soft">No filed service with readings yet.</p>
            <div v-else>
              <p>
                lifts <strong>{{ percent(p.learnt.extent) }}</strong> far, {{ quick(p.learnt.rate) }}
                <span class="text-soft"
                  >(spread × {{ p.learnt.extent_spread.toFixed(2) }}; {{ many(p.learnt.lanes, 'lane') }} of
                  {{ many(p.learnt.services, 'service') }})</span
                >
              </p>
              <p v-for="k in p.kinds" :key="k.hair" class="text-sm text-soft">
                {{ k.hair }}: {{ percent(k.extent) }} far, {{ quick(k.rate) }} beside other hair
              </p>
              <div class="relative mt-1 h-3 rounded-[2px] bg-sunk" aria-hidden="true">
                <span class="absolute top-[-3px] h-[18px] w-px bg-strong" :style="{ left: place(1) }" /><span
                  class="absolute top-[-2px] h-4 w-[6px] -translate-x-1/2 rounded-[1px] bg-ink"
                  :style="{ left: place(p.learnt.extent) }"
                />
              </div>
            </div>
            <div class="flex flex-wrap gap-2">
              <button v-if="hasMore(p)" type="button" class="btn btn-act" @click="carry(p)">
                Plan with {{ both(p.proposed_factor, p.proposed_rate) }}
              </button>
              <span v-else-if="p.learnt && p.proposed_factor === null" class="text-sm text-soft"
                >needs three services</span
              >
              <button v-if="p.lift_factor_before !== null" type="button" class="btn" @click="undo(p)">
                Back to {{ both(p.lift_factor_before, p.rate_factor_before) }}
              </button>
            </div>
          </li>
        </ul>
      </section>
      <div class="grid items-start gap-4 lg:grid-cols-2">
        <section class="panel" aria-labelledby="hair">
          <h2 id="hair" class="text-xl">Hair, against the model</h2>
          <ul>
            <li v-for="h in numbers.by_hair" :key="h.key" class="border-t border-line py-1.5">
              <strong class="first-letter:uppercase">{{ h.name }}</strong>
              <span class="block text-[15px]"
                >{{ percent(h.extent) }} far (× {{ h.extent_spread.toFixed(2) }}), {{ quick(h.rate) }} (×
                {{ h.rate_spread.toFixed(2) }})
                <span class="text-soft">{{ many(h.lanes, 'lane') }}, {{ many(h.services, 'service') }}</span></span
              >
            </li>
          </ul>
        </section>
        <section class="panel" aria-labelledby="pace">
          <h2 id="pace" class="text-xl">Pace, minutes a section</h2>
          <ul>
            <li v-for="p in numbers.paces" :key="p.zone" class="flex gap-3 border-t border-line py-1.5">
              <span class="grow">{{ p.zone }}</span><span class="num">{{ p.mean_min.toFixed(1) }}</span
              ><span class="num w-16 text-soft">± {{ p.spread_min.toFixed(1) }}</span
              ><span class="num w-16 text-right text-soft">{{ p.lanes }} ×</span>
            </li>
          </ul>
        </section>
      </div>
    </template>
  </main>
</template>
