<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { previewClients, readClientsCsv, takeArchive, takeClients } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { readText, saveText } from '../lib/files'
import TablePreview from '../parts/TablePreview.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

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
    notices.say($t('exchange.clientsBroughtIn', { clients: taken.clients }))
  })
const bring = (event: Event) =>
  run('archive', async () => {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    const taken = await takeArchive(file)
    await client.invalidateQueries()
    notices.say(
      $t('exchange.theStudioIsHereClients', { clients: taken.clients, services: taken.services, photos: taken.photos }),
    )
  })
</script>

<template>
  <section class="panel" aria-labelledby="exchange">
    <h2 id="exchange" class="text-xl">{{ $t('exchange.outAndIn') }}</h2>
    <template v-if="isLead">
      <h3 class="label mt-2">{{ $t('exchange.clientsAsATable') }}</h3>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="btn" :disabled="isBusy !== ''" @click="save">{{ $t('common.saveAsCsv') }}</button>
        <label class="btn"
          >{{ isBusy === 'look' ? $t('common.reading') : $t('exchange.lookIntoACsv')
          }}<input type="file" accept=".csv,text/csv" class="sr-only" :disabled="isBusy !== ''" @change="look"
        /></label>
      </div>
      <TablePreview
        v-if="preview"
        :preview="preview"
        :what="$t('exchange.clients')"
        :is-busy="isBusy !== ''"
        @take="take"
        @leave="preview = null"
      />
    </template>
    <template v-if="isOwner">
      <h3 class="label mt-4">{{ $t('exchange.theWholeStudio') }}</h3>
      <p class="text-[15px] text-soft">
        {{ $t('exchange.everythingInOneFileSettings') }}
      </p>
      <div class="mt-2 flex flex-wrap gap-2">
        <a class="btn" href="/api/archive" download>{{ $t('exchange.takeItOut') }}</a>
        <label class="btn"
          >{{ isBusy === 'archive' ? $t('exchange.bringingItIn') : $t('exchange.bringOneIn')
          }}<input type="file" accept=".zip,application/zip" class="sr-only" :disabled="isBusy !== ''" @change="bring"
        /></label>
      </div>
    </template>
    <p v-if="!isLead" class="mt-2 text-soft">{{ $t('exchange.askATechnicianToTake') }}</p>
  </section>
</template>
