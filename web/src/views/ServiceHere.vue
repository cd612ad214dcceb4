<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { queries } from '../api/queries'

/** Opens a service at the step where it stands. */
const route = useRoute()
const router = useRouter()
const query = useQuery(queries.service(String(route.params.id)))
watch(query.data, (s) => s && router.replace({ name: s.step, params: { id: s.id } }), { immediate: true })
</script>

<template>
  <main id="main">
    <h1 class="sr-only">{{ $t('serviceHere.openingTheService') }}</h1>
  </main>
</template>
