<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { begins } from '../api/begin'
import { beginRound } from '../api/practice'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'

/** What a new studio has still to do: a quarter of an hour, in any order; gone when a service has begun. */
const query = useQuery(begins.steps())
const said = {
  shelf: {
    title: $t('firstSteps.whatYouLightenWith'),
    why: $t('firstSteps.lightenersWithTheirLabelsAnd'),
    to: 'shelf',
  },
  toners: {
    title: $t('firstSteps.whatYouToneWith'),
    why: $t('firstSteps.shadesByFamilyAndDepth'),
    to: 'shelf',
  },
  school: { title: $t('firstSteps.howYouWork'), why: $t('firstSteps.paceUsualStrengthsHowFast'), to: 'studio' },
  members: { title: $t('firstSteps.whoWorksHere'), why: $t('firstSteps.othersAndWhatEachMay'), to: 'studio' },
  eye: {
    title: $t('firstSteps.howYouSee'),
    why: $t('firstSteps.twelveStrandsFiveMinutesYour'),
    to: 'calibrate',
  },
  service: {
    title: $t('firstSteps.aFirstHead'),
    why: $t('firstSteps.newServiceUpHereOr'),
    to: null,
  },
} as const
const router = useRouter()
const notices = useNotices()
const isBusy = ref(false)
/** A simulated head, told already: what a plan comes to, without anyone waiting. */
const practice = async () => {
  isBusy.value = true
  try {
    const { service_id } = await beginRound({ head: 'six', help: 'full', has_mishaps: false })
    await router.push({ name: 'consultation', params: { id: service_id } })
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
  }
}
const steps = computed(() => (query.data.value ?? []).map((s) => ({ ...s, ...said[s.code] })))
const isNew = computed(() => steps.value.some((s) => s.code === 'service' && !s.is_done))
const next = computed(() => steps.value.find((s) => !s.is_done)?.code)
</script>

<template>
  <section v-if="isNew" class="panel mb-4" aria-labelledby="first-steps">
    <h2 id="first-steps" class="text-2xl">{{ $t('firstSteps.firstSteps') }}</h2>
    <p class="mb-2 text-soft">{{ $t('firstSteps.aQuarterOfAnHour') }}</p>
    <ol>
      <li v-for="(s, i) in steps" :key="s.code" class="flex min-h-16 items-center gap-4 border-t border-line py-2">
        <span class="num w-6 text-2xl" :class="{ 'text-soft': s.is_done }" aria-hidden="true">{{
          s.is_done ? '✓' : i + 1
        }}</span>
        <span class="grow"
          ><strong class="block text-lg leading-tight" :class="{ 'text-soft': s.is_done }">{{ s.title }}</strong
          ><span class="text-soft">{{ s.is_done ? $t('firstSteps.done') : s.why }}</span></span
        >
        <button
          v-if="s.code === 'service' && !s.is_done"
          type="button"
          class="btn"
          :disabled="isBusy"
          @click="practice"
        >
          {{ $t('firstSteps.aPracticeHead') }}
        </button>
        <RouterLink v-if="s.to" class="btn" :class="{ 'btn-act': s.code === next }" :to="{ name: s.to }">{{
          s.is_done ? $t('common.look') : $t('firstSteps.goThere')
        }}</RouterLink>
      </li>
    </ol>
  </section>
</template>
