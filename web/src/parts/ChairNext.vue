<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { countdown, inMinutes, minutesUntil } from '../lib/time'
import ActPanel from './ActPanel.vue'
import QuickRead from './QuickRead.vue'
import { $t } from '../lib/i18n'

/** The most urgent act, alone and large; the one after it readable from afar as well; the rest small. */
const props = defineProps<{
  acts: readonly Schemas['NextAct'][]
  lanes: readonly Schemas['Lane'][]
  now: number
  detail: string
  canWeigh: boolean
  isBusy: boolean
  /** Its two halves stand in the columns around it. */
  isApart?: boolean
  /** Levels to tap at once where a look is next. */
  reading?: {
    levels: readonly number[]
    hexes: readonly string[]
    undertones: readonly string[]
    expected: number
    isFirstFoils: boolean
  } | null
}>()
const emit = defineEmits<{
  do: [act: Schemas['NextAct']]
  only: [act: Schemas['NextAct']]
  weigh: []
  read: [act: Schemas['NextAct'], level: number]
}>()

const first = computed(() => props.acts[0])
const second = computed(() => props.acts[1])
const rest = computed(() => props.acts.slice(2, 4))
const isDue = computed(() => Boolean(first.value && minutesUntil(first.value.due_at, props.now) <= 0))
const verbs: Record<string, string> = {
  mix: $t('chairNext.mixed'),
  start: $t('common.firstSectionOn'),
  finish: $t('chairNext.lastSectionOn'),
  read: $t('common.readIt'),
  rinse: $t('common.rinsed'),
  wipe: $t('common.wipedOut'),
  rinse_wave: $t('chairNext.allRinsed'),
  stop: $t('common.rinsed'),
  short: $t('chairNext.openTheZone'),
  tone: $t('common.goOn'),
}
/** What the large clock counts: towards a look, or, once a zone is to be rinsed, towards its wall. */
const timer = computed(() => {
  const act = first.value
  const lane = props.lanes.find((l) => l.key === act?.zone_key)
  if (!act || !lane || !['read', 'rinse', 'wipe', 'rinse_wave', 'stop', 'finish'].includes(act.code)) return null
  const dueIn = minutesUntil(act.due_at, props.now)
  const isRinse = ['rinse', 'wipe', 'rinse_wave'].includes(act.code)
  if (isRinse && dueIn > 0)
    return {
      minutes: dueIn,
      caption: act.code === 'wipe' ? $t('chairNext.untilItComesOff') : $t('chairNext.untilTheRinse'),
    }
  if (lane.stop_reason) return null // whatever time its label leaves does not count
  if (isRinse || act.code === 'stop') {
    const minutes = lane.wall_min - (props.now - new Date(lane.zero_at).getTime()) / 60_000
    return { minutes, caption: minutes < 0 ? $t('chairNext.pastTheLabel') : $t('chairNext.toTheWall') }
  }
  return {
    minutes: dueIn,
    caption:
      dueIn < 0
        ? $t('chairNext.overdue')
        : act.code === 'finish'
          ? $t('chairNext.planned')
          : $t('chairNext.untilTheLook'),
  }
})
const isStop = computed(() => first.value?.code === 'stop')
</script>

<template>
  <div :class="isApart ? 'contents' : 'flex flex-wrap items-stretch gap-3'">
    <ActPanel
      :act="first"
      :detail="detail"
      :is-due="isDue"
      :is-stop="isStop"
      :timer="timer && { text: countdown(timer.minutes), caption: timer.caption }"
      :nothing="$t('chairNext.nothingToDo')"
    >
      <div v-if="first" class="ms-auto flex shrink-0 flex-col items-stretch">
        <!-- another act is another button: a press that began on one never ends as the other -->
        <button
          :key="first.code + first.zone_key"
          type="button"
          class="min-h-16 rounded-[5px] bg-act-ink px-5 text-lg font-bold text-act"
          :class="{ '!bg-stop-ink !text-stop': isStop }"
          :disabled="isBusy"
          @click="emit('do', first)"
        >
          {{ verbs[first.code]
          }}<span v-if="first.then" class="block text-sm font-semibold">{{
            first.code === 'mix' ? $t('chairNext.andFirstSectionOn') : $t('chairNext.then', { then: first.then })
          }}</span>
        </button>
        <div v-if="first.then || canWeigh" class="flex justify-center gap-5">
          <button
            v-if="first.then"
            type="button"
            class="min-h-12 px-2 text-[15px] underline underline-offset-4"
            :disabled="isBusy"
            @click="emit('only', first)"
          >
            {{ $t('chairNext.onlyThis') }}
          </button>
          <button
            v-if="canWeigh"
            type="button"
            class="min-h-12 px-2 text-[15px] underline underline-offset-4"
            @click="emit('weigh')"
          >
            {{ $t('chairNext.weighIt') }}
          </button>
        </div>
      </div>
      <template #below>
        <QuickRead
          v-if="reading && first"
          v-bind="reading"
          :is-busy="isBusy"
          @read="(level) => first && emit('read', first, level)"
        />
      </template>
    </ActPanel>
    <section
      class="panel flex grow basis-[300px] flex-col !py-2.5 lg:grow-0 lg:basis-[330px] xl:basis-[400px]"
      :aria-label="$t('common.then')"
    >
      <h2 class="text-sm font-semibold text-soft">{{ $t('common.then') }}</h2>
      <p v-if="!second" class="text-soft">{{ $t('chairNext.nothingElseForNow') }}</p>
      <button
        v-else
        type="button"
        class="flex min-h-12 items-baseline gap-3 text-start hover:underline"
        @click="emit('do', second)"
      >
        <span class="grow text-[22px] leading-tight font-semibold sm:text-[24px]">{{ second.title }}</span>
        <span class="num text-[22px] whitespace-nowrap sm:text-[24px]">{{
          inMinutes(minutesUntil(second.due_at, now))
        }}</span>
      </button>
      <ul class="max-sm:hidden">
        <li v-for="a in rest" :key="a.code + a.zone_key" class="flex items-baseline justify-between gap-3">
          <button
            type="button"
            class="min-h-12 min-w-0 grow truncate text-start hover:underline"
            @click="emit('do', a)"
          >
            {{ a.title }}
          </button>
          <span class="num whitespace-nowrap" :class="{ 'font-bold': minutesUntil(a.due_at, now) <= 0 }">{{
            inMinutes(minutesUntil(a.due_at, now))
          }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>
