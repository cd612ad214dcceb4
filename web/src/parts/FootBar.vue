<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue'
import { useNotices } from '../stores/notices'
import Notices from './Notices.vue'

/**
 * The foot of every step: Undo on the left, what just happened in the middle, the way on at the right. Its height does
 * not change when something is said, so that nothing that is worked on is ever covered.
 */
const notices = useNotices()
const leave = notices.openBar()
onBeforeUnmount(leave)
const isSaying = computed(() => notices.list.length > 0 && notices.sheets.length === 0)
</script>

<template>
  <div
    class="no-print fixed inset-x-0 bottom-0 z-20 border-t border-line bg-ground px-4 py-3 sm:px-6 [@media(max-height:520px)]:py-1"
  >
    <div class="foot mx-auto flex max-w-[1500px] flex-wrap items-center gap-3 max-sm:gap-2">
      <div class="flex min-w-0 items-center gap-3" :class="{ 'max-sm:hidden': isSaying }"><slot name="undo" /></div>
      <Notices v-if="notices.sheets.length === 0" is-in-bar :class="{ grow: isSaying }" />
      <div
        v-if="!isSaying"
        class="flex min-w-0 grow basis-0 items-center gap-3"
        :class="{ 'sm:basis-32': $slots.says }"
      >
        <slot name="says" />
      </div>
      <slot />
    </div>
  </div>
</template>
