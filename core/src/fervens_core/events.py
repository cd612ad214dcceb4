"""The past-tense events of a service. What happened is added, never edited; a mistake is voided by a later event."""

from __future__ import annotations

import dataclasses
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any, ClassVar

from fervens_core.errors import CoreError, LimitError
from fervens_core.quantities import check_level, check_range, check_text, check_volume_strength
from fervens_core.readings import ReadingMode

SCHEMA_VERSION = 1


@dataclass(frozen=True, slots=True)
class CautionAcknowledged:
    """A member read a caution and takes the work on."""

    caution: str

    def __post_init__(self) -> None:
        check_text("caution", self.caution, 60)


@dataclass(frozen=True, slots=True)
class ConsultationFinished:
    """The head is read and the service goes on to its plan."""


@dataclass(frozen=True, slots=True)
class PlanTaken:
    """The plan was taken to the chair: lanes in order with the developer of each, and when each is to start.

    Args:
        finish_min: the last finish line. starts_min: planned starts after the first product; empty in older logs.
    """

    zone_keys: tuple[str, ...]
    volumes: tuple[float, ...]
    finish_min: float
    starts_min: tuple[float, ...] = ()

    def __post_init__(self) -> None:
        if not self.zone_keys:
            raise LimitError("zone_keys", "at least one zone", 0)
        if len(self.zone_keys) != len(self.volumes):
            raise LimitError("volumes", f"{len(self.zone_keys)} values, one for each zone", len(self.volumes))
        for volume in self.volumes:
            check_volume_strength("volumes", volume)
        check_range("finish_min", self.finish_min, 0.0, 900.0, "min")
        if self.starts_min and len(self.starts_min) != len(self.zone_keys):
            raise LimitError("starts_min", f"{len(self.zone_keys)} values, one for each zone", len(self.starts_min))
        for minutes in self.starts_min:
            check_range("starts_min", minutes, 0.0, 900.0, "min")


@dataclass(frozen=True, slots=True)
class BowlMixed:
    """A bowl was mixed for a zone: grams weighed, and what they were; `also_for` are lanes it fills as well."""

    zone_key: str
    volume_strength: float
    product_g: float
    developer_g: float
    recipe: str = ""
    also_for: tuple[str, ...] = ()

    def __post_init__(self) -> None:
        check_volume_strength("volume_strength", self.volume_strength)
        check_range("product_g", self.product_g, 0.1, 2000.0, "g")
        check_range("developer_g", self.developer_g, 0.1, 4000.0, "g")
        if len(self.recipe) > 300:
            raise LimitError("recipe", "at most 300 characters", len(self.recipe))


@dataclass(frozen=True, slots=True)
class ApplicationStarted:
    """The first section of a zone has product on: the label's time runs from here."""

    zone_key: str
    volume_strength: float

    def __post_init__(self) -> None:
        check_volume_strength("volume_strength", self.volume_strength)


@dataclass(frozen=True, slots=True)
class ApplicationFinished:
    """The last section of a zone has product on: its lift is counted from here."""

    zone_key: str


@dataclass(frozen=True, slots=True)
class ReadingTaken:
    """A level was read on a zone."""

    zone_key: str
    level: float
    mode: ReadingMode

    def __post_init__(self) -> None:
        check_level("level", self.level)
        if not isinstance(self.mode, ReadingMode):
            raise LimitError("mode", f"one of {', '.join(m.value for m in ReadingMode)}", self.mode)


@dataclass(frozen=True, slots=True)
class Rinsed:
    """The lightener was rinsed out of a zone."""

    zone_key: str


@dataclass(frozen=True, slots=True)
class TonerApplied:
    """A toner went on a zone, planned for so many minutes."""

    zone_key: str
    shade_key: str
    shade_name: str
    minutes: float
    product_g: float
    developer_g: float

    def __post_init__(self) -> None:
        check_text("shade_key", self.shade_key, 60)
        check_text("shade_name", self.shade_name)
        check_range("minutes", self.minutes, 0.5, 60.0, "min")
        check_range("product_g", self.product_g, 0.1, 2000.0, "g")
        check_range("developer_g", self.developer_g, 0.1, 4000.0, "g")


@dataclass(frozen=True, slots=True)
class TonerRinsed:
    """The toner was rinsed out of a zone."""

    zone_key: str


@dataclass(frozen=True, slots=True)
class ServiceClosed:
    """The service is filed: two things that worked, one to change next time."""

    worked: str = ""
    change: str = ""

    def __post_init__(self) -> None:
        for field, text in (("worked", self.worked), ("change", self.change)):
            if len(text) > 2000:
                raise LimitError(field, "at most 2000 characters", len(text))


@dataclass(frozen=True, slots=True)
class EventVoided:
    """An earlier event was a mistake."""

    event_id: str

    def __post_init__(self) -> None:
        check_text("event_id", self.event_id, 60)


EventData = (
    CautionAcknowledged
    | ConsultationFinished
    | PlanTaken
    | BowlMixed
    | ApplicationStarted
    | ApplicationFinished
    | ReadingTaken
    | Rinsed
    | TonerApplied
    | TonerRinsed
    | ServiceClosed
    | EventVoided
)
KINDS: dict[str, type[EventData]] = {
    kind.__name__: kind
    for kind in (
        CautionAcknowledged,
        ConsultationFinished,
        PlanTaken,
        BowlMixed,
        ApplicationStarted,
        ApplicationFinished,
        ReadingTaken,
        Rinsed,
        TonerApplied,
        TonerRinsed,
        ServiceClosed,
        EventVoided,
    )
}


@dataclass(frozen=True, slots=True)
class Event:
    """One event of the log.

    Args:
        event_id: made on the device, unique. occurred_at: when it happened, with time zone.
        recorded_at: when the log took it. by: name of the member who did it.
    """

    SCHEMA: ClassVar[int] = SCHEMA_VERSION
    event_id: str
    occurred_at: datetime
    recorded_at: datetime
    by: str
    data: EventData

    def __post_init__(self) -> None:
        for field, moment in (("occurred_at", self.occurred_at), ("recorded_at", self.recorded_at)):
            if moment.tzinfo is None:
                raise LimitError(field, "a moment with a time zone", moment.isoformat())

    @property
    def kind(self) -> str:
        """Name of what happened."""
        return type(self.data).__name__

    @property
    def zone_key(self) -> str | None:
        """The zone it happened to, if any."""
        return getattr(self.data, "zone_key", None)


def data_to_json(data: EventData) -> dict[str, Any]:
    """Plain values of an event's own fields, as the log keeps them."""
    return {
        f.name: list(value) if isinstance(value := getattr(data, f.name), tuple) else value
        for f in dataclasses.fields(data)
    }


def data_from_json(kind: str, values: Mapping[str, Any]) -> EventData:
    """An event's own fields from plain values. Raises CoreError for an unknown kind, LimitError for a bad field."""
    cls = KINDS.get(kind)
    if cls is None:
        raise CoreError("unknown_event", f"kind: must be one of {', '.join(KINDS)}, got {kind!r}.")
    fields = {f.name: f for f in dataclasses.fields(cls)}
    unknown = sorted(set(values) - set(fields))
    if unknown:
        raise LimitError(unknown[0], f"a field of {kind} ({', '.join(fields) or 'none'})", values[unknown[0]])
    arguments: dict[str, Any] = {}
    for name, field in fields.items():
        if name not in values:
            if field.default is dataclasses.MISSING:
                raise LimitError(name, f"given for {kind}", None)
            continue
        arguments[name] = _plain(name, str(field.type), values[name])
    return cls(**arguments)


def _plain(name: str, annotation: str, value: Any) -> Any:
    if annotation == "str":
        if not isinstance(value, str):
            raise LimitError(name, "a text", value)
    elif annotation == "ReadingMode":
        if value not in [m.value for m in ReadingMode]:
            raise LimitError(name, f"one of {', '.join(m.value for m in ReadingMode)}", value)
        return ReadingMode(value)
    elif annotation.startswith("tuple"):
        if not isinstance(value, list | tuple):
            raise LimitError(name, "a list", value)
        inner = annotation.removeprefix("tuple[").split(",")[0]
        return tuple(_plain(name, inner, v) for v in value)
    elif annotation == "float":
        return check_range(name, value, -1e9, 1e9)
    return value
