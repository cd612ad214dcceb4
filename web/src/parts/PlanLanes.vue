<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { type Axis, clampPercent, ticks, toMinute, toPercent } from '../lib/strip'
import { levelText, fixed } from '../lib/time'
import { coverings } from '../lib/words'
import Strip from './Strip.vue'
import Swatch from './Swatch.vue'
import { $t, locale } from '../lib/i18n'

/** The lanes of a plan in the order of hands, the hands' own lane above, and a line to drag for each trip to the basin. */
const props = defineProps<{ plan: Schemas['PlanOut']; isLocked: boolean; selected: readonly string[] }>()
const emit = defineEmits<{
  visit: [visit: number, minute: number]
  keep: []
  nudge: [visit: number, by: number]
  drop: [visit: number]
  add: []
  volume: [lane: Schemas['PlanLane'], by: number]
  move: [key: string, by: number]
  reorder: [order: string[]]
  toggle: [key: string]
}>()
const axis = computed<Axis>(() => ({
  from: 0,
  to: Math.max(...props.plan.lanes.map((l) => l.wall_min), props.plan.last_rinse_min, 30) + 6,
}))
const marks = computed(() => ticks(axis.value, 13))
const isFirst = (lane: Schemas['PlanLane']) => props.plan.lanes.find((l) => l.zone_key === lane.zone_key) === lane
const numberOf = (lane: Schemas['PlanLane']) => props.plan.order.indexOf(lane.zone_key) + 1
const beginsRound = (lane: Schemas['PlanLane'], at: number) => at > 0 && lane.round !== props.plan.lanes[at - 1]?.round

const doings = {
  apply: $t('planLanes.applying'),
  look: $t('planLanes.aLook'),
  wipe: $t('common.wipingOut'),
  basin: $t('planLanes.atTheBasin'),
} as const
const isStrongest = (lane: Schemas['PlanLane']) => lane.volume_strength >= lane.strongest_volume
/** Why a lane is as it is: shown when it is tapped, or asked for more than it may have. */
const why = (lane: Schemas['PlanLane']) =>
  [
    lane.note,
    $t('planLanes.atMostVol', {
      strongest_volume: levelText(lane.strongest_volume),
      limit_reason: lane.limit_reason,
    }),
  ]
    .filter(Boolean)
    .join('; ')
const stronger = (lane: Schemas['PlanLane']) => {
  if (!isStrongest(lane)) emit('volume', lane, 5)
  else if (!props.selected.includes(lane.key)) emit('toggle', lane.key)
}
const nameOf = computed(() => Object.fromEntries(props.plan.lanes.map((l) => [l.key, l.name])))
const busy = computed(() =>
  props.plan.busy.map((b) => ({
    ...b,
    style: {
      left: `${clampPercent(toPercent(axis.value, b.start_min))}%`,
      width: `${Math.max(toPercent(axis.value, b.end_min) - toPercent(axis.value, b.start_min), 0.25)}%`,
    },
  })),
)
const handsSay = computed(() => {
  const applied = props.plan.busy
    .filter((b) => b.doing === 'apply')
    .reduce((sum, b) => sum + b.end_min - b.start_min, 0)
  const trips = props.plan.busy.filter((b) => b.doing === 'basin').length
  return $t('planLanes.handsMinApplyingToThe', {
    applied: applied.toFixed(0),
    trips: $t('count.trips', trips),
  })
})

/** Handles that would lie on each other stand on two levels. */
const HANDLE_SHARE = 6.5
const handles = computed(() => {
  let last = -100
  let level = 0
  return props.plan.visits.map((visit) => {
    const left = clampPercent(toPercent(axis.value, visit.at_min))
    level = left - last < HANDLE_SHARE && level === 0 ? 1 : 0
    const isNear = left - last < HANDLE_SHARE
    last = left
    return { visit, left, level, isNear }
  })
})
const coveringOf = (lane: Schemas['PlanLane']) =>
  lane.covering === 'foil'
    ? ''
    : (coverings.find((c) => c.value === lane.covering)?.name.toLocaleLowerCase(locale) ?? '')

const field = ref<HTMLElement | null>(null)
const dragging = ref<number | null>(null)
const startDrag = (visit: number, event: PointerEvent) => {
  if (props.isLocked) return
  const handle = event.currentTarget as HTMLElement
  handle.setPointerCapture(event.pointerId)
  dragging.value = visit
  const stop = useEventListener(handle, 'pointermove', (e: PointerEvent) => {
    const box = field.value?.getBoundingClientRect()
    if (box) emit('visit', visit, toMinute(axis.value, (e.clientX - box.left) / box.width))
  })
  const end = () => {
    stop()
    dragging.value = null
    emit('keep')
  }
  useEventListener(handle, ['pointerup', 'pointercancel'], end, { once: true })
}
const keyVisit = (visit: number, event: KeyboardEvent) => {
  if (['Delete', 'Backspace'].includes(event.key) && props.plan.visits.length > 1) {
    event.preventDefault()
    emit('drop', visit)
    return
  }
  const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -5, PageUp: 5 }[event.key]
  if (!by) return
  event.preventDefault()
  emit('nudge', visit, by)
}

/** Reordering by dragging a zone's grip: the zone under the finger is where it goes. */
const lifted = ref<string | null>(null)
const over = ref<string | null>(null)
const rows = ref<HTMLElement | null>(null)
const zoneAt = (y: number): string | null => {
  const found = [...(rows.value?.querySelectorAll<HTMLElement>('[data-zone]') ?? [])]
  const row = found.find((r) => {
    const box = r.getBoundingClientRect()
    return y >= box.top && y < box.bottom
  })
  return row?.dataset.zone ?? null
}
const lift = (key: string, event: PointerEvent) => {
  if (props.isLocked) return
  const grip = event.currentTarget as HTMLElement
  grip.setPointerCapture(event.pointerId)
  lifted.value = key
  const stop = useEventListener(grip, 'pointermove', (e: PointerEvent) => {
    over.value = zoneAt(e.clientY) ?? over.value
  })
  const drop = () => {
    stop()
    const to = over.value
    lifted.value = null
    over.value = null
    if (!to || to === key) return
    const order = props.plan.order.filter((k) => k !== key)
    const at = props.plan.order.indexOf(to)
    order.splice(at, 0, key)
    emit('reorder', order)
  }
  useEventListener(grip, ['pointerup', 'pointercancel'], drop, { once: true })
}
const keyMove = (key: string, event: KeyboardEvent) => {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  if (!by) return
  event.preventDefault()
  emit('move', key, by)
}
const readyText = (lane: Schemas['PlanLane']) => {
  const { early, likely, late } = lane.ready_min
  if (early === null) return $t('planLanes.notReached')
  const to =
    late === null || late > lane.wall_min
      ? $t('planLanes.orNotByTheWall')
      : $t('planLanes.to', { late: late.toFixed(0) })
  return $t('planLanes.readyMin', {
    early: early.toFixed(0),
    to,
    what: likely === null ? '' : $t('planLanes.likely', { likely: likely.toFixed(0) }),
  })
}
const atRinse = (lane: Schemas['PlanLane']) => {
  const how = { rinsed: $t('planLanes.rinse'), wiped: $t('common.wipeOut'), dried: $t('planLanes.letDry') }[lane.ending]
  return `${how} ${lane.rinse_min.toFixed(0)}${lane.reason ? $t('planLanes.short') : ''}`
}
</script>

<template>
  <section ref="rows" class="panel relative !px-0 !py-1" :aria-label="$t('planLanes.zonesInOrderOfApplication')">
    <div class="plan-row px-4 text-sm text-soft">
      <span class="hidden lg:flex lg:items-end lg:justify-between print:block">
        <span>{{ $t('planLanes.inTheOrderOfHands') }}</span>
        <button
          v-if="!isLocked"
          type="button"
          class="no-print -mb-2 flex min-h-12 items-end pb-2 underline decoration-dotted underline-offset-2"
          @click="emit('add')"
        >
          {{ $t('planLanes.oneTripMore') }}
        </button>
      </span>
      <div ref="field" class="relative h-[46px]">
        <span
          v-for="m in marks"
          :key="m"
          class="num absolute bottom-0 -translate-x-1/2 text-[15px]"
          :style="{ left: `${toPercent(axis, m)}%` }"
          >{{ m }}</span
        >
      </div>
      <span class="hidden text-end lg:block print:block">{{ $t('planLanes.atItsEnd') }}</span>
    </div>
    <div class="plan-row border-t border-line px-4">
      <span class="hidden text-[15px] font-semibold lg:block">{{ $t('common.hands') }}</span>
      <div class="relative h-6" role="img" :aria-label="handsSay">
        <span
          v-for="(b, n) in busy"
          :key="n"
          class="absolute"
          :class="[
            b.doing === 'apply'
              ? 'top-[5px] bottom-[5px] rounded-[2px] bg-strong'
              : b.doing === 'basin'
                ? 'top-0 bottom-0 rounded-[2px] border-2 border-ink bg-panel'
                : b.doing === 'wipe'
                  ? 'top-[3px] bottom-[3px] border-x-2 border-ink'
                  : 'bottom-0 h-[4px] bg-ink',
            { 'outline-2 outline-stop': b.is_clash },
          ]"
          :style="b.style"
          :title="
            $t('planLanes.min', {
              doings: doings[b.doing],
              start_min: b.start_min.toFixed(0),
              end_min: b.end_min.toFixed(0),
              lane_keys: b.lane_keys.map((k) => nameOf[k] ?? k).join(', '),
            })
          "
        />
      </div>
      <span class="hidden lg:block" />
    </div>
    <template v-for="(lane, i) in plan.lanes" :key="lane.key">
      <p v-if="beginsRound(lane, i)" class="border-t border-strong bg-sunk px-4 py-0.5 text-[15px]">
        <strong>{{ $t('planLanes.round', { round: lane.round }) }}</strong>
        <span class="ms-3 text-soft">{{ $t('planLanes.whatCameBeforeIsRinsed') }}</span>
      </p>
      <div
        class="plan-row border-t border-line px-4 py-[2px]"
        :class="{
          'opacity-40': lifted === lane.zone_key,
          'bg-sunk': selected.includes(lane.key),
          'shadow-[inset_0_3px_0_var(--signal)]': over === lane.zone_key && over !== lifted && isFirst(lane),
        }"
        :data-zone="lane.zone_key"
      >
        <div class="flex min-w-0 items-center gap-1.5">
          <span v-if="isFirst(lane)" class="relative flex w-12 shrink-0 items-center justify-center">
            <span class="num pe-4 text-lg text-soft">{{ numberOf(lane) }}</span>
            <button
              type="button"
              class="no-print absolute inset-y-[-12px] inset-x-0 flex touch-none items-center justify-end rounded-[4px] pe-1.5 text-soft hover:text-ink"
              :class="isLocked ? 'cursor-default' : 'cursor-grab'"
              :disabled="isLocked"
              :aria-label="$t('planLanes.moveDragOrArrowKeys', { zone_names: plan.zone_names[lane.zone_key] })"
              @pointerdown="(e) => lift(lane.zone_key, e)"
              @keydown="(e) => keyMove(lane.zone_key, e)"
            >
              <span aria-hidden="true" class="text-[15px] leading-none">⠿</span>
            </button>
          </span>
          <span v-else class="w-12 shrink-0 text-center text-soft" aria-hidden="true">↳</span>
          <button
            type="button"
            class="min-h-12 min-w-0 grow text-start"
            :aria-pressed="selected.includes(lane.key)"
            :disabled="isLocked"
            @click="emit('toggle', lane.key)"
          >
            <span class="narrow line-clamp-1 block text-[17px] leading-tight font-semibold">{{ lane.name }}</span>
            <span class="num block truncate text-[14px] leading-tight text-soft"
              >{{ levelText(lane.start_level) }} {{ $t('arrow.on') }} {{ levelText(lane.target_level)
              }}<template v-if="lane.lightener"> · {{ lane.lightener }}</template
              ><template v-if="coveringOf(lane)"> · {{ coveringOf(lane) }}</template
              ><template v-if="lane.is_own_minutes || lane.is_own_visit">
                {{ ` ${$t('planLanes.yours')}` }}</template
              ></span
            >
            <span v-if="selected.includes(lane.key)" class="block pb-1 text-[13px] leading-snug">{{ why(lane) }}</span>
          </button>
          <div class="flex items-center">
            <button
              type="button"
              class="btn no-print w-12 !px-0"
              :disabled="isLocked || lane.volume_strength <= 1"
              :aria-label="$t('planLanes.weakerDeveloper', { name: lane.name })"
              @click="emit('volume', lane, -5)"
            >
              −
            </button>
            <span class="w-[46px] text-center leading-none">
              <span class="num text-[21px]">{{ levelText(Math.round(lane.volume_strength * 10) / 10) }}</span><span
                class="block text-[11px] text-soft"
                >{{ lane.is_own_volume ? $t('planLanes.yours2') : $t('common.vol2') }}</span
              >
            </span>
            <button
              type="button"
              class="btn no-print w-12 !px-0"
              :disabled="isLocked"
              :class="{ 'opacity-45': isStrongest(lane) }"
              :aria-disabled="isStrongest(lane) || undefined"
              :aria-label="$t('planLanes.strongerDeveloper', { name: lane.name })"
              @click="stronger(lane)"
            >
              +
            </button>
          </div>
        </div>
        <Strip
          class="h-[44px]"
          :axis="axis"
          :zero="lane.end_min"
          :points="lane.curve"
          :fibres="lane.fibres"
          :apply-from="lane.start_min"
          :end="lane.wall_min"
          :now="lane.rinse_min"
          has-now-line
          :wall="lane.wall_min"
          :window="lane.ready_min"
          :crossings="lane.crossings"
          :label="
            $t('planLanes.appliedToMinLabelS', {
              name: lane.name,
              start_min: lane.start_min.toFixed(0),
              end_min: lane.end_min.toFixed(0),
              lane: readyText(lane),
              lane2: atRinse(lane),
              wall_min: lane.wall_min.toFixed(0),
            })
          "
        />
        <div class="flex items-center gap-3">
          <Swatch
            :now="lane.hex_at_rinse"
            :target="lane.hex_target"
            :label="
              $t('planLanes.leftAtItsEndRight', {
                level_at_rinse: fixed(lane.level_at_rinse, 1),
                target_level: lane.target_level,
              })
            "
          />
          <p class="leading-tight">
            <span class="num text-[21px]">{{ fixed(lane.level_at_rinse, 1) }}</span><span
              class="block text-[13px]"
              :class="lane.reason ? 'font-bold' : 'text-soft'"
              >{{ atRinse(lane) }}</span
            >
          </p>
        </div>
      </div>
    </template>
    <div class="plan-row pointer-events-none absolute inset-0 !items-stretch px-4 py-1">
      <span class="hidden lg:block print:block" />
      <div class="relative">
        <div
          v-for="({ visit, left, level, isNear }, v) in handles"
          :key="visit.number"
          class="group pointer-events-auto absolute top-0 h-12 -translate-x-1/2 touch-none !outline-none lg:h-full print:h-full"
          :class="[
            isLocked ? 'cursor-default' : 'cursor-ew-resize',
            dragging === v ? 'z-20' : 'z-10',
            isNear || handles[v + 1]?.isNear ? 'w-5' : 'w-12',
          ]"
          role="slider"
          :tabindex="isLocked ? -1 : 0"
          :aria-label="
            plan.visits.length > 1
              ? $t('planLanes.tripToTheBasin', { number: visit.number })
              : $t('planLanes.tripToTheBasin2')
          "
          :aria-valuemin="Math.floor(visit.least_min)"
          :aria-valuemax="Math.ceil(Math.max(visit.most_min, visit.at_min))"
          :aria-valuenow="Math.round(visit.at_min)"
          :aria-valuetext="
            $t('planLanes.minAfterTheFirstProduct', { at_min: visit.at_min.toFixed(0), count: visit.lane_keys.length })
          "
          :aria-disabled="isLocked"
          :style="{ left: `${left}%` }"
          @pointerdown="(e) => startDrag(v, e)"
          @keydown="(e) => keyVisit(v, e)"
        >
          <span
            class="absolute inset-y-0 left-1/2 hidden -translate-x-1/2 bg-signal lg:block print:block"
            :class="dragging === v ? 'w-[5px]' : 'w-[3px]'"
          />
          <span
            class="absolute left-1/2 flex h-6 -translate-x-1/2 items-center rounded-[5px] bg-signal px-2 text-sm font-bold whitespace-nowrap text-signal-ink outline-offset-2 outline-ink group-focus-visible:outline-[3px]"
            :class="level ? 'top-[25px]' : 'top-0'"
            >⇔ {{ visit.at_min.toFixed(0) }}</span
          >
        </div>
      </div>
      <span class="hidden lg:block print:block" />
    </div>
  </section>
</template>

<style scoped>
.plan-row {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  column-gap: 18px;
  align-items: center;
}
/* a tablet upright: the lane has the whole width, under its zone, developer and end */
@media (min-width: 640px) and (max-width: 1023px) {
  .plan-row {
    grid-template-columns: minmax(0, 1fr) 156px;
  }
  .plan-row > :nth-child(2) {
    grid-column: 1 / -1;
  }
  .plan-row[data-zone] > :nth-child(2) {
    grid-row: 2;
  }
}
@media (min-width: 1024px), print {
  .plan-row {
    grid-template-columns: 344px minmax(0, 1fr) 156px;
  }
}
@media print {
  .plan-row {
    grid-template-columns: 220px minmax(0, 1fr) 132px;
    padding-block: 0;
  }
}
</style>
