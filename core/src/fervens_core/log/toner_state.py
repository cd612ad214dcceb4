"""A toner on a zone, or on its root shadow: what it is, what was seen of it, and how each event moves it on."""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import datetime

from fervens_core.base import ConflictError
from fervens_core.log.tone_events import TonerApplied, TonerEmulsified, TonerPulledBack, TonerRinsed, TonerStrandRead

TonerEvent = TonerApplied | TonerEmulsified | TonerStrandRead | TonerPulledBack | TonerRinsed


@dataclass(frozen=True, slots=True)
class StrandSeen:
    """A strand that was rinsed to look: when, and how much dye it had, as a share of a full take on normal hair."""

    at: datetime
    deposit_share: float


@dataclass(frozen=True, slots=True)
class TonerState:
    """A toner on the hair, or rinsed.

    Args:
        applied: as it was put on. minutes: planned in all, moved when it is pulled back over.
    """

    applied: TonerApplied
    applied_at: datetime
    minutes: float
    emulsified_at: datetime | None = None
    strands: tuple[StrandSeen, ...] = ()
    is_pulled_back: bool = False
    rinsed_at: datetime | None = None

    @property
    def is_on(self) -> bool:
        """Whether it is on the hair still."""
        return self.rinsed_at is None


def apply_toner(before: TonerState | None, data: TonerApplied, at: datetime) -> TonerState:
    """The toner that was put on. Raises ConflictError when one is on there."""
    if before is not None and before.is_on:
        raise ConflictError("toner_on")
    return TonerState(data, at, data.minutes)


def advance_toner(toner: TonerState | None, data: TonerEvent, at: datetime) -> TonerState:
    """The toner after an event of its own. Raises ConflictError when it does not fit."""
    if isinstance(data, TonerApplied):
        return apply_toner(toner, data, at)
    if toner is None or not toner.is_on:
        raise ConflictError("no_toner")
    match data:
        case TonerEmulsified():
            if toner.emulsified_at is not None:
                raise ConflictError("already_emulsified")
            return replace(toner, emulsified_at=at)
        case TonerStrandRead():
            return replace(toner, strands=(*toner.strands, StrandSeen(at, data.deposit_share)))
        case TonerPulledBack():
            return replace(toner, minutes=data.minutes, is_pulled_back=True)
        case TonerRinsed():
            return replace(toner, rinsed_at=at)
