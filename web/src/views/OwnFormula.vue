<script setup lang="ts">
import type { EventData } from '../api/events'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { tryFormula } from '../api/queries'
import { fixed } from '../lib/time'
import { weight } from '../lib/units'
import Choice from '../parts/Choice.vue'
import Sheet from '../parts/Sheet.vue'
import Stepper from '../parts/Stepper.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

/** A formula of one's own: what it would do to the zones it is meant for, before it is mixed. */
const props = defineProps<{ isOpen: boolean; step: Schemas['ToneStep'] | null; serviceId: string; isBusy: boolean }>()
const emit = defineEmits<{ close: []; use: [values: EventData<'ToneFormulaSet'>, said: string] }>()
const notices = useNotices()
const first = ref('')
const second = ref('')
const share = ref<'0.75' | '0.5' | '0.25'>('0.5')
const parts = ref<number | null>(null)
const dilution = ref(0)
const zones = ref<string[]>([])
const tried = ref<Schemas['Tried'] | null>(null)
const shares = [
  { value: '0.75', name: '3 : 1' },
  { value: '0.5', name: '1 : 1' },
  { value: '0.25', name: '1 : 3' },
] as const
const free = computed(() => (props.step?.lanes ?? []).filter((l) => !l.toner))
const open = computed(() => (props.step?.shelf ?? []).filter((s) => !s.blocked))
const isWash = computed(() => open.value.find((s) => s.key === first.value)?.is_oxidative === false)
const partners = computed(() => {
  const one = open.value.find((s) => s.key === first.value)
  return open.value.filter((s) => one?.pairs_with.includes(s.key))
})
watch(
  () => props.isOpen,
  (isOpen) => {
    if (!isOpen) return
    tried.value = null
    zones.value = free.value.map((l) => l.id)
    first.value ||= open.value[0]?.key ?? ''
  },
)
const body = computed<Schemas['FormulaIn']>(() => ({
  shade_key: first.value,
  second_key: second.value,
  share: second.value ? Number(share.value) : 1,
  developer_parts: isWash.value ? null : parts.value,
  dilution: isWash.value ? dilution.value : 0,
  ids: zones.value,
}))
watch(
  body,
  async (wanted) => {
    if (!props.isOpen || !wanted.shade_key || wanted.ids.length === 0) return (tried.value = null)
    try {
      const found = await tryFormula(props.serviceId, wanted)
      if (wanted === body.value) tried.value = found
    } catch (error) {
      tried.value = null
      notices.fail(error)
    }
    return undefined
  },
  { deep: true },
)
const toggle = (key: string) => {
  zones.value = zones.value.includes(key) ? zones.value.filter((k) => k !== key) : [...zones.value, key]
}
const use = () => {
  const found = tried.value
  if (!found) return
  const values = {
    ids: zones.value,
    shade_key: first.value,
    ...(second.value ? { second_key: second.value } : {}),
    share: body.value.share,
    developer_parts: body.value.developer_parts ?? 0,
    dilution: body.value.dilution,
  }
  emit('use', values, $t('ownFormula.isPlanned', { formula_name: found.formula_name }))
}
/** Parts that have a formula of the technician's own now. */
const owned = computed(() => (props.step?.bowls ?? []).filter((b) => b.is_own).flatMap((b) => b.lane_ids))
const asProposed = () => emit('use', { ids: owned.value }, $t('ownFormula.asProposedAgain2'))
</script>

<template>
  <Sheet
    :is-open="isOpen"
    :title="$t('common.ownFormula')"
    :subtitle="$t('ownFormula.seeWhatItDoesBefore')"
    @close="emit('close')"
  >
    <div class="flex flex-col gap-4">
      <div>
        <label class="label" for="own-first">{{ $t('ownFormula.shade') }}</label>
        <select id="own-first" v-model="first" class="field">
          <option v-for="s in open" :key="s.key" :value="s.key">{{ s.name }}</option>
        </select>
      </div>
      <div>
        <label class="label" for="own-second">{{ $t('ownFormula.mixedWith') }}</label>
        <select id="own-second" v-model="second" class="field">
          <option value="">{{ $t('ownFormula.nothing') }}</option>
          <option v-for="s in partners" :key="s.key" :value="s.key">{{ s.name }}</option>
        </select>
      </div>
      <Choice v-if="second" v-model="share" :legend="$t('ownFormula.inParts')" :options="shares" />
      <template v-if="isWash">
        <p class="text-soft">{{ $t('ownFormula.aPigmentWashGoesOn') }}</p>
        <Stepper
          v-model="dilution"
          :label="$t('ownFormula.waterOrConditionerToOne')"
          :unit="$t('ownFormula.parts')"
          :min="0"
          :max="8"
          :step="1"
        />
      </template>
      <Stepper
        v-else
        :label="$t('common.developerToOnePart')"
        :model-value="parts"
        :unit="$t('ownFormula.parts')"
        :min="0.5"
        :max="4"
        :step="0.5"
        :placeholder="$t('ownFormula.labelS')"
        @update:model-value="(v) => (parts = v)"
      />
      <fieldset>
        <legend class="label">{{ $t('common.on') }}</legend>
        <div class="flex flex-wrap gap-1.5">
          <button
            v-for="l in free"
            :key="l.id"
            type="button"
            class="btn narrow !min-h-11 !px-2.5"
            :class="{ 'btn-act': zones.includes(l.id) }"
            :aria-pressed="zones.includes(l.id)"
            @click="toggle(l.id)"
          >
            {{ l.name }}
          </button>
        </div>
      </fieldset>
      <button v-if="owned.length" type="button" class="btn" :disabled="isBusy" @click="asProposed">
        {{ $t('ownFormula.asProposedAgain') }}
      </button>
      <template v-if="tried">
        <p class="text-lg">
          <i18n-t keypath="ownFormula.differenceFromTheWishes" scope="global"
            ><template #formula_name
              ><strong>{{ tried.formula_name }}</strong></template
            ><template #mean_delta_e
              ><span class="num">{{ fixed(tried.mean_delta_e, 1) }}</span></template
            ></i18n-t
          >
        </p>
        <ul>
          <li v-for="z in tried.zones" :key="z.key" class="flex items-center gap-3 border-t border-line py-1.5">
            <span
              class="swatch flex h-10 w-32 shrink-0 overflow-hidden rounded-[3px]"
              role="img"
              :aria-label="$t('ownFormula.nowWithItAndWanted')"
            >
              <span class="w-7" :style="{ background: z.now_hex }" /><span
                class="grow"
                :style="{ background: z.hex }"
              /><span class="w-9" :style="{ background: z.wanted_hex }" />
            </span>
            <span class="grow"
              ><i18n-t keypath="ownFormula.min" scope="global"
                ><template #name>{{ z.name }}</template
                ><template #minutes
                  ><b class="num">{{ z.minutes.toFixed(0) }}</b></template
                ><template #part2
                  ><span v-if="z.is_too_dark" class="font-semibold text-stop">
                    {{ ` ${$t('ownFormula.tooDeep')}` }}</span
                  ></template
                ></i18n-t
              ></span
            >
            <span class="num text-soft">{{ fixed(z.delta_e, 1) }}</span>
            <span class="num text-soft"
              >{{ weight(z.product_g) }}{{ isWash ? '' : ` + ${weight(z.developer_g)}` }}</span
            >
          </li>
        </ul>
        <button type="button" class="btn btn-act min-h-14 text-lg" :disabled="isBusy" @click="use">
          {{
            $t('ownFormula.planItOn', {
              name:
                tried.zones.length === 1 ? tried.zones[0]?.name : $t('ownFormula.these', { count: tried.zones.length }),
            })
          }}
        </button>
      </template>
    </div>
  </Sheet>
</template>
