<script setup lang="ts">
import { useId } from 'vue'
import { language, LANGUAGES } from '../lib/i18n'

/** Which language is read, each by its own name. */
defineProps<{ modelValue?: string; label?: string; none?: string }>()
const emit = defineEmits<{ 'update:modelValue': [language: string] }>()
const id = useId()
const choose = (event: Event) => emit('update:modelValue', (event.target as HTMLSelectElement).value)
</script>

<template>
  <div>
    <label class="label" :for="id">{{ label ?? $t('language.language') }}</label>
    <select :id="id" class="field" :value="modelValue ?? language" @change="choose">
      <option v-if="none !== undefined" value="">{{ none }}</option>
      <option v-for="(name, code) in LANGUAGES" :key="code" :value="code" :lang="code">{{ name }}</option>
    </select>
  </div>
</template>
