<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { addClient, queries, startService } from '../api/queries'
import Sheet from '../parts/Sheet.vue'
import Tick from '../parts/Tick.vue'
import { useNotices } from '../stores/notices'

const props = defineProps<{ isOpen: boolean }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const client = useQueryClient()
const notices = useNotices()
const search = ref('')
const isPiece = ref(false)
const isBusy = ref(false)
/** What was typed: a name, and behind a colon the head in one line, as the consultation reads it. */
const name = computed(() => (search.value.split(/[:\uff1a]/)[0] ?? '').trim())
const line = computed(() =>
  search.value
    .split(/[:\uff1a]/)
    .slice(1)
    .join(':')
    .trim(),
)
const found = useQuery(computed(() => ({ ...queries.clients(name), enabled: props.isOpen })))

const start = async (id: string) => {
  isBusy.value = true
  try {
    const service = await startService(id)
    await client.invalidateQueries({ queryKey: ['day'] })
    emit('close')
    await router.push({ name: 'consultation', params: { id: service.id }, state: { line: line.value } })
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const addAndStart = async () => {
  isBusy.value = true
  try {
    const added = await addClient({ name: name.value, is_hair_piece: isPiece.value })
    await client.invalidateQueries({ queryKey: ['clients'] })
    await start(added.id)
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
/** Enter starts with the only one found, or adds a name that nobody has. */
const onEnter = async () => {
  if (isBusy.value || name.value.length < 2) return
  const clients = (await client.fetchQuery(queries.clients(ref(name.value)))).clients
  const same = clients.find((c) => c.name.toLowerCase() === name.value.toLowerCase())
  if (same) await start(same.id)
  else if (clients.length === 0) await addAndStart()
  else if (clients.length === 1) await start(clients[0]!.id)
}
</script>

<template>
  <Sheet
    :is-open="isOpen"
    :title="$t('common.newService')"
    :subtitle="$t('newService.whoIsInTheChair')"
    @close="emit('close')"
  >
    <label class="label" for="client-search">{{ $t('common.name') }}</label>
    <input
      id="client-search"
      v-model="search"
      data-first
      class="field"
      autocomplete="off"
      :placeholder="$t('newService.typeAName')"
      aria-describedby="client-read"
      @keydown.enter="onEnter"
    />
    <p id="client-read" class="mt-1.5 text-[15px] text-soft">
      {{ $t('newService.whatIsReadMayFollow') }} <b class="whitespace-nowrap text-ink">{{ $t('newService.asHere') }}</b>
    </p>
    <Tick v-if="name.length > 1" v-model="isPiece" class="mt-2">{{ $t('common.aHairPieceOrWig') }}</Tick>
    <button
      v-if="name.length > 1"
      type="button"
      class="btn btn-act mt-2 w-full"
      :disabled="isBusy"
      @click="addAndStart"
    >
      {{ $t('newService.addAndStart', { search: name }) }}
    </button>
    <ul class="mt-4 flex flex-col gap-1.5">
      <li v-for="c in found.data.value?.clients ?? []" :key="c.id">
        <button type="button" class="btn w-full justify-between" :disabled="isBusy" @click="start(c.id)">
          {{ c.name }} <span class="font-normal text-soft">{{ $t('newService.start') }}</span>
        </button>
      </li>
    </ul>
    <p v-if="found.data.value?.total === 0 && !name" class="mt-4 text-soft">
      {{ $t('newService.noClientsYetTypeA') }}
    </p>
  </Sheet>
</template>
