<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import type { Schemas } from '../api/client'
import { changeClient } from '../api/queries'
import { clock as clockText, dayName } from '../lib/time'
import { elasticities, saltsSigns, saltsTests } from '../lib/words'
import type { Draft } from '../stores/consultation'
import { useNotices } from '../stores/notices'
import Choice from './Choice.vue'
import Stepper from './Stepper.vue'
import Tick from './Tick.vue'
import { $t } from '../lib/i18n'

/** The small tests, each with its steps and what follows from it. */
const props = defineProps<{ draft: Draft; service: Schemas['ServiceOut']; isLocked: boolean }>()
const emit = defineEmits<{ edit: [change: (draft: Draft) => void] }>()
const client = useQueryClient()
const notices = useNotices()

const patchSays: Record<Schemas['PatchState'], string> = {
  not_placed: $t('testsPanel.notPlacedOxidativeTonerStays'),
  waiting: $t('testsPanel.placedNotOldEnoughTo'),
  due: $t('testsPanel.dueReadItNow'),
  clear: $t('testsPanel.readClear'),
  expired: $t('testsPanel.readClearButTooLong'),
  reacted: $t('testsPanel.reactedNoOxidativeDye'),
}
const patch = async (body: Schemas['ClientIn'], said: string) => {
  try {
    await changeClient(props.service.client_id, body)
    await client.invalidateQueries()
    notices.say(said)
  } catch (error) {
    notices.fail(error)
  }
}
const place = () =>
  patch(
    { patch_test_placed_at: new Date().toISOString(), patch_test_result: 'not_done' },
    $t('testsPanel.patchTestPlacedNowIt'),
  )

type Sign = (typeof saltsSigns)[number]['value']
const signs = computed(() => props.draft.salts_signs ?? null)
const sign = (value: Sign, isOn: boolean) =>
  emit('edit', (d) => (d.salts_signs = [...(d.salts_signs ?? []).filter((s) => s !== value), ...(isOn ? [value] : [])]))

const rest = ref(props.draft.stretch?.rest_mm ?? 100)
const pulled = ref<number | null>(props.draft.stretch?.pulled_mm ?? null)
const back = ref<number | null>(props.draft.stretch?.back_mm ?? null)
/** Told to the server once all three lengths are there; what they say is its to work out. */
const measure = (hasSnapped: boolean) => {
  const lengths = { rest_mm: rest.value, pulled_mm: pulled.value ?? rest.value, back_mm: back.value ?? rest.value }
  if (!hasSnapped && (pulled.value === null || back.value === null)) return
  emit('edit', (d) => (d.stretch = { ...lengths, has_snapped: hasSnapped }))
}
const elasticityName = computed(() => elasticities.find((e) => e.value === props.draft.elasticity)?.name ?? '')
const elasticitySays: Record<string, string> = {
  returns: $t('testsPanel.soundNoLimitFromThis'),
  slow: $t('testsPanel.weakerDeveloperShorterTimeStrand'),
  stays_stretched: $t('testsPanel.mustNotBeLightened'),
  snaps: $t('testsPanel.mustNotBeLightened'),
}
</script>

<template>
  <fieldset class="flex flex-col gap-5" :disabled="isLocked">
    <legend class="sr-only">{{ $t('common.tests') }}</legend>
    <section aria-labelledby="t-patch">
      <h3 id="t-patch" class="mb-1 text-lg">{{ $t('testsPanel.patchTest') }}</h3>
      <p class="mb-2">
        {{ patchSays[service.patch_state] }}
        <span v-if="service.patch_test_placed_at" class="text-soft">
          {{
            $t('testsPanel.placed', {
              patch_test_placed_at: dayName(service.patch_test_placed_at),
              patch_test_placed_at2: clockText(service.patch_test_placed_at),
            })
          }}
        </span>
      </p>
      <div class="flex flex-wrap gap-2">
        <button v-if="['not_placed', 'expired'].includes(service.patch_state)" type="button" class="btn" @click="place">
          {{ $t('testsPanel.placedBehindTheEarNow') }}
        </button>
        <template v-if="service.patch_state === 'due'">
          <button
            type="button"
            class="btn"
            @click="patch({ patch_test_result: 'negative' }, $t('testsPanel.patchReadClear'))"
          >
            {{ $t('common.clear') }}
          </button>
          <button
            type="button"
            class="btn btn-stop"
            @click="patch({ patch_test_result: 'positive' }, $t('testsPanel.reactionKept'))"
          >
            {{ $t('testsPanel.redItchingOrSwollen') }}
          </button>
        </template>
      </div>
    </section>

    <section aria-labelledby="t-salts">
      <h3 id="t-salts" class="mb-1 text-lg">{{ $t('testsPanel.saltsTest') }}</h3>
      <p class="mb-2 text-[15px] text-soft">
        {{ $t('testsPanel.cutAHiddenStrandLay') }}
      </p>
      <template v-if="signs === null">
        <Choice
          :legend="$t('testsPanel.resultSoFar')"
          :options="saltsTests"
          :model-value="draft.salts_test ?? null"
          @update:model-value="(v) => emit('edit', (d) => (d.salts_test = v))"
        />
        <button type="button" class="btn mt-2" @click="emit('edit', (d) => (d.salts_signs = []))">
          {{ $t('testsPanel.doneTellWhatItDid') }}
        </button>
      </template>
      <template v-else>
        <div class="flex flex-wrap gap-x-5">
          <Tick
            v-for="s in saltsSigns"
            :key="s.value"
            :model-value="signs.includes(s.value)"
            @update:model-value="(v) => sign(s.value, v)"
          >
            {{ s.name }}
          </Tick>
        </div>
        <p :class="draft.salts_test === 'positive' ? 'font-bold text-stop' : 'font-semibold'">
          {{
            draft.salts_test === 'positive'
              ? $t('testsPanel.positiveMetallicSaltsMustNot')
              : $t('testsPanel.nothingHappenedClear')
          }}
        </p>
        <button
          type="button"
          class="btn btn-quiet mt-1 !px-0 underline"
          @click="
            emit('edit', (d) => {
              d.salts_signs = null
              d.salts_test = 'not_done'
            })
          "
        >
          {{ $t('testsPanel.notDoneAfterAll') }}
        </button>
      </template>
    </section>

    <section aria-labelledby="t-elastic">
      <h3 id="t-elastic" class="mb-1 text-lg">{{ $t('testsPanel.elasticity') }}</h3>
      <p class="mb-2 text-[15px] text-soft">{{ $t('testsPanel.wetOneHairLayIt') }}</p>
      <div class="grid gap-3 sm:grid-cols-2">
        <Stepper v-model="rest" :label="$t('testsPanel.atRest')" measure="mm" :min="20" :max="500" :step="10" />
        <Stepper
          :model-value="pulled"
          :label="$t('testsPanel.pulledTo')"
          measure="mm"
          :min="20"
          :max="1000"
          :step="5"
          @update:model-value="
            (v) => {
              pulled = v
              measure(false)
            }
          "
        />
        <Stepper
          :model-value="back"
          :label="$t('testsPanel.backAt')"
          measure="mm"
          :min="20"
          :max="1000"
          :step="1"
          @update:model-value="
            (v) => {
              back = v
              measure(false)
            }
          "
        />
      </div>
      <p class="mt-2">
        <strong>{{ elasticityName }}.</strong> {{ elasticitySays[draft.elasticity ?? 'returns'] }}
        <span v-if="draft.stretch && service.stretch" class="text-soft">
          {{
            $t('testsPanel.stretchedOfItWentBack', {
              stretch_percent: service.stretch.stretch_percent.toFixed(0),
              return_percent: service.stretch.return_percent.toFixed(0),
            })
          }}
        </span>
      </p>
      <div class="mt-2 flex flex-wrap items-end gap-3">
        <button type="button" class="btn" @click="measure(true)">{{ $t('testsPanel.itSnapped') }}</button>
        <Choice
          :legend="$t('testsPanel.orByFeel')"
          :options="elasticities"
          :model-value="draft.elasticity ?? null"
          @update:model-value="
            (v) =>
              emit('edit', (d) => {
                d.stretch = null
                d.elasticity = v
              })
          "
        />
      </div>
    </section>

    <section aria-labelledby="t-strand">
      <h3 id="t-strand" class="mb-1 text-lg">{{ $t('testsPanel.strandTest') }}</h3>
      <p class="mb-2">
        {{
          draft.strands.length ? $t('testsPanel.onTheBench', { count: draft.strands.length }) : $t('testsPanel.noneYet')
        }}
        {{ service.move_text ?? '' }}
      </p>
      <RouterLink class="btn" :to="{ name: 'strands', params: { id: service.id } }">{{
        $t('testsPanel.toTheStrandBench')
      }}</RouterLink>
    </section>
  </fieldset>
</template>
