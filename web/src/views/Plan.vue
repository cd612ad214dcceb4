<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { compareAims, keepVersion, queries, readFile, takePlan } from '../api/queries'
import { saveText } from '../lib/files'
import { dayName, duration, levelText, fixed } from '../lib/time'
import FootBar from '../parts/FootBar.vue'
import LadderField from '../parts/LadderField.vue'
import AimCards from '../parts/AimCards.vue'
import MixingList from '../parts/MixingList.vue'
import PlanLanes from '../parts/PlanLanes.vue'
import PlanSays from '../parts/PlanSays.vue'
import PlanSettings from '../parts/PlanSettings.vue'
import PlanTools from '../parts/PlanTools.vue'
import PlanVersions from '../parts/PlanVersions.vue'
import TonerIdea from '../parts/TonerIdea.vue'
import UndoButton from '../parts/UndoButton.vue'
import Wait from '../parts/Wait.vue'
import { useActs } from '../stores/acts'
import { useClock } from '../stores/clock'
import { useNotices } from '../stores/notices'
import { type Choice as PlanChoice, usePlan } from '../stores/plan'
import { $t } from '../lib/i18n'

const route = useRoute()
const router = useRouter()
const id = String(route.params.id)
const client = useQueryClient()
const notices = useNotices()
const clock = useClock()
const acts = useActs(id)
const service = useQuery(queries.service(id))
const saved = useQuery(queries.plan(id))
const shelf = useQuery(queries.shelf())
const versions = useQuery(queries.versions(id))
const board = useQuery(queries.board(id))
const isBusy = ref(false)
const isLocked = computed(() => service.data.value?.step !== 'plan')
const { shown, problem, choice, isWhatIf, ...plan } = usePlan(id, isLocked)
watch(saved.data, (p) => p && plan.accept(p), { immediate: true })

const lanes = computed(() => shown.value?.lanes ?? [])
const lightener = computed(() => shelf.data.value?.lighteners.find((l) => l.key === choice.value.lightener_key))
const short = computed(() => lanes.value.filter((l) => l.reason))
const LEFT_ASIDE = new Set(['volumes', 'minutes', 'visits', 'visit_mins', 'aim', 'toner_key'])
/** The aims, asked for anew whenever what they rest on has changed. */
const aimKey = computed(() => {
  const on = Object.entries(choice.value).filter(([what]) => !LEFT_ASIDE.has(what))
  return JSON.stringify([on, shown.value?.move_text])
})
const aims = useQuery(
  computed(() => ({
    queryKey: ['aims', id, aimKey.value],
    queryFn: () => compareAims(id, plan.body()),
    enabled: Boolean(shown.value && lanes.value.length),
    placeholderData: (before: Schemas['AimOut'][] | undefined) => before,
  })),
)
const takeAim = (aim: Schemas['Aim']) => plan.change({ aim, volumes: {}, minutes: {}, visits: {}, visit_mins: [] })

const isSetting = ref(false)
const isSeveral = ref(false)
const selected = ref<string[]>([])
watch(lanes, (now) => {
  const keys = now.map((l) => l.key)
  if (selected.value.some((k) => !keys.includes(k))) selected.value = selected.value.filter((k) => keys.includes(k))
})
const toggle = (key: string) => {
  selected.value = selected.value.includes(key) ? selected.value.filter((k) => k !== key) : [...selected.value, key]
}

const started = computed(() =>
  board.data.value?.board.lanes.filter((l) => l.phase !== 'waiting').map((l) => new Date(l.started_at).getTime()),
)
const zero = computed(() => {
  const first = started.value?.length ? Math.min(...started.value) : clock.now
  return new Date(started.value?.length ? first : Math.ceil(first / 60_000) * 60_000)
})

const guard = async (work: () => Promise<void>) => {
  isBusy.value = true
  try {
    await work()
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const take = () =>
  guard(async () => {
    if (isWhatIf.value) await plan.whatIf(false, true)
    else await plan.keep()
    if (problem.value) return
    client.setQueryData(['board', id], await takePlan(id))
    await acts.refresh()
    await router.push({ name: 'chair', params: { id } })
  })
const keepOne = (label: string) =>
  guard(async () => {
    if (isWhatIf.value) await plan.whatIf(false, true)
    const revision = shown.value?.revision ?? 0
    client.setQueryData(['versions', id], await keepVersion(id, { revision, label }))
    notices.say($t('plan.keptAsAVersion'))
  })
const restore = (version: Schemas['VersionOut']) => {
  const kept = version.choice as unknown as PlanChoice
  const order = choice.value.order
  // zones read or left out since then: what was chosen for those that are still here comes back, the rest is proposed
  const isSameHead = [...(kept.order ?? [])].sort().join() === [...(order ?? [])].sort().join()
  const volumes = Object.fromEntries(
    Object.entries(kept.volumes ?? {}).filter(([lane]) => order?.includes(lane.split('.')[0] ?? lane)),
  )
  void plan.change(
    isSameHead ? kept : { ...kept, order, volumes, minutes: {}, visits: {}, round_starts: [], visit_mins: [] },
  )
  notices.say($t('plan.backToVersion', { number: version.number }), () => void plan.undo())
}
const saveFile = () =>
  guard(async () => {
    const file = await readFile(id)
    saveText(file.file_name, JSON.stringify(file.document, null, 1), 'application/json')
  })
const booked = computed(() => {
  const p = shown.value
  if (!p) return ''
  if (p.booked_min === null) return ''
  const left = p.booked_min - p.chair_min
  return $t('plan.booked', {
    booked_min: duration(p.booked_min),
    what: left < 0 ? $t('plan.minTooFew', { left: (-left).toFixed(0) }) : '',
  })
})
/** The plan as one page for the trolley: the more lanes and bowls, the smaller. */
const printZoom = computed(() => {
  const p = shown.value
  if (!p) return 0.75
  const height =
    210 +
    p.lanes.length * 50 +
    p.visits.length * 6 +
    p.bowls.length * 27 +
    (short.value.length + new Set(p.lanes.map((l) => l.note).filter(Boolean)).size) * 46
  return Math.min(0.76, 1020 / height)
})
watch(printZoom, (zoom) => document.documentElement.style.setProperty('--print-zoom', fixed(zoom, 3)), {
  immediate: true,
})
const print = () => window.print()
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-3 pb-28 sm:px-6 print:max-w-none print:p-0">
    <h1 class="sr-only">{{ $t('common.plan') }}</h1>
    <Wait
      v-if="!shown"
      :is-loading="saved.isLoading.value"
      :error="saved.error.value"
      :what="$t('plan.thePlan')"
      @retry="saved.refetch()"
    />
    <template v-else>
      <p class="mb-1 hidden text-[15px] print:block">
        <i18n-t keypath="plan.labelMin" scope="global"
          ><template #starts_at>{{ service.data.value ? dayName(service.data.value.starts_at) : '' }}</template
          ><template #name>{{ lightener?.name }}</template
          ><template #label_max_min>{{ lightener?.label_max_min }}</template
          ><template #wish>{{ service.data.value?.wish }}</template
          ><template #client_name
            ><strong class="text-xl">{{ service.data.value?.client_name }}</strong></template
          ></i18n-t
        >
      </p>
      <p v-if="problem" class="mb-3 rounded-[5px] bg-stop px-4 py-3 font-semibold text-stop-ink" role="alert">
        {{ problem }}
      </p>
      <p
        v-if="shown.known"
        class="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1 rounded-[5px] border-s-[8px] border-ink bg-panel px-4 py-2"
        :aria-label="$t('plan.fromEarlierVisits')"
      >
        <span
          ><strong>{{ shown.known }}.</strong>
          {{ shown.uses_known ? $t('plan.plannedWithIt') : $t('plan.plannedAsForAnyone') }}</span
        >
        <button
          v-if="!isLocked"
          type="button"
          class="btn no-print"
          @click="plan.change({ uses_known: !shown.uses_known })"
        >
          {{ shown.uses_known ? $t('plan.planAsForAnyone') : $t('plan.planWithIt') }}
        </button>
      </p>
      <p
        v-if="shown.move_text && (shown.moves.length || !shown.known)"
        class="mb-3 rounded-[5px] border-s-[8px] border-ink bg-panel px-4 py-2"
        :aria-label="$t('plan.fromTheStrandTests')"
      >
        <strong class="me-1">{{ shown.move_text }}.</strong>
        <template v-if="shown.moves.length">
          {{
            shown.moves
              .map((m) =>
                $t('plan.vol', {
                  lane_name: m.lane_name,
                  expected_volume: levelText(m.expected_volume),
                  volume: levelText(m.volume),
                }),
              )
              .join(', ')
          }}.
        </template>
        <RouterLink class="no-print ms-1 underline underline-offset-4" :to="{ name: 'strands', params: { id } }">{{
          $t('plan.theStrands')
        }}</RouterLink>
      </p>

      <AimCards
        v-if="aims.data.value && !isLocked"
        class="no-print mb-2"
        :aims="aims.data.value"
        :taken="choice.aim ?? 'simple'"
        :is-locked="isLocked"
        @take="takeAim"
      />

      <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <p class="grow">
          <i18n-t keypath="plan.inTheChair" scope="global"
            ><template #chair_min
              ><span class="num me-1.5 text-[30px] leading-none">{{ duration(shown.chair_min) }}</span></template
            ><template #part2
              ><span class="text-soft"
                ><i18n-t keypath="plan.lastRinseAfterMin" scope="global"
                  ><template #what>{{
                    shown.is_proposed ? $t('plan.asProposed') : $t('plan.withYourChanges')
                  }}</template
                  ><template #name>{{ lightener?.name }}</template
                  ><template #last_rinse>{{ duration(shown.last_rinse_min) }}</template
                  ><template #bowls>{{ $t('count.bowls', shown.bowls.length) }}</template
                  ><template #part1
                    ><template v-if="shown.promised_level !== null && shown.likely_level !== null">
                      {{
                        ` ${$t('plan.promiseLikely', { promised_level: fixed(shown.promised_level, 1), likely_level: fixed(shown.likely_level, 1) })}`
                      }}</template
                    ></template
                  ><template #part2
                    ><template v-if="booked"> · {{ booked }}</template></template
                  ></i18n-t
                ></span
              ></template
            ></i18n-t
          >
        </p>
        <template v-if="!isLocked">
          <button
            type="button"
            class="btn no-print"
            aria-controls="plan-settings"
            :aria-expanded="isSetting"
            @click="isSetting = !isSetting"
          >
            {{ $t('plan.productAndHands') }}
          </button>
          <button type="button" class="btn no-print" :aria-expanded="isSeveral" @click="isSeveral = !isSeveral">
            {{ $t('plan.severalAtOnce') }}
          </button>
          <button v-if="!shown.is_proposed" type="button" class="btn no-print" @click="plan.proposeAll()">
            {{ $t('plan.proposeAllAnew') }}
          </button>
          <button
            type="button"
            class="btn no-print"
            :class="{ 'btn-act': isWhatIf }"
            :aria-pressed="isWhatIf"
            @click="plan.whatIf(!isWhatIf)"
          >
            {{ $t('plan.whatIf') }}
          </button>
        </template>
      </div>
      <PlanSettings
        v-if="isSetting"
        id="plan-settings"
        :service-id="id"
        :choice="choice"
        :plan="shown"
        :lighteners="shelf.data.value?.lighteners ?? []"
        :is-locked="isLocked"
        @change="plan.change"
      />
      <p
        v-if="isWhatIf"
        class="no-print mb-3 flex flex-wrap items-center gap-3 rounded-[5px] border-2 border-dashed border-ink bg-panel px-4 py-2"
        role="status"
      >
        <span class="grow font-semibold">{{ $t('plan.whatIfNothingYouChange') }}</span>
        <button type="button" class="btn" @click="plan.whatIf(false)">{{ $t('plan.dropIt') }}</button>
        <button type="button" class="btn btn-act" @click="plan.whatIf(false, true)">
          {{ $t('common.keepIt') }}
        </button>
      </p>

      <section v-if="lanes.length === 0" class="panel py-8">
        <h2 class="mb-1 text-xl">{{ $t('plan.nothingToApply') }}</h2>
        <p class="text-soft">
          <i18n-t keypath="plan.noZoneGetsAnyProduct" scope="global"
            ><template #part1
              ><RouterLink class="font-semibold text-ink underline" :to="{ name: 'consultation', params: { id } }">{{
                $t('common.backToTheConsultation')
              }}</RouterLink></template
            ></i18n-t
          >
        </p>
      </section>
      <template v-else>
        <PlanTools
          v-if="!isLocked && (isSeveral || selected.length)"
          :plan="shown"
          :selected="selected"
          :lighteners="shelf.data.value?.lighteners ?? []"
          @select="(keys) => (selected = keys)"
          @own="plan.setOwn"
          @of="plan.setNamed"
          @ladder="plan.ladder"
          @lock="plan.lock"
          @free="plan.free"
          @part="plan.part"
          @rows="plan.setRows"
        />
        <PlanLanes
          :plan="shown"
          :is-locked="isLocked"
          :selected="selected"
          @visit="plan.setVisit"
          @keep="plan.letGo"
          @nudge="plan.nudge"
          @add="plan.addVisit"
          @drop="plan.dropVisit"
          @volume="plan.setVolume"
          @move="plan.move"
          @reorder="plan.reorder"
          @toggle="toggle"
        />
      </template>

      <PlanSays class="mt-3" :plan="shown" :order="choice.order ?? []" />

      <MixingList class="mt-4" :plan="shown" :zero="zero" :is-running="Boolean(started?.length)">
        <button type="button" class="btn no-print" @click="print">{{ $t('plan.printForTheTrolley') }}</button>
        <a class="btn no-print" :href="`/api/services/${id}/trolley.pdf`" target="_blank">{{
          $t('plan.trolleySheet')
        }}</a>
        <button type="button" class="btn no-print" :disabled="isBusy" @click="saveFile">
          {{ $t('plan.saveAsFile') }}
        </button>
      </MixingList>
      <div class="no-print mt-4 grid items-start gap-4 lg:grid-cols-2">
        <TonerIdea
          :ideas="shown.toner_ideas"
          :taken="choice.toner_key ?? ''"
          :is-locked="isLocked"
          @take="(toner_key) => plan.change({ toner_key })"
        />
        <PlanVersions
          :versions="versions.data.value ?? []"
          :is-locked="isLocked"
          :is-busy="isBusy"
          @keep="keepOne"
          @restore="restore"
        />
      </div>
      <p class="mt-3 text-sm text-soft print:mt-1 print:text-[11px]">
        {{ $t('plan.timesCountFromTheFirst') }}
      </p>
      <FootBar>
        <template #undo>
          <UndoButton :is-off="!plan.canUndo.value" @undo="plan.undo()" />
        </template>
        <template #says
          ><p class="hidden grow text-soft md:block">
            {{
              short.length
                ? $t('plan.ofStopShortOfThe', { count: short.length, count2: lanes.length })
                : $t('plan.everythingIsPlannedToIts')
            }}
          </p></template
        >
        <LadderField
          v-if="!isLocked && lanes.length > 0"
          class="ms-auto max-md:hidden"
          :label="$t('plan.ownLadderFirstZoneTo')"
          @set="
            (told: number[]) =>
              plan.ladder(
                lanes.map((l) => l.key),
                told,
              )
          "
        />
        <button
          v-if="!isLocked"
          type="button"
          class="btn btn-act px-8 text-lg whitespace-nowrap"
          :disabled="isBusy || lanes.length === 0"
          @click="take"
        >
          {{ $t('plan.toTheChair') }}
        </button>
        <RouterLink
          v-else
          class="btn btn-act ms-auto px-8 text-lg whitespace-nowrap"
          :to="{ name: 'service', params: { id } }"
          >{{ $t('plan.whereItStandsNow') }}</RouterLink
        >
      </FootBar>
    </template>
  </main>
</template>
