<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { afterwards, sendRequest } from '../api/afterwards'
import { ApiError, type Schemas } from '../api/client'
import { solve } from '../lib/puzzle'
import { clock as clockText, dayName } from '../lib/time'

/** A new client asks for a visit, on their own device, without signing in. */
const secret = String(useRoute().params.secret)
const query = useQuery(afterwards.requestForm(secret))
const shades = [
  { level: '1', name: 'Black' },
  { level: '3', name: 'Dark brown' },
  { level: '5', name: 'Brown' },
  { level: '6', name: 'Light brown' },
  { level: '7', name: 'Dark blonde' },
  { level: '8', name: 'Blonde' },
  { level: '9', name: 'Light blonde' },
  { level: '10', name: 'Palest blonde' },
]
const pasts = [
  { value: 'virgin', name: 'Never coloured' },
  { value: 'tinted', name: 'Coloured darker or the same' },
  { value: 'lightened', name: 'Lightened before' },
  { value: 'direct_dye', name: 'Vivid colour in it' },
  { value: 'henna', name: 'Henna' },
  { value: 'unknown', name: 'I do not know' },
]
const form = reactive({
  name: '',
  contact: '',
  wish: '',
  told: '',
  history: 'unknown',
  now_level: '5',
  wished_level: '8',
  day: '',
  time: '10:00',
  slot_min: '120',
})
/** Solved while the form is being filled in. */
let solved: { puzzle: string; answer: Promise<string> } | null = null
watch(
  () => query.data.value?.puzzle,
  (puzzle) => {
    if (puzzle) solved = { puzzle, answer: solve(puzzle) }
  },
  { immediate: true },
)
const photos = ref<File[]>([])
const isBusy = ref(false)
const failed = ref('')
const taken = ref<Schemas['RequestTaken'] | null>(null)
const pick = (event: Event) => {
  photos.value = [...((event.target as HTMLInputElement).files ?? [])].slice(0, 4)
}
const hours = (minutes: number) =>
  `${Math.floor(minutes / 60)} h ${String(Math.round(minutes % 60)).padStart(2, '0')} min`
const tooShort = computed(() => taken.value?.expected_min != null && taken.value.expected_min > taken.value.slot_min)
const send = async () => {
  isBusy.value = true
  failed.value = ''
  try {
    const { day, time, ...rest } = form
    const own = { puzzle: solved?.puzzle ?? '', answer: (await solved?.answer) ?? '' }
    taken.value = await sendRequest(
      secret,
      { ...rest, ...own, starts_at: new Date(`${day}T${time}`).toISOString() },
      photos.value,
    )
  } catch (error) {
    if (error instanceof ApiError && error.problem.code === 'puzzle') await query.refetch()
    failed.value =
      error instanceof ApiError ? error.problem.detail : 'Something failed here. Nothing was sent; try again.'
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[640px] px-4 py-6">
    <p v-if="query.isLoading.value" class="mt-24 text-center text-soft" role="status">One moment …</p>
    <section v-else-if="!query.data.value" class="panel mt-16" role="alert">
      <h1 class="text-2xl">This link does not work any more</h1>
      <p class="mt-2 text-soft">Please ask the studio for a new one.</p>
    </section>
    <section v-else-if="taken" class="panel mt-10">
      <h1 class="text-[30px] leading-tight">Thank you, it has arrived</h1>
      <p class="mt-3 text-lg">
        You asked for {{ dayName(taken.starts_at) }}, {{ clockText(taken.starts_at) }}. The studio looks at it and
        answers you; it is not booked yet.
      </p>
      <p v-if="taken.expected_min !== null" class="mt-2 text-lg">
        We reckon with about <strong>{{ hours(taken.expected_min) }}</strong> in the chair<template v-if="tooShort"
          >, which is longer than the time you asked for</template
        >.
      </p>
    </section>
    <form v-else class="flex flex-col gap-5" @submit.prevent="send">
      <div>
        <p class="text-soft">{{ query.data.value.studio_name }}</p>
        <h1 class="text-[30px] leading-tight">Ask for a colour visit</h1>
      </div>
      <div>
        <label class="label" for="r-name">Your name</label
        ><input id="r-name" v-model="form.name" class="field" required maxlength="80" autocomplete="name" />
      </div>
      <div>
        <label class="label" for="r-contact">How we reach you</label
        ><input id="r-contact" v-model="form.contact" class="field" maxlength="120" placeholder="Telephone or e-mail" />
      </div>
      <div>
        <label class="label" for="r-wish">What you wish for</label
        ><textarea id="r-wish" v-model="form.wish" class="field min-h-24 py-2" maxlength="1500" required />
      </div>
      <div class="grid gap-4 sm:grid-cols-2">
        <div>
          <label class="label" for="r-now">Your hair now</label
          ><select id="r-now" v-model="form.now_level" class="field">
            <option v-for="s in shades" :key="s.level" :value="s.level">{{ s.name }}</option>
          </select>
        </div>
        <div>
          <label class="label" for="r-wished">As light as</label
          ><select id="r-wished" v-model="form.wished_level" class="field">
            <option v-for="s in shades" :key="s.level" :value="s.level">{{ s.name }}</option>
          </select>
        </div>
      </div>
      <div>
        <label class="label" for="r-past">What was done to it before</label
        ><select id="r-past" v-model="form.history" class="field">
          <option v-for="p in pasts" :key="p.value" :value="p.value">{{ p.name }}</option>
        </select>
      </div>
      <div>
        <label class="label" for="r-told">Tell us more: box colour, henna, allergies, medicine, sore scalp</label
        ><textarea id="r-told" v-model="form.told" class="field min-h-24 py-2" maxlength="1500" />
      </div>
      <div class="grid gap-4 sm:grid-cols-3">
        <div>
          <label class="label" for="r-day">Day</label
          ><input id="r-day" v-model="form.day" class="field" type="date" required />
        </div>
        <div>
          <label class="label" for="r-time">From</label
          ><input id="r-time" v-model="form.time" class="field" type="time" required />
        </div>
        <div>
          <label class="label" for="r-slot">You have</label
          ><select id="r-slot" v-model="form.slot_min" class="field">
            <option v-for="m in [60, 90, 120, 180, 240, 300]" :key="m" :value="String(m)">{{ hours(m) }}</option>
          </select>
        </div>
      </div>
      <div>
        <label class="label" for="r-photos">Photos of your hair in daylight, up to four</label
        ><input
          id="r-photos"
          class="field py-2.5"
          type="file"
          accept="image/jpeg,image/png,image/webp"
          multiple
          @change="pick"
        />
      </div>
      <p v-if="failed" class="rounded-[5px] bg-stop px-4 py-3 font-semibold text-stop-ink" role="alert">{{ failed }}</p>
      <p class="text-sm text-soft">
        Only this studio sees what you send. Oxidative colour needs a patch test 48 hours before.
      </p>
      <button class="btn btn-act min-h-14 text-lg" :disabled="isBusy">{{ isBusy ? 'Sending …' : 'Send it' }}</button>
    </form>
  </main>
</template>
