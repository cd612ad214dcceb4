<script setup lang="ts">
import type { EventData } from '../api/events'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { countdown, minutesUntil } from '../lib/time'
import { grabs } from '../lib/words'
import Choice from '../parts/Choice.vue'
import HairStrand from '../parts/HairStrand.vue'
import Sheet from '../parts/Sheet.vue'

/** One zone's toner opened: a rinsed strand is matched, the toner pulled back over, or rinsed; before it, the probe. */
const props = defineProps<{
  lane: Schemas['ToneLane'] | null
  now: number
  isBusy: boolean
  /** In practice: how a rinsed low strand of it looks. */
  looks?: Schemas['TonedLooks'] | null
}>()
const emit = defineEmits<{
  close: []
  seen: [share: number]
  pull: [minutes: number]
  rinse: []
  probe: [grab: EventData<'ProbeRead'>['grab']]
  read: []
}>()
const shown = ref<Schemas['ToneLane'] | null>(null)
watch(
  () => props.lane,
  (lane) => {
    if (lane) shown.value = lane
  },
)
const clock = computed(() => shown.value?.toner ?? null)
const isOn = computed(() => clock.value !== null && clock.value.rinsed_at === null)
const onFor = computed(() => (clock.value ? -minutesUntil(clock.value.applied_at, props.now) : 0))
const lies = computed(() => {
  const row = props.looks?.by_minute
  return row?.[Math.min(Math.max(Math.round(onFor.value), 0), row.length - 1)] ?? null
})
const grab = computed(() => grabs.find((g) => g.value === shown.value?.grab)?.value ?? null)
const longest = computed(() => clock.value?.label_max_min ?? 0)
const longer = computed(() => [2, 4, 6].map((m) => Math.round(onFor.value + m)).filter((m) => m <= longest.value))
</script>

<template>
  <Sheet
    :is-open="lane !== null"
    :title="shown?.name ?? ''"
    :subtitle="clock?.formula_name ?? (shown ? `${shown.level}, ${shown.undertone}` : '')"
    @close="emit('close')"
  >
    <div v-if="shown" class="flex flex-col gap-5">
      <template v-if="clock && isOn">
        <p v-if="clock.warning" class="rounded-[5px] border-l-[8px] border-ink bg-raised p-3 text-lg">
          {{ clock.warning }} {{ clock.warning_help }}
        </p>
        <HairStrand
          v-if="lies"
          :colours="lies"
          :seed="looks?.seed ?? 1"
          is-wet
          label="A low strand, rinsed and dabbed dry"
        />
        <fieldset>
          <legend class="label">Rinse one low strand, dab it dry: which does it look like?</legend>
          <div class="flex gap-1">
            <button
              v-for="s in clock.strand_scale"
              :key="s.deposit_share"
              type="button"
              class="swatch h-24 grow rounded-[4px]"
              :class="{ 'ring-[3px] ring-ink ring-offset-2 ring-offset-panel': s.is_expected }"
              :style="{ background: s.hex }"
              :aria-label="s.is_expected ? 'As expected by now' : `Dye at ${Math.round(s.deposit_share * 100)} %`"
              :disabled="isBusy"
              @click="emit('seen', s.deposit_share)"
            />
          </div>
          <p class="mt-1 flex justify-between text-sm text-soft">
            <span>paler</span><span>ringed: as expected by now</span><span>deeper</span>
          </p>
        </fieldset>
        <p v-if="clock.strand_count" class="text-lg">
          {{ clock.strand_count === 1 ? 'One strand' : `${clock.strand_count} strands` }} rinsed: this hair takes
          <strong class="num"
            >{{ Math.round((clock.uptake.likely - 1) * 100) >= 0 ? '+' : '−'
            }}{{ Math.abs(Math.round((clock.uptake.likely - 1) * 100)) }} %</strong
          >; ready in <strong class="num">{{ countdown(minutesUntil(clock.due_at, now)) }}</strong>.
        </p>
        <div>
          <p class="label">It needs longer: pull the product back over</p>
          <div class="flex flex-wrap gap-2">
            <button v-for="m in longer" :key="m" type="button" class="btn" :disabled="isBusy" @click="emit('pull', m)">
              {{ m }} min in all
            </button>
            <p v-if="!longer.length" class="text-soft">
              The label allows {{ longest.toFixed(0) }} min; there is no more time.
            </p>
          </div>
        </div>
        <button
          type="button"
          class="btn min-h-16 text-lg"
          :class="{ 'btn-act': minutesUntil(clock.due_at, now) <= 0 }"
          :disabled="isBusy"
          @click="emit('rinse')"
        >
          Rinsed
        </button>
        <p class="text-sm text-soft">No cap and no heat on a toner: it makes a stain that later refuses to lift.</p>
      </template>
      <template v-else-if="!clock">
        <p class="text-lg">{{ shown.says }}.</p>
        <button type="button" class="btn" @click="emit('read')">Read it again</button>
        <div>
          <Choice
            :model-value="grab"
            legend="Porosity probe: a violet shampoo took"
            :options="grabs"
            @update:model-value="(g) => emit('probe', g)"
          />
          <p class="mt-1 text-sm text-soft">
            Wash a little in, a minute, rinse: where it grabbed, the hair takes toner sooner and deeper.
          </p>
          <p v-if="shown.probe_change" class="mt-2 text-lg font-semibold">{{ shown.probe_change }}</p>
        </div>
      </template>
      <p v-else class="text-lg">Rinsed after {{ clock.on_min.toFixed(0) }} min.</p>
    </div>
  </Sheet>
</template>
