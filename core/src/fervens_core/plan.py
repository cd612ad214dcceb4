"""The plan: zones in their order, one finish line, a developer for each zone, when it will be ready, what to weigh.

docs/models/plan.md.
"""

from __future__ import annotations

import math
from dataclasses import dataclass, field

import numpy as np

from fervens_core.colour import Floats
from fervens_core.errors import BlockedError, LimitError
from fervens_core.hair import Zone
from fervens_core.lift import (
    ADDITIVE_STRENGTH_FACTOR,
    LiftFactors,
    capacity,
    effective_volume,
    effort_gained,
    effort_to_level,
    level_to_effort,
    volumes_for,
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
ROUNDING_VOLUME = 0.05
"""Developers are whole volumes, rounded up unless this close to the one below."""
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
    factors: LiftFactors


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
        wall = clock + request.lightener.label_max_min
        factors = zone_factors(zone, request.lightener)
        slots.append(_Slot(zone, clock, end, wall, weakest_bottle, limit, reason, factors))
        clock = end + CHANGEOVER_MIN
    return slots


def kinetics(zone: Zone, lightener: Lightener, volume_strength: float, *, has_additive: bool) -> LaneKinetics:
    """How a zone with this developer is expected to lift."""
    return LaneKinetics(
        start_level=zone.hair.start_level,
        volume=effective_volume(volume_strength, has_additive=has_additive),
        factors=zone_factors(zone, lightener),
    )


def _work(slot: _Slot) -> float:
    return float(level_to_effort(slot.zone.target_level) - level_to_effort(slot.zone.hair.start_level))


def _wanted_volumes(slot: _Slot, request: PlanRequest, minutes: Floats) -> Floats:
    """Whole-number developer strengths for a zone's processing times, within its limits; the technician's own if given.

    Args:
        minutes: processing times, min, above 0, shape (m,).
    """
    own = request.volumes.get(slot.zone.key)
    if own is not None:
        if own > slot.strongest + 1e-9:
            raise BlockedError(
                "volume_over_limit",
                f"volumes.{slot.zone.key}: at most {slot.strongest:g} vol ({slot.limit_reason}), got {own:g}.",
            )
        return np.full_like(minutes, max(own, slot.weakest))
    needed = volumes_for(_work(slot), minutes, slot.factors)
    if request.has_additive:
        needed = needed / ADDITIVE_STRENGTH_FACTOR
    return np.clip(np.ceil(needed - ROUNDING_VOLUME), slot.weakest, slot.strongest)


def _short_reason(slot: _Slot, request: PlanRequest, volume: float, rinse: float) -> str:
    """Why a zone misses its target, and what would help."""
    seen = effective_volume(volume, has_additive=request.has_additive)
    if slot.factors.extent * float(capacity(seen)) <= _work(slot):
        if volume < slot.strongest - 1e-9:
            return f"{volume:g} vol cannot lift this far; up to {slot.strongest:g} vol is allowed here."
        limit = f"{volume:g} vol ({slot.limit_reason})"
        return f"This hair stops short with {limit}: lower the target or plan another visit."
    if rinse >= slot.wall - 1e-9:
        label = f"{request.lightener.label_max_min:g} min"
        return f"The label's {label} end first: apply this zone faster or alone, or plan another visit."
    return f"The finish line comes too early for {volume:g} vol ({slot.limit_reason}): move it later."


def _levels_at(slot: _Slot, request: PlanRequest, volumes: Floats, minutes: Floats) -> Floats:
    seen = volumes * (ADDITIVE_STRENGTH_FACTOR if request.has_additive else 1.0)
    gained = effort_gained(minutes, seen, slot.factors.extent, slot.factors.rate)
    return effort_to_level(level_to_effort(slot.zone.hair.start_level) + gained)


def _rinse_mins(slot: _Slot, finishes: Floats) -> Floats:
    """When a zone is rinsed for each finish line: at the line, or at its wall if that comes first."""
    return np.minimum(np.maximum(finishes, slot.end + PROCESSING_MIN_MIN), max(slot.wall, slot.end))


def _outcomes(slots: list[_Slot], request: PlanRequest, finishes: Floats) -> tuple[Floats, Floats]:
    """Levels missed or passed over all zones, and the strongest developer used, for each finish line."""
    missed, strongest = np.zeros_like(finishes), np.zeros_like(finishes)
    for slot in slots:
        minutes = np.maximum(_rinse_mins(slot, finishes) - slot.end, 0.1)
        volumes = _wanted_volumes(slot, request, minutes)
        reached = _levels_at(slot, request, volumes, minutes)
        missed += np.maximum(0.0, slot.zone.target_level - reached - LEVEL_TOLERANCE)
        missed += OVERSHOOT_WEIGHT * np.maximum(0.0, reached - slot.zone.target_level - OVERSHOOT_FREE)
        strongest = np.maximum(strongest, volumes)
    return missed, strongest


def _proposed_finish(slots: list[_Slot], request: PlanRequest, low: int, high: int) -> float:
    """The earliest line that misses least and needs hardly stronger developer than the weakest such line."""
    finishes = np.arange(low, high + 1, dtype=float)
    missed, strongest = _outcomes(slots, request, finishes)
    is_good = missed <= missed.min() + LEVEL_TOLERANCE
    is_mild = strongest <= strongest[is_good].min() + STRONGER_ALLOWED_VOLUME
    return float(finishes[is_good & is_mild][0])


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
    rinses = [float(_rinse_mins(s, np.array([finish]))[0]) for s in slots]
    chosen = [
        float(_wanted_volumes(s, request, np.array([max(r - s.end, 0.1)]))[0])
        for s, r in zip(slots, rinses, strict=True)
    ]
    belief = prior(
        tuple(
            kinetics(s.zone, request.lightener, v, has_additive=request.has_additive)
            for s, v in zip(slots, chosen, strict=True)
        )
    )
    planned = tuple(
        _zone_plan(slot, request, volume, rinse, belief, i)
        for i, (slot, volume, rinse) in enumerate(zip(slots, chosen, rinses, strict=True))
    )
    load = sum(z.volume_strength * (z.rinse_min - z.start_min) for z in planned)
    return Plan(
        finish_min=finish,
        finish_range_min=(float(low), float(high)),
        zones=planned,
        contact_load_volume_min=load,
    )


def _zone_plan(slot: _Slot, request: PlanRequest, volume: float, rinse: float, belief: Belief, lane: int) -> ZonePlan:
    early, likely, late = belief.outlook(lane).ready_window(slot.zone.target_level)
    reached = float(_levels_at(slot, request, np.array([volume]), np.array([rinse - slot.end]))[0])
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
