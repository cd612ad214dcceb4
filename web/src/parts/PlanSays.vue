<script setup lang="ts">
/** What a plan says of its lanes in words: what stops short, is worked again, left out, kept, and what order was meant. */
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { $t } from '../lib/i18n'
import { duration, fixed, levelText } from '../lib/time'

const props = defineProps<{ plan: Schemas['PlanOut']; order: readonly string[] }>()
const short = computed(() => props.plan.lanes.filter((l) => l.reason))
/** What is said of several lanes alike, once, with their names. */
const grouped = (said: readonly { text: string; name: string }[]) => {
  const by = new Map<string, string[]>()
  for (const x of said) if (x.text) by.set(x.text, [...(by.get(x.text) ?? []), x.name])
  const few = (names: string[]) =>
    names.length > 4
      ? $t('plan.andMore', { names: names.slice(0, 3).join(', '), count: names.length - 3 })
      : names.join(', ')
  return [...by].map(([text, names]) => ({ text, names: few(names) }))
}
const shorts = computed(() =>
  grouped(
    short.value.map((l) => ({
      text: $t('plan.of', {
        level_at_rinse: fixed(l.level_at_rinse, 1),
        target_level: levelText(l.target_level),
        reason: l.reason,
      }),
      name: l.name,
    })),
  ),
)
const notes = computed(() => grouped(props.plan.lanes.map((l) => ({ text: l.note, name: l.name }))))
/** What no product goes on, and why: said, so that it is a choice and not an oversight. */
const kept = computed(() => grouped(props.plan.kept.map((k) => ({ text: k.reason, name: k.name }))))
const isUsualOrder = computed(() => {
  const wanted = props.plan.proposed_order.map((p) => p.key)
  return wanted.join() === props.order.join()
})
const orderReasons = computed(() =>
  props.plan.proposed_order
    .filter((p) => !p.is_usual && props.plan.lanes.some((l) => l.zone_key === p.key))
    .map((p) => `${props.plan.zone_names[p.key]}: ${p.reason}`),
)
</script>

<template>
  <ul
    v-if="
      short.length || plan.again.length || plan.left_out.length || kept.length || notes.length || orderReasons.length
    "
    class="flex flex-col gap-1.5 text-[15px]"
  >
    <li
      v-if="plan.again.length"
      class="rounded-[5px] border-s-[8px] border-ink bg-panel px-4 py-1.5"
      data-testid="again"
    >
      <i18n-t keypath="plan.lastRinseAfterMinThe" scope="global"
        ><template #again>{{
          plan.again
            .map((l) =>
              $t('plan.withVol', {
                name: l.name,
                start_level: fixed(l.start_level, 1),
                level_at_rinse: fixed(l.level_at_rinse, 1),
                volume_strength: levelText(l.volume_strength),
              }),
            )
            .join(', ')
        }}</template
        ><template #last_rinse>{{ duration(plan.last_rinse_min) }}</template
        ><template #part1
          ><strong>{{ $t('plan.aSecondRoundTodayWhere') }}</strong></template
        ></i18n-t
      >
    </li>
    <li v-for="s in shorts" :key="s.text" class="rounded-[5px] border-s-[8px] border-ink bg-panel px-4 py-1.5">
      <i18n-t keypath="plan.to" scope="global"
        ><template #text>{{ s.text }}</template
        ><template #names
          ><strong>{{ s.names }}</strong></template
        ></i18n-t
      >
    </li>
    <li
      v-for="lane in plan.left_out"
      :key="lane.key"
      class="rounded-[5px] border-s-[8px] border-stop bg-panel px-4 py-1.5"
    >
      <i18n-t keypath="plan.isLeftOut" scope="global"
        ><template #reason>{{ lane.reason }}</template
        ><template #name
          ><strong>{{ lane.name }}</strong></template
        ></i18n-t
      >
    </li>
    <li
      v-for="k in kept"
      :key="k.text"
      class="rounded-[5px] border-s-[8px] border-line bg-panel px-4 py-1.5"
      data-testid="kept"
    >
      <strong>{{ k.names }}</strong>: {{ k.text }}
    </li>
    <li v-if="orderReasons.length" class="rounded-[5px] border-s-[8px] border-line bg-panel px-4 py-1.5">
      <strong>{{ isUsualOrder ? $t('plan.orderAsProposed') : $t('plan.notTheOrderProposed') }}</strong>
      {{ orderReasons.join('; ') }}.
    </li>
    <li v-for="n in notes" :key="n.text" class="rounded-[5px] border-s-[8px] border-line bg-panel px-4 py-1.5">
      <strong>{{ n.names }}.</strong> {{ n.text }}
    </li>
  </ul>
</template>
