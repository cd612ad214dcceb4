<script setup lang="ts">
import { ref, watch } from 'vue'
import { measure } from '../api/queries'
import type { Schemas } from '../api/client'
import { useNotices } from '../stores/notices'
import { fixed } from '../lib/time'

/** The colour reader in place of the eye: measured first, noted by a tap of its own. */
const props = defineProps<{ serviceId: string; laneKey: string; isBusy: boolean }>()
const emit = defineEmits<{ note: [level: number, lab: number[], instrument: string] }>()
const notices = useNotices()
const measured = ref<Schemas['MeasuredOut'] | null>(null)
const isMeasuring = ref(false)
watch(
  () => props.laneKey,
  () => (measured.value = null),
)
const useReader = async () => {
  isMeasuring.value = true
  try {
    measured.value = await measure(props.serviceId, props.laneKey)
  } catch (error) {
    notices.fail(error)
  } finally {
    isMeasuring.value = false
  }
}
const take = () => {
  if (measured.value) emit('note', measured.value.level, [...measured.value.lab], measured.value.instrument)
  measured.value = null
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-3">
    <button type="button" class="btn" :disabled="isMeasuring" @click="useReader">
      {{
        isMeasuring
          ? $t('readerRead.measuring')
          : measured
            ? $t('common.measureAgain')
            : $t('readerRead.useTheColourReader')
      }}
    </button>
    <template v-if="measured">
      <span class="flex overflow-hidden rounded-[3px]" aria-hidden="true"
        ><span class="swatch h-9 w-9" :style="{ background: measured.hex }" /><span
          class="swatch h-9 w-9"
          :style="{ background: measured.level_hex }"
      /></span>
      <span
        ><i18n-t keypath="readerRead.looksLike" scope="global"
          ><template #part1
            ><b v-if="measured.instrument === 'simulated'"
              >{{ `${$t('readerRead.simulatedReadingNoRealHair')} ` }}
            </b></template
          ><template #level
            ><b class="num text-lg">{{ fixed(measured.level, 1) }}</b></template
          ><template #part3
            ><span class="num text-soft">, ΔE {{ fixed(measured.delta_e, 1) }}</span></template
          ></i18n-t
        ></span
      >
      <button type="button" class="btn btn-act" :disabled="isBusy" @click="take">{{ $t('common.noteIt') }}</button>
    </template>
  </div>
</template>
