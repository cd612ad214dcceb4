"""The state of a service: a pure fold of its log. The same log gives the same chair on any device, at any time."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, field, replace
from datetime import datetime
from enum import StrEnum

from fervens_core.errors import ConflictError, CoreError
from fervens_core.events import (
    ApplicationFinished,
    ApplicationStarted,
    BowlMixed,
    CautionAcknowledged,
    ConsultationFinished,
    Event,
    EventVoided,
    PlanTaken,
    ReadingTaken,
    Rinsed,
    ServiceClosed,
    TonerApplied,
    TonerRinsed,
)
from fervens_core.readings import ReadingMode


class Step(StrEnum):
    """Where a service stands; it is always at one step."""

    CONSULTATION = "consultation"
    PLAN = "plan"
    CHAIR = "chair"
    TONE = "tone"
    RECORD = "record"


class Phase(StrEnum):
    """What a lane is doing."""

    WAITING = "waiting"
    APPLYING = "applying"
    PROCESSING = "processing"
    RINSED = "rinsed"


@dataclass(frozen=True, slots=True)
class TakenReading:
    """A reading in the log."""

    event_id: str
    at: datetime
    level: float
    mode: ReadingMode


@dataclass(frozen=True, slots=True)
class TonerState:
    """A toner on a zone."""

    shade_key: str
    shade_name: str
    minutes: float
    applied_at: datetime
    rinsed_at: datetime | None = None


@dataclass(frozen=True, slots=True)
class LaneState:
    """One zone at the chair."""

    key: str
    volume_strength: float
    has_bowl: bool = False
    started_at: datetime | None = None
    finished_at: datetime | None = None
    rinsed_at: datetime | None = None
    readings: tuple[TakenReading, ...] = ()
    toner: TonerState | None = None

    @property
    def phase(self) -> Phase:
        """Waiting, applying, processing or rinsed."""
        if self.rinsed_at:
            return Phase.RINSED
        if self.finished_at:
            return Phase.PROCESSING
        return Phase.APPLYING if self.started_at else Phase.WAITING


@dataclass(frozen=True, slots=True)
class Conflict:
    """An event that did not fit what had happened before it; shown, not dropped."""

    event_id: str
    code: str
    message: str


@dataclass(frozen=True, slots=True)
class ServiceState:
    """A folded service. Lanes stand in order of application."""

    acknowledged: frozenset[str] = frozenset()
    is_consultation_finished: bool = False
    plan: PlanTaken | None = None
    lanes: tuple[LaneState, ...] = ()
    closed: ServiceClosed | None = None
    closed_at: datetime | None = None
    conflicts: tuple[Conflict, ...] = ()
    undoable: Event | None = field(default=None)

    @property
    def step(self) -> Step:
        """The step the service is at."""
        if self.closed:
            return Step.RECORD
        if self.lanes and all(lane.phase is Phase.RINSED for lane in self.lanes):
            return Step.TONE
        if self.plan:
            return Step.CHAIR
        return Step.PLAN if self.is_consultation_finished else Step.CONSULTATION

    def lane(self, key: str) -> LaneState:
        """The lane of a zone. Raises ConflictError when the plan has no such zone."""
        for lane in self.lanes:
            if lane.key == key:
                return lane
        raise ConflictError("unknown_zone", f"The plan has no zone {key!r}.")

    def with_lane(self, lane: LaneState) -> ServiceState:
        """The same state with one lane renewed."""
        return replace(self, lanes=tuple(lane if old.key == lane.key else old for old in self.lanes))


def _require(condition: bool, code: str, message: str) -> None:
    if not condition:
        raise ConflictError(code, message)


def _advance(state: ServiceState, event: Event) -> ServiceState:
    data, at = event.data, event.occurred_at
    _require(state.closed is None, "service_closed", "The service is filed; nothing can be added to it.")
    match data:
        case CautionAcknowledged():
            return replace(state, acknowledged=state.acknowledged | {data.caution})
        case ConsultationFinished():
            return replace(state, is_consultation_finished=True)
        case PlanTaken():
            _require(
                state.is_consultation_finished,
                "consultation_open",
                "Finish the consultation before the plan.",
            )
            _require(
                all(lane.phase is Phase.WAITING for lane in state.lanes),
                "already_started",
                "Product is on the hair already; the plan cannot be taken again.",
            )
            lanes = tuple(LaneState(k, v) for k, v in zip(data.zone_keys, data.volumes, strict=True))
            return replace(state, plan=data, lanes=lanes)
        case ServiceClosed():
            busy = [x.key for x in state.lanes if x.phase in (Phase.APPLYING, Phase.PROCESSING)]
            _require(not busy, "zones_open", f"Still with product on: {', '.join(busy)}. Rinse before filing.")
            toning = [x.key for x in state.lanes if x.toner and not x.toner.rinsed_at]
            _require(not toning, "toner_open", f"Toner still on: {', '.join(toning)}. Rinse before filing.")
            return replace(state, closed=data, closed_at=at)
        case EventVoided():
            raise AssertionError("voids are resolved before folding")
    state = state.with_lane(_advance_lane(state.lane(data.zone_key), event))
    if isinstance(data, BowlMixed):
        for key in data.also_for:
            state = state.with_lane(_advance_lane(state.lane(key), event))
    return state


def _advance_lane(lane: LaneState, event: Event) -> LaneState:
    data, at, phase = event.data, event.occurred_at, lane.phase
    match data:
        case BowlMixed():
            _require(phase in (Phase.WAITING, Phase.APPLYING), "too_late", "This zone has its product on already.")
            return replace(lane, has_bowl=True, volume_strength=data.volume_strength)
        case ApplicationStarted():
            _require(phase is Phase.WAITING, "already_started", "This zone has been started already.")
            return replace(lane, started_at=at, volume_strength=data.volume_strength)
        case ApplicationFinished():
            _require(phase is Phase.APPLYING, "not_applying", "This zone is not being applied.")
            return replace(lane, finished_at=at)
        case ReadingTaken():
            _require(
                phase in (Phase.PROCESSING, Phase.RINSED),
                "nothing_to_read",
                "Finish the application before reading.",
            )
            return replace(lane, readings=(*lane.readings, TakenReading(event.event_id, at, data.level, data.mode)))
        case Rinsed():
            _require(phase is not Phase.WAITING, "nothing_to_rinse", "There is no product on this zone.")
            _require(phase is not Phase.RINSED, "already_rinsed", "This zone has been rinsed already.")
            return replace(lane, rinsed_at=at, finished_at=lane.finished_at or at)
        case TonerApplied():
            _require(phase is Phase.RINSED, "not_rinsed", "Rinse the lightener before the toner goes on.")
            _require(lane.toner is None or lane.toner.rinsed_at is not None, "toner_on", "A toner is on this zone.")
            return replace(lane, toner=TonerState(data.shade_key, data.shade_name, data.minutes, at))
        case TonerRinsed():
            _require(
                lane.toner is not None and lane.toner.rinsed_at is None,
                "no_toner",
                "No toner is on this zone.",
            )
            assert lane.toner is not None
            return replace(lane, toner=replace(lane.toner, rinsed_at=at))
    raise CoreError("unknown_event", f"kind: {event.kind} cannot be folded.")


def live_events(events: Iterable[Event]) -> list[Event]:
    """Events in the order they happened, without those that were voided and without the voids."""
    ordered = sorted(events, key=lambda e: (e.occurred_at, e.recorded_at, e.event_id))
    voided = {e.data.event_id for e in ordered if isinstance(e.data, EventVoided)}
    return [e for e in ordered if not isinstance(e.data, EventVoided) and e.event_id not in voided]


def fold(events: Iterable[Event]) -> ServiceState:
    """The state after a log of events, in any order of arrival.

    An event that does not fit is kept as a conflict and changes nothing else.
    """
    state = ServiceState()
    for event in live_events(events):
        try:
            state = replace(_advance(state, event), undoable=event)
        except CoreError as error:
            conflict = Conflict(event.event_id, error.code, error.message)
            state = replace(state, conflicts=(*state.conflicts, conflict))
    return state


def check_addition(events: list[Event], new: Event) -> ServiceState:
    """The state with one more event. Raises ConflictError when it does not fit, or would leave others unfitting."""
    before = fold(events)
    if isinstance(new.data, EventVoided):
        _require(before.closed is None, "service_closed", "The service is filed; nothing can be added to it.")
        known = {e.event_id: e for e in live_events(events)}
        _require(new.data.event_id in known, "unknown_event", "There is no such event to undo.")
        _require(
            not (before.is_consultation_finished and isinstance(known[new.data.event_id].data, CautionAcknowledged)),
            "later_acts_depend",
            "The consultation was finished on this acknowledgement; undo that first.",
        )
    after = fold([*events, new])
    old = {c.event_id for c in before.conflicts}
    for conflict in after.conflicts:
        if conflict.event_id == new.event_id:
            raise ConflictError(conflict.code, conflict.message)
        if conflict.event_id not in old:
            raise ConflictError("later_acts_depend", "Later acts rest on this one; undo those first.")
    return after
