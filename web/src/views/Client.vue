<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { afterwards, cancelVisit, startAgain } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { queries, startService } from '../api/queries'
import { levelText, dayText } from '../lib/time'
import TakeItsPlace from '../parts/TakeItsPlace.vue'
import VisitBars from '../parts/VisitBars.vue'
import Wait from '../parts/Wait.vue'
import { useClock } from '../stores/clock'
import { useNotices } from '../stores/notices'
import ClientFacts from './ClientFacts.vue'
import EraseSheet from './EraseSheet.vue'
import { lengthText } from '../lib/units'
import { $t } from '../lib/i18n'

const route = useRoute()
const router = useRouter()
const id = String(route.params.id)
const notices = useNotices()
const clock = useClock()
const client = useQueryClient()
const query = useQuery(queries.client(id))
const past = useQuery(afterwards.history(id))
const history = computed(() => past.data.value)
const isErasing = ref(false)
const isBusy = ref(false)
const open = async (make: () => Promise<string>) => {
  isBusy.value = true
  try {
    const service = await make()
    await client.invalidateQueries()
    await router.push({ name: 'consultation', params: { id: service } })
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
/** What the visit that was cancelled leaves free, where somebody could come. */
const free = ref<Schemas['CancelledOut'] | null>(null)
const cancel = async (service: string) => {
  try {
    const gone = await cancelVisit(service)
    await client.invalidateQueries()
    if (gone.could_come.length) free.value = gone
    else notices.say($t('common.theVisitIsCancelled'))
  } catch (error) {
    notices.fail(error)
  }
}
const again = () => open(async () => (await startAgain(id, {})).service_id)
const start = () => open(async () => (await startService(id)).id)
const date = (at: string) => dayText(at, { day: 'numeric', month: 'short', year: 'numeric' })
const range = (values: readonly number[]) => {
  const low = Math.min(...values)
  const high = Math.max(...values)
  return Math.round(low) === Math.round(high)
    ? levelText(Math.round(low * 10) / 10)
    : `${levelText(Math.round(low * 10) / 10)}–${levelText(Math.round(high * 10) / 10)}`
}
const words = (s: Schemas['ServiceThen']) => {
  if (s.lanes.length === 0) return s.wish || $t('client.noProductWasOn')
  const reached = s.lanes.map((l) => l.level).filter((v): v is number => v !== null)
  return $t('client.volLongestMinOn', {
    lanes: range(s.lanes.map((l) => l.before)),
    reached: reached.length ? range(reached) : $t('client.notRead'),
    lanes2: range(s.lanes.map((l) => l.volume)),
    contact_min: s.contact_min.toFixed(0),
  })
}
const steps: Record<string, string> = {
  record: '',
  consultation: $t('client.toCome'),
  plan: $t('common.planned'),
  chair: $t('client.atTheChair'),
}
const formulas = (s: Schemas['ServiceThen']) => [...new Set(s.toners.map((t) => t.formula))]
const most = computed(() => Math.max(...(history.value?.loads ?? []).map((l) => l.minutes), 1))
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-2 pb-24 sm:px-6">
    <Wait
      v-if="!query.data.value"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('client.theClient')"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-end gap-3">
        <div class="grow">
          <h1 class="text-[34px] leading-tight">{{ query.data.value.name }}</h1>
          <p
            v-if="history?.regrowth_mm != null && history.regrowth_mm >= 1"
            :class="history.is_past_root ? 'font-semibold' : 'text-soft'"
          >
            {{
              $t('client.aboutMmGrownSinceThe', {
                regrowth_mm: lengthText(history.regrowth_mm),
                what: history.is_past_root ? $t('client.longerThanOneRootApplication') : '',
              })
            }}
          </p>
        </div>
        <button
          v-if="history?.can_start_again && !query.data.value.erased_at"
          type="button"
          class="btn btn-act px-6 text-lg"
          :disabled="isBusy"
          @click="again"
        >
          {{ $t('client.startFromLastTime') }}
        </button>
        <button
          v-if="!query.data.value.erased_at"
          type="button"
          class="btn"
          :class="{ 'btn-act': history && !history.can_start_again }"
          :disabled="isBusy"
          @click="start"
        >
          {{ $t('common.newService') }}
        </button>
      </div>
      <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
        <div class="flex flex-col gap-4">
          <section class="panel" aria-labelledby="visits">
            <h2 id="visits" class="mb-1 text-xl">{{ $t('client.overTheYears') }}</h2>
            <Wait
              v-if="!history"
              :is-loading="past.isLoading.value"
              :error="past.error.value"
              :what="$t('client.theHistory')"
              @retry="past.refetch()"
            />
            <p v-else-if="history.services.length === 0" class="text-soft">
              {{ $t('client.noVisitsYetStartA') }}
            </p>
            <ol v-else>
              <li v-for="s in history.services" :key="s.id" class="flex items-center gap-3 border-t border-line">
                <RouterLink
                  class="grid min-w-0 grow items-center gap-x-5 gap-y-1 py-3 hover:bg-raised sm:grid-cols-[104px_minmax(0,1fr)_auto]"
                  :to="{ name: s.step === 'record' ? 'record' : 'service', params: { id: s.id } }"
                >
                  <span class="num text-lg">{{ date(s.starts_at) }}</span>
                  <span class="min-w-0">
                    <span class="block font-semibold"
                      >{{ s.step === 'record' ? words(s) : (steps[s.step] ?? s.step)
                      }}<span v-if="s.source" class="ms-2 font-normal text-soft">{{
                        $t('client.from', { source: s.source })
                      }}</span></span
                    >
                    <span v-if="formulas(s).length" class="block text-[15px]">{{
                      $t('client.tonedWith', { s: formulas(s).join(', ') })
                    }}</span>
                    <span v-if="s.worked" class="block text-[15px] text-soft">{{
                      $t('client.worked', { worked: s.worked })
                    }}</span>
                    <span v-if="s.change" class="block text-[15px] text-soft">{{
                      $t('client.change', { change: s.change })
                    }}</span>
                  </span>
                  <VisitBars
                    v-if="s.lanes.length"
                    :lanes="s.lanes"
                    :label="$t('client.zonesBeforeAboveReachedBelow', { count: s.lanes.length })"
                  />
                </RouterLink>
                <button
                  v-if="s.step === 'consultation' && new Date(s.starts_at).getTime() > clock.now"
                  type="button"
                  class="btn !min-h-11 shrink-0"
                  @click="cancel(s.id)"
                >
                  {{ $t('common.cancelIt') }}
                </button>
              </li>
            </ol>
          </section>
          <section v-if="history?.formulas.length" class="panel" aria-labelledby="formulas">
            <h2 id="formulas" class="text-xl">{{ $t('client.lastTimeSFormulaCorrected') }}</h2>
            <ul class="mt-1">
              <li
                v-for="f in history.formulas"
                :key="f.name"
                class="flex flex-wrap gap-x-3 border-t border-line py-1.5"
              >
                <strong class="w-40">{{ f.name }}</strong><span class="grow">{{ f.says }}</span>
              </li>
            </ul>
          </section>
          <section v-if="history?.loads.length" class="panel" aria-labelledby="loads">
            <h2 id="loads" class="text-xl">{{ $t('client.contactLoad') }}</h2>
            <p class="text-[15px] text-soft">
              {{ $t('client.minutesWithProductOnAll') }}
            </p>
            <ul class="mt-1">
              <li
                v-for="l in history.loads"
                :key="l.name"
                class="grid grid-cols-[minmax(0,150px)_minmax(0,1fr)_auto] items-center gap-3 border-t border-line py-1.5"
              >
                <span class="truncate">{{ l.name }}</span><span
                  class="h-3 rounded-[2px] bg-strong"
                  :style="{ width: `${(100 * l.minutes) / most}%` }"
                /><span class="num"
                  ><i18n-t keypath="client.min" scope="global"
                    ><template #minutes>{{ l.minutes.toFixed(0) }}</template
                    ><template #part1
                      ><span class="ms-2 text-soft">{{ $t('count.visits', l.services) }}</span></template
                    ></i18n-t
                  ></span
                >
              </li>
            </ul>
          </section>
        </div>
        <div class="flex flex-col gap-4">
          <section v-if="history?.tests.length" class="panel" aria-labelledby="tests">
            <h2 id="tests" class="text-xl">{{ $t('common.tests') }}</h2>
            <ul>
              <li v-for="(t, i) in history.tests" :key="i" class="border-t border-line py-1.5">
                <strong>{{ t.text }}</strong>
                <span class="block text-[15px]" :class="t.is_expired ? 'font-semibold text-stop' : 'text-soft'"
                  ><template v-if="t.at">{{ date(t.at) }}, </template
                  ><template v-if="t.holds_until"
                    >{{ t.is_expired ? $t('client.expired') : $t('client.holdsUntil') }}
                    {{ date(t.holds_until) }}</template
                  ></span
                >
              </li>
            </ul>
          </section>
          <p v-if="query.data.value.erased_at" class="panel">
            {{ $t('client.erasedOnWhatWasDone', { erased_at: date(query.data.value.erased_at) }) }}
          </p>
          <ClientFacts v-else :card="query.data.value" :usual-growth="history?.growth_mm_per_month ?? 12" />
          <div v-if="!query.data.value.erased_at" class="flex flex-wrap gap-2">
            <a class="btn grow" :href="`/api/clients/${id}/archive`" download>{{ $t('common.takeOutWhatIsKept') }}</a>
            <button type="button" class="btn grow text-stop" @click="isErasing = true">{{ $t('client.erase') }}</button>
          </div>
        </div>
      </div>
      <EraseSheet
        :is-open="isErasing"
        :client-id="id"
        :name="query.data.value.name"
        @close="isErasing = false"
        @erased="router.push({ name: 'day' })"
      />
      <TakeItsPlace :free="free" @close="free = null" />
    </template>
  </main>
</template>
