"""The past-tense events of a service. What happened is added, never edited; a mistake is voided by a later event."""

from __future__ import annotations

import dataclasses
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from enum import StrEnum
from typing import Any, ClassVar, get_args

from fervens_core.base import CoreError, LimitError, check_level, check_range, check_text, check_volume_strength
from fervens_core.head import Covering, DyeHue, Elasticity, ReadingMode, ScalpFeel
from fervens_core.log.tone_events import (
    Grab,
    LighteningResumed,
    ProbeRead,
    ReviewFinished,
    ShadowSet,
    TonerApplied,
    TonerEmulsified,
    TonerPulledBack,
    TonerRinsed,
    TonerStrandRead,
    WishSet,
)

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
        finish_min: the last finish line. starts_min, rinses_min: planned starts and rinses after the first product,
        and waves: the wave of each lane from 1; empty in older logs.
    """

    zone_keys: tuple[str, ...]
    volumes: tuple[float, ...]
    finish_min: float
    starts_min: tuple[float, ...] = ()
    rinses_min: tuple[float, ...] = ()
    waves: tuple[int, ...] = ()

    def __post_init__(self) -> None:
        if not self.zone_keys:
            raise LimitError("zone_keys", "at least one zone", 0)
        if len(self.zone_keys) != len(self.volumes):
            raise LimitError("volumes", f"{len(self.zone_keys)} values, one for each zone", len(self.volumes))
        for volume in self.volumes:
            check_volume_strength("volumes", volume)
        check_range("finish_min", self.finish_min, 0.0, 900.0, "min")
        for field in ("starts_min", "rinses_min", "waves"):
            values = getattr(self, field)
            if values and len(values) != len(self.zone_keys):
                raise LimitError(field, f"{len(self.zone_keys)} values, one for each zone", len(values))
            for value in values:
                check_range(field, value, 0.0, 900.0, "" if field == "waves" else "min")


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
class LightenerRefreshed:
    """New product goes on a zone that has some: a new application, whose label's time runs from here.

    Args:
        is_label_read: the technician read on the label that it allows another application.
    """

    zone_key: str
    volume_strength: float
    is_label_read: bool = False

    def __post_init__(self) -> None:
        check_volume_strength("volume_strength", self.volume_strength)


@dataclass(frozen=True, slots=True)
class ProductDragged:
    """Product was dragged from one lane down to another, the ends: it is on them from here, as old as it is."""

    zone_key: str
    from_key: str

    def __post_init__(self) -> None:
        check_text("from_key", self.from_key, 60)
        if self.from_key == self.zone_key:
            raise LimitError("from_key", "another lane than zone_key", self.from_key)


@dataclass(frozen=True, slots=True)
class HeatStarted:
    """Warmth was put on a zone; only what the label allows, never on skin."""

    zone_key: str


@dataclass(frozen=True, slots=True)
class HeatEnded:
    """The warmth was taken off."""

    zone_key: str


@dataclass(frozen=True, slots=True)
class CoveringChanged:
    """A zone was pulled out of its foil into the open air, or covered again."""

    zone_key: str
    covering: Covering

    def __post_init__(self) -> None:
        if not isinstance(self.covering, Covering):
            raise LimitError("covering", f"one of {', '.join(c.value for c in Covering)}", self.covering)


@dataclass(frozen=True, slots=True)
class BarrierLeft:
    """Old product was left on a zone as a barrier while its roots go on; it lies open from here."""

    zone_key: str


@dataclass(frozen=True, slots=True)
class DriedOut:
    """The product on a zone was dried: it has stopped, and is on the hair still."""

    zone_key: str


@dataclass(frozen=True, slots=True)
class HairNoted:
    """How the hair stretches, or the scalp feels, at a zone; at least one of the two.

    Args:
        elasticity: a value of `Elasticity`, or "". scalp: a value of `ScalpFeel`, or "".
    """

    zone_key: str
    elasticity: str = ""
    scalp: str = ""

    def __post_init__(self) -> None:
        for field, kind in (("elasticity", Elasticity), ("scalp", ScalpFeel)):
            value, known = getattr(self, field), [x.value for x in kind]
            if value and value not in known:
                raise LimitError(field, f"one of {', '.join(known)}, or nothing", value)
        if not (self.elasticity or self.scalp):
            raise LimitError("elasticity", "given, or scalp", "")


@dataclass(frozen=True, slots=True)
class DeveloperChanged:
    """A zone that has no product yet is to get another developer than planned, and why."""

    zone_key: str
    volume_strength: float
    reason: str = ""

    def __post_init__(self) -> None:
        check_volume_strength("volume_strength", self.volume_strength)
        if len(self.reason) > 300:
            raise LimitError("reason", "at most 300 characters", len(self.reason))


@dataclass(frozen=True, slots=True)
class ReadingTaken:
    """A level was read on a zone, by eye or by a colour reader.

    Args:
        lab: CIELAB (D65, 10 degrees) as a colour reader measured it, three numbers; empty when read by eye.
        warmth: beside the scale's swatch, -1 cooler, 0 like it, 1 warmer.
        rest, rest_amount: hue of old dye or ash that shows, a value of `DyeHue` or "", and how much, 0 to 1.
        is_kept: of a part that no lightener went on; its first reading takes it in among what is toned.
        instrument: what measured it, as it calls itself; empty when read by eye.
    """

    zone_key: str
    level: float
    mode: ReadingMode
    lab: tuple[float, ...] = ()
    warmth: float = 0.0
    rest: str = ""
    rest_amount: float = 0.0
    is_kept: bool = False
    instrument: str = ""

    def __post_init__(self) -> None:
        check_level("level", self.level)
        if self.instrument:
            check_text("instrument", self.instrument, 60)
        if self.lab and len(self.lab) != 3:
            raise LimitError("lab", "three numbers: L*, a*, b*", len(self.lab))
        for value, low, high in zip(self.lab, (0.0, -128.0, -128.0), (100.0, 128.0, 128.0), strict=False):
            check_range("lab", value, low, high)
        check_range("warmth", self.warmth, -1.0, 1.0)
        check_range("rest_amount", self.rest_amount, 0.0, 1.0)
        if self.rest and self.rest not in [x.value for x in DyeHue]:
            raise LimitError("rest", f"one of {', '.join(x.value for x in DyeHue)}, or nothing", self.rest)
        if not isinstance(self.mode, ReadingMode):
            raise LimitError("mode", f"one of {', '.join(m.value for m in ReadingMode)}", self.mode)


@dataclass(frozen=True, slots=True)
class Rinsed:
    """The lightener was rinsed out of a zone."""

    zone_key: str


@dataclass(frozen=True, slots=True)
class WaveRinsed:
    """Several zones were rinsed together."""

    zone_keys: tuple[str, ...]

    def __post_init__(self) -> None:
        if not 1 <= len(self.zone_keys) <= 60:
            raise LimitError("zone_keys", "1 to 60 zones", len(self.zone_keys))


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
    | LightenerRefreshed
    | ProductDragged
    | HeatStarted
    | HeatEnded
    | CoveringChanged
    | BarrierLeft
    | DriedOut
    | HairNoted
    | DeveloperChanged
    | ReadingTaken
    | Rinsed
    | WaveRinsed
    | LighteningResumed
    | ReviewFinished
    | WishSet
    | ShadowSet
    | ProbeRead
    | TonerApplied
    | TonerEmulsified
    | TonerStrandRead
    | TonerPulledBack
    | TonerRinsed
    | ServiceClosed
    | EventVoided
)
KINDS: dict[str, type[EventData]] = {kind.__name__: kind for kind in get_args(EventData)}


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


_CHOICES: dict[str, type[StrEnum]] = {"ReadingMode": ReadingMode, "Covering": Covering, "Grab": Grab}


def _plain(name: str, annotation: str, value: Any) -> Any:
    if annotation == "str":
        if not isinstance(value, str):
            raise LimitError(name, "a text", value)
    elif annotation in _CHOICES:
        kind = _CHOICES[annotation]
        if not isinstance(value, str) or value not in [m.value for m in kind]:
            raise LimitError(name, f"one of {', '.join(m.value for m in kind)}", value)
        return kind(value)
    elif annotation == "bool":
        if not isinstance(value, bool):
            raise LimitError(name, "true or false", value)
    elif annotation.startswith("tuple"):
        if not isinstance(value, list | tuple):
            raise LimitError(name, "a list", value)
        inner = annotation.removeprefix("tuple[").split(",")[0]
        return tuple(_plain(name, inner, v) for v in value)
    elif annotation == "int":
        if isinstance(value, bool) or not isinstance(value, int):
            raise LimitError(name, "a whole number", value)
    elif annotation == "float":
        return check_range(name, value, -1e9, 1e9)
    return value
