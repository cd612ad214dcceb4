<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { clampPercent, gradient, toPercent } from '../lib/strip'
import { countdown, levelText, minutesUntil, fixed } from '../lib/time'
import { lengthText } from '../lib/units'
import { $t } from '../lib/i18n'
import { undertoneName } from '../lib/words'

/** One zone at the basin: what it is now, what its bowl makes of it minute by minute, and its toner's clock. */
const props = defineProps<{
  lane: Schemas['ToneLane']
  now: number
  isNext: boolean
  isBusy: boolean
  isLocked: boolean
}>()
const emit = defineEmits<{
  apply: []
  open: []
  strand: []
  emulsify: []
  rinse: []
  read: []
  order: [what: string]
}>()
const clock = computed(() => props.lane.toner)
const plan = computed(() => props.lane.proposal)
const onFor = computed(() => (clock.value ? -minutesUntil(clock.value.applied_at, props.now) : 0))
const ended = computed(() => (clock.value?.rinsed_at ? clock.value.on_min : null))
const minute = computed(() => ended.value ?? onFor.value)
const dueMin = computed(() =>
  clock.value ? (new Date(clock.value.due_at).getTime() - new Date(clock.value.applied_at).getTime()) / 60_000 : 0,
)
const axis = computed(() => ({ from: 0, to: Math.max(clock.value?.label_max_min ?? 20, ended.value ?? 0) }))
const isPast = computed(
  () => clock.value !== null && ended.value === null && onFor.value > (clock.value?.label_max_min ?? 0),
)
const x = (m: number) => `${clampPercent(toPercent(axis.value, m))}%`
/** When it should be ready, and the label's time. */
const ready = computed(() => {
  const window = clock.value?.window_min
  const label = $t('toneLane.label', { label_max_min: (clock.value?.label_max_min ?? 0).toFixed(0) })
  if (!window || window.likely === null) return $t('toneLane.staysPalerThanPlanned', { label })
  return $t('toneLane.readyMin', {
    early: (window.early ?? window.likely).toFixed(0),
    late: (window.late ?? clock.value?.label_max_min ?? 0).toFixed(0),
    label,
  })
})
const hexNow = computed(() => {
  const curve = clock.value?.curve ?? []
  const at = curve[Math.min(Math.round(minute.value), curve.length - 1)]
  return ended.value === null ? (at?.hex ?? props.lane.now_hex) : (clock.value?.hex_now ?? props.lane.now_hex)
})
const depth = (levels: number) =>
  Math.abs(levels) < 0.05
    ? $t('toneLane.sameDepth')
    : `${fixed(Math.abs(levels), 1)} ${levels > 0 ? $t('common.deeper') : $t('toneLane.lighter')}`
</script>

<template>
  <article
    class="panel grid items-center gap-x-5 gap-y-2 !py-3 md:grid-cols-[48px_150px_minmax(0,1fr)_236px]"
    :class="{ '!py-2': !clock }"
    :aria-label="lane.name"
  >
    <p
      class="num hidden size-12 items-center justify-center rounded-[7px] border-2 border-ink text-[28px] leading-none md:flex"
      :class="{ 'border-line text-soft': !plan && !clock }"
      :aria-label="plan ? $t('toneLane.bowl', { bowl: plan.bowl }) : $t('toneLane.toner')"
    >
      {{ plan ? plan.bowl : clock && ended === null ? '●' : '✓' }}
    </p>
    <div>
      <button
        type="button"
        class="narrow text-start text-[19px] leading-tight font-semibold hover:underline"
        @click="emit('open')"
      >
        <span v-if="plan" class="num me-1 md:hidden">{{ plan.bowl }}</span>{{ lane.name }}
      </button>
      <p class="leading-tight">
        <span class="num me-1.5 text-[20px]">{{ levelText(lane.level) }}</span><span class="text-soft">{{
          undertoneName(lane.undertone)
        }}</span>
      </p>
      <button
        v-if="!lane.is_read && !isLocked"
        type="button"
        class="min-h-12 text-sm font-semibold underline underline-offset-4"
        @click="emit('read')"
      >
        {{ $t('toneLane.notReadYetReadIt') }}
      </button>
    </div>

    <template v-if="clock">
      <div>
        <p class="mb-1 flex items-baseline justify-between gap-3">
          <strong class="text-[17px]">{{ clock.formula_name }}</strong>
          <span class="text-soft">{{
            ended === null ? ready : $t('toneLane.onForMin', { ended: ended.toFixed(0) })
          }}</span>
        </p>
        <div
          dir="ltr"
          class="strip relative h-11 overflow-hidden"
          role="img"
          :aria-label="
            $t('toneLane.onForOfMin', {
              formula_name: clock.formula_name,
              minute: minute.toFixed(0),
              dueMin: dueMin.toFixed(0),
            })
          "
        >
          <div class="absolute inset-x-0 top-[15px] h-[14px]" :style="{ background: gradient(clock.curve) }" />
          <div class="absolute top-[6px] start-0 h-8 overflow-hidden" :style="{ width: x(minute) }">
            <div
              class="h-full"
              :style="{
                background: gradient(clock.curve),
                width: `${10000 / Math.max(clampPercent(toPercent(axis, minute)), 0.5)}%`,
              }"
            />
          </div>
          <div class="absolute top-0 h-11 w-[5px] -translate-x-1/2 bg-ink" :style="{ left: x(dueMin) }" />
          <div v-if="ended === null" class="absolute top-0 h-11 w-[2.5px] bg-signal" :style="{ left: x(onFor) }" />
        </div>
        <p v-if="clock.warning && ended === null" class="mt-1 text-sm leading-snug">
          {{ clock.warning }}
        </p>
        <p v-if="lane.taught_by && ended === null" class="text-sm text-soft">{{ lane.taught_by }}</p>
      </div>
      <div class="flex flex-wrap items-center gap-2">
        <svg
          class="swatch size-12 shrink-0"
          viewBox="0 0 44 44"
          role="img"
          :aria-label="$t('common.leftNowRightWanted')"
        >
          <circle cx="22" cy="22" r="21" :fill="hexNow" />
          <path d="M22 1 A21 21 0 0 1 22 43 Z" :fill="lane.wanted_hex" />
        </svg>
        <template v-if="ended === null">
          <p class="num grow text-[34px] leading-none" :class="{ 'text-stop': isPast }" role="timer">
            {{ countdown(minutesUntil(clock.due_at, now)) }}
          </p>
          <div class="flex w-full gap-2">
            <button
              v-if="clock.emulsify_at && !clock.strand_count"
              type="button"
              class="btn grow !px-2 text-[15px]"
              :disabled="isBusy || isLocked"
              @click="emit('emulsify')"
            >
              {{ $t('common.emulsified') }}
            </button>
            <button
              type="button"
              class="btn grow !px-2 text-[15px]"
              :disabled="isBusy || isLocked"
              @click="emit('strand')"
            >
              {{ $t('common.strand') }}
            </button>
            <button
              type="button"
              class="btn grow !px-2 text-[15px]"
              :class="onFor >= dueMin ? 'btn-act' : ''"
              :disabled="isBusy || isLocked"
              @click="emit('rinse')"
            >
              {{ $t('common.rinsed') }}
            </button>
          </div>
        </template>
        <p v-else class="font-semibold">{{ $t('toneLane.rinsed') }}</p>
      </div>
    </template>

    <template v-else-if="plan">
      <div class="min-w-0">
        <div
          class="swatch flex h-11 overflow-hidden rounded-[4px]"
          role="img"
          :aria-label="$t('toneLane.colourNowAfterMinOf', { minutes: plan.minutes.toFixed(0), bowl: plan.bowl })"
        >
          <span class="grow" :style="{ background: lane.now_hex }" />
          <span class="grow-[1.4] border-x-[5px] border-panel" :style="{ background: plan.hex }" />
          <span class="grow" :style="{ background: lane.wanted_hex }" />
        </div>
        <div class="flex gap-[5px] text-[12px] text-soft" aria-hidden="true">
          <span class="grow basis-0">{{ $t('toneLane.now') }}</span><span class="grow-[1.4] basis-0">{{
            $t('toneLane.withBowl', { bowl: plan.bowl })
          }}</span
          ><span class="grow basis-0">{{ $t('common.wanted') }}</span>
        </div>
        <p v-if="plan.needed" class="mt-0.5 flex flex-wrap items-baseline gap-x-3 text-[15px] leading-snug">
          <span
            ><i18n-t keypath="toneLane.nearestShown" scope="global"
              ><template #says>{{ plan.needed.says }}</template
              ><template #part1
                ><strong>{{ $t('toneLane.outOfReach') }}</strong></template
              ></i18n-t
            ></span
          >
          <button
            v-if="plan.needed.level !== null && !isLocked"
            type="button"
            class="min-h-12 font-semibold underline underline-offset-4"
            :disabled="isBusy"
            @click="emit('order', plan.needed.says)"
          >
            {{ $t('toneLane.ontoTheOrderList') }}
          </button>
        </p>
        <p v-if="lane.probe_change" class="text-sm leading-snug font-semibold">{{ lane.probe_change }}</p>
        <p v-for="w in lane.remedies" :key="w.title" class="mt-0.5 flex items-center gap-2 text-sm">
          <span class="swatch size-5 shrink-0 rounded-full" :style="{ background: w.hex }" /><span
            ><i18n-t keypath="toneLane.differenceL" scope="global"
              ><template #formula_name>{{ w.formula_name }}</template
              ><template #delta_e>{{ fixed(w.delta_e, 1) }}</template
              ><template #gained_l>{{ fixed(Math.abs(w.gained_l), 1) }}</template
              ><template #what>{{ w.gained_l < 0 ? $t('toneLane.darker') : $t('toneLane.brighter') }}</template
              ><template #title
                ><strong>{{ w.title }}</strong></template
              ></i18n-t
            ></span
          >
        </p>
        <div v-if="lane.meeting.length" class="mt-1.5">
          <div
            class="swatch h-4 rounded-[3px]"
            role="img"
            :aria-label="$t('toneLane.theMeetingLineFromThe')"
            :style="{ background: gradient(lane.meeting) }"
          />
          <p class="text-[12px] text-soft">
            {{
              $t('toneLane.fromTheScalpDownMm', {
                minute: lengthText(lane.meeting[lane.meeting.length - 1]?.minute ?? 0),
              })
            }}
          </p>
        </div>
      </div>
      <div class="flex items-center gap-3">
        <div class="min-w-0 grow">
          <p class="leading-snug">
            <i18n-t keypath="toneLane.min" scope="global"
              ><template #part1
                ><strong v-if="plan.is_too_deep" class="text-stop"
                  >{{ `${$t('toneLane.tooDeep')} ` }}
                </strong></template
              ><template #minutes
                ><span class="num text-[22px]">{{ plan.minutes.toFixed(0) }}</span></template
              ><template #part3
                ><span class="text-soft">{{ $t('toneLane.from', { on_min: plan.on_min.toFixed(0) }) }}</span></template
              ></i18n-t
            >
          </p>
          <p class="text-sm text-soft">
            {{
              $t('toneLane.difference', { delta_e: fixed(plan.delta_e, 1), levels_deeper: depth(plan.levels_deeper) })
            }}
          </p>
        </div>
        <button
          type="button"
          class="btn !min-h-12 shrink-0 !px-3 text-[15px]"
          :disabled="isBusy || isLocked"
          :aria-label="$t('toneLane.bowlIsOnAlone', { bowl: plan.bowl, name: lane.name })"
          @click="emit('apply')"
        >
          {{ $t('toneLane.on') }}
        </button>
      </div>
    </template>
    <p v-else class="text-soft md:col-span-2">{{ $t('toneLane.noTonerThatMayGo') }}</p>
  </article>
</template>
