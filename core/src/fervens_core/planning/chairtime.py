"""How long the client sits: from the plan and the technician's own pace. docs/models/chairtime.md."""

from __future__ import annotations

from dataclasses import dataclass

from fervens_core.base import Message, say
from fervens_core.head import Density, Part, Zone
from fervens_core.planning.entry import application_min
from fervens_core.planning.plan import Plan
from fervens_core.planning.request import USUAL_PACE, Paces, PlanRequest

CONSULTATION_MIN = 15.0
TONE_LEAST_MIN = 4.0
TONE_PROCESSING_MIN = 10.0
CARE_MIN = 10.0
_DRYING = {Density.THIN: 12.0, Density.MEDIUM: 20.0, Density.THICK: 30.0}
"""[MODEL] minutes of a usual service; toner goes on in about a quarter of the lightener's time, roots and lengths in
one go, and works ten minutes after the last of it is on."""


@dataclass(frozen=True, slots=True)
class ChairItem:
    """One part of the visit, min."""

    name: Message
    minutes: float


def _toning_min(application_min: float, pace: Paces) -> float:
    return max(TONE_LEAST_MIN, pace.tone_share * application_min) + TONE_PROCESSING_MIN


def chair_time(plan: Plan, request: PlanRequest) -> tuple[ChairItem, ...]:
    """The parts of the visit in order, until the client leaves; nothing for a plan without lanes."""
    if not plan.lanes:
        return ()
    pace = request.pace
    application = sum(application_min(x.zone, request.pace) for x in plan.lanes)
    application = min(application / request.choice.hands, plan.finish_min)
    trips = sum(1 for v in plan.visits[:-1] if v.at_min < max(x.end_min for x in plan.lanes))
    between = min(pace.rinse_min * trips, plan.finish_min - application)
    drying = max((_DRYING[z.density] for z in request.zones), default=_DRYING[Density.MEDIUM])
    toned = sum(application_min(x.zone, request.pace) for x in plan.lanes if x.zone.part is not Part.ROOT)
    items = [
        ChairItem(say("chair_time-consultation"), CONSULTATION_MIN),
        ChairItem(say("chair_time-applying"), application),
        ChairItem(say("chair_time-between"), between),
        ChairItem(say("chair_time-processing"), max(plan.finish_min - application - between, 0.0)),
        ChairItem(say("chair_time-again"), plan.last_rinse_min - plan.finish_min),
        ChairItem(say("chair_time-rinse"), pace.rinse_min),
        ChairItem(say("chair_time-tone"), _toning_min(toned, pace)),
        ChairItem(say("chair_time-care"), CARE_MIN),
        ChairItem(say("chair_time-drying"), drying),
    ]
    return tuple(i for i in items if i.minutes > 0.0)


def tone_time(zones: tuple[Zone, ...], pace: Paces = USUAL_PACE) -> tuple[ChairItem, ...]:
    """The parts of a visit that only tones; toner goes on in about a quarter of the lightener's time."""
    if not zones:
        return ()
    return (
        ChairItem(say("chair_time-consultation"), CONSULTATION_MIN),
        ChairItem(say("chair_time-tone"), _toning_min(sum(z.application_min for z in zones), pace)),
        ChairItem(say("chair_time-care"), CARE_MIN),
        ChairItem(say("chair_time-drying"), max(_DRYING[z.density] for z in zones)),
    )


STRAND_LOOKS_MIN = 50.0
"""A strand is looked at up to the label's time, 45 to 60 min as a rule (common practice, no source)."""


def strand_time(pace: Paces = USUAL_PACE) -> tuple[ChairItem, ...]:
    """The parts of a visit that only tests strands."""
    return (
        ChairItem(say("chair_time-consultation"), CONSULTATION_MIN),
        ChairItem(say("chair_time-processing"), STRAND_LOOKS_MIN),
        ChairItem(say("chair_time-rinse"), pace.rinse_min),
    )


def total_min(items: tuple[ChairItem, ...]) -> float:
    """All of it, min."""
    return sum(i.minutes for i in items)
