import { File as NodeFile } from 'node:buffer'
import { describe, expect, it } from 'vitest'
import { FileError, readText } from './files'

/** A file as a browser has it; jsdom's cannot be read. */
const File = NodeFile as unknown as typeof globalThis.File

describe('files taken in', () => {
  it('reads UTF-8 text', async () => {
    expect(await readText(new File(['strand,zöne'], 'a.csv'), 100)).toBe('strand,zöne')
  })
  it('names a file that is too large before reading it', async () => {
    const large = new File(['x'.repeat(3000)], 'large.csv')
    await expect(readText(large, 1000)).rejects.toThrow('large.csv: must be at most 1 kB, is 3 kB.')
  })
  it('refuses what is not text', async () => {
    const bytes = new File([new Uint8Array([0xff, 0xfe, 0x41])], 'photo.json')
    await expect(readText(bytes, 1000)).rejects.toThrow(FileError)
  })
})
