<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { practice, roundFile, tryAgain } from '../api/practice'
import type { Schemas } from '../api/client'
import { saveText } from '../lib/files'
import { likelyAt, pointAt, type Axis } from '../lib/strip'
import { duration, levelText } from '../lib/time'
import { difficulties, helps, modeName, topics } from '../lib/words'
import Strip from '../parts/Strip.vue'
import Swatch from '../parts/Swatch.vue'
import Wait from '../parts/Wait.vue'
import { useNotices } from '../stores/notices'

/** What a round came to: three sentences, every lane as it really was, and the round once more under a slider. */
const PAST_MIN = 6
const route = useRoute()
const router = useRouter()
const notices = useNotices()
const id = computed(() => String(route.params.id))
const query = useQuery(computed(() => practice.debrief(id)))
const told = computed(() => query.data.value)
const sheet = useQuery(computed(() => ({ ...practice.sheet(id), enabled: told.value !== undefined })))
const lanes = computed(() => told.value?.outcome.lanes ?? [])
const end = computed(() => Math.max(...lanes.value.map((l) => l.zero_min + (l.minutes ?? l.wall_min)), 10) + PAST_MIN)
const axis = computed<Axis>(() => ({ from: 0, to: end.value }))
/** The minute that is looked at, after the first section. */
const minute = ref<number | null>(null)
const at = computed(() => minute.value ?? end.value - PAST_MIN)
const readings = (lane: Schemas['LaneTold']) =>
  (told.value?.outcome.readings ?? [])
    .filter((r) => r.lane_key === lane.key)
    .map((r) => ({ event_id: r.event_id, minute: r.minute, level: r.level, hex: hexAt(lane, r.minute) }))
const hexAt = (lane: Schemas['LaneTold'], m: number) => pointAt(lane.truth, m)?.hex ?? '#888888'
const isOn = (lane: Schemas['LaneTold']) =>
  at.value >= lane.zero_min && (lane.minutes === null || at.value < lane.zero_min + lane.minutes)
const stopAt = (lane: Schemas['LaneTold']) => Math.max(Math.min(at.value - lane.zero_min, lane.minutes ?? Infinity), 0)
const now = (lane: Schemas['LaneTold']) => ({
  truth: likelyAt(lane.truth, stopAt(lane)) ?? lane.true_start,
  hex: pointAt(lane.truth, stopAt(lane))?.hex ?? '#888888',
  believed: likelyAt(lane.expected, stopAt(lane)),
})
const miss = (lane: Schemas['LaneTold']) => lane.true_end - lane.target_level
const missText = (n: number) =>
  Math.abs(n) < 0.05 ? 'on target' : `${Math.abs(n).toFixed(1)} ${n > 0 ? 'past it' : 'short'}`
const ways = computed(() => {
  const o = told.value?.outcome
  if (!o) return []
  return [
    { name: 'You', way: o.done },
    { name: "The board's own advice, on your plan", way: o.advised },
    { name: 'The best for this hair, had it been known', way: o.best },
  ].filter((w): w is { name: string; way: Schemas['WayWorked'] } => w.way !== null)
})
const isBusy = ref(false)
const again = async (from: 'start' | 'here') => {
  isBusy.value = true
  const first = told.value?.outcome.first_at
  const until = from === 'here' && first ? new Date(new Date(first).getTime() + at.value * 60_000).toISOString() : null
  try {
    const { service_id } = await tryAgain(id.value, until)
    await router.push({ name: 'service', params: { id: service_id } })
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const save = async (played: boolean) => {
  try {
    const file = await roundFile(id.value, played)
    saveText(file.file_name, JSON.stringify(file.document, null, 1), 'application/json')
  } catch (error) {
    notices.fail(error)
  }
}
const laneName = (key: string) => lanes.value.find((l) => l.key === key)?.name ?? key
const signed = (n: number) => `${n > 0 ? '+' : n < 0 ? '−' : ''}${Math.abs(n).toFixed(1)}`
const eyeText = (bias: number) =>
  Math.abs(bias) < 0.1 ? 'true' : `${Math.abs(bias).toFixed(1)} level too ${bias > 0 ? 'light' : 'dark'}`
const wrongs = computed(() => told.value?.outcome.mishaps ?? [])
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-2 pb-24 sm:px-6">
    <Wait
      v-if="!told"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      what="The debrief"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-end gap-3">
        <div class="grow">
          <h1 class="text-[34px] leading-tight">{{ told.title }}</h1>
          <p class="text-soft">
            Debrief · {{ difficulties[told.difficulty] }} · {{ helps[told.help] }} · seed {{ told.seed
            }}<template v-if="told.played_by"> · played by {{ told.played_by }}</template>
          </p>
        </div>
        <button type="button" class="btn" @click="save(false)">Set this head to others</button>
        <button type="button" class="btn" @click="save(true)">Save the round</button>
        <button type="button" class="btn btn-act" :disabled="isBusy" @click="again('start')">Once more</button>
      </div>

      <section class="mb-6 grid gap-3 lg:grid-cols-2" aria-label="Three sentences">
        <div class="panel">
          <h2 class="label">What worked</h2>
          <p v-for="w in told.worked" :key="w" class="border-t border-line py-2 text-xl first-of-type:border-t-0">
            {{ w }}
          </p>
          <p v-if="!told.worked.length" class="text-xl text-soft">Nothing to speak of yet. Once more.</p>
        </div>
        <div class="panel border-l-[10px] border-signal">
          <h2 class="label">What to change</h2>
          <p class="py-2 text-2xl leading-snug font-semibold">{{ told.change }}</p>
        </div>
      </section>

      <section v-if="lanes.length" class="mb-6" aria-labelledby="hair">
        <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
          <h2 id="hair" class="text-xl">What the hair did</h2>
          <p class="text-[15px] text-soft">
            Thick: as it really was. Thin below: as it was believed then. Marked: what you read.
          </p>
        </div>
        <div class="debrief-row items-center pb-1">
          <label for="moment" class="hidden text-sm text-soft md:block">The moment</label>
          <div class="flex items-center gap-3">
            <input
              id="moment"
              type="range"
              class="-mx-[8px] h-12 w-[calc(100%+16px)]"
              min="0"
              :max="Math.round(end)"
              step="1"
              :value="at"
              aria-label="The moment, minutes after the first section"
              @input="(e) => (minute = Number((e.target as HTMLInputElement).value))"
            />
          </div>
          <p class="flex items-center gap-3">
            <span class="num text-[26px] leading-none">{{ at.toFixed(0) }}</span>
            <span class="text-soft">min</span>
            <button
              v-if="minute !== null"
              type="button"
              class="btn ml-auto !min-h-11 !px-3"
              :disabled="isBusy"
              @click="again('here')"
            >
              From here
            </button>
          </p>
        </div>
        <div v-for="lane in lanes" :key="lane.key" class="debrief-row items-center border-t border-line py-1.5">
          <div class="min-w-0">
            <h3 class="narrow text-[17px] leading-tight">{{ lane.name }}</h3>
            <p class="text-[13px] text-soft">
              {{ levelText(lane.volume_strength) }} vol · from {{ lane.true_start.toFixed(1)
              }}<b v-if="Math.abs(lane.true_start - lane.told_start) >= 0.25" class="text-ink">
                (you had {{ levelText(lane.told_start) }})</b
              >
            </p>
          </div>
          <div class="relative">
            <Strip
              class="!h-[58px]"
              :axis="axis"
              :zero="lane.zero_min"
              :points="lane.truth"
              :apply-from="lane.start_min"
              :end="lane.zero_min + (lane.minutes ?? lane.wall_min)"
              :now="lane.zero_min + (lane.minutes ?? lane.wall_min)"
              :wall="lane.zero_min + lane.wall_min"
              :readings="readings(lane)"
              :is-rinsed="lane.minutes !== null"
              :label="`${lane.name}: ended at ${lane.true_end.toFixed(1)}, wanted ${levelText(lane.target_level)}`"
            />
            <Strip
              v-if="lane.expected.length > 1"
              class="-mt-3 !h-[34px] !min-h-0"
              :axis="axis"
              :zero="lane.zero_min + lane.expected[0]!.minute"
              :points="lane.expected.map((p) => ({ ...p, minute: p.minute - lane.expected[0]!.minute }))"
              :apply-from="lane.zero_min"
              :end="lane.zero_min + Math.min(lane.minutes ?? lane.wall_min, lane.expected.at(-1)!.minute)"
              :now="null"
              :wall="null"
              label="As it was believed"
            />
            <span
              class="absolute top-0 bottom-0 w-[2px] bg-signal"
              :style="{ left: `${(at / end) * 100}%` }"
              aria-hidden="true"
            />
          </div>
          <div class="flex items-center gap-3">
            <span
              class="swatch size-11 shrink-0 rounded-[4px]"
              :style="{ background: now(lane).hex }"
              aria-hidden="true"
            />
            <p class="min-w-0 leading-tight">
              <span class="num text-[24px]">{{ now(lane).truth.toFixed(1) }}</span>
              <span class="num text-lg text-soft"> → {{ levelText(lane.target_level) }}</span>
              <span class="narrow block text-[15px] text-soft">
                <template v-if="isOn(lane)"
                  >rinsed now: {{ missText(now(lane).truth - lane.target_level)
                  }}<template v-if="now(lane).believed"
                    >, believed {{ now(lane).believed!.toFixed(1) }}</template
                  ></template
                >
                <b v-else-if="at >= lane.zero_min" :class="Math.abs(miss(lane)) > 0.5 ? 'text-stop' : 'text-ink'">{{
                  missText(miss(lane))
                }}</b>
                <template v-else>not on yet</template>
              </span>
            </p>
          </div>
        </div>
      </section>

      <div class="grid gap-6 lg:grid-cols-2">
        <section v-if="ways.length" class="min-w-0" aria-labelledby="ways">
          <h2 id="ways" class="mb-2 text-xl">Three ways with this head</h2>
          <div class="panel overflow-x-auto">
            <table class="w-full text-left">
              <thead>
                <tr class="text-sm text-soft">
                  <th class="py-1 font-semibold" scope="col"><span class="sr-only">Way</span></th>
                  <th class="py-1 pl-3 text-right font-semibold" scope="col">on target</th>
                  <th class="py-1 pl-3 text-right font-semibold" scope="col">worst</th>
                  <th class="py-1 pl-3 text-right font-semibold" scope="col">time</th>
                  <th class="py-1 pl-3 text-right font-semibold" scope="col">looks</th>
                  <th class="py-1 pl-3 text-right font-semibold" scope="col">trips</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(w, i) in ways" :key="w.name" class="border-t border-line">
                  <th class="py-2 leading-tight" :class="i ? 'font-normal' : 'font-bold'" scope="row">{{ w.name }}</th>
                  <td class="num py-2 pl-3 text-right text-lg whitespace-nowrap">
                    {{ w.way.on_target }} of {{ w.way.lanes }}
                  </td>
                  <td class="num py-2 pl-3 text-right text-lg">{{ w.way.worst.toFixed(1) }}</td>
                  <td class="num py-2 pl-3 text-right text-lg whitespace-nowrap">{{ duration(w.way.minutes) }}</td>
                  <td class="num py-2 pl-3 text-right text-lg">{{ i === 2 ? '–' : w.way.looks }}</td>
                  <td class="num py-2 pl-3 text-right text-lg">{{ w.way.trips }}</td>
                </tr>
              </tbody>
            </table>
          </div>
          <h2 class="mt-6 mb-2 text-xl">Each lane, had you known</h2>
          <ul class="panel !py-1">
            <li
              v-for="lane in lanes"
              :key="lane.key"
              class="flex flex-wrap items-baseline gap-x-3 border-t border-line py-2 first:border-t-0"
            >
              <b class="narrow grow">{{ lane.name }}</b>
              <span class="num text-[15px] text-soft"
                >rinsed after {{ lane.minutes === null ? '–' : lane.minutes.toFixed(0) }} min · best
                <b class="text-ink">{{ lane.best_min.toFixed(0) }}</b><template v-if="lane.advice_min !== null">
                  · advice {{ lane.advice_min.toFixed(0) }}</template
                ><template v-if="lane.early_looks">
                  · {{ lane.early_looks }} {{ lane.early_looks === 1 ? 'look' : 'looks' }} too many</template
                ><template v-if="lane.is_passed_wall"> · <b class="text-stop">past its label</b></template></span
              >
            </li>
          </ul>
        </section>
        <div class="flex min-w-0 flex-col gap-6">
          <section v-if="told.outcome.readings.length" aria-labelledby="read">
            <h2 id="read" class="mb-2 text-xl">What you read</h2>
            <div class="panel">
              <p v-for="e in told.outcome.eyes" :key="e.mode" class="text-lg">
                Your eye, {{ modeName(e.mode) }}: <b>{{ eyeText(e.bias) }}</b>{{ ' '
                }}<span class="text-soft">± {{ e.bias_std.toFixed(2) }}, {{ e.count }} readings</span>
              </p>
              <ul class="mt-2 grid gap-x-6 sm:grid-cols-2">
                <li
                  v-for="r in told.outcome.readings"
                  :key="r.event_id"
                  class="num flex items-baseline gap-2 border-t border-line py-1"
                >
                  <span class="narrow min-w-0 grow truncate">{{ laneName(r.lane_key) }}</span>
                  <span class="text-soft">{{ r.minute.toFixed(0) }} min</span>
                  <span>{{ levelText(r.level) }}</span>
                  <span class="w-12 text-right" :class="Math.abs(r.error) > 0.5 ? 'font-bold' : 'text-soft'">{{
                    signed(r.error)
                  }}</span>
                </li>
              </ul>
            </div>
          </section>
          <section v-if="told.outcome.tones.length" aria-labelledby="tones">
            <h2 id="tones" class="mb-2 text-xl">Tone, beside the wish</h2>
            <ul class="panel !py-1">
              <li
                v-for="t in told.outcome.tones"
                :key="t.key"
                class="flex items-center gap-3 border-t border-line py-2 first:border-t-0"
              >
                <Swatch
                  :now="t.got_hex"
                  :target="t.wanted_hex"
                  :size="44"
                  label="Left what it became, right the wish"
                />
                <span class="grow">{{ t.name }}</span>
                <span class="num text-lg">{{ t.delta_e.toFixed(1) }}</span>
              </li>
            </ul>
          </section>
          <section aria-labelledby="hidden">
            <h2 id="hidden" class="mb-2 text-xl">What there was to find out</h2>
            <ul class="panel !py-1">
              <li v-for="f in told.found_out" :key="f.topic" class="border-t border-line py-2 first:border-t-0">
                <p class="flex gap-3">
                  <b class="grow">{{ topics[f.topic].title }}</b>
                  <span :class="f.is_so && !f.was_asked ? 'font-bold text-stop' : 'text-soft'">{{
                    f.was_asked ? 'found out' : 'not asked'
                  }}</span>
                </p>
                <p class="text-soft">{{ f.says }}</p>
              </li>
            </ul>
          </section>
          <section v-if="wrongs.length" aria-labelledby="wrong">
            <h2 id="wrong" class="mb-2 text-xl">What went wrong by itself</h2>
            <ul class="panel !py-1">
              <li v-for="m in wrongs" :key="m.key" class="border-t border-line py-2 first:border-t-0">
                <p>{{ m.text }}</p>
                <p class="num text-[15px] text-soft">
                  at {{ m.at_min.toFixed(0) }} min ·
                  {{ m.seen_to_min === null ? 'nobody saw to it' : `seen to after ${m.seen_to_min.toFixed(0)} min` }}
                </p>
              </li>
            </ul>
          </section>
        </div>
      </div>

      <section v-if="(sheet.data.value?.lines.length ?? 0) > 1" class="mt-6" aria-labelledby="class">
        <h2 id="class" class="mb-2 text-xl">Who played this head</h2>
        <div class="panel overflow-x-auto">
          <table class="w-full text-left">
            <thead>
              <tr class="text-sm text-soft">
                <th class="py-1 font-semibold" scope="col">Who</th>
                <th class="py-1 pl-3 font-semibold" scope="col">Help</th>
                <th class="py-1 pl-3 text-right font-semibold" scope="col">on target</th>
                <th class="py-1 pl-3 text-right font-semibold" scope="col">worst</th>
                <th class="py-1 pl-3 text-right font-semibold" scope="col">time</th>
                <th class="py-1 pl-3 text-right font-semibold" scope="col">looks</th>
                <th class="py-1 pl-3 text-right font-semibold" scope="col">labels kept</th>
                <th class="py-1 pl-3 text-right font-semibold" scope="col">eye</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(l, i) in sheet.data.value?.lines" :key="i" class="border-t border-line">
                <th class="py-2 font-semibold" scope="row">{{ l.name }}</th>
                <td class="py-2 pl-3">{{ helps[l.help] }}</td>
                <td class="num py-2 pl-3 text-right">{{ l.numbers.on_target }} of {{ l.numbers.lanes }}</td>
                <td class="num py-2 pl-3 text-right">{{ l.numbers.worst?.toFixed(1) ?? '–' }}</td>
                <td class="num py-2 pl-3 text-right whitespace-nowrap">{{ duration(l.numbers.minutes) }}</td>
                <td class="num py-2 pl-3 text-right">{{ l.numbers.looks }}</td>
                <td class="num py-2 pl-3 text-right">{{ l.numbers.walls_kept }}</td>
                <td class="num py-2 pl-3 text-right">{{ l.eye_bias === null ? '–' : signed(l.eye_bias) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
    </template>
  </main>
</template>

<style>
.debrief-row {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  column-gap: 14px;
}
@media (min-width: 768px) {
  .debrief-row {
    grid-template-columns: 170px minmax(0, 1fr) 230px;
  }
}
</style>
