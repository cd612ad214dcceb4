<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { queries, takePlan } from '../api/queries'
import { type Axis, clampPercent, ticks, toMinute, toPercent } from '../lib/strip'
import { grams, levelText } from '../lib/time'
import Strip from '../parts/Strip.vue'
import Swatch from '../parts/Swatch.vue'
import Wait from '../parts/Wait.vue'
import { useActs } from '../stores/acts'
import { useNotices } from '../stores/notices'
import { usePlan } from '../stores/plan'

const route = useRoute()
const router = useRouter()
const id = String(route.params.id)
const client = useQueryClient()
const notices = useNotices()
const acts = useActs(id)
const service = useQuery(queries.service(id))
const saved = useQuery(queries.plan(id))
const shelf = useQuery(queries.shelf())
const isBusy = ref(false)
const isLocked = computed(() => service.data.value?.step !== 'plan')
const { shown, problem, choice, ...plan } = usePlan(id, isLocked)
watch(saved.data, (p) => p && plan.accept(p), { immediate: true })

const lanes = computed(() => shown.value?.lanes ?? [])
const axis = computed<Axis>(() => ({
  from: 0,
  to: Math.max(...lanes.value.map((l) => l.wall_min), shown.value?.finish_most_min ?? 60, 30) + 4,
}))
const marks = computed(() => ticks(axis.value, 13))
const field = ref<HTMLElement | null>(null)
const drag = (event: PointerEvent) => {
  const box = field.value?.getBoundingClientRect()
  if (box && !isLocked.value) plan.setFinish(toMinute(axis.value, (event.clientX - box.left) / box.width))
}
const startDrag = (event: PointerEvent) => {
  if (isLocked.value) return
  const handle = event.currentTarget as HTMLElement
  handle.setPointerCapture(event.pointerId)
  handle.addEventListener('pointermove', drag)
  handle.addEventListener(
    'pointerup',
    () => {
      handle.removeEventListener('pointermove', drag)
      void plan.keep()
    },
    { once: true },
  )
}
const keyFinish = (event: KeyboardEvent) => {
  const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -5, PageUp: 5 }[event.key]
  if (!by) return
  event.preventDefault()
  plan.nudge(by)
}
const take = async () => {
  isBusy.value = true
  try {
    await plan.keep()
    if (problem.value) return
    client.setQueryData(['board', id], await takePlan(id))
    await acts.refresh()
    await router.push({ name: 'chair', params: { id } })
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const lightener = computed(() => shelf.data.value?.lighteners.find((l) => l.key === choice.value.lightener))
const short = computed(() => lanes.value.filter((l) => l.reason))
const pours = (bowl: Schemas['BowlOut']) =>
  bowl.pours.map((p) => `${grams(p.mass_g)} g of ${p.volume_strength} vol`).join(' + ')
const totalG = computed(() => (shown.value?.bowls ?? []).reduce((sum, b) => sum + b.total_g, 0))
const readyText = (lane: Schemas['PlanLane']) => {
  const { early, likely, late } = lane.ready_min
  if (early === null) return 'not reached'
  const to = late === null || late > lane.wall_min ? 'or not by the wall' : `to ${late.toFixed(0)}`
  return `ready ${early.toFixed(0)} ${to}${likely === null ? '' : `, likely ${likely.toFixed(0)}`} min`
}
const print = () => window.print()
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-3 pb-28 sm:px-6">
    <h1 class="sr-only">Plan</h1>
    <Wait
      v-if="!shown"
      :is-loading="saved.isLoading.value"
      :error="saved.error.value"
      what="The plan"
      @retry="saved.refetch()"
    />
    <template v-else>
      <div class="mb-3 flex flex-wrap items-end gap-x-5 gap-y-2">
        <div class="w-72 max-w-full">
          <label class="label" for="lightener">Lightener</label>
          <select
            id="lightener"
            :value="choice.lightener"
            class="field"
            :disabled="isLocked"
            @change="(e) => plan.change({ lightener: (e.target as HTMLSelectElement).value })"
          >
            <option v-for="l in shelf.data.value?.lighteners ?? []" :key="l.key" :value="l.key">{{ l.name }}</option>
          </select>
        </div>
        <p v-if="lightener" class="pb-2 text-sm text-soft">
          1 : {{ lightener.developer_parts }} · label {{ lightener.label_max_min }} min · bowl
          {{ lightener.bowl_life_min }} min<br />
          up to {{ lightener.max_volume }} vol, {{ lightener.max_volume_on_scalp }} on the scalp
        </p>
        <label class="flex min-h-12 items-center gap-3"
          ><input
            :checked="choice.additive"
            type="checkbox"
            class="size-6"
            :disabled="isLocked"
            @change="(e) => plan.change({ additive: (e.target as HTMLInputElement).checked })"
          />
          Bond additive</label
        >
        <p class="grow text-right">
          <span class="block text-sm text-soft">Finish line</span>
          <span class="num text-[34px] leading-none">{{ shown.finish_min.toFixed(0) }}</span> min
          <span class="text-soft">{{ shown.is_proposed_finish ? 'proposed' : 'yours' }}</span>
        </p>
        <button
          v-if="!isLocked"
          type="button"
          class="btn"
          :disabled="shown.is_proposed_finish && Object.keys(choice.volumes).length === 0"
          @click="plan.proposeAll()"
        >
          Propose all anew
        </button>
      </div>
      <p v-if="problem" class="mb-3 rounded-[5px] bg-stop px-4 py-3 font-semibold text-stop-ink" role="alert">
        {{ problem }}
      </p>

      <section class="panel !px-0 !py-2" aria-label="Zones in order of application">
        <div class="relative">
          <div class="plan-row px-4 text-sm text-soft">
            <span class="hidden md:block">Order of application</span>
            <div ref="field" class="relative h-7">
              <span
                v-for="m in marks"
                :key="m"
                class="num absolute bottom-0 -translate-x-1/2 text-[15px]"
                :style="{ left: `${toPercent(axis, m)}%` }"
                >{{ m }}</span
              >
            </div>
            <span class="hidden text-right md:block">at the rinse</span>
          </div>
          <div v-for="(lane, i) in lanes" :key="lane.key" class="plan-row border-t border-line px-4 py-1">
            <div class="flex min-w-0 items-center gap-2">
              <div class="flex flex-col">
                <button
                  type="button"
                  class="h-6 w-9 text-soft hover:text-ink disabled:opacity-30"
                  :disabled="i === 0 || isLocked"
                  :aria-label="`${lane.name} earlier`"
                  @click="plan.move(i, -1)"
                >
                  ▲
                </button>
                <button
                  type="button"
                  class="h-6 w-9 text-soft hover:text-ink disabled:opacity-30"
                  :disabled="i === lanes.length - 1 || isLocked"
                  :aria-label="`${lane.name} later`"
                  @click="plan.move(i, 1)"
                >
                  ▼
                </button>
              </div>
              <div class="min-w-0 grow">
                <p class="narrow truncate text-[17px] font-semibold">{{ lane.name }}</p>
                <p class="num text-[15px] text-soft">
                  {{ levelText(lane.start_level) }} → {{ levelText(lane.target_level) }}
                </p>
              </div>
              <div class="flex items-center">
                <button
                  type="button"
                  class="btn !min-h-11 !px-3"
                  :disabled="isLocked || lane.volume_strength <= 1"
                  :aria-label="`${lane.name}: weaker developer`"
                  @click="plan.setVolume(lane, -1)"
                >
                  −
                </button>
                <span class="w-[58px] text-center leading-none">
                  <span class="num text-[23px]">{{ levelText(lane.volume_strength) }}</span><span
                    class="block text-[11px] text-soft"
                    >{{ lane.is_own_volume ? 'vol, yours' : 'vol' }}</span
                  >
                </span>
                <button
                  type="button"
                  class="btn !min-h-11 !px-3"
                  :disabled="isLocked || lane.volume_strength >= lane.strongest_volume"
                  :aria-label="`${lane.name}: stronger developer`"
                  @click="plan.setVolume(lane, 1)"
                >
                  +
                </button>
              </div>
            </div>
            <Strip
              class="h-[50px]"
              :axis="axis"
              :zero="lane.end_min"
              :points="lane.curve"
              :apply-from="lane.start_min"
              :end="lane.wall_min"
              :now="lane.rinse_min"
              has-now-line
              :wall="lane.wall_min"
              :window="lane.ready_min"
              :crossings="lane.crossings"
              :label="`${lane.name}: applied ${lane.start_min.toFixed(0)} to ${lane.end_min.toFixed(0)}, ${readyText(lane)}, rinsed at ${lane.rinse_min.toFixed(0)}, label's time ends at ${lane.wall_min.toFixed(0)} min`"
            />
            <div class="flex items-center gap-3">
              <Swatch
                :now="lane.hex_at_rinse"
                :target="lane.hex_target"
                :label="`Left at the rinse ${lane.level_at_rinse.toFixed(1)}, right wanted ${lane.target_level}`"
              />
              <p class="leading-tight">
                <span class="num text-[23px]">{{ lane.level_at_rinse.toFixed(1) }}</span><span
                  class="block text-[13px] text-soft"
                  >{{
                    lane.reason
                      ? 'stops short'
                      : lane.rinse_min < shown.finish_min
                        ? `rinse ${lane.rinse_min.toFixed(0)}`
                        : 'on the line'
                  }}</span
                >
              </p>
            </div>
          </div>
          <div class="plan-row pointer-events-none absolute inset-0 !items-stretch px-4">
            <span class="hidden md:block" />
            <div class="relative">
              <div
                class="pointer-events-auto absolute top-0 z-10 h-9 w-12 -translate-x-1/2 touch-none md:h-full"
                :class="isLocked ? 'cursor-default' : 'cursor-ew-resize'"
                role="slider"
                :tabindex="isLocked ? -1 : 0"
                aria-label="Finish line"
                :aria-valuemin="shown.finish_least_min"
                :aria-valuemax="shown.finish_most_min"
                :aria-valuenow="shown.finish_min"
                :aria-valuetext="`${shown.finish_min.toFixed(0)} min after the first product`"
                :aria-disabled="isLocked"
                :style="{ left: `${clampPercent(toPercent(axis, shown.finish_min))}%` }"
                @pointerdown="startDrag"
                @keydown="keyFinish"
              >
                <span class="absolute inset-y-0 left-1/2 hidden w-[3px] -translate-x-1/2 bg-signal md:block" />
                <span
                  class="absolute top-0 left-1/2 flex h-7 -translate-x-1/2 items-center rounded-[5px] bg-signal px-2 text-sm font-bold whitespace-nowrap text-signal-ink"
                  >⇔ {{ shown.finish_min.toFixed(0) }}</span
                >
              </div>
            </div>
            <span class="hidden md:block" />
          </div>
        </div>
      </section>

      <ul v-if="short.length" class="mt-3 flex flex-col gap-1.5">
        <li v-for="lane in short" :key="lane.key" class="rounded-[5px] border-l-[8px] border-ink bg-panel px-4 py-2">
          <strong>{{ lane.name }}</strong> reaches {{ lane.level_at_rinse.toFixed(1) }} of
          {{ levelText(lane.target_level) }}. {{ lane.reason }}
        </li>
      </ul>

      <section class="panel mt-4" aria-labelledby="mixing">
        <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
          <h2 id="mixing" class="grow text-xl">Mixing list</h2>
          <p class="text-soft">
            {{ shown.bowls.length }} bowls · {{ totalG.toFixed(0) }} g in all, {{ shown.lightener_g.toFixed(0) }} g of
            it lightener
          </p>
          <button type="button" class="btn no-print" @click="print">Print</button>
        </div>
        <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Mixing list table">
          <table class="w-full min-w-[640px] text-left">
            <thead class="text-sm text-soft">
              <tr>
                <th scope="col" class="py-1 font-semibold">At min</th>
                <th scope="col" class="font-semibold">For</th>
                <th scope="col" class="font-semibold">Lightener</th>
                <th scope="col" class="font-semibold">Developer</th>
                <th scope="col" class="font-semibold">Makes</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="b in shown.bowls" :key="b.zone_key + b.number" class="border-t border-line">
                <td class="num py-2 pr-4 text-lg">{{ b.mix_min.toFixed(0) }}</td>
                <td class="pr-4 font-semibold">
                  {{ b.zone_name }}<span v-if="b.number > 1" class="font-normal text-soft"> again</span>
                </td>
                <td class="pr-4">
                  <span class="num text-lg">{{ grams(b.lightener_g) }}</span> g
                </td>
                <td class="pr-4">{{ pours(b) }}</td>
                <td>
                  <span class="num text-lg">{{ grams(b.total_g) }}</span> g at {{ levelText(b.volume_strength) }} vol
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
      <p class="mt-3 text-sm text-soft">
        Times count from the first product on hair. The label and the strand outrank the plan: gloves, fresh air, powder
        folded in without dust.
      </p>
      <div class="no-print fixed inset-x-0 bottom-0 z-20 border-t border-line bg-ground px-4 py-3 sm:px-6">
        <div class="mx-auto flex max-w-[1320px] items-center gap-4">
          <button type="button" class="btn" :disabled="!plan.canUndo.value" @click="plan.undo()">Undo</button>
          <p class="hidden grow text-soft sm:block">
            {{
              short.length
                ? `${short.length} of ${lanes.length} zones stop short of the wish`
                : 'Every zone is planned to its level; the brackets show how sure that is'
            }}
          </p>
          <button
            v-if="!isLocked"
            type="button"
            class="btn btn-act ml-auto px-8 text-lg whitespace-nowrap"
            :disabled="isBusy || lanes.length === 0"
            @click="take"
          >
            To the chair
          </button>
          <RouterLink
            v-else
            class="btn btn-act ml-auto px-8 text-lg whitespace-nowrap"
            :to="{ name: 'service', params: { id } }"
            >Where it stands now</RouterLink
          >
        </div>
      </div>
    </template>
  </main>
</template>

<style scoped>
.plan-row {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-items: center;
  gap: 0 16px;
}
@media (min-width: 768px) {
  .plan-row {
    grid-template-columns: 318px minmax(0, 1fr) 128px;
  }
}
</style>
