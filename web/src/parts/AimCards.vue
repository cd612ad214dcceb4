<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { duration, levelText, listed } from '../lib/time'
import { aims as words } from '../lib/words'
import { $t } from '../lib/i18n'

/** Schedules to choose from: a line of them, each a tap; opened, what each costs side by side. */
const props = defineProps<{ aims: readonly Schemas['AimOut'][]; taken: Schemas['Aim']; isLocked: boolean }>()
const emit = defineEmits<{ take: [aim: Schemas['Aim']] }>()
const isOpen = ref(false)
const shown = computed(() => props.aims.filter((a) => a.same_as === null))
const alike = (a: Schemas['AimOut']) => props.aims.filter((x) => x.same_as === a.aim).map((x) => words[x.aim].name)
/** One that came out like another stands for it too. */
const isTaken = (a: Schemas['AimOut']) =>
  a.aim === props.taken || props.aims.some((x) => x.aim === props.taken && x.same_as === a.aim)
const why = computed(() => shown.value.find(isTaken)?.why ?? null)
const longest = computed(() => Math.max(...props.aims.map((a) => a.last_rinse_min), 30))
const share = (minute: number) => `${(minute / longest.value) * 100}%`
const strengths = (a: Schemas['AimOut']) => $t('aimCards.vol', { strengths: a.strengths.map(levelText).join(', ') })
const facts = (a: Schemas['AimOut']) => [
  $t('aimCards.lastRinseAfterMinTo', {
    last_rinse: duration(a.last_rinse_min),
    visit_count: $t('count.trips', a.visit_count),
  }),
  $t('aimCards.loadVolMin', {
    a: strengths(a),
    bowl_count: $t('count.bowls', a.bowl_count),
    contact_load_volume_min: a.contact_load_volume_min.toFixed(0),
  }),
]
const parts = {
  minutes: $t('aimCards.minutes'),
  visits: $t('aimCards.trips'),
  strengths: $t('aimCards.strengths'),
  bowls: $t('aimCards.bowls'),
  looks: $t('aimCards.looks'),
  wiped: $t('common.wipingOut'),
  missed: $t('aimCards.levelsMissed'),
  strain: $t('aimCards.strainOnHair'),
  spared: $t('aimCards.hurryAndHairToSpare'),
} as const
/** What it is weighed at, part by part, in minutes. */
const weighed = (a: Schemas['AimOut']) => {
  const told = Object.entries(parts)
    .map(([part, name]) => ({ name, minutes: Math.round(a.price[part as keyof typeof parts]) }))
    .filter((p) => p.minutes > 0)
  const sum = told.reduce((all, p) => all + p.minutes, 0)
  return $t('aimCards.weighedAtMin', { sum, told: told.map((p) => `${p.name} ${p.minutes}`).join(', ') })
}
const sessions = (a: Schemas['AimOut']) => {
  const count = a.sessions === null ? $t('aimCards.notInSixSessions') : $t('count.sessions', a.sessions)
  return a.short_count
    ? $t('aimCards.ofShortToday', { count, short_count: a.short_count, count2: a.lanes.length })
    : count
}
</script>

<template>
  <div>
    <div
      class="grid grid-cols-2 items-stretch gap-2 sm:flex sm:flex-wrap sm:items-center"
      role="group"
      :aria-label="$t('aimCards.aims')"
    >
      <button
        v-for="a in shown"
        :key="a.aim"
        type="button"
        class="min-h-12 rounded-[7px] border-2 bg-panel px-3 py-1 text-start transition-colors sm:py-0"
        :class="isTaken(a) ? 'border-act' : 'border-transparent hover:border-strong'"
        :aria-pressed="isTaken(a)"
        :disabled="isLocked"
        @click="emit('take', a.aim)"
      >
        <strong>{{ words[a.aim].name }}</strong>
        <span class="num ms-2 text-lg whitespace-nowrap">{{ duration(a.chair_min) }}</span>
        <span class="text-sm text-soft max-sm:block sm:ms-2"
          >{{ strengths(a) }}, {{ $t('count.trips', a.visit_count) }}</span
        >
        <span v-if="alike(a).length" class="ms-2 text-sm text-soft">{{
          $t('aimCards.theSame', { a: listed(alike(a)) })
        }}</span>
      </button>
      <p v-if="why && !isOpen" class="min-w-0 grow self-center text-sm text-soft">{{ why }}</p>
      <button type="button" class="btn" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        {{ isOpen ? $t('aimCards.fold') : $t('aimCards.compare') }}
      </button>
    </div>
    <div v-if="isOpen" class="mt-2 grid gap-3 md:grid-cols-2 xl:grid-cols-4" data-testid="aim-cards">
      <div
        v-for="a in shown"
        :key="a.aim"
        class="rounded-[7px] border-2 bg-panel p-3"
        :class="isTaken(a) ? 'border-act' : 'border-transparent'"
      >
        <p class="flex items-baseline gap-2">
          <span class="text-xl font-bold">{{ words[a.aim].name }}</span>
          <span class="num ms-auto text-2xl leading-none">{{ duration(a.chair_min) }}</span>
        </p>
        <p class="text-sm text-soft">{{ words[a.aim].says }}</p>
        <p class="mt-1 text-sm leading-snug">
          <span v-for="(line, n) in facts(a)" :key="n" class="block">{{ line }}</span>
          <b class="block">{{ sessions(a) }}</b>
          <span v-if="a.why" class="block">{{ a.why }}</span>
          <span class="block text-soft">{{ weighed(a) }}</span>
        </p>
        <span class="mt-2 flex flex-col justify-center gap-[3px]" dir="ltr" aria-hidden="true">
          <span v-for="(lane, i) in a.lanes" :key="i" class="relative block h-[6px] max-h-[6px] min-h-[2px] shrink">
            <span
              class="hatch absolute inset-y-0 opacity-50"
              :style="{ left: share(lane.start_min), width: share(lane.end_min - lane.start_min) }"
            />
            <span
              class="swatch absolute inset-y-0 rounded-e-[2px]"
              :class="{ 'opacity-60': lane.is_short }"
              :style="{
                left: share(lane.end_min),
                width: share(lane.rinse_min - lane.end_min),
                background: `linear-gradient(to right, ${lane.hexes[0]}, ${lane.hexes[1]})`,
              }"
            />
          </span>
        </span>
      </div>
    </div>
  </div>
</template>
