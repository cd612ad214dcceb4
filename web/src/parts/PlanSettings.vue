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
    aria-label="Product, order and hands"
  >
    <div class="w-60 max-w-full">
      <label class="label" for="lightener">Lightener</label>
      <select
        id="lightener"
        :value="choice.lightener_key ?? ''"
        class="field"
        :disabled="isLocked"
        :title="
          lightener
            ? `1 : ${lightener.developer_parts}, label ${lightener.label_max_min} min, to ${lightener.max_volume} vol, ${lightener.max_volume_on_scalp} on the scalp`
            : undefined
        "
        @change="(e) => emit('change', { lightener_key: value(e) || null, visit_mins: [] })"
      >
        <option v-if="lighteners.length > 1" value="">Whichever suits this head</option>
        <option v-for="l in lighteners" :key="l.key" :value="l.key">{{ l.name }}, {{ l.label_max_min }} min</option>
      </select>
    </div>
    <div>
      <label class="label" for="order-way">Order</label>
      <select
        id="order-way"
        class="field"
        :value="choice.keeps_order ? orderNow : 'proposed'"
        :disabled="isLocked"
        @change="(e) => (value(e) === 'proposed' ? emit('change', { keeps_order: false }) : setOrder(value(e)))"
      >
        <option value="proposed">As proposed</option>
        <option v-for="(name, way) in orderWays" :key="way" :value="way">{{ name }}</option>
        <option v-if="choice.keeps_order && orderNow === 'own'" value="own">My own</option>
      </select>
    </div>
    <div v-if="hasDelicate">
      <label class="label" for="delicate-way">Delicate hair</label>
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
      <label class="label" for="step">Developers</label>
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
      <label class="label" for="bowls">Bowls</label>
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
      <label class="label" for="hands">Hands</label>
      <select
        id="hands"
        class="field"
        :value="String(choice.hands)"
        :disabled="isLocked"
        @change="(e) => emit('change', { hands: Number(value(e)) })"
      >
        <option value="1">Alone</option>
        <option value="2">With an assistant</option>
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
      Bond additive</label
    >
    <RouterLink
      v-if="!plan.move_text"
      class="btn no-print !min-h-11"
      :to="{ name: 'strands', params: { id: serviceId } }"
      >Strand bench</RouterLink
    >
  </section>
</template>
