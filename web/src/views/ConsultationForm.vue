<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'
import { levelText } from '../lib/time'
import { coverings, elasticities, histories, porosities, saltsTests, scalps, thicknesses, tones } from '../lib/words'
import CautionList from '../parts/CautionList.vue'
import Choice from '../parts/Choice.vue'
import HeadMap from '../parts/HeadMap.vue'
import SwatchScale from '../parts/SwatchScale.vue'
import { useActs } from '../stores/acts'
import { useConsultation } from '../stores/consultation'

type Zone = Schemas['ZoneOut']
const props = defineProps<{
  service: Schemas['ServiceOut']
  head: Schemas['HeadZoneOut'][]
  natural: Schemas['PaletteOut']
}>()
const router = useRouter()
const form = useConsultation(props.service)
const acts = useActs(props.service.id)
const isLocked = computed(() => !['consultation', 'plan'].includes(props.service.step))
const selected = ref<string[]>([])
const view = ref<'now' | 'wanted'>('now')

const zones = computed(() => new Map(form.draft.value.zones.map((z) => [z.key, z])))
const chosen = computed(() => selected.value.map((k) => zones.value.get(k)).filter((z): z is Zone => Boolean(z)))
const naturalHex = (level: number) =>
  props.natural.hexes[props.natural.levels.indexOf(Math.round(level * 2) / 2)] ?? '#888888'
const fills = computed(() =>
  Object.fromEntries(form.draft.value.zones.map((z) => [z.key, view.value === 'now' ? z.start_hex : z.target_hex])),
)
const same = <K extends keyof Zone>(field: K): Zone[K] | null => {
  const first = chosen.value[0]
  return first && chosen.value.every((z) => z[field] === first[field]) ? first[field] : null
}
const startOfChosen = computed(() => (chosen.value.length ? Math.min(...chosen.value.map((z) => z.start_level)) : null))
const lifted = useQuery(
  computed(() => ({ ...queries.palette(startOfChosen.value), enabled: startOfChosen.value !== null })),
)
const highestStart = computed(() => Math.max(...chosen.value.map((z) => z.start_level), 1))

const toggle = (key: string) => {
  selected.value = selected.value.includes(key) ? selected.value.filter((k) => k !== key) : [...selected.value, key]
}
const set = (edit: (zone: Zone) => void) =>
  form.change((d) => {
    for (const zone of d.zones) if (selected.value.includes(zone.key)) edit(zone)
  })
const setStart = (level: number) =>
  form.change((d) => {
    const order = props.head.map((h) => h.key)
    for (const key of selected.value) {
      const found = d.zones.find((z) => z.key === key)
      const usual = props.head.find((h) => h.key === key)
      if (found) {
        found.start_level = level
        found.start_hex = naturalHex(level)
        if (found.target_level < level) found.target_level = level
      } else if (usual) {
        d.zones.push({
          key,
          name: usual.name,
          start_level: level,
          target_level: Math.max(level, d.wanted_level ?? level),
          history: 'virgin',
          thickness: usual.is_delicate ? 'fine' : 'medium',
          porosity: 'normal',
          covering: 'foil',
          foil_count: usual.foil_count,
          pace_min_per_foil: 1.2,
          is_delicate: usual.is_delicate,
          is_on_scalp: false,
          start_hex: naturalHex(level),
          target_hex: naturalHex(Math.max(level, d.wanted_level ?? level)),
        })
      }
    }
    d.zones.sort((a, b) => order.indexOf(a.key) - order.indexOf(b.key))
  })
const setTarget = (level: number) =>
  set((zone) => {
    zone.target_level = Math.max(level, zone.start_level)
    zone.target_hex = lifted.data.value?.hexes[lifted.data.value.levels.indexOf(level)] ?? zone.target_hex
  })
const leaveOut = () => {
  form.change((d) => {
    d.zones = d.zones.filter((z) => !selected.value.includes(z.key))
  })
  selected.value = []
}
const sections = computed({
  get: () => same('foil_count') ?? '',
  set: (value) => {
    const count = Math.round(Number(value))
    if (count >= 1 && count <= 60) set((z) => (z.foil_count = count))
  },
})

const cautions = computed(() => props.service.cautions)
const blocks = computed(() => cautions.value.filter((c) => c.caution.severity === 'block'))
const open = computed(() => cautions.value.filter((c) => c.caution.severity === 'warn' && !c.acknowledged_at))
const acknowledge = async (code: string) => {
  await form.settle()
  await acts.act('CautionAcknowledged', { caution: code }, 'Acknowledged, with your name and the time.')
}
const next = computed(() => {
  if (blocks.value.length) return `Not today: ${blocks.value[0]?.caution.title.toLowerCase()}`
  if (form.draft.value.zones.length === 0) return 'Read at least one zone'
  if (open.value.length)
    return open.value.length === 1 ? 'One caution to acknowledge' : `${open.value.length} cautions to acknowledge`
  return ''
})
const finish = async () => {
  await form.settle()
  if (props.service.step === 'consultation' && !(await acts.act('ConsultationFinished'))) return
  await router.push({ name: 'plan', params: { id: props.service.id } })
}
const onKey = (event: KeyboardEvent) => {
  const isTyping =
    event.target instanceof HTMLTextAreaElement ||
    (event.target instanceof HTMLInputElement && event.target.type === 'text')
  if (isTyping || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return
  event.preventDefault()
  if (event.shiftKey) form.redo()
  else form.undo()
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => {
  window.removeEventListener('keydown', onKey)
  void form.settle()
})
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[minmax(330px,400px)_minmax(0,1fr)_minmax(270px,330px)]">
    <section class="panel" aria-labelledby="head-title">
      <div class="mb-2 flex items-center gap-2">
        <h2 id="head-title" class="grow text-xl">The head</h2>
        <div class="flex overflow-hidden rounded-[5px] border border-strong">
          <button
            type="button"
            class="min-h-12 px-3 text-sm font-semibold"
            :class="view === 'now' ? 'bg-act text-act-ink' : 'bg-raised'"
            :aria-pressed="view === 'now'"
            @click="view = 'now'"
          >
            As it is
          </button>
          <button
            type="button"
            class="min-h-12 px-3 text-sm font-semibold"
            :class="view === 'wanted' ? 'bg-act text-act-ink' : 'bg-raised'"
            :aria-pressed="view === 'wanted'"
            @click="view = 'wanted'"
          >
            Wanted
          </button>
        </div>
      </div>
      <HeadMap :fills="fills" :selected="selected" :is-locked="isLocked" @toggle="toggle" />
      <div class="mt-3 flex flex-wrap gap-1.5" role="group" aria-label="Zones">
        <button
          v-for="h in head"
          :key="h.key"
          type="button"
          class="narrow flex min-h-12 items-center gap-2 rounded-[5px] border px-2.5 text-sm font-semibold"
          :class="
            selected.includes(h.key)
              ? 'border-signal bg-signal text-signal-ink'
              : zones.has(h.key)
                ? 'border-strong bg-raised'
                : 'border-line bg-transparent text-soft'
          "
          :aria-pressed="selected.includes(h.key)"
          :disabled="isLocked"
          @click="toggle(h.key)"
        >
          {{ h.name }}
          <span v-if="zones.get(h.key)" class="num"
            >{{ levelText(zones.get(h.key)!.start_level) }}→{{ levelText(zones.get(h.key)!.target_level) }}</span
          >
        </button>
      </div>
      <div class="mt-2 flex gap-2">
        <button type="button" class="btn grow text-sm" :disabled="isLocked" @click="selected = head.map((h) => h.key)">
          All
        </button>
        <button
          type="button"
          class="btn grow text-sm"
          :disabled="isLocked"
          @click="selected = head.map((h) => h.key).filter((k) => !selected.includes(k))"
        >
          All but these
        </button>
        <button type="button" class="btn grow text-sm" :disabled="selected.length === 0" @click="selected = []">
          None
        </button>
      </div>
    </section>

    <section class="panel min-w-0" aria-labelledby="zone-title">
      <template v-if="selected.length === 0">
        <h2 id="zone-title" class="mb-1 text-xl">The person and the wish</h2>
        <p class="mb-4 text-soft">Tap zones on the head to read them, one or many at once.</p>
        <fieldset class="flex flex-col gap-4" :disabled="isLocked">
          <legend class="sr-only">The person and the wish</legend>
          <div>
            <label class="label" for="wish">The wish, in the client's words</label>
            <textarea
              id="wish"
              class="field min-h-20 py-2"
              maxlength="2000"
              :value="form.draft.value.wish"
              @change="(e) => form.change((d) => (d.wish = (e.target as HTMLTextAreaElement).value))"
            />
          </div>
          <Choice
            legend="Tone wanted"
            :options="tones"
            :model-value="form.draft.value.tone ?? null"
            @update:model-value="(v) => form.change((d) => (d.tone = v))"
          />
          <SwatchScale
            legend="Level wanted, for zones read from now on"
            :levels="natural.levels"
            :hexes="natural.hexes"
            :model-value="form.draft.value.wanted_level ?? null"
            @update:model-value="(v) => form.change((d) => (d.wanted_level = v))"
          />
          <Choice
            legend="Scalp"
            :options="scalps"
            :model-value="form.draft.value.scalp ?? null"
            @update:model-value="(v) => form.change((d) => (d.scalp = v))"
          />
          <Choice
            legend="A wet strand, stretched by a third"
            :options="elasticities"
            :model-value="form.draft.value.elasticity ?? null"
            @update:model-value="(v) => form.change((d) => (d.elasticity = v))"
          />
          <Choice
            legend="Salts test"
            :options="saltsTests"
            :model-value="form.draft.value.salts_test ?? null"
            @update:model-value="(v) => form.change((d) => (d.salts_test = v))"
          />
        </fieldset>
        <p class="mt-4 text-sm text-soft">
          Patch test:
          <strong class="text-ink">{{
            service.patch_test === 'negative'
              ? 'read, clear'
              : service.patch_test === 'positive'
                ? 'reacted'
                : 'not read'
          }}</strong><template v-if="service.client_age_years !== null">
            · {{ service.client_age_years }} years </template
          ><template v-if="service.has_reacted_before"> · has reacted before</template>.
          <RouterLink
            class="font-semibold text-ink underline underline-offset-4"
            :to="{ name: 'client', params: { id: service.client_id } }"
            >Change on the client's card</RouterLink
          >
        </p>
      </template>
      <template v-else>
        <h2 id="zone-title" class="mb-3 text-xl">
          {{
            selected.length === 1 ? head.find((h) => h.key === selected[0])?.name : `${selected.length} zones together`
          }}
        </h2>
        <div class="flex flex-col gap-4">
          <SwatchScale
            legend="Level now"
            :levels="natural.levels"
            :hexes="natural.hexes"
            :model-value="same('start_level')"
            @update:model-value="setStart"
          />
          <template v-if="chosen.length === selected.length">
            <SwatchScale
              v-if="lifted.data.value"
              legend="Level wanted, as this hair will look there before toner"
              :levels="lifted.data.value.levels"
              :hexes="lifted.data.value.hexes"
              :undertones="lifted.data.value.undertones"
              :least="highestStart"
              :model-value="same('target_level')"
              @update:model-value="setTarget"
            />
            <Choice
              legend="Before today"
              :options="histories"
              :model-value="same('history')"
              @update:model-value="(v) => set((z) => (z.history = v))"
            />
            <div class="grid gap-4 sm:grid-cols-2">
              <Choice
                legend="Strand"
                :options="thicknesses"
                :model-value="same('thickness')"
                @update:model-value="(v) => set((z) => (z.thickness = v))"
              />
              <Choice
                legend="Porosity"
                :options="porosities"
                :model-value="same('porosity')"
                @update:model-value="(v) => set((z) => (z.porosity = v))"
              />
              <Choice
                legend="Covering"
                :options="coverings"
                :model-value="same('covering')"
                @update:model-value="(v) => set((z) => (z.covering = v))"
              />
              <div>
                <label class="label" for="sections">Sections in this zone</label>
                <input
                  id="sections"
                  v-model.lazy="sections"
                  class="field"
                  type="number"
                  :placeholder="chosen.length > 1 ? 'they differ' : undefined"
                  min="1"
                  max="60"
                  step="1"
                />
              </div>
            </div>
            <div class="flex flex-wrap gap-x-6">
              <label class="flex min-h-12 items-center gap-3"
                ><input
                  type="checkbox"
                  class="size-6"
                  :checked="same('is_delicate') === true"
                  @change="(e) => set((z) => (z.is_delicate = (e.target as HTMLInputElement).checked))"
                />
                Delicate: fine, baby hair</label
              >
              <label class="flex min-h-12 items-center gap-3"
                ><input
                  type="checkbox"
                  class="size-6"
                  :checked="same('is_on_scalp') === true"
                  @change="(e) => set((z) => (z.is_on_scalp = (e.target as HTMLInputElement).checked))"
                />
                Product on the scalp</label
              >
            </div>
            <button type="button" class="btn self-start" @click="leaveOut">
              Leave {{ selected.length === 1 ? 'this zone' : 'these zones' }} out
            </button>
          </template>
          <p v-else class="text-soft">
            Pick the level the hair stands at now; the rest follows from it and can be changed.
          </p>
        </div>
      </template>
    </section>

    <CautionList :cautions="cautions" :is-locked="acts.isBusy.value || isLocked" @acknowledge="acknowledge" />
  </div>

  <div class="no-print fixed inset-x-0 bottom-0 z-20 border-t border-line bg-ground px-4 py-3 sm:px-6">
    <div class="mx-auto flex max-w-[1320px] flex-wrap items-center gap-3">
      <button type="button" class="btn" :disabled="!form.canUndo.value" @click="form.undo()">Undo</button>
      <button type="button" class="btn" :disabled="!form.canRedo.value" @click="form.redo()">Redo</button>
      <span class="text-sm text-soft" role="status">{{
        {
          kept: 'Kept',
          waiting: 'Keeping …',
          keeping: 'Keeping …',
          failed: 'Not kept yet: change anything to try again',
        }[form.state.value]
      }}</span>
      <span class="grow text-right font-semibold" :class="{ 'text-stop': blocks.length }">{{
        isLocked ? 'The plan is at the chair; this is for reading.' : next
      }}</span>
      <button
        v-if="!isLocked"
        type="button"
        class="btn btn-act ml-auto px-8 text-lg whitespace-nowrap"
        :disabled="next !== '' || acts.isBusy.value"
        @click="finish"
      >
        Plan it
      </button>
    </div>
  </div>
</template>
