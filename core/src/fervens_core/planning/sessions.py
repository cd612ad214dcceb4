"""How many sessions a wish takes, and what each can reach: today's from the schedule. docs/models/visits.md."""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS
from fervens_core.head import LIFT_LEAST, History, Zone
from fervens_core.lift import LATER_EXTENT_FACTOR, effective_volume, level_at, zone_factors
from fervens_core.planning.plan import Plan
from fervens_core.planning.request import PlanRequest
from fervens_core.planning.rounds import again_key
from fervens_core.safety import ONE_VISIT_WHITE_FROM_LEVEL, WHITE_FROM_LEVEL, strongest_volume

SESSIONS_MAX = 6
SURE_LEVELS = 1.0
"""[MODEL] half a level short is one session where nine heads in ten come within a level of the wish in it."""


@dataclass(frozen=True, slots=True)
class LaneSessions:
    """What one lane reaches, session by session.

    Args:
        levels: likely level after each, today's first, until the target or six sessions.
        sure_level: what nine heads in ten of this kind have reached today.
        sessions: how many it takes, or None when six do not do it.
    """

    zone: Zone
    levels: tuple[float, ...]
    sure_level: float
    sessions: int | None


def _next_level(request: PlanRequest, zone: Zone, level: float, worn: float) -> float:
    """Where another session's one application brings a lane, at most."""
    later = replace(zone, hair=replace(zone.hair, start_level=min(level, 10.0), history=History.LIGHTENED))
    lightener = request.lightener_of(zone)
    bottles = [b.volume_strength for b in request.bottles]
    limit = min(strongest_volume(later, lightener, request.elasticity)[0], max(bottles))
    if limit < min(bottles):
        return level
    factors = zone_factors(zone, lightener)
    reached = level_at(
        np.array(max(lightener.label_max_min - zone.application_min, 5.0)),
        start_level=later.hair.start_level,
        volume_strength=effective_volume(limit, has_additive=request.choice.has_additive),
        factors=replace(factors, extent=max(factors.extent * worn, 0.2)),
    )
    return float(reached)


def head_sessions(request: PlanRequest, plan: Plan) -> tuple[LaneSessions, ...]:
    """Every lane's sessions: today by the plan, its second round included; then one application a session.

    A lane is there when it is likely within a quarter level, or within half a one where nine heads in ten are within a
    whole one. What is left out stays where it is. White from below level 7 takes two applications at least (common
    practice, no source).
    """
    again = {x.zone.key: x for x in plan.again.lanes} if plan.again else {}
    found = [LaneSessions(x.zone, (x.zone.hair.start_level,), x.zone.hair.start_level, None) for x in plan.left_out]
    for lane in plan.lanes:
        zone, second = lane.zone, again.get(again_key(lane.zone.key))
        ended = second or lane
        levels = [min(ended.level_at_rinse, zone.target_level)]
        applications = 2 if second else 1
        is_white = zone.target_level >= WHITE_FROM_LEVEL and zone.hair.start_level < ONE_VISIT_WHITE_FROM_LEVEL
        sure = min(ended.level_sure, zone.target_level)
        near = zone.target_level - ON_TARGET_LEVELS
        while len(levels) < SESSIONS_MAX:
            is_sure = len(levels) > 1 or sure >= zone.target_level - SURE_LEVELS
            is_there = levels[-1] >= (near if is_sure else zone.target_level - LIFT_LEAST)
            if is_there and not (is_white and applications < 2):
                break
            after = _next_level(request, zone, levels[-1], LATER_EXTENT_FACTOR**applications)
            levels.append(min(max(after, levels[-1]), zone.target_level))
            applications += 1
        found.append(LaneSessions(zone, tuple(levels), sure, len(levels) if levels[-1] >= near else None))
    return tuple(found)


def sessions_needed(lanes: tuple[LaneSessions, ...]) -> int | None:
    """Sessions the whole head takes; None when some lane never gets there; 0 for nothing to lift."""
    if any(x.sessions is None for x in lanes):
        return None
    return max((x.sessions or 0 for x in lanes), default=0)


def hardest(lanes: tuple[LaneSessions, ...]) -> LaneSessions:
    """The lane that takes longest, and is furthest from its wish today."""
    return max(lanes, key=lambda x: (x.sessions or 99, x.zone.target_level - x.levels[0]))
