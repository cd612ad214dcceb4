<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { previewClients, readClientsCsv, takeArchive, takeClients } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { readText, saveText } from '../lib/files'
import TablePreview from '../parts/TablePreview.vue'
import { useNotices } from '../stores/notices'

/** What goes out and comes in: clients as a table, the whole studio as an archive. */
defineProps<{ isLead: boolean; isOwner: boolean }>()
const MOST_BYTES = 1_500_000
const client = useQueryClient()
const notices = useNotices()
const isBusy = ref('')
const text = ref('')
const preview = ref<Schemas['PreviewOut'] | null>(null)
const run = async (what: string, does: () => Promise<void>) => {
  isBusy.value = what
  try {
    await does()
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = ''
  }
}
const save = () =>
  run('out', async () => {
    saveText('clients.csv', (await readClientsCsv()).text, 'text/csv')
  })
const look = (event: Event) =>
  run('look', async () => {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    text.value = await readText(file, MOST_BYTES)
    preview.value = await previewClients(text.value)
  })
const take = () =>
  run('in', async () => {
    const taken = await takeClients(text.value)
    preview.value = null
    await client.invalidateQueries()
    notices.say(`${taken.clients} clients brought in.`)
  })
const bring = (event: Event) =>
  run('archive', async () => {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    const taken = await takeArchive(file)
    await client.invalidateQueries()
    notices.say(`The studio is here: ${taken.clients} clients, ${taken.services} services, ${taken.photos} photos.`)
  })
</script>

<template>
  <section class="panel" aria-labelledby="exchange">
    <h2 id="exchange" class="text-xl">Out and in</h2>
    <template v-if="isLead">
      <h3 class="label mt-2">Clients as a table</h3>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="btn" :disabled="isBusy !== ''" @click="save">Save as CSV</button>
        <label class="btn"
          >{{ isBusy === 'look' ? 'Reading …' : 'Look into a CSV'
          }}<input type="file" accept=".csv,text/csv" class="sr-only" :disabled="isBusy !== ''" @change="look"
        /></label>
      </div>
      <TablePreview
        v-if="preview"
        :preview="preview"
        what="clients"
        :is-busy="isBusy !== ''"
        @take="take"
        @leave="preview = null"
      />
    </template>
    <template v-if="isOwner">
      <h3 class="label mt-4">The whole studio</h3>
      <p class="text-[15px] text-soft">
        Everything in one file: settings, members, shelf, clients, services with their logs, photos. It comes back into
        an empty studio, the same.
      </p>
      <div class="mt-2 flex flex-wrap gap-2">
        <a class="btn" href="/api/archive" download>Take it out</a>
        <label class="btn"
          >{{ isBusy === 'archive' ? 'Bringing it in …' : 'Bring one in'
          }}<input type="file" accept=".zip,application/zip" class="sr-only" :disabled="isBusy !== ''" @change="bring"
        /></label>
      </div>
    </template>
    <p v-if="!isLead" class="mt-2 text-soft">Ask a technician to take tables out or in.</p>
  </section>
</template>
