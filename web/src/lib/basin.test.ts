import { describe, expect, it } from 'vitest'
import { dueAtBasin, isBasinFirst } from './basin'

const basin = (code: string, due_at: string) => ({ code, ids: ['crown'], title: code, detail: '', due_at, hex: null })
const chair = (code: string, due_at: string) => ({ code, due_at })
const EARLY = '2026-03-01T12:00:00Z'
const LATE = '2026-03-01T12:05:00Z'

describe('what is due at the basin, on the chair', () => {
  it('calls for what falls due, not for what can still go on', () => {
    const found = dueAtBasin([basin('apply', EARLY), basin('emulsify', EARLY), basin('stop', LATE)])
    expect(found.map((a) => [a.code, a.zone_key])).toEqual([
      ['rinse', 'crown'],
      ['stop', 'crown'],
    ])
  })
  it('stands large when it comes first, and never before a stop of the lightener', () => {
    expect(isBasinFirst([basin('rinse', EARLY)], [chair('read', LATE)])).toBe(true)
    expect(isBasinFirst([basin('rinse', LATE)], [chair('read', EARLY)])).toBe(false)
    expect(isBasinFirst([basin('rinse', EARLY)], [chair('stop', LATE)])).toBe(false)
    expect(isBasinFirst([basin('rinse', LATE)], [chair('tone', EARLY)])).toBe(true)
    expect(isBasinFirst([basin('rinse', LATE)], [])).toBe(true)
    expect(isBasinFirst([basin('apply', EARLY)], [])).toBe(false)
  })
})
