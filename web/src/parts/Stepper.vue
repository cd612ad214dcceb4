<script setup lang="ts">
import { computed, nextTick, useId } from 'vue'

/** A number stepped by two large buttons, or typed. */
const props = defineProps<{
  label: string
  modelValue: number | null
  unit: string
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
const typed = computed({
  get: () => String(props.modelValue ?? ''),
  set: (text: string) => send(text.trim() === '' ? Number.NaN : Number(text.replace(',', '.'))),
})
const show = async (event: FocusEvent) => {
  const input = event.target as HTMLInputElement
  await nextTick()
  input.value = typed.value
}
const by = (direction: number) => send((props.modelValue ?? props.min) + direction * props.step)
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
        /><span class="shrink-0 text-sm whitespace-nowrap text-soft">{{ unit }}</span>
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
