/** What a lane shows at a moment: its level, its colour and the one thing to be said of it. Its times are the server's. */
import { $t } from './i18n'
import { type LevelPoint, likelyAt, pointAt } from './strip'
import { countdown, fixed, levelText } from './time'
import { phaseNames } from './words'

/** What is to be known of a lane for that, as the board tells it. */
interface LaneTold {
  name: string
  phase: keyof typeof phaseNames
  start_level: number
  target_level: number
  achieved_level: number | null
  level_now: { likely: number }
  hex_now: string
  curve: readonly LevelPoint[]
  wall_min: number
  warn_mins: readonly number[]
  window_min: { early: number | null; late: number | null }
  advice: { act: string; then: string; due_min: number } | null
  leaves: 'basin' | 'wiped' | 'dried'
  stop_reason: string | null
  has_bowl: boolean
  is_passed_wall: boolean
  application_count: number
}
interface Said {
  text: string
  /** Must end now. */
  isStrong: boolean
  /** Needs a hand. */
  isDue: boolean
}
export interface LaneNow extends Said {
  level: number
  hex: string
  isLive: boolean
  /** All of it in a sentence, for who hears the page. */
  label: string
}

function said(lane: LaneTold, sinceZero: number): Said {
  const toWall = lane.wall_min - sinceZero
  const plain = (text: string): Said => ({ text, isStrong: false, isDue: false })
  const strong = (text: string): Said => ({ text, isStrong: true, isDue: false })
  if (lane.phase === 'waiting') return plain(lane.has_bowl ? $t('chairLane.bowlIsMixed') : $t('chairLane.waits'))
  if (lane.stop_reason) return strong($t('chairLane.rinseAtOnce'))
  if (lane.phase === 'applying' && lane.application_count > 1) return plain($t('chairLane.newProductGoingOn'))
  if (lane.phase === 'applying')
    return plain($t('chairLane.lastSectionInMin', { what: Math.max(0, Math.round(-sinceZero)) }))
  if (lane.phase === 'rinsed')
    return lane.is_passed_wall ? strong($t('chairLane.rinsedPastTheLabel')) : plain(phaseNames.rinsed)
  if (toWall <= 0) return strong($t('chairLane.labelPassed', { toWall: countdown(toWall) }))
  const [soon, near] = lane.warn_mins as [number, number]
  if (sinceZero >= near) return strong($t('chairLane.wallIn', { toWall: countdown(toWall) }))
  const { early, late } = lane.window_min
  const isDue = sinceZero >= soon
  const wall = Math.round(toWall)
  const off = { basin: $t('chairLane.rinse'), wiped: $t('common.wipeOut'), dried: $t('chairLane.dryOut') }[lane.leaves]
  if (lane.advice?.act === 'rinse') return { text: $t('chairLane.ready', { off }), isStrong: false, isDue: true }
  if (lane.advice?.act === 'short') return { text: $t('chairLane.willStopShort'), isStrong: false, isDue: true }
  if (lane.advice?.act === 'leave' && lane.advice.then === 'rinse') {
    const due = Math.max(0, Math.round(lane.advice.due_min - sinceZero))
    return { text: $t('chairLane.inWall', { off, due, toWall: wall }), isStrong: false, isDue }
  }
  if (early === null || early > lane.wall_min)
    return { text: $t('chairLane.wallInMin', { toWall: wall }), isStrong: false, isDue }
  const from = Math.max(0, Math.round(early - sinceZero))
  if (late === null || late > lane.wall_min)
    return { text: $t('chairLane.fromWall', { from, wall }), isStrong: false, isDue }
  const to = ` ${$t('chairLane.to', { what: Math.max(0, Math.round(late - sinceZero)) })}`
  return { text: $t('chairLane.inWall2', { from, to, wall }), isStrong: false, isDue }
}

/** A lane so many minutes after its clock began. */
export function laneNow(lane: LaneTold, sinceZero: number): LaneNow {
  const isLive = lane.phase === 'processing' || (lane.phase === 'applying' && lane.application_count > 1)
  const level =
    lane.phase === 'rinsed'
      ? (lane.achieved_level ?? lane.level_now.likely)
      : isLive
        ? (likelyAt(lane.curve, sinceZero) ?? lane.level_now.likely)
        : lane.start_level
  const hex = isLive ? (pointAt(lane.curve, sinceZero)?.hex ?? lane.hex_now) : lane.hex_now
  const says = said(lane, sinceZero)
  const label = $t('chairLane.nowAboutTarget', {
    name: lane.name,
    phase: phaseNames[lane.phase],
    level: fixed(level, 1),
    target_level: levelText(lane.target_level),
    text: says.text,
  })
  return { ...says, level, hex, isLive, label }
}
