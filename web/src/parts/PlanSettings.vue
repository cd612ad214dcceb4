<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import type { Schemas } from '../api/client'
import { bowlStyles, delicateWays, orderWays, steps } from '../lib/words'
import type { Choice } from '../stores/plan'

/** What a whole plan rests on: product, order, delicate hair, strengths, bowls and hands. */
const props = defineProps<{
  serviceId: string
  choice: Choice
  plan: Schemas['PlanOut']
  lighteners: Schemas['LightenerOut'][]
  isLocked: boolean
}>()
const emit = defineEmits<{ change: [part: Partial<Choice>] }>()
const lightener = computed(() => props.lighteners.find((l) => l.key === props.choice.lightener_key))
const hasDelicate = computed(
  () => props.plan.lanes.some((l) => l.is_delicate) && props.plan.lanes.some((l) => !l.is_delicate),
)
const orderNow = computed(
  () => props.plan.orders.find((o) => o.order.join() === props.choice.order?.join())?.way ?? 'own',
)
const setOrder = (way: string) => {
  const found = props.plan.orders.find((o) => o.way === way)
  if (found) emit('change', { order: found.order, keeps_order: true, visit_mins: [], round_starts: [] })
}
const value = (e: Event) => (e.target as HTMLSelectElement).value
</script>

<template>
  <section
    class="no-print mb-2 flex flex-wrap items-end gap-x-4 gap-y-2 rounded-[7px] bg-panel px-4 py-3"
    :aria-label="$t('planSettings.productOrderAndHands')"
  >
    <div class="w-60 max-w-full">
      <label class="label" for="lightener">{{ $t('common.lightener') }}</label>
      <select
        id="lightener"
        :value="choice.lightener_key ?? ''"
        class="field"
        :disabled="isLocked"
        @change="(e) => emit('change', { lightener_key: value(e) || null, visit_mins: [] })"
      >
        <option v-if="lighteners.length > 1" value="">{{ $t('planSettings.whicheverSuitsThisHead') }}</option>
        <option v-for="l in lighteners" :key="l.key" :value="l.key">
          {{ $t('common.min2', { name: l.name, label_max_min: l.label_max_min }) }}
        </option>
      </select>
      <p v-if="lightener" class="mt-1 text-sm text-soft">
        {{
          $t('planSettings.1LabelMinToVol', {
            developer_parts: lightener.developer_parts,
            label_max_min: lightener.label_max_min,
            max_volume: lightener.max_volume,
            max_volume_on_scalp: lightener.max_volume_on_scalp,
          })
        }}
      </p>
    </div>
    <div>
      <label class="label" for="order-way">{{ $t('common.order') }}</label>
      <select
        id="order-way"
        class="field"
        :value="choice.keeps_order ? orderNow : 'proposed'"
        :disabled="isLocked"
        @change="(e) => (value(e) === 'proposed' ? emit('change', { keeps_order: false }) : setOrder(value(e)))"
      >
        <option value="proposed">{{ $t('common.asProposed') }}</option>
        <option v-for="(name, way) in orderWays" :key="way" :value="way">{{ name }}</option>
        <option v-if="choice.keeps_order && orderNow === 'own'" value="own">{{ $t('planSettings.myOwn') }}</option>
      </select>
    </div>
    <div v-if="hasDelicate">
      <label class="label" for="delicate-way">{{ $t('common.delicateHair') }}</label>
      <select
        id="delicate-way"
        class="field"
        :value="choice.delicate_way"
        :disabled="isLocked"
        @change="(e) => emit('change', { delicate_way: value(e) as Schemas['DelicateWay'] })"
      >
        <option v-for="w in delicateWays" :key="w.value" :value="w.value">{{ w.name }}</option>
      </select>
    </div>
    <div>
      <label class="label" for="step">{{ $t('common.developers') }}</label>
      <select
        id="step"
        class="field"
        :value="choice.step"
        :disabled="isLocked"
        @change="(e) => emit('change', { step: value(e) as Schemas['VolumeStep'] })"
      >
        <option v-for="w in steps" :key="w.value" :value="w.value">{{ w.name }}</option>
      </select>
    </div>
    <div>
      <label class="label" for="bowls">{{ $t('common.bowls') }}</label>
      <select
        id="bowls"
        class="field"
        :value="choice.bowl_style"
        :disabled="isLocked"
        @change="(e) => emit('change', { bowl_style: value(e) as Schemas['BowlStyle'] })"
      >
        <option v-for="w in bowlStyles" :key="w.value" :value="w.value">{{ w.name }}</option>
      </select>
    </div>
    <div>
      <label class="label" for="hands">{{ $t('common.hands') }}</label>
      <select
        id="hands"
        class="field"
        :value="String(choice.hands)"
        :disabled="isLocked"
        @change="(e) => emit('change', { hands: Number(value(e)) })"
      >
        <option value="1">{{ $t('common.alone') }}</option>
        <option value="2">{{ $t('common.withAnAssistant') }}</option>
      </select>
    </div>
    <label class="flex min-h-12 items-center gap-3"
      ><input
        :checked="choice.has_additive"
        type="checkbox"
        class="size-6"
        :disabled="isLocked"
        @change="(e) => emit('change', { has_additive: (e.target as HTMLInputElement).checked })"
      />
      {{ $t('common.bondAdditive') }}</label
    >
    <RouterLink v-if="!plan.move_text" class="btn no-print" :to="{ name: 'strands', params: { id: serviceId } }">{{
      $t('common.strandBench')
    }}</RouterLink>
  </section>
</template>
