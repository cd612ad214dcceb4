<script setup lang="ts">
import { $t } from '../lib/i18n'

/** Said below a day that is chosen while the studio is shut; who books there on purpose may. */
defineProps<{ day: string; closed: readonly string[] }>()
</script>

<template>
  <p v-if="closed.includes(day)" class="w-full border-s-[5px] border-signal ps-2" role="status">
    {{ $t('common.theStudioIsClosedThatDay') }}
  </p>
</template>
