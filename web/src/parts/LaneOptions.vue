<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { levelText } from '../lib/time'
import { $t } from '../lib/i18n'

/** What can be done with a zone besides reading and rinsing; each says what it does to the curve before it is done. */
const props = defineProps<{
  options: readonly Schemas['LaneOption'][]
  zeroAt: string
  now: number
  lightenerName: string
  isBusy: boolean
}>()
const emit = defineEmits<{ do: [option: Schemas['LaneOption'], isLabelRead: boolean] }>()
const asked = ref<string | null>(null)
const keyOf = (o: Schemas['LaneOption']) => o.kind + (o.covering ?? '')
const since = computed(() => (props.now - new Date(props.zeroAt).getTime()) / 60_000)
const ready = (o: Schemas['LaneOption']) => {
  const { early, late } = o.window_min
  if (early === null) return ''
  const from = Math.max(0, Math.round(early - since.value))
  return late === null
    ? $t('laneOptions.targetFromMin', { from })
    : $t('laneOptions.targetInToMin', { from, what: Math.max(0, Math.round(late - since.value)) })
}
const choose = (o: Schemas['LaneOption']) => {
  if (o.asks_label && asked.value !== keyOf(o)) asked.value = keyOf(o)
  else emit('do', o, o.asks_label)
}
</script>

<template>
  <div v-if="options.length">
    <h3 class="label">{{ $t('laneOptions.whatElseCanBeDone') }}</h3>
    <ul class="flex flex-col gap-1.5">
      <li v-for="o in options" :key="keyOf(o)">
        <button
          type="button"
          class="btn w-full justify-between py-1.5 text-start"
          :disabled="isBusy || o.blocked !== null"
          @click="choose(o)"
        >
          <span class="grow">{{ o.title }}</span>
          <span v-if="o.blocked" class="max-w-[55%] text-end text-sm font-normal">{{ o.blocked }}</span>
          <span v-else class="text-end text-sm leading-tight font-normal"
            >{{ o.effect
            }}<span class="block text-soft">{{
              ready(o) ||
              $t('laneOptions.atItsWall', { level_at_wall: levelText(Math.round(o.level_at_wall * 10) / 10) })
            }}</span></span
          >
        </button>
        <div
          v-if="asked === keyOf(o)"
          class="mt-1.5 rounded-[5px] border-s-[8px] border-signal bg-raised p-3"
          role="alert"
        >
          <p class="mb-2">
            {{ $t('laneOptions.doesTheLabelOfAllow', { lightenerName }) }}
          </p>
          <div class="flex flex-wrap gap-2">
            <button type="button" class="btn btn-act" :disabled="isBusy" @click="choose(o)">
              {{ $t('laneOptions.iReadItItDoes') }}
            </button>
            <button type="button" class="btn" @click="asked = null">{{ $t('common.leaveIt') }}</button>
          </div>
        </div>
      </li>
    </ul>
  </div>
</template>
