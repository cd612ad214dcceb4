import type { Schemas } from '../api/client'

/** Handling zones on the page: making, filling, copying, splitting, merging. What they mean is the server's. */
export type Zone = Schemas['ZoneOut']
export type Segment = Schemas['SegmentOut']
export type Part = 'lengths' | 'root' | 'ends'
/** The fields that root, lengths and ends share. */
export type HairPart = Omit<Segment, 'length_mm' | 'target_level' | 'is_left_out'>

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
    history: kind === 'tone_only' ? 'lightened' : 'virgin',
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
    root: null,
    ends: null,
    keeps_depth: false,
    tone: null,
    areas: [],
    start_hex: hex,
    target_hex: hex,
    root_hex: null,
    ends_hex: null,
    touches_the_scalp: false,
  }
}

/** The hair fields of a zone's lengths, root or ends; null where a segment is not read apart. */
export const partOf = (zone: Zone, part: Part): Zone | Segment | null =>
  part === 'lengths' ? zone : part === 'root' ? (zone.root ?? null) : (zone.ends ?? null)

export const newSegment = (zone: Zone, part: 'root' | 'ends', length: number): Segment => ({
  start_level: zone.start_level,
  history: part === 'root' ? 'virgin' : zone.history,
  thickness: zone.thickness,
  porosity: zone.porosity,
  undertone: null,
  tint_level: null,
  dye_hue: null,
  elasticity: 'returns',
  breakage: 'none',
  length_mm: length,
  target_level: null,
  is_left_out: false,
})

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
    name: `${zone.name} right`,
    areas: second,
  }
  const kept: Zone = {
    ...zone,
    name: `${zone.name} left`,
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
