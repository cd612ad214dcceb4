import { sha256 } from '@noble/hashes/sha2.js'
import { utf8ToBytes } from '@noble/hashes/utils.js'

const AT_ONCE = 2_000

const zeroBits = (hash: Uint8Array): number => {
  let bits = 0
  for (const byte of hash) {
    if (byte) return bits + Math.clz32(byte) - 24
    bits += 8
  }
  return bits
}

/** The difficulty a puzzle says of itself: it is signed, so the server knows better. */
export const difficulty = (puzzle: string): number => {
  const head = puzzle.split(':')[0]!.replaceAll('-', '+').replaceAll('_', '/')
  try {
    return Number((JSON.parse(atob(head)) as [number])[0])
  } catch {
    return 16
  }
}

/** A number whose hash with the puzzle begins with as many zero bits as it asks for; the page stays alive meanwhile. */
export const solve = async (puzzle: string): Promise<string> => {
  const bits = difficulty(puzzle)
  for (let number = 0; ;) {
    for (const end = number + AT_ONCE; number < end; number++) {
      if (zeroBits(sha256(utf8ToBytes(`${puzzle}:${number}`))) >= bits) return String(number)
    }
    await new Promise((later) => setTimeout(later))
  }
}
