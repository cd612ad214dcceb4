"""A head as it comes back: what was reached last time, and what has grown since. docs/models/nextvisit.md."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS, Message, check_range, say
from fervens_core.followup.next_visit import grown_mm
from fervens_core.head import (
    GROWTH_MM_PER_MONTH,
    LIFT_LEAST,
    Breakage,
    Elasticity,
    Hair,
    History,
    Lightener,
    Pieces,
    ReadingMode,
    StrandPart,
    Zone,
    lightener_among,
)
from fervens_core.lift import (
    ADDITIVE_STRENGTH_FACTOR,
    LiftFactors,
    time_to_level,
)
from fervens_core.safety import strongest_volume

LEAST_MM = 1.0


@dataclass(frozen=True, slots=True)
class WornLane:
    """A lane as it ran last time.

    Args:
        zone: the lane. level: reached. volume_strength: vol. minutes: from its last section to the rinse, min.
        extent, rate: learnt factors of how far and how fast it lifted, over the bench trial's.
        readings: (minutes, level, mode) while it lifted. has_additive: bond additive was in the bowls.
        applications: how often product went on.
    """

    zone: Zone
    level: float
    volume_strength: float
    minutes: float
    extent: float
    rate: float
    readings: tuple[tuple[float, float, ReadingMode], ...] = ()
    has_additive: bool = False
    applications: int = 1


@dataclass(frozen=True, slots=True)
class LastFormula:
    """What a zone had last time, and what it would be corrected to.

    Args:
        corrected_volume, corrected_minutes: what to do next time, by what was learnt: within the label's time of one
            application and the lane's limit; vol, and min from its last section.
        is_within_reach: whether one application comes to the target then. says: the same in a sentence.
    """

    name: Message | str
    volume_strength: float
    minutes: float
    level: float
    target_level: float
    corrected_volume: float
    corrected_minutes: float
    is_within_reach: bool
    says: Message


def _natural(zone: Zone, others: Sequence[Zone]) -> Hair:
    """The hair that grows: a regrowth that was read, else virgin hair as read, else the darkest root of the head."""
    if zone.root_hair is not None:
        return zone.root_hair
    if zone.hair.history is History.VIRGIN:
        return zone.hair
    roots = [h for z in others if (h := z.root_hair)] + [z.hair for z in others if z.hair.history is History.VIRGIN]
    start = min((h.start_level for h in roots), default=zone.hair.colour_start)
    return replace(
        zone.hair, start_level=start, history=History.VIRGIN, lifted_from=None, tint_level=None, dye_hue=None
    )


def _worn(hair: Hair, level: float | None) -> Hair:
    """Hair after its lightening: at the level it came to; what suffers is looked at anew."""
    if level is None:
        return hair
    return replace(
        hair,
        start_level=min(max(level, hair.start_level), 10.0),
        history=History.LIGHTENED,
        undertone=None,
        tint_level=None,
        dye_hue=None,
        lifted_from=None,
        elasticity=Elasticity.RETURNS,
        breakage=Breakage.NONE,
    )


def head_since(
    zones: Sequence[Zone],
    reached: Mapping[str, float],
    days: float,
    mm_per_month: float = GROWTH_MM_PER_MONTH,
) -> tuple[Zone, ...]:
    """The zones of a head some days after a service, as a proposal to be read again.

    Args:
        zones: as they were read then. reached: level by lane key. days: since the service, 0 to 3650.
    Returns:
        each with its regrowth as a root, and its lengths and ends at the levels they came to.
    """
    grown = grown_mm(check_range("days", days, 0.0, 3650.0, "days"), mm_per_month)
    return tuple(_since(z, zones, reached, min(grown, 300.0)) for z in zones)


def has_regrowth(zones: Sequence[Zone]) -> bool:
    """Whether something grew that is lightened again: no zone whose depth at the scalp was kept."""
    kinds = [k for z in zones for k in (z, z.pieces) if k is not None]
    return any(p.is_root and not p.is_left_out for k in kinds for p in k.parts)


def _since(zone: Zone, zones: Sequence[Zone], reached: Mapping[str, float], grown: float) -> Zone:
    natural = _natural(zone, zones)
    length = min(zone.length_mm + grown, 1500.0)
    hair, parts = _kind_since(zone, zone.key, natural, zone, reached, grown)
    target = max(zone.target_level, hair.start_level) if hair != zone.hair else zone.target_level
    if hair != zone.hair and target - hair.start_level <= ON_TARGET_LEVELS:
        target = hair.start_level  # it came to its wish: what grew is taken to it, the rest left alone
    pieces = zone.pieces
    if pieces is not None:
        own, own_parts = _kind_since(pieces, f"{zone.key}.pieces", natural, zone, reached, grown)
        pieces = replace(pieces, hair=own, parts=own_parts)
    return replace(zone, hair=hair, target_level=target, length_mm=length, parts=parts, pieces=pieces)


def _kind_since(
    kind: Zone | Pieces, key: str, natural: Hair, zone: Zone, reached: Mapping[str, float], grown: float
) -> tuple[Hair, tuple[StrandPart, ...]]:
    """One kind of hair of a zone as it comes back: what grew is its root, what was apart has moved down with it."""
    root = next((p for p in kind.parts if p.is_root), None)
    is_kept = root is not None and root.is_left_out
    old_root = next((reached[k] for k in (f"{key}.root", f"{key}.regrowth") if k in reached), None)
    lengths = _worn(kind.hair, reached.get(key, old_root if root else None))
    length = min(zone.length_mm + grown, 1500.0)
    moved, bands = [], 0
    for part in kind.parts:
        if part.is_root:
            continue
        bands += not part.is_ends
        own = "ends" if part.is_ends else "band" if bands == 1 else f"band-{bands}"
        hair = _worn(part.hair, reached.get(f"{key}.{own}"))
        end = None if part.to_mm is None else min(part.to_mm + grown, length)
        if part.from_mm + grown < length:
            moved.append(
                replace(part, hair=hair, from_mm=part.from_mm + grown, to_mm=end, is_left_out=True, target_level=None)
            )
    was_untouched = root.end_mm(zone.length_mm) if root is not None and old_root is None else zone.off_scalp_mm
    fresh = min(grown + was_untouched, 300.0)
    is_worn = lengths.start_level - natural.start_level > 0.25
    room = moved[0].from_mm if moved else length
    if fresh >= LEAST_MM and is_worn and room >= LEAST_MM:
        # depth that was kept on purpose, or hair that was begun off the scalp, stays as it grows
        is_kept = is_kept or (root is None and zone.off_scalp_mm > 0.0)
        moved.insert(0, StrandPart(hair=natural, to_mm=round(min(fresh, room), 1), is_left_out=is_kept))
    return lengths, tuple(moved)


SAME_VOLUME = 1.5
"""Less of a change than this in vol is none."""
STRENGTH_STEP, WEAKEST_VOLUME = 5.0, 10.0
"""Strengths are proposed in fives (docs/decisions/0016), none weaker than what lightens natural hair."""
RAN_LEAST_MIN = 1.0
"""A lane that was rinsed as soon as it was on tells nothing to do again."""
SOONEST_MIN = 12.0
"""[MODEL] a lane that would be there sooner with the same developer gets a weaker one."""


def _corrected(w: WornLane, lightener: Lightener, elasticity: Elasticity) -> tuple[float, float, bool]:
    """Developer, minutes and whether they reach the target: other minutes with the same developer where they do it
    within one application's label, else the nearest in fives within its limit, else the strongest for the longest."""
    start, target = w.zone.hair.start_level, w.zone.target_level
    factors = LiftFactors(min(max(w.extent, 0.2), 2.0), min(max(w.rate, 0.2), 5.0))
    weaker = ADDITIVE_STRENGTH_FACTOR if w.has_additive else 1.0
    most, _ = strongest_volume(w.zone, lightener, elasticity)
    longest = max(lightener.label_max_min - w.zone.application_min, 1.0)
    is_there = abs(w.level - target) <= LIFT_LEAST
    if is_there and RAN_LEAST_MIN <= w.minutes <= longest and w.applications == 1 and w.volume_strength <= most:
        return w.volume_strength, w.minutes, True

    def needs(volume: float) -> float:
        found = time_to_level(target, start_level=start, volume_strength=volume * weaker, factors=factors)
        return math.inf if found is None else found

    same = min(w.volume_strength, most)
    if w.level > target + LIFT_LEAST:
        weakest = [v for v in _fives(0.0, same) if v >= WEAKEST_VOLUME]
        volume = next((v for v in (same, *reversed(weakest)) if needs(v) >= SOONEST_MIN), min([same, *weakest]))
    else:
        volume = next((v for v in (same, *_fives(same, most), most) if needs(v) <= longest), most)
    minutes = needs(volume)
    return volume, min(max(minutes, 1.0), longest), minutes <= longest


def _fives(low: float, high: float) -> list[float]:
    """Strengths a hand weighs between two, vol."""
    return [v for v in np.arange(0.0, 40.0 + STRENGTH_STEP, STRENGTH_STEP).tolist() if low < v < high]


def last_formulas(
    worn: Sequence[WornLane],
    usual: Lightener,
    elasticity: Elasticity = Elasticity.RETURNS,
    others: tuple[Lightener, ...] = (),
) -> tuple[LastFormula, ...]:
    """What each lane had last time, corrected by how it really lifted; never past the label or the lane's own limit."""
    found = []
    for w in worn:
        target, lightener = w.zone.target_level, lightener_among(w.zone.lightener, usual, others)
        corrected, minutes, is_within_reach = _corrected(w, lightener, elasticity)
        off = w.level - target
        is_there = abs(off) <= LIFT_LEAST
        ended = "short" if off < 0 else "past"
        did = say("last_time-came_to_target") if is_there else say(f"last_time-came_{ended}", levels=abs(off))
        ran = {"volume": w.volume_strength, "minutes": w.minutes}
        on = say("last_time-ran", **ran)
        if w.applications > 1:
            on = say("last_time-ran_in_more", **ran, applications=w.applications)
        elif w.minutes + w.zone.application_min > lightener.label_max_min + 0.5:
            on = say("last_time-ran_past_label", **ran)
        is_same = abs(corrected - w.volume_strength) < SAME_VOLUME and abs(minutes - w.minutes) < 1.0
        then = say("last_time-same_again")
        if not is_within_reach:
            then = say("last_time-most", volume=corrected, minutes=minutes)
        elif not is_same:
            then = say("last_time-corrected", volume=corrected, minutes=minutes)
        says = say("last_time", ran=on, did=did, then=then)
        found.append(
            LastFormula(
                w.zone.label, w.volume_strength, w.minutes, w.level, target, corrected, minutes, is_within_reach, says
            )
        )
    return tuple(found)
