import { createHash } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { difficulty, solve } from './puzzle'

const puzzle = (bits: number) =>
  `${btoa(JSON.stringify([bits, 'nonce-of-a-test'])).replaceAll('=', '')}:1abcde:signature`

describe('a puzzle', () => {
  it('says how hard it is', () => expect(difficulty(puzzle(12))).toBe(12))
  it('is solved as another library checks it', async () => {
    const text = puzzle(12)
    const digest = createHash('sha256')
      .update(`${text}:${await solve(text)}`)
      .digest()
    expect(digest.readUInt16BE(0) >> 4).toBe(0)
  })
})
