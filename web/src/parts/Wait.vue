<script setup lang="ts">
import { ApiError } from '../api/client'

/** What stands in a view's place while it loads, or when it cannot. */
const props = defineProps<{ isLoading: boolean; error: unknown; what: string }>()
const emit = defineEmits<{ retry: [] }>()
const detail = () => (props.error instanceof ApiError ? props.error.problem.detail : 'The page failed here.')
</script>

<template>
  <div v-if="error" class="panel mx-auto mt-16 max-w-xl" role="alert">
    <h2 class="text-xl">{{ what }} cannot be shown</h2>
    <p class="mt-2 text-soft">{{ detail() }} What was recorded is kept on the server.</p>
    <button type="button" class="btn mt-4" @click="emit('retry')">Try again</button>
  </div>
  <p v-else-if="isLoading" class="mt-24 text-center text-soft" role="status">{{ what }} is being worked out …</p>
</template>
