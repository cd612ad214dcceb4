<script setup lang="ts">
import type { EventData } from '../api/events'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { countdown, minutesUntil } from '../lib/time'
import { grabs, undertoneName } from '../lib/words'
import Choice from '../parts/Choice.vue'
import HairStrand from '../parts/HairStrand.vue'
import Sheet from '../parts/Sheet.vue'
import StrandScale from '../parts/StrandScale.vue'

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
  { immediate: true },
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
    :subtitle="clock?.formula_name ?? (shown ? `${shown.level}, ${undertoneName(shown.undertone)}` : '')"
    @close="emit('close')"
  >
    <div v-if="shown" class="flex flex-col gap-5">
      <template v-if="clock && isOn">
        <p v-if="clock.warning" class="rounded-[5px] border-s-[8px] border-ink bg-raised p-3 text-lg">
          {{ clock.warning }} {{ clock.warning_help }}
        </p>
        <HairStrand
          v-if="lies"
          :colours="lies"
          :seed="looks?.seed ?? 1"
          :label="$t('strandLook.aLowStrandRinsedAnd')"
        />
        <fieldset>
          <legend class="label">{{ $t('strandLook.rinseOneLowStrandDab') }}</legend>
          <StrandScale
            class="h-24"
            :scale="clock.strand_scale"
            :is-busy="isBusy"
            @seen="(share) => emit('seen', share)"
          />
          <p class="mt-1 flex justify-between text-sm text-soft">
            <span>{{ $t('strandLook.paler') }}</span><span>{{ $t('strandLook.ringedAsExpectedByNow') }}</span
            ><span>{{ $t('common.deeper') }}</span>
          </p>
        </fieldset>
        <p v-if="clock.strand_count" class="text-lg">
          <i18n-t keypath="strandLook.rinsedThisHairTakesReady" scope="global"
            ><template #what>{{ $t('strandLook.strandsRinsed', clock.strand_count) }}</template
            ><template #part1
              ><strong class="num"
                >{{ Math.round((clock.uptake.likely - 1) * 100) >= 0 ? '+' : '−'
                }}{{ Math.abs(Math.round((clock.uptake.likely - 1) * 100)) }} %</strong
              ></template
            ><template #due_at
              ><strong class="num">{{ countdown(minutesUntil(clock.due_at, now)) }}</strong></template
            ></i18n-t
          >
        </p>
        <div>
          <p class="label">{{ $t('strandLook.itNeedsLongerPullThe') }}</p>
          <div class="flex flex-wrap gap-2">
            <button v-for="m in longer" :key="m" type="button" class="btn" :disabled="isBusy" @click="emit('pull', m)">
              {{ $t('strandLook.minInAll', { m }) }}
            </button>
            <p v-if="!longer.length" class="text-soft">
              {{ $t('strandLook.theLabelAllowsMinThere', { longest: longest.toFixed(0) }) }}
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
          {{ $t('common.rinsed') }}
        </button>
        <p class="text-sm text-soft">{{ $t('strandLook.noCapAndNoHeat') }}</p>
      </template>
      <template v-else-if="!clock">
        <p class="text-lg">{{ shown.says }}.</p>
        <button type="button" class="btn" @click="emit('read')">{{ $t('strandLook.readItAgain') }}</button>
        <div>
          <Choice
            :model-value="grab"
            :legend="$t('strandLook.porosityProbeAVioletShampoo')"
            :options="grabs"
            @update:model-value="(g) => emit('probe', g)"
          />
          <p class="mt-1 text-sm text-soft">
            {{ $t('strandLook.washALittleInA') }}
          </p>
          <p v-if="shown.probe_change" class="mt-2 text-lg font-semibold">{{ shown.probe_change }}</p>
        </div>
      </template>
      <p v-else class="text-lg">{{ $t('strandLook.rinsedAfterMin', { on_min: clock.on_min.toFixed(0) }) }}</p>
    </div>
  </Sheet>
</template>
