<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { camera, keepRound, readStrand, simulatedStrands, strandPicture, undoRound } from '../api/camera'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'
import { levelText, fixed } from '../lib/time'
import { modes } from '../lib/words'
import Choice from '../parts/Choice.vue'
import PictureTaker from '../parts/PictureTaker.vue'
import SwatchScale from '../parts/SwatchScale.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

/** A calibration round: a dozen strands or swatches, named by eye and then measured; the eye is known from then on. */
const STRAND_START = 3
type Pair = Schemas['PairIn']
const card = useQuery(camera.card())
const palette = useQuery(queries.palette(STRAND_START))
const client = useQueryClient()
const notices = useNotices()
const mode = ref<Schemas['ReadingMode']>('wiped')
const pairs = ref<Pair[]>([])
const seen = ref<number | null>(null)
const strands = ref<Schemas['StrandsOut'] | null>(null)
const why = ref('')
const isBusy = ref(false)
const kept = ref<Schemas['EyeOut'][] | null>(null)
const isSimulated = computed(() => card.data.value?.is_camera_simulated ?? false)
const strandCount = computed(() => card.data.value?.round_strands ?? 12)
const number = computed(() => pairs.value.length)
const isDone = computed(() => number.value >= strandCount.value)
const hex = computed(() => strands.value?.hexes[number.value])
const last = computed(() => pairs.value[pairs.value.length - 1])
const mine = computed(() => kept.value?.filter((e) => e.mode === mode.value).map((e) => e.says) ?? [])

const begin = async () => {
  pairs.value = []
  seen.value = null
  kept.value = null
  why.value = ''
  try {
    if (isSimulated.value) strands.value = await simulatedStrands()
  } catch (error) {
    notices.fail(error)
  }
}
const know = (known: number, known_std?: number) => {
  if (seen.value === null) return
  pairs.value = [...pairs.value, { seen: seen.value, known, known_std }]
  seen.value = null
}
const read = async (taken: Blob | Promise<Blob>) => {
  why.value = ''
  isBusy.value = true
  try {
    const found = await readStrand(await taken)
    know(found.level, found.level_std)
  } catch (error) {
    why.value = error instanceof Error ? error.message : $t('common.thePictureCouldNotBe')
  } finally {
    isBusy.value = false
  }
}
const simulate = () => {
  if (strands.value) void read(strandPicture(strands.value.seed, number.value))
}
const back = () => {
  if (seen.value !== null) seen.value = null
  else pairs.value = pairs.value.slice(0, -1)
}
const told = async (eyes: Schemas['EyeOut'][]) => {
  kept.value = eyes
  client.setQueryData(['eyes'], eyes)
  await client.invalidateQueries({ queryKey: ['board'] })
}
const undo = async () => {
  try {
    await told(await undoRound())
    kept.value = null
    notices.say($t('calibrate.theRoundIsTakenBack'))
  } catch (error) {
    notices.fail(error)
  }
}
const finish = async () => {
  isBusy.value = true
  try {
    await told(await keepRound({ mode: mode.value, pairs: pairs.value }))
    notices.say($t('calibrate.yourEyeIsKnownNow'), () => void undo())
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
watch(isSimulated, begin, { immediate: true })
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[900px] px-4 pt-2 pb-24 sm:px-6">
    <h1 class="mb-1 text-[34px] leading-tight">{{ $t('common.yourEye') }}</h1>
    <p class="mb-4 text-soft">
      {{ $t('calibrate.twelveStrandsOrSwatchesFive') }}
    </p>
    <div class="mb-4 flex h-3 gap-1" :aria-label="$t('calibrate.ofDone', { number, strandCount })" role="img">
      <span v-for="n in strandCount" :key="n" class="grow rounded-[2px]" :class="n <= number ? 'bg-ink' : 'bg-sunk'" />
    </div>
    <section v-if="kept" class="panel" aria-live="polite">
      <h2 class="mb-2 text-2xl">{{ mine.length ? mine.join(' · ') : $t('common.kept2') }}</h2>
      <p class="mb-4">{{ $t('calibrate.everyReadingOfYoursIs') }}</p>
      <div class="flex flex-wrap gap-2">
        <RouterLink class="btn btn-act" :to="{ name: 'day' }">{{ $t('common.toTheDay') }}</RouterLink>
        <button type="button" class="btn" @click="begin">{{ $t('calibrate.anotherRound') }}</button>
        <button type="button" class="btn" @click="undo">{{ $t('calibrate.takeItBack') }}</button>
      </div>
    </section>
    <section v-else-if="isDone" class="panel">
      <h2 class="mb-2 text-2xl">{{ $t('calibrate.twelveDone') }}</h2>
      <p class="num mb-4 text-soft">
        {{ pairs.map((p) => `${levelText(p.seen)}/${fixed(p.known, 1)}`).join('  ') }}
      </p>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="btn btn-act min-h-16 text-lg" :disabled="isBusy" @click="finish">
          {{ $t('common.keepIt') }}
        </button>
        <button type="button" class="btn" @click="back">{{ $t('calibrate.oneBack') }}</button>
      </div>
    </section>
    <section v-else class="panel flex flex-col gap-4" aria-labelledby="strand">
      <Choice v-if="number === 0" v-model="mode" :legend="$t('calibrate.howYouLook')" :options="modes" />
      <h2 id="strand" class="text-2xl">
        <i18n-t keypath="calibrate.strandOf" scope="global"
          ><template #number>{{ number + 1 }}</template
          ><template #strandCount>{{ strandCount }}</template
          ><template #part1
            ><span v-if="last" class="ms-2 text-base font-normal text-soft"
              ><i18n-t keypath="calibrate.theLastYouItIs" scope="global"
                ><template #seen
                  ><b class="num">{{ levelText(last.seen) }}</b></template
                ><template #known
                  ><b class="num">{{ fixed(last.known, 1) }}</b></template
                ></i18n-t
              ></span
            ></template
          ></i18n-t
        >
      </h2>
      <div
        v-if="hex"
        class="swatch h-28 rounded-[5px]"
        :style="{ background: hex }"
        role="img"
        :aria-label="$t('calibrate.theStrandSimulated')"
      />
      <SwatchScale
        v-if="palette.data.value"
        :key="number"
        :legend="$t('calibrate.whatYouSee')"
        :levels="palette.data.value.levels"
        :hexes="palette.data.value.hexes"
        :undertones="palette.data.value.undertones"
        :model-value="seen"
        is-large
        @update:model-value="(level) => (seen = level)"
      />
      <div v-if="seen !== null" class="flex flex-col gap-3">
        <p class="text-lg">
          <i18n-t keypath="calibrate.youSeeNowWhatIt" scope="global"
            ><template #seen
              ><b class="num text-2xl">{{ levelText(seen) }}</b></template
            ></i18n-t
          >
        </p>
        <div class="flex flex-wrap items-center gap-3">
          <PictureTaker
            :is-busy="isBusy"
            is-next
            :is-again="why !== ''"
            :is-simulated="isSimulated && strands !== null"
            @take="read"
            @simulate="simulate"
          />
        </div>
        <p v-if="why" class="rounded-[5px] border-s-[8px] border-ink bg-raised p-3 text-lg" role="alert">{{ why }}</p>
        <details>
          <summary class="cursor-pointer py-2">{{ $t('calibrate.aSwatchWhoseLevelIs') }}</summary>
          <SwatchScale
            v-if="palette.data.value"
            :legend="$t('common.itsLevel')"
            :levels="palette.data.value.levels"
            :hexes="palette.data.value.hexes"
            :model-value="null"
            @update:model-value="(level) => know(level)"
          />
        </details>
      </div>
      <button v-if="number > 0 || seen !== null" type="button" class="btn self-start" @click="back">
        {{ $t('calibrate.oneBack') }}
      </button>
    </section>
  </main>
</template>
