"""What the hands do when: a lane of their own, so that a gap or a clash is seen. docs/models/schedule.md."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

import numpy as np

from fervens_core.planning.plan import Ending, LanePlan, Plan
from fervens_core.planning.price import looks_of
from fervens_core.planning.request import PlanRequest
from fervens_core.planning.weigh import WIPE_SECTION_MIN

FIRST_LOOK_MIN = 10.0
"""A lane is opened first at 10 min and then every 10 (common practice, no source)."""


class Doing(StrEnum):
    """What hands can be busy with."""

    APPLY = "apply"
    LOOK = "look"
    WIPE = "wipe"
    BASIN = "basin"


@dataclass(frozen=True, slots=True)
class Busy:
    """Hands at work, min after the first product on hair, for which lanes; `is_clash`: they are wanted elsewhere."""

    doing: Doing
    start_min: float
    end_min: float
    lane_keys: tuple[str, ...]
    is_clash: bool = False


def _applying(lane: LanePlan, trips: list[tuple[float, float]]) -> list[Busy]:
    """A lane's application, in pieces where a trip to the basin breaks it off."""
    found, start = [], lane.start_min
    for begin, over in trips:
        if start < begin < lane.end_min:
            found.append(Busy(Doing.APPLY, start, begin, (lane.zone.key,)))
            start = over
    found.append(Busy(Doing.APPLY, min(start, lane.end_min), lane.end_min, (lane.zone.key,)))
    return [b for b in found if b.end_min > b.start_min + 1e-6]


def hands_busy(plan: Plan, request: PlanRequest) -> tuple[Busy, ...]:
    """Everything the plan asks of the hands, in time; of a second round too."""
    rinse, look = request.pace.rinse_min, request.pace.look_min
    rounds = [plan, *([plan.again] if plan.again else [])]
    trips = sorted((v.at_min, v.at_min + rinse) for p in rounds for v in p.visits)
    found = [Busy(Doing.BASIN, v.at_min, v.at_min + rinse, v.lane_keys) for p in rounds for v in p.visits]
    for lane in (x for p in rounds for x in p.lanes):
        found += _applying(lane, trips)
        if lane.ending is not Ending.RINSED:
            wipes = WIPE_SECTION_MIN * lane.zone.foil_count
            found.append(Busy(Doing.WIPE, lane.rinse_min, lane.rinse_min + wipes, (lane.zone.key,)))
        for number in range(int(looks_of(np.array(lane.minutes_on)))):
            at = lane.start_min + FIRST_LOOK_MIN * (number + 1)
            found.append(Busy(Doing.LOOK, at, at + look, (lane.zone.key,)))
    found.sort(key=lambda b: (b.start_min, b.end_min))
    fixed = [b for b in found if b.doing is not Doing.LOOK]
    return tuple(_marked(b, fixed, request.choice.hands) for b in found)


def _marked(busy: Busy, fixed: list[Busy], hands: int) -> Busy:
    """A look may come between two sections; what else overlaps is a clash, unless there are hands for both."""
    if busy.doing in (Doing.LOOK, Doing.APPLY):
        return busy
    over = [
        b for b in fixed if b is not busy and b.start_min < busy.end_min - 1e-6 and b.end_min > busy.start_min + 1e-6
    ]
    is_clash = len(over) >= hands and busy.doing is Doing.BASIN
    return Busy(busy.doing, busy.start_min, busy.end_min, busy.lane_keys, is_clash)
