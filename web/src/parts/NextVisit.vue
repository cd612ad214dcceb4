<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { afterwards, cancelVisit, startAgain } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { clock as clockText, dayName, duration } from '../lib/time'
import { useNotices } from '../stores/notices'
import ShutDay from './ShutDay.vue'
import TakeItsPlace from './TakeItsPlace.vue'
import { lengthText } from '../lib/units'
import { $t } from '../lib/i18n'

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
    notices.say($t('nextVisit.bookedFor', { starts_at: dayName(made.starts_at) }), () => void cancel(made.service_id))
    await query.refetch()
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
/** What the visit that was cancelled leaves free, where somebody could come. */
const free = ref<Schemas['CancelledOut'] | null>(null)
const cancel = async (id: string) => {
  try {
    const gone = await cancelVisit(id)
    await client.invalidateQueries()
    if (gone.could_come.length) free.value = gone
    else notices.say($t('common.theVisitIsCancelled'))
  } catch (error) {
    notices.fail(error)
  }
}
const open = (id: string) => void router.push({ name: 'consultation', params: { id } })
</script>

<template>
  <section v-if="proposal" class="panel no-print" data-next aria-labelledby="next-visit">
    <h2 id="next-visit" class="text-xl">{{ $t('nextVisit.nextVisit') }}</h2>
    <div class="mt-2 grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div>
        <p class="text-[26px] leading-tight font-semibold">{{ dayName(`${proposal.on}T12:00:00`) }}</p>
        <p class="mt-1">
          {{ proposal.reason
          }}<template v-if="proposal.regrowth_mm >= 1">{{
            $t('nextVisit.mmByThen', { regrowth_mm: lengthText(proposal.regrowth_mm) })
          }}</template
          >.
        </p>
        <p v-if="proposal.moved">{{ proposal.moved }}.</p>
        <p v-if="query.data.value?.visits_left && query.data.value.visits_left > 1">
          <i18n-t keypath="nextVisit.aboutVisitsLeftToThe" scope="global"
            ><template #visits_left
              ><span class="num">{{ query.data.value.visits_left }}</span></template
            ></i18n-t
          >
        </p>
        <p v-if="proposal.expected_min" class="text-soft">
          <i18n-t keypath="nextVisit.expectInTheChair" scope="global"
            ><template #expected_min
              ><span class="num text-ink">{{ duration(proposal.expected_min) }}</span></template
            ></i18n-t
          >
        </p>
        <form class="mt-3 flex flex-wrap items-end gap-2" @submit.prevent="book">
          <div>
            <label class="label" for="next-day">{{ $t('common.day') }}</label><input
              id="next-day"
              v-model="day"
              class="field"
              type="date"
              required
            />
          </div>
          <div>
            <label class="label" for="next-time">{{ $t('nextVisit.at') }}</label><input
              id="next-time"
              v-model="time"
              class="field"
              type="time"
              required
            />
          </div>
          <button class="btn btn-act px-6" :disabled="isBusy">{{ $t('nextVisit.bookIt') }}</button>
          <ShutDay :day="day" :closed="query.data.value?.closed ?? []" />
        </form>
        <ul v-if="query.data.value?.booked.length" class="mt-3 flex flex-col gap-1.5">
          <li v-for="b in query.data.value.booked" :key="b.service_id" class="flex flex-wrap gap-2">
            <button type="button" class="btn grow justify-between" @click="open(b.service_id)">
              <i18n-t keypath="nextVisit.booked" scope="global"
                ><template #starts_at>{{ dayName(b.starts_at) }}</template
                ><template #starts_at2
                  ><span class="num">{{ clockText(b.starts_at) }}</span></template
                ></i18n-t
              >
            </button>
            <a class="btn" :href="`/api/services/${b.service_id}/visit.ics`" download>{{
              $t('nextVisit.forADiary')
            }}</a>
            <button type="button" class="btn" @click="cancel(b.service_id)">{{ $t('common.cancelIt') }}</button>
          </li>
        </ul>
      </div>
      <div>
        <h3 class="label">{{ $t('nextVisit.theReminder', { dayName: dayName(`${proposal.remind_on}T12:00:00`) }) }}</h3>
        <p class="text-[15px]">{{ proposal.reminder }}</p>
        <template v-if="query.data.value?.formulas.length">
          <h3 class="label mt-3">{{ $t('nextVisit.correctedByWhatWasLearnt') }}</h3>
          <ul>
            <li v-for="f in query.data.value.formulas" :key="f.name" class="border-t border-line py-1 text-[15px]">
              <strong>{{ f.name }}</strong> {{ f.says }}
            </li>
          </ul>
        </template>
        <RouterLink
          class="mt-3 inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
          :to="{ name: 'client', params: { id: clientId } }"
          >{{ $t('nextVisit.theClientSCard') }}</RouterLink
        >
      </div>
    </div>
    <TakeItsPlace :free="free" @close="free = null" />
  </section>
</template>
