<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, onBeforeUnmount, watch } from 'vue'
import { RouterLink, RouterView, useRoute } from 'vue-router'
import { queries } from '../api/queries'
import { levelText } from '../lib/time'
import StepStrand from '../parts/StepStrand.vue'
import PracticeBar from '../parts/PracticeBar.vue'
import Wait from '../parts/Wait.vue'
import { useLine } from '../stores/line'
import { usePractice } from '../stores/practice'
import { $t } from '../lib/i18n'
import { toneName } from '../lib/words'

/** Frame of every step of one service: who, from where to where, and the steps as a strand. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const query = useQuery(computed(() => queries.service(id.value)))
const line = useLine()
watch(id, (now) => line.follow(now), { immediate: true })
const practice = usePractice()
onBeforeUnmount(() => {
  line.follow(null)
  practice.follow(null)
})
const board = useQuery(computed(() => ({ ...queries.board(id.value), enabled: query.failureCount.value > 0 })))
const isPractice = computed(() => query.data.value?.is_practice ?? board.data.value?.is_practice ?? false)
watch([id, isPractice], ([now, is]) => practice.follow(is ? now : null), { immediate: true })
/** What the frame shows; without an answer from the server it is taken from the chair last seen. */
const frame = computed(() => {
  const service = query.data.value
  if (service)
    return {
      client_id: service.is_practice ? null : service.client_id,
      client_name: service.client_name,
      step: service.step,
      from_hex: service.zones[0]?.start_hex,
      to_hex: service.zones[0]?.target_hex,
    }
  const kept = query.failureCount.value > 0 ? board.data.value : undefined
  if (!kept) return null
  const lane = kept.board.lanes[0]
  return {
    client_id: null,
    client_name: kept.client_name,
    step: kept.step,
    from_hex: lane?.curve[0]?.hex,
    to_hex: lane?.hex_target,
  }
})
const span = computed(() => {
  const zones = query.data.value?.zones ?? []
  if (zones.length === 0) return ''
  const worked = zones.filter((z) => !z.keeps_depth || z.pieces?.target_level)
  const told = (worked.length ? worked : zones).flatMap((z) => [z, ...z.parts, ...(z.pieces ? [z.pieces] : [])])
  const from = Math.min(...told.map((h) => h.start_level))
  const to = Math.max(...told.map((h) => h.target_level ?? 0))
  const levels = from === to ? levelText(from) : $t('service.to', { from: levelText(from), to: levelText(to) })
  return $t('service.level', { levels, tone: toneName(query.data.value?.tone ?? '') })
})
</script>

<template>
  <Wait
    v-if="!frame"
    :is-loading="query.isLoading.value"
    :error="query.error.value"
    :what="$t('service.thisService')"
    @retry="query.refetch()"
  />
  <template v-else>
    <section
      :aria-label="$t('service.thisService')"
      class="no-print flex flex-col gap-x-8 gap-y-1 px-4 sm:px-6 lg:flex-row lg:items-end"
    >
      <p class="min-w-0 shrink-0">
        <RouterLink
          v-if="frame.client_id"
          :to="{ name: 'client', params: { id: frame.client_id } }"
          class="text-[22px] font-bold hover:underline"
          style="font-stretch: 108%"
          >{{ frame.client_name }}</RouterLink
        >
        <span v-else class="text-[22px] font-bold" style="font-stretch: 108%">{{ frame.client_name }}</span>
        <span class="ms-3 text-soft">{{ span }}</span>
      </p>
      <StepStrand
        class="lg:ms-auto lg:max-w-[640px]"
        :service-id="id"
        :step="frame.step"
        :kind="query.data.value?.kind"
        :from-hex="frame.from_hex ?? 'var(--line-strong)'"
        :to-hex="frame.to_hex ?? 'var(--line-strong)'"
      />
    </section>
    <PracticeBar v-if="isPractice" class="has-bar" :key="id" :service-id="id" />
    <RouterView :key="route.fullPath" />
  </template>
</template>
