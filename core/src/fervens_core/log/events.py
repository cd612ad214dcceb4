"""Events as one typed union: what the log keeps, what devices send, what files hold. docs/models/service.md."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any, get_args

from fervens_core.base import CoreError, LimitError, plain, read, say
from fervens_core.log.lift_events import LiftEventData
from fervens_core.log.practice_events import PracticeEventData
from fervens_core.log.tone_events import ToneEventData

EventData = LiftEventData | ToneEventData | PracticeEventData
KINDS: dict[str, type[EventData]] = {kind.__name__: kind for kind in get_args(EventData)}

Values = dict[str, Any]
Upcast = Callable[[Values], Values]


def _unsaid(*fields: str) -> Upcast:
    """Version 1 wrote an empty text for what was not said."""
    return lambda values: {k: v for k, v in values.items() if not (k in fields and v == "")}


UPCASTS: dict[tuple[str, int], Upcast] = {
    ("HairNoted", 1): _unsaid("elasticity", "scalp"),
    ("ReadingTaken", 1): _unsaid("rest"),
    ("ReadingTaken", 2): dict,
    ("ReadingTaken", 3): dict,
    ("ReadingTaken", 4): dict,
    ("ApplicationStarted", 1): dict,
    ("BowlMixed", 1): dict,
    ("Rinsed", 1): dict,
    ("WishSet", 1): dict,
    ("PlanTaken", 1): lambda values: {("visits" if k == "waves" else k): v for k, v in values.items()},
}
"""From a version of a kind to the next one."""


def version_of(kind: str) -> int:
    """The version in which a kind of event is written today."""
    return int(getattr(KINDS[kind], "VERSION", 1))


@dataclass(frozen=True, slots=True)
class Event:
    """One event of the log.

    Args:
        event_id: made on the device, unique. occurred_at: when it happened, with time zone.
        recorded_at: when the log took it. by: name of the member who did it.
    """

    event_id: str
    occurred_at: datetime
    recorded_at: datetime
    by: str
    data: EventData

    def __post_init__(self) -> None:
        for field, moment in (("occurred_at", self.occurred_at), ("recorded_at", self.recorded_at)):
            if moment.tzinfo is None:
                raise LimitError(field, say("limit-time_zone"), moment.isoformat())

    @property
    def kind(self) -> str:
        """Name of what happened."""
        return type(self.data).__name__

    @property
    def zone_key(self) -> str | None:
        """The zone it happened to, if any."""
        return getattr(self.data, "zone_key", None)


def data_to_json(data: EventData) -> Values:
    """Plain values of an event's own fields, as the log keeps them."""
    found: Values = plain(data)
    return found


def data_from_json(kind: str, values: Mapping[str, Any], version: int | None = None) -> EventData:
    """An event's own fields from plain values.

    Args:
        version: of the kind when they were written; None for today's.
    Raises:
        CoreError: an unknown kind, or a version that is none. LimitError: a bad field, or one that is unknown.
    """
    cls = KINDS.get(kind)
    if cls is None:
        raise CoreError("unknown_event.kind", known=tuple(KINDS), kind=repr(kind))
    newest = version_of(kind)
    old = newest if version is None else version
    if not 1 <= old <= newest:
        raise CoreError("unknown_event.version", newest=newest, kind=kind, version=old)
    now = dict(values)
    for step in range(old, newest):
        now = UPCASTS[(kind, step)](now)
    return read(cls, now)
