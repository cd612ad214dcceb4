<script setup lang="ts">
/** A box to tick, large enough for a glove. */
defineProps<{ modelValue: boolean; isDisabled?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [value: boolean] }>()
</script>

<template>
  <label class="flex min-h-12 items-center gap-3">
    <input
      type="checkbox"
      class="size-6 shrink-0"
      :checked="modelValue"
      :disabled="isDisabled"
      @change="(e) => emit('update:modelValue', (e.target as HTMLInputElement).checked)"
    />
    <span><slot /></span>
  </label>
</template>
