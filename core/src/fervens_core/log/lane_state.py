"""One zone at the chair: what is on it, what was read, what happened to it; each event makes the next state."""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import datetime
from enum import StrEnum
from typing import Any

from fervens_core.base import ConflictError, CoreError, Message
from fervens_core.head import Covering, DyeHue, Elasticity, Foils, ReadingMode, ScalpFeel
from fervens_core.log.events import Event
from fervens_core.log.lift_events import (
    ApplicationFinished,
    ApplicationStarted,
    BarrierLeft,
    CoveringChanged,
    DeveloperChanged,
    DriedOut,
    HairNoted,
    HeatEnded,
    HeatStarted,
    LightenerRefreshed,
    ReadingTaken,
    Rinsed,
)
from fervens_core.log.tone_events import SHADOW, Grab, ProbeRead
from fervens_core.log.toner_state import TonerEvent, TonerState, advance_toner
from fervens_core.safety import stop_reason


class Phase(StrEnum):
    """What a lane is doing."""

    WAITING = "waiting"
    APPLYING = "applying"
    PROCESSING = "processing"
    RINSED = "rinsed"


@dataclass(frozen=True, slots=True)
class TakenReading:
    """A reading in the log: who took it, and whether an instrument did."""

    event_id: str
    at: datetime
    level: float
    mode: ReadingMode
    warmth: float = 0.0
    rest: DyeHue | None = None
    rest_amount: float = 0.0
    foils: Foils = Foils.LAST
    by: str = ""
    is_measured: bool = False
    level_std: float | None = None


@dataclass(frozen=True, slots=True)
class MixedBowl:
    """A bowl of the log; `number` counts from 1 in the order they were mixed."""

    event_id: str
    number: int
    at: datetime
    volume_strength: float
    mass_g: float
    lane_keys: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Applied:
    """Product put on a lane, from its first section to its last.

    Args:
        dragged_from: the lane whose product was dragged here, or None for product out of a bowl.
    """

    started_at: datetime
    volume_strength: float
    finished_at: datetime | None = None
    dragged_from: str | None = None


@dataclass(frozen=True, slots=True)
class HeatPeriod:
    """Something that was so for a time."""

    from_at: datetime
    to_at: datetime | None = None


@dataclass(frozen=True, slots=True)
class LaneState:
    """One zone at the chair.

    Args:
        applications: the first, and every refresh. heats: when it was warmed. coverings: changes, with their moments.
        elasticity, scalp: as noted last, or None. toner, shadow: on the zone and on its root shadow.
        grab: how it took the violet shampoo of a probe. again_of: the lane it lightens once more.
    """

    key: str
    volume_strength: float
    bowls: tuple[MixedBowl, ...] = ()
    applications: tuple[Applied, ...] = ()
    rinsed_at: datetime | None = None
    readings: tuple[TakenReading, ...] = ()
    heats: tuple[HeatPeriod, ...] = ()
    coverings: tuple[tuple[datetime, Covering], ...] = ()
    dried_at: tuple[datetime, ...] = ()
    is_barrier: bool = False
    elasticity: Elasticity | None = None
    scalp: ScalpFeel | None = None
    toner: TonerState | None = None
    shadow: TonerState | None = None
    grab: Grab | None = None
    again_of: str | None = None

    @property
    def has_bowl(self) -> bool:
        """Whether a bowl was mixed for it."""
        return bool(self.bowls)

    @property
    def started_at(self) -> datetime | None:
        """When its first product went on."""
        return self.applications[0].started_at if self.applications else None

    @property
    def finished_at(self) -> datetime | None:
        """When its first application ended: its curve counts from here."""
        return self.applications[0].finished_at if self.applications else None

    @property
    def is_heated(self) -> bool:
        """Whether warmth is on it."""
        return bool(self.heats) and self.heats[-1].to_at is None

    @property
    def is_dried(self) -> bool:
        """Whether its latest product was dried."""
        return bool(self.dried_at) and self.dried_at[-1] >= self.applications[-1].started_at

    @property
    def stop(self) -> Message | None:
        """Why it must be rinsed whatever its level, or None."""
        return stop_reason(self.scalp, self.elasticity)

    @property
    def phase(self) -> Phase:
        """Waiting, applying, processing or rinsed; a refresh that is going on is applying."""
        if self.rinsed_at:
            return Phase.RINSED
        if not self.applications:
            return Phase.WAITING
        return Phase.PROCESSING if self.applications[-1].finished_at else Phase.APPLYING


def require(condition: bool, code: str, /, **values: Any) -> None:
    """Raise ConflictError with a code and its values unless a condition holds."""
    if not condition:
        raise ConflictError(code, **values)


def rinse(lane: LaneState, at: datetime) -> LaneState:
    """The lane without its lightener."""
    require(lane.phase is not Phase.WAITING, "nothing_to_rinse")
    require(lane.phase is not Phase.RINSED, "already_rinsed")
    ended = tuple(replace(a, finished_at=a.finished_at or at) for a in lane.applications)
    heats = tuple(replace(h, to_at=h.to_at or at) for h in lane.heats)
    return replace(lane, rinsed_at=at, applications=ended, heats=heats)


def drag(lane: LaneState, source: LaneState, at: datetime) -> LaneState:
    """The lane with product dragged onto it from another."""
    require(lane.phase is Phase.WAITING, "already_started")
    require(source.phase is Phase.PROCESSING, "nothing_to_drag")
    applied = Applied(at, source.volume_strength, at, dragged_from=source.key)
    return replace(lane, applications=(applied,), volume_strength=source.volume_strength)


def tone_lane(lane: LaneState, data: TonerEvent, at: datetime) -> LaneState:
    """The lane after something happened to its toner, or to that of its root shadow."""
    require(lane.phase is Phase.RINSED, "not_rinsed")
    if data.part == SHADOW:
        return replace(lane, shadow=advance_toner(lane.shadow, data, at))
    return replace(lane, toner=advance_toner(lane.toner, data, at))


def started(lane: LaneState, volume_strength: float, at: datetime) -> LaneState:
    """The lane with its first section on. Raises ConflictError when it had been started."""
    require(lane.phase is Phase.WAITING, "already_started")
    return replace(lane, applications=(Applied(at, volume_strength),), volume_strength=volume_strength)


def finished(lane: LaneState, at: datetime) -> LaneState:
    """The lane with its last section on. Raises ConflictError when nothing is going on it."""
    require(lane.phase is Phase.APPLYING, "not_applying")
    ended = replace(lane.applications[-1], finished_at=at)
    return replace(lane, applications=(*lane.applications[:-1], ended))


def advance_lane(lane: LaneState, event: Event) -> LaneState:
    """The lane after an event of its own. Raises ConflictError when it does not fit."""
    data, at, phase = event.data, event.occurred_at, lane.phase
    match data:
        case ApplicationStarted():
            return started(lane, data.volume_strength, at)
        case ApplicationFinished():
            return finished(lane, at)
        case ReadingTaken():
            require(phase in (Phase.PROCESSING, Phase.RINSED), "nothing_to_read")
            amount = data.rest_amount if data.rest else 0.0
            seen = TakenReading(
                event_id=event.event_id,
                at=at,
                level=data.level,
                mode=data.mode,
                warmth=data.warmth,
                rest=data.rest,
                rest_amount=amount,
                foils=data.foils,
                by=event.by,
                is_measured=bool(data.lab),
                level_std=data.level_std if data.lab else None,
            )
            return replace(lane, readings=(*lane.readings, seen))
        case ProbeRead():
            require(phase is Phase.RINSED, "not_rinsed.probe")
            return replace(lane, grab=data.grab)
        case Rinsed():
            return rinse(lane, at)
        case HairNoted():
            require(phase is not Phase.WAITING, "nothing_on")
            return replace(
                lane,
                elasticity=data.elasticity or lane.elasticity,
                scalp=data.scalp or lane.scalp,
            )
        case DeveloperChanged():
            require(phase is Phase.WAITING, "already_started")
            return replace(lane, volume_strength=data.volume_strength, bowls=())
    require(phase is Phase.PROCESSING, "not_processing")
    match data:
        case LightenerRefreshed():
            fresh = Applied(at, data.volume_strength)
            return replace(
                lane, applications=(*lane.applications, fresh), volume_strength=data.volume_strength, is_barrier=False
            )
        case HeatStarted():
            require(not lane.is_heated, "already_warm")
            return replace(lane, heats=(*lane.heats, HeatPeriod(at)))
        case HeatEnded():
            require(lane.is_heated, "not_warm")
            return replace(lane, heats=(*lane.heats[:-1], replace(lane.heats[-1], to_at=at)))
        case CoveringChanged():
            return replace(lane, coverings=(*lane.coverings, (at, data.covering)))
        case BarrierLeft():
            require(not lane.is_barrier, "already_barrier")
            return replace(lane, coverings=(*lane.coverings, (at, Covering.OPEN_AIR)), is_barrier=True)
        case DriedOut():
            require(not lane.is_dried, "already_dry")
            heats = tuple(replace(h, to_at=h.to_at or at) for h in lane.heats)
            return replace(lane, dried_at=(*lane.dried_at, at), heats=heats)
    raise CoreError("unknown_event.fold", kind=event.kind)
