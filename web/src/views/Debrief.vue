<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { practice, roundFile, tryAgain } from '../api/practice'
import type { Schemas } from '../api/client'
import { offText } from '../lib/eye'
import { saveText } from '../lib/files'
import { likelyAt, pointAt, type Axis } from '../lib/strip'
import { duration, levelText, fixed } from '../lib/time'
import { difficulties, helps, modeName, topics } from '../lib/words'
import Strip from '../parts/Strip.vue'
import Swatch from '../parts/Swatch.vue'
import Wait from '../parts/Wait.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

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
const missText = (n: number) =>
  Math.abs(n) < 0.05
    ? $t('common.onTarget')
    : `${fixed(Math.abs(n), 1)} ${n > 0 ? $t('common.pastIt') : $t('debrief.short')}`
const ways = computed(() => {
  const o = told.value?.outcome
  if (!o) return []
  return [
    { name: $t('common.you'), way: o.done },
    { name: $t('debrief.theBoardSOwnAdvice'), way: o.advised },
    { name: $t('debrief.theBestForThisHair'), way: o.best },
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
const signed = (n: number) => `${n > 0 ? '+' : n < 0 ? '−' : ''}${fixed(Math.abs(n), 1)}`
const wrongs = computed(() => told.value?.outcome.mishaps ?? [])
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-2 pb-24 sm:px-6">
    <Wait
      v-if="!told"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('debrief.theDebrief')"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-end gap-3">
        <div class="grow">
          <h1 class="text-[34px] leading-tight">{{ told.title }}</h1>
          <p class="text-soft">
            <i18n-t keypath="debrief.debriefSeed" scope="global"
              ><template #difficulties>{{ difficulties[told.difficulty] }}</template
              ><template #helps>{{ helps[told.help] }}</template
              ><template #seed>{{ told.seed }}</template
              ><template #part1
                ><template v-if="told.played_by">
                  {{ ` ${$t('debrief.playedBy', { played_by: told.played_by })}` }}</template
                ></template
              ></i18n-t
            >
          </p>
        </div>
        <button type="button" class="btn" @click="save(false)">{{ $t('debrief.setThisHeadToOthers') }}</button>
        <button type="button" class="btn" @click="save(true)">{{ $t('debrief.saveTheRound') }}</button>
        <button type="button" class="btn btn-act" :disabled="isBusy" @click="again('start')">
          {{ $t('common.onceMore') }}
        </button>
      </div>

      <section class="mb-6 grid gap-3 lg:grid-cols-2" :aria-label="$t('debrief.threeSentences')">
        <div class="panel">
          <h2 class="label">{{ $t('debrief.whatWorked') }}</h2>
          <p v-for="w in told.worked" :key="w" class="border-t border-line py-2 text-xl first-of-type:border-t-0">
            {{ w }}
          </p>
          <p v-if="!told.worked.length" class="text-xl text-soft">{{ $t('debrief.nothingToSpeakOfYet') }}</p>
        </div>
        <div class="panel border-s-[10px] border-signal">
          <h2 class="label">{{ $t('debrief.whatToChange') }}</h2>
          <p class="py-2 text-2xl leading-snug font-semibold">{{ told.change }}</p>
        </div>
      </section>

      <section v-if="lanes.length" class="mb-6" aria-labelledby="hair">
        <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
          <h2 id="hair" class="text-xl">{{ $t('debrief.whatTheHairDid') }}</h2>
          <p class="text-[15px] text-soft">
            {{ $t('debrief.thickAsItReallyWas') }}
          </p>
        </div>
        <div class="debrief-row items-center pb-1">
          <label for="moment" class="hidden text-sm text-soft md:block">{{ $t('debrief.theMoment') }}</label>
          <div class="flex items-center gap-3">
            <input
              id="moment"
              type="range"
              class="-mx-[8px] h-12 w-[calc(100%+16px)]"
              min="0"
              :max="Math.round(end)"
              step="1"
              :value="at"
              :aria-label="$t('debrief.theMomentMinutesAfterThe')"
              @input="(e) => (minute = Number((e.target as HTMLInputElement).value))"
            />
          </div>
          <p class="flex items-center gap-3">
            <span class="num text-[26px] leading-none">{{ at.toFixed(0) }}</span>
            <span class="text-soft">{{ $t('common.min') }}</span>
            <button
              v-if="minute !== null"
              type="button"
              class="btn ms-auto !min-h-11 !px-3"
              :disabled="isBusy"
              @click="again('here')"
            >
              {{ $t('debrief.fromHere') }}
            </button>
          </p>
        </div>
        <div v-for="lane in lanes" :key="lane.key" class="debrief-row items-center border-t border-line py-1.5">
          <div class="min-w-0">
            <h3 class="narrow text-[17px] leading-tight">{{ lane.name }}</h3>
            <p class="text-[13px] text-soft">
              <i18n-t keypath="debrief.volFrom" scope="global"
                ><template #volume_strength>{{ levelText(lane.volume_strength) }}</template
                ><template #true_start>{{ fixed(lane.true_start, 1) }}</template
                ><template #part1
                  ><b v-if="Math.abs(lane.true_start - lane.told_start) >= 0.25" class="text-ink">
                    {{ ` ${$t('debrief.youHad', { told_start: levelText(lane.told_start) })}` }}</b
                  ></template
                ></i18n-t
              >
            </p>
          </div>
          <div class="relative">
            <Strip
              class="!h-[58px]"
              :axis="axis"
              :zero="lane.zero_min"
              :points="lane.truth"
              :fibres="lane.fibres"
              :apply-from="lane.start_min"
              :end="lane.zero_min + (lane.minutes ?? lane.wall_min)"
              :now="lane.zero_min + (lane.minutes ?? lane.wall_min)"
              :wall="lane.zero_min + lane.wall_min"
              :readings="readings(lane)"
              :is-rinsed="lane.minutes !== null"
              :label="
                $t('debrief.endedAtWanted', {
                  name: lane.name,
                  true_end: fixed(lane.true_end, 1),
                  target_level: levelText(lane.target_level),
                })
              "
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
              :label="$t('debrief.asItWasBelieved')"
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
              <span class="num text-[24px]">{{ fixed(now(lane).truth, 1) }}</span>
              <span class="num ms-1.5 text-lg text-soft">{{ $t('arrow.on') }} {{ levelText(lane.target_level) }}</span>
              <span class="narrow block text-[15px] text-soft">
                <template v-if="isOn(lane)"
                  ><i18n-t keypath="debrief.rinsedNow" scope="global"
                    ><template #truth>{{ missText(now(lane).truth - lane.target_level) }}</template
                    ><template #part1
                      ><template v-if="now(lane).believed">{{
                        $t('debrief.believed', { believed: fixed(now(lane).believed!, 1) })
                      }}</template></template
                    ></i18n-t
                  ></template
                >
                <b v-else-if="at >= lane.zero_min" :class="lane.is_on_target ? 'text-ink' : 'text-stop'">{{
                  missText(lane.miss)
                }}</b>
                <template v-else>{{ $t('debrief.notOnYet') }}</template>
              </span>
            </p>
          </div>
        </div>
      </section>

      <div class="grid gap-6 lg:grid-cols-2">
        <section v-if="ways.length" class="min-w-0" aria-labelledby="ways">
          <h2 id="ways" class="mb-2 text-xl">{{ $t('debrief.threeWaysWithThisHead') }}</h2>
          <div class="panel overflow-x-auto">
            <table class="w-full text-start">
              <thead>
                <tr class="text-sm text-soft">
                  <th class="py-1 font-semibold" scope="col">
                    <span class="sr-only">{{ $t('debrief.way') }}</span>
                  </th>
                  <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('common.onTarget') }}</th>
                  <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('debrief.worst') }}</th>
                  <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('debrief.time') }}</th>
                  <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('debrief.looks') }}</th>
                  <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('common.trips') }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(w, i) in ways" :key="w.name" class="border-t border-line">
                  <th class="py-2 leading-tight" :class="i ? 'font-normal' : 'font-bold'" scope="row">{{ w.name }}</th>
                  <td class="num py-2 ps-3 text-end text-lg whitespace-nowrap">
                    {{ $t('debrief.of', { on_target: w.way.on_target, lanes: w.way.lanes }) }}
                  </td>
                  <td class="num py-2 ps-3 text-end text-lg">{{ fixed(w.way.worst, 1) }}</td>
                  <td class="num py-2 ps-3 text-end text-lg whitespace-nowrap">{{ duration(w.way.minutes) }}</td>
                  <td class="num py-2 ps-3 text-end text-lg">{{ i === 2 ? '–' : w.way.looks }}</td>
                  <td class="num py-2 ps-3 text-end text-lg">{{ w.way.trips }}</td>
                </tr>
              </tbody>
            </table>
          </div>
          <h2 class="mt-6 mb-2 text-xl">{{ $t('debrief.eachLaneHadYouKnown') }}</h2>
          <ul class="panel !py-1">
            <li
              v-for="lane in lanes"
              :key="lane.key"
              class="flex flex-wrap items-baseline gap-x-3 border-t border-line py-2 first:border-t-0"
            >
              <b class="narrow grow">{{ lane.name }}</b>
              <span class="num text-[15px] text-soft"
                ><i18n-t keypath="debrief.rinsedAfterMinBest" scope="global"
                  ><template #minutes>{{ lane.minutes === null ? '–' : lane.minutes.toFixed(0) }}</template
                  ><template #best_min
                    ><b class="text-ink">{{ lane.best_min.toFixed(0) }}</b></template
                  ><template #part2
                    ><template v-if="lane.advice_min !== null">
                      {{ ` ${$t('debrief.advice', { advice_min: lane.advice_min.toFixed(0) })}` }}</template
                    ></template
                  ><template #part3
                    ><template v-if="lane.early_looks">
                      {{ ` ${$t('debrief.tooMany', { looks: $t('count.looks', lane.early_looks) })}` }}</template
                    ></template
                  ><template #part4
                    ><template v-if="lane.is_passed_wall">
                      · <b class="text-stop">{{ $t('debrief.pastItsLabel') }}</b></template
                    ></template
                  ></i18n-t
                ></span
              >
            </li>
          </ul>
        </section>
        <div class="flex min-w-0 flex-col gap-6">
          <section v-if="told.outcome.readings.length" aria-labelledby="read">
            <h2 id="read" class="mb-2 text-xl">{{ $t('debrief.whatYouRead') }}</h2>
            <div class="panel">
              <p v-for="e in told.outcome.eyes" :key="e.mode" class="text-lg">
                <i18n-t keypath="debrief.yourEye" scope="global"
                  ><template #mode>{{ modeName(e.mode) }}</template
                  ><template #what>{{ ' ' }}</template
                  ><template #bias
                    ><b>{{ offText(e.bias) }}</b></template
                  ><template #part2
                    ><span class="text-soft">{{
                      $t('debrief.readings', { bias_std: fixed(e.bias_std, 2), count: e.count })
                    }}</span></template
                  ></i18n-t
                >
              </p>
              <ul class="mt-2 grid gap-x-6 sm:grid-cols-2">
                <li
                  v-for="r in told.outcome.readings"
                  :key="r.event_id"
                  class="num flex items-baseline gap-2 border-t border-line py-1"
                >
                  <span class="narrow min-w-0 grow truncate">{{ laneName(r.lane_key) }}</span>
                  <span class="text-soft">{{ $t('debrief.min', { minute: r.minute.toFixed(0) }) }}</span>
                  <span>{{ levelText(r.level) }}</span>
                  <span class="w-12 text-end" :class="Math.abs(r.error) > 0.5 ? 'font-bold' : 'text-soft'">{{
                    signed(r.error)
                  }}</span>
                </li>
              </ul>
            </div>
          </section>
          <section v-if="told.outcome.tones.length" aria-labelledby="tones">
            <h2 id="tones" class="mb-2 text-xl">{{ $t('debrief.toneBesideTheWish') }}</h2>
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
                  :label="$t('debrief.leftWhatItBecameRight')"
                />
                <span class="grow">{{ t.name }}</span>
                <span class="num text-lg">{{ fixed(t.delta_e, 1) }}</span>
              </li>
            </ul>
          </section>
          <section aria-labelledby="hidden">
            <h2 id="hidden" class="mb-2 text-xl">{{ $t('debrief.whatThereWasToFind') }}</h2>
            <ul class="panel !py-1">
              <li v-for="f in told.found_out" :key="f.topic" class="border-t border-line py-2 first:border-t-0">
                <p class="flex gap-3">
                  <b class="grow">{{ topics[f.topic].title }}</b>
                  <span :class="f.is_so && !f.was_asked ? 'font-bold text-stop' : 'text-soft'">{{
                    f.was_asked ? $t('debrief.foundOut') : $t('debrief.notAsked')
                  }}</span>
                </p>
                <p class="text-soft">{{ f.says }}</p>
              </li>
            </ul>
          </section>
          <section v-if="wrongs.length" aria-labelledby="wrong">
            <h2 id="wrong" class="mb-2 text-xl">{{ $t('debrief.whatWentWrongByItself') }}</h2>
            <ul class="panel !py-1">
              <li v-for="m in wrongs" :key="m.key" class="border-t border-line py-2 first:border-t-0">
                <p>{{ m.text }}</p>
                <p class="num text-[15px] text-soft">
                  {{
                    $t('debrief.atMin', {
                      at_min: m.at_min.toFixed(0),
                      what:
                        m.seen_to_min === null
                          ? $t('debrief.nobodySawToIt')
                          : $t('debrief.seenToAfterMin', { seen_to_min: m.seen_to_min.toFixed(0) }),
                    })
                  }}
                </p>
              </li>
            </ul>
          </section>
        </div>
      </div>

      <section v-if="(sheet.data.value?.lines.length ?? 0) > 1" class="mt-6" aria-labelledby="class">
        <h2 id="class" class="mb-2 text-xl">{{ $t('debrief.whoPlayedThisHead') }}</h2>
        <div class="panel overflow-x-auto">
          <table class="w-full text-start">
            <thead>
              <tr class="text-sm text-soft">
                <th class="py-1 font-semibold" scope="col">{{ $t('debrief.who') }}</th>
                <th class="py-1 ps-3 font-semibold" scope="col">{{ $t('debrief.help') }}</th>
                <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('common.onTarget') }}</th>
                <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('debrief.worst') }}</th>
                <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('debrief.time') }}</th>
                <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('debrief.looks') }}</th>
                <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('common.labelsKept') }}</th>
                <th class="py-1 ps-3 text-end font-semibold" scope="col">{{ $t('debrief.eye') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(l, i) in sheet.data.value?.lines" :key="i" class="border-t border-line">
                <th class="py-2 font-semibold" scope="row">{{ l.name }}</th>
                <td class="py-2 ps-3">{{ helps[l.help] }}</td>
                <td class="num py-2 ps-3 text-end">
                  {{ $t('debrief.of', { on_target: l.numbers.on_target, lanes: l.numbers.lanes }) }}
                </td>
                <td class="num py-2 ps-3 text-end">
                  {{ l.numbers.worst === null ? '–' : fixed(l.numbers.worst, 1) }}
                </td>
                <td class="num py-2 ps-3 text-end whitespace-nowrap">{{ duration(l.numbers.minutes) }}</td>
                <td class="num py-2 ps-3 text-end">{{ l.numbers.looks }}</td>
                <td class="num py-2 ps-3 text-end">{{ l.numbers.walls_kept }}</td>
                <td class="num py-2 ps-3 text-end">{{ l.eye_bias === null ? '–' : signed(l.eye_bias) }}</td>
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
