<script setup lang="ts">
import { computed } from 'vue'
import { inkOn } from '../lib/strip'
import { levelText } from '../lib/time'
import { partNames } from '../lib/words'
import { type Kind, partAt, type Slot, stretches } from '../stores/zones'
import { lengthText } from '../lib/units'
import { $t } from '../lib/i18n'

/** One strand from the scalp to the tip, painted as it was read: tap a stretch to read it, or part one more. */
const props = defineProps<{
  kind: Kind
  length: number
  offScalp: number
  /** Colour of the hair at a place that was read at a level. */
  hexOf: (slot: Slot, level: number) => string
  place: Slot
  canPart: (what: 'root' | 'band' | 'ends') => boolean
}>()
const emit = defineEmits<{ open: [slot: Slot]; part: [what: 'root' | 'band' | 'ends'] }>()
const nameOf = (slot: Slot) => {
  if (slot === 'lengths') return props.kind.parts.length ? partNames.lengths : $t('strandBar.allOfIt')
  const [name, number] = slot.split('-') as [keyof typeof partNames, string | undefined]
  return number && Number(number) > 1 ? `${partNames[name]} ${number}` : partNames[name]
}
const drawn = computed(() => {
  const all = stretches(props.kind.parts, props.length)
  // a few mm of root are as wide as a finger; the longest stretch gives way
  const widths = all.map((s) => Math.max((s.to - s.from) / props.length, 0.16))
  const total = widths.reduce((sum, w) => sum + w, 0)
  return all.map((s, i) => {
    const hair = partAt(props.kind, s.slot) ?? props.kind
    return {
      ...s,
      width: (widths[i]! / total) * 100,
      level: hair.start_level,
      hex: props.hexOf(s.slot, hair.start_level),
    }
  })
})
const offers = [
  { what: 'root' as const, name: $t('strandBar.rootApart') },
  { what: 'band' as const, name: $t('strandBar.bandApart') },
  { what: 'ends' as const, name: $t('strandBar.endsApart') },
]
</script>

<template>
  <div>
    <div class="mb-1 flex justify-between text-sm text-soft" aria-hidden="true">
      <span>{{ $t('common.scalp') }}</span><span class="num">{{
        $t('strandBar.mmTip', { length: lengthText(length) })
      }}</span>
    </div>
    <div class="flex gap-[3px]" role="tablist" :aria-label="$t('strandBar.partOfTheHair')">
      <button
        v-for="(s, i) in drawn"
        :key="i"
        type="button"
        role="tab"
        class="swatch flex min-h-14 min-w-0 flex-col items-center justify-center rounded-[4px] px-1 text-[13px] leading-tight font-semibold ring-ink"
        :class="place === s.slot ? 'ring-[3px] ring-offset-2 ring-offset-panel' : ''"
        :style="{ width: `${s.width}%`, background: s.hex, color: inkOn(s.hex) }"
        :aria-selected="place === s.slot"
        @click="emit('open', s.slot)"
      >
        <span class="max-w-full truncate">{{ nameOf(s.slot) }}</span>
        <span class="num text-base">{{ levelText(s.level) }}</span>
        <span class="sr-only">{{ $t('strandBar.toMm', { from: lengthText(s.from), to: lengthText(s.to) }) }}</span>
      </button>
    </div>
    <div v-if="kind.parts.length" class="mt-0.5 flex gap-[3px] text-[12px] text-soft" aria-hidden="true">
      <span v-for="(s, i) in drawn" :key="i" class="num truncate px-0.5" :style="{ width: `${s.width}%` }"
        >{{ s.from }}–{{ s.to }}</span
      >
    </div>
    <p v-if="offScalp > 0" class="mt-1 text-sm text-soft">
      {{ $t('strandBar.productStartsMmOffThe', { offScalp: lengthText(offScalp) }) }}
    </p>
    <div class="mt-2 flex flex-wrap gap-1.5">
      <button
        v-for="o in offers.filter((x) => canPart(x.what))"
        :key="o.what"
        type="button"
        class="btn !min-h-11 text-[15px]"
        @click="emit('part', o.what)"
      >
        {{ o.name }}
      </button>
      <slot />
    </div>
  </div>
</template>
