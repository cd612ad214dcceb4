import { ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import type { EventData, EventKind, Noted, Read } from '../api/events'
import { $t, locale } from '../lib/i18n'
import { levelText } from '../lib/time'
import { weight } from '../lib/units'
import { phaseNames } from '../lib/words'
import { useActs } from './acts'
import { usePractice } from './practice'

/** The rinse that ends the chair, told with where it leads; Undo brings back here. */
const ONWARD = 'onward'
const OFF = ['rinse', 'wipe', 'rinse_wave', 'stop']

/**
 * What a hand does at the chair, each as an event of its own.
 *
 * `opened` is the lane and `weighing` the bowl whose sheet is open; an act that settles it closes it.
 */
export function useChairActs(
  id: string,
  out: () => Schemas['BoardOut'] | undefined,
  lanes: () => readonly Schemas['Lane'][],
) {
  const router = useRouter()
  const acts = useActs(id)
  const practice = usePractice()
  const opened = ref<string | null>(null)
  const endsTheChair = (keys: readonly string[]) =>
    out()?.step === 'chair' && lanes().every((l) => l.phase === 'rinsed' || keys.includes(l.key))
  const told = (board: readonly Schemas['NextAct'][]) =>
    board.map((act) =>
      OFF.includes(act.code) && endsTheChair(act.zone_keys)
        ? { ...act, then_key: ONWARD, then: $t('chair.onToTheReview') }
        : act,
    )

  /** The bowl to mix for a zone: of those still to be mixed the first it is filled from. */
  const bowlFor = (key: string | null) => out()?.bowls.find((b) => b.fills.some((f) => f.lane_key === key))
  const weighing = ref<Schemas['BowlOut'] | null>(null)
  /** A bowl for a lane, and for the lanes that are filled from the same one and wait as well. */
  const mixed = async (
    bowl: Schemas['BowlOut'],
    lane: Schemas['Lane'],
    as: { volume_strength: number; product_g: number; developer_g: number; recipe: string },
    is_on = false,
  ) => {
    const waiting = new Set(
      lanes()
        .filter((l) => l.phase === 'waiting')
        .map((l) => l.key),
    )
    const also_for = bowl.fills.map((f) => f.lane_key).filter((k) => k !== lane.key && waiting.has(k))
    const values = { zone_key: lane.key, ...as, also_for, is_on }
    const said = is_on
      ? $t('chair.bowlMixedLabelSTime', { name: lane.name })
      : $t('chair.bowlForMixed', { name: lane.name })
    if (await acts.act('BowlMixed', values, said)) weighing.value = null
  }
  const mixedAsWeighed = async (as: Parameters<typeof mixed>[2]) => {
    const bowl = weighing.value
    const fills = bowl?.fills.map((f) => f.lane_key) ?? []
    const lane = lanes().find((l) => fills.includes(l.key) && ['waiting', 'applying'].includes(l.phase))
    if (bowl && lane) await mixed(bowl, lane, as)
  }
  const recipe = (bowl: Schemas['BowlOut']) =>
    [
      `${weight(bowl.lightener_g)} ${bowl.lightener_name}`,
      ...bowl.pours.map((p) => $t('common.gOfVol', { mass_g: weight(p.mass_g), volume_strength: p.volume_strength })),
    ].join(' + ')
  const doAct = async (act: Schemas['NextAct']) => {
    const lane = lanes().find((l) => l.key === act.zone_key)
    if (act.code === 'tone') return goOn()
    if (!lane) return
    if (act.code === 'rinse_wave') {
      await rinseWave(act.zone_keys, act.then_key === ONWARD)
    } else if (act.code === 'read' || act.code === 'short') opened.value = lane.key
    else if (act.code === 'finish' && act.then_key) await passOn(lane, act.then_key)
    else if (act.code === 'mix') await mixAsPlanned(lane, Boolean(act.then_key))
    else if ((await doLane(act.code, lane)) && act.then_key === ONWARD) await goOn()
  }
  /** On to where the service stands: as the board says, not as the frame knew it. */
  const goOn = async () => void (await router.push({ name: out()?.step ?? 'service', params: { id } }))
  /** The last section of one zone and the first of the next, in one act of the hand and with one Undo. */
  const passOn = async (lane: Schemas['Lane'], then: string) => {
    const next = lanes().find((l) => l.key === then)
    if (!next) return
    if (practice.of(id) && !practice.passUntil(new Date(lane.zero_at).getTime())) return
    await acts.act(
      'ApplicationStarted',
      { zone_key: next.key, volume_strength: next.volume_strength, after_key: lane.key },
      $t('chair.clockStartedLabelSTime', { name: lane.name, name2: next.name }),
    )
  }
  const mixAsPlanned = async (lane: Schemas['Lane'], isOn = false) => {
    const bowl = bowlFor(lane.key)
    if (!bowl) return
    const { volume_strength, lightener_g: product_g, developer_g } = bowl
    await mixed(bowl, lane, { volume_strength, product_g, developer_g, recipe: recipe(bowl) }, isOn)
  }
  const doLane = async (code: string, lane: Schemas['Lane']) => {
    const zone_key = lane.key
    if (code === 'mix') {
      await mixAsPlanned(lane)
    } else if (code === 'start') {
      await acts.act(
        'ApplicationStarted',
        { zone_key, volume_strength: lane.volume_strength, after_key: null },
        $t('chair.labelSTimeRuns', { name: lane.name }),
      )
    } else if (code === 'finish') {
      // in practice as well putting product on takes the time it takes
      if (practice.of(id) && !practice.passUntil(new Date(lane.zero_at).getTime())) return
      await acts.act('ApplicationFinished', { zone_key }, $t('chair.clockStarted', { name: lane.name }))
    } else if (code === 'rinse' || code === 'stop' || code === 'wipe') {
      return off(lane, code === 'wipe')
    }
    return true
  }
  const read = async (
    lane: Schemas['Lane'],
    level: number,
    mode: Read['mode'],
    lab: number[],
    instrument: string,
    foils: Schemas['Foils'],
    levelStd?: number,
  ) => {
    const measured = lab.length ? { lab, instrument, ...(levelStd ? { level_std: levelStd } : {}) } : {}
    if (await acts.read({ zone_key: lane.key, level, mode, foils, ...measured }, lane.name)) opened.value = null
  }
  const quickRead = (act: Schemas['NextAct'], level: number, isFirstFoils: boolean) => {
    const lane = lanes().find((l) => l.key === act.zone_key)
    if (lane) void read(lane, level, 'wiped', [], '', isFirstFoils ? 'first' : 'last')
  }
  const note = (lane: Schemas['Lane'], values: Noted) =>
    acts.act('HairNoted', { zone_key: lane.key, ...values }, $t('common.noted', { name: lane.name }))
  const doOption = async (lane: Schemas['Lane'], option: Schemas['LaneOption'], isLabelRead: boolean) => {
    const more =
      option.kind === 'LightenerRefreshed'
        ? { volume_strength: option.volume_strength, is_label_read: isLabelRead }
        : option.kind === 'CoveringChanged'
          ? { covering: option.covering }
          : {}
    const where =
      option.kind === 'ProductDragged' ? { zone_key: option.to_key, from_key: lane.key } : { zone_key: lane.key }
    const kind = option.kind as EventKind
    const values = { ...where, ...more } as EventData<typeof kind> // the option is the core's, and so is its event
    if (await acts.act(kind, values, `${lane.name}: ${option.title.toLocaleLowerCase(locale)}.`)) opened.value = null
  }
  const takeProposal = (p: Schemas['DeveloperProposal']) =>
    acts.act(
      'DeveloperChanged',
      { zone_key: p.zone_key, volume_strength: p.proposed_volume, reason: p.reason },
      $t('chair.vol', { zone_name: p.zone_name, proposed_volume: levelText(p.proposed_volume) }),
    )
  const rinseWave = async (zone_keys: string[], isOnward = false) => {
    const only = zone_keys.length === 1 ? lanes().find((l) => l.key === zone_keys[0])?.name : undefined
    const said = only ? $t('chair.rinsed', { only }) : $t('chair.zonesRinsed', { count: zone_keys.length })
    if ((await acts.act('WaveRinsed', { zone_keys }, said)) && isOnward) await goOn()
  }
  const off = (lane: Schemas['Lane'], is_wiped: boolean) =>
    acts.act(
      'Rinsed',
      { zone_key: lane.key, is_wiped },
      `${lane.name} ${is_wiped ? $t('chair.wipedOut') : phaseNames.rinsed}.`,
    )
  const rinse = async (lane: Schemas['Lane'], isWiped: boolean) => {
    if (await off(lane, isWiped)) opened.value = null
  }

  return {
    acts,
    opened,
    weighing,
    told,
    endsTheChair,
    bowlFor,
    recipe,
    mixedAsWeighed,
    doAct,
    doLane,
    read,
    quickRead,
    note,
    doOption,
    takeProposal,
    rinseWave,
    rinse,
  }
}
