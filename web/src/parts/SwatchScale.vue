<script setup lang="ts">
import { computed, useId } from 'vue'
import { inkOn } from '../lib/strip'
import { levelText } from '../lib/time'
import { undertoneName } from '../lib/words'

/** Levels to pick from, painted: whole levels in one row, halves laid between them like bricks. */
const props = defineProps<{
  legend: string
  levels: readonly number[]
  hexes: readonly string[]
  undertones?: readonly string[]
  modelValue: number | null
  least?: number
  isLarge?: boolean
  /** It has the focus when its sheet opens. */
  isFirst?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [level: number] }>()
const name = useId()
const items = computed(() =>
  props.levels.map((level, i) => ({
    level,
    hex: props.hexes[i] ?? '#888888',
    undertone: props.undertones?.[i] && undertoneName(props.undertones[i]),
    isOff: props.least !== undefined && level < props.least,
  })),
)
const first = computed(() => Math.floor(items.value[0]?.level ?? 1))
const column = (level: number) => Math.round((level - first.value) * 2) + 1
/** Each level is two columns wide; a scale may end on a half. */
const columns = computed(() => column(items.value[items.value.length - 1]?.level ?? 10) + 1)
</script>

<template>
  <fieldset class="min-w-0">
    <legend class="label">{{ legend }}</legend>
    <div class="grid gap-y-1" :style="{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }">
      <label
        v-for="(item, i) in items"
        :key="item.level"
        class="relative block px-[1.5px]"
        :class="{ 'pointer-events-none opacity-25': item.isOff }"
        :style="{ gridColumn: `${column(item.level)} / span 2`, gridRow: Number.isInteger(item.level) ? 1 : 2 }"
      >
        <input
          type="radio"
          class="peer absolute inset-0 opacity-0"
          :data-first="isFirst && i === 0 ? '' : undefined"
          :name="name"
          :value="item.level"
          :checked="modelValue === item.level"
          :disabled="item.isOff"
          :aria-label="item.undertone ? `${levelText(item.level)}, ${item.undertone}` : levelText(item.level)"
          @change="emit('update:modelValue', item.level)"
        />
        <span
          class="swatch num flex items-end justify-center rounded-[4px] pb-0.5 ring-ink peer-checked:ring-[3px] peer-checked:ring-offset-2 peer-checked:ring-offset-panel peer-focus-visible:outline-3 peer-focus-visible:outline-offset-2 peer-focus-visible:outline-signal"
          :class="isLarge ? 'h-16 text-xl' : Number.isInteger(item.level) ? 'h-12 text-lg' : 'h-10 text-sm'"
          :style="{ background: item.hex, color: inkOn(item.hex) }"
          aria-hidden="true"
        >
          {{ levelText(item.level) }}
        </span>
      </label>
    </div>
  </fieldset>
</template>
