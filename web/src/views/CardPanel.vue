<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { camera, forgetCard, measureCard } from '../api/camera'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'
import { dayText } from '../lib/time'

/** The card for reading hair by camera: printed here, measured once. */
defineProps<{ isLocked: boolean }>()
const query = useQuery(camera.card())
const client = useQueryClient()
const notices = useNotices()
const card = computed(() => query.data.value)
const forget = async () => {
  try {
    client.setQueryData(['card'], await forgetCard())
    notices.say($t('cardPanel.theCardIsTakenAs'))
  } catch (error) {
    notices.fail(error)
  }
}
const measure = async (event: Event) => {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    client.setQueryData(['card'], await measureCard(await file.text()))
    notices.say($t('cardPanel.theCardIsKnownBy'), () => void forget())
  } catch (error) {
    notices.fail(error)
  }
}
const date = (at: string) => dayText(at, { day: 'numeric', month: 'long', year: 'numeric' })
</script>

<template>
  <section class="panel" aria-labelledby="card">
    <h2 id="card" class="mb-1 text-xl">{{ $t('cardPanel.card') }}</h2>
    <p class="mb-3">
      {{ $t('cardPanel.aPhoneOrTabletReads') }}
    </p>
    <div v-if="card" class="mb-3 flex h-10 overflow-hidden rounded-[3px]" aria-hidden="true">
      <span v-for="p in card.patches" :key="p.name" class="grow" :style="{ background: p.hex }" />
    </div>
    <p class="mb-3 flex flex-wrap gap-2">
      <a class="btn" href="/api/card.pdf?paper=a5" target="_blank" rel="noopener">{{ $t('cardPanel.printA5') }}</a>
      <a class="btn" href="/api/card.pdf?paper=letter_half" target="_blank" rel="noopener">{{
        $t('cardPanel.printHalfLetter')
      }}</a>
    </p>
    <p v-if="card" class="mb-3 text-soft">
      <template v-if="card.is_measured && card.measured_at">{{
        $t('cardPanel.measuredOnPicturesAreRead', { measured_at: date(card.measured_at) })
      }}</template><template v-else>{{ $t('cardPanel.asPrintedNoTwoPrinters') }}</template>
    </p>
    <div v-if="!isLocked" class="flex flex-wrap gap-2">
      <label class="btn relative cursor-pointer"
        >{{ $t('cardPanel.bringInMeasurementsCgats')
        }}<input
          type="file"
          accept=".txt,.cgats,.it8,text/plain"
          class="absolute inset-0 cursor-pointer opacity-0"
          @change="measure"
      /></label>
      <button v-if="card?.is_measured" type="button" class="btn" @click="forget">
        {{ $t('cardPanel.takeItAsPrinted') }}
      </button>
    </div>
  </section>
</template>
