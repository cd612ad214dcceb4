"""The plan: zones in their order, one finish line, a developer for each zone, when it will be ready, what to weigh.

docs/models/plan.md.
"""

from __future__ import annotations

import math
from dataclasses import dataclass, field

from fervens_core.errors import BlockedError, LimitError
from fervens_core.hair import Zone
from fervens_core.lift import (
    ADDITIVE_STRENGTH_FACTOR,
    capacity,
    effective_volume,
    effort_gained,
    effort_to_level,
    level_to_effort,
    volume_for,
    zone_factors,
)
from fervens_core.mixing import MIX_PER_FOIL_G, Bowl, bowls_for
from fervens_core.products import Developer, Lightener
from fervens_core.quantities import check_range
from fervens_core.readings import Belief, LaneKinetics, prior
from fervens_core.safety import strongest_volume

CHANGEOVER_MIN = 1.5
"""[MODEL] between two zones: clean, section off, take up the next bowl."""
LEVEL_TOLERANCE = 0.05
PROCESSING_MIN_MIN = 5.0
OVERSHOOT_FREE, OVERSHOOT_WEIGHT = 0.25, 0.5
"""[MODEL] passing the target by more than a quarter level counts half of missing it."""
STRONGER_ALLOWED_VOLUME = 2.0
"""[MODEL] an earlier finish is worth up to 2 vol more in the strongest bowl."""


@dataclass(frozen=True, slots=True)
class PlanRequest:
    """What a plan is made from.

    Args:
        zones: in order of application, keys unique.
        lightener, bottles: from the shelf; at least one developer.
        finish_min: the finish line, min after the first product touches hair; None to have it proposed.
        volumes: zone key to a developer the technician insists on, vol; still held to the zone's limit.
        has_additive: a bond-building additive weakens the mix.
    """

    zones: tuple[Zone, ...]
    lightener: Lightener
    bottles: tuple[Developer, ...]
    finish_min: float | None = None
    volumes: dict[str, float] = field(default_factory=dict)
    has_additive: bool = False
    mix_per_foil_g: float = MIX_PER_FOIL_G

    def __post_init__(self) -> None:
        keys = [z.key for z in self.zones]
        if len(set(keys)) != len(keys):
            raise LimitError("zones", "zones with different keys", keys)
        if len(keys) > 60:
            raise LimitError("zones", "at most 60 zones", len(keys))
        if not self.bottles:
            raise LimitError("bottles", "at least one developer on the shelf", 0)
        if self.finish_min is not None:
            check_range("finish_min", self.finish_min, 1.0, 600.0, "min")
        for key, volume in self.volumes.items():
            if key not in keys:
                raise LimitError("volumes", f"one of the zones {', '.join(keys)}", key)
            check_range(f"volumes.{key}", volume, 0.5, 40.0, "vol")


@dataclass(frozen=True, slots=True)
class ZonePlan:
    """One zone of a plan; times in min after the first product touches hair.

    Args:
        volume_strength: vol in the bowl. strongest_volume: what is allowed, and limit_reason says why.
        wall_min: the label's time counted from this zone's first section.
        rinse_min: when it is to be rinsed: the finish line, or its wall if that comes first.
        ready_min: (early, likely, late), infinity for never.
        level_at_rinse: likely level then.
        reason: why the target is not reached, or None.
    """

    zone: Zone
    volume_strength: float
    strongest_volume: float
    limit_reason: str
    start_min: float
    end_min: float
    wall_min: float
    rinse_min: float
    ready_min: tuple[float, float, float]
    level_at_rinse: float
    reason: str | None
    bowls: tuple[Bowl, ...]


@dataclass(frozen=True, slots=True)
class Plan:
    """A plan for one head."""

    finish_min: float
    finish_range_min: tuple[float, float]
    zones: tuple[ZonePlan, ...]
    contact_load_volume_min: float
    """Sum over zones of volume times minutes on the hair: a way to compare plans, not a promise about damage."""


@dataclass(frozen=True, slots=True)
class _Slot:
    zone: Zone
    start: float
    end: float
    wall: float
    weakest: float
    strongest: float
    limit_reason: str


def _slots(request: PlanRequest) -> list[_Slot]:
    slots, clock = [], 0.0
    weakest_bottle = min(b.volume_strength for b in request.bottles)
    strongest_bottle = max(b.volume_strength for b in request.bottles)
    for zone in request.zones:
        end = clock + zone.application_min
        limit, reason = strongest_volume(zone, request.lightener)
        if strongest_bottle < limit:
            limit, reason = strongest_bottle, "strongest bottle on the shelf"
        if weakest_bottle > limit:
            raise BlockedError(
                "no_developer_weak_enough",
                f"{zone.name}: {reason} allows {limit:g} vol, the weakest bottle is {weakest_bottle:g} vol.",
            )
        slots.append(_Slot(zone, clock, end, clock + request.lightener.label_max_min, weakest_bottle, limit, reason))
        clock = end + CHANGEOVER_MIN
    return slots


def kinetics(zone: Zone, lightener: Lightener, volume_strength: float, *, has_additive: bool) -> LaneKinetics:
    """How a zone with this developer is expected to lift."""
    return LaneKinetics(
        start_level=zone.hair.start_level,
        volume=effective_volume(volume_strength, has_additive=has_additive),
        factors=zone_factors(zone, lightener),
    )


def _wanted_volume(slot: _Slot, request: PlanRequest, minutes: float) -> float:
    """Whole-number developer strength for a zone's time, within its limits; the technician's own if given."""
    own = request.volumes.get(slot.zone.key)
    if own is not None:
        if own > slot.strongest + 1e-9:
            raise BlockedError(
                "volume_over_limit",
                f"volumes.{slot.zone.key}: at most {slot.strongest:g} vol ({slot.limit_reason}), got {own:g}.",
            )
        return max(own, slot.weakest)
    needed = volume_for(
        slot.zone.target_level,
        minutes,
        start_level=slot.zone.hair.start_level,
        factors=zone_factors(slot.zone, request.lightener),
    )
    if request.has_additive:
        needed /= ADDITIVE_STRENGTH_FACTOR
    return float(min(max(math.ceil(needed - 0.05), slot.weakest), slot.strongest))


def _short_reason(slot: _Slot, request: PlanRequest, volume: float, rinse: float) -> str:
    seen = effective_volume(volume, has_additive=request.has_additive)
    factors = zone_factors(slot.zone, request.lightener)
    room = float(level_to_effort(slot.zone.target_level) - level_to_effort(slot.zone.hair.start_level))
    if factors.extent * float(capacity(seen)) <= room:
        if volume < slot.strongest - 1e-9:
            return f"{volume:g} vol cannot lift this far; up to {slot.strongest:g} vol is allowed here."
        return (
            f"This hair stops short with {volume:g} vol ({slot.limit_reason}): lower the target or plan another visit."
        )
    if rinse >= slot.wall - 1e-9:
        return f"The label's {request.lightener.label_max_min:g} min end first: apply this zone alone, or plan another visit."
    return f"The finish line comes too early for {volume:g} vol ({slot.limit_reason}): move it later."


def _level_at(slot: _Slot, request: PlanRequest, volume: float, minutes: float) -> float:
    factors = zone_factors(slot.zone, request.lightener)
    seen = effective_volume(volume, has_additive=request.has_additive)
    gained = effort_gained(minutes, seen, factors.extent, factors.rate)
    return float(effort_to_level(level_to_effort(slot.zone.hair.start_level) + gained))


def _rinse_min(slot: _Slot, finish: float) -> float:
    return min(max(finish, slot.end + PROCESSING_MIN_MIN), max(slot.wall, slot.end))


def _outcome(slots: list[_Slot], request: PlanRequest, finish: float) -> tuple[float, float]:
    """Levels missed or passed over all zones, and the strongest developer used, for one finish line."""
    missed = strongest = 0.0
    for slot in slots:
        minutes = max(_rinse_min(slot, finish) - slot.end, 0.1)
        volume = _wanted_volume(slot, request, minutes)
        reached = _level_at(slot, request, volume, minutes)
        missed += max(0.0, slot.zone.target_level - reached - LEVEL_TOLERANCE)
        missed += OVERSHOOT_WEIGHT * max(0.0, reached - slot.zone.target_level - OVERSHOOT_FREE)
        strongest = max(strongest, volume)
    return missed, strongest


def _proposed_finish(slots: list[_Slot], request: PlanRequest, low: int, high: int) -> float:
    """The earliest line that misses least and needs hardly stronger developer than the latest lines would."""
    outcomes = [(float(f), *_outcome(slots, request, float(f))) for f in range(low, high + 1)]
    least = min(missed for _, missed, _ in outcomes)
    good = [(f, strongest) for f, missed, strongest in outcomes if missed <= least + LEVEL_TOLERANCE]
    weakest = min(strongest for _, strongest in good)
    return next(f for f, strongest in good if strongest <= weakest + STRONGER_ALLOWED_VOLUME)


def make_plan(request: PlanRequest) -> Plan:
    """Plan one head: a finish line, each zone's developer, window, wall and bowls.

    Raises:
        LimitError: input out of range. BlockedError: a developer over its zone's limit, or none weak enough.
    """
    slots = _slots(request)
    if not slots:
        return Plan(finish_min=0.0, finish_range_min=(0.0, 0.0), zones=(), contact_load_volume_min=0.0)
    low = math.ceil(slots[-1].end + PROCESSING_MIN_MIN)
    high = max(low, math.floor(slots[-1].wall))
    if request.finish_min is None:
        finish = _proposed_finish(slots, request, low, high)
    else:
        finish = min(max(request.finish_min, low), high)
    chosen = [_wanted_volume(s, request, max(_rinse_min(s, finish) - s.end, 0.1)) for s in slots]
    belief = prior(
        tuple(
            kinetics(s.zone, request.lightener, v, has_additive=request.has_additive)
            for s, v in zip(slots, chosen, strict=True)
        )
    )
    planned = tuple(
        _zone_plan(slot, request, volume, finish, belief, i)
        for i, (slot, volume) in enumerate(zip(slots, chosen, strict=True))
    )
    load = sum(z.volume_strength * (z.rinse_min - z.start_min) for z in planned)
    return Plan(
        finish_min=finish,
        finish_range_min=(float(low), float(high)),
        zones=planned,
        contact_load_volume_min=load,
    )


def _zone_plan(slot: _Slot, request: PlanRequest, volume: float, finish: float, belief: Belief, lane: int) -> ZonePlan:
    rinse = _rinse_min(slot, finish)
    early, likely, late = belief.ready_window(lane, slot.zone.target_level)
    reached = _level_at(slot, request, volume, rinse - slot.end)
    is_short = reached < slot.zone.target_level - 0.25
    return ZonePlan(
        zone=slot.zone,
        volume_strength=volume,
        strongest_volume=slot.strongest,
        limit_reason=slot.limit_reason,
        start_min=slot.start,
        end_min=slot.end,
        wall_min=slot.wall,
        rinse_min=rinse,
        ready_min=(slot.end + early, slot.end + likely, slot.end + late),
        level_at_rinse=reached,
        reason=_short_reason(slot, request, volume, rinse) if is_short else None,
        bowls=bowls_for(
            foil_count=slot.zone.foil_count,
            application_min=slot.zone.application_min,
            bowl_life_min=request.lightener.bowl_life_min,
            ratio=request.lightener.ratio,
            volume_strength=volume,
            bottles=request.bottles,
            mix_per_foil_g=request.mix_per_foil_g,
        ),
    )
