<script setup lang="ts">
import { useMeasured } from '../lib/measured'
import { computed, ref, useId } from 'vue'
import type { Schemas } from '../api/client'
import { type Column, fibre, hang, heightAt, strandFibres } from '../lib/hang'
import { $t, isRightToLeft } from '../lib/i18n'
import { laneNow } from '../lib/lane'
import { inkOn } from '../lib/strip'
import { fixed, levelText } from '../lib/time'

/** One row of strands as they hang from the head: thick as lived, thin as expected, painted minute by minute. */
const props = defineProps<{
  lanes: readonly Schemas['Lane'][]
  numbers: Map<string, number>
  now: number
  urgentKey: string | null
  waitingZones: Set<string>
  isNarrow: boolean
}>()
const emit = defineEmits<{ open: [key: string] }>()

const FOOT_PX = 104
const BEAD_PX = 25
const uid = useId()
const root = ref<HTMLElement | null>(null)
const size = useMeasured(root)
const height = computed(() => Math.max(size.height.value - FOOT_PX, 120))
const hung = computed(() =>
  hang(props.lanes, {
    width: size.width.value,
    height: height.value,
    left: props.isNarrow ? 4 : 96,
    right: props.isNarrow ? 4 : 16,
  }),
)
const fibres = computed(
  () => new Map(props.lanes.map((l) => [l.key, strandFibres(props.numbers.get(l.key) ?? 0, hung.value.strandWidth)])),
)
const gradientId = (key: string) => `hang-${uid}-${key.replace(/[^\w-]/g, '_')}`
/** What fibres in the shade and on top are drawn with: as they change along the strand, or as they are once rinsed. */
const fibreStroke = (lane: Schemas['Lane'], isRinsed: boolean) => {
  const last = lane.fibres[lane.fibres.length - 1]
  if (!last) return { shade: 'none', sheen: 'none' }
  if (isRinsed) return last
  const id = gradientId(lane.key)
  return { shade: `url(#${id}-shade)`, sheen: `url(#${id}-sheen)` }
}
/** A strand as it hangs now: heights on the page of its moments. */
const strandOf = ({ lane, x, width }: Column<Schemas['Lane']>) => {
  const h = hung.value
  const since = (props.now - new Date(lane.zero_at).getTime()) / 60_000
  const says = laneNow(lane, since)
  const isRinsed = lane.phase === 'rinsed'
  const { early, likely, late } = lane.window_min
  const isOn = says.isLive || (lane.phase === 'applying' && since > 0)
  const ready = Math.min(likely ?? lane.wall_min, lane.wall_min + 10)
  const at = (minute: number) => heightAt(h, ready, minute)
  const low = (y: number) => Math.min(Math.max(y, h.fall), height.value - 4)
  const tip = isRinsed ? h.ready : low(at(since))
  const wall = low(at(lane.wall_min))
  const first = lane.curve[0]
  const last = lane.curve[lane.curve.length - 1]
  const every = Math.max(1, Math.ceil(lane.curve.length / 30))
  const span = first && last ? last.minute - first.minute : 0
  const stops =
    isRinsed || !first || !last || span <= 0
      ? [{ at: 0, hex: says.hex }]
      : lane.curve
          .filter((p, i) => i % every === 0 || p === last)
          .map((p) => ({ at: (p.minute - first.minute) / span, hex: p.hex }))
  const beads: { id: string; y: number; text: string; hex: string }[] = []
  if (!isRinsed)
    for (const r of [...lane.readings].sort((a, b) => b.minute - a.minute)) {
      const y = at(r.minute)
      if (y < h.fall + 8 || beads.length === 2 || beads.some((b) => Math.abs(b.y - y) < BEAD_PX)) continue
      beads.push({ id: r.event_id, y, text: levelText(r.level), hex: r.hex })
    }
  const isOpen = late === null || late > lane.wall_min
  return {
    lane,
    x,
    width,
    says,
    tip,
    wall,
    isRinsed,
    isDue: props.urgentKey === lane.key,
    isOver: isOn && !isRinsed && since > lane.wall_min,
    first: first?.minute ?? 0,
    span,
    from: at(first?.minute ?? 0),
    to: at(last?.minute ?? 1),
    stops,
    beads,
    fibre: fibreStroke(lane, isRinsed),
    window:
      isRinsed || early === null || early > lane.wall_min
        ? null
        : { from: low(at(early)), to: isOpen ? wall : low(at(late)), hasEnd: !isOpen },
    ticks: lane.crossings
      .filter((c) => c.level < lane.target_level && at(c.minute) > tip + 14 && at(c.minute) < h.ready - 12)
      .map((c) => ({ level: c.level, y: at(c.minute) })),
  }
}
/** What hangs further out lies under what hangs nearer the middle; what is due lies above all. */
const strands = computed(() =>
  hung.value.columns
    .map(strandOf)
    .sort(
      (a, b) =>
        Number(a.isDue) - Number(b.isDue) ||
        Math.abs(b.x - hung.value.parting.x) - Math.abs(a.x - hung.value.parting.x),
    ),
)
const feet = computed(() => {
  const byKey = new Map(strands.value.map((s) => [s.lane.key, s]))
  return hung.value.columns.map((c) => byKey.get(c.lane.key)!)
})
/** Zones whose parts hang side by side: their name stands once, under all of them. */
const zones = computed(() => {
  const found: { key: string; name: string; from: number; to: number; count: number }[] = []
  for (const { lane, x, width } of hung.value.columns) {
    const last = found[found.length - 1]
    if (last?.key === lane.zone_key) Object.assign(last, { to: x + width / 2, count: last.count + 1 })
    else found.push({ key: lane.zone_key, name: lane.zone_name, from: x - width / 2, to: x + width / 2, count: 1 })
  }
  return found
})
const hasParts = computed(() => zones.value.some((z) => z.count > 1))
const edges = computed(() => {
  const { columns } = hung.value
  const [first, last] = [columns[0], columns[columns.length - 1]]
  return first && last ? { from: first.x - first.width / 2 - 6, to: last.x + last.width / 2 + 6 } : { from: 0, to: 0 }
})
const scale = computed(() =>
  [10, 20, 30, 40]
    .map((minute) => ({ minute, y: heightAt(hung.value, minute, 0) }))
    .filter((s) => s.y > hung.value.fall - 2),
)
const isTight = computed(() => (hung.value.columns[0]?.width ?? 0) < 68)
</script>

<template>
  <div ref="root" dir="ltr" class="relative w-full">
    <svg
      v-if="size.width.value > 0"
      class="swatch absolute inset-x-0 top-0 w-full"
      :viewBox="`0 0 ${size.width.value} ${height}`"
      :height="height"
      fill="none"
      role="group"
      :aria-label="$t('headClock.hair')"
    >
      <defs>
        <linearGradient
          v-for="s in strands"
          :id="gradientId(s.lane.key)"
          :key="s.lane.key"
          gradientUnits="userSpaceOnUse"
          x1="0"
          x2="0"
          :y1="s.from"
          :y2="s.to"
        >
          <stop v-for="(stop, i) in s.stops" :key="i" :offset="stop.at" :stop-color="stop.hex" />
        </linearGradient>
        <template v-for="s in strands" :key="s.lane.key">
          <linearGradient
            v-for="kind in s.isRinsed ? [] : (['shade', 'sheen'] as const)"
            :id="`${gradientId(s.lane.key)}-${kind}`"
            :key="kind"
            gradientUnits="userSpaceOnUse"
            x1="0"
            x2="0"
            :y1="s.from"
            :y2="s.to"
          >
            <stop
              v-for="f in s.lane.fibres"
              :key="f.minute"
              :offset="(f.minute - s.first) / Math.max(s.span, 0.01)"
              :stop-color="f[kind]"
            />
          </linearGradient>
        </template>
      </defs>
      <!-- the line on which all are to be ready, and the minutes before it -->
      <g v-if="!isNarrow" class="num fill-soft text-[13px]" aria-hidden="true">
        <g v-for="s in scale" :key="s.minute">
          <line :x1="edges.from" :x2="edges.to" :y1="s.y" :y2="s.y" stroke="var(--line)" stroke-width="1" />
          <text :x="edges.from - 6" :y="s.y + 4" text-anchor="end">{{ s.minute }}</text>
        </g>
        <text :x="edges.from - 6" :y="hung.ready + 5" text-anchor="end" class="fill-ink text-[15px]">
          {{ $t('headClock.ready') }}
        </text>
      </g>
      <line :x1="edges.from" :x2="edges.to" :y1="hung.ready" :y2="hung.ready" stroke="var(--ink)" stroke-width="2.5" />
      <g v-for="s in strands" :key="s.lane.key" role="img" :aria-label="s.says.label">
        <rect
          v-if="s.isDue"
          class="lifted"
          :x="s.x - hung.strandWidth / 2 - 9"
          :y="hung.fall - 6"
          :width="hung.strandWidth + 18"
          :height="Math.max(s.tip, s.wall) - hung.fall + 16"
          rx="7"
          fill="var(--panel)"
          stroke="var(--signal)"
          stroke-width="3.5"
        />
        <g :stroke="`url(#${gradientId(s.lane.key)})`">
          <!-- expected: thin, down to the wall -->
          <line
            v-if="!s.isRinsed && s.wall > s.tip"
            :x1="s.x"
            :x2="s.x + 0.01"
            :y1="s.tip - 8"
            :y2="s.wall"
            :stroke-width="hung.strandWidth * 0.3"
          />
          <!-- lived: thick, fibre by fibre -->
          <path :d="fibre(hung, s.x, 0, s.tip - 9)" :stroke-width="hung.strandWidth * 0.9" />
          <path
            v-for="(f, i) in fibres.get(s.lane.key)"
            :key="i"
            :d="fibre(hung, s.x, f.aside, s.isRinsed ? s.tip : s.tip - f.short)"
            :stroke-width="(hung.strandWidth / (fibres.get(s.lane.key)?.length ?? 8)) * 1.25"
            stroke-linecap="round"
          />
        </g>
        <g stroke-width="1.1" stroke-linecap="round">
          <template v-for="(f, i) in fibres.get(s.lane.key)" :key="i">
            <path
              v-if="f.tone !== 'body'"
              :d="fibre(hung, s.x, f.aside, s.isRinsed ? s.tip : s.tip - f.short - 2)"
              :stroke="s.fibre[f.tone]"
              opacity="0.6"
            />
          </template>
        </g>
        <template v-if="!s.isRinsed">
          <path
            v-if="s.window"
            :d="`M${s.x + hung.strandWidth / 2 + 2} ${s.window.from}h6V${s.window.to}${s.window.hasEnd ? 'h-6' : ''}`"
            stroke="var(--ink)"
            stroke-width="1.6"
          />
          <rect
            :x="s.x - hung.strandWidth / 2 - 5"
            :y="s.wall - 3"
            :width="hung.strandWidth + 10"
            height="6"
            rx="1"
            :fill="s.isOver ? 'var(--stop)' : 'var(--ink)'"
          />
          <g v-if="!isTight" class="num fill-soft text-[11px]">
            <text
              v-for="t in s.ticks"
              :key="t.level"
              :x="s.x - hung.strandWidth * 0.15 - 5"
              :y="t.y + 4"
              text-anchor="end"
            >
              {{ t.level }}
            </text>
          </g>
          <g v-for="b in s.beads" :key="b.id">
            <rect
              :x="s.x - hung.strandWidth / 2 - 3"
              :y="b.y - 11"
              :width="hung.strandWidth + 6"
              height="22"
              rx="4"
              :fill="b.hex"
              stroke="var(--ink)"
              stroke-width="2"
            />
            <text :x="s.x" :y="b.y + 5" text-anchor="middle" class="num text-[14px]" :fill="inkOn(b.hex)">
              {{ b.text }}
            </text>
          </g>
        </template>
        <!-- the colour wanted, on the line -->
        <rect
          :x="s.x - hung.strandWidth / 2 - 4"
          :y="hung.ready - 5"
          width="7"
          height="10"
          :fill="s.lane.hex_target"
          stroke="var(--ink)"
          stroke-width="1.5"
        />
      </g>
    </svg>
    <template v-if="hasParts">
      <p
        v-for="z in zones"
        :key="z.key"
        :dir="isRightToLeft ? 'rtl' : 'ltr'"
        class="narrow pointer-events-none absolute bottom-0 flex h-[22px] items-end justify-center overflow-hidden border-t border-strong text-[13px] leading-none font-semibold whitespace-nowrap"
        :style="{ left: `${z.from + 3}px`, width: `${z.to - z.from - 6}px` }"
      >
        {{ z.name }}
      </p>
    </template>
    <button
      v-for="s in feet"
      :key="s.lane.key"
      type="button"
      class="hang-foot absolute top-0 bottom-0 flex flex-col justify-end rounded-[6px]"
      :class="{ 'pb-[24px]': hasParts }"
      :style="{ left: `${s.x - s.width / 2}px`, width: `${s.width}px` }"
      @click="emit('open', s.lane.key)"
    >
      <span
        :dir="isRightToLeft ? 'rtl' : 'ltr'"
        class="flex flex-col items-center justify-start gap-0.5 px-0.5 text-center"
        :style="{ height: `${FOOT_PX - (hasParts ? 24 : 0) - 4}px` }"
      >
        <span class="flex flex-wrap items-center justify-center gap-x-1.5 gap-y-0.5">
          <span
            class="num flex h-6 min-w-6 items-center justify-center rounded-[4px] px-1 text-[16px]"
            :class="[
              s.isDue ? 'bg-signal text-signal-ink' : 'bg-sunk',
              s.lane.is_last_placed ? 'outline-2 outline-offset-1 outline-ink outline-dashed' : '',
            ]"
            >{{ numbers.get(s.lane.key) }}</span>{{ ' '
          }}<span class="narrow order-last line-clamp-2 basis-full text-[14px] leading-[16px] font-semibold"
            ><template v-if="hasParts && s.lane.part"
              >{{ s.lane.part }}<span class="sr-only">, {{ s.lane.zone_name }}</span></template
            ><template v-else>{{ s.lane.name }}</template></span
          >{{ ' '
          }}<span v-if="!isTight" class="num text-[14px] text-soft">{{
            $t('common.vol', { volume_strength: levelText(s.lane.volume_strength) })
          }}</span>
        </span>
        <span class="num text-[20px] leading-none whitespace-nowrap"
          >{{ fixed(s.says.level, 1)
          }}<span v-if="!isTight" class="ms-1 text-[15px] text-soft">
            {{ $t('arrow.on') }} {{ levelText(s.lane.target_level) }}</span
          ></span
        >
        <span
          class="narrow line-clamp-2 text-[13px] leading-[14px]"
          :class="s.says.isStrong ? 'font-bold text-stop' : s.says.isDue ? 'font-bold text-signal' : 'text-soft'"
          ><b v-if="waitingZones.has(s.lane.key)" class="text-ink">{{ $t('chairLane.notSent') }} </b>{{ s.says.text
          }}<template v-if="s.lane.notes.length"> · {{ s.lane.notes.join(', ') }}</template></span
        >
      </span>
    </button>
  </div>
</template>

<style>
.hang-foot:hover {
  background: oklch(0.5 0 0 / 0.07);
}
.lifted {
  animation: lift 260ms ease-out;
}
@keyframes lift {
  from {
    transform: translateY(6px);
    opacity: 0;
  }
}
</style>
