import { describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import {
  addPart,
  areasOf,
  copyToMirror,
  fillOf,
  merge,
  newPieces,
  newZone,
  partAt,
  removePart,
  setEdge,
  setLength,
  slotsOf,
  split,
  stretches,
  writeLines,
} from './zones'

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
    expect(zone('crown')).toMatchObject({ thickness: 'medium', is_delicate: false, parts: [], pieces: null })
  })

  it('reads parts apart, from the scalp to the tip, whatever the order they were told in', () => {
    const made = { ...zone('crown'), porosity: 'high' as const, history: 'lightened' as const, curl: 'curly' as const }
    expect(partAt(made, 'root')).toBeNull()
    expect(addPart(made, 'ends', 250, 12)).toBe('ends')
    expect(addPart(made, 'root', 250, 12)).toBe('root')
    expect(addPart(made, 'band', 250, 12)).toBe('band-1')
    expect(addPart(made, 'root', 250, 12)).toBe('root') // it is there already
    expect(slotsOf(made.parts)).toEqual(['root', 'band-1', 'ends'])
    // a virgin root does not have the porous lengths' condition; how the hair is shaped is the same
    expect(partAt(made, 'root')).toMatchObject({
      start_level: 4,
      history: 'virgin',
      porosity: 'normal',
      curl: 'curly',
      from_mm: 0,
      to_mm: 12,
    })
    expect(partAt(made, 'ends')).toMatchObject({ from_mm: 200, to_mm: null })
    expect(partAt(made, 'lengths')).toBe(made)
    expect(stretches(made.parts, 250).map((s) => [s.slot, s.from, s.to])).toEqual([
      ['root', 0, 12],
      ['lengths', 12, 75],
      ['band-1', 75, 135],
      ['lengths', 135, 200],
      ['ends', 200, 250],
    ])
    removePart(made, 'root')
    expect(slotsOf(made.parts)).toEqual(['band-1', 'ends'])
  })

  it('moves the edge of a part as far as its neighbours leave room', () => {
    const made = zone('crown')
    for (const what of ['root', 'band', 'ends'] as const) addPart(made, what, 250, 12)
    setEdge(made, 'band-1', 'from_mm', 3, 250)
    setEdge(made, 'band-1', 'to_mm', 400, 250)
    expect(partAt(made, 'band-1')).toMatchObject({ from_mm: 12, to_mm: 200 })
    expect(addPart(made, 'band', 250, 12)).toBeNull() // no hair is left between them
  })

  it('keeps ends at the tip when the hair is longer, and drops what would lie past it', () => {
    const made = zone('crown')
    for (const what of ['band', 'ends'] as const) addPart(made, what, 250, 12)
    setLength(made, 350)
    expect(partAt(made, 'ends')).toMatchObject({ from_mm: 300, to_mm: null })
    setLength(made, 60)
    expect(slotsOf(made.parts).every((s) => s === 'ends')).toBe(true)
    expect(made.parts.every((p) => p.from_mm < 60)).toBe(true)
  })

  it('paints a zone by its parts, or by its two kinds in turn', () => {
    const made = { ...zone('crown'), part_hexes: ['#111111'] }
    expect(fillOf(made)).toBe('#513727')
    addPart(made, 'root', 250, 12)
    expect(fillOf(made)).toEqual({ stops: ['#111111', '#513727'], isInTurn: false })
    made.pieces = newPieces(made)
    made.pieces_hexes = ['#eeeeee']
    expect(fillOf(made)).toMatchObject({ isInTurn: true, stops: ['#513727', '#eeeeee', '#513727', '#eeeeee', '#513727', '#eeeeee'] }) // prettier-ignore
  })

  it('copies left to right, adding the twin that was not read and keeping names', () => {
    const left = { ...zone('left_side', 5.5), history: 'tinted' as const, foil_count: 9 }
    addPart(left, 'root', 250, 8)
    const added = copyToMirror([zone('crown'), left], head)
    expect(added.map((z) => z.key)).toEqual(['crown', 'left_side', 'right_side'])
    const right = added[2]!
    expect(right).toMatchObject({ name: 'right side', start_level: 5.5, history: 'tinted' })
    expect(right.parts[0]).toEqual(left.parts[0])
    expect(right.parts[0]).not.toBe(left.parts[0])
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

describe('a head in one typed line', () => {
  const line = (more: Partial<Schemas['ReadLineOut']>): Schemas['ReadLineOut'] => ({
    zone_keys: [],
    part: 'whole',
    start_level: null,
    target_level: null,
    history: null,
    porosity: null,
    length_mm: null,
    keeps_depth: false,
    ...more,
  })
  const usualHead = { zones: head, pace_min_per_foil: 1.1, usual_length_mm: 250, root_mm: 12 }
  const made = (h: Schemas['HeadZoneOut'], level: number) => zone(h.key, level)
  const write = (zones: ReturnType<typeof zone>[], lines: Schemas['ReadLineOut'][], selected: string[] = []) =>
    writeLines(zones, lines, selected, usualHead, made)

  it('reads all of it, then its ends, then what is wanted', () => {
    const { zones, unread } = write(
      [],
      [
        line({ zone_keys: head.map((h) => h.key), start_level: 5 }),
        line({ part: 'ends', start_level: 8.5, porosity: 'high' }),
        line({ target_level: 9 }),
      ],
    )
    expect(unread).toEqual([])
    expect(zones.map((z) => [z.start_level, z.target_level])).toEqual(head.map(() => [5, 9]))
    expect(zones[0]!.parts).toMatchObject([{ start_level: 8.5, porosity: 'high', to_mm: null }])
  })

  it('goes to the chosen zones where none is named, and to roots of a length', () => {
    const before = [zone('crown', 5), zone('nape', 5)]
    const { zones } = write(
      before,
      [line({ part: 'root', start_level: 4, history: 'virgin', length_mm: 30 })],
      ['nape'],
    )
    expect(zones[0]!.parts).toEqual([])
    expect(zones[1]!.parts).toMatchObject([{ from_mm: 0, to_mm: 30, start_level: 4, history: 'virgin' }])
    expect(before[1]!.parts).toEqual([]) // what stood is not touched: it can be undone
  })

  it('says which zones it could say nothing of', () => {
    const { zones, unread } = write([], [line({ zone_keys: ['crown'], target_level: 9 })])
    expect(zones).toEqual([])
    expect(unread).toEqual(['crown'])
  })
})
