<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { camera, forgetCard, measureCard } from '../api/camera'
import { useNotices } from '../stores/notices'

/** The card for reading hair by camera: printed here, measured once. */
defineProps<{ isLocked: boolean }>()
const query = useQuery(camera.card())
const client = useQueryClient()
const notices = useNotices()
const card = computed(() => query.data.value)
const forget = async () => {
  try {
    client.setQueryData(['card'], await forgetCard())
    notices.say('The card is taken as printed.')
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
    notices.say('The card is known by its measurements.', () => void forget())
  } catch (error) {
    notices.fail(error)
  }
}
const date = (at: string) =>
  new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })
</script>

<template>
  <section class="panel" aria-labelledby="card">
    <h2 id="card" class="mb-1 text-xl">Card</h2>
    <p class="mb-3">
      A phone or tablet reads hair as an instrument would. Print the card at its true size, lay the wiped strand along
      its window, and take the picture at the chair.
    </p>
    <div v-if="card" class="mb-3 flex h-10 overflow-hidden rounded-[3px]" aria-hidden="true">
      <span v-for="p in card.patches" :key="p.name" class="grow" :style="{ background: p.hex }" />
    </div>
    <p class="mb-3 flex flex-wrap gap-2">
      <a class="btn" href="/api/card.pdf?paper=a5" target="_blank" rel="noopener">Print A5</a>
      <a class="btn" href="/api/card.pdf?paper=letter_half" target="_blank" rel="noopener">Print half Letter</a>
    </p>
    <p v-if="card" class="mb-3 text-soft">
      <template v-if="card.is_measured && card.measured_at"
        >Measured on {{ date(card.measured_at) }}: pictures are read to a quarter of a level.</template
      ><template v-else
        >As printed: no two printers agree, so its readings count for less. Measure every patch once with a colour
        reader, G1 to G9 and C1 to C12, and bring the file in. A bought chart laid on the patches does as
        well.</template
      >
    </p>
    <div v-if="!isLocked" class="flex flex-wrap gap-2">
      <label class="btn relative cursor-pointer"
        >Bring in measurements (CGATS)<input
          type="file"
          accept=".txt,.cgats,.it8,text/plain"
          class="absolute inset-0 cursor-pointer opacity-0"
          @change="measure"
      /></label>
      <button v-if="card?.is_measured" type="button" class="btn" @click="forget">Take it as printed</button>
    </div>
  </section>
</template>
