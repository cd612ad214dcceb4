<script setup lang="ts">
import { ApiError } from '../api/client'
import { $t } from '../lib/i18n'

/** What stands in a view's place while it loads, or when it cannot. */
const props = defineProps<{ isLoading: boolean; error: unknown; what: string }>()
const emit = defineEmits<{ retry: [] }>()
const detail = () => (props.error instanceof ApiError ? props.error.problem.detail : $t('wait.thePageFailedHere'))
</script>

<template>
  <div v-if="error" class="panel mx-auto mt-16 max-w-xl" role="alert">
    <h2 class="text-xl">{{ $t('wait.cannotBeShown', { what }) }}</h2>
    <p class="mt-2 text-soft">{{ $t('wait.whatWasRecordedIsKept', { detail: detail() }) }}</p>
    <button type="button" class="btn mt-4" @click="emit('retry')">{{ $t('wait.tryAgain') }}</button>
  </div>
  <p v-else-if="isLoading" class="mt-24 text-center text-soft" role="status">
    {{ $t('wait.isBeingWorkedOut', { what }) }}
  </p>
</template>
