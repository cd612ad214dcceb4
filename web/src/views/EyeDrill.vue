<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { answerDrill, beginDrill } from '../api/practice'
import type { Schemas } from '../api/client'
import { offText } from '../lib/eye'
import { countdown, levelText, fixed } from '../lib/time'
import { modeName, undertones, undertoneName } from '../lib/words'
import Choice from '../parts/Choice.vue'
import HairStrand from '../parts/HairStrand.vue'
import SwatchScale from '../parts/SwatchScale.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

/** Twelve strands in two minutes: level and undertone, told at once. Weak evidence of an eye, for it is a screen. */
const client = useQueryClient()
const notices = useNotices()
const mode = ref<'dry' | 'wiped'>('dry')
const drill = ref<Schemas['DrillOut'] | null>(null)
const at = ref(0)
const level = ref<number | null>(null)
const answers = ref<Schemas['DrillAnswerIn'][]>([])
const result = ref<Schemas['DrilledOut'] | null>(null)
const isBusy = ref(false)
const leftS = ref(0)
const strand = computed(() => drill.value?.strands[at.value])
const last = computed(() => {
  const told = answers.value.at(-1)
  const was = told && drill.value?.strands.find((s) => s.number === told.number)
  return told && was ? { told, was } : null
})
const { pause, resume } = useIntervalFn(
  () => {
    leftS.value -= 1
    if (leftS.value <= 0) void finish()
  },
  1_000,
  { immediate: false },
)
const begin = async () => {
  isBusy.value = true
  try {
    drill.value = await beginDrill(mode.value)
    at.value = 0
    level.value = null
    answers.value = []
    result.value = null
    leftS.value = drill.value.seconds
    resume()
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const answer = (undertone: Schemas['Undertone']) => {
  if (!drill.value || !strand.value || level.value === null) return
  answers.value = [...answers.value, { number: strand.value.number, level: level.value, undertone }]
  level.value = null
  if (at.value + 1 >= drill.value.strands.length) void finish()
  else at.value += 1
}
const finish = async () => {
  pause()
  if (!drill.value || isBusy.value) return
  if (answers.value.length === 0) {
    drill.value = null
    return
  }
  isBusy.value = true
  try {
    result.value = await answerDrill({
      seed: drill.value.seed,
      mode: drill.value.mode as 'dry',
      answers: answers.value,
    })
    void client.invalidateQueries({ queryKey: ['practice'] })
    void client.invalidateQueries({ queryKey: ['eyes'] })
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const ways = [
  { value: 'dry', name: $t('eyeDrill.dryHair') },
  { value: 'wiped', name: $t('eyeDrill.wipedAsInAFoil') },
] as const
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[900px] px-4 pt-2 pb-24 sm:px-6">
    <h1 class="text-[34px] leading-tight">{{ $t('common.eyeDrill') }}</h1>
    <p class="mb-4 text-soft">
      {{ $t('eyeDrill.twelveStrandsInTwoMinutes') }}
    </p>
    <section v-if="!drill" class="panel flex flex-col gap-4">
      <Choice v-model="mode" :legend="$t('eyeDrill.whatYouLookAt')" :options="ways" />
      <button type="button" class="btn btn-act min-h-16 text-lg" :disabled="isBusy" @click="begin">
        {{ $t('common.begin') }}
      </button>
    </section>
    <section v-else-if="result" class="panel" aria-live="polite">
      <h2 class="mb-3 text-2xl">
        {{
          $t('eyeDrill.namedOnAverageUndertonesRight', {
            count: result.count,
            mean_error: offText(result.mean_error),
            right_undertones: result.right_undertones,
          })
        }}
      </h2>
      <ul class="mb-4 grid gap-2 sm:grid-cols-2">
        <li v-for="a in answers" :key="a.number" class="flex items-center gap-3">
          <HairStrand
            class="!h-11 !w-24 shrink-0"
            :colours="drill.strands.find((s) => s.number === a.number)!.colours"
            :seed="drill.strands.find((s) => s.number === a.number)!.seed"
            :is-wet="drill.mode === 'wiped'"
            label=""
          />
          <span class="num text-lg"
            >{{ levelText(a.level)
            }}<span class="text-soft">
              {{
                ` ${$t('eyeDrill.itIs', { level: fixed(drill.strands.find((s) => s.number === a.number)!.level, 1), undertone: undertoneName(drill.strands.find((s) => s.number === a.number)!.undertone) })}`
              }}</span
            ></span
          >
        </li>
      </ul>
      <p v-for="e in result.eyes" :key="e.mode" class="mb-1 text-lg">
        <i18n-t keypath="eyeDrill.yourEyeOnAScreen" scope="global"
          ><template #mode>{{ modeName(e.mode) }}</template
          ><template #what>{{ ' ' }}</template
          ><template #bias
            ><b>{{ offText(e.bias) }}</b></template
          ><template #part2
            ><span class="text-soft">{{
              $t('eyeDrill.answers', { bias_std: fixed(e.bias_std, 2), count: e.count })
            }}</span></template
          ></i18n-t
        >
      </p>
      <div class="mt-4 flex flex-wrap gap-2">
        <button type="button" class="btn btn-act" :disabled="isBusy" @click="begin">{{ $t('common.onceMore') }}</button>
        <RouterLink class="btn" :to="{ name: 'practice' }">{{ $t('eyeDrill.toPractice') }}</RouterLink>
      </div>
    </section>
    <section v-else-if="strand" class="panel flex flex-col gap-4" aria-labelledby="strand">
      <div class="flex items-baseline gap-4">
        <h2 id="strand" class="grow text-2xl">
          {{ $t('eyeDrill.strandOf', { at: at + 1, count: drill.strands.length }) }}
        </h2>
        <p class="num text-[30px] leading-none" :aria-label="$t('eyeDrill.timeLeft')">{{ countdown(leftS / 60) }}</p>
      </div>
      <HairStrand
        class="!h-40"
        :colours="strand.colours"
        :seed="strand.seed"
        :is-wet="drill.mode === 'wiped'"
        :label="$t('eyeDrill.aStrandToName')"
      />
      <SwatchScale
        :key="at"
        :legend="$t('common.itsLevel')"
        :levels="drill.levels"
        :hexes="drill.hexes"
        :model-value="level"
        is-large
        @update:model-value="(n) => (level = n)"
      />
      <fieldset :disabled="level === null">
        <legend class="label">
          {{ level === null ? $t('eyeDrill.thenItsUndertone') : $t('eyeDrill.itsUndertone') }}
        </legend>
        <div class="flex flex-wrap gap-1">
          <button v-for="u in undertones" :key="u" type="button" class="btn !px-2.5" @click="answer(u)">
            {{ undertoneName(u) }}
          </button>
        </div>
      </fieldset>
      <p v-if="last" class="num min-h-8 text-lg" aria-live="polite">
        <i18n-t keypath="eyeDrill.theLastYouSaidIt" scope="global"
          ><template #undertone>{{ undertoneName(last.was.undertone) }}</template
          ><template #level
            ><b>{{ levelText(last.told.level) }}</b></template
          ><template #level2
            ><b>{{ fixed(last.was.level, 1) }}</b></template
          ><template #part3
            ><span class="text-soft">({{ offText(last.told.level - last.was.level) }})</span></template
          ></i18n-t
        >
      </p>
      <button v-if="answers.length" type="button" class="btn self-start" @click="finish">
        {{ $t('eyeDrill.enough') }}
      </button>
    </section>
  </main>
</template>
