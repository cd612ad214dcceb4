<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, onBeforeUnmount, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { levelText } from '../lib/time'
import { areasOf, copyToMirror, fillOf, merge, newZone, split, type Zone } from '../stores/zones'
import FootBar from '../parts/FootBar.vue'
import CautionList from '../parts/CautionList.vue'
import HairPanel from '../parts/HairPanel.vue'
import HeadMap from '../parts/HeadMap.vue'
import PersonPanel from '../parts/PersonPanel.vue'
import SwatchScale from '../parts/SwatchScale.vue'
import TestsPanel from '../parts/TestsPanel.vue'
import VerdictCard from '../parts/VerdictCard.vue'
import { useActs } from '../stores/acts'
import { usePractice } from '../stores/practice'
import { useConsultation } from '../stores/consultation'

const props = defineProps<{
  service: Schemas['ServiceOut']
  head: Schemas['HeadOut']
  natural: Schemas['PaletteOut']
}>()
const router = useRouter()
const form = useConsultation(props.service)
const acts = useActs(props.service.id)
const practice = usePractice()
const isLocked = computed(() => !['consultation', 'plan', 'strands'].includes(props.service.step))
const selected = ref<string[]>([])
const view = ref<'now' | 'wanted'>('now')
const tab = ref<'person' | 'tests'>('person')

const draft = computed(() => form.draft.value)
const kind = computed(() => draft.value.kind ?? 'lighten_and_tone')
const lightens = computed(() => kind.value === 'lighten_and_tone')
const AFTER = { lighten_and_tone: 'plan', tone_only: 'tone', deepen: 'tone', strand_test: 'strands' } as const
const GO_ON = {
  lighten_and_tone: 'Plan it',
  tone_only: 'To the tone',
  deepen: 'To the tone',
  strand_test: 'To the strands',
} as const
const zones = computed(() => new Map(draft.value.zones.map((z) => [z.key, z])))
const owners = computed(() => {
  const found: Record<string, string> = {}
  for (const zone of draft.value.zones) for (const area of areasOf(zone)) found[area] = zone.key
  return found
})
/** The zones to choose from: those read, and those of the usual head whose place nobody has taken. */
const places = computed(() => {
  const order = props.head.zones.map((h) => h.key)
  const free = props.head.zones.filter(
    (h) => !zones.value.has(h.key) && !owners.value[h.key] && !owners.value[`${h.key}/1`],
  )
  const at = (key: string, areas: string[]) => {
    const found = order.indexOf((areas[0] ?? key).split('/')[0] ?? key)
    return found < 0 ? order.length : found
  }
  return [
    ...draft.value.zones.map((z) => ({ key: z.key, name: z.name, at: at(z.key, z.areas) })),
    ...free.map((h) => ({ key: h.key, name: h.name, at: at(h.key, []) })),
  ].sort((a, b) => a.at - b.at)
})
const chosen = computed(() => selected.value.map((k) => zones.value.get(k)).filter((z): z is Zone => Boolean(z)))
const areAllRead = computed(() => chosen.value.length === selected.value.length)
const naturalHex = (level: number) =>
  props.natural.hexes[props.natural.levels.indexOf(Math.round(level * 2) / 2)] ?? '#888888'
const fills = computed(() =>
  Object.fromEntries(draft.value.zones.map((z) => [z.key, view.value === 'now' ? fillOf(z) : z.target_hex])),
)
const toggle = (key: string) => {
  selected.value = selected.value.includes(key) ? selected.value.filter((k) => k !== key) : [...selected.value, key]
}
const edit = (change: (zone: Zone) => void) =>
  form.change((d) => {
    for (const zone of d.zones) if (selected.value.includes(zone.key)) change(zone)
  })
/** The first level of zones that were not read yet; the rest follows from it and can be changed. */
const readNew = (level: number) =>
  form.change((d) => {
    for (const key of selected.value) {
      const found = d.zones.find((z) => z.key === key)
      const usual = props.head.zones.find((h) => h.key === key)
      if (found) Object.assign(found, { start_level: level, target_level: Math.max(found.target_level, level) })
      else if (usual) {
        const wanted = d.wanted_level ?? level
        const target = lightens.value
          ? Math.max(level, wanted)
          : kind.value === 'deepen'
            ? Math.min(level, wanted)
            : level
        d.zones.push(
          newZone(usual, level, target, props.head.pace_min_per_foil, naturalHex(level), d.kind ?? undefined),
        )
      }
    }
    const order = props.head.zones.map((h) => h.key)
    const at = (z: Zone) => order.indexOf(z.key.split('-')[0] ?? z.key)
    if (props.service.step === 'consultation') d.zones.sort((a, b) => at(a) - at(b))
  })
const forget = () => {
  form.change((d) => {
    d.zones = d.zones.filter((z) => !selected.value.includes(z.key))
  })
  selected.value = []
}
const copyAcross = () => form.change((d) => (d.zones = copyToMirror(d.zones, props.head.zones)))
const canCopy = computed(() => draft.value.zones.some((z) => z.key.startsWith('left_')))
const splitChosen = () => {
  const key = selected.value[0]
  if (key) form.change((d) => (d.zones = split(d.zones, key)))
}
const canSplit = computed(() => {
  const zone = chosen.value[0]
  return selected.value.length === 1 && zone !== undefined && !areasOf(zone).every((a) => a.includes('/'))
})
const join = () => {
  const first = draft.value.zones.find((z) => selected.value.includes(z.key))
  form.change((d) => (d.zones = merge(d.zones, selected.value)))
  selected.value = first ? [first.key] : []
}
const name = computed({
  get: () => chosen.value[0]?.name ?? '',
  set: (text) => {
    if (text.trim()) edit((z) => (z.name = text.trim().slice(0, 60)))
  },
})

const cautions = computed(() => props.service.cautions)
const blocks = computed(() => cautions.value.filter((c) => c.caution.severity === 'block'))
const open = computed(() => cautions.value.filter((c) => c.caution.severity === 'warn' && !c.acknowledged_at))
const acknowledge = async (code: string) => {
  await form.settle()
  await acts.act('CautionAcknowledged', { caution: code }) // the list itself shows the name and the time
}
const next = computed(() => {
  const verdict = props.service.verdict
  if (blocks.value.length) return `${verdict?.title ?? 'Not today'}: ${blocks.value[0]?.caution.title.toLowerCase()}`
  if (draft.value.zones.length === 0 && kind.value !== 'strand_test') return 'Read at least one zone'
  if (verdict?.kind === 'unread')
    return kind.value === 'deepen' ? 'No zone is wanted deeper yet' : 'No zone is wanted lighter yet'
  if (open.value.length)
    return open.value.length === 1 ? 'One caution to acknowledge' : `${open.value.length} cautions to acknowledge`
  return ''
})
const finish = async () => {
  await form.settle()
  if (props.service.step === 'consultation' && !(await acts.act('ConsultationFinished', {}))) return
  await router.push({ name: AFTER[kind.value], params: { id: props.service.id } })
}
const toCautions = async () => {
  await nextTick()
  document.getElementById('caution-title')?.scrollIntoView({ behavior: 'smooth', block: 'start' })
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
useEventListener(window, 'keydown', onKey)
onBeforeUnmount(() => void form.settle())
const stopsOf = (zone: Zone) => {
  const fill = fillOf(zone)
  return typeof fill === 'string' ? [fill] : fill.isInTurn ? fill.stops.slice(0, 2) : fill.stops
}
const shown = (zone: Zone) =>
  zone.keeps_depth
    ? zone.pieces && (zone.pieces.target_level ?? 0) > zone.pieces.start_level
      ? `${levelText(zone.start_level)} kept, ${levelText(zone.pieces.start_level)}→${levelText(zone.pieces.target_level!)}`
      : `${levelText(zone.start_level)}, kept`
    : zone.target_level === zone.start_level
      ? levelText(zone.start_level)
      : `${levelText(zone.start_level)}→${levelText(zone.target_level)}`
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[minmax(330px,390px)_minmax(0,1fr)_minmax(280px,340px)]">
    <section class="panel" aria-labelledby="head-title">
      <div class="mb-2 flex items-center gap-2">
        <h2 id="head-title" class="grow text-xl">The head</h2>
        <div v-if="lightens || kind === 'deepen'" class="flex overflow-hidden rounded-[5px] border border-strong">
          <button
            v-for="v in [
              { key: 'now' as const, name: 'As it is' },
              { key: 'wanted' as const, name: 'Wanted' },
            ]"
            :key="v.key"
            type="button"
            class="min-h-12 px-3 text-sm font-semibold"
            :class="view === v.key ? 'bg-act text-act-ink' : 'bg-raised'"
            :aria-pressed="view === v.key"
            @click="view = v.key"
          >
            {{ v.name }}
          </button>
        </div>
      </div>
      <HeadMap :fills="fills" :owners="owners" :selected="selected" :is-locked="isLocked" @toggle="toggle" />
      <div class="mt-3 grid grid-cols-3 gap-1.5">
        <button
          type="button"
          class="btn !px-2 text-sm"
          :disabled="isLocked"
          @click="selected = places.map((p) => p.key)"
        >
          All
        </button>
        <button
          type="button"
          class="btn !px-2 text-sm"
          :disabled="isLocked"
          @click="selected = places.map((p) => p.key).filter((k) => !selected.includes(k))"
        >
          All but these
        </button>
        <button type="button" class="btn !px-2 text-sm" :disabled="selected.length === 0" @click="selected = []">
          None
        </button>
        <button type="button" class="btn !px-2 text-sm" :disabled="isLocked || !canCopy" @click="copyAcross">
          Left to right
        </button>
        <button type="button" class="btn !px-2 text-sm" :disabled="isLocked || !canSplit" @click="splitChosen">
          Split in two
        </button>
        <button
          type="button"
          class="btn !px-2 text-sm"
          :disabled="isLocked || chosen.length < 2 || !areAllRead"
          @click="join"
        >
          Join as one
        </button>
      </div>
      <div class="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Zones">
        <button
          v-for="p in places"
          :key="p.key"
          type="button"
          class="narrow flex min-h-12 items-center gap-2 rounded-[5px] border px-2.5 text-sm font-semibold"
          :class="
            selected.includes(p.key)
              ? 'border-signal bg-signal text-signal-ink'
              : zones.has(p.key)
                ? 'border-strong bg-raised'
                : 'border-line bg-transparent text-soft'
          "
          :aria-pressed="selected.includes(p.key)"
          :disabled="isLocked"
          @click="toggle(p.key)"
        >
          {{ p.name }}
          <template v-if="zones.get(p.key)">
            <span class="num">{{ shown(zones.get(p.key)!) }}</span>
            <span v-if="stopsOf(zones.get(p.key)!).length > 1" class="flex" aria-hidden="true">
              <span
                v-for="(hex, i) in stopsOf(zones.get(p.key)!)"
                :key="i"
                class="swatch h-4 w-2.5"
                :style="{ background: hex }"
              />
            </span>
          </template>
        </button>
      </div>
    </section>

    <section class="panel min-w-0" aria-labelledby="zone-title">
      <template v-if="selected.length === 0">
        <div class="mb-3 flex flex-wrap items-center gap-2">
          <h2 id="zone-title" class="grow text-xl">
            {{ tab === 'person' ? 'The person and the wish' : 'Tests' }}
          </h2>
          <div class="flex overflow-hidden rounded-[5px] border border-strong" role="group" aria-label="Show">
            <button
              v-for="t in [
                { key: 'person' as const, name: 'Person' },
                { key: 'tests' as const, name: 'Tests' },
              ]"
              :key="t.key"
              type="button"
              class="min-h-12 px-4 text-sm font-semibold"
              :class="tab === t.key ? 'bg-act text-act-ink' : 'bg-raised'"
              :aria-pressed="tab === t.key"
              @click="tab = t.key"
            >
              {{ t.name }}
            </button>
          </div>
        </div>
        <p v-if="tab === 'person'" class="mb-4 text-soft">Tap zones on the head to read them, one or many at once.</p>
        <PersonPanel
          v-if="tab === 'person'"
          :draft="draft"
          :service="service"
          :natural="natural"
          :is-locked="isLocked"
          @edit="form.change"
        />
        <TestsPanel v-else :draft="draft" :service="service" :is-locked="isLocked" @edit="form.change" />
      </template>
      <template v-else>
        <div class="mb-3 flex flex-wrap items-center gap-3">
          <h2 id="zone-title" class="text-xl" :class="{ 'sr-only': chosen.length === 1 && selected.length === 1 }">
            {{
              selected.length === 1
                ? (places.find((p) => p.key === selected[0])?.name ?? '')
                : `${selected.length} zones together`
            }}
          </h2>
          <input
            v-if="chosen.length === 1 && selected.length === 1"
            v-model.lazy="name"
            class="field max-w-72 !border-transparent !bg-transparent !px-1 text-xl font-bold hover:!border-strong"
            aria-label="Name of the zone"
            maxlength="60"
          />
        </div>
        <HairPanel
          :stills="practice.of(service.id)?.stills ?? null"
          v-if="areAllRead"
          :zones="chosen"
          :head="head"
          :natural="natural"
          :service-kind="draft.kind ?? undefined"
          @edit="edit"
          @leave-out="forget"
        />
        <template v-else>
          <SwatchScale
            legend="Level now"
            :levels="natural.levels"
            :hexes="natural.hexes"
            :model-value="null"
            @update:model-value="readNew"
          />
          <p class="mt-3 text-soft">
            Pick the level the hair stands at now; the rest follows from it and can be changed.
          </p>
          <button v-if="chosen.length" type="button" class="btn mt-3" @click="selected = chosen.map((z) => z.key)">
            Only the {{ chosen.length }} that {{ chosen.length === 1 ? 'is' : 'are' }} read
          </button>
        </template>
      </template>
    </section>

    <div class="flex flex-col gap-4">
      <VerdictCard v-if="service.verdict" :verdict="service.verdict" />
      <CautionList :cautions="cautions" :is-locked="acts.isBusy.value || isLocked" @acknowledge="acknowledge" />
    </div>
  </div>

  <FootBar>
    <template #undo
      ><button type="button" class="btn" :disabled="!form.canUndo.value" @click="form.undo()">Undo</button>
      <button type="button" class="btn" :disabled="!form.canRedo.value" @click="form.redo()">Redo</button></template
    >
    <template #says
      ><span class="text-sm text-soft" role="status">{{
        {
          kept: 'Kept',
          waiting: 'Keeping …',
          keeping: 'Keeping …',
          failed: 'Not kept yet: change anything to try again',
        }[form.state.value]
      }}</span>
      <span class="grow text-right font-semibold" :class="{ 'text-stop': blocks.length }">
        <template v-if="isLocked">{{
          lightens ? 'The plan is at the chair; this is for reading.' : 'It has gone on; this is for reading.'
        }}</template>
        <button
          v-else-if="open.length && !blocks.length && service.verdict?.kind !== 'unread'"
          type="button"
          class="min-h-12 px-2 underline underline-offset-4"
          @click="toCautions"
        >
          {{ next }}
        </button>
        <template v-else>{{ next }}</template>
      </span></template
    >
    <button
      v-if="!isLocked"
      type="button"
      class="btn btn-act ml-auto px-8 text-lg whitespace-nowrap"
      :disabled="next !== '' || acts.isBusy.value"
      @click="finish"
    >
      {{ GO_ON[kind] }}
    </button>
  </FootBar>
</template>
