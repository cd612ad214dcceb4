<script setup lang="ts">
/** The act that is next, alone and large: readable from two metres; its buttons stand in the slot. */
defineProps<{
  act: { title: string; hex?: string | null } | undefined
  detail: string
  isDue: boolean
  isStop: boolean
  timer: { text: string; caption: string } | null
  nothing: string
}>()
</script>

<template>
  <section
    class="flex min-w-0 grow basis-full flex-wrap items-center gap-x-5 gap-y-2 rounded-[7px] bg-act px-5 py-3 text-act-ink sm:flex-nowrap lg:basis-[500px]"
    :class="{ 'outline-4 outline-signal': isDue && !isStop, '!bg-stop !text-stop-ink': isStop }"
    aria-label="Next"
  >
    <template v-if="act">
      <span
        v-if="act.hex"
        class="swatch hidden h-[84px] w-[30px] shrink-0 rounded-[3px] sm:block"
        :style="{ background: act.hex }"
      />
      <div class="min-w-0 grow basis-full sm:basis-auto">
        <h2 class="text-[28px] leading-[1.08] sm:text-[38px]">{{ act.title }}</h2>
        <p class="text-base opacity-90 sm:text-lg">{{ detail }}</p>
      </div>
      <p v-if="timer" class="shrink-0 text-center" role="timer" :aria-label="`${timer.text} ${timer.caption}`.trim()">
        <span class="num block text-[50px] leading-[0.95] sm:text-[64px]">{{ timer.text }}</span>
        <span v-if="timer.caption" class="block text-sm opacity-90">{{ timer.caption }}</span>
      </p>
      <slot />
    </template>
    <p v-else class="text-2xl font-semibold">{{ nothing }}</p>
  </section>
</template>
