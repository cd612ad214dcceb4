<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import type { Schemas } from '../api/client'
import { waysThrough } from '../stores/steps'
import { $t, isRightToLeft } from '../lib/i18n'

const props = defineProps<{
  serviceId: string
  step: string
  kind?: Schemas['ServiceKind']
  fromHex: string
  toHex: string
}>()
const route = useRoute()
const every: { key: Schemas['Step']; name: string }[] = [
  { key: 'consultation', name: $t('common.consultation') },
  { key: 'strands', name: $t('stepStrand.strands') },
  { key: 'plan', name: $t('common.plan') },
  { key: 'chair', name: $t('common.chair') },
  { key: 'review', name: $t('common.review') },
  { key: 'tone', name: $t('common.tone') },
  { key: 'record', name: $t('common.record') },
]
/** The way through follows what the service does. */
const steps = computed(() => every.filter((s) => waysThrough[props.kind ?? 'lighten_and_tone'].includes(s.key)))
const at = computed(() => steps.value.findIndex((s) => s.key === props.step))
const painted = computed(() => ({
  width: `${((at.value + 0.5) / steps.value.length) * 100}%`,
  backgroundImage: `linear-gradient(to ${isRightToLeft ? 'left' : 'right'}, ${props.fromHex}, ${props.toHex})`,
  backgroundSize: `${(steps.value.length / (at.value + 0.5)) * 100}% 100%`,
}))
</script>

<template>
  <nav :aria-label="$t('stepStrand.stepsOfThisService')" class="w-full">
    <ol class="grid" :style="{ gridTemplateColumns: `repeat(${steps.length}, minmax(0, 1fr))` }">
      <li v-for="(s, i) in steps" :key="s.key">
        <RouterLink
          v-if="i <= at"
          :to="{ name: s.key, params: { id: serviceId } }"
          class="flex min-h-12 items-end justify-center pb-2 text-[12px] sm:text-[15px]"
          :class="route.name === s.key ? 'font-bold' : 'font-medium text-soft hover:text-ink'"
          :aria-current="route.name === s.key ? 'page' : undefined"
        >
          {{ s.name }}
        </RouterLink>
        <span v-else class="flex min-h-12 items-end justify-center pb-2 text-[12px] text-soft sm:text-[15px]">{{
          s.name
        }}</span>
      </li>
    </ol>
    <div class="relative h-[11px]" aria-hidden="true">
      <div class="hatch absolute inset-x-0 top-[3px] h-[5px] opacity-60" />
      <div class="strip absolute top-[2px] start-0 h-[7px] rounded-e-full" :style="painted" />
      <div
        v-for="(s, i) in steps"
        :key="s.key"
        class="absolute top-0 h-[11px] -translate-x-1/2 rtl:translate-x-1/2"
        :class="route.name === s.key ? 'w-[5px] bg-ink' : 'w-[2px] bg-strong'"
        :style="{ insetInlineStart: `${((i + 0.5) / steps.length) * 100}%` }"
      />
    </div>
  </nav>
</template>
