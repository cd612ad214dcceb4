/** Acts that wait on this device, and the board as it looks with them: marks of what the hand has done, no rules. */
import type { EventData, EventKind } from './events'
import { pointAt, type LevelPoint } from '../lib/strip'
import { $t } from '../lib/i18n'

export interface WaitingAct {
  event_id: string
  service_id: string
  member: string
  kind: EventKind
  occurred_at: string
  data: EventData
  seen: number | null
  text: string
}

interface LaneLike {
  key: string
  name: string
  phase: string
  volume_strength: number
  started_at: string
  zero_at: string
  is_forecast: boolean
  end_min: number
  rinsed_min: number | null
  has_bowl: boolean
  curve: readonly LevelPoint[]
  readings: readonly { event_id: string; minute: number; level: number; mode: string; hex: string }[]
}
interface ActLike {
  code: string
  zone_key: string | null
  zone_keys: readonly string[]
  title: string
  detail: string
  due_at: string
  hex: string | null
}

const DOES: Partial<Record<EventKind, readonly string[]>> = {
  BowlMixed: ['mix'],
  ApplicationStarted: ['mix', 'start'],
  ApplicationFinished: ['finish'],
  ReadingTaken: ['read', 'short'],
  Rinsed: ['rinse', 'wipe', 'stop', 'read', 'short', 'finish'],
  WaveRinsed: ['rinse', 'wipe', 'rinse_wave', 'stop', 'read', 'short', 'finish'],
}

const keysOf = (act: WaitingAct): string[] => {
  const { zone_key, also_for, zone_keys, after_key } = act.data as {
    zone_key?: string
    also_for?: string[]
    zone_keys?: string[]
    after_key?: string | null
  }
  return [zone_key, ...(also_for ?? []), ...(zone_keys ?? []), after_key].filter((k): k is string => Boolean(k))
}

const minutes = (from: string, to: string) => (new Date(to).getTime() - new Date(from).getTime()) / 60_000

function marked<L extends LaneLike>(lane: L, act: WaitingAct): L {
  const at = act.occurred_at
  switch (act.kind) {
    case 'BowlMixed': {
      const { zone_key, is_on } = act.data as EventData<'BowlMixed'>
      const filled = { ...lane, has_bowl: true }
      return is_on && zone_key === lane.key ? marked(filled, { ...act, kind: 'ApplicationStarted' }) : filled
    }
    case 'ApplicationStarted': {
      if ((act.data as EventData<'ApplicationStarted'>).after_key === lane.key)
        return lane.phase === 'applying' ? marked(lane, { ...act, kind: 'ApplicationFinished' }) : lane
      const need = minutes(lane.started_at, lane.zero_at)
      const zero = new Date(new Date(at).getTime() + need * 60_000).toISOString()
      return { ...lane, phase: 'applying', started_at: at, zero_at: zero, is_forecast: true }
    }
    case 'ApplicationFinished':
      return { ...lane, phase: 'processing', is_forecast: false, zero_at: lane.is_forecast ? at : lane.zero_at }
    case 'ReadingTaken': {
      const data = act.data as EventData<'ReadingTaken'>
      const level = data.level
      const near = [...lane.curve].sort(
        (a, b) => Math.abs(a.level_likely - level) - Math.abs(b.level_likely - level),
      )[0]
      const minute = minutes(lane.zero_at, at)
      const hex = near?.hex ?? pointAt(lane.curve, minute)?.hex ?? '#808080'
      const reading = { event_id: act.event_id, minute, level, mode: data.mode, hex }
      return { ...lane, readings: [...lane.readings, reading] }
    }
    case 'Rinsed':
    case 'WaveRinsed': {
      const end = Math.max(minutes(lane.zero_at, at), 0.5)
      return { ...lane, phase: 'rinsed', rinsed_min: end, end_min: end }
    }
    default:
      return lane
  }
}

/** The hand's next tap on what it has begun, while the server cannot say: last section, first section, bowl. */
function handAct(lanes: readonly LaneLike[], now: string): ActLike | null {
  const made = (code: string, lane: LaneLike, title: string, due: string): ActLike => ({
    code,
    zone_key: lane.key,
    zone_keys: [lane.key],
    title,
    detail: $t('common.vol', { volume_strength: lane.volume_strength }),
    due_at: due,
    hex: null,
  })
  const applying = lanes.find((l) => l.phase === 'applying')
  if (applying) return made('finish', applying, $t('waiting.finishApplying', { name: applying.name }), applying.zero_at)
  const lane = lanes.find((l) => l.phase === 'waiting')
  if (!lane) return null
  return lane.has_bowl
    ? made('start', lane, $t('waiting.start', { name: lane.name }), now)
    : made('mix', lane, $t('waiting.mixTheBowlFor', { name: lane.name }), now)
}

const HAND = ['mix', 'start', 'finish']

export interface BoardLike {
  now: string
  lanes: readonly LaneLike[]
  acts: readonly ActLike[]
}

/** The last board known, with the acts that wait here marked on it. */
export function withWaiting<B extends BoardLike>(board: B, waiting: readonly WaitingAct[], now: number): B {
  if (waiting.length === 0) return board
  let lanes = [...board.lanes]
  let acts = [...board.acts]
  for (const act of waiting) {
    const keys = keysOf(act)
    lanes = lanes.map((lane) => (keys.includes(lane.key) ? marked(lane, act) : lane))
    const done = DOES[act.kind] ?? []
    acts = acts.filter(
      (a) =>
        !(
          (done.includes(a.code) || (act.kind === 'ApplicationStarted' && a.code === 'finish')) &&
          (a.zone_keys.length ? a.zone_keys : [a.zone_key]).every((k) => k !== null && keys.includes(k))
        ),
    )
  }
  if (waiting.some((a) => HAND.includes((DOES[a.kind] ?? [])[0] ?? ''))) {
    const at = new Date(now).toISOString()
    const hand = handAct(lanes, at)
    acts = [...(hand ? [hand] : []), ...acts.filter((a) => !HAND.includes(a.code))]
    acts.sort((a, b) => Math.max(new Date(a.due_at).getTime(), now) - Math.max(new Date(b.due_at).getTime(), now))
  }
  return { ...board, lanes, acts }
}

/** What Undo takes back: the last act that waits here and was not taken back here, else what the server's board says. */
export function undoable(
  waiting: readonly WaitingAct[],
  ofBoard: { event_id: string; text: string } | null | undefined,
): { event_id: string; text: string } | null {
  const takenBack = new Set(
    waiting.filter((a) => a.kind === 'EventVoided').map((a) => (a.data as EventData<'EventVoided'>).event_id),
  )
  const last = waiting.findLast((a) => a.kind !== 'EventVoided' && !takenBack.has(a.event_id))
  if (last) return { event_id: last.event_id, text: last.text }
  return ofBoard && !takenBack.has(ofBoard.event_id) ? ofBoard : null
}

/** Zones with an act that has not reached the server yet. */
export const waitingKeys = (waiting: readonly WaitingAct[]): Set<string> => new Set(waiting.flatMap(keysOf))
