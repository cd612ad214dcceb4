<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { countdown, inMinutes, minutesUntil } from '../lib/time'
import ActPanel from './ActPanel.vue'

/** The next act at the basin, alone and large, for all its parts at once, and what comes after it. */
const props = defineProps<{
  acts: readonly Schemas['ToneAct'][]
  names: Readonly<Record<string, string>>
  now: number
  isBusy: boolean
}>()
const emit = defineEmits<{ do: [act: Schemas['ToneAct'], ids: string[]] }>()
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
    apply: `Bowl ${act.bowl ?? ''} is on`,
    emulsify: 'Emulsified',
    strand: 'Look at it',
    rinse: act.ids.length > 1 ? 'Rinsed all' : 'Rinsed',
    stop: 'Rinsed',
  })[act.code] ?? act.code
const title = (act: Schemas['ToneAct']) =>
  act.ids.length < 2 || (act.ids.length <= 3 && act.title.length <= 44)
    ? act.title
    : ({
        apply: `Bowl ${act.bowl ?? ''}: ${act.ids.length} parts, ${props.names[act.ids[0] ?? ''] ?? ''} first`,
        emulsify: `Emulsify all ${act.ids.length} parts`,
        rinse: `Rinse all ${act.ids.length} parts`,
        stop: `Rinse now, the label's time is up: ${act.ids.length} parts`,
      }[act.code] ?? act.title)
const shown = computed(() => first.value && { ...first.value, title: title(first.value) })
</script>

<template>
  <div class="mb-3 flex flex-wrap items-stretch gap-3">
    <ActPanel
      :act="shown"
      :detail="first?.detail ?? ''"
      :is-due="isDue"
      :is-stop="isStop"
      :timer="timer"
      nothing="Nothing on the hair; nothing left to tone."
    >
      <div v-if="first" class="ml-auto flex shrink-0 flex-col items-stretch gap-1.5">
        <button
          type="button"
          class="min-h-16 rounded-[5px] bg-act-ink px-5 text-lg font-bold text-act"
          :class="{ '!bg-stop-ink !text-stop': isStop }"
          :disabled="isBusy || some.length === 0"
          @click="emit('do', first, some)"
        >
          {{ verb(first) }}{{ out.length ? `: ${some.length} of ${first.ids.length}` : '' }}
        </button>
        <button
          v-if="first.ids.length > 1"
          type="button"
          class="min-h-9 text-[15px] underline underline-offset-4"
          :aria-expanded="isPicking"
          @click="isPicking = !isPicking"
        >
          {{ isPicking ? 'done' : 'not all of them' }}
        </button>
      </div>
    </ActPanel>
    <div
      v-if="first && isPicking"
      class="panel order-last flex w-full flex-wrap items-center gap-1.5 !py-2.5"
      role="group"
      aria-label="Which parts"
    >
      <p class="mr-2 text-[15px]">Tap what it is not on:</p>
      <button
        v-for="id in first.ids"
        :key="id"
        type="button"
        class="btn narrow !min-h-11 !px-2.5"
        :class="{ 'border-dashed line-through opacity-60': out.includes(id) }"
        :aria-pressed="!out.includes(id)"
        @click="toggle(id)"
      >
        {{ names[id] ?? id }}
      </button>
    </div>
    <section v-if="rest.length" class="panel grow basis-[280px] !py-2.5" aria-label="Then">
      <h2 class="text-sm font-semibold text-soft">Then</h2>
      <ul>
        <li v-for="(a, i) in rest" :key="a.code + a.ids[0]" class="flex items-baseline justify-between gap-3">
          <button
            type="button"
            class="min-h-9 truncate text-left hover:underline"
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
