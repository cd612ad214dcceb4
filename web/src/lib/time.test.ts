import { describe, expect, it } from 'vitest'
import { clock, countdown, inMinutes, isoDay, levelText, minutesUntil } from './time'

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
