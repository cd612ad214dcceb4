<script setup lang="ts">
import type { Schemas } from '../api/client'
import { $t } from '../lib/i18n'

/** What a rinsed strand may look like by now, palest first: a tap on what it is like tells how fast this hair takes. */
defineProps<{ scale: readonly Schemas['StrandSwatch'][]; isBusy: boolean }>()
const emit = defineEmits<{ seen: [share: number] }>()
</script>

<template>
  <div class="flex gap-1">
    <button
      v-for="s in scale"
      :key="s.deposit_share"
      type="button"
      class="swatch min-h-12 grow rounded-[4px]"
      :class="{ 'ring-[3px] ring-ink ring-offset-2 ring-offset-panel': s.is_expected }"
      :style="{ background: s.hex }"
      :aria-label="
        s.is_expected
          ? $t('strandLook.asExpectedByNow')
          : $t('strandLook.dyeAt', { deposit_share: Math.round(s.deposit_share * 100) })
      "
      :disabled="isBusy"
      @click="emit('seen', s.deposit_share)"
    />
  </div>
</template>
