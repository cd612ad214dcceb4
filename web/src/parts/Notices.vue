<script setup lang="ts">
import { useNotices } from '../stores/notices'

/** What just happened, with its undo: at the foot of the page, or at the foot of the sheet that is open over it. */
defineProps<{ isInSheet?: boolean }>()
const notices = useNotices()
</script>

<template>
  <div
    class="no-print pointer-events-none z-50 flex flex-col items-center gap-2"
    :class="isInSheet ? 'sticky bottom-0 mt-3' : 'fixed inset-x-0 bottom-20 p-4'"
    role="status"
    aria-live="polite"
  >
    <div
      v-for="notice in notices.list"
      :key="notice.id"
      class="pointer-events-auto flex max-w-[40rem] items-center gap-3 rounded-[7px] py-2 pr-2 pl-4 shadow-lg"
      :class="notice.isError ? 'bg-stop text-stop-ink' : 'bg-act text-act-ink'"
    >
      <span class="py-2">{{ notice.text }}</span>
      <button
        v-if="notice.undo"
        type="button"
        class="min-h-12 rounded-[5px] px-4 font-bold underline underline-offset-4"
        @click="(notice.undo(), notices.drop(notice.id))"
      >
        Undo
      </button>
      <button
        type="button"
        class="min-h-12 min-w-12 rounded-[5px] px-3 font-semibold"
        aria-label="Dismiss"
        @click="notices.drop(notice.id)"
      >
        ×
      </button>
    </div>
  </div>
</template>
