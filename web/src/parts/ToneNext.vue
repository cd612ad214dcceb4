<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { countdown, inMinutes, minutesUntil } from '../lib/time'
import ActPanel from './ActPanel.vue'
import StrandScale from './StrandScale.vue'
import { $t } from '../lib/i18n'

/** The next act at the basin, alone and large, for all its parts at once, and what comes after it. */
const props = defineProps<{
  acts: readonly Schemas['ToneAct'][]
  names: Readonly<Record<string, string>>
  now: number
  isBusy: boolean
  /** What the strand to be looked at may look like by now, palest first; none where it has to be opened for it. */
  scale: readonly Schemas['StrandSwatch'][]
}>()
const emit = defineEmits<{ do: [act: Schemas['ToneAct'], ids: string[]]; seen: [id: string, share: number] }>()
const first = computed(() => props.acts[0])
const rest = computed(() => props.acts.slice(1, 4))
const isStop = computed(() => first.value?.code === 'stop')
const isDue = computed(() => Boolean(first.value && minutesUntil(first.value.due_at, props.now) <= 0))
const timer = computed(() => {
  if (!first.value) return null
  const minutes = minutesUntil(first.value.due_at, props.now)
  if (first.value.code === 'apply' && minutes <= 0.5) return null
  return { text: countdown(minutes), caption: '' }
})
/** Parts that are left out of the act, by a tap each. */
const isPicking = ref(false)
const out = ref<string[]>([])
watch(
  () => first.value && first.value.code + first.value.ids.join(),
  () => {
    isPicking.value = false
    out.value = []
  },
)
const toggle = (id: string) =>
  (out.value = out.value.includes(id) ? out.value.filter((k) => k !== id) : [...out.value, id])
const some = computed(() => (first.value?.ids ?? []).filter((id) => !out.value.includes(id)))
const verb = (act: Schemas['ToneAct']) =>
  ({
    apply: $t('toneNext.bowlIsOn', { bowl: act.bowl ?? '' }),
    emulsify: $t('common.emulsified'),
    strand: $t('common.lookAtIt'),
    rinse: act.ids.length > 1 ? $t('toneNext.rinsedAll') : $t('common.rinsed'),
    stop: $t('common.rinsed'),
  })[act.code] ?? act.code
const title = (act: Schemas['ToneAct']) =>
  act.ids.length < 2 || (act.ids.length <= 3 && act.title.length <= 44)
    ? act.title
    : ({
        apply: $t('toneNext.bowlPartsFirst', {
          bowl: act.bowl ?? '',
          count: act.ids.length,
          names: props.names[act.ids[0] ?? ''] ?? '',
        }),
        emulsify: $t('toneNext.emulsifyAllParts', { count: act.ids.length }),
        rinse: $t('toneNext.rinseAllParts', { count: act.ids.length }),
        stop: $t('toneNext.rinseNowTheLabelS', { count: act.ids.length }),
      }[act.code] ?? act.title)
/** Coloured where hair is looked at; a bowl that goes on shows its colour by itself. */
const shown = computed(() => {
  const act = first.value
  return act && { ...act, title: title(act), hex: act.code === 'apply' ? null : act.hex }
})
</script>

<template>
  <div class="mb-3 flex flex-wrap items-stretch gap-3">
    <ActPanel
      :act="shown"
      :detail="first?.detail ?? ''"
      :is-due="isDue"
      :is-stop="isStop"
      :timer="timer"
      :nothing="$t('toneNext.nothingLeft')"
    >
      <div v-if="first" class="ms-auto flex shrink-0 flex-col items-stretch gap-1.5">
        <button
          type="button"
          class="min-h-16 rounded-[5px] bg-act-ink px-5 text-lg font-bold text-act"
          :class="{ '!bg-stop-ink !text-stop': isStop }"
          :disabled="isBusy || some.length === 0"
          @click="emit('do', first, some)"
        >
          {{ verb(first) }}{{ out.length ? $t('toneNext.of', { count: some.length, count2: first.ids.length }) : '' }}
        </button>
        <button
          v-if="first.ids.length > 1"
          type="button"
          class="min-h-12 text-[15px] underline underline-offset-4"
          :aria-expanded="isPicking"
          @click="isPicking = !isPicking"
        >
          {{ isPicking ? $t('toneNext.done') : $t('toneNext.notAllOfThem') }}
        </button>
      </div>
      <template #below>
        <div
          v-if="first?.code === 'strand' && scale.length"
          class="flex flex-wrap items-center gap-x-3 gap-y-1 rounded-[5px] bg-ground px-3 py-1.5 text-ink"
          role="group"
          :aria-label="$t('toneNext.aRinsedStrandIsLike')"
        >
          <span class="text-[15px] font-semibold" aria-hidden="true">{{ $t('toneNext.aRinsedStrandIsLike') }}</span>
          <span class="text-[15px] text-soft" aria-hidden="true">{{ $t('strandLook.paler') }}</span>
          <StrandScale
            class="min-w-56 grow"
            :scale="scale"
            :is-busy="isBusy"
            @seen="(share) => first && emit('seen', first.ids[0] ?? '', share)"
          />
          <span class="text-[15px] text-soft" aria-hidden="true">{{ $t('common.deeper') }}</span>
        </div>
      </template>
    </ActPanel>
    <div
      v-if="first && isPicking"
      class="panel order-last flex w-full flex-wrap items-center gap-1.5 !py-2.5"
      role="group"
      :aria-label="$t('toneNext.whichParts')"
    >
      <p class="me-2 text-[15px]">{{ $t('toneNext.tapWhatItIsNot') }}</p>
      <button
        v-for="id in first.ids"
        :key="id"
        type="button"
        class="btn narrow !px-2.5"
        :class="{ 'border-dashed line-through opacity-60': out.includes(id) }"
        :aria-pressed="!out.includes(id)"
        @click="toggle(id)"
      >
        {{ names[id] ?? id }}
      </button>
    </div>
    <section v-if="rest.length" class="panel min-w-0 grow basis-[280px] !py-2.5" :aria-label="$t('common.then')">
      <h2 class="text-sm font-semibold text-soft">{{ $t('common.then') }}</h2>
      <ul>
        <li v-for="(a, i) in rest" :key="a.code + a.ids[0]" class="flex items-baseline justify-between gap-3">
          <button
            type="button"
            class="min-h-12 min-w-0 grow truncate text-start hover:underline"
            :class="{ 'text-[19px] font-semibold': i === 0 }"
            @click="emit('do', a, [...a.ids])"
          >
            {{ title(a) }}
          </button>
          <span class="num whitespace-nowrap" :class="{ 'font-bold': minutesUntil(a.due_at, now) <= 0 }">{{
            inMinutes(minutesUntil(a.due_at, now))
          }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>
