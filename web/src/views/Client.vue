<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { reactive, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { changeClient, queries, startService } from '../api/queries'
import { clock as clockText, dayName } from '../lib/time'
import Choice from '../parts/Choice.vue'
import Wait from '../parts/Wait.vue'
import { useNotices } from '../stores/notices'

const route = useRoute()
const router = useRouter()
const id = String(route.params.id)
const client = useQueryClient()
const notices = useNotices()
const query = useQuery(queries.client(id))
const results = [
  { value: 'not_done', name: 'Not read' },
  { value: 'negative', name: 'Clear' },
  { value: 'positive', name: 'Reacted' },
] as const
type Result = (typeof results)[number]['value']
const form = reactive({
  name: '',
  birth_date: '',
  notes: '',
  has_reacted_before: false,
  placed: '',
  result: 'not_done' as Result,
})
watch(
  query.data,
  (c) => {
    if (!c) return
    const placed = c.patch_test_placed_at ? new Date(c.patch_test_placed_at) : null
    Object.assign(form, {
      name: c.name,
      birth_date: c.birth_date ?? '',
      notes: c.notes,
      has_reacted_before: c.has_reacted_before,
      placed: placed ? new Date(placed.getTime() - placed.getTimezoneOffset() * 60_000).toISOString().slice(0, 16) : '',
      result: c.patch_test_result,
    })
  },
  { immediate: true },
)
const save = async () => {
  try {
    await changeClient(id, {
      name: form.name,
      birth_date: form.birth_date || null,
      notes: form.notes,
      has_reacted_before: form.has_reacted_before,
      patch_test_placed_at: form.placed ? new Date(form.placed).toISOString() : null,
      patch_test_result: form.result,
    })
    await client.invalidateQueries()
    notices.say('Kept.')
  } catch (error) {
    notices.fail(error)
  }
}
const start = async () => {
  try {
    const service = await startService(id)
    await router.push({ name: 'consultation', params: { id: service.id } })
  } catch (error) {
    notices.fail(error)
  }
}
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1100px] px-4 pt-2 pb-24 sm:px-6">
    <Wait
      v-if="!query.data.value"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      what="The client"
      @retry="query.refetch()"
    />
    <template v-else>
      <div class="mb-4 flex flex-wrap items-end gap-3">
        <h1 class="grow text-[34px] leading-tight">{{ query.data.value.name }}</h1>
        <button type="button" class="btn btn-act" @click="start">New service</button>
      </div>
      <div class="grid gap-4 lg:grid-cols-2">
        <form class="panel flex flex-col gap-4" @submit.prevent="save">
          <div>
            <label class="label" for="c-name">Name</label
            ><input id="c-name" v-model="form.name" class="field" required maxlength="80" />
          </div>
          <div>
            <label class="label" for="c-born">Born</label
            ><input id="c-born" v-model="form.birth_date" class="field" type="date" />
          </div>
          <div>
            <label class="label" for="c-placed">Patch test placed</label
            ><input id="c-placed" v-model="form.placed" class="field" type="datetime-local" />
          </div>
          <Choice v-model="form.result" legend="Patch test, read after 48 h" :options="results" />
          <label class="flex min-h-12 items-center gap-3"
            ><input v-model="form.has_reacted_before" type="checkbox" class="size-6" /> Has reacted to colour
            before</label
          >
          <div>
            <label class="label" for="c-notes">Notes</label
            ><textarea id="c-notes" v-model="form.notes" class="field min-h-24 py-2" maxlength="2000" />
          </div>
          <button class="btn btn-act">Keep</button>
        </form>
        <section class="panel" aria-labelledby="visits">
          <h2 id="visits" class="mb-3 text-xl">Visits</h2>
          <p v-if="query.data.value.visits.length === 0" class="text-soft">No visits yet.</p>
          <ul class="flex flex-col gap-1.5">
            <li v-for="v in query.data.value.visits" :key="v.id">
              <RouterLink class="btn w-full justify-between" :to="{ name: 'service', params: { id: v.id } }">
                <span>{{ dayName(v.starts_at) }}, {{ clockText(v.starts_at) }}</span
                ><span class="font-normal text-soft">{{ v.step === 'record' ? 'filed' : v.step }}</span>
              </RouterLink>
            </li>
          </ul>
        </section>
      </div>
    </template>
  </main>
</template>
