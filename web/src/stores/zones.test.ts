import { describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { areasOf, copyToMirror, merge, newSegment, newZone, partOf, split } from './zones'

const usual = (key: string, mirror: string | null = null): Schemas['HeadZoneOut'] => ({
  key,
  name: key.replace('_', ' '),
  foil_count: 6,
  is_delicate: key === 'nape',
  mirror,
})
const head = [usual('crown'), usual('left_side', 'right_side'), usual('right_side', 'left_side'), usual('nape')]
const zone = (key: string, level = 4) =>
  newZone(
    head.find((h) => h.key === key)!,
    level,
    8,
    1.1,
    '#513727',
  )

describe('zones on the page', () => {
  it('begins a zone with what its kind of hair usually is', () => {
    expect(zone('nape')).toMatchObject({ thickness: 'fine', is_delicate: true, pace_min_per_foil: 1.1 })
    expect(zone('crown')).toMatchObject({ thickness: 'medium', is_delicate: false, root: null })
  })

  it('reads a segment apart from its zone', () => {
    const made = zone('crown')
    expect(partOf(made, 'root')).toBeNull()
    made.root = newSegment(made, 'root', 12)
    expect(partOf(made, 'root')).toMatchObject({ start_level: 4, history: 'virgin', length_mm: 12 })
    expect(partOf(made, 'lengths')).toBe(made)
  })

  it('copies left to right, adding the twin that was not read and keeping names', () => {
    const left = { ...zone('left_side', 5.5), history: 'tinted' as const, foil_count: 9 }
    left.root = newSegment(left, 'root', 8)
    const added = copyToMirror([zone('crown'), left], head)
    expect(added.map((z) => z.key)).toEqual(['crown', 'left_side', 'right_side'])
    const right = added[2]!
    expect(right).toMatchObject({ name: 'right side', start_level: 5.5, history: 'tinted' })
    expect(right.root).not.toBe(left.root)
    const again = copyToMirror([left, { ...zone('right_side', 3), name: 'Mine' }], head)
    expect(again[1]).toMatchObject({ key: 'right_side', name: 'Mine', start_level: 5.5, foil_count: 9 })
  })

  it('splits an area in halves and joins them again', () => {
    const halves = split([zone('crown')], 'crown')
    expect(halves.map((z) => [z.key, z.areas, z.foil_count])).toEqual([
      ['crown', ['crown/1'], 3],
      ['crown-2', ['crown/2'], 3],
    ])
    expect(split(halves, 'crown')).toBe(halves) // a half is not halved again
    const [joined] = merge(halves, ['crown', 'crown-2'])
    expect(joined).toMatchObject({ key: 'crown', areas: ['crown'], foil_count: 6 })
  })

  it('joins zones and parts them by their areas', () => {
    const joined = merge([zone('crown', 5), zone('left_side'), zone('nape')], ['crown', 'left_side'])
    expect(joined).toHaveLength(2)
    expect(joined[0]).toMatchObject({ name: 'crown + left side', start_level: 5, foil_count: 12 })
    expect(areasOf(joined[0]!)).toEqual(['crown', 'left_side'])
    expect(split(joined, 'crown').map((z) => z.areas)).toEqual([['crown'], ['left_side'], []])
    expect(merge(joined, ['crown'])).toBe(joined)
  })

  it('counts sections to sixty at most', () => {
    const many = ['crown', 'nape'].map((k) => ({ ...zone(k), foil_count: 40 }))
    expect(merge(many, ['crown', 'nape'])[0]!.foil_count).toBe(60)
  })
})
