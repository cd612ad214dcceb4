"""The lanes a head is worked in: each part of each kind in each zone that gets product. docs/models/parts.md."""

from __future__ import annotations

import re
from collections.abc import Mapping
from dataclasses import replace

from fervens_core.base import LimitError, Message, say, sentences
from fervens_core.head.hair import Hair, History
from fervens_core.head.parts import LEAST_MM, Meeting, Part, Pieces, StrandPart, rest_mm
from fervens_core.head.zones import ROOT_MM, ServiceKind, Zone

LIFT_LEAST = 0.25
"""Less than a quarter level to go is nothing to lighten: technicians read to half a level."""
ROOT_PACE_SHARE, BAND_PACE_SHARE, ENDS_PACE_SHARE = 0.5, 0.6, 0.4
"""[MODEL] roots go on about twice as quick as foils through the lengths (common practice, no source); bands and ends of
sections that are already made go on quicker too."""
LANES_MAX = 120
NATURAL_UNKNOWN = 4.0
"""[MODEL] what lightened hair was lifted from where nobody read the natural level: a medium brown."""


def _lifts(start_level: float, target_level: float) -> bool:
    return target_level - start_level >= LIFT_LEAST


def _own(kind: Zone | Pieces, part: StrandPart | Pieces, zone: Zone) -> dict[str, object]:
    """What a part has of its own, or else of its kind, or else of its zone."""
    return {
        name: next((v for v in (getattr(part, name), getattr(kind, name)) if v is not None), getattr(zone, name))
        for name in ("tone", "covering", "lightener", "load")
    }


def kinds_of(zone: Zone) -> tuple[Zone, ...]:
    """A zone as its kinds of hair: itself, or its rest and its pieces, each with its share of the sections."""
    pieces = zone.pieces
    if pieces is None or zone.part is not Part.WHOLE or zone.parent_key is not None:
        return (zone,)
    count = min(max(round(zone.foil_count * pieces.share), 1), max(zone.foil_count - 1, 1))
    rest = replace(zone, pieces=None, piece=pieces.rest_name, foil_count=max(zone.foil_count - count, 1))
    wanted = zone.target_level if pieces.target_level is None else pieces.target_level
    keeps = pieces.is_left_out or (zone.keeps_depth and pieces.target_level is None)
    other = replace(
        zone,
        key=f"{zone.key}.pieces",
        hair=pieces.hair,
        target_level=wanted,
        foil_count=count,
        parts=pieces.parts,
        pieces=None,
        keeps_depth=keeps,
        piece=pieces.name,
        parent_key=zone.key,
        **_own(pieces, pieces, zone),  # type: ignore[arg-type]
    )
    return (rest, other)


def _lane(zone: Zone, part: Part, told: StrandPart, reach: tuple[float, float]) -> Zone:
    share = {
        Part.ENDS: ENDS_PACE_SHARE,
        Part.ROOT: ROOT_PACE_SHARE,
        Part.BAND: BAND_PACE_SHARE,
        Part.REGROWTH: BAND_PACE_SHARE,
    }.get(part, 1.0)
    wanted = zone.target_level if told.target_level is None else told.target_level
    if told.target_level is None and wanted < told.hair.start_level and zone.target_level >= zone.hair.start_level:
        wanted = told.hair.start_level  # the zone's wish is for what is darker: hair past it stays as it is
    return replace(
        zone,
        key=f"{zone.key}.{part.value}",
        hair=told.hair,
        target_level=wanted,
        pace_min_per_foil=max(zone.pace_min_per_foil * share, 0.1),
        is_on_scalp=part is Part.ROOT,
        off_scalp_mm=0.0,
        length_mm=max(reach[1] - reach[0], LEAST_MM),
        parts=(),
        pieces=None,
        part=part,
        parent_key=zone.zone_key,
        **_own(zone, told, zone),  # type: ignore[arg-type]
    )


def _meeting_note(zone: Zone, at: int) -> Message | None:
    """What to mind where a part's lines are no lines."""
    lines = {p.meeting for p in zone.parts[max(at - 1, 0) : at + 1]} - {Meeting.LINE}
    if not lines:
        return None
    return say("plan-meeting", meeting=(Meeting.JAGGED if Meeting.JAGGED in lines else Meeting.SOFT).value)


def _noted(lane: Zone, *notes: Message | None) -> Zone:
    told = [n for n in (lane.note, *notes) if n is not None]
    return replace(lane, note=sentences(told)) if told else lane


def _root_lanes(zone: Zone, root: StrandPart, main: Zone | None) -> list[Zone]:
    end, off = root.end_mm(zone.length_mm), zone.off_scalp_mm
    note = _meeting_note(zone, 0)
    if end <= ROOT_MM:
        if off > 0.0:
            return []
        at_root = _noted(_lane(zone, Part.ROOT, root, (0.0, end)), note)
        if main:
            return [replace(at_root, waits_for=main.key)]
        return [at_root]
    if off >= ROOT_MM:
        return [_noted(_lane(zone, Part.REGROWTH, root, (off, end)), note)]
    long = say("plan-two_root_lanes", regrowth=end, most=ROOT_MM)
    beyond = _noted(_lane(zone, Part.REGROWTH, root, (ROOT_MM, end)), long, note)
    if off > 0.0:
        return [beyond]
    at_root = _noted(_lane(zone, Part.ROOT, root, (0.0, ROOT_MM)), long)
    return [beyond, replace(at_root, waits_for=beyond.key)]


def _gets_product(zone: Zone, part: StrandPart) -> bool:
    wanted = zone.target_level if part.target_level is None else part.target_level
    is_reached = part.end_mm(zone.length_mm) > zone.off_scalp_mm
    return is_reached and not part.is_left_out and _lifts(part.hair.start_level, wanted)


def _bands(zone: Zone) -> list[tuple[int, StrandPart]]:
    return [(i, p) for i, p in enumerate(zone.parts) if not p.is_root and not p.is_ends]


def _band_lane(zone: Zone, at: int, part: StrandPart, bands: list[tuple[int, StrandPart]]) -> Zone:
    reach = (max(part.from_mm, zone.off_scalp_mm), part.end_mm(zone.length_mm))
    lane = _lane(zone, Part.BAND, part, reach)
    number = [i for i, _ in bands].index(at) + 1
    key = lane.key if number == 1 else f"{lane.key}-{number}"
    return _noted(replace(lane, key=key, at_mm=reach if len(bands) > 1 else None), _meeting_note(zone, at))


def _lanes_of_kind(zone: Zone) -> list[Zone]:
    if zone.keeps_depth:
        return []
    has_lift = _lifts(zone.hair.start_level, zone.target_level)
    off = zone.off_scalp_mm
    rest = rest_mm(zone.parts, zone.length_mm, off)
    if not zone.parts:
        if not has_lift:
            return []
        return [
            zone if off <= 0.0 else replace(zone, length_mm=max(rest, LEAST_MM), off_scalp_mm=0.0, is_on_scalp=False)
        ]
    main = None
    if has_lift and rest >= LEAST_MM:
        main = replace(
            zone,
            part=Part.LENGTHS,
            is_on_scalp=zone.touches_scalp and zone.root_part is None,
            off_scalp_mm=0.0,
            length_mm=rest,
            parts=(),
        )
    lanes = [main] if main else []
    bands = _bands(zone)
    for at, part in enumerate(zone.parts):
        if not _gets_product(zone, part):
            continue
        if part.is_root:
            lanes += _root_lanes(zone, part, main)
        elif part.is_ends:
            ends = _lane(zone, Part.ENDS, part, (max(part.from_mm, off), zone.length_mm))
            lanes.append(_noted(replace(ends, waits_for=lanes[0].key) if lanes else ends, _meeting_note(zone, at)))
        else:
            band = _band_lane(zone, at, part, bands)
            lanes.append(band)
    return lanes


_ROW = re.compile(r"\.row(\d+)")


def row_of(key: str) -> int:
    """Which row of its zone a lane is, from 1; 0 where the zone is worked in one piece."""
    found = _ROW.search(key)
    return int(found[1]) if found else 0


def without_row(key: str) -> str:
    """The key a lane has where its zone is worked in one piece."""
    return _ROW.sub("", key)


def in_rows(lanes: tuple[Zone, ...], rows: Mapping[str, int]) -> tuple[Zone, ...]:
    """Lanes with big zones parted into rows, which go on one after the other and are opened and rinsed as they come.

    Args:
        rows: how many, by zone key; a lane of fewer sections has as many as it has sections.
    Raises:
        LimitError: past 120 lanes.
    """
    found: list[Zone] = []
    for lane in lanes:
        zone, count = lane.zone_key, min(rows.get(lane.zone_key, 1), lane.foil_count)
        if count < 2:
            found.append(lane)
            continue
        for i in range(count):
            own = f"{zone}.row{i + 1}"
            waits = lane.waits_for
            found.append(
                replace(
                    lane,
                    key=own + lane.key.removeprefix(zone),
                    name=f"{lane.name[:56]} {i + 1}",
                    foil_count=lane.foil_count // count + (i < lane.foil_count % count),
                    parent_key=zone,
                    waits_for=own + waits.removeprefix(zone) if waits else None,
                )
            )
    if len(found) > LANES_MAX:
        raise LimitError("rows", say("limit-most_lanes", most=LANES_MAX), len(found))
    return tuple(found)


def is_deeper(part: Zone) -> bool:
    """Whether a part is wanted deeper than it is."""
    return part.hair.start_level - part.target_level >= LIFT_LEAST


def lanes_of_zone(zone: Zone) -> tuple[Zone, ...]:
    """The lanes one zone is worked in, in the order they can go on.

    A zone read as one is one lane. Read in parts: the lengths between them, then root (which waits for the lengths),
    bands, and ends last. Regrowth past 12 mm is two lanes. A zone of two kinds has the lanes of both. Parts that have
    nothing to lift, are kept, left out or to be made deeper have none.
    """
    if zone.part is not Part.WHOLE or zone.parent_key is not None:
        return (zone,)
    return tuple(lane for kind in kinds_of(zone) for lane in _lanes_of_kind(kind))


def lanes_of(zones: tuple[Zone, ...], kind: ServiceKind = ServiceKind.LIGHTEN_AND_TONE) -> tuple[Zone, ...]:
    """The lanes of a head in its zones' order; none where nothing is lightened. Raises LimitError past 120 lanes."""
    if not kind.lightens:
        return ()
    lanes = tuple(lane for zone in zones for lane in lanes_of_zone(zone))
    if len(lanes) > LANES_MAX:
        raise LimitError("zones", say("limit-most_lanes", most=LANES_MAX), len(lanes))
    return lanes


def kept_parts_of(zones: tuple[Zone, ...], lanes: tuple[Zone, ...]) -> tuple[Zone, ...]:
    """Parts of a head that have no lane today: kept, left out, or with nothing to lift. They may still be toned.

    Args:
        lanes: of the zones, as `lanes_of` has them.
    Returns:
        each as a lane whose target is the level it is at, or the deeper one that is wanted; lightened hair with the
        warmth of what grows there. Its note says why.
    """
    darkest = min((h.start_level for z in zones if (h := z.root_hair)), default=None)
    taken = {x.key for x in lanes}
    return tuple(part for zone in zones for kind in kinds_of(zone) for part in _kept_of_kind(kind, taken, darkest))


def _kept_of_kind(zone: Zone, taken: set[str], darkest: float | None) -> list[Zone]:
    worked = {x.key for x in _lanes_of_kind(zone)} & taken
    off = zone.off_scalp_mm if worked else 0.0
    found = []
    rest = rest_mm(zone.parts, zone.length_mm, off)
    if zone.key not in worked and rest >= LEAST_MM:
        part = Part.LENGTHS if zone.parts else Part.WHOLE
        own = replace(zone, part=part, length_mm=rest, off_scalp_mm=0.0, parts=(), pieces=None)
        found.append(_kept(own, zone, darkest, is_left_out=zone.keeps_depth))
    if off >= LEAST_MM and zone.root_part is None:
        root = StrandPart(hair=zone.hair, to_mm=off, is_left_out=True)
        found.append(_kept(_lane(zone, Part.ROOT, root, (0.0, off)), zone, darkest, is_left_out=True))
    bands = _bands(zone)
    for at, told in enumerate(zone.parts):
        end = told.end_mm(zone.length_mm)
        if told.is_root:
            end = off if f"{zone.key}.{Part.REGROWTH.value}" in worked else max(end, off)
            lane = _lane(zone, Part.ROOT, told, (0.0, end))
        elif told.is_ends:
            lane = _lane(zone, Part.ENDS, told, (max(told.from_mm, off), end))
        else:
            lane = _band_lane(replace(zone, off_scalp_mm=off), at, told, bands)
        if lane.key not in worked and end > max(off if not told.is_root else 0.0, told.from_mm):
            is_left_out = told.is_left_out or zone.keeps_depth
            found.append(_kept(lane, zone, darkest, is_left_out=is_left_out))
    return found


def _kept(lane: Zone, zone: Zone, darkest: float | None, *, is_left_out: bool) -> Zone:
    hair = warm_hair(lane.hair, zone, darkest)
    wanted = hair.start_level if is_left_out else min(lane.target_level, hair.start_level)
    note = say("kept-at_level", level=hair.start_level)
    if is_left_out:
        note = say("kept-left_out")
    elif is_deeper(replace(lane, hair=hair, target_level=wanted)):
        note = say("kept-deeper", level=wanted)
    return replace(lane, hair=hair, target_level=wanted, note=note)


def warm_hair(hair: Hair, zone: Zone, darkest: float | None = None) -> Hair:
    """Lightened hair with the level it was lightened from, where that was not said: what grows there, or was read."""
    root = zone.root_hair
    natural = root.start_level if root else NATURAL_UNKNOWN if darkest is None else darkest
    if hair.history is History.LIGHTENED and hair.lifted_from is None:
        return replace(hair, lifted_from=min(natural, hair.start_level))
    return hair
