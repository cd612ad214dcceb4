<script setup lang="ts" generic="T extends string">
import { useId } from 'vue'

/** A few words to choose one of; every one in sight and large enough for a glove. */
defineProps<{
  legend: string
  options: readonly { value: T; name: string }[]
  modelValue: T | null
  isInline?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: T] }>()
const name = useId()
</script>

<template>
  <fieldset class="min-w-0">
    <legend class="label">{{ legend }}</legend>
    <div class="flex flex-wrap gap-px overflow-hidden rounded-[5px] border border-strong bg-line">
      <label v-for="option in options" :key="option.value" class="relative min-w-fit grow">
        <input
          type="radio"
          class="peer absolute inset-0 opacity-0"
          :name="name"
          :value="option.value"
          :checked="modelValue === option.value"
          @change="emit('update:modelValue', option.value)"
        />
        <span
          class="narrow flex min-h-12 items-center justify-center bg-raised px-2.5 text-[15px] font-medium peer-checked:bg-act peer-checked:font-semibold peer-checked:text-act-ink peer-focus-visible:outline-3 peer-focus-visible:-outline-offset-3 peer-focus-visible:outline-signal"
          >{{ option.name }}</span
        >
      </label>
    </div>
  </fieldset>
</template>
