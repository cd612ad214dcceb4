<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { $t } from '../lib/i18n'
import { duration } from '../lib/time'

/** What the consultation comes to, and why, line by line. */
const props = defineProps<{ verdict: Schemas['Verdict'] }>()
const marks: Record<Schemas['VerdictLine']['sign'], string> = {
  good: '✓',
  care: '!',
  visits: $t('arrow.on'),
  stop: '×',
}
const isAgainst = computed(() => props.verdict.kind === 'not_today')
const isOpen = computed(() => props.verdict.kind === 'unread')
</script>

<template>
  <section
    class="panel border-s-[8px]"
    :class="isAgainst ? 'border-stop' : isOpen ? 'border-line' : 'border-ink'"
    aria-labelledby="verdict-title"
    aria-live="polite"
  >
    <div class="flex flex-wrap items-center gap-x-3">
      <h2 id="verdict-title" class="grow text-[28px] leading-tight" :class="{ 'text-stop': isAgainst }">
        <span class="sr-only">{{ `${$t('verdictCard.theVerdict')} ` }} </span>{{ verdict.title }}
      </h2>
      <details v-if="verdict.chair.length" class="text-[15px] open:basis-full">
        <summary
          class="flex min-h-12 cursor-pointer items-center justify-end font-semibold underline underline-offset-4"
        >
          <span class="sr-only">{{ `${$t('verdictCard.whereTheTimeGoes')} ` }} </span>{{ duration(verdict.needed_min) }}
        </summary>
        <ul>
          <li v-for="item in verdict.chair.filter((c) => c.minutes >= 0.5)" :key="item.name" class="flex">
            <span class="grow text-soft">{{ item.name }}</span><span class="num">{{ item.minutes.toFixed(0) }}</span>
          </li>
        </ul>
      </details>
    </div>
    <ul class="mt-2 flex flex-col gap-1.5">
      <li v-for="line in verdict.lines" :key="line.text" class="flex gap-2.5 text-[15px] leading-snug">
        <span
          class="mt-px inline-flex size-5 shrink-0 items-center justify-center rounded-[4px] text-[13px] font-bold"
          :class="
            line.sign === 'stop' ? 'bg-stop text-stop-ink' : line.sign === 'good' ? 'bg-sunk' : 'bg-act text-act-ink'
          "
          aria-hidden="true"
          >{{ marks[line.sign] }}</span
        >
        <span>{{ line.text }}</span>
      </li>
    </ul>
    <ol v-if="verdict.reach.length > 1" class="mt-3 border-t border-line pt-2 text-[15px]">
      <li v-for="r in verdict.reach" :key="r.visit">
        <strong>{{ r.visit === 1 ? $t('common.today') : $t('verdictCard.visit', { visit: r.visit }) }}:</strong>
        {{ r.text }}
      </li>
    </ol>
  </section>
</template>
