<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { addAddendum, readColours, readReadings, takeColours } from '../api/afterwards'
import { queries } from '../api/queries'
import { readText, saveText } from '../lib/files'
import { strandAxes, type Axis, ticks, toPercent } from '../lib/strip'
import { clock as clockText, dayName, levelText, fixed, listed } from '../lib/time'
import { weight } from '../lib/units'
import HeadMap from '../parts/HeadMap.vue'
import NextVisit from '../parts/NextVisit.vue'
import StrandChart from '../parts/StrandChart.vue'
import PhotoShelf from '../parts/PhotoShelf.vue'
import Strip from '../parts/Strip.vue'
import Swatch from '../parts/Swatch.vue'
import Wait from '../parts/Wait.vue'
import { useActs } from '../stores/acts'
import { useNotices } from '../stores/notices'
import { usePractice } from '../stores/practice'
import { $t } from '../lib/i18n'
import { toneName } from '../lib/words'

const route = useRoute()
const id = String(route.params.id)
const practice = usePractice()
/** A practice round is filed nowhere: it ends with its debrief. */
const isPractice = computed(() => practice.id === id)
const query = useQuery(computed(() => ({ ...queries.record(id), enabled: !isPractice.value })))
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
const owners = computed(() => {
  const found: Record<string, string> = {}
  for (const lane of record.value?.ran ?? []) for (const area of lane.areas) found[area] = lane.zone_key
  return found
})
const pictures = computed(() =>
  (['before_hex', 'level_hex', 'after_hex'] as const).map((field) => {
    const fills: Record<string, string> = {}
    for (const lane of [...(record.value?.ran ?? [])].reverse()) fills[lane.zone_key] = lane[field]
    return {
      field,
      name: {
        before_hex: $t('common.before'),
        level_hex: $t('record.liftedTo'),
        after_hex: $t('record.afterTheToner'),
      }[field],
      fills,
    }
  }),
)
const ranOf = (key: string) => record.value?.ran.find((r) => r.key === key)
const addendum = ref('')
const notices = useNotices()
const add = async () => {
  try {
    await addAddendum(id, addendum.value)
    addendum.value = ''
    notices.say($t('record.addedToTheRecord'))
    await query.refetch()
  } catch (error) {
    notices.fail(error)
  }
}
const paper = useLocalStorage<'a4' | 'letter'>('fervens.paper', 'a4')
const saveTable = async (what: 'readings' | 'colours') => {
  try {
    const name = (record.value?.client_name ?? 'service').replaceAll(/[^\w]+/g, '-').toLowerCase()
    if (what === 'readings') saveText(`${name}-readings.csv`, (await readReadings(id)).text, 'text/csv')
    else saveText(`${name}-colours.txt`, (await readColours(id)).text, 'text/plain')
  } catch (error) {
    notices.fail(error)
  }
}
const takeColourFile = async (event: Event) => {
  const input = event.target as HTMLInputElement
  const picked = input.files?.[0]
  input.value = ''
  if (!picked) return
  try {
    await takeColours(id, await readText(picked, 300_000))
    notices.say($t('record.theMeasurementsAreInThe'))
    await query.refetch()
    await acts.refresh()
  } catch (error) {
    notices.fail(error)
  }
}
/** Where the next visit stands or, while it is worked out, will stand. */
const nextPlace = ref<HTMLElement>()
const toNext = () => nextPlace.value?.scrollIntoView({ block: 'start' })
const hasColours = computed(() => record.value?.readings.some((r) => r.lab.length === 3) ?? false)
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1180px] px-4 pt-3 pb-16 sm:px-6">
    <section v-if="isPractice" class="panel mx-auto mt-6 max-w-xl">
      <h1 class="mb-1 text-2xl">{{ $t('record.nothingIsFiledInPractice') }}</h1>
      <p class="text-soft">
        {{ $t('record.endTheRoundUpHere') }}
      </p>
    </section>
    <Wait
      v-else-if="!record"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('record.theRecord')"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-end gap-4">
        <div class="grow">
          <h1 class="sr-only text-[30px] leading-tight print:not-sr-only">{{ record.client_name }}</h1>
          <p class="text-lg text-soft">
            {{ dayName(record.starts_at) }}, {{ clockText(record.starts_at)
            }}<template v-if="record.closed_at">
              {{ ` ${$t('record.filed', { closed_at: clockText(record.closed_at) })}` }}</template
            ><template v-else> {{ ` ${$t('record.notFiledYet')}` }}</template> ·
            {{ record.lightener_name ?? $t('record.noLightener') }}
          </p>
        </div>
        <div class="no-print flex flex-wrap items-center gap-2">
          <button v-if="!isOpen && record.closed_at" type="button" class="btn btn-act w-full sm:hidden" @click="toNext">
            {{ $t('record.bookTheNextVisit') }}
          </button>
          <label class="sr-only" for="paper">{{ $t('record.paper') }}</label><select
            id="paper"
            v-model="paper"
            class="btn px-3"
          >
            <option value="a4">A4</option>
            <option value="letter">{{ $t('record.letter') }}</option>
          </select>
          <a class="btn" :href="`/api/services/${id}/card.pdf?paper=${paper}`" target="_blank">{{
            $t('record.serviceCard')
          }}</a>
          <a v-if="!isOpen" class="btn" :href="`/api/services/${id}/take-home.pdf?paper=${paper}`" target="_blank">{{
            $t('record.takeHomeSheet')
          }}</a>
          <button type="button" class="btn" @click="print">{{ $t('record.print') }}</button>
        </div>
      </div>
      <p v-if="record.wish" class="mb-4 max-w-[70ch] text-lg">
        “{{ record.wish }}”
        <span class="text-soft">{{ $t('record.toneWanted', { tone: toneName(record.tone) }) }}</span>
      </p>
      <p v-if="record.walls_passed.length" class="mb-3 rounded-[5px] bg-stop px-4 py-2 font-semibold text-stop-ink">
        {{ $t('record.pastTheLabelSTime', { walls_passed: record.walls_passed.join(', ') }) }}
      </p>

      <div v-if="record.ran.length" class="mb-4 grid gap-3 sm:grid-cols-3">
        <figure v-for="p in pictures" :key="p.field" class="panel !py-3">
          <figcaption class="mb-1 text-sm font-semibold text-soft">{{ p.name }}</figcaption>
          <HeadMap :fills="p.fills" :owners="owners" :selected="[]" is-locked />
        </figure>
      </div>
      <section v-if="record.strands.length" class="panel mb-4" aria-labelledby="strands">
        <h2 id="strands" class="mb-2 text-xl">{{ $t('record.strandsTested') }}</h2>
        <ul class="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
          <li v-for="s in record.strands" :key="s.key">
            <p class="font-semibold">
              <i18n-t keypath="record.strand" scope="global"
                ><template #key>{{ s.key }}</template
                ><template #part1
                  ><span class="num font-normal text-soft">{{
                    $t('common.vol', { volume_strength: levelText(s.volume_strength) })
                  }}</span></template
                ></i18n-t
              >
            </p>
            <StrandChart
              :points="s.curve"
              :readings="s.readings ?? []"
              :hexes="s.reading_hexes"
              :axes="strandAxes(record.strands)"
              :label-max-min="s.label_max_min"
              :now="null"
              :label="$t('record.strandReadings', { key: s.key, count: s.readings?.length ?? 0 })"
            />
          </li>
        </ul>
      </section>
      <section
        v-if="lanes.length || (!record.toners.length && !record.strands.length)"
        class="panel mb-4"
        aria-labelledby="ran"
      >
        <h2 id="ran" class="mb-1 text-xl">{{ $t('record.asItRan') }}</h2>
        <p v-if="lanes.length === 0" class="text-soft">{{ $t('record.noProductHasBeenOn') }}</p>
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
              <span class="narrow line-clamp-2 font-semibold">{{ lane.name }}</span><span class="text-[13px] text-soft"
                ><i18n-t keypath="record.volMin" scope="global"
                  ><template #volume_strength>{{ levelText(lane.volume_strength) }}</template
                  ><template #zero_at>{{
                    (zeroOf(lane.zero_at) - zeroOf(lane.started_at) + (lane.rinsed_min ?? lane.end_min)).toFixed(0)
                  }}</template
                  ><template #part1
                    ><template v-if="ranOf(lane.key)?.planned_min != null">
                      {{ ` ${$t('record.plan', { planned_min: ranOf(lane.key)?.planned_min?.toFixed(0) })}` }}</template
                    ></template
                  ></i18n-t
                ></span
              >
            </p>
            <Strip
              class="h-[46px]"
              :axis="axis"
              :zero="zeroOf(lane.zero_at)"
              :points="lane.curve"
              :fibres="lane.fibres"
              :apply-from="zeroOf(lane.started_at)"
              :end="zeroOf(lane.zero_at) + lane.end_min"
              :now="axis.to"
              :wall="null"
              :readings="lane.readings.filter((r) => r.minute <= lane.end_min)"
              :is-rinsed="true"
              :label="$t('record.asItRanReadings', { name: lane.name, count: lane.readings.length })"
            />
            <div class="flex items-center gap-2.5">
              <Swatch
                :now="lane.hex_now"
                :target="lane.hex_target"
                :size="36"
                :label="$t('record.leftReachedRightWanted')"
              />
              <p class="num text-lg leading-tight whitespace-nowrap">
                {{ levelText(lane.start_level) }} {{ $t('arrow.on') }}
                {{
                  lane.achieved_level === null
                    ? $t('record.about', { likely: fixed(lane.level_now.likely, 1) })
                    : levelText(lane.achieved_level)
                }}<span class="block text-[13px] font-normal text-soft" style="font-stretch: 92%">{{
                  $t('record.wanted', { target_level: levelText(lane.target_level) })
                }}</span>
              </p>
            </div>
          </div>
        </template>
      </section>

      <div class="grid gap-4 lg:grid-cols-2">
        <section v-if="lanes.length || record.bowls.length" class="panel" aria-labelledby="bowls">
          <h2 id="bowls" class="mb-2 text-xl">{{ $t('common.bowls') }}</h2>
          <p v-if="record.bowls.length === 0" class="text-soft">{{ $t('record.noneNoted') }}</p>
          <ul>
            <li v-for="b in record.bowls" :key="b.at" class="flex gap-3 border-t border-line py-1.5">
              <span class="num w-14 shrink-0 text-soft">{{ clockText(b.at) }}</span><span
                ><i18n-t keypath="record.volGG" scope="global"
                  ><template #volume_strength>{{ levelText(b.volume_strength) }}</template
                  ><template #product_g>{{ weight(b.product_g) }}</template
                  ><template #developer_g>{{ weight(b.developer_g) }}</template
                  ><template #zone_name
                    ><strong>{{ b.zone_name }}</strong></template
                  ></i18n-t
                ><span v-if="b.recipe" class="block text-sm text-soft">{{ b.recipe }}</span></span
              >
            </li>
          </ul>
        </section>
        <section
          class="panel"
          :class="{ 'lg:col-span-2': !lanes.length && !record.bowls.length }"
          aria-labelledby="toners"
        >
          <h2 id="toners" class="mb-2 text-xl">{{ $t('common.toner') }}</h2>
          <p v-if="record.toners.length === 0" class="text-soft">{{ $t('record.noneApplied') }}</p>
          <p v-if="record.toned_difference !== null" class="mb-1">
            <i18n-t keypath="record.differenceFromTheWishesCiede2000" scope="global"
              ><template #toned_difference
                ><strong class="num">{{ fixed(record.toned_difference, 1) }}</strong></template
              ></i18n-t
            >
          </p>
          <ol class="mb-2">
            <li v-for="(b, i) in record.toner_bowls" :key="i" class="flex gap-3 border-t border-line py-1.5">
              <span class="num w-14 shrink-0 text-soft">{{ clockText(b.at) }}</span><span
                ><strong>{{ b.formula }}</strong
                >, {{ weight(b.product_g) }}
                {{ b.developer_g ? `+ ${weight(b.developer_g)}` : $t('record.withoutDeveloper')
                }}<span class="block text-sm text-soft"
                  >{{ b.zone_names.length > 1 ? `${$t('record.inThisOrder')} ` : `${$t('record.on')} `
                  }}{{ b.zone_names.join(', ')
                  }}{{
                    b.rinsed_at.length
                      ? $t('record.rinsed', { rinsed_at: listed(b.rinsed_at.map((m) => clockText(m))) })
                      : ''
                  }}</span
                ></span
              >
            </li>
          </ol>
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
                  class="w-3 border-s-2 border-panel"
                  :style="{ background: t.wanted_hex }" /></span
              ><span
                ><i18n-t keypath="record.at" scope="global"
                  ><template #level>{{ levelText(t.level) }}</template
                  ><template #shade_name>{{ t.shade_name }}</template
                  ><template #what>{{
                    t.minutes === null ? $t('record.stillOn') : $t('record.min', { minutes: t.minutes.toFixed(0) })
                  }}</template
                  ><template #zone_name
                    ><strong>{{ t.zone_name }}</strong></template
                  ></i18n-t
                ><span class="block text-sm text-soft">{{
                  $t('record.gOnAt', {
                    product_g: weight(t.product_g),
                    what: t.developer_g ? `+ ${weight(t.developer_g)}` : $t('record.neat'),
                    applied_at: clockText(t.applied_at),
                  })
                }}</span
                ><span class="block text-sm text-soft">{{ t.says }}</span></span
              >
            </li>
          </ul>
          <h2 class="mt-5 mb-2 text-xl">{{ $t('record.cautionsTakenOn') }}</h2>
          <p v-if="record.cautions.length === 0" class="text-soft">{{ $t('record.none') }}</p>
          <ul>
            <li v-for="c in record.cautions" :key="c.code" class="border-t border-line py-1.5 first-letter:uppercase">
              {{ c.name }} <span class="text-soft">{{ c.by }}, {{ clockText(c.at) }}</span>
            </li>
          </ul>
        </section>
      </div>

      <section v-if="!isOpen" class="panel mt-4 grid gap-4 sm:grid-cols-2" :aria-label="$t('record.whatToKeep')">
        <div>
          <h2 class="text-xl">{{ $t('record.worked') }}</h2>
          <p class="whitespace-pre-line">{{ record.worked || $t('record.nothingNoted') }}</p>
        </div>
        <div>
          <h2 class="text-xl">{{ $t('record.changeNextTime') }}</h2>
          <p class="whitespace-pre-line">{{ record.change || $t('record.nothingNoted') }}</p>
        </div>
      </section>
      <form v-else class="panel no-print mt-4" @submit.prevent="file">
        <h2 class="mb-3 text-xl">{{ $t('record.fileIt') }}</h2>
        <div class="grid gap-4 sm:grid-cols-2">
          <div>
            <label class="label" for="worked">{{ $t('record.twoThingsThatWorked') }}</label><textarea
              id="worked"
              v-model="worked"
              class="field min-h-24 py-2"
              maxlength="2000"
            />
          </div>
          <div>
            <label class="label" for="change">{{ $t('record.oneThingToChangeNext') }}</label><textarea
              id="change"
              v-model="change"
              class="field min-h-24 py-2"
              maxlength="2000"
            />
          </div>
        </div>
        <button class="btn btn-act mt-3 px-8 text-lg" :disabled="acts.isBusy.value">
          {{ $t('record.fileTheService') }}
        </button>
        <span class="ms-3 text-sm text-soft">{{ $t('record.filingLocksTheRecord') }}</span>
      </form>

      <section v-if="!isOpen" class="panel mt-4" aria-labelledby="added">
        <h2 id="added" class="text-xl">{{ $t('record.addedSince') }}</h2>
        <p v-if="record.addenda.length === 0" class="text-soft">{{ $t('record.nothingWhatIsFiledStays') }}</p>
        <ul>
          <li v-for="a in record.addenda" :key="a.at" class="border-t border-line py-1.5">
            <span class="whitespace-pre-line">{{ a.text }}</span>
            <span class="block text-sm text-soft">{{ a.by }}, {{ dayName(a.at) }}, {{ clockText(a.at) }}</span>
          </li>
        </ul>
        <form class="no-print mt-2 flex flex-wrap items-end gap-2" @submit.prevent="add">
          <div class="grow">
            <label class="label" for="addendum">{{ $t('record.addToTheRecord') }}</label><input
              id="addendum"
              v-model="addendum"
              class="field"
              maxlength="2000"
              required
            />
          </div>
          <button class="btn" :disabled="!addendum.trim()">{{ $t('record.add') }}</button>
        </form>
      </section>
      <PhotoShelf :service-id="id" :photos="record.photos" @changed="query.refetch()" />
      <div ref="nextPlace"><NextVisit v-if="!isOpen" :service-id="id" :client-id="record.client_id" /></div>
      <section v-if="record.uses.length" class="panel mt-4" aria-labelledby="uses">
        <h2 id="uses" class="mb-1 text-xl">
          <i18n-t keypath="record.fromTheShelf" scope="global"
            ><template #part1
              ><span v-if="record.cost !== null" class="num ms-3 font-normal text-soft"
                >{{ fixed(record.cost, 2) }} {{ record.currency }}</span
              ></template
            ></i18n-t
          >
        </h2>
        <ul class="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
          <li v-for="u in record.uses" :key="u.name" class="flex gap-3 border-t border-line py-1">
            <span class="grow">{{ u.name }}</span><span class="num">{{ weight(u.grams) }}</span
            ><span v-if="u.cost !== null" class="num w-16 text-end text-soft">{{ fixed(u.cost, 2) }}</span>
          </li>
        </ul>
      </section>

      <section class="panel mt-4" aria-labelledby="log">
        <div class="flex items-center">
          <h2 id="log" class="grow text-xl">{{ $t('record.theLogLines', { count: record.lines.length }) }}</h2>
          <button v-if="record.readings.length" type="button" class="btn no-print me-2" @click="saveTable('readings')">
            {{ $t('record.readingsAsCsv') }}
          </button>
          <button v-if="hasColours" type="button" class="btn no-print me-2" @click="saveTable('colours')">
            {{ $t('record.coloursAsCgats') }}
          </button>
          <label v-if="isOpen && record.ran.length" class="btn no-print me-2"
            >{{ $t('record.takeColoursIn')
            }}<input
              type="file"
              accept=".txt,.cgats,text/plain"
              class="sr-only"
              :aria-label="$t('record.takeMeasuredColoursInCgats')"
              @change="takeColourFile"
          /></label>
          <button type="button" class="btn no-print" :aria-expanded="isLogOpen" @click="isLogOpen = !isLogOpen">
            {{ isLogOpen ? $t('record.foldAway') : $t('common.show') }}
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
  grid-template-columns: 148px minmax(0, 1fr) 150px;
  align-items: center;
  column-gap: 14px;
}
@media (max-width: 640px) {
  .record-row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
