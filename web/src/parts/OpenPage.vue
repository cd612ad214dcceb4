<script setup lang="ts">
import { changeLanguage } from '../lib/i18n'
import LanguageChoice from './LanguageChoice.vue'
import Logo from './Logo.vue'

/** A page for who is not signed in: the mark, one thing to do, and what outranks all. */
defineProps<{ title: string }>()
</script>

<template>
  <main id="main" class="mx-auto flex min-h-dvh max-w-xl flex-col justify-center p-6">
    <Logo class="!size-14" />
    <h1 class="mt-4 text-4xl" style="font-stretch: 118%">{{ title }}</h1>
    <slot />
    <LanguageChoice class="mt-8" @update:model-value="changeLanguage" />
    <p class="mt-10 text-sm text-soft">
      {{ $t('common.forProfessionalUseTheProduct') }}
    </p>
  </main>
</template>
