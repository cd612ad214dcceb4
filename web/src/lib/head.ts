/** Drawing half of an area: the middle of a path, from its own points. */
export interface Box {
  left: number
  right: number
}

/** Horizontal extent of a path made of absolute M, L, C, H, V and Z. */
export function extent(d: string): Box {
  const xs: number[] = []
  for (const [, letter, rest] of d.matchAll(/([MLCHV])([^MLCHVZ]*)/g)) {
    const numbers = (rest ?? '').match(/-?\d+(\.\d+)?/g)?.map(Number) ?? []
    if (letter === 'H') xs.push(...numbers)
    else if (letter !== 'V') xs.push(...numbers.filter((_, i) => i % 2 === 0))
  }
  return { left: Math.min(...xs), right: Math.max(...xs) }
}

/** The left or right part of an area as a rectangle to clip it with. */
export function half(d: string, which: string): { x: number; width: number } {
  const { left, right } = extent(d)
  const middle = (left + right) / 2
  return which === '1' ? { x: left - 2, width: middle - left + 2 } : { x: middle, width: right - middle + 2 }
}
