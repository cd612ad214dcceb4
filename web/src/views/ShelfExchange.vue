<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { bringShelfIn, previewShelf, takeShelfOut } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { readText, saveText } from '../lib/files'
import TablePreview from '../parts/TablePreview.vue'
import { useNotices } from '../stores/notices'

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
    notices.say(`${taken.products} products stand on the shelf now.`)
  })
</script>

<template>
  <section class="panel mb-4" aria-label="The shelf out and in">
    <p v-if="isEmpty" class="mb-3 text-lg">
      Nothing stands here yet. Bring a table or another studio's file in, or add products one by one below: a lightener,
      your developers, then the shades you tone with.
    </p>
    <div class="flex flex-wrap items-center gap-2">
      <label class="btn" :class="{ 'btn-act': isEmpty }"
        >{{ isBusy ? 'Reading …' : 'Bring a table or a file in'
        }}<input
          type="file"
          accept=".csv,.json,text/csv,application/json"
          class="sr-only"
          :disabled="isBusy"
          @change="look"
      /></label>
      <button type="button" class="btn" :disabled="isBusy" @click="save('csv')">
        {{ isEmpty ? 'Save an empty table to fill' : 'Save as a table (CSV)' }}
      </button>
      <button v-if="!isEmpty" type="button" class="btn" :disabled="isBusy" @click="save('file')">
        Save for another studio
      </button>
    </div>
    <TablePreview
      v-if="preview"
      :preview="preview"
      what="products"
      :is-busy="isBusy"
      @take="take"
      @leave="preview = null"
    />
  </section>
</template>
