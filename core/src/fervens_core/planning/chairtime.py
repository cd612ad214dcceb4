"""How long the client sits: from the plan and the technician's own pace. docs/models/chairtime.md."""

from __future__ import annotations

from dataclasses import dataclass

from fervens_core.base import Message, say
from fervens_core.head import Density, Zone
from fervens_core.planning.plan import Plan
from fervens_core.planning.solver import RINSE_MIN, WAVE_BREAK_MIN

CONSULTATION_MIN = 15.0
TONE_PASTE_SHARE = 0.25
TONE_LEAST_MIN = 4.0
TONE_PROCESSING_MIN = 15.0
CARE_MIN = 10.0
_DRYING = {Density.THIN: 12.0, Density.MEDIUM: 20.0, Density.THICK: 30.0}
"""[MODEL] minutes of a usual service; toner goes on in about a quarter of the lightener's time."""


@dataclass(frozen=True, slots=True)
class ChairItem:
    """One part of the visit, min."""

    name: Message
    minutes: float


def chair_time(plan: Plan, zones: tuple[Zone, ...]) -> tuple[ChairItem, ...]:
    """The parts of the visit in order; nothing for a plan without lanes."""
    if not plan.zones:
        return ()
    application = sum(z.zone.application_min for z in plan.zones)
    breaks = WAVE_BREAK_MIN * (len(plan.waves) - 1)
    drying = max((_DRYING[z.density] for z in zones), default=_DRYING[Density.MEDIUM])
    tone = max(TONE_LEAST_MIN, TONE_PASTE_SHARE * application)
    return (
        ChairItem(say("chair_time-consultation"), CONSULTATION_MIN),
        ChairItem(say("chair_time-applying"), application),
        ChairItem(say("chair_time-between"), breaks),
        ChairItem(say("chair_time-processing"), max(plan.finish_min - application - breaks, 0.0)),
        ChairItem(say("chair_time-rinse"), RINSE_MIN),
        ChairItem(say("chair_time-tone"), tone + TONE_PROCESSING_MIN),
        ChairItem(say("chair_time-care"), CARE_MIN),
        ChairItem(say("chair_time-drying"), drying),
    )


def tone_time(zones: tuple[Zone, ...]) -> tuple[ChairItem, ...]:
    """The parts of a visit that only tones; toner goes on in about a quarter of the lightener's time."""
    if not zones:
        return ()
    application = max(TONE_LEAST_MIN, TONE_PASTE_SHARE * sum(z.application_min for z in zones))
    return (
        ChairItem(say("chair_time-consultation"), CONSULTATION_MIN),
        ChairItem(say("chair_time-tone"), application + TONE_PROCESSING_MIN),
        ChairItem(say("chair_time-care"), CARE_MIN),
        ChairItem(say("chair_time-drying"), max(_DRYING[z.density] for z in zones)),
    )


STRAND_LOOKS_MIN = 50.0
"""A strand is looked at up to the label's time, 45 to 60 min as a rule (common practice, no source)."""


def strand_time() -> tuple[ChairItem, ...]:
    """The parts of a visit that only tests strands."""
    return (
        ChairItem(say("chair_time-consultation"), CONSULTATION_MIN),
        ChairItem(say("chair_time-processing"), STRAND_LOOKS_MIN),
        ChairItem(say("chair_time-rinse"), RINSE_MIN),
    )


def total_min(items: tuple[ChairItem, ...]) -> float:
    """All of it, min."""
    return sum(i.minutes for i in items)
