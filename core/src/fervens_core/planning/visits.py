"""How many visits a wish takes, and what each can reach: one application a visit. docs/models/visits.md."""

from __future__ import annotations

import math
from dataclasses import dataclass

from fervens_core.head import LIFT_LEAST, Zone, lanes_of
from fervens_core.lift import LATER_EXTENT_FACTOR, LiftFactors, effective_volume, level_at, teach, zone_factors
from fervens_core.planning.request import Aim, PlanRequest
from fervens_core.planning.solver import GENTLE_MAX_VOLUME
from fervens_core.safety import ONE_VISIT_WHITE_FROM_LEVEL, WHITE_FROM_LEVEL, strongest_volume

VISITS_MAX = 6
SLOW_QUANTILE = 1.2816
"""Of the standard normal: nine heads in ten do better."""


@dataclass(frozen=True, slots=True)
class LaneVisits:
    """What one lane reaches, visit by visit.

    Args:
        levels: likely level after each visit, until the target or six visits.
        sure_level: what nine heads in ten of this kind reach on the first visit.
        visits: how many it takes, or None when six do not do it.
    """

    zone: Zone
    levels: tuple[float, ...]
    sure_level: float
    visits: int | None


def lane_visits(
    zone: Zone, factors: LiftFactors, *, volume: float, minutes: float, extent_std: float, rate_std: float
) -> LaneVisits:
    """One lane's visits with a developer as the hair sees it, vol, for so many minutes of processing each."""
    levels: list[float] = []
    level, extent = zone.hair.start_level, factors.extent
    needs_two = zone.target_level >= WHITE_FROM_LEVEL and zone.hair.start_level < ONE_VISIT_WHITE_FROM_LEVEL
    while len(levels) < VISITS_MAX:
        now = LiftFactors(max(extent, 0.2), factors.rate)
        level = float(level_at(minutes, start_level=level, volume_strength=volume, factors=now))
        levels.append(min(level, zone.target_level))
        extent *= LATER_EXTENT_FACTOR
        if level >= zone.target_level - LIFT_LEAST and not (needs_two and len(levels) < 2):
            break
    slow = LiftFactors(
        max(factors.extent * math.exp(-SLOW_QUANTILE * extent_std), 0.2),
        max(factors.rate * math.exp(-SLOW_QUANTILE * rate_std), 0.2),
    )
    sure = level_at(minutes, start_level=zone.hair.start_level, volume_strength=volume, factors=slow)
    return LaneVisits(
        zone=zone,
        levels=tuple(levels),
        sure_level=min(float(sure), zone.target_level),
        visits=len(levels) if level >= zone.target_level - LIFT_LEAST else None,
    )


def head_visits(request: PlanRequest) -> tuple[LaneVisits, ...]:
    """Every lane's visits with the strongest developer its limits, the shelf and the aim allow.

    A lane no bottle is weak enough for stays where it is.
    """
    lanes = lanes_of(request.zones)
    expected = [zone_factors(z, request.lightener_of(z)) for z in lanes]
    taught = teach(lanes, request.strands, expected)
    weakest, strongest = (f(b.volume_strength for b in request.bottles) for f in (min, max))
    found = []
    for i, zone in enumerate(lanes):
        lightener = request.lightener_of(zone)
        limit = min(strongest_volume(zone, lightener, request.elasticity)[0], strongest)
        if weakest > limit:
            found.append(LaneVisits(zone, (zone.hair.start_level,), zone.hair.start_level, None))
            continue
        if request.choice.aim is Aim.GENTLE:
            limit = max(min(limit, GENTLE_MAX_VOLUME), weakest)
        found.append(
            lane_visits(
                zone,
                taught.factors(i, expected[i]),
                volume=effective_volume(limit, has_additive=request.choice.has_additive),
                minutes=max(lightener.label_max_min - zone.application_min, 5.0),
                extent_std=float(taught.covariance[2 * i, 2 * i] ** 0.5),
                rate_std=float(taught.covariance[2 * i + 1, 2 * i + 1] ** 0.5),
            )
        )
    return tuple(found)


def visits_needed(lanes: tuple[LaneVisits, ...]) -> int | None:
    """Visits the whole head takes; None when some lane never gets there; 0 for nothing to lift."""
    if any(x.visits is None for x in lanes):
        return None
    return max((x.visits or 0 for x in lanes), default=0)
