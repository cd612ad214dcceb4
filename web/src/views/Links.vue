<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { afterwards, makeLink, revokeLink } from '../api/afterwards'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'
import { dayText } from '../lib/time'

/** Secret links: the diary's feed, and the form in which new clients ask for a visit. */
defineProps<{ isLocked: boolean }>()
const query = useQuery(afterwards.links())
const notices = useNotices()
const made = ref('')
const links = computed(() => (query.data.value ?? []).filter((l) => !l.revoked_at))
const names = { feed: $t('links.diaryFeed'), request: $t('links.requestForm') } as const
const date = (at: string) => dayText(at, { day: 'numeric', month: 'long', year: 'numeric' })
const make = async (kind: 'feed' | 'request') => {
  try {
    const link = await makeLink(kind)
    made.value = `${window.location.origin}${link.path ?? ''}`
    await query.refetch()
  } catch (error) {
    notices.fail(error)
  }
}
const revoke = async (id: string) => {
  try {
    await revokeLink(id)
    made.value = ''
    notices.say($t('links.theLinkDoesNotWork'))
    await query.refetch()
  } catch (error) {
    notices.fail(error)
  }
}
const copy = async () => {
  try {
    await navigator.clipboard.writeText(made.value)
    notices.say($t('common.copied'))
  } catch {
    notices.say($t('links.markTheAddressAndCopy'))
  }
}
</script>

<template>
  <section class="panel" aria-labelledby="links">
    <h2 id="links" class="text-xl">{{ $t('links.links') }}</h2>
    <p class="text-[15px] text-soft">
      {{ $t('links.whoeverHasTheAddressCan') }}
    </p>
    <div v-if="!isLocked" class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="btn" @click="make('feed')">{{ $t('links.makeADiaryFeed') }}</button>
      <button type="button" class="btn" @click="make('request')">{{ $t('links.makeARequestForm') }}</button>
    </div>
    <div v-if="made" class="mt-3 rounded-[5px] bg-raised p-3" role="status">
      <p class="font-semibold">{{ $t('common.shownThisOnce') }}</p>
      <p class="text-[15px] break-all select-all">{{ made }}</p>
      <button type="button" class="btn mt-2 !min-h-11" @click="copy">{{ $t('common.copyIt') }}</button>
    </div>
    <p v-if="links.length === 0" class="mt-2 text-soft">{{ $t('links.noneWorksAtPresent') }}</p>
    <ul class="mt-2">
      <li v-for="l in links" :key="l.id" class="flex items-center gap-2 border-t border-line py-1.5">
        <span class="grow"
          ><strong>{{ names[l.kind] }}</strong>
          <span class="text-soft">{{ date(l.created_at) }}, {{ l.by_name }}</span></span
        ><button v-if="!isLocked" type="button" class="btn !min-h-11" @click="revoke(l.id)">
          {{ $t('links.revoke') }}
        </button>
      </li>
    </ul>
  </section>
</template>
