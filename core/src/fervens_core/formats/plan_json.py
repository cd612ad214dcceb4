"""A plan as plain values, for other programs. docs/format/service-file.md."""

from __future__ import annotations

import math
from dataclasses import asdict
from typing import Any

from fervens_core.planning import (
    LanePlan,
    Plan,
    PlannedBowl,
    PlanRequest,
    chair_time,
    hardest,
    head_sessions,
    sessions_needed,
    total_min,
)


def _finite(value: float) -> float | None:
    return round(value, 3) if math.isfinite(value) else None


def _lane_to_json(x: LanePlan) -> dict[str, Any]:
    return {
        "key": x.zone.key,
        "name": x.zone.name,
        "part": x.zone.part.value,
        "piece": x.zone.piece,
        "at_mm": x.zone.at_mm,
        "lightener": x.zone.lightener,
        "round": x.round,
        "visit": x.visit,
        "volume_strength": round(x.volume_strength, 3),
        "strongest_volume": x.strongest_volume,
        "limit_reason": x.limit_reason,
        "start_min": round(x.start_min, 3),
        "end_min": round(x.end_min, 3),
        "rinse_min": round(x.rinse_min, 3),
        "ending": x.ending.value,
        "minutes_on": round(x.minutes_on, 3),
        "wall_min": round(x.wall_min, 3),
        "ready_min": [_finite(t) for t in x.ready_min],
        "level_at_rinse": round(x.level_at_rinse, 3),
        "level_low": round(x.level_low, 3),
        "level_sure": round(x.level_sure, 3),
        "level_high": round(x.level_high, 3),
        "target_level": x.zone.target_level,
        "lift_lost_share": round(x.lift_lost_share, 3),
        "reason": x.reason,
        "note": x.note,
    }


def _bowl_to_json(b: PlannedBowl) -> dict[str, Any]:
    return {
        "number": b.number,
        "at_min": round(b.mix_min, 3),
        "volume_strength": round(b.volume_strength, 3),
        "lightener": b.lightener.name,
        "lightener_g": round(b.product_g, 1),
        "developers": [
            {
                "name": p.developer.name,
                "volume_strength": p.developer.volume_strength,
                "mass_g": round(p.mass_g, 1),
            }
            for p in b.pours
        ],
        "lanes": [f.lane_key for f in b.fills],
        "oldest_min": round(b.oldest_min, 1),
        "waste_g": round(b.waste_g, 1),
    }


def _schedule_to_json(plan: Plan) -> dict[str, Any]:
    return {
        "basin_visits": [
            {
                "number": v.number,
                "round": v.round,
                "at_min": round(v.at_min, 3),
                "lanes": list(v.lane_keys),
                "least_min": round(v.least_min, 3),
                "most_min": round(v.most_min, 3),
            }
            for v in plan.visits
        ],
        "strengths": [round(v, 3) for v in plan.strengths],
        "lanes": [_lane_to_json(x) for x in plan.lanes],
        "bowls": [_bowl_to_json(b) for b in plan.bowls],
        "contact_load_volume_min": round(plan.contact_load_volume_min, 1),
        "price": {k: round(v, 2) for k, v in (asdict(plan.price) | {"total": plan.price.total}).items()},
    }


def plan_to_json(plan: Plan, request: PlanRequest) -> dict[str, Any]:
    """A plan of a request as plain values; infinity (never ready) is null.

    `chair_min` runs from sitting down to leaving, `last_rinse_min` from the first product on hair.
    """
    sessions = head_sessions(request, plan)
    worst = hardest(sessions) if sessions else None
    needed = sessions_needed(sessions)
    return {
        "aim": request.choice.aim.value,
        "chair_min": round(total_min(chair_time(plan, request)), 1),
        "last_rinse_min": round(plan.last_rinse_min, 3),
        "sessions": needed,
        "spread_levels": round(plan.spread_levels, 3),
        **_schedule_to_json(plan),
        "again": _schedule_to_json(plan.again) if plan.again else None,
        "left_out": [
            {
                "key": x.zone.key,
                "name": x.zone.name,
                "part": x.zone.part.value,
                "piece": x.zone.piece,
                "at_mm": x.zone.at_mm,
                "reason": x.reason,
            }
            for x in plan.left_out
        ],
        "verdict": {
            "sessions": needed,
            "promised_level": round(worst.sure_level, 3) if worst else None,
            "likely_level": round(worst.levels[0], 3) if worst else None,
        },
    }
