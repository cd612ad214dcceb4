<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../api/queries'
import AuditTrail from './AuditTrail.vue'
import CardPanel from './CardPanel.vue'
import Exchange from './Exchange.vue'
import Links from './Links.vue'
import Members from './Members.vue'
import StudioSettings from './StudioSettings.vue'

/** The studio: its settings, its people, its secret links, what goes out and comes in, who did what. */
const session = useQuery(queries.session())
const isOwner = computed(() => session.data.value?.role === 'owner')
const isLead = computed(() => isOwner.value || session.data.value?.role === 'technician')
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-2 pb-24 sm:px-6">
    <h1 class="mb-4 text-[34px] leading-tight">{{ $t('common.studio') }}</h1>
    <p v-if="!isOwner" class="mb-4 text-soft">{{ $t('studio.membersSettingsTheArchiveAnd') }}</p>
    <div class="grid items-start gap-4 lg:grid-cols-2">
      <div class="grid gap-4">
        <StudioSettings :is-locked="!isOwner" />
        <Exchange :is-lead="isLead" :is-owner="isOwner" />
      </div>
      <div class="grid gap-4">
        <Members :is-locked="!isOwner" />
        <CardPanel :is-locked="!isLead" />
        <Links :is-locked="!isLead" />
      </div>
      <AuditTrail v-if="isOwner" class="lg:col-span-2" />
    </div>
  </main>
</template>
