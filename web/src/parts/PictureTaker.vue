<script setup lang="ts">
import { useId } from 'vue'

/** Takes a picture: the device's camera, or a simulated one where there is one. */
defineProps<{ isBusy: boolean; isAgain: boolean; isSimulated: boolean; isNext?: boolean }>()
const emit = defineEmits<{ take: [file: File]; simulate: [] }>()
const id = useId()
const chosen = (event: Event) => {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) emit('take', file)
}
</script>

<template>
  <label
    :for="id"
    class="btn relative cursor-pointer"
    :class="{ 'pointer-events-none opacity-50': isBusy, 'btn-act': isNext && !isSimulated }"
    >{{ isBusy ? $t('pictureTaker.readingThePicture') : isAgain ? $t('pictureTaker.takeItAgain') : $t('common.camera')
    }}<input
      :id="id"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      capture="environment"
      class="absolute inset-0 cursor-pointer opacity-0"
      :disabled="isBusy"
      @change="chosen"
    />
  </label>
  <button
    v-if="isSimulated"
    type="button"
    class="btn"
    :class="{ 'btn-act': isNext }"
    :disabled="isBusy"
    @click="emit('simulate')"
  >
    {{ $t('pictureTaker.simulatedPicture') }}
  </button>
</template>
