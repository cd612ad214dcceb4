<script setup lang="ts">
import { useNotices } from '../stores/notices'

/** A secret that is shown once, to be copied. */
const props = defineProps<{ text: string }>()
const notices = useNotices()
const copy = async () => {
  try {
    await navigator.clipboard.writeText(props.text)
    notices.say('Copied.')
  } catch {
    notices.say('Mark it and copy it.')
  }
}
</script>

<template>
  <div class="rounded-[5px] bg-raised p-3" role="status">
    <p class="font-semibold">Shown this once:</p>
    <p class="text-[15px] break-all whitespace-pre-line select-all">{{ text }}</p>
    <slot />
    <button type="button" class="btn mt-2 !min-h-11" @click="copy">Copy it</button>
  </div>
</template>
