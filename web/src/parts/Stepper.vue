<script setup lang="ts">
import { computed, nextTick, useId } from 'vue'
import { measures } from '../lib/units'

/** A number stepped by two large buttons, or typed. */
const props = defineProps<{
  label: string
  modelValue: number | null
  unit?: string
  /** Kept in mm or g, shown and typed in the studio's unit. */
  measure?: 'mm' | 'g'
  min: number
  max: number
  step: number
  placeholder?: string
  isDisabled?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
const id = useId()
const send = (value: number) => {
  if (Number.isFinite(value)) emit('update:modelValue', Math.min(props.max, Math.max(props.min, value)))
}
/** What is typed stays while something else is answered; when it is left, it shows what was taken of it. */
const own = computed(() => (props.measure ? measures[props.measure] : null))
const typed = computed({
  get: () => {
    if (props.modelValue === null) return ''
    return String(own.value ? Number((props.modelValue / own.value.per).toFixed(own.value.digits)) : props.modelValue)
  },
  set: (text: string) => send(text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')) * (own.value?.per ?? 1)),
})
const show = async (event: FocusEvent) => {
  const input = event.target as HTMLInputElement
  await nextTick()
  input.value = typed.value
}
const by = (direction: number) => {
  const { per, step } = own.value ?? { per: 1, step: (kept: number) => kept }
  const tick = step(props.step)
  const shown = (props.modelValue ?? props.min) / per + direction * tick
  // in another unit a step lands on a tick of its own
  send((per === 1 ? shown : Math.round(shown / tick) * tick) * per)
}
</script>

<template>
  <div>
    <label class="label" :for="id">{{ label }}</label>
    <div class="flex items-stretch">
      <button
        type="button"
        class="btn !rounded-e-none !px-3.5"
        :disabled="isDisabled || (modelValue !== null && modelValue <= min)"
        :aria-label="$t('stepper.less', { label })"
        @click="by(-1)"
      >
        −
      </button>
      <span class="flex min-h-12 min-w-0 grow items-center justify-center gap-1 border-y border-strong bg-raised px-1">
        <input
          :id="id"
          class="num w-full min-w-0 bg-transparent text-center text-lg outline-none focus-visible:outline-3 focus-visible:outline-signal"
          inputmode="decimal"
          v-model.lazy="typed"
          :placeholder="placeholder"
          :disabled="isDisabled"
          @blur="show"
        /><span class="shrink-0 text-sm whitespace-nowrap text-soft">{{ own?.unit ?? unit }}</span>
      </span>
      <button
        type="button"
        class="btn !rounded-s-none !px-3.5"
        :disabled="isDisabled || (modelValue !== null && modelValue >= max)"
        :aria-label="$t('stepper.more', { label })"
        @click="by(1)"
      >
        +
      </button>
    </div>
  </div>
</template>
