<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { RouterLink, RouterView, useRoute } from 'vue-router'
import { queries } from '../api/queries'
import { levelText } from '../lib/time'
import StepStrand from '../parts/StepStrand.vue'
import Wait from '../parts/Wait.vue'
import { useClock } from '../stores/clock'

/** Frame of every step of one service: who, from where to where, and the steps as a strand. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const query = useQuery(computed(() => queries.service(id.value)))
const clock = useClock()
watch(query.data, (s) => s && clock.learn(s.server_now))
const span = computed(() => {
  const zones = query.data.value?.zones ?? []
  if (zones.length === 0) return ''
  const worked = zones.filter((z) => !z.keeps_depth)
  const from = Math.min(...(worked.length ? worked : zones).flatMap((z) => [z.start_level, z.root?.start_level ?? 10]))
  const to = Math.max(...zones.map((z) => z.target_level))
  return `level ${levelText(from)} to ${levelText(to)}, ${query.data.value?.tone}`
})
</script>

<template>
  <Wait
    v-if="!query.data.value"
    :is-loading="query.isLoading.value"
    :error="query.error.value"
    what="This service"
    @retry="query.refetch()"
  />
  <template v-else>
    <section
      aria-label="This service"
      class="no-print flex flex-col gap-x-8 gap-y-1 px-4 sm:px-6 lg:flex-row lg:items-end"
    >
      <p class="min-w-0 shrink-0">
        <RouterLink
          :to="{ name: 'client', params: { id: query.data.value.client_id } }"
          class="text-[22px] font-bold hover:underline"
          style="font-stretch: 108%"
          >{{ query.data.value.client_name }}</RouterLink
        >
        <span class="ml-3 text-soft">{{ span }}</span>
      </p>
      <StepStrand
        class="lg:ml-auto lg:max-w-[640px]"
        :service-id="query.data.value.id"
        :step="query.data.value.step"
        :from-hex="query.data.value.zones[0]?.start_hex ?? 'var(--line-strong)'"
        :to-hex="query.data.value.zones[0]?.target_hex ?? 'var(--line-strong)'"
      />
    </section>
    <RouterView :key="route.fullPath" />
  </template>
</template>
