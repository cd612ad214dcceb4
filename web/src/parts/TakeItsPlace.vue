<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { moveVisit } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { clock as clockText, dayName, duration } from '../lib/time'
import { useNotices } from '../stores/notices'
import Sheet from './Sheet.vue'
import { $t } from '../lib/i18n'

/** A visit was cancelled: who asked for a time and could come then; one tap puts them there. */
const props = defineProps<{ free: Schemas['CancelledOut'] | null }>()
const emit = defineEmits<{ close: [] }>()
const client = useQueryClient()
const notices = useNotices()
const move = async (id: string, name: string, to: string, from: string) => {
  try {
    await moveVisit(id, to)
    await client.invalidateQueries()
    notices.say(
      $t('takeItsPlace.tellThem', { name, to: dayName(to), to2: clockText(to) }),
      () => void move(id, name, from, to),
    )
    emit('close')
  } catch (error) {
    notices.fail(error)
  }
}
const take = (c: Schemas['CouldCome']) =>
  props.free?.free_at && move(c.service_id, c.client_name, props.free.free_at, c.starts_at)
</script>

<template>
  <Sheet
    :is-open="free !== null"
    :title="$t('takeItsPlace.whoCouldComeThen')"
    :subtitle="
      free?.free_at
        ? $t('takeItsPlace.areFreeNow', {
            free_at: dayName(free.free_at),
            free_at2: clockText(free.free_at),
            free_min: duration(free.free_min),
          })
        : ''
    "
    @close="emit('close')"
  >
    <ul>
      <li
        v-for="c in free?.could_come ?? []"
        :key="c.service_id"
        class="flex flex-wrap items-center gap-3 border-t border-line py-2"
      >
        <p class="grow">
          <strong>{{ c.client_name }}</strong>
          <span class="block text-[15px] text-soft">{{
            $t('takeItsPlace.askedFor', {
              starts_at: dayName(c.starts_at),
              starts_at2: clockText(c.starts_at),
              booked_min: duration(c.booked_min),
            })
          }}</span>
        </p>
        <button type="button" class="btn btn-act" @click="take(c)">
          {{ $t('takeItsPlace.take', { free_at: free?.free_at ? clockText(free.free_at) : '' }) }}
        </button>
      </li>
    </ul>
  </Sheet>
</template>
