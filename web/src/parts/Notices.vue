<script setup lang="ts">
import { computed } from 'vue'
import { useNotices } from '../stores/notices'

/**
 * What just happened, with its undo: at the foot of the page, or at the foot of the sheet that is open over it. In a bar
 * it takes the room that is there and says no more than two lines, so that the bar never grows over what is worked on;
 * what failed is said whole.
 */
const props = defineProps<{ isInSheet?: boolean; isInBar?: boolean }>()
const notices = useNotices()
/** In a bar there is room for one: what failed before what was done. */
const shown = computed(() => {
  if (!props.isInBar) return notices.list
  const last = notices.list.findLast((n) => n.isError) ?? notices.list.at(-1)
  return last ? [last] : []
})
</script>

<template>
  <div
    class="no-print pointer-events-none z-50 flex min-w-0 flex-col items-center gap-2"
    :class="
      isInBar
        ? shown[0] && (shown[0].isError ? 'max-sm:basis-full' : 'max-sm:basis-36')
        : isInSheet
          ? ['sticky -bottom-5 z-10', shown.length ? '-mx-5 -mb-5 mt-4 border-t border-line bg-panel p-3' : '']
          : 'fixed inset-x-0 bottom-0 p-4'
    "
    role="status"
    aria-live="polite"
  >
    <div
      v-for="notice in shown"
      :key="notice.id"
      class="pointer-events-auto flex max-w-[40rem] items-center gap-3 rounded-[7px] ps-4"
      :class="[
        notice.isError ? 'bg-stop text-stop-ink' : 'bg-act text-act-ink',
        isInBar ? 'min-h-12 w-full max-w-none justify-between max-sm:gap-1 max-sm:ps-3' : 'py-2 pe-2 shadow-lg',
      ]"
    >
      <span
        :class="
          isInBar
            ? ['py-1 leading-tight max-sm:text-[15px]', notice.isError ? '' : 'line-clamp-2 max-sm:leading-[1.15]']
            : 'py-2'
        "
        :title="notice.text"
        >{{ notice.text }}</span
      >
      <button
        v-for="fix in notice.fixes ?? []"
        :key="fix.name"
        type="button"
        class="num min-h-12 min-w-12 rounded-[5px] px-2 text-lg underline underline-offset-4"
        :aria-label="fix.label"
        @click="(fix.do(), notices.drop(notice.id))"
      >
        {{ fix.name }}
      </button>
      <button
        v-if="notice.undo"
        type="button"
        class="min-h-12 rounded-[5px] px-4 font-bold underline underline-offset-4"
        :class="{ 'max-sm:px-3': isInBar }"
        @click="(notice.undo(), notices.drop(notice.id))"
      >
        {{ $t('common.undo') }}
      </button>
      <button
        type="button"
        class="min-h-12 min-w-12 rounded-[5px] px-3 font-semibold"
        :class="{ 'max-sm:hidden': isInBar && !notice.isError }"
        :aria-label="$t('notices.dismiss')"
        @click="notices.drop(notice.id)"
      >
        ×
      </button>
    </div>
  </div>
</template>
