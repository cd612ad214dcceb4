<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { RouterLink } from 'vue-router'
import { ref } from 'vue'
import { clearRequests, countAlike, noteReminder } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { clock as clockText, dayName } from '../lib/time'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

/** What waits for the desk: requests of new clients, and reminders to send. */
defineProps<{ requests: readonly Schemas['DayVisit'][]; reminders: readonly Schemas['DayReminder'][] }>()
const client = useQueryClient()
const notices = useNotices()
const note = async (r: Schemas['DayReminder'], isSent: boolean) => {
  try {
    await noteReminder(r.service_id, isSent)
    await client.invalidateQueries({ queryKey: ['day'] })
    if (isSent) notices.say($t('dayWaits.isReminded', { client_name: r.client_name }), () => void note(r, false))
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
    notices.say(count === 1 ? $t('dayWaits.theRequestIsCleared') : $t('dayWaits.requestsOfOneSenderAre', { count }))
  } catch (error) {
    notices.fail(error)
  } finally {
    await client.invalidateQueries({ queryKey: ['day'] })
  }
}
const copy = async (r: Schemas['DayReminder']) => {
  try {
    await navigator.clipboard.writeText(r.text)
    notices.say($t('dayWaits.theTextIsCopiedSend'))
  } catch {
    notices.say(r.text)
  }
}
</script>

<template>
  <section
    v-if="requests.length || reminders.length"
    class="mb-3 rounded-[7px] border-s-[8px] border-signal bg-panel py-2 pe-4 ps-2"
    :aria-label="$t('dayWaits.forTheDesk')"
  >
    <ul>
      <li v-for="r in requests" :key="r.service_id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
        <span class="grow"
          ><strong>{{ $t('dayWaits.request', { client_name: r.client_name }) }}</strong> {{ dayName(r.starts_at) }},
          {{ clockText(r.starts_at) }}</span
        >
        <RouterLink class="btn !min-h-11" :to="{ name: 'consultation', params: { id: r.service_id } }">{{
          $t('common.lookAtIt')
        }}</RouterLink>
        <template v-if="clearing?.id === r.service_id">
          <button type="button" class="btn !min-h-11" @click="clear(r.service_id)">
            {{
              clearing.count === 1
                ? $t('dayWaits.clearItForGood')
                : $t('dayWaits.clearOfThisSenderFor', { count: clearing.count })
            }}</button><button type="button" class="btn !min-h-11" @click="clearing = null">
            {{ $t('common.keep') }}
          </button>
        </template>
        <button v-else type="button" class="btn !min-h-11" @click="ask(r.service_id)">
          {{ $t('dayWaits.notMeant') }}
        </button>
      </li>
      <li v-for="r in reminders" :key="r.service_id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
        <span class="grow"
          ><i18n-t keypath="dayWaits.comes" scope="global"
            ><template #starts_at>{{ dayName(r.starts_at) }}</template
            ><template #part1
              ><strong>{{ $t('dayWaits.remind', { client_name: r.client_name }) }}</strong></template
            ></i18n-t
          ></span
        >
        <button type="button" class="btn !min-h-11" @click="copy(r)">{{ $t('dayWaits.copyTheText') }}</button>
        <button type="button" class="btn !min-h-11" @click="note(r, true)">{{ $t('dayWaits.reminded') }}</button>
      </li>
    </ul>
  </section>
</template>
