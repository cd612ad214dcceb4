"""Zones of the head and their segments, and the lanes they are worked in. docs/models/segments.md."""

from __future__ import annotations

from dataclasses import dataclass, replace
from enum import StrEnum
from typing import Annotated

from pydantic import AfterValidator

from fervens_core.base import (
    FLAT,
    INTERNAL,
    Count,
    Flag,
    Level,
    LimitError,
    Message,
    Number,
    Text,
    Whole,
    Within,
    check_range,
    contract,
    say,
)
from fervens_core.head.hair import Covering, Density, Hair, History, Tone

ROOT_MM = 12.0
"""The first 12 mm are warmed by the scalp; longer regrowth bands in one application (common practice, no source)."""
GROWTH_MM_PER_MONTH = 12.0
DAYS_PER_MONTH = 365.2425 / 12.0
"""Hair grows about 12 mm a month (common practice; 0.3 to 0.4 mm a day is reported)."""
USUAL_LENGTH_MM = 250.0
SHORT_MM = 80.0
"""[MODEL] hair of nape and hairline up to this length cannot be kept off the skin, unless the technician says so."""
AT_THE_SKIN = frozenset({"nape", "fringe", "left_temple", "right_temple"})
"""Areas of the usual head where short hair lies on the skin (common practice, no source)."""
LIFT_LEAST = 0.25
"""Less than a quarter level to go is nothing to lighten: technicians read to half a level."""
ROOT_PACE_SHARE, ENDS_PACE_SHARE = 0.6, 0.4
"""[MODEL] roots and ends of sections that are already made go on quicker than a fresh section."""


class ServiceKind(StrEnum):
    """What a service does. Toning alone goes from the consultation to the basin; nothing is lightened."""

    LIGHTEN_AND_TONE = "lighten_and_tone"
    TONE_ONLY = "tone_only"


class Part(StrEnum):
    """Which part of a zone a lane is."""

    WHOLE = "whole"
    LENGTHS = "lengths"
    REGROWTH = "regrowth"
    ROOT = "root"
    ENDS = "ends"


def regrowth_mm(days: float) -> float:
    """Regrowth after some days (0 to 3650) at 12 mm a month."""
    return check_range("days", days, 0.0, 3650.0, "days") / DAYS_PER_MONTH * GROWTH_MM_PER_MONTH


@dataclass(frozen=True, slots=True)
@contract
class Segment:
    """Root or ends of a zone, read apart from its lengths.

    Args:
        hair: as read. length_mm: regrowth for a root, 1 to 300 mm; for ends how much of the hair they are.
        target_level: None for the zone's own.
        is_left_out: no product goes there today.
    """

    hair: Annotated[Hair, FLAT]
    length_mm: Annotated[Number, Within(1.0, 300.0, "mm")]
    target_level: Level | None = None
    is_left_out: Flag = False


def _no_dot(key: str) -> str:
    """A zone's own key has no dot: behind one stands the part that a lane is."""
    if "." in key:
        raise LimitError("", say("limit-no_dot"), key)
    return key


def lane_label(zone: str, part: Part, *, is_again: bool = False, is_shadow: bool = False) -> Message | str:
    """What to call a lane: by its zone, its part, and whether it was lightened again or is a root shadow."""
    found: Message | str = zone if part is Part.WHOLE else say("lane-part", zone=zone, part=part)
    found = say("lane-again", lane=found) if is_again else found
    return say("lane-shadow", lane=found) if is_shadow else found


@dataclass(frozen=True, slots=True)
@contract
class Zone:
    """A part of the head handled as one, with what is wanted of it; or a lane: one part of it in one application.

    Args:
        key: stable within a service; name: what the technician calls it.
        hair: as read; with `root` or `ends` given, the hair of the lengths between them.
        target_level: not below the start level, up to 10.
        foil_count: 1 to 60 sections; application time and bowl amounts follow from it.
        pace_min_per_foil: the technician's pace, 0.1 to 6 min a section.
        covering: open air, foil or film.
        is_delicate: hairline, temples, nape, fine baby hair: weaker developer, never the whole time.
        is_on_scalp: product touches the scalp: the label's on-scalp limit holds and warmth speeds the lift. None when
            nobody said: short hair of nape and hairline does, other hair does not.
        density; length_mm: of the hair, 5 to 1500 mm: bowl amounts follow from them.
        root, ends: read apart, or None.
        keeps_depth: the zone stays as it is.
        tone: wanted here, None for the head's.
        areas: areas of the head's map it covers; none means its own key.
        part, parent_key, waits_for, is_again, note: of a lane: which part, of which zone, the lane whose lift it waits
            for, whether it is lightened again today, why.
    """

    key: Annotated[str, Text(60), AfterValidator(_no_dot)]
    name: Annotated[str, Text(60)]
    hair: Annotated[Hair, FLAT]
    target_level: Level
    foil_count: Annotated[Whole, Within(1, 60, "sections")] = 6
    pace_min_per_foil: Annotated[Number, Within(0.1, 6.0, "min")] = 1.2
    covering: Covering = Covering.FOIL
    is_delicate: Flag = False
    is_on_scalp: Flag | None = None
    density: Density = Density.MEDIUM
    length_mm: Annotated[Number, Within(5.0, 1500.0, "mm")] = USUAL_LENGTH_MM
    root: Segment | None = None
    ends: Segment | None = None
    keeps_depth: Flag = False
    tone: Tone | None = None
    areas: Annotated[tuple[Annotated[str, Text(44)], ...], Count(0, 24, "areas")] = ()
    part: Annotated[Part, INTERNAL] = Part.WHOLE
    parent_key: Annotated[str | None, INTERNAL] = None
    waits_for: Annotated[str | None, INTERNAL] = None
    is_again: Annotated[Flag, INTERNAL] = False
    note: Annotated[Message | None, INTERNAL] = None

    def __post_init__(self) -> None:
        if self.target_level < self.hair.start_level:
            limit = say("limit-not_below_start", level=self.hair.start_level)
            raise LimitError("target_level", limit, self.target_level)
        taken = sum(s.length_mm for s in (self.root, self.ends) if s)
        if taken > self.length_mm:
            limit = say("limit-root_and_ends", least=taken)
            raise LimitError("length_mm", limit, self.length_mm)

    @property
    def label(self) -> Message | str:
        """What to call it: a zone by its name, a lane by its part too."""
        return lane_label(self.name, self.part, is_again=self.is_again)

    @property
    def application_min(self) -> float:
        """Minutes from the first section to the last."""
        return self.foil_count * self.pace_min_per_foil

    @property
    def touches_scalp(self) -> bool:
        """Whether its product touches the scalp: as said, else by where it is and how short."""
        if self.is_on_scalp is not None:
            return self.is_on_scalp
        places = {area.split("/")[0] for area in (self.areas or (self.key,))}
        return bool(places & AT_THE_SKIN) and self.length_mm <= SHORT_MM

    @property
    def zone_key(self) -> str:
        """The zone a lane belongs to: its parent's key, or its own."""
        return self.parent_key or self.key


def _lifts(start_level: float, target_level: float) -> bool:
    return target_level - start_level >= LIFT_LEAST


def _lane(zone: Zone, part: Part, segment: Segment, length_mm: float) -> Zone:
    share = ENDS_PACE_SHARE if part is Part.ENDS else ROOT_PACE_SHARE if part is Part.ROOT else 1.0
    return replace(
        zone,
        key=f"{zone.key}.{part.value}",
        hair=segment.hair,
        target_level=max(segment.target_level or zone.target_level, segment.hair.start_level),
        pace_min_per_foil=max(zone.pace_min_per_foil * share, 0.1),
        is_on_scalp=part is Part.ROOT,
        length_mm=max(length_mm, 5.0),
        root=None,
        ends=None,
        part=part,
        parent_key=zone.key,
    )


def _root_lanes(zone: Zone, root: Segment, main: Zone | None) -> list[Zone]:
    if root.is_left_out or not _lifts(root.hair.start_level, root.target_level or zone.target_level):
        return []
    at_root = _lane(zone, Part.ROOT, root, min(root.length_mm, ROOT_MM))
    if root.length_mm <= ROOT_MM:
        if main:
            return [replace(at_root, waits_for=main.key)]
        return [replace(at_root, pace_min_per_foil=zone.pace_min_per_foil)]
    note = say("plan-two_root_lanes", regrowth=root.length_mm, most=ROOT_MM)
    beyond = replace(_lane(zone, Part.REGROWTH, root, root.length_mm - ROOT_MM), note=note)
    return [beyond, replace(at_root, waits_for=beyond.key, note=note)]


def lanes_of_zone(zone: Zone) -> tuple[Zone, ...]:
    """The lanes one zone is worked in, in the order they can go on.

    A zone read as one is one lane. Read in segments: lengths, then the root (which waits for the lengths), ends last.
    Regrowth past 12 mm is two lanes. Parts with nothing to lift, kept or left out, have none.
    """
    if zone.part is not Part.WHOLE:
        return (zone,)
    if zone.keeps_depth:
        return ()
    has_lift = _lifts(zone.hair.start_level, zone.target_level)
    if zone.root is None and zone.ends is None:
        return (zone,) if has_lift else ()
    taken = sum(s.length_mm for s in (zone.root, zone.ends) if s)
    main = None
    if has_lift and zone.length_mm - taken >= 5.0:
        main = replace(
            zone,
            part=Part.LENGTHS,
            is_on_scalp=zone.touches_scalp and zone.root is None,
            length_mm=zone.length_mm - taken,
            root=None,
            ends=None,
        )
    lanes = [main] if main else []
    if zone.root:
        lanes += _root_lanes(zone, zone.root, main)
    ends = zone.ends
    if ends and not ends.is_left_out and _lifts(ends.hair.start_level, ends.target_level or zone.target_level):
        last = _lane(zone, Part.ENDS, ends, ends.length_mm)
        lanes.append(replace(last, waits_for=lanes[0].key) if lanes else last)
    return tuple(lanes)


NATURAL_UNKNOWN = 4.0
"""[MODEL] what lightened hair was lifted from where nobody read the natural level: a medium brown."""


def kept_parts_of(zones: tuple[Zone, ...], lanes: tuple[Zone, ...]) -> tuple[Zone, ...]:
    """Parts of a head that have no lane today: kept, left out, or with nothing to lift. They may still be toned.

    Args:
        lanes: of the zones, as `lanes_of` has them.
    Returns:
        each as a lane whose target is the level it is at; lightened hair with the warmth of what grows there.
    """
    roots = [z.root.hair.start_level for z in zones if z.root]
    darkest = min(roots, default=None)
    taken = {x.key for x in lanes}
    parts = {(x.zone_key, x.part) for x in lanes}
    found = []
    for zone in zones:
        rest = zone.length_mm - sum(s.length_mm for s in (zone.root, zone.ends) if s)
        is_whole = zone.root is None and zone.ends is None
        if zone.key not in taken and rest >= 5.0:
            part = Part.WHOLE if is_whole else Part.LENGTHS
            own = replace(zone, part=part, length_mm=rest, root=None, ends=None)
            found.append(_kept(own, zone, darkest))
        for part, segment in ((Part.ROOT, zone.root), (Part.ENDS, zone.ends)):
            if segment and (zone.key, part) not in parts:
                found.append(_kept(_lane(zone, part, segment, segment.length_mm), zone, darkest))
    return tuple(found)


def _kept(lane: Zone, zone: Zone, darkest: float | None) -> Zone:
    hair = lane.hair
    natural = zone.root.hair.start_level if zone.root else NATURAL_UNKNOWN if darkest is None else darkest
    if hair.history is History.LIGHTENED and hair.lifted_from is None:
        hair = replace(hair, lifted_from=min(natural, hair.start_level))
    return replace(lane, hair=hair, target_level=hair.start_level)


def lanes_of(zones: tuple[Zone, ...], kind: ServiceKind = ServiceKind.LIGHTEN_AND_TONE) -> tuple[Zone, ...]:
    """The lanes of a head in its zones' order; none where nothing is lightened. Raises LimitError past 120 lanes."""
    if kind is ServiceKind.TONE_ONLY:
        return ()
    lanes = tuple(lane for zone in zones for lane in lanes_of_zone(zone))
    if len(lanes) > 120:
        raise LimitError("zones", say("limit-most_lanes", most=120), len(lanes))
    return lanes
