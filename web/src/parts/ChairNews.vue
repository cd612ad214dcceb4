<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { $t } from '../lib/i18n'
import { keepList, keptList } from '../lib/kept'
import { clock as clockText, levelText } from '../lib/time'

/** What changed without this hand: developers proposed anew, and acts that did not count. What was seen is kept here. */
const props = defineProps<{
  serviceId: string
  proposals: readonly Schemas['DeveloperProposal'][]
  conflicts: readonly Schemas['ConflictOut'][]
  /** It stands in a column of its own, beside the hair. */
  isColumn: boolean
  isBusy: boolean
}>()
const emit = defineEmits<{ take: [proposal: Schemas['DeveloperProposal']] }>()
const KEPT = 'fervens.seen'
const KEPT_MOST = 200
const seen = ref(new Set(keptList<string>(KEPT)))
const markSeen = (key: string) => {
  seen.value = new Set([...seen.value, key].slice(-KEPT_MOST))
  keepList(KEPT, [...seen.value])
}
const keyOf = (p: Schemas['DeveloperProposal']) => `${props.serviceId} ${p.zone_key} ${p.proposed_volume}`
const open = computed(() => props.proposals.filter((p) => !seen.value.has(keyOf(p))))
const uncounted = computed(() => props.conflicts.filter((c) => !seen.value.has(c.event_id)))
</script>

<template>
  <section
    v-for="c in uncounted"
    :key="c.event_id"
    class="flex flex-wrap items-center gap-3 rounded-[5px] border-s-[8px] border-stop bg-raised px-4 py-2"
    role="alert"
  >
    <p class="grow">
      <i18n-t keypath="chair.notCounted" scope="global"
        ><template #message>{{ c.message }}</template
        ><template #part1
          ><b>{{ c.by }}, {{ clockText(c.at) }}: {{ c.text }}.</b></template
        ></i18n-t
      >
    </p>
    <button type="button" class="btn" @click="markSeen(c.event_id)">{{ $t('common.seen') }}</button>
  </section>
  <section
    v-if="open.length"
    class="flex flex-wrap items-center gap-x-6 gap-y-1 rounded-[5px] border-s-[8px] border-signal bg-raised px-4 py-1.5"
    :aria-label="$t('chair.developersProposedAnew')"
  >
    <h2 class="sr-only">{{ $t('chair.developersProposedAnew') }}</h2>
    <div
      v-for="p in open"
      :key="p.zone_key"
      class="flex w-full flex-wrap items-center gap-2"
      :class="isColumn ? 'sm:max-[1099px]:flex-nowrap' : 'sm:flex-nowrap lg:w-[calc(50%-12px)]'"
      role="group"
      :aria-label="p.zone_name"
    >
      <p class="narrow grow text-[15px] leading-tight">{{ p.reason }}</p>
      <button type="button" class="btn btn-act shrink-0 px-3" :disabled="isBusy" @click="emit('take', p)">
        {{ $t('chair.takeVol', { proposed_volume: levelText(p.proposed_volume) }) }}
      </button>
      <button type="button" class="btn shrink-0 px-3" @click="markSeen(keyOf(p))">
        {{ $t('chair.keep', { volume_strength: levelText(p.volume_strength) }) }}
      </button>
    </div>
  </section>
</template>
