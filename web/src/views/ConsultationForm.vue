<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { readShorthand } from '../api/queries'
import { vRoving } from '../lib/roving'
import { levelText } from '../lib/time'
import { useNotices } from '../stores/notices'
import { areasOf, copyToMirror, fillOf, merge, newZone, split, writeLines, type Zone } from '../stores/zones'
import FootBar from '../parts/FootBar.vue'
import CautionList from '../parts/CautionList.vue'
import HairPanel from '../parts/HairPanel.vue'
import HeadMap from '../parts/HeadMap.vue'
import PersonPanel from '../parts/PersonPanel.vue'
import SwatchScale from '../parts/SwatchScale.vue'
import TestsPanel from '../parts/TestsPanel.vue'
import UndoButton from '../parts/UndoButton.vue'
import VerdictCard from '../parts/VerdictCard.vue'
import { useActs } from '../stores/acts'
import { usePractice } from '../stores/practice'
import { useConsultation } from '../stores/consultation'
import { $t, locale } from '../lib/i18n'

const props = defineProps<{
  service: Schemas['ServiceOut']
  head: Schemas['HeadOut']
  natural: Schemas['PaletteOut']
}>()
const router = useRouter()
const form = useConsultation(props.service)
const acts = useActs(props.service.id)
const notices = useNotices()
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
  lighten_and_tone: $t('consultationForm.planIt'),
  tone_only: $t('common.toTheTone'),
  deepen: $t('common.toTheTone'),
  strand_test: $t('consultationForm.toTheStrands'),
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
/** All of them; by key, the swatches to read them with are next. */
const chooseAll = async (event: MouseEvent) => {
  selected.value = places.value.map((p) => p.key)
  if (event.detail > 0) return
  await nextTick()
  document.querySelector<HTMLElement>('[aria-labelledby="zone-title"] input[type="radio"]:not(:disabled)')?.focus()
}
const edit = (change: (zone: Zone) => void) =>
  form.change((d) => {
    for (const zone of d.zones) if (selected.value.includes(zone.key)) change(zone)
  })
/** A zone that was not read yet, wanted as the wish has it. */
const made = (usual: Schemas['HeadZoneOut'], level: number) => {
  const wanted = draft.value.wanted_level ?? level
  const deeper = kind.value === 'deepen' ? Math.min(level, wanted) : level
  const target = lightens.value ? Math.max(level, wanted) : deeper
  return newZone(usual, level, target, props.head.pace_min_per_foil, naturalHex(level), draft.value.kind ?? undefined)
}
/** Zones in the usual order, until a plan has its own. */
const inOrder = (all: Zone[]) => {
  const order = props.head.zones.map((h) => h.key)
  const at = (z: Zone) => order.indexOf(z.key.split('-')[0] ?? z.key)
  return props.service.step === 'consultation' ? [...all].sort((a, b) => at(a) - at(b)) : all
}
/** The first level of zones that were not read yet; the rest follows from it and can be changed. */
const readNew = (level: number) =>
  form.change((d) => {
    for (const key of selected.value) {
      const found = d.zones.find((z) => z.key === key)
      const usual = props.head.zones.find((h) => h.key === key)
      if (found) Object.assign(found, { start_level: level, target_level: Math.max(found.target_level, level) })
      else if (usual) d.zones.push(made(usual, level))
    }
    d.zones = inOrder(d.zones)
  })
/** The head in one typed line; what it means is the server's, so that every language has its own words. */
const typed = ref('')
const readTyped = async () => {
  try {
    const lines = await readShorthand(
      typed.value,
      draft.value.zones.map((z) => ({ key: z.key, name: z.name })),
    )
    let unread: string[] = []
    form.change((d) => {
      const written = writeLines(d.zones, lines, selected.value, props.head, made)
      d.zones = inOrder(written.zones)
      unread = written.unread
    })
    if (unread.length) notices.say($t('consultationForm.notReadYetSoNothing', { unread: unread.join(', ') }))
    typed.value = ''
  } catch (error) {
    notices.fail(error)
  }
}
/** A head that was told with the name is read as soon as its consultation is open. */
onMounted(async () => {
  const told: unknown = window.history.state?.line
  if (typeof told !== 'string' || !told || draft.value.zones.length) return
  window.history.replaceState({ ...window.history.state, line: '' }, '')
  typed.value = told
  await readTyped()
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
const acknowledge = async (codes: readonly string[]) => {
  await form.settle()
  for (const caution of codes) if (!(await acts.act('CautionAcknowledged', { caution }))) return false // the list itself shows name and time
  return true
}
/** All cautions that are open have been on the screen. */
const areShown = ref(false)
/** Nothing but cautions that are on the screen stands before the next step: they are seen to in the same act. */
const isByCautions = computed(() => open.value.length > 0 && before.value === '' && areShown.value)
const next = computed(() => {
  if (before.value || open.value.length === 0) return before.value
  return open.value.length === 1
    ? $t('consultationForm.oneCautionToAcknowledge')
    : $t('consultationForm.cautionsToAcknowledge', { count: open.value.length })
})
/** What stands before the next step, cautions aside. */
const before = computed(() => {
  const verdict = props.service.verdict
  if (blocks.value.length)
    return `${verdict?.title ?? $t('consultationForm.notToday')}: ${blocks.value[0]?.caution.title.toLocaleLowerCase(locale)}`
  if (draft.value.zones.length === 0 && kind.value !== 'strand_test') return $t('consultationForm.readAtLeastOneZone')
  if (verdict?.kind === 'unread')
    return kind.value === 'deepen'
      ? $t('consultationForm.noZoneIsWantedDeeper')
      : $t('consultationForm.noZoneIsWantedLighter')
  return ''
})
const finish = async () => {
  await form.settle()
  await nextTick()
  if (open.value.length && !isByCautions.value) return void toCautions() // the last change brought one more: look first
  if (!(await acknowledge(open.value.map((c) => c.caution.code)))) return
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
      ? $t('consultationForm.kept', {
          start_level: levelText(zone.start_level),
          start_level2: levelText(zone.pieces.start_level),
          target_level: levelText(zone.pieces.target_level!),
        })
      : $t('consultationForm.kept2', { start_level: levelText(zone.start_level) })
    : zone.target_level === zone.start_level
      ? levelText(zone.start_level)
      : `${levelText(zone.start_level)}${$t('arrow.on')}${levelText(zone.target_level)}`
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[minmax(330px,390px)_minmax(0,1fr)_minmax(280px,340px)]">
    <section class="panel" aria-labelledby="head-title">
      <div class="mb-2 flex items-center gap-2">
        <h2 id="head-title" class="grow text-xl">{{ $t('consultationForm.theHead') }}</h2>
        <div v-if="lightens || kind === 'deepen'" class="flex overflow-hidden rounded-[5px] border border-strong">
          <button
            v-for="v in [
              { key: 'now' as const, name: $t('consultationForm.asItIs') },
              { key: 'wanted' as const, name: $t('consultationForm.wanted') },
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
      <form v-if="!isLocked" class="mb-3 flex gap-1.5" @submit.prevent="readTyped">
        <input
          v-model="typed"
          class="field min-w-0 grow"
          maxlength="300"
          autocomplete="off"
          :placeholder="$t('consultationForm.5AllEnds85')"
          :aria-label="$t('consultationForm.readTheHeadInOne')"
        />
        <button type="submit" class="btn !min-h-11 !px-3" :disabled="!typed.trim()">
          {{ $t('consultationForm.read') }}
        </button>
      </form>
      <HeadMap :fills="fills" :owners="owners" :selected="selected" :is-locked="isLocked" @toggle="toggle" />
      <div
        v-roving
        class="mt-3 grid grid-cols-3 gap-1.5"
        role="group"
        :aria-label="$t('consultationForm.chooseSeveral')"
      >
        <button type="button" class="btn !px-2 text-sm" :disabled="isLocked" @click="chooseAll">
          {{ $t('common.all') }}
        </button>
        <button
          type="button"
          class="btn !px-2 text-sm"
          :disabled="isLocked"
          @click="selected = places.map((p) => p.key).filter((k) => !selected.includes(k))"
        >
          {{ $t('consultationForm.allButThese') }}
        </button>
        <button type="button" class="btn !px-2 text-sm" :disabled="selected.length === 0" @click="selected = []">
          {{ $t('common.none') }}
        </button>
        <button type="button" class="btn !px-2 text-sm" :disabled="isLocked || !canCopy" @click="copyAcross">
          {{ $t('consultationForm.leftToRight') }}
        </button>
        <button type="button" class="btn !px-2 text-sm" :disabled="isLocked || !canSplit" @click="splitChosen">
          {{ $t('consultationForm.splitInTwo') }}
        </button>
        <button
          type="button"
          class="btn !px-2 text-sm"
          :disabled="isLocked || chosen.length < 2 || !areAllRead"
          @click="join"
        >
          {{ $t('consultationForm.joinAsOne') }}
        </button>
      </div>
      <div v-roving class="mt-2 flex flex-wrap gap-1.5" role="group" :aria-label="$t('consultationForm.zones')">
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
            {{ tab === 'person' ? $t('common.thePersonAndTheWish') : $t('common.tests') }}
          </h2>
          <div
            class="flex overflow-hidden rounded-[5px] border border-strong"
            role="group"
            :aria-label="$t('common.show')"
          >
            <button
              v-for="t in [
                { key: 'person' as const, name: $t('consultationForm.person') },
                { key: 'tests' as const, name: $t('common.tests') },
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
        <p v-if="tab === 'person'" class="mb-4 text-soft">{{ $t('consultationForm.tapZonesOnTheHead') }}</p>
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
                : $t('consultationForm.zonesTogether', { count: selected.length })
            }}
          </h2>
          <input
            v-if="chosen.length === 1 && selected.length === 1"
            v-model.lazy="name"
            class="field max-w-72 !border-transparent !bg-transparent !px-1 text-xl font-bold hover:!border-strong"
            :aria-label="$t('consultationForm.nameOfTheZone')"
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
            :legend="$t('common.levelNow')"
            :levels="natural.levels"
            :hexes="natural.hexes"
            :model-value="null"
            @update:model-value="readNew"
          />
          <p class="mt-3 text-soft">
            {{ $t('consultationForm.pickTheLevelTheHair') }}
          </p>
          <button v-if="chosen.length" type="button" class="btn mt-3" @click="selected = chosen.map((z) => z.key)">
            {{ $t('consultationForm.onlyTheThatRead', chosen.length) }}
          </button>
        </template>
      </template>
    </section>

    <div class="flex flex-col gap-4">
      <VerdictCard v-if="service.verdict" :verdict="service.verdict" />
      <CautionList
        :cautions="cautions"
        :is-locked="acts.isBusy.value || isLocked"
        @acknowledge="acknowledge"
        @shown="(are) => (areShown = are)"
      />
    </div>
  </div>

  <FootBar>
    <template #undo>
      <UndoButton :is-off="!form.canUndo.value" @undo="form.undo()" />
      <button type="button" class="btn max-sm:disabled:hidden" :disabled="!form.canRedo.value" @click="form.redo()">
        {{ $t('common.redo') }}
      </button>
    </template>
    <template #says
      ><span class="text-sm text-soft" :class="{ 'max-sm:sr-only': form.state.value !== 'failed' }" role="status">{{
        {
          kept: $t('common.kept2'),
          waiting: $t('common.keeping'),
          keeping: $t('common.keeping'),
          failed: $t('consultationForm.notKeptYetChangeAnything'),
        }[form.state.value]
      }}</span>
      <span class="grow text-end font-semibold" :class="{ 'text-stop': blocks.length }">
        <template v-if="isLocked">{{
          lightens ? $t('consultationForm.thePlanIsAtThe') : $t('consultationForm.itHasGoneOnThis')
        }}</template>
        <button
          v-else-if="open.length && !isByCautions && !blocks.length && service.verdict?.kind !== 'unread'"
          type="button"
          class="min-h-12 px-2 underline underline-offset-4 max-sm:text-[15px] max-sm:leading-tight"
          @click="toCautions"
        >
          {{ next }}
        </button>
        <template v-else-if="!isByCautions">{{ next }}</template>
      </span></template
    >
    <button
      v-if="!isLocked"
      type="button"
      class="btn btn-act ms-auto px-8 text-lg whitespace-nowrap"
      :disabled="(next !== '' && !isByCautions) || acts.isBusy.value"
      @click="finish"
    >
      {{
        isByCautions
          ? $t('consultationForm.seenTo', { then: GO_ON[kind].toLocaleLowerCase(locale) }, open.length)
          : GO_ON[kind]
      }}
    </button>
  </FootBar>
</template>
