<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { beginRound, bringRound, dropRound, practice, share } from '../api/practice'
import type { Schemas } from '../api/client'
import { offText } from '../lib/eye'
import { FileError, readText } from '../lib/files'
import { difficulties, helps, modeName } from '../lib/words'
import Choice from '../parts/Choice.vue'
import MiniHair from '../parts/MiniHair.vue'
import Tick from '../parts/Tick.vue'
import Wait from '../parts/Wait.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'
import { fixed, dayText } from '../lib/time'

/** Where one learns on hair that is nobody's: heads to choose, rounds in work and over, and what they come to. */
const FILE_MOST = 4_000_000
const query = useQuery(practice.room())
const client = useQueryClient()
const notices = useNotices()
const router = useRouter()
const room = computed(() => query.data.value)
const help = ref<Schemas['Help']>('full')
const hasMishaps = ref(true)
const chosen = ref<string>('first')
const difficulty = ref<Schemas['Difficulty'] | 'own'>('own')
const past = ref('')
const seed = ref('')
const isBusy = ref(false)
const helpWays = (['clocks', 'lanes', 'full'] as const).map((value) => ({ value, name: helps[value] }))
const hard = computed(() => [
  { value: 'own' as const, name: $t('practice.itsOwn') },
  ...(room.value?.difficulties ?? []).map((value) => ({ value, name: difficulties[value] })),
])
const head = computed(() => room.value?.heads.find((h) => h.key === chosen.value))
const isRight = computed(() => chosen.value !== 'past' || past.value !== '')
const begin = async () => {
  isBusy.value = true
  try {
    const own = seed.value.trim()
    if (own && !/^\d+$/.test(own)) throw new FileError($t('practice.seedMustBeAWhole', { own }))
    const { service_id } = await beginRound({
      head: chosen.value,
      help: help.value,
      has_mishaps: hasMishaps.value,
      difficulty: difficulty.value === 'own' ? null : difficulty.value,
      seed: own === '' ? null : Number(own),
      service_id: chosen.value === 'past' ? past.value : null,
    })
    await router.push({ name: 'consultation', params: { id: service_id } })
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const bring = async (event: Event) => {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    const text = await readText(file, FILE_MOST)
    let document: unknown
    try {
      document = JSON.parse(text)
    } catch {
      throw new FileError($t('practice.mustBeARoundFile', { name: file.name }))
    }
    if (typeof document !== 'object' || document === null || Array.isArray(document))
      throw new FileError($t('practice.mustBeARoundFile', { name: file.name }))
    const { service_id } = await bringRound(document as Record<string, unknown>)
    await client.invalidateQueries({ queryKey: ['practice'] })
    const isPlayed = 'service' in document
    await router.push({ name: isPlayed ? 'debrief' : 'consultation', params: { id: service_id } })
  } catch (error) {
    notices.fail(error)
  }
}
const drop = async (round: Schemas['RoundLineOut']) => {
  try {
    client.setQueryData(['practice'], await dropRound(round.service_id))
    notices.say($t('practice.thrownAway', { title: round.title }))
  } catch (error) {
    notices.fail(error)
  }
}
const setShared = async (is: boolean) => {
  try {
    client.setQueryData(['practice'], await share(is))
  } catch (error) {
    notices.fail(error)
  }
}
const open = computed(() => room.value?.rounds.filter((r) => !r.is_over) ?? [])
const over = computed(() => room.value?.rounds.filter((r) => r.is_over) ?? [])
const day = (at: string) => dayText(at, { day: 'numeric', month: 'short' })
const percent = (part: number, of: number) => (of ? `${Math.round((part / of) * 100)} %` : '–')
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-2 pb-24 sm:px-6">
    <div class="mb-4 flex flex-wrap items-end gap-3">
      <div class="grow">
        <h1 class="text-[34px] leading-tight">{{ $t('common.practice') }}</h1>
        <p class="text-soft">{{ $t('practice.hairThatIsNobodyS') }}</p>
      </div>
      <RouterLink class="btn" :to="{ name: 'drill' }">{{ $t('practice.eyeDrillTwoMinutes') }}</RouterLink>
      <label class="btn">
        {{ $t('practice.roundFromAFile') }}
        <input type="file" accept=".json,application/json" class="sr-only" @change="bring" />
      </label>
    </div>
    <Wait
      v-if="!room"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('common.practice')"
      @retry="query.refetch()"
    />
    <div v-else class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_360px]">
      <div class="flex min-w-0 flex-col gap-6">
        <section v-if="open.length" aria-labelledby="going">
          <h2 id="going" class="mb-2 text-xl">{{ $t('practice.inWork') }}</h2>
          <ul class="panel !py-1">
            <li
              v-for="r in open"
              :key="r.service_id"
              class="flex min-h-14 flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-1 first:border-t-0"
            >
              <p class="grow">
                <b>{{ r.title }}</b><span class="text-soft">
                  · {{ difficulties[r.difficulty] }} · {{ helps[r.help] }}</span
                >
              </p>
              <button type="button" class="btn !min-h-11" @click="drop(r)">{{ $t('practice.throwAway') }}</button>
              <RouterLink class="btn btn-act !min-h-11" :to="{ name: 'service', params: { id: r.service_id } }">{{
                $t('common.goOn')
              }}</RouterLink>
            </li>
          </ul>
        </section>
        <section aria-labelledby="heads">
          <h2 id="heads" class="mb-2 text-xl">{{ $t('practice.chooseAHead') }}</h2>
          <div class="grid gap-x-3 gap-y-2 sm:grid-cols-2 xl:grid-cols-3" role="radiogroup" aria-labelledby="heads">
            <label v-for="h in room.heads" :key="h.key" class="relative block">
              <input v-model="chosen" type="radio" name="head" :value="h.key" class="peer sr-only" />
              <span
                class="flex h-full min-h-28 gap-3 rounded-[7px] border-2 border-transparent bg-panel p-3 peer-checked:border-ink peer-checked:bg-raised peer-focus-visible:outline-3 peer-focus-visible:outline-signal"
              >
                <MiniHair
                  class="-ms-1 self-center"
                  :strands="Array.from({ length: h.zones }, () => [h.from_hex, h.to_hex])"
                  :width="72"
                  :height="60"
                  label=""
                  aria-hidden="true"
                />
                <span class="min-w-0">
                  <b class="block text-lg leading-tight">{{ h.title }}</b>
                  <span class="block text-[15px] leading-snug text-soft">{{ h.about }}</span>
                  <span class="narrow mt-1 block text-sm">{{
                    $t('practice.zones', { difficulties: difficulties[h.difficulty], zones: h.zones })
                  }}</span>
                </span>
              </span>
            </label>
            <label v-for="k in ['random', 'past']" :key="k" class="relative block">
              <input v-model="chosen" type="radio" name="head" :value="k" class="peer sr-only" />
              <span
                class="block h-full min-h-28 rounded-[7px] border-2 border-dashed border-strong p-3 peer-checked:border-solid peer-checked:border-ink peer-checked:bg-raised peer-focus-visible:outline-3 peer-focus-visible:outline-signal"
              >
                <b class="block text-lg leading-tight">{{
                  k === 'random' ? $t('practice.aHeadFromASeed') : $t('practice.oneOfYourOwnHeads')
                }}</b>
                <span class="block text-[15px] leading-snug text-soft">{{
                  k === 'random' ? $t('practice.fourToEightZonesDrawn') : $t('practice.aFiledHeadAsIt')
                }}</span>
              </span>
            </label>
          </div>
          <div v-if="chosen === 'past'" class="mt-3 max-w-xl">
            <label class="label" for="past-head">{{ $t('practice.whichHead') }}</label>
            <select id="past-head" v-model="past" class="field">
              <option value="" disabled>
                {{ room.past.length ? $t('practice.chooseOne') : $t('practice.nothingIsFiledYet') }}
              </option>
              <option v-for="p in room.past" :key="p.service_id" :value="p.service_id">
                {{ $t('practice.zones2', { client_name: p.client_name, starts_at: day(p.starts_at), zones: p.zones }) }}
              </option>
            </select>
          </div>
        </section>
        <section v-if="over.length" aria-labelledby="over">
          <h2 id="over" class="mb-2 text-xl">{{ $t('practice.over') }}</h2>
          <ul class="panel !py-1">
            <li
              v-for="r in over"
              :key="r.service_id"
              class="flex min-h-14 flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-1 first:border-t-0"
            >
              <p class="min-w-0 grow">
                <b>{{ r.title }}</b><span class="text-soft">
                  · {{ difficulties[r.difficulty] }} · {{ helps[r.help] }} · {{ day(r.begun_at)
                  }}<template v-if="r.played_by">
                    {{ ` ${$t('practice.by', { played_by: r.played_by })}` }}</template
                  ></span
                >
              </p>
              <p v-if="r.numbers" class="num text-lg whitespace-nowrap">
                <i18n-t keypath="practice.of" scope="global"
                  ><template #on_target>{{ r.numbers.on_target }}</template
                  ><template #lanes>{{ r.numbers.lanes }}</template
                  ><template #part1
                    ><span class="text-base text-soft">
                      {{ ` ${$t('practice.onTargetLooks', { looks: r.numbers.looks })}` }}</span
                    ></template
                  ></i18n-t
                >
              </p>
              <button type="button" class="btn !min-h-11" @click="drop(r)">{{ $t('practice.throwAway') }}</button>
              <RouterLink class="btn !min-h-11" :to="{ name: 'debrief', params: { id: r.service_id } }">{{
                $t('common.debrief')
              }}</RouterLink>
            </li>
          </ul>
        </section>
      </div>
      <aside class="flex flex-col gap-6">
        <section class="panel flex flex-col gap-4 lg:sticky lg:top-3" aria-labelledby="how">
          <h2 id="how" class="text-xl">
            {{
              head?.title ?? (chosen === 'random' ? $t('practice.aHeadFromASeed') : $t('practice.oneOfYourOwnHeads'))
            }}
          </h2>
          <Choice v-model="difficulty" :legend="$t('practice.whatIsHardAboutIt')" :options="hard" />
          <Choice v-model="help" :legend="$t('practice.whatTheBoardShows')" :options="helpWays" />
          <Tick v-model="hasMishaps">{{ $t('practice.thingsGoWrong') }}</Tick>
          <div>
            <label class="label" for="seed">{{ $t('practice.seedToPlayTheSame') }}</label>
            <input
              id="seed"
              v-model="seed"
              class="field num"
              inputmode="numeric"
              :placeholder="$t('practice.aNewOne')"
            />
          </div>
          <button type="button" class="btn btn-act min-h-16 text-lg" :disabled="isBusy || !isRight" @click="begin">
            {{ isBusy ? $t('practice.partingTheHair') : $t('common.begin') }}
          </button>
        </section>
        <section class="panel" aria-labelledby="progress">
          <h2 id="progress" class="mb-2 text-xl">{{ $t('practice.howYouDo') }}</h2>
          <p v-if="!room.progress.rounds && !room.progress.eyes.length" class="text-soft">
            {{ $t('practice.afterTheFirstDebriefIt') }}
          </p>
          <dl v-else class="grid grid-cols-2 gap-x-4 gap-y-2">
            <div>
              <dt class="text-sm text-soft">{{ $t('common.onTarget') }}</dt>
              <dd class="num text-[26px] leading-none">
                {{ percent(room.progress.on_target, room.progress.lanes) }}
              </dd>
            </div>
            <div>
              <dt class="text-sm text-soft">{{ $t('common.labelsKept') }}</dt>
              <dd class="num text-[26px] leading-none">
                {{ percent(room.progress.walls_kept, room.progress.lanes) }}
              </dd>
            </div>
            <div>
              <dt class="text-sm text-soft">{{ $t('practice.rounds') }}</dt>
              <dd class="num text-[26px] leading-none">{{ room.progress.rounds }}</dd>
            </div>
            <div v-if="room.progress.minutes_over_advice !== null">
              <dt class="text-sm text-soft">{{ $t('practice.besideTheBoardSOwn') }}</dt>
              <dd class="num text-[26px] leading-none">
                {{
                  $t('practice.min', {
                    what: room.progress.minutes_over_advice >= 0 ? '+' : '−',
                    minutes_over_advice: Math.abs(room.progress.minutes_over_advice).toFixed(0),
                  })
                }}
              </dd>
            </div>
          </dl>
          <ul v-if="room.progress.eyes.length" class="mt-3">
            <li v-for="e in room.progress.eyes" :key="e.mode" class="border-t border-line py-1.5">
              <b>{{ $t('practice.eye', { mode: modeName(e.mode) }) }}</b> {{ offText(e.bias) }}{{ ' '
              }}<span class="text-soft">{{
                $t('practice.answersOnAScreen', { bias_std: fixed(e.bias_std, 2), count: e.count })
              }}</span>
            </li>
          </ul>
          <div v-if="room.progress.last.length > 1" class="mt-3 flex h-16 items-end gap-1" aria-hidden="true">
            <span
              v-for="(n, i) in [...room.progress.last].reverse()"
              :key="i"
              class="grow rounded-t-[2px] bg-ink"
              :style="{ height: `${Math.max((n.on_target / Math.max(n.lanes, 1)) * 100, 4)}%` }"
            />
          </div>
          <Tick class="mt-3" :model-value="room.is_shared" @update:model-value="setShared">{{
            $t('practice.theOwnerMaySeeThis')
          }}</Tick>
        </section>
        <section v-if="room.shared.length" class="panel" aria-labelledby="others">
          <h2 id="others" class="mb-2 text-xl">{{ $t('practice.whoSharesWithYou') }}</h2>
          <ul>
            <li v-for="p in room.shared" :key="p.member_id" class="border-t border-line py-2 first:border-t-0">
              <b>{{ p.name }}</b><span class="num text-soft">
                {{
                  ` ${$t('practice.onTarget', { rounds: $t('count.rounds', p.rounds), on_target: percent(p.on_target, p.lanes) })}`
                }}</span
              >
              <span v-for="e in p.eyes" :key="e.mode" class="block text-sm text-soft"
                >{{ modeName(e.mode) }}: {{ offText(e.bias) }}</span
              >
            </li>
          </ul>
        </section>
      </aside>
    </div>
  </main>
</template>
