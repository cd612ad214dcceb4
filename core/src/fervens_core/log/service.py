"""The state of a service: a pure fold of its log. The same log gives the same chair on any device, at any time."""

from __future__ import annotations

from collections.abc import Collection, Iterable, Sequence
from dataclasses import dataclass, field, replace
from datetime import datetime, timedelta
from enum import StrEnum

from fervens_core.base import ConflictError, CoreError, Message
from fervens_core.head import AGAIN, ReadingMode, ServiceKind
from fervens_core.log.events import Event
from fervens_core.log.lane_state import (
    LaneState,
    MixedBowl,
    Phase,
    TakenReading,
    advance_lane,
    drag,
    finished,
    require,
    rinse,
    started,
    tone_lane,
)
from fervens_core.log.lift_events import (
    ApplicationStarted,
    BowlMixed,
    CautionAcknowledged,
    ConsultationFinished,
    EventVoided,
    PlanTaken,
    ProductDragged,
    ReadingTaken,
    ServiceClosed,
    WaveRinsed,
)
from fervens_core.log.practice_events import FoilOpened, MishapMet, PracticeAsked, PracticeEventData
from fervens_core.log.tone_events import (
    SHADOW,
    LighteningResumed,
    ReviewFinished,
    ShadowSet,
    ToneBowlApplied,
    ToneFormulaSet,
    TonerApplied,
    TonerEmulsified,
    TonerPulledBack,
    TonerRinsed,
    TonersEmulsified,
    TonersRinsed,
    TonerStrandRead,
    WishSet,
    lane_of_id,
)


class Step(StrEnum):
    """Where a service stands; it is always at one step."""

    CONSULTATION = "consultation"
    PLAN = "plan"
    STRANDS = "strands"
    CHAIR = "chair"
    REVIEW = "review"
    TONE = "tone"
    RECORD = "record"


@dataclass(frozen=True, slots=True)
class Conflict:
    """An event that did not fit what had happened before it; shown, not dropped."""

    event_id: str
    code: str
    message: Message
    by: str
    at: datetime
    kind: str
    zone_key: str | None


@dataclass(frozen=True, slots=True)
class ServiceState:
    """A folded service. Lanes stand in order of application.

    `kept` are parts no lightener went on, taken in among what is toned. `own_wishes` by lane key, `own_formulas` by
    the lane's id, beside what is wished for the head and what is proposed.
    """

    acknowledged: frozenset[str] = frozenset()
    is_consultation_finished: bool = False
    kind: ServiceKind = ServiceKind.LIGHTEN_AND_TONE
    plan: PlanTaken | None = None
    lanes: tuple[LaneState, ...] = ()
    kept: tuple[LaneState, ...] = ()
    bowls: tuple[MixedBowl, ...] = ()
    is_reviewed: bool = False
    wish: WishSet | None = None
    own_wishes: tuple[tuple[str, WishSet], ...] = ()
    own_formulas: tuple[tuple[str, ToneFormulaSet], ...] = ()
    shadow: ShadowSet | None = None
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
            is_toned = any(lane.toner or lane.shadow for lane in self.toned)
            return Step.TONE if self.is_reviewed or is_toned else Step.REVIEW
        if self.plan:
            return Step.CHAIR
        if self.is_tone_only:
            return Step.TONE
        if not self.is_consultation_finished:
            return Step.CONSULTATION
        return Step.STRANDS if self.kind is ServiceKind.STRAND_TEST else Step.PLAN

    @property
    def is_tone_only(self) -> bool:
        """Whether parts went to the basin with no lightener before."""
        return self.is_consultation_finished and bool(self.kept) and not self.lanes

    @property
    def toned(self) -> tuple[LaneState, ...]:
        """What toner can go on: the lanes, and behind them the kept parts that were taken in."""
        return (*self.lanes, *self.kept)

    @property
    def toners_on(self) -> int:
        """How many toners are on hair now: on lanes, kept parts and root shadows."""
        return sum(t is not None and t.is_on for x in self.toned for t in (x.toner, x.shadow))

    def lane(self, key: str) -> LaneState:
        """The lane of a zone, or a kept part. Raises ConflictError when the plan has no such zone."""
        for lane in self.toned:
            if lane.key == key:
                return lane
        raise ConflictError("unknown_zone", key=key)

    def with_lane(self, lane: LaneState) -> ServiceState:
        """The same state with one lane renewed."""
        lanes = tuple(lane if old.key == lane.key else old for old in self.lanes)
        kept = tuple(lane if old.key == lane.key else old for old in self.kept)
        return replace(self, lanes=lanes, kept=kept)


def _advance(state: ServiceState, event: Event) -> ServiceState:
    data, at = event.data, event.occurred_at
    require(state.closed is None, "service_closed")
    match data:
        case CautionAcknowledged():
            return replace(state, acknowledged=state.acknowledged | {data.caution})
        case ConsultationFinished():
            parts = zip(data.tone_keys, data.levels, strict=True)
            kept = tuple(_as_read(key, level, event) for key, level in parts)
            return replace(state, is_consultation_finished=True, kind=data.kind, kept=kept, is_reviewed=bool(kept))
        case PlanTaken():
            require(state.is_consultation_finished, "consultation_open")
            require(all(lane.phase is Phase.WAITING for lane in state.lanes), "already_started.plan")
            lanes = tuple(LaneState(k, v) for k, v in zip(data.zone_keys, data.volumes, strict=True))
            return replace(state, plan=data, lanes=lanes)
        case ServiceClosed():
            busy = [x.key for x in state.lanes if x.phase in (Phase.APPLYING, Phase.PROCESSING)]
            require(not busy, "zones_open", zones=busy)
            toning = [x.key for x in state.toned if any(t and t.is_on for t in (x.toner, x.shadow))]
            require(not toning, "toner_open", zones=toning)
            return replace(state, closed=data, closed_at=at)
        case ReadingTaken():
            for key in data.keys:
                state = _take_in(state, key, at) if data.is_kept else state
                state = state.with_lane(advance_lane(state.lane(key), event))
            return state
        case ApplicationStarted() if data.after_key:
            before = state.lane(data.after_key)
            if before.phase is Phase.APPLYING:  # else another hand has said so already
                state = state.with_lane(finished(before, at))
        case EventVoided() | FoilOpened() | PracticeAsked() | MishapMet():
            raise AssertionError(event.kind)  # voids are resolved before, and practice changes nothing
        case BowlMixed():
            return _mix(state, event, data)
        case WaveRinsed():
            for key in data.zone_keys:
                state = state.with_lane(rinse(state.lane(key), at))
            return state
        case ProductDragged():
            return state.with_lane(drag(state.lane(data.zone_key), state.lane(data.from_key), at))
        case LighteningResumed():
            return _resume(state, data)
        case ReviewFinished():
            is_rinsed = bool(state.lanes) and all(x.phase is Phase.RINSED for x in state.lanes)
            require(is_rinsed, "still_lifting")
            return replace(state, is_reviewed=True)
        case WishSet():
            if not data.zone_keys:
                return replace(state, wish=data, own_wishes=())
            others = tuple((k, w) for k, w in state.own_wishes if k not in data.zone_keys)
            return replace(state, own_wishes=(*others, *((state.lane(k).key, data) for k in data.zone_keys)))
        case ToneFormulaSet():
            for lane_id in data.ids:
                state.lane(lane_of_id(lane_id)[0])
            rest = tuple((k, f) for k, f in state.own_formulas if k not in data.ids)
            own = ((k, data) for k in data.ids) if data.shade_key else ()
            return replace(state, own_formulas=(*rest, *own))
        case ShadowSet():
            return replace(state, shadow=data if data.length_mm else None)
        case ToneBowlApplied():
            for applied, before_min in data.each():
                lane = state.lane(applied.zone_key)
                moment = max(at - timedelta(minutes=before_min), lane.rinsed_at or at)
                state = state.with_lane(tone_lane(lane, applied, moment))
            return state
        case TonersEmulsified() | TonersRinsed():
            kind = TonerEmulsified if isinstance(data, TonersEmulsified) else TonerRinsed
            for lane_id in data.ids:
                key, is_shadow = lane_of_id(lane_id)
                state = state.with_lane(tone_lane(state.lane(key), kind(key, SHADOW if is_shadow else ""), at))
            return state
        case TonerApplied() | TonerEmulsified() | TonerStrandRead() | TonerPulledBack() | TonerRinsed():
            return state.with_lane(tone_lane(state.lane(data.zone_key), data, at))
    return state.with_lane(advance_lane(state.lane(data.zone_key), event))


"""What the key of a lane has behind it that lightens another one once more."""


def _resume(state: ServiceState, data: LighteningResumed) -> ServiceState:
    lanes = list(state.lanes)
    for key, volume in zip(data.zone_keys, data.volumes, strict=True):
        before = state.lane(key)
        require(before.phase is Phase.RINSED, "not_rinsed.again")
        require(before.toner is None and before.shadow is None, "toned")
        known = [x.key for x in lanes]
        require(f"{key}{AGAIN}" not in known, "already_again")
        lanes.append(LaneState(f"{key}{AGAIN}", volume, again_of=key))
    return replace(state, lanes=tuple(lanes), is_reviewed=False)


def _as_read(key: str, level: float, event: Event) -> LaneState:
    """A part that goes to the basin as the consultation read it."""
    at = event.occurred_at
    return LaneState(key, 0.0, rinsed_at=at, readings=(TakenReading(event.event_id, at, level, ReadingMode.DRY),))


def _take_in(state: ServiceState, key: str, at: datetime) -> ServiceState:
    """The state with a kept part among what is toned."""
    require(any(x.phase is Phase.RINSED for x in state.toned), "not_rinsed.review")
    require(key not in [x.key for x in state.lanes], "not_kept")
    if key in [x.key for x in state.kept]:
        return state
    return replace(state, kept=(*state.kept, LaneState(key, 0.0, rinsed_at=at)))


def _mix(state: ServiceState, event: Event, data: BowlMixed) -> ServiceState:
    keys = (data.zone_key, *(k for k in data.also_for if k != data.zone_key))
    mass = data.product_g + data.developer_g
    bowl = MixedBowl(event.event_id, len(state.bowls) + 1, event.occurred_at, data.volume_strength, mass, keys)
    for key in keys:
        lane = state.lane(key)
        require(lane.phase is not Phase.RINSED, "too_late")
        volume = data.volume_strength if lane.phase is Phase.WAITING else lane.volume_strength
        state = state.with_lane(replace(lane, bowls=(*lane.bowls, bowl), volume_strength=volume))
    if data.is_on:
        state = state.with_lane(started(state.lane(data.zone_key), data.volume_strength, event.occurred_at))
    return replace(state, bowls=(*state.bowls, bowl))


def live_events(events: Iterable[Event]) -> list[Event]:
    """Events in the order they happened, without those that were voided and without the voids."""
    ordered = sorted(events, key=_in_order)
    voided = {e.data.event_id for e in ordered if isinstance(e.data, EventVoided)}
    return [e for e in ordered if not isinstance(e.data, EventVoided) and e.event_id not in voided]


def fold(events: Iterable[Event]) -> ServiceState:
    """The state after a log of events, in any order of arrival.

    An event that does not fit is kept as a conflict and changes nothing else.
    """
    state = ServiceState()
    for event in live_events(events):
        state = _take(state, event)
    return state


def fold_on(before: ServiceState, last: Event | None, more: Sequence[Event]) -> ServiceState | None:
    """The state after more events, from the fold of those before them; None where all has to be folded anew.

    Args:
        before: the fold of the events so far. last: the latest of those by when it happened. more: those that came.
    """
    state = before
    for event in sorted(more, key=_in_order):
        if isinstance(event.data, EventVoided) or (last is not None and _in_order(event) <= _in_order(last)):
            return None
        state = _take(state, event)
    return state


def latest(events: Iterable[Event]) -> Event | None:
    """The event that happened last, of any."""
    return max(events, key=_in_order, default=None)


def _take(state: ServiceState, event: Event) -> ServiceState:
    if isinstance(event.data, PracticeEventData):
        return state
    try:
        return replace(_advance(state, event), undoable=event)
    except CoreError as error:
        conflict = Conflict(
            event.event_id, error.code, error.message, event.by, event.occurred_at, event.kind, event.zone_key
        )
        return replace(state, conflicts=(*state.conflicts, conflict))


def _in_order(event: Event) -> tuple[datetime, datetime, str]:
    return event.occurred_at, event.recorded_at, event.event_id


def check_addition(events: list[Event], new: Event, before: ServiceState | None = None) -> ServiceState:
    """The state with one more event.

    Args:
        before: the fold of the events, if it is known.
    Raises:
        ConflictError: it does not fit, or would leave others unfitting.
    """
    before = fold(events) if before is None else before
    if isinstance(new.data, EventVoided):
        require(before.closed is None, "service_closed")
        known = {e.event_id: e for e in live_events(events)}
        require(new.data.event_id in known, "unknown_event")
        require(
            not (before.is_consultation_finished and isinstance(known[new.data.event_id].data, CautionAcknowledged)),
            "later_acts_depend.acknowledged",
        )
    is_latest = not isinstance(new.data, EventVoided) and all(_in_order(e) < _in_order(new) for e in events)
    after = _take(before, new) if is_latest else fold([*events, new])
    old = {c.event_id for c in before.conflicts}
    for conflict in after.conflicts:
        if conflict.event_id == new.event_id:
            raise ConflictError.of(conflict.message)
        if conflict.event_id not in old:
            raise ConflictError("later_acts_depend")
    return after


def merge_addition(
    events: list[Event], new: Event, *, seen: Collection[str], before: ServiceState | None = None
) -> ServiceState:
    """The state with one more event of a device that may not have heard of all others yet.

    What fits is added. What does not fit any more, but did fit what its device knew, is two hands at once: it is kept
    in the log, and shown as a conflict. A void is never kept so.

    Args:
        seen: ids of the events its device knew. before: the fold of the events, if it is known.
    Raises:
        ConflictError: it did not fit what the device knew either.
    """
    try:
        return check_addition(events, new, before)
    except ConflictError:
        known = [e for e in events if e.event_id in seen]
        if len(known) == len(events) or isinstance(new.data, EventVoided | ServiceClosed):
            raise
        check_addition(known, new)
        return fold([*events, new])
