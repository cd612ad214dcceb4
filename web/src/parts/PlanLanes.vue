<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { type Axis, clampPercent, ticks, toMinute, toPercent } from '../lib/strip'
import { levelText } from '../lib/time'
import Strip from './Strip.vue'
import Swatch from './Swatch.vue'

/** The lanes of a plan by wave, each wave with its finish line to drag; zones can be dragged into another order. */
const props = defineProps<{ plan: Schemas['PlanOut']; isLocked: boolean }>()
const emit = defineEmits<{
  finish: [wave: number, minute: number]
  keep: []
  nudge: [wave: number, by: number]
  volume: [lane: Schemas['PlanLane'], by: number]
  move: [key: string, by: number]
  reorder: [order: string[]]
  part: [key: string]
}>()
const axis = computed<Axis>(() => ({
  from: 0,
  to: Math.max(...props.plan.lanes.map((l) => l.wall_min), ...props.plan.waves.map((w) => w.finish_min), 30) + 4,
}))
const marks = computed(() => ticks(axis.value, 13))
const waves = computed(() =>
  props.plan.waves.map((wave) => ({ wave, lanes: props.plan.lanes.filter((l) => l.wave === wave.number) })),
)
const isFirst = (lane: Schemas['PlanLane']) => props.plan.lanes.find((l) => l.zone_key === lane.zone_key) === lane
const numberOf = (lane: Schemas['PlanLane']) => props.plan.order.indexOf(lane.zone_key) + 1

const field = ref<HTMLElement | null>(null)
const dragging = ref<number | null>(null)
const startDrag = (wave: number, event: PointerEvent) => {
  if (props.isLocked) return
  const handle = event.currentTarget as HTMLElement
  handle.setPointerCapture(event.pointerId)
  dragging.value = wave
  const stop = useEventListener(handle, 'pointermove', (e: PointerEvent) => {
    const box = field.value?.getBoundingClientRect()
    if (box) emit('finish', wave, toMinute(axis.value, (e.clientX - box.left) / box.width))
  })
  const end = () => {
    stop()
    dragging.value = null
    emit('keep')
  }
  useEventListener(handle, ['pointerup', 'pointercancel'], end, { once: true })
}
const keyFinish = (wave: number, event: KeyboardEvent) => {
  const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -5, PageUp: 5 }[event.key]
  if (!by) return
  event.preventDefault()
  emit('nudge', wave, by)
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
  if (early === null) return 'not reached'
  const to = late === null || late > lane.wall_min ? 'or not by the wall' : `to ${late.toFixed(0)}`
  return `ready ${early.toFixed(0)} ${to}${likely === null ? '' : `, likely ${likely.toFixed(0)}`} min`
}
const atRinse = (lane: Schemas['PlanLane'], finish: number) =>
  lane.reason ? 'stops short' : lane.rinse_min < finish - 0.5 ? `rinse ${lane.rinse_min.toFixed(0)}` : 'on the line'
</script>

<template>
  <section ref="rows" class="panel !px-0 !py-2" aria-label="Zones in order of application">
    <div class="plan-row px-4 text-sm text-soft">
      <span class="hidden md:block print:block">Order of application</span>
      <div ref="field" class="relative h-6">
        <span
          v-for="m in marks"
          :key="m"
          class="num absolute bottom-0 -translate-x-1/2 text-[15px]"
          :style="{ left: `${toPercent(axis, m)}%` }"
          >{{ m }}</span
        >
      </div>
      <span class="hidden text-right md:block print:block">at the rinse</span>
    </div>
    <div v-for="({ wave, lanes }, w) in waves" :key="wave.number" class="relative" :data-wave="wave.number">
      <div
        v-if="waves.length > 1"
        class="flex flex-wrap items-center gap-x-4 border-t border-strong bg-sunk px-4 py-0.5 text-[15px]"
      >
        <strong>Wave {{ wave.number }}</strong>
        <span class="text-soft">{{ w < waves.length - 1 ? 'rinse, tone, go on' : 'the last' }}</span>
        <button
          v-if="w > 0 && !isLocked"
          type="button"
          class="no-print ml-auto min-h-7 px-1 text-sm font-semibold underline underline-offset-4"
          @click="emit('part', wave.zone_keys[0] ?? '')"
        >
          join with wave {{ wave.number - 1 }}
        </button>
      </div>
      <div
        v-for="lane in lanes"
        :key="lane.key"
        class="plan-row border-t border-line px-4 py-1"
        :class="{
          'opacity-40': lifted === lane.zone_key,
          'shadow-[inset_0_3px_0_var(--signal)]': over === lane.zone_key && over !== lifted && isFirst(lane),
        }"
        :data-zone="lane.zone_key"
      >
        <div class="flex min-w-0 items-center gap-1.5">
          <span v-if="isFirst(lane)" class="flex w-9 shrink-0 items-center justify-end">
            <span class="num text-lg text-soft">{{ numberOf(lane) }}</span>
            <button
              type="button"
              class="no-print flex h-12 w-6 shrink-0 touch-none items-center justify-center rounded-[4px] text-soft hover:bg-sunk hover:text-ink"
              :class="isLocked ? 'cursor-default' : 'cursor-grab'"
              :disabled="isLocked"
              :aria-label="`Move ${plan.zone_names[lane.zone_key]}: drag, or arrow keys`"
              @pointerdown="(e) => lift(lane.zone_key, e)"
              @keydown="(e) => keyMove(lane.zone_key, e)"
            >
              <span aria-hidden="true" class="text-[15px] leading-none">⠿</span>
            </button>
          </span>
          <span v-else class="w-9 shrink-0 text-center text-soft" aria-hidden="true">↳</span>
          <div class="min-w-0 grow">
            <p class="narrow line-clamp-2 text-[17px] leading-tight font-semibold" :title="lane.note || undefined">
              {{ lane.name }}
            </p>
            <p v-if="lane.lightener" class="truncate text-[13px]" :title="lane.lightener">{{ lane.lightener }}</p>
            <p class="num text-[15px] text-soft">
              {{ levelText(lane.start_level) }} → {{ levelText(lane.target_level) }}
              <button
                v-if="isFirst(lane) && lane !== lanes[0] && !isLocked"
                type="button"
                class="no-print ml-1 min-h-6 font-normal underline decoration-dotted underline-offset-2"
                :aria-label="`part here: a wave begins at ${plan.zone_names[lane.zone_key]}`"
                @click="emit('part', lane.zone_key)"
              >
                part here
              </button>
            </p>
          </div>
          <div class="flex items-center">
            <button
              type="button"
              class="btn no-print !min-h-11 !px-3"
              :disabled="isLocked || lane.volume_strength <= 1"
              :aria-label="`${lane.name}: weaker developer`"
              @click="emit('volume', lane, -1)"
            >
              −
            </button>
            <span class="w-[52px] text-center leading-none">
              <span class="num text-[23px]">{{ levelText(Math.round(lane.volume_strength * 10) / 10) }}</span><span
                class="block text-[11px] text-soft"
                >{{ lane.is_own_volume ? 'vol, yours' : 'vol' }}</span
              >
            </span>
            <button
              type="button"
              class="btn no-print !min-h-11 !px-3"
              :disabled="isLocked || lane.volume_strength >= lane.strongest_volume"
              :aria-label="`${lane.name}: stronger developer`"
              :title="`at most ${levelText(lane.strongest_volume)} vol: ${lane.limit_reason}`"
              @click="emit('volume', lane, 1)"
            >
              +
            </button>
          </div>
        </div>
        <Strip
          class="h-[48px]"
          :axis="axis"
          :zero="lane.end_min"
          :points="lane.curve"
          :apply-from="lane.start_min"
          :end="lane.wall_min"
          :now="lane.rinse_min"
          has-now-line
          :wall="lane.wall_min"
          :window="lane.ready_min"
          :crossings="lane.crossings"
          :label="`${lane.name}: applied ${lane.start_min.toFixed(0)} to ${lane.end_min.toFixed(0)}, ${readyText(lane)}, rinsed at ${lane.rinse_min.toFixed(0)}, label's time ends at ${lane.wall_min.toFixed(0)} min`"
        />
        <div class="flex items-center gap-3">
          <Swatch
            :now="lane.hex_at_rinse"
            :target="lane.hex_target"
            :label="`Left at the rinse ${lane.level_at_rinse.toFixed(1)}, right wanted ${lane.target_level}`"
          />
          <p class="leading-tight">
            <span class="num text-[23px]">{{ lane.level_at_rinse.toFixed(1) }}</span><span
              class="block text-[13px]"
              :class="lane.reason ? 'font-bold' : 'text-soft'"
              >{{ atRinse(lane, wave.finish_min) }}</span
            >
          </p>
        </div>
      </div>
      <div class="plan-row pointer-events-none absolute inset-0 !items-stretch px-4">
        <span class="hidden md:block print:block" />
        <div class="relative">
          <div
            class="pointer-events-auto absolute top-0 z-10 h-9 w-12 -translate-x-1/2 touch-none md:h-full print:h-full"
            :class="isLocked ? 'cursor-default' : 'cursor-ew-resize'"
            role="slider"
            :tabindex="isLocked ? -1 : 0"
            :aria-label="waves.length > 1 ? `Finish line of wave ${wave.number}` : 'Finish line'"
            :aria-valuemin="wave.finish_least_min"
            :aria-valuemax="wave.finish_most_min"
            :aria-valuenow="wave.finish_min"
            :aria-valuetext="`${wave.finish_min.toFixed(0)} min after the first product`"
            :aria-disabled="isLocked"
            :style="{ left: `${clampPercent(toPercent(axis, wave.finish_min))}%` }"
            @pointerdown="(e) => startDrag(w, e)"
            @keydown="(e) => keyFinish(w, e)"
          >
            <span
              class="absolute inset-y-0 left-1/2 hidden -translate-x-1/2 bg-signal md:block print:block"
              :class="dragging === w ? 'w-[5px]' : 'w-[3px]'"
            />
            <span
              class="absolute top-0 left-1/2 flex h-7 -translate-x-1/2 items-center rounded-[5px] bg-signal px-2 text-sm font-bold whitespace-nowrap text-signal-ink"
              >⇔ {{ wave.finish_min.toFixed(0) }}</span
            >
          </div>
        </div>
        <span class="hidden md:block print:block" />
      </div>
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
@media (min-width: 768px), print {
  .plan-row {
    grid-template-columns: 318px minmax(0, 1fr) 132px;
  }
}
@media print {
  .plan-row {
    grid-template-columns: 220px minmax(0, 1fr) 132px;
    padding-block: 0;
  }
}
</style>
