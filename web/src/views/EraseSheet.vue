<script setup lang="ts">
import { ref, watch } from 'vue'
import { eraseClient } from '../api/afterwards'
import Sheet from '../parts/Sheet.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

/** Erasing a client on their request; the name is typed again, for it cannot be undone. */
const props = defineProps<{ isOpen: boolean; clientId: string; name: string }>()
const emit = defineEmits<{ close: []; erased: [] }>()
const typed = ref('')
const isBusy = ref(false)
const notices = useNotices()
watch(
  () => props.isOpen,
  () => (typed.value = ''),
)
const erase = async () => {
  isBusy.value = true
  try {
    await eraseClient(props.clientId, typed.value)
    notices.say($t('eraseSheet.erasedWhatWasDoneTo'))
    emit('erased')
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <Sheet
    :is-open="isOpen"
    :title="$t('eraseSheet.eraseThisClient')"
    :subtitle="$t('eraseSheet.itCannotBeUndone')"
    @close="emit('close')"
  >
    <p>
      {{ $t('eraseSheet.nameBirthHealthFactsNotes') }}
    </p>
    <a class="btn mt-4 w-full" :href="`/api/clients/${clientId}/archive`" download>{{
      $t('common.takeOutWhatIsKept')
    }}</a>
    <form class="mt-6" @submit.prevent="erase">
      <label class="label" for="erase-name">{{ $t('eraseSheet.typeTheName', { name }) }}</label><input
        id="erase-name"
        v-model="typed"
        class="field"
        autocomplete="off"
      />
      <button class="btn btn-stop mt-3 w-full" :disabled="typed.trim() !== name || isBusy">
        {{ $t('eraseSheet.eraseForGood') }}
      </button>
    </form>
  </Sheet>
</template>
