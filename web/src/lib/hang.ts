/** Hanging lanes from a drawn head: where each strand falls, and how minutes lie along it. Pixels in, pixels out. */
import { chance } from './fibres'

export interface Frame {
  width: number
  height: number
  /** Kept free at the left, for the clock and the scale. */
  left: number
  right: number
}
export interface HungLane {
  key: string
  /** The zone it is of: its parts hang side by side. */
  zone_key: string
  /** Where that lies across the head, -1 to 1. */
  across: number
}
export interface Column<L> {
  lane: L
  /** Middle of the strand, px from the left. */
  x: number
  /** Room it has, px. */
  width: number
}
export interface Hung<L> {
  columns: Column<L>[]
  /** Where the hair parts. */
  parting: { x: number; y: number }
  /** Where strands begin to fall straight. */
  fall: number
  /** Where all are to be ready: one line across. */
  ready: number
  perMin: number
  strandWidth: number
}

/** Minutes before and after the ready line that there is room for. */
export const BEFORE_MIN = 42
export const AFTER_MIN = 26
const WIDEST = 112
const ZONE_GAP = 10
/** So far from the parting a strand lies flat over the head. */
const COMBED_PX = 120

/** In their place from left to right, the parts of a zone together and in their own order. */
export function inPlace<L extends HungLane>(lanes: readonly L[]): L[] {
  const first = new Map<string, number>()
  lanes.forEach((l, i) => first.has(l.zone_key) || first.set(l.zone_key, i))
  return lanes
    .map((lane, i) => ({ lane, i }))
    .sort((a, b) => {
      const side = a.lane.across - b.lane.across
      return side || first.get(a.lane.zone_key)! - first.get(b.lane.zone_key)! || a.i - b.i
    })
    .map((x) => x.lane)
}

/** Rows of about as many each, at most `most`; a zone's parts stay in one row where they fit. */
export function rowsOf<L extends HungLane>(lanes: readonly L[], most: number): L[][] {
  const count = Math.max(1, Math.ceil(lanes.length / Math.max(1, most)))
  const each = Math.ceil(lanes.length / count)
  const rows: L[][] = []
  let row: L[] = []
  lanes.forEach((lane, i) => {
    const isNewZone = lane.zone_key !== lanes[i - 1]?.zone_key
    const ofZone = lanes.filter((l) => l.zone_key === lane.zone_key).length
    const isSplit = isNewZone && row.length > 0 && ofZone <= each && row.length + ofZone > each
    if (row.length >= each || isSplit) {
      rows.push(row)
      row = []
    }
    row.push(lane)
  })
  return row.length ? [...rows, row] : rows
}

/** Lays out one row of strands in a frame. */
export function hang<L extends HungLane>(lanes: readonly L[], frame: Frame): Hung<L> {
  const breaks = lanes.filter((l, i) => i > 0 && l.zone_key !== lanes[i - 1]!.zone_key).length
  const hasParts = breaks < lanes.length - 1
  const gap = hasParts ? ZONE_GAP : 0
  const room = Math.max(frame.width - frame.left - frame.right - gap * breaks, 1)
  const width = Math.min(room / Math.max(lanes.length, 1), WIDEST)
  let x = frame.left + (room - width * lanes.length) / 2
  const columns = lanes.map((lane, i) => {
    if (i > 0 && lane.zone_key !== lanes[i - 1]!.zone_key) x += gap
    const column = { lane, x: x + width / 2, width }
    x += width
    return column
  })
  const middle = ((columns[0]?.x ?? 0) + (columns[columns.length - 1]?.x ?? 0)) / 2
  const fall = Math.min(Math.max(frame.height * 0.28, 50), 124)
  const perMin = (frame.height - fall - 6) / (BEFORE_MIN + AFTER_MIN)
  return {
    columns,
    parting: { x: middle, y: 6 },
    fall,
    ready: fall + BEFORE_MIN * perMin,
    perMin,
    strandWidth: Math.min(Math.max(width * 0.52, 11), 50),
  }
}

/** Height of a moment on a strand that is ready `likely` min after its zero: all are ready on one line. */
export const heightAt = (hung: Pick<Hung<unknown>, 'ready' | 'perMin'>, likely: number, minute: number): number =>
  hung.ready + (minute - likely) * hung.perMin

const px = (n: number) => n.toFixed(1)

/** One fibre from the parting to `end`; `aside` is its place in the strand, -0.5 to 0.5. */
export function fibre(
  hung: Pick<Hung<unknown>, 'parting' | 'fall' | 'strandWidth'>,
  middle: number,
  aside: number,
  end: number,
): string {
  const { x: from, y: top } = hung.parting
  const x = middle + aside * hung.strandWidth
  const away = middle - from
  // what hangs outside lies on top where the hair is combed over the head
  const under = (0.5 - aside * Math.sign(away)) * hung.strandWidth * 0.85 * Math.min(Math.abs(away) / COMBED_PX, 1)
  // every strand begins a little beyond the parting, so that none shows through it
  const root = from - Math.sign(away) * 5 + aside * hung.strandWidth * 0.25
  const bend = from + (x - from) * 0.58
  const y = top + under
  const down = y + (hung.fall - y) * 0.3
  const line = `M${px(root)} ${px(y)}C${px(bend)} ${px(y)} ${px(x)} ${px(down)} ${px(x)} ${px(hung.fall)}`
  return end > hung.fall ? `${line}V${px(end)}` : line
}

export interface StrandFibre {
  aside: number
  /** How much before the strand's tip it ends, px. */
  short: number
  tone: 'shade' | 'body' | 'sheen'
}
/** The fibres of a strand; the same for the same seed. */
export function strandFibres(seed: number, width: number): StrandFibre[] {
  const next = chance(seed)
  const count = Math.min(Math.max(Math.round(width / 4), 5), 12)
  return Array.from({ length: count }, (_, i) => {
    const aside = ((i + 0.5) / count - 0.5) * 0.96 + (next() - 0.5) * 0.03
    const draw = next()
    return { aside, short: next() * 11 - 4, tone: draw < 0.3 ? 'shade' : draw > 0.74 ? 'sheen' : 'body' }
  })
}
