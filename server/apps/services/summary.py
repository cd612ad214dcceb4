"""What a service came to, kept with it when it is filed: for the client's card and for what the studio learns."""

from __future__ import annotations

import datetime as dt
import math
from typing import Any

from apps.services import loading
from apps.services.loading import Loaded
from apps.services.tone import queries as tone_queries
from fervens_core.base import LimitError, check_range
from fervens_core.basin import ReadZone, read_zones
from fervens_core.chair import Chair, head_belief, lane_contact, minutes_between
from fervens_core.colour import hair_hex, lab_to_hex
from fervens_core.head import Hair, ReadingMode, Zone
from fervens_core.lift import LiftFactors
from fervens_core.log import LaneState
from fervens_core.planning import section_mix_g

VERSION = 1
READINGS_KEPT = 20


def hair_words(hair: Hair) -> str:
    """The kind of hair, as learning groups it."""
    kind = hair.history.value.replace("_", " ")
    return f"{kind}, {hair.thickness.value}, porosity {hair.porosity.value}"


def _mixed(lane: LaneState, zone: Zone) -> tuple[float, float]:
    """Grams mixed for a lane (its share of each bowl), and what of them its sections did not need."""
    mixed = sum(b.mass_g / max(len(b.lane_keys), 1) for b in lane.bowls)
    needed = section_mix_g(zone) * zone.foil_count * max(len(lane.applications), 1)
    return mixed, max(mixed - needed, 0.0)


def _lane(
    there: Chair, lane: LaneState, learnt: LiftFactors, base: LiftFactors, read: ReadZone | None
) -> dict[str, Any]:
    zone = there.zones[lane.key]
    load = lane_contact(there, lane)
    zero, rinsed = lane.finished_at, lane.rinsed_at
    applied = minutes_between(lane.started_at, zero) if lane.started_at and zero else None
    mixed, wasted = _mixed(lane, zone)
    before_hex = hair_hex(zone.hair.colour_start, [zone.hair.start_level])[0]
    seen = [r for r in lane.readings if zero and (rinsed is None or r.at < rinsed)]
    return {
        "key": lane.key,
        "zone_key": zone.zone_key,
        "name": zone.name,
        "part": zone.part.value,
        "before": zone.hair.start_level,
        "target": zone.target_level,
        "level": read.result.level if read else None,
        "is_read": bool(read and read.is_read),
        "before_hex": before_hex,
        "level_hex": lab_to_hex(read.result.lab)[0] if read else before_hex,
        "volume": lane.volume_strength,
        "minutes": round(minutes_between(zero, rinsed), 1) if zero and rinsed else None,
        "applied_min": applied,
        "foils": zone.foil_count,
        "applications": max(len(lane.applications), 1),
        "contact_min": round(load.minutes, 1),
        "volume_min": round(load.volume_minutes, 1),
        "hair": hair_words(zone.hair),
        "log_extent": math.log(learnt.extent / base.extent),
        "log_rate": math.log(learnt.rate / base.rate),
        "extent": learnt.extent,
        "rate": learnt.rate,
        "is_past_wall": _is_past_wall(there, lane),
        "mixed_g": round(mixed, 1),
        "wasted_g": round(wasted, 1),
        "readings": [
            [round(minutes_between(zero, r.at), 1), r.level, r.mode.value] for r in seen[:READINGS_KEPT] if zero
        ],
    }


def _is_past_wall(there: Chair, lane: LaneState) -> bool:
    if not lane.applications or lane.rinsed_at is None:
        return False
    on = minutes_between(lane.applications[-1].started_at, lane.rinsed_at)
    return on > there.lightener.label_max_min + 0.5


def summarise(loaded: Loaded, at: dt.datetime) -> dict[str, Any]:
    """A filed service in plain values."""
    closed = loaded.state.closed
    found: dict[str, Any] = {
        "version": VERSION,
        "worked": closed.worked if closed else "",
        "change": closed.change if closed else "",
        "lightener_key": str(loaded.row.lightener_id) if loaded.row.lightener_id else "",
        "lightener_name": loaded.row.lightener.name if loaded.row.lightener else "",
        "lift_factor": loaded.row.lightener.lift_factor if loaded.row.lightener else 1.0,
        "lanes": [],
        "toners": [],
    }
    there = loading.chair(loaded, at)
    if there is None:
        return found
    reads = {r.lane.key: r for r in read_zones(there)}
    belief = head_belief(there)
    for index, lane in enumerate(there.state.lanes):
        if lane.started_at is None:
            continue
        base = belief.lanes[index].factors
        found["lanes"].append(_lane(there, lane, belief.factors(index), base, reads.get(lane.key)))
    step = tone_queries.tone(loaded, at)
    for toned in step.lanes if step else ():
        if toned.toner:
            clock = toned.toner
            found["toners"].append(
                {
                    "name": toned.name,
                    "formula": clock.formula_name,
                    "minutes": round(clock.on_min, 1),
                    "product_g": clock.product_g,
                    "developer_g": clock.developer_g,
                    "hex": clock.hex_now,
                    "wanted": str(step.wish.tone.value) if step else "",
                }
            )
    return found


_TEXTS = ("key", "zone_key", "name", "part", "before_hex", "level_hex", "hair")
_NUMBERS = (
    "before", "target", "volume", "foils", "contact_min", "volume_min", "log_extent", "log_rate", "extent", "rate",
    "mixed_g", "wasted_g",
)  # fmt: skip
_MAYBE = ("level", "minutes", "applied_min")
_FLAGS = ("is_read", "is_past_wall")
_TONER = {
    "name": str,
    "formula": str,
    "minutes": float,
    "product_g": float,
    "developer_g": float,
    "hex": str,
    "wanted": str,
}
LANES_MAX = 240


def _is(value: Any, kind: type) -> bool:
    if kind is float:
        return isinstance(value, int | float) and not isinstance(value, bool) and abs(value) < 1e6
    return isinstance(value, kind)


def _wrong(where: str, name: str, row: dict[str, Any]) -> LimitError:
    return LimitError(f"{where}.{name}", "as this program keeps it", str(row.get(name))[:40])


def check_summary(value: Any, where: str) -> None:
    """Raises LimitError when a summary from elsewhere is not as `summarise` makes it; None passes."""
    if value is None:
        return
    for name in ("worked", "change", "lightener_key", "lightener_name"):
        if not _is(value.get(name), str):
            raise _wrong(where, name, value)
    if not _is(value.get("lift_factor"), float) or not 0.5 <= value["lift_factor"] <= 1.2:
        raise _wrong(where, "lift_factor", value)
    for name, most in (("lanes", LANES_MAX), ("toners", LANES_MAX)):
        rows = value.get(name)
        if not isinstance(rows, list) or len(rows) > most or not all(isinstance(x, dict) for x in rows):
            raise _wrong(where, name, value)
    for x in value["lanes"]:
        kinds = [(_TEXTS, str), (_NUMBERS, float), (_FLAGS, bool)]
        for names, kind in kinds:
            for name in names:
                if not _is(x.get(name), kind):
                    raise _wrong(f"{where}.lanes", name, x)
        for name in _MAYBE:
            if x.get(name, "") is not None and not _is(x.get(name), float):
                raise _wrong(f"{where}.lanes", name, x)
        modes = [m.value for m in ReadingMode]
        if not isinstance(x.get("readings"), list) or not all(
            isinstance(r, list) and len(r) == 3 and _is(r[0], float) and _is(r[1], float) and r[2] in modes
            for r in x["readings"]
        ):
            raise _wrong(f"{where}.lanes", "readings", x)
        check_range(f"{where}.lanes.extent", x["extent"], 0.05, 20.0)
        check_range(f"{where}.lanes.rate", x["rate"], 0.05, 20.0)
    for x in value["toners"]:
        for name, kind in _TONER.items():
            if not _is(x.get(name), kind):
                raise _wrong(f"{where}.toners", name, x)
