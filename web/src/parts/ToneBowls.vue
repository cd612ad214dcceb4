<script setup lang="ts">
import type { Schemas } from '../api/client'
import { grams, levelText } from '../lib/time'

/** How many bowls, what fewer would give up, and what goes into each. */
defineProps<{ step: Schemas['ToneStep']; most: number; isLocked: boolean }>()
const emit = defineEmits<{ most: [count: number]; own: []; shadow: [] }>()
const weights = (bowl: Schemas['ToneBowl']) =>
  bowl.shade_names.map((name, i) => `${grams(bowl.shades_g[i] ?? 0)} g ${name}`).join(' + ')
</script>

<template>
  <section class="panel" aria-labelledby="bowls">
    <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <h2 id="bowls" class="text-xl">Bowls</h2>
      <div class="flex gap-1" role="radiogroup" aria-label="At most so many bowls">
        <button
          v-for="n in 4"
          :key="n"
          type="button"
          role="radio"
          class="btn num !min-h-11 !px-4 text-lg"
          :class="{ 'btn-act': n === most }"
          :aria-checked="n === most"
          :aria-label="`At most ${n} bowls`"
          @click="emit('most', n)"
        >
          {{ n }}
        </button>
      </div>
      <p class="min-w-0 grow text-[15px]">
        <template v-for="c in step.counts" :key="c.count">
          <span v-if="c.count === step.counts[step.counts.length - 1]?.count">
            Zones end
            <strong class="num" title="CIEDE2000 between the two zones that differ most; under 3 is hardly seen">{{
              c.spread.toFixed(1)
            }}</strong>
            apart{{ c.spread < 3 ? ' (hardly seen)' : '' }},
            <strong class="num">{{ c.mean_delta_e.toFixed(1) }}</strong> from the wish</span
          >
        </template>
      </p>
      <button type="button" class="btn !min-h-11" :disabled="isLocked" @click="emit('shadow')">Root shadow</button>
      <button type="button" class="btn !min-h-11" :disabled="isLocked" @click="emit('own')">Own formula</button>
    </div>
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
            ><template v-else>neat, no developer</template>
            <span class="text-soft"
              ><template v-if="b.developer_volume !== null">
                1:{{ levelText(Math.round(b.developer_parts * 10) / 10) }}</template
              >, label {{ b.label_max_min.toFixed(0) }} min</span
            >
          </p>
          <p class="text-sm text-soft">{{ b.lane_names.join(', ') }}</p>
        </div>
        <span class="swatch w-6 shrink-0 rounded-[3px]" :style="{ background: b.hex }" />
      </li>
    </ul>
    <ul v-if="step.counts.length > 1" class="mt-2 text-sm text-soft">
      <li v-for="c in step.counts.slice(0, -1)" :key="c.count">
        {{ c.count === 1 ? 'One bowl' : `${c.count} bowls` }}: {{ c.gives_up }}
      </li>
    </ul>
  </section>
</template>
