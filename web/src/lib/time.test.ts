import { describe, expect, it } from 'vitest'
import { clock, countdown, fixed, inMinutes, isoDay, levelText, minutesUntil } from './time'

describe('numbers and times of day', () => {
  it.each([
    ['en', 'en-GB'],
    ['de', 'de-DE'],
    ['fr', 'fr-FR'],
    ['es', 'es-ES'],
    ['ar', 'ar-u-nu-latn'],
  ] as const)('are written in %s as Intl writes them', (language, locale) => {
    for (const value of [0, 7, 8.5, -0.5, 12.34, 1234.06, -61])
      for (const digits of [0, 1, 2, 3] as const) {
        const exact = { minimumFractionDigits: digits, maximumFractionDigits: digits, useGrouping: false }
        if (digits === 0 && value % 1) continue // halves are rounded to one side or the other
        expect(fixed(value, digits, language)).toBe(new Intl.NumberFormat(locale, exact).format(value))
      }
    const at = new Date(2026, 0, 5, 7, 4)
    const hour = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const
    expect(clock(at)).toBe(at.toLocaleTimeString(locale, hour))
  })
})
describe('times at the chair', () => {
  it('counts down, then on with a plus', () => {
    expect(countdown(1.6667)).toBe('1:40')
    expect(countdown(0)).toBe('0:00')
    expect(countdown(-0.5)).toBe('+0:30')
    expect(countdown(-61)).toBe('+61:00')
  })
  it('says minutes in words', () => {
    expect(inMinutes(3.4)).toBe('in 3 min')
    expect(inMinutes(0.2)).toBe('now')
    expect(inMinutes(-7)).toBe('7 min ago')
    expect(inMinutes(-240)).toBe('4 h 00 ago')
  })
  it('measures from moments, not from ticks', () => {
    const now = new Date('2026-03-01T09:00:00Z').getTime()
    expect(minutesUntil('2026-03-01T09:12:30Z', now)).toBeCloseTo(12.5)
    expect(minutesUntil('2026-03-01T08:59:00Z', now)).toBeCloseTo(-1)
  })
  it('shows a day as the calendar has it here', () => {
    expect(isoDay(new Date(2026, 0, 5, 23, 59))).toBe('2026-01-05')
    expect(clock(new Date(2026, 0, 5, 7, 4))).toBe('07:04')
  })
  it('shows levels as they are read', () => {
    expect([levelText(8), levelText(8.5)]).toEqual(['8', '8.5'])
  })
})
