/** Weights and lengths as the studio reads them: g and mm, or oz and in. All is kept and sent in g and mm. */
import { $t } from './i18n'
import { rounded } from './time'

export type Units = 'metric' | 'us'
const G_PER_OZ = 28.349523125
const MM_PER_INCH = 25.4
const KEPT = 'fervens.units'

/** As the studio had it when this device last heard from it; the page begins anew when that changes. */
export const units: Units = localStorage.getItem(KEPT) === 'us' ? 'us' : 'metric'
const isUs = units === 'us'

/** A mass as a figure alone: from 10 g on whole grams, below tenths; ounces to a hundredth. */
export const grams = (g: number): string => (isUs ? rounded(g / G_PER_OZ, 2) : rounded(g, g >= 10 ? 0 : 1))
/** A mass with its unit. */
export const weight = (g: number): string => (isUs ? $t('units.oz', { n: grams(g) }) : $t('units.g', { n: grams(g) }))
/** A length with its unit. */
export const lengthText = (mm: number): string =>
  isUs ? $t('units.in', { n: rounded(mm / MM_PER_INCH, 2) }) : $t('units.mm', { n: rounded(mm, 0) })

/** How a number that is kept in one unit is shown and typed in the studio's. */
export interface Measure {
  unit: string
  /** Of what is kept, in one of what is shown. */
  per: number
  digits: number
  /** A step of a hand, rounded to one that a rule or a scale has. */
  step: (kept: number) => number
}
const round = (kept: number, per: number, ticks: readonly number[]) => {
  const wanted = kept / per
  return ticks.reduce((best, t) => (Math.abs(t - wanted) < Math.abs(best - wanted) ? t : best), ticks[0]!)
}
const IN_TICKS = [0.0625, 0.125, 0.25, 0.5, 1, 2]
const OZ_TICKS = [0.05, 0.1, 0.25, 0.5, 1, 2]
export const measures: Record<'mm' | 'g', Measure> = isUs
  ? {
      mm: { unit: $t('units.inch'), per: MM_PER_INCH, digits: 2, step: (mm) => round(mm, MM_PER_INCH, IN_TICKS) },
      g: { unit: $t('units.ounce'), per: G_PER_OZ, digits: 2, step: (g) => round(g, G_PER_OZ, OZ_TICKS) },
    }
  : {
      mm: { unit: $t('units.millimetre'), per: 1, digits: 1, step: (mm) => mm },
      g: { unit: $t('units.gram'), per: 1, digits: 1, step: (g) => g },
    }

/** A number that is kept in mm or g as it stands in a field. */
export const inUnit = (kept: number, of: 'mm' | 'g'): number =>
  Number((kept / measures[of].per).toFixed(measures[of].digits))
/** What was typed into a field, as it is kept; what stands there as it was is not rounded on the way. */
export const asKept = (typed: number, of: 'mm' | 'g', was?: number | null): number =>
  was !== undefined && was !== null && inUnit(was, of) === typed ? was : typed * measures[of].per

/** What the studio reads from now on: the page begins anew where that is something else. */
export function measureIn(wanted: Units): void {
  if (wanted === units) return
  localStorage.setItem(KEPT, wanted)
  location.reload()
}
