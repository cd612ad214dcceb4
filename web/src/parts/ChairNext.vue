<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { countdown, inMinutes, minutesUntil } from '../lib/time'
import ActPanel from './ActPanel.vue'

/** The most urgent act, alone and large; the one after it readable from afar as well; the rest small. */
const props = defineProps<{
  acts: readonly Schemas['NextAct'][]
  lanes: readonly Schemas['Lane'][]
  now: number
  detail: string
  canWeigh: boolean
  isBusy: boolean
}>()
const emit = defineEmits<{ do: [act: Schemas['NextAct']]; weigh: [] }>()

const first = computed(() => props.acts[0])
const second = computed(() => props.acts[1])
const rest = computed(() => props.acts.slice(2, 4))
const isDue = computed(() => Boolean(first.value && minutesUntil(first.value.due_at, props.now) <= 0))
const verbs: Record<string, string> = {
  mix: 'Mixed',
  start: 'First section on',
  finish: 'Last section on',
  read: 'Read it',
  rinse: 'Rinsed',
  wipe: 'Wiped out',
  rinse_wave: 'All rinsed',
  stop: 'Rinsed',
  short: 'Open the zone',
  tone: 'Go on',
}
/** What the large clock counts: towards a look, or, once a zone is to be rinsed, towards its wall. */
const timer = computed(() => {
  const act = first.value
  const lane = props.lanes.find((l) => l.key === act?.zone_key)
  if (!act || !lane || !['read', 'rinse', 'wipe', 'rinse_wave', 'stop', 'finish'].includes(act.code)) return null
  const dueIn = minutesUntil(act.due_at, props.now)
  const isRinse = ['rinse', 'wipe', 'rinse_wave'].includes(act.code)
  if (isRinse && dueIn > 0)
    return { minutes: dueIn, caption: act.code === 'wipe' ? 'until it comes off' : 'until the rinse' }
  if (lane.stop_reason) return null // whatever time its label leaves does not count
  if (isRinse || act.code === 'stop') {
    const minutes = lane.wall_min - (props.now - new Date(lane.zero_at).getTime()) / 60_000
    return { minutes, caption: minutes < 0 ? 'past the label' : 'to the wall' }
  }
  return { minutes: dueIn, caption: dueIn < 0 ? 'overdue' : act.code === 'finish' ? 'planned' : 'until the look' }
})
const isStop = computed(() => first.value?.code === 'stop')
</script>

<template>
  <div class="flex flex-wrap items-stretch gap-3">
    <ActPanel
      :act="first"
      :detail="detail"
      :is-due="isDue"
      :is-stop="isStop"
      :timer="timer && { text: countdown(timer.minutes), caption: timer.caption }"
      nothing="Nothing to do just now."
    >
      <button
        v-if="canWeigh"
        type="button"
        class="min-h-16 shrink-0 rounded-[5px] border-2 border-act-ink px-5 text-lg font-bold"
        @click="emit('weigh')"
      >
        Weigh it
      </button>
      <button
        v-if="first"
        type="button"
        class="ml-auto min-h-16 shrink-0 rounded-[5px] bg-act-ink px-5 text-lg font-bold text-act"
        :class="{ '!bg-stop-ink !text-stop': isStop }"
        :disabled="isBusy"
        @click="emit('do', first)"
      >
        {{ verbs[first.code] }}
      </button>
    </ActPanel>
    <section
      class="panel flex grow basis-[300px] flex-col !py-2.5 lg:grow-0 lg:basis-[330px] xl:basis-[400px]"
      aria-label="Then"
    >
      <h2 class="text-sm font-semibold text-soft">Then</h2>
      <p v-if="!second" class="text-soft">Nothing else for now.</p>
      <button
        v-else
        type="button"
        class="flex min-h-12 items-baseline gap-3 text-left hover:underline"
        @click="emit('do', second)"
      >
        <span class="grow text-[22px] leading-tight font-semibold sm:text-[24px]">{{ second.title }}</span>
        <span class="num text-[22px] whitespace-nowrap sm:text-[24px]">{{
          inMinutes(minutesUntil(second.due_at, now))
        }}</span>
      </button>
      <ul>
        <li v-for="a in rest" :key="a.code + a.zone_key" class="flex items-baseline justify-between gap-3">
          <button type="button" class="min-h-8 truncate text-left hover:underline" @click="emit('do', a)">
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
