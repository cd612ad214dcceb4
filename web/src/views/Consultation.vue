<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useRoute } from 'vue-router'
import { queries } from '../api/queries'
import ConsultationForm from './ConsultationForm.vue'

const route = useRoute()
const id = String(route.params.id)
const service = useQuery(queries.service(id))
const head = useQuery(queries.head())
const natural = useQuery(queries.palette(null))
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-4 pb-28 sm:px-6">
    <h1 class="sr-only">{{ $t('common.consultation') }}</h1>
    <ConsultationForm
      v-if="service.data.value && head.data.value && natural.data.value"
      :service="service.data.value"
      :head="head.data.value"
      :natural="natural.data.value"
    />
  </main>
</template>
