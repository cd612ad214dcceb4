<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import type { Schemas } from '../api/client'
import { clock as clockText, isoDay, dayText } from '../lib/time'

/** Seven days side by side; a visit is as tall as its time in the diary. */
const props = defineProps<{ week: Schemas['WeekOut']; today: string }>()
const emit = defineEmits<{ day: [day: string] }>()
const days = computed(() =>
  Array.from({ length: 7 }, (_, i) => {
    const at = new Date(`${props.week.monday}T12:00:00`)
    at.setDate(at.getDate() + i)
    const iso = isoDay(at)
    return {
      iso,
      isShut: props.week.closed.includes(iso),
      name: dayText(at, { weekday: 'short', day: 'numeric', month: 'short' }),
      visits: props.week.visits.filter((v) => isoDay(new Date(v.starts_at)) === iso),
    }
  }),
)
const tall = (v: Schemas['WeekVisit']) => `${Math.min(Math.max((v.booked_min ?? 90) * 0.5, 60), 180)}px`
</script>

<template>
  <div class="grid gap-2 md:grid-cols-7">
    <section v-for="d in days" :key="d.iso" :aria-label="d.name" class="min-w-0">
      <button
        type="button"
        class="min-h-11 w-full rounded-[5px] px-2 text-start font-semibold hover:bg-panel"
        :class="{ 'bg-act text-act-ink hover:!bg-act': d.iso === today }"
        @click="emit('day', d.iso)"
      >
        {{ d.name }}
      </button>
      <p v-if="d.isShut || d.visits.length === 0" class="px-2 py-1 text-sm text-soft">
        {{ d.isShut ? $t('weekGrid.closed') : $t('weekGrid.free') }}
      </p>
      <RouterLink
        v-for="v in d.visits"
        :key="v.id"
        :to="{ name: 'service', params: { id: v.id } }"
        class="mt-1.5 block overflow-hidden rounded-[5px] bg-panel px-2 py-1.5 leading-tight hover:bg-raised"
        :class="{ 'border-s-[6px] border-signal': v.source === 'request' && v.step === 'consultation' }"
        :style="{ minHeight: tall(v) }"
      >
        <span class="num block">{{ clockText(v.starts_at) }}</span>
        <span class="narrow block font-semibold">{{ v.client_name }}</span>
        <span class="block text-sm text-soft">{{
          v.step === 'record'
            ? $t('weekGrid.filed')
            : v.source === 'request'
              ? $t('weekGrid.request')
              : v.booked_min
                ? $t('weekGrid.min', { booked_min: v.booked_min.toFixed(0) })
                : ''
        }}</span>
      </RouterLink>
    </section>
  </div>
</template>
