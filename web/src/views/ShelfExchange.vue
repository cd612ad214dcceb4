<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { bringShelfIn, previewShelf, takeShelfOut } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { readText, saveText } from '../lib/files'
import TablePreview from '../parts/TablePreview.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

/** The shelf out and in: a table for a spreadsheet, or a file for another studio. */
defineProps<{ isEmpty: boolean }>()
const MOST_BYTES = 1_500_000
const client = useQueryClient()
const notices = useNotices()
const isBusy = ref(false)
const text = ref('')
const preview = ref<Schemas['ShelfPreview'] | null>(null)
const run = async (does: () => Promise<void>) => {
  isBusy.value = true
  try {
    await does()
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const save = (form: 'csv' | 'file') =>
  run(async () => {
    const found = await takeShelfOut(form)
    if (form === 'csv') saveText('shelf.csv', found.text, 'text/csv')
    else saveText('shelf.json', found.text, 'application/json')
  })
const look = (event: Event) =>
  run(async () => {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    text.value = await readText(file, MOST_BYTES)
    preview.value = await previewShelf(text.value)
  })
const take = () =>
  run(async () => {
    const taken = await bringShelfIn(text.value)
    preview.value = null
    await client.invalidateQueries()
    notices.say($t('shelfExchange.productsStandOnTheShelf', { products: taken.products }))
  })
</script>

<template>
  <section class="panel mb-4" :aria-label="$t('shelfExchange.theShelfOutAndIn')">
    <p v-if="isEmpty" class="mb-3 text-lg">
      {{ $t('shelfExchange.nothingStandsHereYetBring') }}
    </p>
    <div class="flex flex-wrap items-center gap-2">
      <label class="btn" :class="{ 'btn-act': isEmpty }"
        >{{ isBusy ? $t('common.reading') : $t('shelfExchange.bringATableOrA')
        }}<input
          type="file"
          accept=".csv,.json,text/csv,application/json"
          class="sr-only"
          :disabled="isBusy"
          @change="look"
      /></label>
      <button type="button" class="btn" :disabled="isBusy" @click="save('csv')">
        {{ isEmpty ? $t('shelfExchange.saveAnEmptyTableTo') : $t('shelfExchange.saveAsATableCsv') }}
      </button>
      <button v-if="!isEmpty" type="button" class="btn" :disabled="isBusy" @click="save('file')">
        {{ $t('shelfExchange.saveForAnotherStudio') }}
      </button>
    </div>
    <TablePreview
      v-if="preview"
      :preview="preview"
      :what="$t('shelfExchange.products')"
      :is-busy="isBusy"
      @take="take"
      @leave="preview = null"
    />
  </section>
</template>
