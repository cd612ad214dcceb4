import { describe, expect, it } from 'vitest'
import { chance, fibres, film } from './fibres'

describe('a strand as it lies', () => {
  it('is the same for the same seed, and another for another', () => {
    expect(fibres(7, 120, false)).toEqual(fibres(7, 120, false))
    expect(fibres(7, 120, false)).not.toEqual(fibres(8, 120, false))
    expect(film(7)).toEqual(film(7))
  })

  it('draws chance that spreads over 0 to 1', () => {
    const next = chance(3)
    const drawn = Array.from({ length: 2_000 }, next)
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...drawn)).toBeLessThan(1)
    const mean = drawn.reduce((a, b) => a + b, 0) / drawn.length
    expect(mean).toBeGreaterThan(0.47)
    expect(mean).toBeLessThan(0.53)
  })

  it('has as much shade as light, little sheen, and wet hair together in locks', () => {
    const count = (colour: string) => fibres(5, 2_000, false).filter((f) => f.colour === colour).length / 2_000
    expect(count('shade')).toBeCloseTo(0.24, 1)
    expect(count('light')).toBeCloseTo(0.25, 1)
    expect(count('sheen')).toBeLessThan(0.08)
    const fromLock = (wet: boolean) =>
      fibres(5, 300, wet).reduce((sum, f) => sum + Math.abs(f.x[2] - f.x[1] - (lock(f.x[0]) - f.x[0]) * 0.5), 0)
    const lock = (x: number) => (Math.floor(x * 7) + 0.5) / 7
    expect(fromLock(true)).toBeLessThan(fromLock(false))
  })
})
