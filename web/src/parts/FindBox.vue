<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { afterwards } from '../api/afterwards'
import { dayText } from '../lib/time'

/** Finding a client or a service by a few letters of the name or the wish. */
const typed = ref('')
const text = ref('')
let later: number | undefined
watch(typed, (t) => {
  window.clearTimeout(later)
  later = window.setTimeout(() => (text.value = t.trim()), 150)
})
const isAsked = computed(() => text.value.length >= 2)
const query = useQuery(computed(() => ({ ...afterwards.search(text), enabled: isAsked.value })))
const found = computed(() => (isAsked.value ? query.data.value : undefined))
const date = (at: string) => dayText(at, { day: 'numeric', month: 'short', year: 'numeric' })
</script>

<template>
  <div class="relative">
    <label class="sr-only" for="find">{{ $t('findBox.findAClientOrA') }}</label>
    <input
      id="find"
      v-model="typed"
      class="field w-full"
      type="search"
      autocomplete="off"
      :placeholder="$t('findBox.findAClientOrA2')"
      @keydown.esc="typed = ''"
    />
    <div
      v-if="found"
      class="absolute end-0 z-30 mt-1 max-h-[70dvh] w-[min(92vw,460px)] overflow-y-auto rounded-[7px] border border-line bg-raised p-2 shadow-lg"
      role="region"
      :aria-label="$t('findBox.found')"
    >
      <p v-if="found.clients.length === 0 && found.services.length === 0" class="p-2 text-soft">
        {{ $t('findBox.nothingHasInItsName', { text }) }}
      </p>
      <ul v-if="found.clients.length">
        <li v-for="c in found.clients" :key="c.id">
          <RouterLink
            class="flex min-h-12 items-center rounded-[4px] px-2 font-semibold hover:bg-panel"
            :to="{ name: 'client', params: { id: c.id } }"
            >{{ c.name }}</RouterLink
          >
        </li>
      </ul>
      <template v-if="found.services.length">
        <p class="label mt-2 px-2">{{ $t('findBox.services') }}</p>
        <ul>
          <li v-for="s in found.services" :key="s.id">
            <RouterLink
              class="flex min-h-12 flex-col justify-center rounded-[4px] px-2 py-1 leading-tight hover:bg-panel"
              :to="{ name: 'service', params: { id: s.id } }"
              ><span
                ><span class="num">{{ date(s.starts_at) }}</span> {{ s.client_name }}</span
              ><span class="truncate text-sm text-soft">{{ s.wish }}</span></RouterLink
            >
          </li>
        </ul>
      </template>
    </div>
  </div>
</template>
