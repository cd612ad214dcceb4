<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { grams, levelText } from '../lib/time'

/** The session: how many bowls and what another count would give or take, and what goes into each. */
const props = defineProps<{ step: Schemas['ToneStep']; most: number; isLocked: boolean }>()
const emit = defineEmits<{ most: [count: number]; own: []; shadow: [] }>()
const weights = (bowl: Schemas['ToneBowl']) =>
  bowl.shade_names.map((name, i) => `${grams(bowl.shades_g[i] ?? 0)} g ${name}`).join(' + ')
const proposed = computed(() => props.step.counts.find((c) => c.is_proposed))
const rinses = computed(() => props.step.rinses.map((m) => `${m.toFixed(0)} min`).join(' and '))
const bowlNames = (b: Schemas['ToneBowl']) =>
  b.lane_names.length > 6
    ? `${b.lane_names.slice(0, 5).join(', ')} and ${b.lane_names.length - 5} more`
    : b.lane_names.join(', ')
</script>

<template>
  <section class="panel" aria-labelledby="bowls">
    <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <h2 id="bowls" class="grow text-xl">
        {{ step.bowls.length === 1 ? 'One bowl' : `${step.bowls.length} bowls` }},
        {{ step.rinses.length > 1 ? `rinsed at ${rinses}` : `one rinse at ${rinses}` }}
      </h2>
      <div class="flex items-center gap-1" role="radiogroup" aria-label="At most so many bowls">
        <span class="mr-1 hidden text-[15px] text-soft lg:inline" aria-hidden="true">at most</span>
        <button
          v-for="n in 3"
          :key="n"
          type="button"
          role="radio"
          class="btn num !min-h-11 !px-3.5 text-lg"
          :class="{ 'btn-act': n === most }"
          :aria-checked="n === most"
          :aria-label="n === 1 ? 'One bowl' : `At most ${n} bowls`"
          @click="emit('most', n)"
        >
          {{ n }}
        </button>
      </div>
      <button type="button" class="btn !min-h-11" :disabled="isLocked" @click="emit('shadow')">Root shadow</button>
      <button type="button" class="btn !min-h-11" :disabled="isLocked" @click="emit('own')">Own formula</button>
    </div>
    <p v-if="proposed" class="mb-2 text-[15px]">
      difference <strong class="num">{{ proposed.mean_delta_e.toFixed(1) }}</strong> from the wishes, at most
      <strong class="num">{{ proposed.worst_delta_e.toFixed(1) }}</strong><span class="text-soft">
        (under 3 is hardly seen) · {{ grams(step.total_g) }} g in all</span
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
            <template v-if="b.developer_volume !== null"
              >{{ grams(b.developer_g) }} g of {{ levelText(b.developer_volume) }} vol</template
            ><template v-else-if="b.diluent_g"
              >with {{ grams(b.diluent_g) }} g water or conditioner, no developer</template
            ><template v-else>neat, no developer</template>
            <span class="text-soft"
              ><template v-if="b.developer_volume !== null">
                1:{{ levelText(Math.round(b.developer_parts * 10) / 10) }}</template
              >, label {{ b.label_max_min.toFixed(0) }} min</span
            >
          </p>
          <p class="text-sm text-soft">
            <strong v-if="b.is_own" class="text-ink">own formula · </strong>{{ bowlNames(b) }}
          </p>
        </div>
        <span class="swatch w-6 shrink-0 rounded-[3px]" :style="{ background: b.hex }" />
      </li>
    </ul>
    <ul v-if="step.counts.length > 1" class="mt-2 flex flex-wrap gap-x-5 text-sm text-soft">
      <li v-for="c in step.counts.filter((x) => !x.is_proposed)" :key="c.count">
        {{ c.count === 1 ? 'One bowl' : `${c.count} bowls` }}: {{ c.gives_up }}
      </li>
    </ul>
    <p v-if="step.much" class="mt-2 text-[15px]">{{ step.much }}.</p>
    <p v-if="step.fill" class="mt-2 border-l-[6px] border-ink pl-3 text-[17px] font-semibold">{{ step.fill }}</p>
  </section>
</template>
