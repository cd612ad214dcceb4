<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, onBeforeUnmount, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { addPhoto } from '../api/afterwards'
import { keepAnswer } from '../api/answers'
import type { Schemas } from '../api/client'
import { queries, readStrandCsv, writeStrandCsv } from '../api/queries'
import { readText, saveText } from '../lib/files'
import { strandAxes } from '../lib/strip'
import { levelText } from '../lib/time'
import { modes } from '../lib/words'
import FootBar from '../parts/FootBar.vue'
import Choice from '../parts/Choice.vue'
import Sheet from '../parts/Sheet.vue'
import Stepper from '../parts/Stepper.vue'
import HairStrand from '../parts/HairStrand.vue'
import StrandCard from '../parts/StrandCard.vue'
import SwatchScale from '../parts/SwatchScale.vue'
import UndoButton from '../parts/UndoButton.vue'
import { useAttention } from '../stores/attention'
import { useClock } from '../stores/clock'
import { useConsultation } from '../stores/consultation'
import { useNotices } from '../stores/notices'
import { usePractice } from '../stores/practice'
import { $t } from '../lib/i18n'

const props = defineProps<{
  service: Schemas['ServiceOut']
  shelf: Schemas['ShelfOut']
  natural: Schemas['PaletteOut']
}>()
const client = useQueryClient()
const clock = useClock()
const notices = useNotices()
const form = useConsultation(props.service)
const isLocked = computed(() => !['consultation', 'plan', 'strands'].includes(props.service.step))
/** Where the bench leads: back to where it was opened, or on to the record where nothing but strands is tested. */
const onward = computed(
  () =>
    ({
      consultation: { step: 'consultation', name: $t('common.backToTheConsultation') },
      strands: { step: 'record', name: $t('common.toTheRecord') },
    })[props.service.step as string] ?? { step: 'plan', name: $t('strandBench.backToThePlan') },
)
const strands = computed(() => form.draft.value.strands)
const fitted = computed(() => new Map(props.service.strands.map((s) => [s.key, s])))
const zoneNames = computed(() => Object.fromEntries(form.draft.value.zones.map((z) => [z.key, z.name])))

const change = (key: string, edit: (strand: Schemas['StrandIn']) => void) =>
  form.change((d) => {
    const found = d.strands.find((s) => s.key === key)
    if (found) edit(found)
  })
const add = () => {
  const letters = 'ABCDEFGHIJKL'
  const key = [...letters].find((l) => !strands.value.some((s) => s.key === l))
  const lightener = props.service.lightener_key ?? props.shelf.lighteners[0]?.key
  if (!key || !lightener) return
  const last = strands.value[strands.value.length - 1]
  const zone = form.draft.value.zones.find((z) => !z.keeps_depth) ?? form.draft.value.zones[0]
  form.change((d) =>
    d.strands.push({
      key,
      zone_key: last?.zone_key ?? zone?.key ?? '',
      lightener_key: last?.lightener_key ?? lightener,
      start_level: last?.start_level ?? zone?.start_level ?? 5,
      history: zone?.history ?? 'virgin',
      thickness: zone?.thickness ?? 'medium',
      porosity: zone?.porosity ?? 'normal',
      undertone: null,
      tint_level: zone?.tint_level ?? null,
      dye_hue: zone?.dye_hue ?? null,
      elasticity: 'returns',
      breakage: 'none',
      volume_strength: last ? Math.min(40, last.volume_strength + 10) : 20,
      covering: last?.covering ?? 'foil',
      has_additive: false,
      readings: [],
      stretch_before_percent: null,
      stretch_after_percent: null,
      started_at: null,
      ended_at: null,
    }),
  )
}

const reading = ref<string | null>(null)
const readStrand = computed(() => strands.value.find((s) => s.key === reading.value) ?? null)
const mode = ref<(typeof modes)[number]['value']>('wiped')
const minute = ref(10)
const palette = useQuery(
  computed(() => ({
    ...queries.palette(readStrand.value?.start_level ?? null),
    enabled: readStrand.value !== null,
  })),
)
const practice = usePractice()
/** In practice the strand itself is looked at, as it is at that minute. */
const lies = computed(() => {
  const found = practice.of(props.service.id)?.strands.find((s) => s.key === reading.value)
  const colours = found?.wiped[Math.min(Math.round(minute.value / found.step_min), found.wiped.length - 1)]
  return found && colours ? { colours, seed: found.seed } : null
})
const openReading = (key: string) => {
  if (practice.round) void form.settle().then(() => practice.renew())
  const strand = strands.value.find((s) => s.key === key)
  const to = strand?.ended_at ? new Date(strand.ended_at).getTime() : clock.now
  const last = strand?.readings?.[strand.readings.length - 1]?.minutes ?? 0
  minute.value = strand?.started_at
    ? Math.max(0, Math.round((to - new Date(strand.started_at).getTime()) / 6_000) / 10)
    : last + 10
  past.value = null
  reading.value = key
}
const photograph = async (event: Event) => {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    await addPhoto(
      props.service.id,
      file,
      'other',
      $t('strandBench.strandAtMin', { reading: reading.value, minute: minute.value.toFixed(0) }),
    )
    notices.say($t('strandBench.keptAmongThePhotosOf'))
  } catch (error) {
    notices.fail(error)
  }
}
const axes = computed(() => strandAxes([...fitted.value.values()]))
const lookOf = (strand: Schemas['StrandIn']) => fitted.value.get(strand.key)?.next_look_min ?? null
/** Strands call every ten minutes and at their label's end, as zones at the chair do. */
const calls = computed<Schemas['NextAct'][]>(() =>
  strands.value.flatMap((s) => {
    const look = lookOf(s)
    if (!s.started_at || s.ended_at || look === null) return []
    const due_at = new Date(new Date(s.started_at).getTime() + look * 60_000).toISOString()
    const isLast = look >= (fitted.value.get(s.key)?.label_max_min ?? Infinity)
    const title = $t('strandBench.readStrandMin', { key: s.key, look: look.toFixed(0) })
    return [
      {
        code: isLast ? 'wall' : 'read',
        zone_key: `${s.key} ${look}`,
        zone_keys: [],
        title,
        detail: '',
        due_at,
        hex: null,
      },
    ]
  }),
)
useAttention(
  () => calls.value,
  () => clock.now,
  () => props.service.client_name,
)
/** A level read past the label's time, until it is said that it is to be taken all the same. */
const past = ref<number | null>(null)
const labelOf = computed(() => fitted.value.get(reading.value ?? '')?.label_max_min ?? Infinity)
const take = (level: number) => {
  if (minute.value > labelOf.value && past.value !== level) past.value = level
  else noted(level)
}
const noted = (level: number) => {
  const key = reading.value
  if (!key) return
  change(key, (s) => {
    s.readings = [...(s.readings ?? []), { minutes: minute.value, level, mode: mode.value }].sort(
      (a, b) => a.minutes - b.minutes,
    )
  })
  reading.value = null
}

const saveCsv = async () => {
  try {
    await form.settle()
    saveText('strand-tests.csv', (await readStrandCsv(props.service.id)).text, 'text/csv')
  } catch (error) {
    notices.fail(error)
  }
}
const takeCsv = async (event: Event) => {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    await form.settle()
    const text = await readText(file, 100_000)
    const answer = await writeStrandCsv(props.service.id, form.revision(), text)
    keepAnswer(client, ['service', props.service.id], answer)
    form.accept(answer)
    void client.invalidateQueries({ queryKey: ['plan', props.service.id] })
    notices.say($t('strandBench.strandsTakenInFrom', { count: answer.strands.length, name: file.name }), () =>
      form.undo(),
    )
  } catch (error) {
    notices.fail(error)
  }
}
onBeforeUnmount(() => {
  void form.settle().then(() => client.invalidateQueries({ queryKey: ['plan', props.service.id] }))
})
</script>

<template>
  <div class="mb-4 flex flex-wrap items-center gap-3">
    <div class="grow">
      <h1 class="text-2xl">{{ $t('common.strandBench') }}</h1>
      <p class="text-soft">
        {{
          $t('strandBench.hiddenStrandsEachItsDeveloper', {
            what:
              service.kind === 'strand_test'
                ? $t('strandBench.whatTheyTeachIsKept')
                : $t('strandBench.whatTheyTeachGoesInto'),
          })
        }}
      </p>
    </div>
    <button type="button" class="btn" :disabled="strands.length === 0" @click="saveCsv">
      {{ $t('common.saveAsCsv') }}
    </button>
    <label v-if="!isLocked" class="btn"
      >{{ $t('strandBench.takeCsvIn') }}<input type="file" accept=".csv,text/csv" class="sr-only" @change="takeCsv"
    /></label>
    <button v-if="!isLocked" type="button" class="btn" :disabled="strands.length >= 12" @click="add">
      {{ $t('strandBench.addAStrand') }}
    </button>
  </div>
  <p
    v-if="service.move_text"
    class="mb-4 rounded-[5px] border-s-[8px] border-ink bg-panel px-4 py-3 text-lg font-semibold"
    role="status"
  >
    {{ service.move_text }}.
  </p>
  <section v-if="strands.length === 0" class="panel flex flex-col items-start gap-3 py-10 text-center sm:items-center">
    <h2 class="text-xl">{{ $t('strandBench.noStrandYet') }}</h2>
    <p class="max-w-[52ch] text-soft">
      {{ $t('strandBench.takeAHiddenStrandWhere') }}
    </p>
    <button v-if="!isLocked" type="button" class="btn btn-act px-8 text-lg" @click="add">
      {{ $t('strandBench.addTheFirstStrand') }}
    </button>
  </section>
  <div v-else class="grid items-stretch gap-4 md:grid-cols-2 xl:grid-cols-3">
    <StrandCard
      v-for="s in strands"
      :key="s.key"
      :strand="s"
      :fitted="fitted.get(s.key)"
      :zone-names="zoneNames"
      :lighteners="shelf.lighteners"
      :natural="natural"
      :now="clock.now"
      :is-locked="isLocked"
      :axes="axes"
      :look="lookOf(s)"
      @edit="(e) => change(s.key, e)"
      @remove="form.change((d) => (d.strands = d.strands.filter((x) => x.key !== s.key)))"
      @read="openReading(s.key)"
    />
  </div>
  <Sheet
    :is-open="reading !== null"
    :title="$t('strandBench.readStrand', { reading: reading ?? '' })"
    @close="reading = null"
  >
    <div class="flex flex-col gap-4">
      <HairStrand
        v-if="lies"
        :colours="lies.colours"
        :seed="lies.seed"
        is-wet
        :label="$t('strandBench.strandWiped', { reading })"
      />
      <SwatchScale
        v-if="palette.data.value"
        :legend="$t('strandBench.tapTheSwatchThatMatches')"
        :levels="palette.data.value.levels"
        :hexes="palette.data.value.hexes"
        :undertones="palette.data.value.undertones"
        :model-value="null"
        is-large
        @update:model-value="take"
      />
      <div v-if="past !== null" class="rounded-[5px] border-s-[8px] border-stop bg-raised p-3" role="alert">
        <p class="font-semibold">
          {{ $t('strandBench.minIsPastItsLabel', { minute: minute.toFixed(0), labelOf: labelOf.toFixed(0) }) }}
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          <button type="button" class="btn" @click="noted(past)">
            {{ $t('strandBench.noteAllTheSame', { past: levelText(past) }) }}
          </button>
          <button type="button" class="btn btn-act" @click="((past = null), (reading = null))">
            {{ $t('common.leaveIt') }}
          </button>
        </div>
      </div>
      <label v-if="!practice.of(service.id)" class="btn relative cursor-pointer self-start"
        >{{ $t('strandBench.photographIt')
        }}<input
          type="file"
          accept="image/jpeg,image/png,image/webp"
          capture="environment"
          class="absolute inset-0 cursor-pointer opacity-0"
          @change="photograph"
      /></label>
      <Choice v-model="mode" :legend="$t('strandBench.howItWasRead')" :options="modes" />
      <div class="max-w-56">
        <Stepper
          v-model="minute"
          :label="$t('strandBench.minutesIn')"
          :unit="$t('common.min')"
          :min="0"
          :max="180"
          :step="1"
        />
      </div>
    </div>
  </Sheet>
  <FootBar>
    <template #undo>
      <UndoButton :is-off="!form.canUndo.value" @undo="form.undo()" />
      <button type="button" class="btn" :disabled="!form.canRedo.value" @click="form.redo()">
        {{ $t('common.redo') }}
      </button>
    </template>
    <template #says
      ><span class="grow text-sm text-soft" role="status">{{
        {
          kept: $t('common.kept2'),
          waiting: $t('common.keeping'),
          keeping: $t('common.keeping'),
          failed: $t('strandBench.notKeptYet'),
        }[form.state.value]
      }}</span></template
    >
    <RouterLink class="btn btn-act px-8 text-lg" :to="{ name: onward.step, params: { id: service.id } }">{{
      onward.name
    }}</RouterLink>
  </FootBar>
</template>
