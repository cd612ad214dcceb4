<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { gradient, pointAt, toPercent, clampPercent } from '../lib/strip'
import { countdown, grams, levelText, minutesUntil } from '../lib/time'

/** One rinsed zone: what it is now, what each shade makes of it minute by minute, and its toner's clock. */
const props = defineProps<{ lane: Schemas['ToneLane']; now: number; isBusy: boolean; isLocked: boolean }>()
const emit = defineEmits<{ apply: [option: Schemas['ToneOption']]; rinse: []; read: [] }>()
const picked = ref<string | null>(null)
const option = computed(() => props.lane.options.find((o) => o.shade_key === picked.value) ?? props.lane.options[0])
const clock = computed(() => props.lane.toner)
const onFor = computed(() => (clock.value ? -minutesUntil(clock.value.applied_at, props.now) : 0))
const ended = computed(() =>
  clock.value?.rinsed_at ? -minutesUntil(clock.value.applied_at, new Date(clock.value.rinsed_at).getTime()) : null,
)
const axis = computed(() => ({ from: 0, to: clock.value?.label_max_min ?? 20 }))
const hexNow = computed(() => pointAt(clock.value?.curve ?? [], ended.value ?? onFor.value)?.hex ?? props.lane.now_hex)
const isPast = computed(
  () => clock.value !== null && ended.value === null && onFor.value > (clock.value?.label_max_min ?? 0),
)
const x = (minute: number) => `${clampPercent(toPercent(axis.value, minute))}%`
</script>

<template>
  <article
    class="panel grid items-center gap-x-5 gap-y-3 !py-3 md:grid-cols-[150px_minmax(0,1fr)] lg:grid-cols-[140px_minmax(0,1fr)_246px]"
    :aria-label="lane.name"
  >
    <div>
      <h2 class="narrow text-[19px]">{{ lane.name }}</h2>
      <p class="num text-[22px] leading-tight">
        {{ levelText(lane.level) === lane.level.toFixed(1) ? lane.level.toFixed(1) : levelText(lane.level) }}
        <span class="text-base font-normal text-soft" style="font-stretch: 92%">{{ lane.undertone }}</span>
      </p>
      <button
        v-if="!lane.is_read && !isLocked"
        type="button"
        class="mt-1 min-h-9 text-sm font-semibold underline underline-offset-4"
        @click="emit('read')"
      >
        not read yet: read it
      </button>
      <p v-else class="text-sm text-soft">porosity {{ lane.porosity }}</p>
    </div>

    <template v-if="clock">
      <div>
        <p class="mb-1 flex items-baseline justify-between gap-3">
          <strong class="text-lg">{{ clock.shade_name }}</strong><span class="text-soft">{{
            ended === null
              ? `planned ${clock.minutes.toFixed(0)} min, label ${clock.label_max_min.toFixed(0)}`
              : `on for ${ended.toFixed(0)} min`
          }}</span>
        </p>
        <div
          class="strip relative h-11 overflow-hidden"
          role="img"
          :aria-label="`${clock.shade_name} on for ${onFor.toFixed(0)} of ${clock.minutes.toFixed(0)} min`"
        >
          <div class="absolute inset-x-0 top-[15px] h-[14px]" :style="{ background: gradient(clock.curve) }" />
          <div class="absolute top-[6px] left-0 h-8 overflow-hidden" :style="{ width: x(ended ?? onFor) }">
            <div
              class="h-full"
              :style="{
                background: gradient(clock.curve),
                width: `${10000 / Math.max(clampPercent(toPercent(axis, ended ?? onFor)), 0.5)}%`,
              }"
            />
          </div>
          <div class="absolute top-0 h-11 w-[5px] -translate-x-1/2 bg-ink" :style="{ left: x(clock.minutes) }" />
          <div v-if="ended === null" class="absolute top-0 h-11 w-[2.5px] bg-signal" :style="{ left: x(onFor) }" />
        </div>
      </div>
      <div class="flex items-center gap-3 md:col-start-2 lg:col-start-auto">
        <svg class="swatch size-12 shrink-0" viewBox="0 0 44 44" role="img" aria-label="Left now, right wanted">
          <circle cx="22" cy="22" r="21" :fill="hexNow" />
          <path d="M22 1 A21 21 0 0 1 22 43 Z" :fill="lane.wanted_hex" />
        </svg>
        <template v-if="ended === null">
          <p class="num text-[34px] leading-none" :class="{ 'text-stop': isPast }" role="timer">
            {{ countdown(minutesUntil(clock.due_at, now)) }}
          </p>
          <button
            type="button"
            class="btn ml-auto"
            :class="onFor >= clock.minutes ? 'btn-act' : ''"
            :disabled="isBusy || isLocked"
            @click="emit('rinse')"
          >
            Rinsed
          </button>
        </template>
        <p v-else class="font-semibold">rinsed</p>
      </div>
    </template>

    <template v-else-if="option">
      <div class="min-w-0">
        <div
          class="swatch flex h-12 overflow-hidden rounded-[4px]"
          role="img"
          :aria-label="`${option.shade_name}: colour now, at 5, 10, 15 and 20 min, and wanted`"
        >
          <span class="w-[18%]" :style="{ background: lane.now_hex }" />
          <span v-for="s in option.steps" :key="s.minute" class="grow" :style="{ background: s.hex }" />
          <span class="w-[18%] border-l-[5px] border-panel" :style="{ background: lane.wanted_hex }" />
        </div>
        <div class="flex text-[12px] text-soft" aria-hidden="true">
          <span class="w-[18%]">now</span
          ><span v-for="s in option.steps" :key="s.minute" class="num grow basis-0 text-[13px]">{{ s.minute }} min</span
          ><span class="w-[18%] pl-[5px]">wanted</span>
        </div>
        <div class="mt-1 flex flex-wrap gap-1.5" role="group" :aria-label="`Shades for ${lane.name}`">
          <button
            v-for="o in lane.options"
            :key="o.shade_key"
            type="button"
            class="narrow flex min-h-12 items-center gap-2 rounded-[5px] border px-2.5 text-[15px]"
            :class="o.shade_key === option.shade_key ? 'border-ink bg-raised font-bold' : 'border-line'"
            :aria-pressed="o.shade_key === option.shade_key"
            @click="picked = o.shade_key"
          >
            <span class="size-5 rounded-full border border-strong" :style="{ background: o.hex }" />{{ o.shade_name }}
            <span class="num">{{ o.minutes.toFixed(0) }}′</span
            ><span v-if="o.blocked" class="font-bold text-stop">blocked</span>
          </button>
        </div>
      </div>
      <div class="md:col-start-2 lg:col-start-auto">
        <p class="leading-snug">
          <span class="num text-[24px]">{{ option.minutes.toFixed(0) }}</span> min · {{ grams(option.product_g) }} g +
          {{ grams(option.developer_g) }} g of {{ levelText(option.developer_volume) }} vol
        </p>
        <p class="text-sm text-soft">
          difference {{ option.delta_e.toFixed(1) }} ·
          {{
            option.depth_lost_levels < 0.05 ? 'no depth lost' : `${option.depth_lost_levels.toFixed(1)} level deeper`
          }}
        </p>
        <p v-if="option.blocked" class="mt-1 font-semibold text-stop">{{ option.blocked }}</p>
        <button
          v-else
          type="button"
          class="btn btn-act mt-1.5 w-full"
          :disabled="isBusy || isLocked"
          @click="emit('apply', option)"
        >
          Toner is on
        </button>
      </div>
    </template>
    <p v-else class="text-soft">There is no toner on the shelf.</p>
  </article>
</template>
