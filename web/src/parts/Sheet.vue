<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle, TransitionChild, TransitionRoot } from '@headlessui/vue'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useNotices } from '../stores/notices'
import Notices from './Notices.vue'

/** A panel that comes up over the page: from the right on a desk or tablet, from below on a phone. */
const props = defineProps<{ isOpen: boolean; title: string; subtitle?: string }>()
const emit = defineEmits<{ close: [] }>()
const notices = useNotices()
const id = ref<number | null>(null)
const leave = () => {
  if (id.value !== null) notices.closeSheet(id.value)
  id.value = null
}
watch(
  () => props.isOpen,
  (isOpen) => {
    if (isOpen) id.value ??= notices.openSheet()
    else leave()
  },
  { immediate: true },
)
onBeforeUnmount(leave)
/** What is typed into first has the focus when it opens, not the way out; a hand quicker than the sheet keeps its own. */
const panel = ref<HTMLElement | null>(null)
const out = ref<HTMLElement | null>(null)
const first = () => {
  const sheet = panel.value?.parentElement
  if (document.activeElement !== out.value && sheet?.contains(document.activeElement)) return
  sheet?.querySelector<HTMLElement>('[data-first]')?.focus()
}
const isTop = computed(() => id.value !== null && notices.sheets.at(-1) === id.value)
</script>

<template>
  <TransitionRoot as="template" :show="isOpen">
    <Dialog class="relative z-40" @close="emit('close')">
      <TransitionChild
        as="template"
        enter="transition-opacity duration-150"
        enter-from="opacity-0"
        leave="transition-opacity duration-100"
        leave-to="opacity-0"
      >
        <div class="fixed inset-0 bg-black/45" aria-hidden="true" />
      </TransitionChild>
      <div class="fixed inset-0 flex items-end justify-end sm:items-stretch">
        <TransitionChild
          as="template"
          enter="transition-transform duration-200 ease-out"
          enter-from="translate-y-full sm:translate-y-0 sm:translate-x-full"
          leave="transition-transform duration-150"
          leave-to="translate-y-full sm:translate-y-0 sm:translate-x-full"
          @after-enter="first"
        >
          <DialogPanel
            class="flex max-h-[92dvh] w-full flex-col overflow-y-auto rounded-t-[12px] bg-panel p-5 sm:max-h-none sm:w-[34rem] sm:rounded-none"
          >
            <div ref="panel" class="mb-4 flex items-start gap-4">
              <div class="grow">
                <DialogTitle as="h2" class="text-2xl">{{ title }}</DialogTitle>
                <p v-if="subtitle" class="text-soft">{{ subtitle }}</p>
              </div>
              <button ref="out" class="btn" type="button" @click="emit('close')">{{ $t('sheet.close') }}</button>
            </div>
            <slot />
            <Notices v-if="isTop" is-in-sheet />
          </DialogPanel>
        </TransitionChild>
      </div>
    </Dialog>
  </TransitionRoot>
</template>
