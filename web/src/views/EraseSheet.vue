<script setup lang="ts">
import { ref, watch } from 'vue'
import { eraseClient } from '../api/afterwards'
import Sheet from '../parts/Sheet.vue'
import { useNotices } from '../stores/notices'

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
    notices.say('Erased. What was done to the hair stays in the log, without the person.')
    emit('erased')
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <Sheet :is-open="isOpen" title="Erase this client" subtitle="It cannot be undone" @close="emit('close')">
    <p>
      Name, birth, health facts, notes, wishes, photos and free texts go for good. Levels, times and formulas stay in
      the log without the person. Take out what is kept first, if the client wants it.
    </p>
    <a class="btn mt-4 w-full" :href="`/api/clients/${clientId}/archive`" download>Take out what is kept</a>
    <form class="mt-6" @submit.prevent="erase">
      <label class="label" for="erase-name">Type the name, {{ name }}</label
      ><input id="erase-name" v-model="typed" class="field" autocomplete="off" />
      <button class="btn btn-stop mt-3 w-full" :disabled="typed.trim() !== name || isBusy">Erase for good</button>
    </form>
  </Sheet>
</template>
