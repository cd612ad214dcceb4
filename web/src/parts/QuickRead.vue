<script setup lang="ts">
import { computed } from 'vue'
import { $t } from '../lib/i18n'
import { inkOn } from '../lib/strip'
import { levelText } from '../lib/time'
import { undertoneName } from '../lib/words'

/** The levels around what is expected, painted, on the card that asks for the look: one tap is the reading. */
const props = defineProps<{
  levels: readonly number[]
  hexes: readonly string[]
  undertones: readonly string[]
  expected: number
  isFirstFoils: boolean
  isBusy: boolean
}>()
const emit = defineEmits<{ read: [level: number] }>()
const NEAR = 1.5
const ON_A_PHONE = 1
const near = computed(() => {
  const last = props.levels[props.levels.length - 1] ?? 10
  const middle = Math.min(Math.max(Math.round(props.expected * 2) / 2, (props.levels[0] ?? 1) + NEAR), last - NEAR)
  return props.levels
    .map((level, i) => ({
      level,
      hex: props.hexes[i] ?? '#888888',
      undertone: undertoneName(props.undertones[i] ?? ''),
    }))
    .filter((s) => Math.abs(s.level - middle) <= NEAR)
    .map((s) => ({ ...s, isFar: Math.abs(s.level - middle) > ON_A_PHONE }))
})
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-x-3 gap-y-1 rounded-[5px] bg-ground px-3 py-1.5 text-ink"
    role="group"
    :aria-label="isFirstFoils ? $t('chairNext.firstFoilsRead') : $t('chairNext.readsWiped')"
  >
    <span class="text-[15px] font-semibold" aria-hidden="true">{{
      isFirstFoils ? $t('chairNext.firstFoilsRead') : $t('chairNext.readsWiped')
    }}</span>
    <span class="flex grow gap-1.5">
      <button
        v-for="s in near"
        :key="s.level"
        type="button"
        class="swatch num h-12 min-w-12 grow rounded-[4px] text-xl"
        :class="{ 'hidden sm:block': s.isFar }"
        :style="{ background: s.hex, color: inkOn(s.hex) }"
        :disabled="isBusy"
        :aria-label="$t('chairNext.reads', { level: levelText(s.level), undertone: s.undertone })"
        @click="emit('read', s.level)"
      >
        {{ levelText(s.level) }}
      </button>
    </span>
  </div>
</template>
