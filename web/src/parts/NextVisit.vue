<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { afterwards, cancelVisit, startAgain } from '../api/afterwards'
import { clock as clockText, dayName } from '../lib/time'
import { useNotices } from '../stores/notices'

/** When the client should come again: proposed, booked in one act, with what last time is corrected to. */
const props = defineProps<{ serviceId: string; clientId: string }>()
const query = useQuery(afterwards.next(props.serviceId))
const client = useQueryClient()
const router = useRouter()
const notices = useNotices()
const day = ref('')
const time = ref('10:00')
const isBusy = ref(false)
const proposal = computed(() => query.data.value?.proposal)
watch(
  proposal,
  (p) => {
    if (p && !day.value) day.value = p.on
  },
  { immediate: true },
)
const hours = (minutes: number) => `${Math.floor(minutes / 60)} h ${String(Math.round(minutes % 60)).padStart(2, '0')}`
const book = async () => {
  isBusy.value = true
  try {
    const needed = proposal.value?.expected_min
    const made = await startAgain(props.clientId, {
      starts_at: new Date(`${day.value}T${time.value}`).toISOString(),
      booked_min: needed ? Math.min(900, Math.ceil(needed / 15) * 15) : null,
      after: props.serviceId,
    })
    await client.invalidateQueries()
    notices.say(`Booked for ${dayName(made.starts_at)}.`, () => void cancel(made.service_id))
    await query.refetch()
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const cancel = async (id: string) => {
  try {
    await cancelVisit(id)
    await client.invalidateQueries()
    notices.say('The visit is cancelled.')
  } catch (error) {
    notices.fail(error)
  }
}
const open = (id: string) => void router.push({ name: 'consultation', params: { id } })
</script>

<template>
  <section v-if="proposal" class="panel no-print mt-4" aria-labelledby="next-visit">
    <h2 id="next-visit" class="text-xl">Next visit</h2>
    <div class="mt-2 grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div>
        <p class="text-[26px] leading-tight font-semibold">{{ dayName(`${proposal.on}T12:00:00`) }}</p>
        <p class="mt-1">
          {{ proposal.reason
          }}<template v-if="proposal.regrowth_mm >= 1">; {{ proposal.regrowth_mm.toFixed(0) }} mm by then</template>.
        </p>
        <p v-if="query.data.value?.visits_left && query.data.value.visits_left > 1">
          About <span class="num">{{ query.data.value.visits_left }}</span> visits left to the wish.
        </p>
        <p v-if="proposal.expected_min" class="text-soft">
          Expect <span class="num text-ink">{{ hours(proposal.expected_min) }}</span> in the chair.
        </p>
        <form class="mt-3 flex flex-wrap items-end gap-2" @submit.prevent="book">
          <div>
            <label class="label" for="next-day">Day</label
            ><input id="next-day" v-model="day" class="field" type="date" required />
          </div>
          <div>
            <label class="label" for="next-time">At</label
            ><input id="next-time" v-model="time" class="field" type="time" required />
          </div>
          <button class="btn btn-act px-6" :disabled="isBusy">Book it</button>
        </form>
        <ul v-if="query.data.value?.booked.length" class="mt-3 flex flex-col gap-1.5">
          <li v-for="b in query.data.value.booked" :key="b.service_id" class="flex flex-wrap gap-2">
            <button type="button" class="btn grow justify-between" @click="open(b.service_id)">
              Booked: {{ dayName(b.starts_at) }} <span class="num">{{ clockText(b.starts_at) }}</span>
            </button>
            <a class="btn" :href="`/api/services/${b.service_id}/visit.ics`" download>For a diary</a>
            <button type="button" class="btn" @click="cancel(b.service_id)">Cancel it</button>
          </li>
        </ul>
      </div>
      <div>
        <h3 class="label">The reminder, {{ dayName(`${proposal.remind_on}T12:00:00`) }}</h3>
        <p class="text-[15px]">{{ proposal.reminder }}</p>
        <template v-if="query.data.value?.formulas.length">
          <h3 class="label mt-3">Corrected by what was learnt</h3>
          <ul>
            <li v-for="f in query.data.value.formulas" :key="f.name" class="border-t border-line py-1 text-[15px]">
              <strong>{{ f.name }}</strong> {{ f.says }}
            </li>
          </ul>
        </template>
        <RouterLink
          class="mt-3 inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
          :to="{ name: 'client', params: { id: clientId } }"
          >The client's card</RouterLink
        >
      </div>
    </div>
  </section>
</template>
