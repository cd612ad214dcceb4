<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { RouterLink } from 'vue-router'
import { ref } from 'vue'
import { clearRequests, countAlike, noteReminder } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { clock as clockText, dayName } from '../lib/time'
import { useNotices } from '../stores/notices'

/** What waits for the desk: requests of new clients, and reminders to send. */
defineProps<{ requests: readonly Schemas['DayVisit'][]; reminders: readonly Schemas['DayReminder'][] }>()
const client = useQueryClient()
const notices = useNotices()
const note = async (r: Schemas['DayReminder'], isSent: boolean) => {
  try {
    await noteReminder(r.service_id, isSent)
    await client.invalidateQueries({ queryKey: ['day'] })
    if (isSent) notices.say(`${r.client_name} is reminded.`, () => void note(r, false))
  } catch (error) {
    notices.fail(error)
  }
}
/** A request that is about to be cleared, and how many go with it. */
const clearing = ref<{ id: string; count: number } | null>(null)
const ask = async (id: string) => {
  try {
    clearing.value = { id, count: await countAlike(id) }
  } catch (error) {
    notices.fail(error)
  }
}
const clear = async (id: string) => {
  try {
    const count = await clearRequests(id)
    clearing.value = null
    notices.say(count === 1 ? 'The request is cleared.' : `${count} requests of one sender are cleared.`)
  } catch (error) {
    notices.fail(error)
  } finally {
    await client.invalidateQueries({ queryKey: ['day'] })
  }
}
const copy = async (r: Schemas['DayReminder']) => {
  try {
    await navigator.clipboard.writeText(r.text)
    notices.say('The text is copied; send it, then note it.')
  } catch {
    notices.say(r.text)
  }
}
</script>

<template>
  <section
    v-if="requests.length || reminders.length"
    class="mb-3 rounded-[7px] border-l-[8px] border-signal bg-panel py-2 pr-4 pl-2"
    aria-label="For the desk"
  >
    <ul>
      <li v-for="r in requests" :key="r.service_id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
        <span class="grow"
          ><strong>Request, {{ r.client_name }}:</strong> {{ dayName(r.starts_at) }}, {{ clockText(r.starts_at) }}</span
        >
        <RouterLink class="btn !min-h-11" :to="{ name: 'consultation', params: { id: r.service_id } }"
          >Look at it</RouterLink
        >
        <template v-if="clearing?.id === r.service_id">
          <button type="button" class="btn !min-h-11" @click="clear(r.service_id)">
            {{
              clearing.count === 1 ? 'Clear it for good' : `Clear ${clearing.count} of this sender for good`
            }}</button><button type="button" class="btn !min-h-11" @click="clearing = null">Keep</button>
        </template>
        <button v-else type="button" class="btn !min-h-11" @click="ask(r.service_id)">Not meant</button>
      </li>
      <li v-for="r in reminders" :key="r.service_id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
        <span class="grow"
          ><strong>Remind {{ r.client_name }}:</strong> comes {{ dayName(r.starts_at) }}</span
        >
        <button type="button" class="btn !min-h-11" @click="copy(r)">Copy the text</button>
        <button type="button" class="btn !min-h-11" @click="note(r, true)">Reminded</button>
      </li>
    </ul>
  </section>
</template>
