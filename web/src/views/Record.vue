<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { addAddendum, afterwards, readColours, readReadings, takeColours } from '../api/afterwards'
import { queries } from '../api/queries'
import { readText, saveText } from '../lib/files'
import { strandAxes } from '../lib/strip'
import { clock as clockText, dayName, levelText, fixed } from '../lib/time'
import { weight } from '../lib/units'
import FootBar from '../parts/FootBar.vue'
import HeadMap from '../parts/HeadMap.vue'
import NextVisit from '../parts/NextVisit.vue'
import StrandChart from '../parts/StrandChart.vue'
import PhotoShelf from '../parts/PhotoShelf.vue'
import RecordLanes from '../parts/RecordLanes.vue'
import RecordToners from '../parts/RecordToners.vue'
import UndoButton from '../parts/UndoButton.vue'
import Wait from '../parts/Wait.vue'
import { useActs } from '../stores/acts'
import { useClock } from '../stores/clock'
import { useDrafts } from '../stores/drafts'
import { useNotices } from '../stores/notices'
import { useOutbox } from '../stores/outbox'
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
/** What is written before it is filed: kept while another step is looked at. */
const draft = useDrafts().filing(id)
const isLogOpen = ref(false)
const record = computed(() => query.data.value)
const lanes = computed(() => (record.value?.lanes ?? []).filter((l) => !l.is_forecast))
const isOpen = computed(() => record.value !== undefined && record.value.step !== 'record')
const undone = computed(() => acts.undoNow(record.value?.undo))
const notices = useNotices()
const outbox = useOutbox()
/** Filed on this device, not yet with the server. */
const isOnItsWay = computed(() => outbox.of(id).some((waiting) => waiting.kind === 'ServiceClosed'))
const file = async () => {
  if (isOnItsWay.value) return
  notices.clear() // what was done before it was filed can no longer be taken back
  if (await acts.act('ServiceClosed', { ...draft }, $t('record.isFiled'))) await query.refetch()
}
const next = useQuery(
  computed(() => ({ ...afterwards.next(id), enabled: record.value !== undefined && !isOpen.value })),
)
/** While the client is still there the next act is to book, also past midnight; later the record is looked at for itself. */
const JUST_FILED_MS = 12 * 3_600_000
const clock = useClock()
const isJustFiled = computed(
  () =>
    record.value?.closed_at && clock.moment().getTime() - new Date(record.value.closed_at).getTime() < JUST_FILED_MS,
)
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
const addendum = ref('')
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
/** Where the next visit is booked, its day to be written at once. */
const toNext = async () => {
  await nextTick()
  const day = document.getElementById('next-day')
  day?.scrollIntoView({ block: 'center' })
  day?.focus({ preventScroll: true })
}
const hasColours = computed(() => record.value?.readings.some((r) => r.lab.length === 3) ?? false)
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1180px] px-4 pt-3 pb-28 sm:px-6">
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

      <form
        v-if="isOpen"
        id="filing"
        class="panel no-print mb-4 grid gap-4 sm:grid-cols-2"
        :aria-label="$t('record.fileIt')"
        @submit.prevent="file"
      >
        <div>
          <label class="label" for="worked">{{ $t('record.twoThingsThatWorked') }}</label><textarea
            id="worked"
            v-model="draft.worked"
            class="field min-h-16 py-2"
            maxlength="2000"
          />
        </div>
        <div>
          <label class="label" for="change">{{ $t('record.oneThingToChangeNext') }}</label><textarea
            id="change"
            v-model="draft.change"
            class="field min-h-16 py-2"
            maxlength="2000"
          />
        </div>
      </form>
      <NextVisit v-if="!isOpen && isJustFiled" class="mb-4" :service-id="id" :client-id="record.client_id" />

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
      <RecordLanes
        v-if="lanes.length || (!record.toners.length && !record.strands.length)"
        :record="record"
        :lanes="lanes"
      />

      <div class="grid gap-4 lg:grid-cols-2">
        <div class="flex flex-col gap-4">
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
          <section class="panel grow">
            <h2 class="mb-2 text-xl">{{ $t('record.cautionsTakenOn') }}</h2>
            <p v-if="record.cautions.length === 0" class="text-soft">{{ $t('record.none') }}</p>
            <ul>
              <li v-for="c in record.cautions" :key="c.code" class="border-t border-line py-1.5 first-letter:uppercase">
                {{ c.name }} <span class="text-soft">{{ c.by }}, {{ clockText(c.at) }}</span>
              </li>
            </ul>
          </section>
        </div>
        <RecordToners :record="record" />
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
      <NextVisit v-if="!isOpen && !isJustFiled" class="mt-4" :service-id="id" :client-id="record.client_id" />
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
      <FootBar>
        <template #undo>
          <UndoButton
            v-if="isOpen"
            :is-off="!undone || acts.isBusy.value"
            :what="undone?.text"
            @undo="undone && acts.undo(undone)"
          />
        </template>
        <template #says
          ><p class="hidden grow text-end text-soft sm:block">
            {{ isOpen ? $t('record.filingLocksTheRecord') : '' }}
          </p></template
        >
        <button
          v-if="isOpen"
          form="filing"
          class="btn btn-act ms-auto px-8 text-lg whitespace-nowrap"
          :disabled="acts.isBusy.value || isOnItsWay"
        >
          {{ $t('record.fileTheService') }}
        </button>
        <template v-else-if="next.data.value">
          <RouterLink
            v-if="next.data.value.booked.length"
            class="btn btn-act ms-auto px-8 text-lg whitespace-nowrap"
            :to="{ name: 'day' }"
            >{{ $t('common.toTheDay') }}</RouterLink
          >
          <button
            v-else
            type="button"
            class="btn btn-act ms-auto px-8 text-lg whitespace-nowrap max-sm:px-4"
            @click="toNext"
          >
            {{ $t('record.bookTheNextVisit') }}
          </button>
        </template>
      </FootBar>
    </template>
  </main>
</template>
