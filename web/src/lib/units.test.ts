import { afterEach, describe, expect, it, vi } from 'vitest'
import en from '../languages/en.json'

const as = async (units: string) => {
  localStorage.setItem('fervens.units', units)
  vi.resetModules()
  const { i18n } = await import('./i18n')
  i18n.global.setLocaleMessage('en', en)
  return import('./units')
}
afterEach(() => localStorage.clear())

describe('weights and lengths', () => {
  it('are g and mm unless the studio says otherwise', async () => {
    const { asKept, inUnit, lengthText, weight } = await as('metric')
    expect([weight(9.94), weight(18.4), lengthText(12)]).toEqual(['9.9 g', '18 g', '12 mm'])
    expect([inUnit(12.5, 'mm'), asKept(33, 'g')]).toEqual([12.5, 33])
  })
  it('are ounces and inches where it does (NIST Handbook 44: 28.349523125 g, 25.4 mm)', async () => {
    const { asKept, inUnit, lengthText, measures, weight } = await as('us')
    expect([weight(28.349523125), weight(53), lengthText(25.4)]).toEqual(['1 oz', '1.87 oz', '1 in'])
    expect(inUnit(254, 'mm')).toBe(10)
    expect(asKept(inUnit(56.69904625, 'g'), 'g')).toBeCloseTo(56.69904625)
    expect(asKept(inUnit(12, 'mm'), 'mm', 12)).toBe(12) // not 11.938
    expect(asKept(0.5, 'mm', 12)).toBe(12.7)
    expect(measures.mm.step(5)).toBe(0.25)
    expect(measures.mm.step(50)).toBe(2)
  })
  it('begins the page anew only when they change', async () => {
    const { measureIn } = await as('us')
    const reload = vi.fn()
    vi.stubGlobal('location', { reload })
    measureIn('us')
    expect(reload).not.toHaveBeenCalled()
    measureIn('metric')
    expect(reload).toHaveBeenCalledOnce()
    expect(localStorage.getItem('fervens.units')).toBe('metric')
    vi.unstubAllGlobals()
  })
})
