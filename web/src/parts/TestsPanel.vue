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

/** The small tests, each with its steps and what follows from it. */
const props = defineProps<{ draft: Draft; service: Schemas['ServiceOut']; isLocked: boolean }>()
const emit = defineEmits<{ edit: [change: (draft: Draft) => void] }>()
const client = useQueryClient()
const notices = useNotices()

const patchSays: Record<Schemas['PatchState'], string> = {
  not_placed: 'Not placed. Oxidative toner stays locked until one is read clear.',
  waiting: 'Placed, not old enough to be read.',
  due: 'Due: read it now.',
  clear: 'Read clear.',
  expired: 'Read clear, but too long ago: place a new one.',
  reacted: 'Reacted: no oxidative dye.',
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
    'Patch test placed now; it stands on the Day when it is due.',
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
  returns: 'Sound: no limit from this test.',
  slow: 'Weaker developer, shorter time, strand test.',
  stays_stretched: 'Must not be lightened.',
  snaps: 'Must not be lightened.',
}
</script>

<template>
  <fieldset class="flex flex-col gap-5" :disabled="isLocked">
    <legend class="sr-only">Tests</legend>
    <section aria-labelledby="t-patch">
      <h3 id="t-patch" class="mb-1 text-lg">Patch test</h3>
      <p class="mb-2">
        {{ patchSays[service.patch_state] }}
        <span v-if="service.patch_test_placed_at" class="text-soft">
          Placed {{ dayName(service.patch_test_placed_at) }}, {{ clockText(service.patch_test_placed_at) }}.
        </span>
      </p>
      <div class="flex flex-wrap gap-2">
        <button v-if="['not_placed', 'expired'].includes(service.patch_state)" type="button" class="btn" @click="place">
          Placed behind the ear now
        </button>
        <template v-if="service.patch_state === 'due'">
          <button type="button" class="btn" @click="patch({ patch_test_result: 'negative' }, 'Patch test read clear.')">
            Clear
          </button>
          <button
            type="button"
            class="btn btn-stop"
            @click="patch({ patch_test_result: 'positive' }, 'Reaction kept.')"
          >
            Red, itching or swollen
          </button>
        </template>
      </div>
    </section>

    <section aria-labelledby="t-salts">
      <h3 id="t-salts" class="mb-1 text-lg">Salts test</h3>
      <p class="mb-2 text-[15px] text-soft">
        Cut a hidden strand. Lay it for 30 min in 20 vol with a few drops of ammonia water, in glass, away from the
        head. Watch it.
      </p>
      <template v-if="signs === null">
        <Choice
          legend="Result so far"
          :options="saltsTests"
          :model-value="draft.salts_test ?? null"
          @update:model-value="(v) => emit('edit', (d) => (d.salts_test = v))"
        />
        <button type="button" class="btn mt-2" @click="emit('edit', (d) => (d.salts_signs = []))">
          Done: tell what it did
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
              ? 'Positive: metallic salts. Must not be lightened.'
              : 'Nothing happened: clear.'
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
          Not done after all
        </button>
      </template>
    </section>

    <section aria-labelledby="t-elastic">
      <h3 id="t-elastic" class="mb-1 text-lg">Elasticity</h3>
      <p class="mb-2 text-[15px] text-soft">Wet one hair, lay it on a ruler, pull slowly as far as it gives, let go.</p>
      <div class="grid gap-3 sm:grid-cols-2">
        <Stepper v-model="rest" label="At rest" unit="mm" :min="20" :max="500" :step="10" />
        <Stepper
          :model-value="pulled"
          label="Pulled to"
          unit="mm"
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
          label="Back at"
          unit="mm"
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
          Stretched {{ service.stretch.stretch_percent.toFixed(0) }} %,
          {{ service.stretch.return_percent.toFixed(0) }} % of it went back.
        </span>
      </p>
      <div class="mt-2 flex flex-wrap items-end gap-3">
        <button type="button" class="btn" @click="measure(true)">It snapped</button>
        <Choice
          legend="Or by feel"
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
      <h3 id="t-strand" class="mb-1 text-lg">Strand test</h3>
      <p class="mb-2">
        {{ draft.strands.length ? `${draft.strands.length} on the bench.` : 'None yet.' }} {{ service.move_text ?? '' }}
      </p>
      <RouterLink class="btn" :to="{ name: 'strands', params: { id: service.id } }">To the strand bench</RouterLink>
    </section>
  </fieldset>
</template>
