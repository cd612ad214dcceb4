<script setup lang="ts">
import { nextTick, useTemplateRef } from 'vue'
import type { Schemas } from '../api/client'
import { dayName } from '../lib/time'
import { $t } from '../lib/i18n'

/** Holidays and breaks: no visit is proposed there. */
defineProps<{ isLocked: boolean }>()
const days = defineModel<Schemas['ClosedDays'][]>({ required: true })
const list = useTemplateRef('list')
const change = (at: number, more: Partial<Schemas['ClosedDays']>) => {
  days.value = days.value.map((d, i) => {
    if (i !== at) return d
    const changed = { ...d, ...more }
    return changed.last < changed.first ? { ...changed, last: changed.first } : changed // a single day is named once
  })
}
const add = async () => {
  days.value = [...days.value, { first: '', last: '', is_every_year: false }]
  await nextTick()
  list.value?.querySelector<HTMLInputElement>('li:last-child input')?.focus()
}
const takeOut = (at: number) => {
  days.value = days.value.filter((_, i) => i !== at)
}
const text = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <section class="border-t border-line pt-3 pb-5" aria-labelledby="s-closed">
    <h3 id="s-closed" class="mb-2 text-lg">{{ $t('closedDays.closed') }}</h3>
    <p v-if="days.length === 0" class="mb-2 text-soft">{{ $t('closedDays.none') }}</p>
    <ul ref="list">
      <li
        v-for="(d, i) in days"
        :key="i"
        class="grid grid-cols-2 items-end gap-x-3 gap-y-1 pb-3 sm:grid-cols-[1fr_1fr_auto_auto]"
      >
        <div class="min-w-0">
          <label class="text-sm text-soft" :for="`closed-first-${i}`">{{ $t('closedDays.from') }}</label><input
            :id="`closed-first-${i}`"
            class="field !px-2"
            type="date"
            required
            :value="d.first"
            @change="change(i, { first: text($event) })"
          />
        </div>
        <div class="min-w-0">
          <label class="text-sm text-soft" :for="`closed-last-${i}`">{{ $t('closedDays.to') }}</label><input
            :id="`closed-last-${i}`"
            class="field !px-2"
            type="date"
            required
            :min="d.first"
            :value="d.last"
            @change="change(i, { last: text($event) })"
          />
        </div>
        <label class="flex min-h-12 items-center gap-2"
          ><input
            type="checkbox"
            class="size-6 shrink-0"
            :checked="d.is_every_year"
            @change="change(i, { is_every_year: ($event.target as HTMLInputElement).checked })"
          />{{ $t('closedDays.everyYear') }}</label
        >
        <button
          v-if="!isLocked"
          type="button"
          class="btn justify-self-end"
          :aria-label="$t('closedDays.takeOut', { first: d.first ? dayName(`${d.first}T12:00:00`) : '' })"
          @click="takeOut(i)"
        >
          ×
        </button>
      </li>
    </ul>
    <button v-if="!isLocked" type="button" class="btn" @click="add">{{ $t('closedDays.add') }}</button>
  </section>
</template>
