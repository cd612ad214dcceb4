<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { countdown, inMinutes, minutesUntil } from '../lib/time'
import ActPanel from './ActPanel.vue'

/** The next act at the basin, alone and large, and what comes after it. */
const props = defineProps<{ acts: readonly Schemas['ToneAct'][]; now: number; isBusy: boolean }>()
const emit = defineEmits<{ do: [act: Schemas['ToneAct']] }>()
const first = computed(() => props.acts[0])
const rest = computed(() => props.acts.slice(1, 4))
const isStop = computed(() => first.value?.code === 'stop')
const isDue = computed(() => Boolean(first.value && minutesUntil(first.value.due_at, props.now) <= 0))
const timer = computed(() => {
  if (!first.value) return null
  const minutes = minutesUntil(first.value.due_at, props.now)
  if (first.value.code === 'apply' && minutes <= 0.5) return null
  return { text: countdown(minutes), caption: '' }
})
const verbs: Record<string, string> = {
  apply: 'It is on',
  emulsify: 'Emulsified',
  strand: 'Look at it',
  rinse: 'Rinsed',
  stop: 'Rinsed',
}
</script>

<template>
  <div class="mb-3 flex flex-wrap items-stretch gap-3">
    <ActPanel
      :act="first"
      :detail="first?.detail ?? ''"
      :is-due="isDue"
      :is-stop="isStop"
      :timer="timer"
      nothing="Nothing on the hair; nothing left to tone."
    >
      <button
        v-if="first"
        type="button"
        class="ml-auto min-h-16 shrink-0 rounded-[5px] bg-act-ink px-5 text-lg font-bold text-act"
        :class="{ '!bg-stop-ink !text-stop': isStop }"
        :disabled="isBusy"
        @click="emit('do', first)"
      >
        {{ verbs[first.code] }}
      </button>
    </ActPanel>
    <section v-if="rest.length" class="panel grow basis-[280px] !py-2.5" aria-label="Then">
      <h2 class="text-sm font-semibold text-soft">Then</h2>
      <ul>
        <li v-for="(a, i) in rest" :key="a.code + a.id" class="flex items-baseline justify-between gap-3">
          <button
            type="button"
            class="min-h-9 truncate text-left hover:underline"
            :class="{ 'text-[19px] font-semibold': i === 0 }"
            @click="emit('do', a)"
          >
            {{ a.title }}
          </button>
          <span class="num whitespace-nowrap" :class="{ 'font-bold': minutesUntil(a.due_at, now) <= 0 }">{{
            inMinutes(minutesUntil(a.due_at, now))
          }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>
