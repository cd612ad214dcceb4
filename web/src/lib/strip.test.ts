import { describe, expect, it } from 'vitest'
import {
  strandAxes,
  clampPercent,
  gradient,
  inkOn,
  laidFibres,
  likelyAt,
  pointAt,
  ticks,
  toMinute,
  toPercent,
} from './strip'

const point = (minute: number, level: number, hex: string) => ({
  minute,
  hex,
  level_slow: level - 0.5,
  level_likely: level,
  level_fast: level + 0.5,
})
const curve = [point(0, 4, '#402010'), point(1, 5, '#704020'), point(3, 6, '#a08050')]

describe('painting a strip', () => {
  it('puts each colour at its own minute', () => {
    expect(gradient(curve)).toBe('linear-gradient(to right, #402010 0.00%, #704020 33.33%, #a08050 100.00%)')
    expect(gradient([])).toBe('none')
    expect(gradient(curve.slice(0, 1))).toBe('linear-gradient(#402010, #402010)')
  })
  it('lays as many fibres in the shade as in the light, the same for the same seed', () => {
    const laid = laidFibres(3, 8)
    expect(laid.filter((f) => f.kind === 'shade')).toHaveLength(4)
    expect(laid.flatMap((f) => f.y).every((y) => y > 0 && y < 1)).toBe(true)
    expect(laidFibres(3, 8)).toEqual(laid)
    expect(laidFibres(4, 8)).not.toEqual(laid)
  })
  it('interpolates the level between the points it was given, and holds the ends', () => {
    expect(likelyAt(curve, 0.5)).toBeCloseTo(4.5)
    expect(likelyAt(curve, 2)).toBeCloseTo(5.5)
    expect(likelyAt(curve, -3)).toBe(4)
    expect(likelyAt(curve, 99)).toBe(6)
    expect(likelyAt([], 1)).toBeUndefined()
  })
  it('takes the colour of the nearest minute', () => {
    expect(pointAt(curve, 0.4)?.hex).toBe('#402010')
    expect(pointAt(curve, 50)?.hex).toBe('#a08050')
  })
})

describe('the axis', () => {
  it('goes to percent and back', () => {
    const axis = { from: -10, to: 50 }
    for (const minute of [-10, 0, 12.5, 50]) expect(toMinute(axis, toPercent(axis, minute) / 100)).toBeCloseTo(minute)
    expect(clampPercent(toPercent(axis, 80))).toBe(100)
    expect(clampPercent(toPercent(axis, -30))).toBe(0)
  })
  it('marks round minutes, never too many', () => {
    expect(ticks({ from: -2, to: 62 }, 8)).toEqual([0, 10, 20, 30, 40, 50, 60])
    for (const to of [7, 33, 90, 240, 600]) expect(ticks({ from: 0, to }, 8).length).toBeLessThanOrEqual(9)
  })
})

describe('ink on a swatch', () => {
  it('is the one with more contrast', () => {
    expect(inkOn('#d2b488')).toBe('#000000')
    expect(inkOn('#372c27')).toBe('#ffffff')
  })
})

describe('axes of strands side by side', () => {
  const curve = (last: number, top: number) => [
    { minute: 0, hex: '#000', level_slow: 4, level_likely: 4, level_fast: 4 },
    { minute: last, hex: '#000', level_slow: top, level_likely: top, level_fast: top },
  ]
  it('hold all of them', () => {
    const some = [
      { curve: curve(45, 7.3), start_level: 4.5 },
      { curve: curve(60, 8.1), readings: [{ level: 9 }], start_level: 6 },
    ]
    expect(strandAxes(some)).toEqual({ end: 60, top: 10, bottom: 4 })
    expect(strandAxes([some[0]!])).toEqual({ end: 45, top: 8, bottom: 4 })
  })
})
