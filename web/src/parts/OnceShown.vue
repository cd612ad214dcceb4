<script setup lang="ts">
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

/** A secret that is shown once, to be copied. */
const props = defineProps<{ text: string }>()
const notices = useNotices()
const copy = async () => {
  try {
    await navigator.clipboard.writeText(props.text)
    notices.say($t('common.copied'))
  } catch {
    notices.say($t('onceShown.markItAndCopyIt'))
  }
}
</script>

<template>
  <div class="rounded-[5px] bg-raised p-3" role="status">
    <p class="font-semibold">{{ $t('common.shownThisOnce') }}</p>
    <p class="text-[15px] break-all whitespace-pre-line select-all">{{ text }}</p>
    <slot />
    <button type="button" class="btn mt-2 !min-h-11" @click="copy">{{ $t('common.copyIt') }}</button>
  </div>
</template>
