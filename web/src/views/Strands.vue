<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useRoute } from 'vue-router'
import { queries } from '../api/queries'
import Wait from '../parts/Wait.vue'
import StrandBench from './StrandBench.vue'

const route = useRoute()
const id = String(route.params.id)
const service = useQuery(queries.service(id))
const shelf = useQuery(queries.shelf())
const natural = useQuery(queries.palette(null))
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-4 pb-28 sm:px-6">
    <StrandBench
      v-if="service.data.value && shelf.data.value && natural.data.value"
      :service="service.data.value"
      :shelf="shelf.data.value"
      :natural="natural.data.value"
    />
    <Wait
      v-else
      :is-loading="service.isLoading.value || shelf.isLoading.value"
      :error="service.error.value ?? shelf.error.value"
      :what="$t('strands.theBench')"
      @retry="service.refetch()"
    />
  </main>
</template>
