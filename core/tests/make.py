"""Small makers of core values for the tests."""

from __future__ import annotations

import datetime as dt
import itertools
from dataclasses import dataclass, fields

from fervens_core.head import USUAL_LENGTH_MM, Developer, Hair, Lightener, StrandPart, Zone
from fervens_core.log import Event, EventData
from fervens_core.planning import PlanChoice, PlanRequest
from fervens_core.safety import WeakestVolumes

START = dt.datetime(2026, 3, 1, 9, 0, tzinfo=dt.UTC)
POWDER = Lightener("powder", "Powder", 1.5, label_max_min=50)
BOTTLES = tuple(Developer(f"d{v}", f"{v} vol", v) for v in (7, 10, 20, 30, 40))
ANY = WeakestVolumes(0.5, 0.5, 0.5)
"""As weak as the bottles are: for tests of the arithmetic, and for ladders that are slow on purpose."""
HAIR_FIELDS = tuple(f.name for f in fields(Hair) if f.name != "start_level")
_ids = itertools.count(1)


@dataclass(frozen=True)
class Apart:
    """So many mm of root or ends, read apart."""

    hair: Hair
    mm: float
    target_level: float | None = None
    is_left_out: bool = False


def zone(key: str = "back", start: float = 3.0, target: float = 8.0, **more) -> Zone:
    """A zone; `root` and `ends` become its first and last part."""
    hair = {k: more.pop(k) for k in HAIR_FIELDS if k in more}
    root, ends = more.pop("root", None), more.pop("ends", None)
    length = more.get("length_mm", USUAL_LENGTH_MM)
    own = {"target_level", "is_left_out"}
    parts = [StrandPart(root.hair, 0.0, root.mm, **{k: getattr(root, k) for k in own})] if root else []
    parts += more.pop("parts", ())
    parts += [StrandPart(ends.hair, length - ends.mm, **{k: getattr(ends, k) for k in own})] if ends else []
    more["parts"] = tuple(parts)
    return Zone(key=key, name=key.replace("_", " ").title(), hair=Hair(start, **hair), target_level=target, **more)


def request(*zones, **more) -> PlanRequest:
    """A plan request; what is not of the request itself goes into its choice."""
    own = {k: more.pop(k) for k in ("lightener", "bottles", "strands", "weakest") if k in more}
    return PlanRequest(
        zones=zones,
        lightener=own.get("lightener", POWDER),
        bottles=own.get("bottles", BOTTLES),
        strands=own.get("strands", ()),
        weakest=own.get("weakest", WeakestVolumes()),
        choice=PlanChoice(**more),
    )


def event(minute: float, data: EventData, *, by: str = "Ada", event_id: str | None = None, late: float = 0.0) -> Event:
    at = START + dt.timedelta(minutes=minute)
    return Event(event_id or f"e{next(_ids)}", at, at + dt.timedelta(minutes=late), by, data)


def at(minute: float) -> dt.datetime:
    return START + dt.timedelta(minutes=minute)
