"""The chair's lanes as kinetics: when each was put on, what its product went through, what the readings teach."""

from __future__ import annotations

import math
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import datetime, timedelta
from typing import Any

from fervens_core.chair.advice import MISFIT_SPREADS, was_read_again
from fervens_core.head import Covering, Foils, Lightener, ReadingMode, Zone, lightener_among
from fervens_core.lift import (
    INSTRUMENT_STD,
    SOMEONE,
    Application,
    Belief,
    Change,
    Eye,
    Happening,
    KnownHead,
    LaneKinetics,
    Reading,
    Strand,
    condensed,
    effective_volume,
    learn,
    make_course,
    of_known,
    prior,
    strand_readings,
    unknown_eye,
    zone_factors,
)
from fervens_core.log import Applied, LaneState, MixedBowl, Phase, ServiceState, TakenReading
from fervens_core.planning import USUAL_PACE, Paces, application_min, lift_lost_share

_OPENS = (ReadingMode.WIPED, ReadingMode.THROUGH_PRODUCT)
_COVERED = {Covering.OPEN_AIR: Change.OPEN_AIR, Covering.FOIL: Change.FOIL, Covering.FILM: Change.FILM}


def minutes_between(earlier: datetime, later: datetime) -> float:
    """Minutes from one moment to another."""
    return (later - earlier).total_seconds() / 60.0


def after(moment: datetime, minutes: float) -> datetime:
    """The moment so many minutes later."""
    return moment + timedelta(minutes=minutes)


@dataclass(frozen=True, slots=True)
class Chair:
    """Everything the lanes are computed from.

    Args:
        zones: the state's lanes by key. now: with time zone. strands: tests, which teach as well.
        others: lighteners that lanes have of their own. pace: how fast the studio's hands are. eyes: what is known of
            members' eyes, by name and way of reading; an eye nothing is known of may be off. known: what earlier visits
            taught of this person.
    """

    state: ServiceState
    zones: dict[str, Zone]
    lightener: Lightener
    now: datetime
    has_additive: bool = False
    strands: tuple[Strand, ...] = ()
    others: tuple[Lightener, ...] = ()
    pace: Paces = USUAL_PACE
    eyes: Mapping[tuple[str, ReadingMode], Eye] = field(default_factory=dict)
    known: KnownHead | None = None

    def application_min(self, key: str) -> float:
        """Minutes a lane's application takes these hands."""
        return application_min(self.zones[key], self.pace)

    def lightener_of(self, key: str) -> Lightener:
        """What a lane is lightened with."""
        return lightener_among(self.zones[key].lightener, self.lightener, self.others)


@dataclass(frozen=True, slots=True)
class LaneTimes:
    """When a lane's first application started and ended, or is expected to (`is_forecast`)."""

    started: datetime
    zero: datetime
    is_forecast: bool


def service_zero(chair: Chair) -> datetime:
    """The plan's minute 0 on the clock: from the first lane that was started, now when none was."""
    plan = chair.state.plan
    planned = dict(zip(plan.zone_keys, plan.starts_min, strict=False)) if plan else {}
    begun = [after(x.started_at, -planned.get(x.key, 0.0)) for x in chair.state.lanes if x.started_at]
    return min(begun, default=chair.now)


def lane_times(chair: Chair) -> list[LaneTimes]:
    """When each lane started and ended its application, or is expected to: one pair of hands, lane after lane.

    A lane is not expected before the plan has it: roots wait for their lengths. Hands that are late go to the basin
    all the same before what the plan has after that trip.
    """
    state, now = chair.state, chair.now
    trips = _trips_to_come(state)
    planned = dict(zip(state.plan.zone_keys, state.plan.starts_min, strict=False)) if state.plan else {}
    zero = service_zero(chair)
    times: list[LaneTimes] = []
    free = now
    for lane in state.lanes:
        if lane.started_at and lane.finished_at:
            times.append(LaneTimes(lane.started_at, lane.finished_at, False))
        elif lane.started_at:
            end = max(after(lane.started_at, chair.application_min(lane.key)), now)
            times.append(LaneTimes(lane.started_at, end, True))
            free = max(free, after(end, chair.pace.change_min))
    before = -math.inf
    for index, lane in enumerate(state.lanes):
        due = planned.get(lane.key, 0.0)
        if not lane.started_at:
            between = sum(before < at <= due for at in trips)
            start = max(after(free, chair.pace.rinse_min * between), after(zero, due))
            end = after(start, chair.application_min(lane.key))
            times.insert(index, LaneTimes(start, end, True))
            free = after(end, chair.pace.change_min)
        before = due
    return times


def _trips_to_come(state: ServiceState) -> list[float]:
    """Minutes of the plan's trips to the basin that have lanes on still, or to come."""
    plan = state.plan
    if plan is None:
        return []
    waiting = {x.key for x in state.lanes if x.phase is not Phase.RINSED}
    told = list(zip(plan.zone_keys, plan.visits, plan.rinses_min, strict=False))
    visits = {visit for key, visit, _ in told if key in waiting}
    return [max(at for _, v, at in told if v == visit) for visit in sorted(visits)]


def span_min(zone: Zone, lane: LaneState) -> float:
    """How much longer the first section of a lane has been on than its last, min: by its clocks, else as planned."""
    took = zone.application_min
    if lane.started_at and lane.finished_at:
        took = minutes_between(lane.started_at, lane.finished_at)
    return max(took - took / zone.foil_count, 0.0)


def product_age_min(chair: Chair, lane: LaneState, applied: Applied, at: datetime) -> float:
    """How old the product of an application is at a moment, min: since its bowl was mixed; 0 when no bowl is known."""
    if applied.dragged_from is not None:
        source = chair.state.lane(applied.dragged_from)
        return product_age_min(chair, source, source.applications[0], at) if source.applications else 0.0
    place = lane.applications.index(applied)
    since = lane.applications[place - 1].started_at if place else None
    bowls = [b.at for b in lane.bowls if b.at <= at and (since is None or b.at >= since)]
    return minutes_between(max(bowls), at) if bowls else 0.0


def lost_share(chair: Chair, lane: LaneState, applied: Applied) -> float:
    """How much less far an application lifts for the age of its bowl at its last section, 0 to 0.5."""
    age = product_age_min(chair, lane, applied, applied.finished_at or chair.now)
    return lift_lost_share(age, chair.lightener_of(lane.key).bowl_life_min)


def lane_wall(chair: Chair, lane: LaneState, times: LaneTimes) -> datetime:
    """When the label's time of what is on a lane is up: from the first section of its latest application.

    From its last section where the label counts so.
    """
    lightener = chair.lightener_of(lane.key)
    latest = lane.applications[-1] if lane.applications else None
    if lightener.counts_from_end:
        expected = after(latest.started_at, chair.application_min(lane.key)) if latest else times.zero
        return after((latest.finished_at or expected) if latest else expected, lightener.label_max_min)
    return after(latest.started_at if latest else times.started, lightener.label_max_min)


def _applications(chair: Chair, lane: LaneState, times: LaneTimes) -> tuple[Application, ...]:
    def seen(volume: float) -> float:
        return effective_volume(volume, has_additive=chair.has_additive)

    if not lane.applications:
        return (Application(0.0, seen(lane.volume_strength)),)
    found = []
    for place, applied in enumerate(lane.applications):
        need = chair.application_min(lane.key)
        end = applied.finished_at or max(after(applied.started_at, need), chair.now)
        at = minutes_between(times.zero, end) if place else 0.0
        found.append(Application(at, seen(applied.volume_strength), lost_share(chair, lane, applied)))
    return tuple(found)


def _happened(lane: LaneState, zero: datetime) -> tuple[Happening, ...]:
    pairs = [(r.at, Change.OPENED) for r in lane.readings if r.mode in _OPENS]
    pairs += [(h.from_at, Change.HEAT_ON) for h in lane.heats]
    pairs += [(h.to_at, Change.HEAT_OFF) for h in lane.heats if h.to_at]
    pairs += [(at, _COVERED[covering]) for at, covering in lane.coverings]
    pairs += [(at, Change.DRIED) for at in lane.dried_at]
    return tuple(Happening(minutes_between(zero, at), change) for at, change in sorted(pairs, key=lambda p: p[0]))


def lane_kinetics(
    chair: Chair, lane: LaneState, times: LaneTimes, more: Iterable[tuple[datetime, Change]] = ()
) -> LaneKinetics:
    """How a lane is expected to lift: its applications and all that happened to them, and more that the log has not."""
    zone = chair.zones[lane.key]
    unlogged = [Happening(minutes_between(times.zero, at), change) for at, change in more]
    happened = sorted((*_happened(lane, times.zero), *unlogged), key=lambda h: h.at_min)
    course = make_course(_applications(chair, lane, times), zone.covering, tuple(happened))
    volume = effective_volume(lane.volume_strength, has_additive=chair.has_additive)
    return LaneKinetics(zone.hair.start_level, volume, zone_factors(zone, chair.lightener_of(lane.key)), course)


def with_happening(
    chair: Chair, lane: LaneState, times: LaneTimes, *, more: Iterable[Change] = (), refreshed_by: float | None = None
) -> LaneKinetics:
    """The same lane as it would be if something happened to it now.

    Args:
        refreshed_by: volume of a fresh application that would be on by its application time from now, or None.
    """
    zone, plain = chair.zones[lane.key], lane_kinetics(chair, lane, times)
    now_min = minutes_between(times.zero, chair.now)
    applications = _applications(chair, lane, times)
    if refreshed_by is not None:
        seen = effective_volume(refreshed_by, has_additive=chair.has_additive)
        applications = (*applications, Application(now_min + zone.application_min, seen))
    happened = (*_happened(lane, times.zero), *(Happening(now_min, c) for c in more))
    return replace(plain, own_course=make_course(applications, zone.covering, happened))


def head_belief(chair: Chair, times: list[LaneTimes] | None = None) -> Belief:
    """What the strand tests and the head's readings so far teach about every lane; strands stand after the lanes."""
    state, zones = chair.state, chair.zones
    times = times or lane_times(chair)
    read = tuple(s for s in chair.strands if s.readings)
    before = prior(
        tuple(lane_kinetics(chair, x, t) for x, t in zip(state.lanes, times, strict=True))
        + tuple(s.kinetics for s in read),
        [zones[x.key].zone_key for x in state.lanes] + [s.zone_key or s.key for s in read],
        of_known(chair.known),
    )
    readings = list(strand_readings(read, len(state.lanes)))
    for index, lane in enumerate(state.lanes):
        for taken in _some_of(until(lane.readings, chair.now)):
            if lane.finished_at is None:
                continue
            ended = min(taken.at, lane.rinsed_at) if lane.rinsed_at else taken.at
            longer = span_min(zones[lane.key], lane) if taken.foils is Foils.FIRST else 0.0
            minutes = min(max(minutes_between(lane.finished_at, ended) + longer, 0.0), 240.0)
            is_through = chair.lightener_of(lane.key).is_dark and lane.rinsed_at is None
            by: dict[str, Any] = _of_instrument(taken) if taken.is_measured else of_eye(chair, taken.by, taken.mode)
            readings.append(Reading(index, minutes, taken.level, taken.mode, is_through_dark=is_through, **by))
    return learn(before, condensed(readings))


READINGS_TAUGHT = 60
"""More readings of one lane than anyone takes: so many of them, evenly spread, teach all there is."""


def _some_of(readings: Sequence[TakenReading]) -> Sequence[TakenReading]:
    if len(readings) <= READINGS_TAUGHT:
        return readings
    step = (len(readings) - 1) / (READINGS_TAUGHT - 1)
    return [readings[round(i * step)] for i in range(READINGS_TAUGHT)]


def until(readings: Sequence[TakenReading], now: datetime) -> Sequence[TakenReading]:
    """Those of a lane, in the order they were taken, that were taken by now."""
    count = len(readings)
    while count and readings[count - 1].at > now:
        count -= 1
    return readings[:count]


def of_eye(chair: Chair, by: str, mode: ReadingMode) -> dict[str, Any]:
    """What is known of whoever reads; the reading as tapped is kept. An eye nothing is known of may be off."""
    eye = chair.eyes.get((by, mode)) or unknown_eye(mode)
    return {"eye": by or SOMEONE, "eye_bias": eye.bias, "eye_bias_std": eye.bias_std, "spread": eye.spread}


def _of_instrument(taken: TakenReading) -> dict[str, Any]:
    """An instrument has no bias of its own, and does not round."""
    return {"spread": taken.level_std or INSTRUMENT_STD, "is_rounded": False}


def has_read_again(chair: Chair, lane: LaneState) -> bool:
    """Whether a lane's last reading, so far, made sure of the one before."""
    last = until(lane.readings, chair.now)[-2:]
    return was_read_again([(minutes_between(last[0].at, r.at), r.level) for r in last])


def asks_again(chair: Chair, lane: LaneState, belief: Belief, index: int) -> bool:
    """Whether a lane's readings do not fit and it is still on, so that a second look would tell: nothing is proposed
    meanwhile. Two looks that agree are believed, whatever was read before them.
    """
    is_on = lane.phase is not Phase.RINSED
    return is_on and belief.misfit(index) > MISFIT_SPREADS and not has_read_again(chair, lane)


def achieved_level(lane: LaneState) -> float | None:
    """The level a rinsed lane is known to stand at: its last reading after the rinse, else its last one."""
    if not lane.readings:
        return None
    if lane.rinsed_at:
        dry = [r for r in lane.readings if r.at >= lane.rinsed_at]
        if dry:
            return dry[-1].level
    return lane.readings[-1].level


def bowl_taken_from(lane: LaneState) -> MixedBowl | None:
    """The bowl a lane takes its product from now, or will; None when it has all it gets or none is mixed."""
    if not lane.bowls or lane.phase is Phase.RINSED:
        return None
    bowl = lane.bowls[-1]
    before = lane.applications[:-1] if lane.phase is Phase.APPLYING else lane.applications
    is_newer = not before or bowl.at > before[-1].started_at
    return bowl if is_newer else None
