import type { Schemas } from '../api/client'
import { $t } from '../lib/i18n'

/** Handling zones on the page: making, filling, parting, copying, splitting, merging. What they mean is the server's. */
export type Zone = Schemas['ZoneOut']
export type StrandPart = Schemas['StrandPart']
export type Pieces = Schemas['Pieces']
/** A zone's hair: all of it, or of two kinds in turn its rest and its pieces. */
export type KindName = 'rest' | 'pieces'
export type Kind = Zone | Pieces
/** A place along the strand: what is between the parts, or one of them. */
export type Slot = 'lengths' | 'root' | 'ends' | `band-${number}`
/** The fields that every piece of hair has. */
export type HairPart = Pick<
  StrandPart,
  | 'start_level'
  | 'history'
  | 'thickness'
  | 'porosity'
  | 'undertone'
  | 'tint_level'
  | 'dye_hue'
  | 'elasticity'
  | 'breakage'
  | 'curl'
  | 'texture'
  | 'grey_share'
>
export const LEAST_MM = 5

export const AREA_HALVES = ['/1', '/2'] as const
export const baseArea = (area: string): string => area.split('/')[0] ?? area
export const areasOf = (zone: { key: string; areas: string[] }): string[] =>
  zone.areas.length ? zone.areas : [zone.key]

/** A zone just read. Where nothing is lightened, hair was lightened before as a rule: so it is proposed, and shown. */
export function newZone(
  usual: Schemas['HeadZoneOut'],
  level: number,
  target: number,
  pace: number,
  hex: string,
  kind: Schemas['ServiceKind'] = 'lighten_and_tone',
): Zone {
  return {
    key: usual.key,
    name: usual.name,
    start_level: level,
    target_level: target,
    history: kind === 'tone_only' || kind === 'deepen' ? 'lightened' : 'virgin',
    thickness: usual.is_delicate ? 'fine' : 'medium',
    porosity: 'normal',
    undertone: null,
    tint_level: null,
    dye_hue: null,
    elasticity: 'returns',
    breakage: 'none',
    covering: 'foil',
    foil_count: usual.foil_count,
    pace_min_per_foil: pace,
    is_delicate: usual.is_delicate,
    is_on_scalp: null,
    density: 'medium',
    length_mm: 250,
    off_scalp_mm: 0,
    lightener: null,
    load: 'usual',
    curl: 'straight',
    texture: 'usual',
    grey_share: 0,
    parts: [],
    pieces: null,
    keeps_depth: false,
    tone: null,
    areas: [],
    start_hex: hex,
    target_hex: hex,
    part_hexes: [],
    pieces_hexes: [],
    touches_the_scalp: false,
  }
}

export const kindOf = (zone: Zone, name: KindName): Kind | null => (name === 'rest' ? zone : zone.pieces)
const isRoot = (part: StrandPart) => part.from_mm === 0
const isEnds = (part: StrandPart) => !isRoot(part) && part.to_mm === null
const endOf = (part: StrandPart, length: number) => part.to_mm ?? length

/** The places of a kind's parts, from the scalp to the tip. */
export function slotsOf(parts: readonly StrandPart[]): Slot[] {
  let bands = 0
  return parts.map((p) => (isRoot(p) ? 'root' : isEnds(p) ? 'ends' : (`band-${(bands += 1)}` as const)))
}
/** The hair at a place; null where a part is not read apart. */
export function partAt(kind: Kind | null, slot: Slot): Kind | StrandPart | null {
  if (!kind || slot === 'lengths') return kind
  return kind.parts[slotsOf(kind.parts).indexOf(slot)] ?? null
}

export interface Stretch {
  slot: Slot
  from: number
  to: number
}
/** The whole strand in stretches, from the scalp to the tip. */
export function stretches(parts: readonly StrandPart[], length: number): Stretch[] {
  const slots = slotsOf(parts)
  const found: Stretch[] = []
  let at = 0
  parts.forEach((p, i) => {
    if (p.from_mm > at) found.push({ slot: 'lengths', from: at, to: p.from_mm })
    found.push({ slot: slots[i] ?? 'lengths', from: p.from_mm, to: endOf(p, length) })
    at = endOf(p, length)
  })
  if (at < length) found.push({ slot: 'lengths', from: at, to: length })
  return found
}

/** A part read apart: its level as the rest has it until it is read, its condition never taken from the rest. */
const newPart = (kind: Kind, from_mm: number, to_mm: number | null): StrandPart => ({
  from_mm,
  to_mm,
  start_level: kind.start_level,
  history: from_mm === 0 ? 'virgin' : kind.history,
  thickness: kind.thickness,
  porosity: 'normal',
  undertone: null,
  tint_level: null,
  dye_hue: null,
  elasticity: 'returns',
  breakage: 'none',
  curl: kind.curl,
  texture: kind.texture,
  grey_share: kind.grey_share,
  target_level: null,
  tone: null,
  is_left_out: false,
  meeting: 'line',
  covering: null,
  lightener: null,
  load: null,
})
const rounded = (mm: number) => Math.round(mm / 5) * 5

/** Reads root, ends or a further band apart; the place it got, or null where there is no room. */
export function addPart(kind: Kind, what: 'root' | 'band' | 'ends', length: number, rootMm: number): Slot | null {
  if (what !== 'band' && slotsOf(kind.parts).includes(what)) return what
  const free = stretches(kind.parts, length).filter((s) => s.slot === 'lengths')
  let made: StrandPart | null = null
  if (what === 'root') {
    const room = free.find((s) => s.from === 0)
    if (room) made = newPart(kind, 0, Math.min(rootMm, room.to))
  } else if (what === 'ends') {
    const room = free.find((s) => s.to === length)
    if (room) made = newPart(kind, Math.max(room.from, rounded(length * 0.8)), null)
  } else {
    const room = free.sort((a, b) => b.to - b.from - (a.to - a.from))[0]
    if (room && room.to - room.from >= 3 * LEAST_MM) {
      const third = (room.to - room.from) / 3
      made = newPart(kind, rounded(room.from + third), rounded(room.to - third))
    }
  }
  if (!made) return null
  const parts = [...kind.parts, made].sort((a, b) => a.from_mm - b.from_mm)
  kind.parts = parts
  return slotsOf(parts)[parts.indexOf(made)] ?? null
}
export function removePart(kind: Kind, slot: Slot) {
  const at = slotsOf(kind.parts).indexOf(slot)
  kind.parts = kind.parts.filter((_, i) => i !== at)
}
/** Moves a part's edge, as far as its neighbours leave room. */
export function setEdge(kind: Kind, slot: Slot, edge: 'from_mm' | 'to_mm', mm: number, length: number) {
  const at = slotsOf(kind.parts).indexOf(slot)
  const part = kind.parts[at]
  if (!part) return
  const before = kind.parts[at - 1]
  const after = kind.parts[at + 1]
  const least = edge === 'from_mm' ? (before ? endOf(before, length) : 1) : part.from_mm + 1
  const most = edge === 'from_mm' ? endOf(part, length) - 1 : (after?.from_mm ?? length - 1)
  part[edge] = Math.min(Math.max(mm, least), most)
}
/** The hair longer or shorter: ends stay at the tip, what would lie past it is gone. */
export function setLength(zone: Zone, length: number) {
  const by = length - zone.length_mm
  zone.length_mm = length
  for (const kind of [zone, zone.pieces]) {
    if (!kind) continue
    kind.parts = kind.parts
      .map((p) => (isEnds(p) ? { ...p, from_mm: Math.max(p.from_mm + by, 1) } : p))
      .filter((p, i, all) => p.from_mm < length && (i === 0 || p.from_mm >= endOf(all[i - 1]!, length)))
      .map((p) => (p.to_mm !== null && p.to_mm >= length ? { ...p, to_mm: length } : p))
  }
  zone.off_scalp_mm = Math.min(zone.off_scalp_mm, Math.max(length - LEAST_MM, 0))
}
/** What a zone is painted with: one colour, or its parts from the scalp to the tip, or its two kinds in turn. */
export type Fill = string | { stops: string[]; isInTurn: boolean }
export function fillOf(zone: Zone): Fill {
  const pieces = zone.pieces ? zone.pieces_hexes[0] : undefined
  if (pieces) return { stops: [zone.start_hex, pieces, zone.start_hex, pieces, zone.start_hex, pieces], isInTurn: true }
  if (zone.parts.length === 0) return zone.start_hex
  const slots = slotsOf(zone.parts)
  const stops = stretches(zone.parts, zone.length_mm).map((s) =>
    s.slot === 'lengths' ? zone.start_hex : (zone.part_hexes[slots.indexOf(s.slot)] ?? zone.start_hex),
  )
  return { stops, isInTurn: false }
}

/** Another kind of hair in turn with the rest, at first the same: what is told of it then sets it apart. */
export const newPieces = (zone: Zone): Pieces => {
  const { from_mm, to_mm, meeting, ...hair } = newPart(zone, 0, null)
  void [from_mm, to_mm, meeting]
  return {
    ...hair,
    history: zone.history,
    name: $t('zones.pieces'),
    rest_name: '',
    share: 0.5,
    spacing_mm: null,
    parts: [],
  }
}

/** Everything that was read, but not which zone it is. */
function readingOf(zone: Zone): Omit<Zone, 'key' | 'name' | 'areas' | 'foil_count'> {
  const { key, name, areas, foil_count, ...rest } = zone
  void [key, name, areas, foil_count]
  return JSON.parse(JSON.stringify(rest)) as Omit<Zone, 'key' | 'name' | 'areas' | 'foil_count'>
}

/** Zones with each left one's reading copied to its twin; a twin that was not read is added. */
export function copyToMirror(zones: Zone[], head: readonly Schemas['HeadZoneOut'][]): Zone[] {
  const result = zones.map((z) => ({ ...z }))
  for (const zone of zones.filter((z) => z.key.startsWith('left_'))) {
    const twin = head.find((h) => h.key === zone.key)?.mirror
    const usual = head.find((h) => h.key === twin)
    if (!usual) continue
    const at = result.findIndex((z) => z.key === usual.key)
    const found = result[at]
    const made: Zone = { ...(found ?? { ...zone, key: usual.key, name: usual.name, areas: [] }), ...readingOf(zone) }
    if (at >= 0) result[at] = { ...made, foil_count: zone.foil_count }
    else result.push(made)
  }
  return result
}

const freeKey = (zones: readonly Zone[], base: string): string => {
  for (let n = 2; ; n++) if (!zones.some((z) => z.key === `${base}-${n}`)) return `${base}-${n}`
}

/** A zone in two: its areas shared out, or its one area in halves; sections shared as evenly as they go. */
export function split(zones: Zone[], key: string): Zone[] {
  const at = zones.findIndex((z) => z.key === key)
  const zone = zones[at]
  if (!zone) return zones
  const areas = areasOf(zone)
  if (areas.length === 1 && areas[0]?.includes('/')) return zones
  const half = Math.ceil(areas.length / 2)
  const [first, second] =
    areas.length > 1
      ? [areas.slice(0, half), areas.slice(half)]
      : [[`${areas[0]}${AREA_HALVES[0]}`], [`${areas[0]}${AREA_HALVES[1]}`]]
  const foils = Math.max(1, Math.floor(zone.foil_count / 2))
  const copy: Zone = {
    ...zone,
    ...readingOf(zone),
    key: freeKey(zones, key),
    name: $t('zones.right', { name: zone.name }),
    areas: second,
  }
  const kept: Zone = {
    ...zone,
    name: $t('zones.left', { name: zone.name }),
    areas: first,
    foil_count: Math.max(1, zone.foil_count - foils),
  }
  return [...zones.slice(0, at), kept, { ...copy, foil_count: foils }, ...zones.slice(at + 1)]
}

/** Zones as one: the first one's reading, all areas, all sections (60 at most). */
export function merge(zones: Zone[], keys: readonly string[]): Zone[] {
  const chosen = zones.filter((z) => keys.includes(z.key))
  const first = chosen[0]
  if (!first || chosen.length < 2) return zones
  const areas = chosen.flatMap(areasOf)
  const whole = areas.filter((a) => !(a.endsWith('/2') && areas.includes(`${baseArea(a)}/1`)))
  const joined = whole.map((a) => (a.endsWith('/1') && areas.includes(`${baseArea(a)}/2`) ? baseArea(a) : a))
  const made: Zone = {
    ...first,
    name: chosen
      .map((z) => z.name)
      .join(' + ')
      .slice(0, 60),
    areas: joined,
    foil_count: Math.min(
      60,
      chosen.reduce((sum, z) => sum + z.foil_count, 0),
    ),
  }
  return zones.flatMap((z) => (z.key === first.key ? [made] : keys.includes(z.key) ? [] : [z]))
}

/** What a typed line says, put on the draft's zones; the names of zones it could not say anything of. */
export function writeLines(
  zones: Zone[],
  lines: readonly Schemas['ReadLineOut'][],
  selected: readonly string[],
  head: Schemas['HeadOut'],
  made: (usual: Schemas['HeadZoneOut'], level: number) => Zone,
): { zones: Zone[]; unread: string[] } {
  const result = zones.map((z) => ({ ...z, parts: z.parts.map((p) => ({ ...p })) }))
  const unread: string[] = []
  const at = (key: string, line: Schemas['ReadLineOut']): Zone | undefined => {
    const found = result.find((z) => z.key === key)
    const usual = head.zones.find((h) => h.key === key)
    if (found || !usual) return found
    if (line.start_level === null || line.part !== 'whole') return void unread.push(usual.name)
    const zone = made(usual, line.start_level)
    result.push(zone)
    return zone
  }
  for (const line of lines) {
    const meant = selected.length ? selected : result.length ? result.map((z) => z.key) : head.zones.map((h) => h.key)
    for (const key of line.zone_keys.length ? line.zone_keys : meant) {
      const zone = at(key, line)
      if (zone) writeLine(zone, line, head.root_mm)
    }
  }
  return { zones: result, unread: [...new Set(unread)] }
}
const SLOT = { root: 'root', regrowth: 'root', band: 'band', ends: 'ends' } as const
function writeLine(zone: Zone, line: Schemas['ReadLineOut'], rootMm: number) {
  const what = SLOT[line.part as keyof typeof SLOT] as (typeof SLOT)[keyof typeof SLOT] | undefined
  zone.part_hexes = []
  zone.pieces_hexes = []
  let piece: Zone | StrandPart = zone
  if (what) {
    const band = slotsOf(zone.parts).find((s) => s.startsWith('band'))
    const slot =
      what === 'band'
        ? (band ?? addPart(zone, 'band', zone.length_mm, rootMm))
        : addPart(zone, what, zone.length_mm, rootMm)
    const found = slot && partAt(zone, slot)
    if (!found || !slot) return
    piece = found as StrandPart
    if (line.length_mm !== null && what === 'root') setEdge(zone, slot, 'to_mm', line.length_mm, zone.length_mm)
    if (line.length_mm !== null && what === 'ends')
      setEdge(zone, slot, 'from_mm', zone.length_mm - line.length_mm, zone.length_mm)
  } else if (line.length_mm !== null) setLength(zone, line.length_mm)
  if (line.start_level !== null) piece.start_level = line.start_level
  if (line.history !== null) piece.history = line.history
  if (line.porosity !== null) piece.porosity = line.porosity
  if (line.target_level !== null) piece.target_level = line.target_level
  if ('keeps_depth' in piece) {
    piece.keeps_depth = line.keeps_depth || (piece.keeps_depth && line.target_level === null)
    if (line.start_level !== null && line.target_level === null)
      piece.target_level = Math.max(piece.target_level, piece.start_level)
  } else if (line.keeps_depth) piece.is_left_out = true
}
