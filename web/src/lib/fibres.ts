/** A strand as it lies: the colours are the core's, by minute; here they are only laid side by side. */

export interface FibreColours {
  shade: string
  body: string
  light: string
  sheen: string
}
export interface Fibre {
  /** Across the strand, 0 to 1, at five places from the scalp to its end. */
  x: readonly [number, number, number, number, number]
  width: number
  colour: keyof FibreColours
}

/** A row of chance that is the same for the same seed (mulberry32, public domain). */
export const chance = (seed: number) => {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** Of a strand's fibres, how many are of each colour: in all they look like its body, for that is read by the eye. */
const SHARES: readonly [keyof FibreColours, number][] = [
  ['shade', 0.24],
  ['light', 0.25],
  ['sheen', 0.05],
  ['body', 1],
]

/** The fibres of a strand as they lie over each other, in no order of their colours. */
export function fibres(seed: number, count: number, isWet: boolean): Fibre[] {
  const next = chance(seed)
  const locks = isWet ? 7 : 16
  const bend = 0.05 + next() * 0.05
  return Array.from({ length: count }, () => {
    // some begin beyond the edges, so that the strand is as thick there
    const x = next() * 1.3 - 0.15
    // wet hair hangs together in locks
    const lock = (Math.floor(x * locks) + 0.5) / locks
    const drawn = x + (lock - x) * (isWet ? 0.55 : 0.12)
    const sway = bend + (next() - 0.5) * 0.07
    const away = (next() - 0.5) * 0.1
    let rest = next()
    const colour = SHARES.find(([, share]) => (rest -= share) < 0)![0]
    return {
      x: [x, x + sway * 0.7, drawn + sway, drawn - sway * 0.3 + away * 0.5, drawn - sway + away],
      width: 0.005 + next() * 0.012,
      colour,
    }
  })
}

/** Where product lies on a strand: strokes from, to (0 to 1 along it), across, and how thick. */
export function film(seed: number): { x: number; from: number; to: number; width: number }[] {
  const next = chance(seed ^ 0x5bd1e995)
  return Array.from({ length: 46 }, () => {
    const from = next() * 1.1 - 0.1
    return { x: next(), from, to: from + 0.08 + next() * 0.3, width: 0.02 + next() * 0.05 }
  })
}
