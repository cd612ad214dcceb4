<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { countdown, inMinutes, minutesUntil } from '../lib/time'

/** The next act at the basin, alone and large, and what comes after it. */
const props = defineProps<{ acts: readonly Schemas['ToneAct'][]; now: number; isBusy: boolean }>()
const emit = defineEmits<{ do: [act: Schemas['ToneAct']] }>()
const first = computed(() => props.acts[0])
const rest = computed(() => props.acts.slice(1, 4))
const isStop = computed(() => first.value?.code === 'stop')
const isDue = computed(() => Boolean(first.value && minutesUntil(first.value.due_at, props.now) <= 0))
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
    <section
      class="flex min-w-0 grow basis-full flex-wrap items-center gap-x-5 gap-y-2 rounded-[7px] bg-act px-5 py-3 text-act-ink sm:flex-nowrap lg:basis-[560px]"
      :class="{ 'outline-4 outline-signal': isDue && !isStop, '!bg-stop !text-stop-ink': isStop }"
      aria-label="Next"
    >
      <template v-if="first">
        <span
          v-if="first.hex"
          class="swatch hidden h-[76px] w-[30px] shrink-0 rounded-[3px] sm:block"
          :style="{ background: first.hex }"
        />
        <div class="min-w-0 grow basis-full sm:basis-auto">
          <h2 class="text-[26px] leading-[1.08] sm:text-[32px]">{{ first.title }}</h2>
          <p class="text-base opacity-90">{{ first.detail }}</p>
        </div>
        <p v-if="first.code !== 'apply' || minutesUntil(first.due_at, now) > 0.5" class="shrink-0" role="timer">
          <span class="num block text-[50px] leading-[0.95] sm:text-[60px]">{{
            countdown(minutesUntil(first.due_at, now))
          }}</span>
        </p>
        <button
          type="button"
          class="ml-auto min-h-16 shrink-0 rounded-[5px] bg-act-ink px-5 text-lg font-bold text-act"
          :class="{ '!bg-stop-ink !text-stop': isStop }"
          :disabled="isBusy"
          @click="emit('do', first)"
        >
          {{ verbs[first.code] }}
        </button>
      </template>
      <p v-else class="text-2xl font-semibold">Nothing on the hair; nothing left to tone.</p>
    </section>
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
