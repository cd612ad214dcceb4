<script setup lang="ts">
import { computed } from 'vue'
import { inkOn } from '../lib/strip'

/**
 * The act that is next, alone and large: readable from two metres; its buttons stand in the slot. Where hair is to be
 * looked at it has the colour the hair should have now, with a neutral notch to hold the strand against.
 */
const props = defineProps<{
  act: { title: string; hex?: string | null } | undefined
  detail: string
  isDue: boolean
  isStop: boolean
  timer: { text: string; caption: string } | null
  nothing: string
}>()
const hair = computed(() => (props.act?.hex && !props.isStop ? props.act.hex : null))
const paint = computed(() => (hair.value ? { '--act': hair.value, '--act-ink': inkOn(hair.value) } : undefined))
</script>

<template>
  <section
    class="flex min-w-0 grow basis-full flex-col justify-center gap-2 rounded-[7px] bg-act px-5 py-3 text-act-ink lg:basis-[500px]"
    :class="{ 'outline-4 outline-signal': isDue && !isStop, '!bg-stop !text-stop-ink': isStop }"
    :style="paint"
    :aria-label="$t('common.next')"
    data-next
  >
    <div v-if="act" class="flex grow flex-wrap items-center gap-x-5 gap-y-2 sm:flex-nowrap">
      <span v-if="hair" class="notch" aria-hidden="true" />
      <div class="min-w-0 grow basis-full sm:basis-auto">
        <h2 class="text-[28px] leading-[1.08] sm:text-[38px]">{{ act.title }}</h2>
        <p class="text-base opacity-90 sm:text-lg">{{ detail }}</p>
      </div>
      <p v-if="timer" class="shrink-0 text-center" role="timer" :aria-label="`${timer.text} ${timer.caption}`.trim()">
        <span class="num block text-[50px] leading-[0.95] sm:text-[64px]">{{ timer.text }}</span>
        <span v-if="timer.caption" class="block text-sm opacity-90">{{ timer.caption }}</span>
      </p>
      <slot />
    </div>
    <p v-else class="text-2xl font-semibold">{{ nothing }}</p>
    <slot name="below" />
  </section>
</template>

<style>
/* a neutral cut in the colour: the strand lies there, beside what it should look like */
.notch {
  align-self: stretch;
  flex-shrink: 0;
  width: 56px;
  margin-block: 2px;
  margin-inline-start: -20px;
  border-start-end-radius: 28px;
  border-end-end-radius: 28px;
  background: var(--ground);
}
@media (max-width: 639px) {
  .notch {
    display: none;
  }
}
</style>
