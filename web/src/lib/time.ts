import { $t, DECIMAL_POINTS, isRightToLeft, type Language, language, locale } from './i18n'

/** Showing times and numbers as the reader's language writes them; numbers stay at full precision until here. */
/** A number with a sign begins with a mark where words run to the left: without it the sign would stand behind. */
const written = (text: string, of: Language) =>
  (of === 'ar' && text.startsWith('-') ? '\u200e' : '') + text.replace('.', DECIMAL_POINTS[of])
/** A number with so many digits behind its point. */
export const fixed = (value: number, digits: 0 | 1 | 2 | 3 = 0, of = language): string =>
  written(value.toFixed(digits), of)
/** A number with at most so many digits behind its point. */
export const rounded = (value: number, digits: 0 | 1 | 2): string =>
  written(String(Number(value.toFixed(digits))), language)
/** Before a number with a sign, where words run to the left: without it the sign would stand behind. */
const SIGNS = isRightToLeft ? '\u200e' : ''
/** A day, in so much of it as is asked for. */
export const dayText = (moment: string | Date, parts: Intl.DateTimeFormatOptions): string =>
  new Date(moment).toLocaleDateString(locale, parts)
/** Several things in a row, the last after an "and". */
export const listed = (things: readonly string[]): string =>
  new Intl.ListFormat(locale, { type: 'conjunction' }).format(things)

const two = (n: number) => String(n).padStart(2, '0')
/** "07:04", as each of the languages writes it. */
export const clock = (moment: string | Date): string => {
  const at = new Date(moment)
  return `${two(at.getHours())}:${two(at.getMinutes())}`
}

export const dayName = (moment: string | Date): string =>
  dayText(moment, { weekday: 'long', day: 'numeric', month: 'long' })

export const isoDay = (moment: Date): string => {
  return `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`
}

export const minutesUntil = (moment: string | Date, now: number): number => (new Date(moment).getTime() - now) / 60_000

/** "1:40" for minutes to come, "+1:40" once past. */
export const countdown = (minutes: number): string => {
  const seconds = Math.round(Math.abs(minutes) * 60)
  const text = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
  return minutes < 0 && seconds > 0 ? `${SIGNS}+${text}` : text
}

export const levelText = (level: number): string => (Number.isInteger(level) ? String(level) : fixed(level, 1))

/** "2 h 40" for a stretch of minutes, "45 min" below an hour. */
export const duration = (minutes: number): string => {
  const whole = Math.round(minutes)
  return whole < 60
    ? $t('time.min', { min: whole })
    : $t('time.hMin', { h: Math.floor(whole / 60), min: String(whole % 60).padStart(2, '0') })
}

/** "in 5 min", "2 h 10 ago", "now". */
export const inMinutes = (minutes: number): string => {
  const whole = Math.round(minutes)
  if (whole === 0) return $t('time.now')
  return whole > 0 ? $t('time.inMin', { time: duration(whole) }) : $t('time.minAgo', { time: duration(-whole) })
}
