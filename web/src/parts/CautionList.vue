<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { clock as clockText } from '../lib/time'

/** What blocks, then what must be acknowledged, each with who took it on and when. */
const props = defineProps<{ cautions: Schemas['CautionOut'][]; isLocked: boolean }>()
const emit = defineEmits<{ acknowledge: [codes: string[]]; shown: [areAll: boolean] }>()
const blocks = computed(() => props.cautions.filter((c) => c.caution.severity === 'block'))
const warns = computed(() => props.cautions.filter((c) => c.caution.severity === 'warn'))
const open = computed(() => warns.value.filter((c) => !c.acknowledged_at).map((c) => c.caution.code))
/** What was on the screen, whole or nearly: all of it can then be seen to in one act. */
const items = ref<HTMLElement[]>([])
const onScreen = ref<Set<string>>(new Set())
useIntersectionObserver(
  items,
  (entries) => {
    const now = entries.filter((e) => e.isIntersecting).map((e) => (e.target as HTMLElement).dataset.code ?? '')
    onScreen.value = new Set([...onScreen.value, ...now])
  },
  { threshold: 0.9 },
)
watch(
  [onScreen, warns],
  () =>
    emit(
      'shown',
      warns.value.every((c) => c.acknowledged_at || onScreen.value.has(c.caution.code)),
    ),
  { immediate: true },
)
</script>

<template>
  <section class="panel" aria-labelledby="caution-title">
    <h2 id="caution-title" class="mb-1.5 text-lg">{{ $t('cautionList.beforeAnyProduct') }}</h2>
    <ul class="flex flex-col gap-2">
      <li v-for="c in blocks" :key="c.caution.code" class="rounded-[5px] border-s-[8px] border-stop bg-raised p-3">
        <p class="text-lg font-bold text-stop">{{ c.caution.title }}</p>
        <p>{{ c.caution.advice }}</p>
        <p class="mt-1 text-sm text-soft">{{ $t('cautionList.thisCannotBeAcknowledgedAway') }}</p>
      </li>
      <li
        v-for="c in warns"
        ref="items"
        :key="c.caution.code"
        :data-code="c.caution.code"
        class="rounded-[5px] border-s-[8px] bg-raised px-3 py-2"
        :class="c.acknowledged_at ? 'border-line' : 'border-ink'"
      >
        <p class="leading-snug font-bold">{{ c.caution.title }}</p>
        <p class="text-[15px] leading-snug" :class="{ 'text-soft': c.acknowledged_at }">{{ c.caution.advice }}</p>
        <p v-if="c.acknowledged_at" class="mt-1 text-sm font-semibold">
          ✓ {{ c.acknowledged_by }}, {{ clockText(c.acknowledged_at) }}
        </p>
      </li>
    </ul>
    <button
      v-if="open.length"
      type="button"
      class="btn mt-2 w-full"
      :disabled="isLocked"
      @click="emit('acknowledge', open)"
    >
      {{ $t('cautionList.iHaveSeenToIt', open.length) }}
    </button>
    <p v-if="cautions.length === 0" class="text-soft">{{ $t('cautionList.cautionsStandHereAsSoon') }}</p>
  </section>
</template>
