<script setup lang="ts">
import { ref, watch } from 'vue'
import { measure } from '../api/queries'
import type { Schemas } from '../api/client'
import { useNotices } from '../stores/notices'

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
      {{ isMeasuring ? 'Measuring …' : measured ? 'Measure again' : 'Use the colour reader' }}
    </button>
    <template v-if="measured">
      <span class="flex overflow-hidden rounded-[3px]" aria-hidden="true"
        ><span class="swatch h-9 w-9" :style="{ background: measured.hex }" /><span
          class="swatch h-9 w-9"
          :style="{ background: measured.level_hex }"
      /></span>
      <span
        ><b v-if="measured.instrument === 'simulated'">Simulated reading, no real hair: </b>looks like
        <b class="num text-lg">{{ measured.level.toFixed(1) }}</b><span class="num text-soft"
          >, ΔE {{ measured.delta_e.toFixed(1) }}</span
        ></span
      >
      <button type="button" class="btn btn-act" :disabled="isBusy" @click="take">Note it</button>
    </template>
  </div>
</template>
