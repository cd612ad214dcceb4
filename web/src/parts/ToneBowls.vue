<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { levelText, fixed, listed } from '../lib/time'
import { weight } from '../lib/units'
import { $t } from '../lib/i18n'

/** The session: how many bowls and what another count would give or take, and what goes into each. */
const props = defineProps<{ step: Schemas['ToneStep']; most: number; isLocked: boolean }>()
const emit = defineEmits<{ most: [count: number]; own: []; shadow: [] }>()
const weights = (bowl: Schemas['ToneBowl']) =>
  bowl.shade_names.map((name, i) => `${weight(bowl.shades_g[i] ?? 0)} ${name}`).join(' + ')
const proposed = computed(() => props.step.counts.find((c) => c.is_proposed))
const rinses = computed(() => listed(props.step.rinses.map((m) => $t('toneBowls.min', { m: m.toFixed(0) }))))
const bowlNames = (b: Schemas['ToneBowl']) =>
  b.lane_names.length > 6
    ? $t('toneBowls.andMore', { lane_names: b.lane_names.slice(0, 5).join(', '), count: b.lane_names.length - 5 })
    : b.lane_names.join(', ')
</script>

<template>
  <section class="panel" aria-labelledby="bowls">
    <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <h2 id="bowls" class="grow text-xl">
        {{ step.bowls.length === 1 ? $t('toneBowls.oneBowl') : $t('toneBowls.bowls', { count: step.bowls.length }) }},
        {{ step.rinses.length > 1 ? $t('toneBowls.rinsedAt', { rinses }) : $t('toneBowls.oneRinseAt', { rinses }) }}
      </h2>
      <div class="flex items-center gap-1" role="radiogroup" :aria-label="$t('toneBowls.atMostSoManyBowls')">
        <span class="me-1 hidden text-[15px] text-soft lg:inline" aria-hidden="true">{{ $t('toneBowls.atMost') }}</span>
        <button
          v-for="n in 3"
          :key="n"
          type="button"
          role="radio"
          class="btn num min-w-12 !px-3 text-lg"
          :class="{ 'btn-act': n === most }"
          :aria-checked="n === most"
          :aria-label="n === 1 ? $t('toneBowls.oneBowl') : $t('toneBowls.atMostBowls', { n })"
          @click="emit('most', n)"
        >
          {{ n }}
        </button>
      </div>
      <button type="button" class="btn" :disabled="isLocked" @click="emit('shadow')">
        {{ $t('common.rootShadow') }}
      </button>
      <button type="button" class="btn" :disabled="isLocked" @click="emit('own')">
        {{ $t('common.ownFormula') }}
      </button>
    </div>
    <p v-if="proposed" class="mb-2 text-[15px]">
      <i18n-t keypath="toneBowls.differenceFromTheWishesAt" scope="global"
        ><template #mean_delta_e
          ><strong class="num">{{ fixed(proposed.mean_delta_e, 1) }}</strong></template
        ><template #worst_delta_e
          ><strong class="num">{{ fixed(proposed.worst_delta_e, 1) }}</strong></template
        ><template #part3
          ><span class="text-soft">
            {{ ` ${$t('toneBowls.under3IsHardlySeen', { total_g: weight(step.total_g) })}` }}</span
          ></template
        ></i18n-t
      >
    </p>
    <ul class="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
      <li
        v-for="b in step.bowls"
        :key="b.formula_key"
        class="flex gap-3 rounded-[5px] border border-line bg-raised p-2.5"
      >
        <span
          class="num flex size-14 shrink-0 items-center justify-center rounded-[7px] border-2 border-ink text-[34px] leading-none"
          >{{ b.number }}</span
        >
        <div class="min-w-0 grow">
          <p class="leading-snug font-semibold">{{ weights(b) }}</p>
          <p class="leading-snug">
            <template v-if="b.developer_volume !== null">{{
              $t('toneBowls.gOfVol', {
                developer_g: weight(b.developer_g),
                developer_volume: levelText(b.developer_volume),
              })
            }}</template><template v-else-if="b.diluent_g">{{
              $t('toneBowls.withGWaterOrConditioner', { diluent_g: weight(b.diluent_g) })
            }}</template
            ><template v-else>{{ $t('common.neatNoDeveloper') }}</template>
            <span class="text-soft"
              ><i18n-t keypath="toneBowls.labelMin" scope="global"
                ><template #label_max_min>{{ b.label_max_min.toFixed(0) }}</template
                ><template #part1
                  ><template v-if="b.developer_volume !== null">
                    1:{{ levelText(Math.round(b.developer_parts * 10) / 10) }}</template
                  ></template
                ></i18n-t
              ></span
            >
          </p>
          <p class="text-sm text-soft">
            <strong v-if="b.is_own" class="text-ink">{{ `${$t('toneBowls.ownFormula')} ` }} </strong>{{ bowlNames(b) }}
          </p>
        </div>
        <span class="swatch w-6 shrink-0 rounded-[3px]" :style="{ background: b.hex }" />
      </li>
    </ul>
    <ul v-if="step.counts.length > 1" class="mt-2 flex flex-wrap gap-x-5 text-sm text-soft">
      <li v-for="c in step.counts.filter((x) => !x.is_proposed)" :key="c.count">
        {{ c.count === 1 ? $t('toneBowls.oneBowl') : $t('toneBowls.bowls', { count: c.count }) }}: {{ c.gives_up }}
      </li>
    </ul>
    <p v-if="step.much" class="mt-2 text-[15px]">{{ step.much }}.</p>
    <p v-if="step.fill" class="mt-2 border-s-[6px] border-ink ps-3 text-[17px] font-semibold">{{ step.fill }}</p>
  </section>
</template>
