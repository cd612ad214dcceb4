<script setup lang="ts">
import type { EventData } from '../api/events'
import { ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import Sheet from '../parts/Sheet.vue'
import Stepper from '../parts/Stepper.vue'

/** A deeper toner at the roots, worked out into the lengths, so that the grow-out is soft. */
const props = defineProps<{ isOpen: boolean; step: Schemas['ToneStep'] | null; isBusy: boolean }>()
const emit = defineEmits<{ close: []; set: [values: EventData<'ShadowSet'>] }>()
const level = ref(6)
const length = ref(30)
const blend = ref(15)
watch(
  () => props.isOpen,
  (isOpen) => {
    if (isOpen && props.step) level.value = Math.max(props.step.wish.level - 1.5, 1)
  },
)
const send = (mm: number) =>
  emit('set', { level: level.value, length_mm: mm, blend_mm: mm ? Math.min(blend.value, mm) : 0 })
</script>

<template>
  <Sheet
    :is-open="isOpen"
    :title="$t('common.rootShadow')"
    :subtitle="$t('shadowSheet.itsOwnTonerAtThe')"
    @close="emit('close')"
  >
    <div class="flex flex-col gap-4">
      <Stepper
        v-model="level"
        :label="$t('shadowSheet.depth')"
        :unit="$t('shadowSheet.level')"
        :min="1"
        :max="10"
        :step="0.5"
      />
      <Stepper
        v-model="length"
        :label="$t('shadowSheet.lengthFromTheScalp')"
        measure="mm"
        :min="5"
        :max="100"
        :step="5"
      />
      <Stepper v-model="blend" :label="$t('shadowSheet.blendedOver')" measure="mm" :min="0" :max="50" :step="5" />
      <button type="button" class="btn btn-act min-h-14 text-lg" :disabled="isBusy" @click="send(length)">
        {{ $t('shadowSheet.planTheShadow') }}
      </button>
      <button v-if="step?.lanes.some((l) => l.part)" type="button" class="btn" :disabled="isBusy" @click="send(0)">
        {{ $t('shadowSheet.noShadow') }}
      </button>
    </div>
  </Sheet>
</template>
