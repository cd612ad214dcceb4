<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { afterwards, sendRequest } from '../api/afterwards'
import { ApiError, type Schemas } from '../api/client'
import ShutDay from '../parts/ShutDay.vue'
import { solve } from '../lib/puzzle'
import { clock as clockText, dayName } from '../lib/time'
import { $t } from '../lib/i18n'

/** A new client asks for a visit, on their own device, without signing in. */
const secret = String(useRoute().params.secret)
const query = useQuery(afterwards.requestForm(secret))
const shades = [
  { level: '1', name: $t('request.black') },
  { level: '3', name: $t('request.darkBrown') },
  { level: '5', name: $t('request.brown') },
  { level: '6', name: $t('request.lightBrown') },
  { level: '7', name: $t('request.darkBlonde') },
  { level: '8', name: $t('request.blonde') },
  { level: '9', name: $t('request.lightBlonde') },
  { level: '10', name: $t('request.palestBlonde') },
]
const asked = [
  { field: 'now_level' as const, name: $t('request.yourHairNow') },
  { field: 'wished_level' as const, name: $t('request.asLightAs') },
]
/** Hair of a level as it falls: darker where it lies in its own shade. */
const paint = (level: string) => {
  const hex = query.data.value?.hexes[Number(level) - 1] ?? '#888888'
  const fibres =
    'repeating-linear-gradient(93deg, rgb(0 0 0 / 0.16) 0 1px, transparent 1px 4px, rgb(255 255 255 / 0.1) 4px 5px, transparent 5px 9px)'
  return `${fibres}, ${hex}`
}
const pasts = [
  { value: 'virgin', name: $t('request.neverColoured') },
  { value: 'tinted', name: $t('request.colouredDarkerOrTheSame') },
  { value: 'lightened', name: $t('request.lightenedBefore') },
  { value: 'direct_dye', name: $t('request.vividColourInIt') },
  { value: 'henna', name: $t('common.henna') },
  { value: 'unknown', name: $t('request.iDoNotKnow') },
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
  $t('request.hMin', { minutes: Math.floor(minutes / 60), minutes2: String(Math.round(minutes % 60)).padStart(2, '0') })
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
    failed.value = error instanceof ApiError ? error.problem.detail : $t('common.somethingFailedHereNothingWas')
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[640px] px-4 py-6">
    <p v-if="query.isLoading.value" class="mt-24 text-center text-soft" role="status">{{ $t('request.oneMoment') }}</p>
    <section v-else-if="!query.data.value" class="panel mt-16" role="alert">
      <h1 class="text-2xl">{{ $t('request.thisLinkDoesNotWork') }}</h1>
      <p class="mt-2 text-soft">{{ $t('request.pleaseAskTheStudioFor') }}</p>
    </section>
    <section v-else-if="taken" class="panel mt-10">
      <h1 class="text-[30px] leading-tight">{{ $t('request.thankYouItHasArrived') }}</h1>
      <p class="mt-3 text-lg">
        {{
          $t('request.youAskedForTheStudio', {
            starts_at: dayName(taken.starts_at),
            starts_at2: clockText(taken.starts_at),
          })
        }}
      </p>
      <p v-if="taken.expected_min !== null" class="mt-2 text-lg">
        <i18n-t keypath="request.weReckonWithAboutIn" scope="global"
          ><template #expected_min
            ><strong>{{ hours(taken.expected_min) }}</strong></template
          ><template #part2
            ><template v-if="tooShort">{{ $t('request.whichIsLongerThanThe') }}</template></template
          ></i18n-t
        >
      </p>
    </section>
    <form v-else class="flex flex-col gap-5" @submit.prevent="send">
      <div>
        <p class="text-soft">{{ query.data.value.studio_name }}</p>
        <h1 class="text-[30px] leading-tight">{{ $t('request.askForAColourVisit') }}</h1>
      </div>
      <div>
        <label class="label" for="r-name">{{ $t('request.yourName') }}</label><input
          id="r-name"
          v-model="form.name"
          class="field"
          required
          maxlength="80"
          autocomplete="name"
        />
      </div>
      <div>
        <label class="label" for="r-contact">{{ $t('request.howWeReachYou') }}</label><input
          id="r-contact"
          v-model="form.contact"
          class="field"
          maxlength="120"
          :placeholder="$t('request.telephoneOrEMail')"
        />
      </div>
      <div>
        <label class="label" for="r-wish">{{ $t('request.whatYouWishFor') }}</label><textarea
          id="r-wish"
          v-model="form.wish"
          class="field min-h-24 py-2"
          maxlength="1500"
          required
        />
      </div>
      <fieldset v-for="ask in asked" :key="ask.field" class="min-w-0">
        <legend class="label">{{ ask.name }}</legend>
        <div class="grid grid-cols-4 gap-2 sm:grid-cols-8">
          <label v-for="s in shades" :key="s.level" class="relative block text-center">
            <input
              v-model="form[ask.field]"
              type="radio"
              class="peer absolute inset-0 opacity-0"
              :name="ask.field"
              :value="s.level"
              :aria-label="s.name"
            />
            <span
              class="swatch block h-14 rounded-[4px] rounded-b-[14px] ring-ink peer-checked:ring-[3px] peer-checked:ring-offset-2 peer-checked:ring-offset-ground peer-focus-visible:outline-3 peer-focus-visible:outline-offset-4 peer-focus-visible:outline-signal"
              :style="{ background: paint(s.level) }"
            />
            <span class="narrow mt-1.5 block text-[14px] leading-tight">{{ s.name }}</span>
          </label>
        </div>
      </fieldset>
      <div>
        <label class="label" for="r-past">{{ $t('request.whatWasDoneToIt') }}</label><select
          id="r-past"
          v-model="form.history"
          class="field"
        >
          <option v-for="p in pasts" :key="p.value" :value="p.value">{{ p.name }}</option>
        </select>
      </div>
      <div>
        <label class="label" for="r-told">{{ $t('request.tellUsMoreBoxColour') }}</label><textarea
          id="r-told"
          v-model="form.told"
          class="field min-h-24 py-2"
          maxlength="1500"
        />
      </div>
      <div class="grid gap-4 sm:grid-cols-3">
        <div>
          <label class="label" for="r-day">{{ $t('common.day') }}</label><input
            id="r-day"
            v-model="form.day"
            class="field"
            type="date"
            required
          />
          <ShutDay class="mt-1" :day="form.day" :closed="query.data.value.closed" />
        </div>
        <div>
          <label class="label" for="r-time">{{ $t('request.from') }}</label><input
            id="r-time"
            v-model="form.time"
            class="field"
            type="time"
            required
          />
        </div>
        <div>
          <label class="label" for="r-slot">{{ $t('request.youHave') }}</label><select
            id="r-slot"
            v-model="form.slot_min"
            class="field"
          >
            <option v-for="m in [60, 90, 120, 180, 240, 300]" :key="m" :value="String(m)">{{ hours(m) }}</option>
          </select>
        </div>
      </div>
      <div>
        <label class="label" for="r-photos">{{ $t('request.photosOfYourHairIn') }}</label><input
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
        {{ $t('request.onlyThisStudioSeesWhat') }}
      </p>
      <button class="btn btn-act min-h-14 text-lg" :disabled="isBusy">
        {{ isBusy ? $t('common.sending') : $t('request.sendIt') }}
      </button>
    </form>
  </main>
</template>
