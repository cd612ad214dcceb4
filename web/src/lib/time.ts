/** Showing times; numbers stay at full precision until here. */
export const clock = (moment: string | Date): string =>
  new Date(moment).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })

export const dayName = (moment: string | Date): string =>
  new Date(moment).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })

export const isoDay = (moment: Date): string => {
  const two = (n: number) => String(n).padStart(2, '0')
  return `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`
}

export const minutesUntil = (moment: string | Date, now: number): number => (new Date(moment).getTime() - now) / 60_000

/** "1:40" for minutes to come, "+1:40" once past. */
export const countdown = (minutes: number): string => {
  const seconds = Math.round(Math.abs(minutes) * 60)
  const text = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
  return minutes < 0 && seconds > 0 ? `+${text}` : text
}

export const inMinutes = (minutes: number): string => {
  const whole = Math.round(minutes)
  if (whole === 0) return 'now'
  return whole > 0 ? `in ${whole} min` : `${-whole} min ago`
}

export const grams = (mass: number): string => (mass >= 10 ? mass.toFixed(0) : mass.toFixed(1))
export const levelText = (level: number): string => (Number.isInteger(level) ? String(level) : level.toFixed(1))

/** "2 h 40" for a stretch of minutes, "45 min" below an hour. */
export const duration = (minutes: number): string => {
  const whole = Math.round(minutes)
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}
