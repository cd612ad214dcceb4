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

/** The fibres of a strand, the deepest first: between them lies shade, few of them shine. */
export function fibres(seed: number, count: number, isWet: boolean): Fibre[] {
  const next = chance(seed)
  const locks = isWet ? 7 : 16
  const bend = 0.05 + next() * 0.05
  const found: Fibre[] = []
  const kinds: [keyof FibreColours, number][] = [
    ['shade', 0.26],
    ['body', 0.42],
    ['light', 0.24],
    ['sheen', isWet ? 0.08 : 0.05],
  ]
  for (const [colour, share] of kinds) {
    for (let i = 0; i < count * share; i++) {
      const x = next()
      // wet hair hangs together in locks
      const lock = (Math.floor(x * locks) + 0.5) / locks
      const drawn = x + (lock - x) * (isWet ? 0.55 : 0.12)
      const sway = bend + (next() - 0.5) * 0.07
      const away = (next() - 0.5) * 0.1
      found.push({
        x: [x, x + sway * 0.7, drawn + sway, drawn - sway * 0.3 + away * 0.5, drawn - sway + away],
        width: 0.005 + next() * (colour === 'sheen' ? 0.004 : 0.012),
        colour,
      })
    }
  }
  return found
}

/** Where product lies on a strand: strokes from, to (0 to 1 along it), across, and how thick. */
export function film(seed: number): { x: number; from: number; to: number; width: number }[] {
  const next = chance(seed ^ 0x5bd1e995)
  return Array.from({ length: 46 }, () => {
    const from = next() * 1.1 - 0.1
    return { x: next(), from, to: from + 0.08 + next() * 0.3, width: 0.02 + next() * 0.05 }
  })
}
