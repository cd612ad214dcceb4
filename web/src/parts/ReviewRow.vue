<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Schemas } from '../api/client'
import { levelText, fixed } from '../lib/time'
import { $t } from '../lib/i18n'

/** One zone as it came out: before, now and wanted side by side, and the ways on from here. */
const props = defineProps<{ lane: Schemas['ReviewLane']; way: string; isLocked: boolean }>()
const emit = defineEmits<{ read: []; way: [way: string] }>()
const name = useId()
const chosen = computed(() => props.lane.options.find((o) => o.way === props.way) ?? props.lane.options[0])
const off = computed(() =>
  props.lane.is_kept
    ? $t('reviewRow.notLightened')
    : props.lane.is_on_target
      ? $t('common.onTarget')
      : $t(props.lane.off_levels < 0 ? 'reviewRow.levelsShort' : 'reviewRow.levelsPast', {
          levels: fixed(Math.abs(props.lane.off_levels), 1),
        }),
)
</script>

<template>
  <article
    class="grid items-center gap-x-4 gap-y-2 border-t border-line py-3 md:grid-cols-[126px_150px_minmax(0,1fr)]"
    :aria-label="lane.name"
  >
    <div>
      <h2 class="narrow text-[19px] leading-tight">{{ lane.name }}</h2>
      <button
        type="button"
        class="min-h-10 text-start text-sm font-semibold underline underline-offset-4"
        :class="{ 'text-soft': lane.is_read }"
        :disabled="isLocked"
        @click="emit('read')"
      >
        {{ lane.is_read ? $t('reviewRow.readAgain') : $t('reviewRow.readIt') }}
      </button>
    </div>
    <div class="flex items-center gap-3">
      <span
        class="swatch flex h-14 w-[74px] shrink-0 overflow-hidden rounded-[4px]"
        role="img"
        :aria-label="$t('reviewRow.beforeNowAndWanted')"
      >
        <span class="w-[22%]" :style="{ background: lane.before_hex }" />
        <span class="grow" :style="{ background: lane.now_hex }" />
        <span class="w-[22%] border-s-[3px] border-panel" :style="{ background: lane.target_hex }" />
      </span>
      <p class="leading-tight">
        <span class="num text-[26px]">{{
          levelText(lane.level) === String(lane.level) ? lane.level : fixed(lane.level, 1)
        }}</span><span class="num text-soft"> / {{ levelText(lane.target_level) }}</span>
        <span class="block text-sm" :class="lane.is_on_target ? 'text-soft' : 'font-semibold'">{{ off }}</span>
      </p>
    </div>
    <p class="min-w-0 text-[15px] leading-snug">
      {{ lane.says }}.<strong v-if="lane.band" class="ms-1">{{ $t('reviewRow.band', { band: lane.band }) }}</strong>
      <span v-if="lane.options.length === 1" class="block text-sm text-soft">{{ lane.options[0]?.reason }}</span>
    </p>
    <div v-if="lane.options.length > 1" class="md:col-span-3">
      <div
        class="flex flex-wrap gap-1.5"
        role="radiogroup"
        :aria-label="$t('reviewRow.whatToDoWith', { name: lane.name })"
      >
        <label v-for="o in lane.options" :key="o.way" class="relative">
          <input
            type="radio"
            class="peer absolute inset-0 opacity-0"
            :name="name"
            :checked="o.way === way"
            :disabled="isLocked || o.blocked !== null"
            @change="emit('way', o.way)"
          />
          <span
            class="narrow flex min-h-12 items-center gap-2 rounded-[5px] border border-line px-2.5 text-[15px] peer-checked:border-ink peer-checked:bg-raised peer-checked:font-bold peer-focus-visible:outline-3 peer-focus-visible:outline-offset-2 peer-focus-visible:outline-signal"
          >
            <span class="swatch size-6 rounded-full border border-strong" :style="{ background: o.hex }" />
            {{ o.title }}<span v-if="o.blocked" class="font-bold text-stop">{{ $t('reviewRow.no') }}</span>
          </span>
        </label>
      </div>
      <p v-if="chosen" class="mt-1 text-sm text-soft">
        {{ chosen.reason
        }}<template v-if="chosen.way === 'again' && chosen.volume_strength !== null">
          {{
            $t('reviewRow.volAboutMin', {
              volume_strength: levelText(chosen.volume_strength ?? 0),
              minutes: (chosen.minutes ?? 0).toFixed(0),
            })
          }}</template
        >
      </p>
      <p v-for="o in lane.options.filter((x) => x.blocked)" :key="o.way" class="mt-1 text-sm font-semibold text-stop">
        {{ $t('reviewRow.no2', { title: o.title, blocked: o.blocked }) }}
      </p>
    </div>
  </article>
</template>
