<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { afterwards, makeLink, revokeLink } from '../api/afterwards'
import { useNotices } from '../stores/notices'

/** Secret links: the diary's feed, and the form in which new clients ask for a visit. */
defineProps<{ isLocked: boolean }>()
const query = useQuery(afterwards.links())
const notices = useNotices()
const made = ref('')
const links = computed(() => (query.data.value ?? []).filter((l) => !l.revoked_at))
const names = { feed: 'Diary feed', request: 'Request form' } as const
const date = (at: string) =>
  new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })
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
    notices.say('The link does not work any more.')
    await query.refetch()
  } catch (error) {
    notices.fail(error)
  }
}
const copy = async () => {
  try {
    await navigator.clipboard.writeText(made.value)
    notices.say('Copied.')
  } catch {
    notices.say('Mark the address and copy it.')
  }
}
</script>

<template>
  <section class="panel" aria-labelledby="links">
    <h2 id="links" class="text-xl">Links</h2>
    <p class="text-[15px] text-soft">
      Whoever has the address can use it, without signing in. Revoke it when it is in the wrong hands.
    </p>
    <div v-if="!isLocked" class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="btn" @click="make('feed')">Make a diary feed</button>
      <button type="button" class="btn" @click="make('request')">Make a request form</button>
    </div>
    <div v-if="made" class="mt-3 rounded-[5px] bg-raised p-3" role="status">
      <p class="font-semibold">Shown this once:</p>
      <p class="text-[15px] break-all select-all">{{ made }}</p>
      <button type="button" class="btn mt-2 !min-h-11" @click="copy">Copy it</button>
    </div>
    <p v-if="links.length === 0" class="mt-2 text-soft">None works at present.</p>
    <ul class="mt-2">
      <li v-for="l in links" :key="l.id" class="flex items-center gap-2 border-t border-line py-1.5">
        <span class="grow"
          ><strong>{{ names[l.kind] }}</strong>
          <span class="text-soft">{{ date(l.created_at) }}, {{ l.by_name }}</span></span
        ><button v-if="!isLocked" type="button" class="btn !min-h-11" @click="revoke(l.id)">Revoke</button>
      </li>
    </ul>
  </section>
</template>
