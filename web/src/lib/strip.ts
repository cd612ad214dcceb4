/** Painting a strip from a curve the server computed; here is only interpolation between its points. */
import { chance } from './fibres'

export interface PaintPoint {
  minute: number
  hex: string
}

export interface LevelPoint extends PaintPoint {
  level_slow: number
  level_likely: number
  level_fast: number
}

/** A CSS gradient over the curve's own span. */
export function gradient(points: readonly PaintPoint[]): string {
  const first = points[0]
  const last = points[points.length - 1]
  if (!first || !last) return 'none'
  const span = last.minute - first.minute
  if (span <= 0) return `linear-gradient(${first.hex}, ${first.hex})`
  const stops = points.map((p) => `${p.hex} ${(((p.minute - first.minute) / span) * 100).toFixed(2)}%`)
  return `linear-gradient(to right, ${stops.join(', ')})`
}

/** How fibres look along a lane, where the core says so. */
export interface FibrePoint {
  minute: number
  shade: string
  light: string
  sheen: string
}
export interface LaidFibre {
  /** Across the lane, 0 to 1, at its scalp end, twice along it, and at its tip. */
  y: readonly [number, number, number, number]
  kind: 'shade' | 'light'
}
/** The fibres that show on a lane, as many in the shade as in the light: in all it looks like its body. */
export function laidFibres(seed: number, count: number): LaidFibre[] {
  const next = chance(seed)
  return Array.from({ length: count }, (_, i) => {
    const y = (i + 0.5) / count
    const off = () => Math.min(Math.max(y + (next() - 0.5) * 0.06, 0.02), 0.98)
    return { y: [off(), off(), off(), off()], kind: i % 2 ? 'light' : 'shade' }
  })
}

/** The point at a minute: levels interpolated, colour of the nearest point; ends held. */
export function pointAt<T extends PaintPoint>(points: readonly T[], minute: number): T | undefined {
  if (points.length === 0) return undefined
  let best = points[0] as T
  for (const point of points) if (Math.abs(point.minute - minute) < Math.abs(best.minute - minute)) best = point
  return best
}

export function likelyAt(points: readonly LevelPoint[], minute: number): number | undefined {
  const last = points[points.length - 1]
  const first = points[0]
  if (!first || !last) return undefined
  if (minute <= first.minute) return first.level_likely
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1] as LevelPoint
    const b = points[i] as LevelPoint
    if (minute <= b.minute) {
      const share = b.minute === a.minute ? 1 : (minute - a.minute) / (b.minute - a.minute)
      return a.level_likely + share * (b.level_likely - a.level_likely)
    }
  }
  return last.level_likely
}

/** A linear scale from minutes to percent of a width, and back. */
export interface Axis {
  from: number
  to: number
}
export const toPercent = (axis: Axis, minute: number): number => ((minute - axis.from) / (axis.to - axis.from)) * 100
export const toMinute = (axis: Axis, share: number): number => axis.from + share * (axis.to - axis.from)
export const clampPercent = (value: number): number => Math.min(100, Math.max(0, value))

/** Round marks on an axis, at most `most` of them. */
export function ticks(axis: Axis, most: number): number[] {
  const span = axis.to - axis.from
  const step = [1, 2, 5, 10, 15, 20, 30, 60, 120].find((s) => span / s <= most) ?? 240
  const found: number[] = []
  for (let m = Math.ceil(axis.from / step) * step; m <= axis.to + 1e-9; m += step) found.push(m + 0) // no minus zero
  return found
}

/** Black or white, whichever reads better on a colour (relative luminance, WCAG 2.2). */
export function inkOn(hex: string): '#000000' | '#ffffff' {
  const channel = (at: number) => {
    const c = parseInt(hex.slice(at, at + 2), 16) / 255
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
  }
  const luminance = 0.2126 * channel(1) + 0.7152 * channel(3) + 0.0722 * channel(5)
  return luminance > 0.179 ? '#000000' : '#ffffff'
}

export interface StrandAxes {
  end: number
  top: number
  bottom: number
}
/** One set of axes for strands side by side, so that they can be told apart by the eye: minutes, levels. */
export function strandAxes(
  strands: readonly {
    curve: readonly LevelPoint[]
    readings?: readonly { level: number }[]
    start_level: number
  }[],
): StrandAxes {
  const levels = strands.flatMap((s) => [
    ...s.curve.map((p) => p.level_fast),
    ...(s.readings ?? []).map((r) => r.level),
  ])
  return {
    end: Math.max(...strands.map((s) => s.curve[s.curve.length - 1]?.minute ?? 10), 10),
    top: Math.min(10, Math.ceil(Math.max(...levels, 2) + 0.2)),
    bottom: Math.max(1, Math.floor(Math.min(...strands.map((s) => s.start_level), 10) - 0.2)),
  }
}
