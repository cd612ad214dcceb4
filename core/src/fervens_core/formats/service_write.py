"""Writing the open service file, and a plan as plain values. docs/format/service-file.md."""

from __future__ import annotations

from typing import Any

from fervens_core.base import plain
from fervens_core.formats.head_file import choice_to_json, findings_to_json, strand_to_json, zone_to_json
from fervens_core.formats.service_file import FORMAT, VERSION, ServiceFile
from fervens_core.log import data_to_json, version_of
from fervens_core.planning import Plan, PlannedBowl, ZonePlan


def write_service_file(file: ServiceFile) -> dict[str, Any]:
    """A service as plain JSON values; `read_service_file` gives the same service back."""
    own = file.lightener.key if file.lightener else None
    others = {s.lightener.key: s.lightener for s in file.strands if s.lightener.key != own}
    return {
        "format": FORMAT,
        "version": VERSION,
        "client": file.client_name,
        "wish": file.wish,
        "tone": file.tone.value,
        "wanted_level": file.wanted_level,
        "findings": findings_to_json(file.findings),
        "zones": [zone_to_json(z) for z in file.zones],
        "strands": [strand_to_json(s) for s in file.strands],
        "lightener": plain(file.lightener),
        "strand_lighteners": plain(list(others.values())),
        "developers": plain(file.developers),
        "toners": plain(file.toners),
        "plan": choice_to_json(file.choice) | {"toner_idea": file.toner_idea},
        "events": [
            {
                "at_min": e.at_min,
                "by": e.by,
                "kind": (kind := type(e.data).__name__),
                "version": version_of(kind),
                "data": data_to_json(e.data),
            }
            for e in file.events
        ],
    }


def _finite(value: float) -> float | None:
    return round(value, 3) if value < 1e9 else None


def _lane_to_json(z: ZonePlan) -> dict[str, Any]:
    return {
        "key": z.zone.key,
        "name": z.zone.name,
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
        "mix_min": round(b.mix_min, 3),
        "volume_strength": round(b.volume_strength, 3),
        "lightener_g": round(b.product_g, 1),
        "developer": [
            {
                "name": p.developer.name,
                "volume_strength": p.developer.volume_strength,
                "mass_g": round(p.mass_g, 1),
            }
            for p in b.pours
        ],
        "for": [f.lane_name for f in b.fills],
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
        "left_out": [{"key": x.zone.key, "name": x.zone.name, "reason": x.reason} for x in plan.left_out],
        "bowls": [_bowl_to_json(b) for b in plan.bowls],
    }
