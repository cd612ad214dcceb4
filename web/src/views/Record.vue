<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { queries } from '../api/queries'
import { type Axis, ticks, toPercent } from '../lib/strip'
import { clock as clockText, dayName, grams, levelText } from '../lib/time'
import Strip from '../parts/Strip.vue'
import Swatch from '../parts/Swatch.vue'
import Wait from '../parts/Wait.vue'
import { useActs } from '../stores/acts'

const route = useRoute()
const id = String(route.params.id)
const query = useQuery(queries.record(id))
const acts = useActs(id)
const worked = ref('')
const change = ref('')
const isLogOpen = ref(false)
const record = computed(() => query.data.value)
const lanes = computed(() => (record.value?.lanes ?? []).filter((l) => !l.is_forecast))
const base = computed(() => Math.min(...lanes.value.map((l) => new Date(l.started_at).getTime())))
const zeroOf = (at: string) => (new Date(at).getTime() - base.value) / 60_000
const axis = computed<Axis>(() => ({
  from: 0,
  to: Math.max(...lanes.value.map((l) => zeroOf(l.zero_at) + l.end_min), 20) + 2,
}))
const isOpen = computed(() => record.value !== undefined && record.value.step !== 'record')
const file = async () => {
  if (await acts.act('ServiceClosed', { worked: worked.value, change: change.value })) await query.refetch()
}
const print = () => window.print()
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1180px] px-4 pt-3 pb-16 sm:px-6">
    <Wait
      v-if="!record"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      what="The record"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-end gap-4">
        <div class="grow">
          <h1 class="sr-only text-[30px] leading-tight print:not-sr-only">{{ record.client_name }}</h1>
          <p class="text-lg text-soft">
            {{ dayName(record.starts_at) }}, {{ clockText(record.starts_at)
            }}<template v-if="record.closed_at"> · filed {{ clockText(record.closed_at) }}</template
            ><template v-else> · not filed yet</template> · {{ record.lightener_name ?? 'no lightener' }}
          </p>
        </div>
        <button type="button" class="btn no-print" @click="print">Print</button>
      </div>
      <p v-if="record.wish" class="mb-4 max-w-[70ch] text-lg">
        “{{ record.wish }}” <span class="text-soft">Tone wanted: {{ record.tone }}.</span>
      </p>
      <p v-if="record.walls_passed.length" class="mb-3 rounded-[5px] bg-stop px-4 py-2 font-semibold text-stop-ink">
        Past the label's time: {{ record.walls_passed.join(', ') }}
      </p>

      <section class="panel mb-4" aria-labelledby="ran">
        <h2 id="ran" class="mb-1 text-xl">As it ran</h2>
        <p v-if="lanes.length === 0" class="text-soft">No product has been on the hair.</p>
        <template v-else>
          <div class="record-row text-soft">
            <span />
            <div class="relative h-6">
              <span
                v-for="m in ticks(axis, 12)"
                :key="m"
                class="num absolute bottom-0 -translate-x-1/2 text-[14px]"
                :style="{ left: `${toPercent(axis, m)}%` }"
                >{{ m }}</span
              >
            </div>
            <span />
          </div>
          <div v-for="lane in lanes" :key="lane.key" class="record-row border-t border-line">
            <p class="leading-tight">
              <span class="narrow block truncate font-semibold">{{ lane.name }}</span><span
                class="text-[13px] text-soft"
                >{{ levelText(lane.volume_strength) }} vol,
                {{ (zeroOf(lane.zero_at) - zeroOf(lane.started_at) + (lane.rinsed_min ?? lane.end_min)).toFixed(0) }}
                min on</span
              >
            </p>
            <Strip
              class="h-[46px]"
              :axis="axis"
              :zero="zeroOf(lane.zero_at)"
              :points="lane.curve"
              :apply-from="zeroOf(lane.started_at)"
              :end="zeroOf(lane.zero_at) + lane.end_min"
              :now="axis.to"
              :wall="null"
              :readings="lane.readings.filter((r) => r.minute <= lane.end_min)"
              :is-rinsed="true"
              :label="`${lane.name} as it ran, ${lane.readings.length} readings`"
            />
            <div class="flex items-center gap-2.5">
              <Swatch :now="lane.hex_now" :target="lane.hex_target" :size="36" label="Left reached, right wanted" />
              <p class="num text-lg leading-tight whitespace-nowrap">
                {{ levelText(lane.start_level) }} →
                {{
                  lane.achieved_level === null
                    ? `about ${lane.level_now.likely.toFixed(1)}`
                    : levelText(lane.achieved_level)
                }}<span class="block text-[13px] font-normal text-soft" style="font-stretch: 92%"
                  >wanted {{ levelText(lane.target_level) }}</span
                >
              </p>
            </div>
          </div>
        </template>
      </section>

      <div class="grid gap-4 lg:grid-cols-2">
        <section class="panel" aria-labelledby="bowls">
          <h2 id="bowls" class="mb-2 text-xl">Bowls</h2>
          <p v-if="record.bowls.length === 0" class="text-soft">None noted.</p>
          <ul>
            <li v-for="b in record.bowls" :key="b.at" class="flex gap-3 border-t border-line py-1.5">
              <span class="num w-14 shrink-0 text-soft">{{ clockText(b.at) }}</span><span
                ><strong>{{ b.zone_name }}</strong
                >, {{ levelText(b.volume_strength) }} vol: {{ grams(b.product_g) }} g +
                {{ grams(b.developer_g) }} g<span v-if="b.recipe" class="block text-sm text-soft">{{
                  b.recipe
                }}</span></span
              >
            </li>
          </ul>
        </section>
        <section class="panel" aria-labelledby="toners">
          <h2 id="toners" class="mb-2 text-xl">Toner</h2>
          <p v-if="record.toners.length === 0" class="text-soft">None applied.</p>
          <p v-if="record.toned_apart !== null" class="mb-1">
            Zones ended <strong class="num">{{ record.toned_apart.toFixed(1) }}</strong> apart (CIEDE2000, the two
            farthest)
          </p>
          <ul>
            <li
              v-for="t in record.toners"
              :key="t.zone_name"
              class="flex items-center gap-3 border-t border-line py-1.5"
            >
              <span class="swatch flex h-9 w-16 shrink-0 overflow-hidden rounded-[3px]"
                ><span class="grow" :style="{ background: t.now_hex }" /><span
                  class="grow"
                  :style="{ background: t.left_hex }" /><span
                  class="w-3 border-l-2 border-panel"
                  :style="{ background: t.wanted_hex }" /></span
              ><span
                ><strong>{{ t.zone_name }}</strong
                >, at {{ levelText(t.level) }}: {{ t.shade_name }},
                {{ t.minutes === null ? 'still on' : `${t.minutes.toFixed(0)} min`
                }}<span class="block text-sm text-soft"
                  >{{ grams(t.product_g) }} g + {{ grams(t.developer_g) }} g, on at {{ clockText(t.applied_at) }}</span
                ><span class="block text-sm text-soft">{{ t.says }}</span></span
              >
            </li>
          </ul>
          <h2 class="mt-5 mb-2 text-xl">Cautions taken on</h2>
          <p v-if="record.cautions.length === 0" class="text-soft">None.</p>
          <ul>
            <li v-for="c in record.cautions" :key="c.code" class="border-t border-line py-1.5 first-letter:uppercase">
              {{ c.code.replaceAll('_', ' ') }} <span class="text-soft">{{ c.by }}, {{ clockText(c.at) }}</span>
            </li>
          </ul>
        </section>
      </div>

      <section v-if="!isOpen" class="panel mt-4 grid gap-4 sm:grid-cols-2" aria-label="What to keep">
        <div>
          <h2 class="text-xl">Worked</h2>
          <p class="whitespace-pre-line">{{ record.worked || 'Nothing noted.' }}</p>
        </div>
        <div>
          <h2 class="text-xl">Change next time</h2>
          <p class="whitespace-pre-line">{{ record.change || 'Nothing noted.' }}</p>
        </div>
      </section>
      <form v-else class="panel no-print mt-4" @submit.prevent="file">
        <h2 class="mb-3 text-xl">File it</h2>
        <div class="grid gap-4 sm:grid-cols-2">
          <div>
            <label class="label" for="worked">Two things that worked</label
            ><textarea id="worked" v-model="worked" class="field min-h-24 py-2" maxlength="2000" />
          </div>
          <div>
            <label class="label" for="change">One thing to change next time</label
            ><textarea id="change" v-model="change" class="field min-h-24 py-2" maxlength="2000" />
          </div>
        </div>
        <button class="btn btn-act mt-3 px-8 text-lg" :disabled="acts.isBusy.value">File the service</button>
        <span class="ml-3 text-sm text-soft">Filing locks the record.</span>
      </form>

      <section class="panel mt-4" aria-labelledby="log">
        <div class="flex items-center">
          <h2 id="log" class="grow text-xl">The log, {{ record.lines.length }} lines</h2>
          <button type="button" class="btn no-print" :aria-expanded="isLogOpen" @click="isLogOpen = !isLogOpen">
            {{ isLogOpen ? 'Fold away' : 'Show' }}
          </button>
        </div>
        <ol class="mt-2 print:block" :class="isLogOpen ? 'block' : 'hidden'">
          <li v-for="(line, i) in record.lines" :key="i" class="flex gap-3 border-t border-line py-1">
            <span class="num w-14 shrink-0 text-soft">{{ clockText(line.at) }}</span><span
              class="grow"
              :class="{ 'text-soft line-through': line.is_voided }"
              >{{ line.text }}</span
            ><span class="text-soft">{{ line.by }}</span>
          </li>
        </ol>
      </section>
    </template>
  </main>
</template>

<style scoped>
.record-row {
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr) 150px;
  align-items: center;
  column-gap: 14px;
}
@media (max-width: 640px) {
  .record-row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
