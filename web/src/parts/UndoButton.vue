<script setup lang="ts">
/** Undo of a step's foot bar, with what it takes back where there is room for it. */
defineProps<{ isOff: boolean; what?: string }>()
defineEmits<{ undo: [] }>()
</script>

<template>
  <button type="button" class="btn" :disabled="isOff" @click="$emit('undo')">
    {{ $t('common.undo')
    }}<span v-if="what" class="hidden max-w-72 truncate font-normal text-soft sm:inline">{{ what }}</span>
  </button>
</template>
