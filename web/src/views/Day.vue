<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { afterwards } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { changeClient, importFile, queries } from '../api/queries'
import { FileError, readText } from '../lib/files'
import { clock as clockText, countdown, dayName, isoDay, levelText, minutesUntil, dayText } from '../lib/time'
import DayWaits from '../parts/DayWaits.vue'
import FindBox from '../parts/FindBox.vue'
import FirstSteps from '../parts/FirstSteps.vue'
import HairBundle from '../parts/HairBundle.vue'
import Wait from '../parts/Wait.vue'
import WeekGrid from '../parts/WeekGrid.vue'
import { useClock } from '../stores/clock'
import { useNotices } from '../stores/notices'
import { waysThrough } from '../stores/steps'
import NewService from './NewService.vue'
import { $t } from '../lib/i18n'
import { toneName } from '../lib/words'

const clock = useClock()
const client = useQueryClient()
const router = useRouter()
const notices = useNotices()
const day = ref(isoDay(new Date()))
const query = useQuery(queries.day(day))
const isNewOpen = ref(false)
const stepClass = (s: Schemas['DayService'], i: number) => {
  const at = waysThrough[s.kind].indexOf(s.step)
  return i < at ? 'bg-ink' : i === at ? 'bg-signal' : 'bg-line'
}
const isWeek = ref(false)
const weekName = computed(() => {
  const monday = week.data.value?.monday
  if (!monday) return $t('day.week')
  const at = new Date(`${monday}T12:00:00`)
  return $t('day.weekOf', { at: dayText(at, { day: 'numeric', month: 'long' }) })
})
const week = useQuery(computed(() => ({ ...afterwards.week(day), enabled: isWeek.value })))
const stepNames: Record<string, string> = {
  consultation: $t('common.consultation'),
  plan: $t('common.plan'),
  chair: $t('common.chair'),
  review: $t('common.review'),
  tone: $t('common.tone'),
  record: $t('day.filed'),
}
const patchTests = computed(() => query.data.value?.patch_tests ?? [])
const readPatch = async (test: Schemas['DayPatchTest'], result: 'negative' | 'positive') => {
  const keep = async (value: Schemas['TestResult']) => {
    await changeClient(test.client_id, { patch_test_result: value })
    await client.invalidateQueries()
  }
  try {
    await keep(result)
    const said = result === 'negative' ? $t('day.readClear') : $t('day.aReaction')
    notices.say($t('day.patchTestOf', { client_name: test.client_name, said }), () => void keep('not_done'))
  } catch (error) {
    notices.fail(error)
  }
}
const takeFile = async (event: Event) => {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    const text = await readText(file, 1_900_000)
    let document: unknown
    try {
      document = JSON.parse(text)
    } catch {
      throw new FileError($t('day.mustBeAServiceFile', { name: file.name }))
    }
    if (typeof document !== 'object' || document === null || Array.isArray(document))
      throw new FileError($t('day.mustBeAServiceFile2', { name: file.name }))
    const taken = await importFile(document as Record<string, unknown>)
    await client.invalidateQueries()
    const shelf = taken.added_to_shelf.length
      ? ` ${$t('day.putOnTheShelf', { added_to_shelf: taken.added_to_shelf.join(', ') })}`
      : ''
    notices.say($t('day.takenIn', { client_name: taken.client_name, shelf }))
    await router.push({ name: 'service', params: { id: taken.service_id } })
  } catch (error) {
    notices.fail(error)
  }
}
const services = computed(() => query.data.value?.services ?? [])
/** What still needs a hand stands above what is filed. */
const groups = computed(() => [
  { name: '', list: services.value.filter((s) => s.step !== 'record') },
  { name: $t('day.filed'), list: services.value.filter((s) => s.step === 'record') },
])
const isDue = (s: (typeof services.value)[number]) =>
  s.next_due_at !== null && minutesUntil(s.next_due_at, clock.now) <= 0
const isToday = computed(() => day.value === isoDay(new Date(clock.now)))
const shift = (days: number) => {
  const at = new Date(`${day.value}T12:00:00`)
  at.setDate(at.getDate() + days)
  day.value = isoDay(at)
}
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-2 pb-24 sm:px-6">
    <div class="mb-4 flex flex-wrap items-end gap-3">
      <h1 class="grow text-[34px] leading-tight">
        {{ isWeek ? weekName : isToday ? $t('common.today') : dayName(`${day}T12:00:00`) }}
      </h1>
      <FindBox class="order-last w-full xl:order-none xl:w-60" />
      <div class="flex items-center gap-1">
        <button
          type="button"
          class="btn px-4"
          :aria-label="isWeek ? $t('day.weekBefore') : $t('day.dayBefore')"
          @click="shift(isWeek ? -7 : -1)"
        >
          {{ $t('arrow.back') }}
        </button>
        <button type="button" class="btn" :disabled="isToday" @click="day = isoDay(new Date(clock.now))">
          {{ $t('common.today') }}
        </button>
        <button
          type="button"
          class="btn px-4"
          :aria-label="isWeek ? $t('day.weekAfter') : $t('day.dayAfter')"
          @click="shift(isWeek ? 7 : 1)"
        >
          {{ $t('arrow.on') }}
        </button>
        <button type="button" class="btn" :aria-pressed="isWeek" @click="isWeek = !isWeek">
          {{ isWeek ? $t('common.day') : $t('day.week') }}
        </button>
      </div>
      <label class="btn"
        >{{ $t('day.takeAFileIn')
        }}<input type="file" accept=".json,application/json" class="sr-only" @change="takeFile"
      /></label>
      <button type="button" class="btn btn-act" @click="isNewOpen = true">{{ $t('common.newService') }}</button>
    </div>
    <FirstSteps v-if="isToday && !isWeek" />
    <DayWaits
      v-if="isToday && !isWeek && query.data.value"
      :requests="query.data.value.requests"
      :reminders="query.data.value.reminders"
    />
    <section
      v-if="isToday && !isWeek && patchTests.length"
      class="mb-3 rounded-[7px] bg-panel px-4 py-2"
      :class="{ 'border-s-[8px] border-signal ps-2': patchTests.some((p) => p.is_due) }"
      :aria-label="$t('day.patchTests')"
    >
      <ul>
        <li v-for="p in patchTests" :key="p.client_id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
          <span class="grow">
            <strong>{{ $t('day.patchTest', { client_name: p.client_name }) }}</strong>
            {{
              p.is_due
                ? $t('day.readItNow')
                : $t('day.toBeRead', { due_at: dayName(p.due_at), due_at2: clockText(p.due_at) })
            }}
          </span>
          <template v-if="p.is_due">
            <button type="button" class="btn !min-h-11" @click="readPatch(p, 'negative')">
              {{ $t('common.clear') }}
            </button>
            <button type="button" class="btn !min-h-11 text-stop" @click="readPatch(p, 'positive')">
              {{ $t('common.reacted') }}
            </button>
          </template>
          <RouterLink v-else class="btn !min-h-11" :to="{ name: 'client', params: { id: p.client_id } }">{{
            $t('day.openTheCard')
          }}</RouterLink>
        </li>
      </ul>
    </section>
    <template v-if="isWeek">
      <WeekGrid
        v-if="week.data.value"
        :week="week.data.value"
        :today="isoDay(new Date(clock.now))"
        @day="((day = $event), (isWeek = false))"
      />
      <Wait
        v-else
        :is-loading="week.isLoading.value"
        :error="week.error.value"
        :what="$t('day.theWeek')"
        @retry="week.refetch()"
      />
    </template>
    <Wait
      v-else-if="!query.data.value"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('day.theDay')"
      @retry="query.refetch()"
    />
    <p v-else-if="services.length === 0" class="panel mt-6 text-lg">
      {{ $t('day.nobodyIsBookedOnThis') }}
      <button type="button" class="font-bold underline underline-offset-4" @click="isNewOpen = true">
        {{ $t('day.startAService') }}
      </button>
      {{ $t('day.andItStandsHere') }}
    </p>
    <template v-else>
      <section
        v-for="group in groups.filter((g) => g.list.length)"
        :key="group.name"
        :aria-label="group.name || $t('day.open')"
      >
        <h2 v-if="group.name" class="mt-5 mb-2 text-lg text-soft">{{ group.name }}</h2>
        <ol class="flex flex-col gap-1.5">
          <li v-for="s in group.list" :key="s.id">
            <RouterLink
              :to="{ name: 'service', params: { id: s.id } }"
              class="grid grid-cols-[56px_1fr_auto] items-center gap-x-4 gap-y-2 rounded-[7px] bg-panel px-4 py-2 hover:bg-raised sm:grid-cols-[56px_96px_minmax(0,1fr)_232px] lg:grid-cols-[64px_104px_minmax(0,1fr)_190px_250px]"
              :class="[s.step === 'record' ? 'opacity-80' : '', isDue(s) ? 'border-s-[8px] border-signal ps-2' : '']"
            >
              <span class="num text-2xl">{{ clockText(s.starts_at) }}</span>
              <HairBundle
                class="hidden sm:block"
                :now="s.hexes_now"
                :target="s.hexes_target"
                :label="$t('day.zonesNowWithTipsIn', { client_name: s.client_name })"
              />
              <span class="min-w-0">
                <span class="block truncate text-lg font-semibold">{{ s.client_name }}</span>
                <span class="block truncate text-sm text-soft">{{ s.wish || $t('day.noWishNotedYet') }}</span>
              </span>
              <span class="num hidden text-lg whitespace-nowrap lg:block">
                <template v-if="s.level_from !== null && s.level_to !== null">
                  {{ levelText(s.level_from) }} {{ $t('arrow.on') }} {{ levelText(s.level_to) }}
                </template>
                <span class="ms-2 text-base font-normal text-soft" style="font-stretch: 90%">{{
                  s.tone && toneName(s.tone)
                }}</span>
              </span>
              <span class="col-span-3 min-w-0 text-start sm:col-span-1">
                <span class="flex items-center gap-2">
                  <span class="flex gap-[3px]" aria-hidden="true">
                    <span
                      v-for="(step, i) in waysThrough[s.kind]"
                      :key="step"
                      class="h-[14px] w-[7px]"
                      :class="stepClass(s, i)"
                    />
                  </span>
                  <span v-if="s.step !== 'record'" class="text-sm text-soft">{{ stepNames[s.step] }}</span>
                </span>
                <span
                  class="flex items-baseline gap-2 font-semibold"
                  :class="{ 'text-stop': s.is_blocked && s.step === 'consultation' }"
                >
                  <span class="truncate">{{ s.next_text }}</span>
                  <span
                    v-if="s.next_due_at"
                    class="num"
                    :class="{ 'text-signal': minutesUntil(s.next_due_at, clock.now) <= 0 }"
                    >{{ countdown(minutesUntil(s.next_due_at, clock.now)) }}</span
                  >
                </span>
              </span>
            </RouterLink>
          </li>
        </ol>
      </section>
    </template>
    <NewService :is-open="isNewOpen" @close="isNewOpen = false" />
  </main>
</template>
