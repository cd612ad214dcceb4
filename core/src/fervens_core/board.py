"""The chair's board: each lane's painted curve, window, wall, next check and advice; and the one act that is next."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime, timedelta

import numpy as np

from fervens_core.advice import Act, LaneAdvice, advise
from fervens_core.colour import lab_to_hex
from fervens_core.paint import (
    Crossing,
    CurvePoint,
    LevelBand,
    Window,
    crossings,
    curve_points,
    minute_grid,
    window_of,
)
from fervens_core.pigment import hair_lab, undertone
from fervens_core.plan import kinetics
from fervens_core.products import Lightener
from fervens_core.readings import Belief, Reading, learn, prior
from fervens_core.service import LaneState, Phase, ServiceState, TakenReading
from fervens_core.strand import Strand, strand_readings
from fervens_core.wave import CHANGEOVER_MIN
from fervens_core.zones import Zone

PAST_WALL_MAX_MIN = 60.0
"""A lane left on past its wall is painted on for so long."""


@dataclass(frozen=True, slots=True)
class BoardReading:
    """A reading as it stands on its lane."""

    event_id: str
    minute: float
    level: float
    mode: str
    hex: str


@dataclass(frozen=True, slots=True)
class Lane:
    """One lane of the board; minutes count from `zero_at`, the end of its application (expected, if not ended).

    Args:
        is_forecast: the application has not ended yet; times are the plan's.
        window_min: when the target should be reached.
        ratio_*: what readings have moved: learnt factor over expected factor.
    """

    key: str
    name: str
    order: int
    phase: Phase
    volume_strength: float
    start_level: float
    target_level: float
    started_at: datetime
    zero_at: datetime
    is_forecast: bool
    wall_min: float
    end_min: float
    window_min: Window
    level_now: LevelBand
    hex_now: str
    hex_target: str
    undertone_now: str
    curve: tuple[CurvePoint, ...]
    crossings: tuple[Crossing, ...]
    readings: tuple[BoardReading, ...]
    rinsed_min: float | None
    achieved_level: float | None
    advice: LaneAdvice | None
    ratio_extent: float
    ratio_rate: float
    has_bowl: bool
    is_passed_wall: bool


@dataclass(frozen=True, slots=True)
class NextAct:
    """One thing for a hand to do.

    Args:
        code: mix, start, finish, read, rinse, stop, short, tone, file.
        due_at: when; an act without a time of its own is due now.
    """

    code: str
    zone_key: str | None
    title: str
    detail: str
    due_at: datetime
    hex: str | None = None


@dataclass(frozen=True, slots=True)
class Board:
    """The whole chair at one moment."""

    now: datetime
    lanes: tuple[Lane, ...]
    acts: tuple[NextAct, ...]


def minutes_between(earlier: datetime, later: datetime) -> float:
    """Minutes from one moment to another."""
    return (later - earlier).total_seconds() / 60.0


def _after(moment: datetime, minutes: float) -> datetime:
    return moment + timedelta(minutes=minutes)


@dataclass(frozen=True, slots=True)
class _Times:
    started: datetime
    zero: datetime
    is_forecast: bool


def _lane_times(state: ServiceState, zones: dict[str, Zone], now: datetime) -> list[_Times]:
    """When each lane started and ended its application, or is expected to: one pair of hands, lane after lane.

    A lane is not expected before the plan has it: roots wait for their lengths, a wave for the one before.
    """
    times: list[_Times] = []
    free = now
    planned = dict(zip(state.plan.zone_keys, state.plan.starts_min, strict=False)) if state.plan else {}
    begun = [(lane.started_at, planned.get(lane.key, 0.0)) for lane in state.lanes if lane.started_at]
    zero = min((_after(at, -offset) for at, offset in begun), default=now)
    for lane in state.lanes:
        need = zones[lane.key].application_min
        if lane.started_at and lane.finished_at:
            times.append(_Times(lane.started_at, lane.finished_at, False))
        elif lane.started_at:
            end = max(_after(lane.started_at, need), now)
            times.append(_Times(lane.started_at, end, True))
            free = max(free, _after(end, CHANGEOVER_MIN))
    for index, lane in enumerate(state.lanes):
        if not lane.started_at:
            start = max(free, _after(zero, planned.get(lane.key, 0.0)))
            end = _after(start, zones[lane.key].application_min)
            times.insert(index, _Times(start, end, True))
            free = _after(end, CHANGEOVER_MIN)
    return times


def head_belief(
    state: ServiceState,
    zones: dict[str, Zone],
    lightener: Lightener,
    *,
    has_additive: bool,
    now: datetime,
    strands: tuple[Strand, ...] = (),
) -> Belief:
    """What the strand tests and the head's readings so far teach about every lane; strands stand after the lanes."""
    read = tuple(s for s in strands if s.readings)
    before = prior(
        tuple(kinetics(zones[x.key], lightener, x.volume_strength, has_additive=has_additive) for x in state.lanes)
        + tuple(s.kinetics for s in read),
        [zones[x.key].zone_key for x in state.lanes] + [s.zone_key or s.key for s in read],
    )
    readings = list(strand_readings(read, len(state.lanes)))
    for index, lane in enumerate(state.lanes):
        for taken in lane.readings:
            if lane.finished_at is None or taken.at > now:
                continue
            ended = min(taken.at, lane.rinsed_at) if lane.rinsed_at else taken.at
            minutes = min(max(minutes_between(lane.finished_at, ended), 0.0), 240.0)
            is_through = lightener.is_dark and lane.rinsed_at is None
            readings.append(Reading(index, minutes, taken.level, taken.mode, is_through_dark=is_through))
    return learn(before, tuple(readings))


def achieved_level(lane: LaneState) -> float | None:
    """The level a rinsed lane is known to stand at: its last reading after the rinse, else its last one."""
    if not lane.readings:
        return None
    if lane.rinsed_at:
        after = [r for r in lane.readings if r.at >= lane.rinsed_at]
        if after:
            return after[-1].level
    return lane.readings[-1].level


def _board_lane(
    index: int,
    lane: LaneState,
    zone: Zone,
    times: _Times,
    belief: Belief,
    lightener: Lightener,
    now: datetime,
) -> Lane:
    wall = lightener.label_max_min - minutes_between(times.started, times.zero)
    rinsed = minutes_between(times.zero, lane.rinsed_at) if lane.rinsed_at else None
    now_min = max(minutes_between(times.zero, now), 0.0)
    end = rinsed if rinsed is not None else max(wall, min(now_min, wall + PAST_WALL_MAX_MIN), 1.0)
    grid = minute_grid(end)
    outlook = belief.outlook(index)
    bands = outlook.level_bands(np.append(grid, min(now_min, end)))
    likely = bands[1]
    target = zone.target_level
    ready = outlook.ready_window(target)
    started_here = lane.phase is Phase.PROCESSING
    advice = None
    if started_here and lane.finished_at:
        taken = [minutes_between(lane.finished_at, r.at) for r in lane.readings if r.at <= now]
        advice = advise(
            outlook,
            now_min=now_min,
            wall_min=wall,
            target_level=target,
            reading_count=len(taken),
            last_reading_min=max(taken) if taken else None,
        )
    labs = hair_lab(zone.hair.start_level, np.concatenate([likely, [target], [r.level for r in lane.readings]]))
    colours = lab_to_hex(labs)
    n = grid.size
    learnt, expected = belief.factors(index), belief.lanes[index].factors
    level_now = float(likely[-1]) if lane.started_at else zone.hair.start_level
    return Lane(
        key=lane.key,
        name=zone.name,
        order=index + 1,
        phase=lane.phase,
        volume_strength=lane.volume_strength,
        start_level=zone.hair.start_level,
        target_level=target,
        started_at=times.started,
        zero_at=times.zero,
        is_forecast=times.is_forecast,
        wall_min=wall,
        end_min=float(end),
        window_min=window_of(ready),
        level_now=LevelBand(float(bands[0, -1]), level_now, float(bands[2, -1])),
        hex_now=colours[n],
        hex_target=colours[n + 1],
        undertone_now=undertone(level_now),
        curve=curve_points(grid, bands[:, :n], colours[:n]),
        crossings=crossings(zone.hair.start_level, grid, likely[:n]),
        readings=tuple(_board_reading(r, times.zero, h) for r, h in zip(lane.readings, colours[n + 2 :], strict=True)),
        rinsed_min=rinsed,
        achieved_level=achieved_level(lane),
        advice=advice,
        ratio_extent=learnt.extent / expected.extent,
        ratio_rate=learnt.rate / expected.rate,
        has_bowl=lane.has_bowl,
        is_passed_wall=(rinsed if rinsed is not None else now_min) > wall and lane.started_at is not None,
    )


def _board_reading(taken: TakenReading, zero: datetime, colour: str) -> BoardReading:
    return BoardReading(taken.event_id, minutes_between(zero, taken.at), taken.level, taken.mode.value, colour)


def make_board(
    state: ServiceState,
    zones: dict[str, Zone],
    lightener: Lightener,
    *,
    has_additive: bool,
    now: datetime,
    strands: tuple[Strand, ...] = (),
) -> Board:
    """The board of a service at a moment.

    Args:
        state: the folded log. zones: lanes by key, one for each of the state's. now: with time zone.
    """
    if not state.lanes:
        return Board(now=now, lanes=(), acts=())
    belief = head_belief(state, zones, lightener, has_additive=has_additive, now=now, strands=strands)
    times = _lane_times(state, zones, now)
    lanes = tuple(
        _board_lane(i, lane, zones[lane.key], times[i], belief, lightener, now) for i, lane in enumerate(state.lanes)
    )
    return Board(now=now, lanes=lanes, acts=next_acts(lanes, now))


_RANK = {"stop": 0, "rinse": 1, "read": 2, "short": 3, "finish": 4, "start": 5, "mix": 5, "tone": 6}


def _lane_act(lane: Lane) -> NextAct | None:
    if lane.advice is None:
        return None
    advice = lane.advice
    due = _after(lane.zero_at, advice.due_min)
    name = lane.name
    likely = f"should look like {lane.level_now.likely:.1f}, {lane.undertone_now}"
    match advice.act:
        case Act.STOP:
            return NextAct("stop", lane.key, f"Rinse {name} now", advice.text, due, lane.hex_now)
        case Act.RINSE:
            return NextAct(
                "rinse",
                lane.key,
                f"Rinse {name}",
                f"Read at {lane.achieved_level:g}; target {lane.target_level:g}",
                due,
                lane.hex_now,
            )
        case Act.READ:
            return NextAct("read", lane.key, f"Wipe and read {name}", likely, due, lane.hex_now)
        case Act.SHORT:
            return NextAct("short", lane.key, f"{name} will stop short", advice.text, due, lane.hex_now)
        case Act.LEAVE:
            at = [p for p in lane.curve if p.minute <= advice.due_min]
            hue = at[-1] if at else lane.curve[0]
            seen = f"should look like {hue.level_likely:.1f}, {undertone(hue.level_likely)}"
            if advice.then is Act.RINSE:
                return NextAct("rinse", lane.key, f"Rinse {name}", seen, due, hue.hex)
            return NextAct("read", lane.key, f"Wipe and read {name}", seen, due, hue.hex)


def next_acts(lanes: tuple[Lane, ...], now: datetime) -> tuple[NextAct, ...]:
    """Acts of the whole chair, most urgent first: what is due by its weight, then what comes by its time."""
    acts = [act for lane in lanes if (act := _lane_act(lane))]
    applying = next((x for x in lanes if x.phase is Phase.APPLYING), None)
    waiting = next((x for x in lanes if x.phase is Phase.WAITING), None)
    if applying:
        detail = f"{applying.volume_strength:g} vol, last section on: its clock starts"
        acts.append(NextAct("finish", applying.key, f"Finish applying {applying.name}", detail, applying.zero_at))
    elif waiting and waiting.has_bowl:
        detail = (
            f"{waiting.volume_strength:g} vol, {minutes_between(waiting.started_at, waiting.zero_at):.0f} min to apply"
        )
        acts.append(NextAct("start", waiting.key, f"Start {waiting.name}", detail, now))
    elif waiting:
        acts.append(
            NextAct(
                "mix",
                waiting.key,
                f"Mix the bowl for {waiting.name}",
                f"{waiting.volume_strength:g} vol",
                now,
            )
        )
    if not acts and lanes and all(x.phase is Phase.RINSED for x in lanes):
        acts.append(NextAct("tone", None, "All zones rinsed: read and tone", "Dry a little, read every zone", now))
    return tuple(sorted(acts, key=lambda a: (a.due_at > now, _RANK[a.code] if a.due_at <= now else 9, a.due_at)))
