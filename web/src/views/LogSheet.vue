<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../api/queries'
import { clock } from '../lib/time'
import Sheet from '../parts/Sheet.vue'
import Wait from '../parts/Wait.vue'
import { $t } from '../lib/i18n'

/** Who did what, the latest first; any act can be taken back from here. */
const props = defineProps<{ isOpen: boolean; serviceId: string; isBusy: boolean }>()
const emit = defineEmits<{ close: []; takeBack: [event_id: string, text: string] }>()
const query = useQuery(computed(() => ({ ...queries.log(props.serviceId), enabled: props.isOpen })))
const late = (at: string, recorded: string) =>
  new Date(recorded).getTime() - new Date(at).getTime() > 60_000
    ? $t('logSheet.sent', { recorded: clock(recorded) })
    : ''
</script>

<template>
  <Sheet
    :is-open="isOpen"
    :title="$t('common.whoDidWhat')"
    :subtitle="$t('logSheet.theLatestFirst')"
    @close="emit('close')"
  >
    <Wait
      v-if="!query.data.value"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('logSheet.theLog')"
      @retry="query.refetch()"
    />
    <ol v-else>
      <li
        v-for="line in query.data.value.lines"
        :key="line.event_id"
        class="flex items-center gap-3 border-t border-line py-1.5"
      >
        <span class="num w-14 shrink-0 text-lg">{{ clock(line.at) }}</span>
        <span class="min-w-0 grow">
          <span class="block" :class="{ 'text-soft line-through': line.is_voided }">{{ line.text }}</span>
          <span class="block text-sm text-soft"
            >{{ line.by }}{{ late(line.at, line.recorded_at)
            }}<template v-if="line.voided_by">{{
              $t('logSheet.takenBackBy', { voided_by: line.voided_by })
            }}</template></span
          >
          <span v-if="line.conflict && !line.is_voided" class="block text-sm font-semibold">{{
            $t('logSheet.notCounted', { conflict: line.conflict })
          }}</span>
        </span>
        <button
          v-if="!line.is_voided"
          type="button"
          class="btn shrink-0 px-3 text-sm"
          :aria-label="$t('logSheet.takeBack', { text: line.text })"
          :disabled="isBusy"
          @click="emit('takeBack', line.event_id, line.text)"
        >
          {{ $t('common.takeBack') }}
        </button>
      </li>
    </ol>
  </Sheet>
</template>
