"""A plan as plain values, for other programs. docs/format/service-file.md."""

from __future__ import annotations

from typing import Any

from fervens_core.planning import Plan, PlannedBowl, ZonePlan


def _finite(value: float) -> float | None:
    return round(value, 3) if value < 1e9 else None


def _lane_to_json(z: ZonePlan) -> dict[str, Any]:
    return {
        "key": z.zone.key,
        "name": z.zone.name,
        "part": z.zone.part.value,
        "piece": z.zone.piece,
        "at_mm": z.zone.at_mm,
        "lightener": z.zone.lightener,
        "wave": z.wave,
        "volume_strength": round(z.volume_strength, 3),
        "strongest_volume": z.strongest_volume,
        "limit_reason": z.limit_reason,
        "start_min": round(z.start_min, 3),
        "end_min": round(z.end_min, 3),
        "rinse_min": round(z.rinse_min, 3),
        "wall_min": round(z.wall_min, 3),
        "ready_min": [_finite(t) for t in z.ready_min],
        "level_at_rinse": round(z.level_at_rinse, 3),
        "reason": z.reason,
        "note": z.note,
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


def plan_to_json(plan: Plan) -> dict[str, Any]:
    """A plan as plain values; infinity (never ready) is null."""
    return {
        "finish_min": plan.finish_min,
        "contact_load_volume_min": round(plan.contact_load_volume_min, 1),
        "spread_levels": round(plan.spread_levels, 3),
        "waves": [
            {
                "number": w.number,
                "zones": list(w.zone_keys),
                "start_min": round(w.start_min, 3),
                "finish_min": round(w.finish_min, 3),
                "finish_least_min": w.finish_least_min,
                "finish_most_min": w.finish_most_min,
            }
            for w in plan.waves
        ],
        "lanes": [_lane_to_json(z) for z in plan.zones],
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
        "bowls": [_bowl_to_json(b) for b in plan.bowls],
    }
