<script setup lang="ts">
import type { Schemas } from '../api/client'
import { clock as clockText, fixed, levelText, listed } from '../lib/time'
import { weight } from '../lib/units'
import { $t } from '../lib/i18n'

/** The toner bowls, and what each left on every part it was on. */
defineProps<{ record: Schemas['RecordOut'] }>()
</script>

<template>
  <section class="panel" aria-labelledby="toners">
    <h2 id="toners" class="mb-2 text-xl">{{ $t('common.toner') }}</h2>
    <p v-if="record.toners.length === 0" class="text-soft">{{ $t('record.noneApplied') }}</p>
    <p v-if="record.toned_difference !== null" class="mb-1">
      <i18n-t keypath="record.differenceFromTheWishesCiede2000" scope="global"
        ><template #toned_difference
          ><strong class="num">{{ fixed(record.toned_difference, 1) }}</strong></template
        ></i18n-t
      >
    </p>
    <ol class="mb-2">
      <li v-for="(b, i) in record.toner_bowls" :key="i" class="flex gap-3 border-t border-line py-1.5">
        <span class="num w-14 shrink-0 text-soft">{{ clockText(b.at) }}</span><span
          ><strong>{{ b.formula }}</strong
          >, {{ weight(b.product_g) }} {{ b.developer_g ? `+ ${weight(b.developer_g)}` : $t('record.withoutDeveloper')
          }}<span class="block text-sm text-soft"
            >{{ b.zone_names.length > 1 ? `${$t('record.inThisOrder')} ` : `${$t('record.on')} `
            }}{{ b.zone_names.join(', ')
            }}{{
              b.rinsed_at.length ? $t('record.rinsed', { rinsed_at: listed(b.rinsed_at.map((m) => clockText(m))) }) : ''
            }}</span
          ></span
        >
      </li>
    </ol>
    <ul>
      <li
        v-for="(t, i) in record.toners"
        :key="t.zone_name"
        class="flex items-center gap-3 border-t border-line py-1.5"
      >
        <span class="swatch flex h-9 w-16 shrink-0 overflow-hidden rounded-[3px]"
          ><span class="grow" :style="{ background: t.now_hex }" /><span
            class="grow"
            :style="{ background: t.left_hex }" /><span
            class="w-3 border-s-2 border-panel"
            :style="{ background: t.wanted_hex }" /></span
        ><span
          ><i18n-t keypath="record.at" scope="global"
            ><template #level>{{ levelText(t.level) }}</template
            ><template #shade_name>{{ t.shade_name }}</template
            ><template #what>{{
              t.minutes === null ? $t('record.stillOn') : $t('record.min', { minutes: t.minutes.toFixed(0) })
            }}</template
            ><template #zone_name
              ><strong>{{ t.zone_name }}</strong></template
            ></i18n-t
          ><span class="block text-sm text-soft">{{
            $t('record.gOnAt', {
              product_g: weight(t.product_g),
              what: t.developer_g ? `+ ${weight(t.developer_g)}` : $t('record.neat'),
              applied_at: clockText(t.applied_at),
            })
          }}</span
          ><span v-if="t.says !== record.toners[i - 1]?.says" class="block text-sm text-soft">{{ t.says }}</span></span
        >
      </li>
    </ul>
  </section>
</template>
