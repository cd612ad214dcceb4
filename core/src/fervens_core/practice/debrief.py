"""What a round came to: lane by lane what the hair really did, what was believed and done, and what would have been.

Truth, belief and advice are the functions the chair uses; nothing here is a number of its own but the thresholds.
docs/models/practice.md.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from itertools import pairwise

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS, Floats
from fervens_core.basin import formula_of, read_zones, wishes_of
from fervens_core.chair import (
    Chair,
    CurvePoint,
    curve_points,
    fibre_points,
    head_belief,
    lane_contact,
    lane_times,
    lane_wall,
    make_board,
    minutes_between,
)
from fervens_core.chair import Lane as BoardLane
from fervens_core.colour import delta_e_2000, hair_lab, seen_hex, seen_hexes
from fervens_core.head import Foils, ReadingMode, Tone
from fervens_core.lift import EyePair, learn_eye, mode_bias
from fervens_core.log import Event, FoilOpened, LaneState, Phase, ReadingTaken, TonerState
from fervens_core.practice.mishaps import FOUND_BY_LOOKING, Mishaps, answers_of
from fervens_core.practice.outcome import (
    EyeTold,
    LaneTold,
    MishapTold,
    Outcome,
    ReadingTold,
    ToneTold,
    WayWorked,
)
from fervens_core.practice.rounds import Round
from fervens_core.practice.toned import true_result, uptake_of
from fervens_core.practice.truth import Truth
from fervens_core.practice.ways import advised, best, nearest
from fervens_core.toning import toned_lab

EARLY_LOOK_MIN = 4.0
"""[MODEL] a look so long before the board would ask for one is one too many."""
LATE_MIN = 4.0
"""[MODEL] a look or a rinse so long after it was due is late."""
ONE_LOOK_MIN = 3.0
"""An opening and a reading of the same lane within so many minutes are one look."""
PAST_END_MIN = 12.0


def outcome_of(played: Round) -> Outcome:
    """What a round came to. Without a plan that was taken there is nothing to tell of lanes."""
    chair = played.chair
    if chair is None or not chair.state.lanes:
        return Outcome((), (), (), (), (), None, None, None, None)
    truth = played.truth
    first = min((x.started_at for x in chair.state.lanes if x.started_at), default=chair.now)
    readings = _readings(played, truth)
    looks = _looks(played)
    by_advice = advised(played)
    expected = _expected(played, chair)
    lanes = tuple(
        _lane(played, truth, lane, i, first, looks, by_advice.ends, expected)
        for i, lane in enumerate(chair.state.lanes)
        if lane.started_at is not None
    )
    return Outcome(
        lanes=lanes,
        readings=readings,
        eyes=_eyes(readings),
        tones=_tones(played, truth),
        mishaps=_mishaps(played, truth, first),
        done=_done(chair, lanes, first, len(looks)),
        advised=by_advice.way,
        best=best(played),
        first_at=first,
    )


def _readings(played: Round, truth: Truth) -> tuple[ReadingTold, ...]:
    found: list[ReadingTold] = []
    for event in played.live:
        data = event.data
        if not isinstance(data, ReadingTaken) or data.is_kept or data.instrument or data.lab:
            continue
        found += [told for key in data.keys if (told := _reading(event, data, key, truth))]
    return tuple(found)


def _reading(event: Event, data: ReadingTaken, key: str, truth: Truth) -> ReadingTold | None:
    lane = next((x for x in truth.chair.state.lanes if x.key == key), None)
    if lane is None or lane.finished_at is None:
        return None
    level = truth.level_at(lane, event.occurred_at, is_first=data.foils is Foils.FIRST)
    error = data.level - mode_bias(data.mode) - level
    if data.level >= 10.0:  # 10 is "10 or more", 1 is "1 or less"
        error = min(error, 0.0)
    if data.level <= 1.0:
        error = max(error, 0.0)
    minute = minutes_between(truth.times[lane.key].zero, event.occurred_at)
    return ReadingTold(event.event_id, lane.key, minute, data.mode, data.foils, data.level, level, error, event.by)


def _eyes(readings: Sequence[ReadingTold]) -> tuple[EyeTold, ...]:
    found = []
    for mode in ReadingMode:
        own = [r for r in readings if r.mode is mode]
        if own:
            eye = learn_eye(mode, [EyePair(mode, r.level, float(np.clip(r.true_level, 1.0, 10.0))) for r in own])
            found.append(EyeTold(mode, len(own), eye.bias, eye.bias_std, eye.spread))
    return tuple(found)


@dataclass(frozen=True, slots=True)
class _Look:
    lane_key: str
    at: datetime
    is_early: bool


def _looks(played: Round) -> list[_Look]:
    """Every look at a lane that was on, and whether the board would have asked for it only later."""
    found: list[_Look] = []
    last: dict[str, datetime] = {}
    for event in played.live:
        data = event.data
        if not isinstance(data, ReadingTaken | FoilOpened) or data.mode is ReadingMode.DRY:
            continue
        before = last.get(data.zone_key)
        last[data.zone_key] = event.occurred_at
        if before is not None and minutes_between(before, event.occurred_at) < ONE_LOOK_MIN:
            continue
        lane = _board_lane(played, data.zone_key, event.occurred_at)
        if lane is None or lane.phase is not Phase.PROCESSING:
            continue
        advice, on_min = lane.advice, minutes_between(lane.zero_at, event.occurred_at)
        is_early = advice is not None and advice.due_min > on_min + EARLY_LOOK_MIN
        found.append(_Look(data.zone_key, event.occurred_at, is_early))
    return found


def _board_lane(played: Round, key: str, at: datetime) -> BoardLane | None:
    """A lane as the full board had it just before a moment."""
    board = make_board(played.at(at - timedelta(seconds=1)))
    return next((x for x in board.lanes if x.key == key), None)


def _expected(played: Round, chair: Chair) -> dict[str, list[tuple[float, float]]]:
    """Of each lane (minute, level) as it was believed at that minute, belief by belief."""
    moments = sorted({e.occurred_at for e in played.live if isinstance(e.data, ReadingTaken)})
    begins = min((x.started_at for x in chair.state.lanes if x.started_at), default=chair.now)
    edges = [begins, *[m for m in moments if m > begins], chair.now + timedelta(hours=12)]
    found: dict[str, list[tuple[float, float]]] = {x.key: [] for x in chair.state.lanes}
    final = dict(zip([x.key for x in chair.state.lanes], lane_times(chair), strict=True))
    for since, until in pairwise(edges):
        there = played.at(since)
        belief = head_belief(there)
        for i, lane in enumerate(there.state.lanes):
            zero, at_end = final[lane.key].zero, chair.state.lane(lane.key)
            if at_end.started_at is None:
                continue
            end = at_end.rinsed_at or chair.now
            low = max(minutes_between(zero, since), 0.0)
            high = min(minutes_between(zero, until), minutes_between(zero, end) + PAST_END_MIN)
            minutes = np.arange(np.ceil(low), high, 1.0)
            if minutes.size:
                likely = belief.outlook(i).level_bands(minutes)[1]
                found[lane.key] += [(float(m), float(x)) for m, x in zip(minutes, likely, strict=True)]
    return found


def _lane(
    played: Round,
    truth: Truth,
    lane: LaneState,
    index: int,
    first: datetime,
    looks: Sequence[_Look],
    advised: dict[str, tuple[float, float]],
    expected: dict[str, list[tuple[float, float]]],
) -> LaneTold:
    chair = truth.chair
    zone, times = chair.zones[lane.key], truth.times[lane.key]
    assert lane.started_at is not None
    ended = lane.rinsed_at or chair.now
    minutes = minutes_between(times.zero, ended)
    wall = minutes_between(times.zero, lane_wall(chair, lane, times))
    grid = np.arange(0.0, max(wall, minutes) + PAST_END_MIN, 1.0)
    levels = truth.levels(lane, grid)
    in_time = int(np.searchsorted(grid, max(wall, 0.0) + 1e-6))
    at_best = nearest(levels[:in_time], zone.target_level)
    true_end = truth.level_at(lane, ended)
    miss = true_end - zone.target_level
    own = [x for x in looks if x.lane_key == lane.key]
    read = [r for r in lane.readings if lane.rinsed_at and r.at >= lane.rinsed_at]
    at_rinse = _board_lane(played, lane.key, ended)
    late = 0.0
    if at_rinse and at_rinse.advice and lane.rinsed_at:
        late = max(minutes - at_rinse.advice.due_min, 0.0)
    from_level = truth.hair(lane.key).colour_start
    told = expected.get(lane.key, [])
    return LaneTold(
        key=lane.key,
        name=zone.label,
        volume_strength=lane.volume_strength,
        target_level=zone.target_level,
        true_start=truth.start_level(lane),
        told_start=zone.hair.start_level,
        start_min=minutes_between(first, lane.started_at),
        zero_min=minutes_between(first, times.zero),
        wall_min=wall,
        minutes=minutes if lane.rinsed_at else None,
        true_end=true_end,
        miss=miss,
        is_on_target=abs(miss) <= ON_TARGET_LEVELS + 1e-9,
        believed=at_rinse.level_now if at_rinse else None,
        read_end=read[-1].level if read else None,
        best_min=float(grid[at_best]),
        best_end=float(levels[at_best]),
        advice_min=advised[lane.key][0] if lane.key in advised else None,
        advice_end=advised[lane.key][1] if lane.key in advised else None,
        looks=len(own),
        early_looks=sum(x.is_early for x in own),
        late_min=late,
        is_passed_wall=minutes > wall + 0.5,
        contact_volume_min=lane_contact(chair, lane).volume_minutes,
        truth=_painted(from_level, grid, levels),
        fibres=fibre_points(from_level, grid, levels),
        expected=_painted(zone.hair.colour_start, np.array([m for m, _ in told]), np.array([x for _, x in told])),
    )


def _painted(from_level: float, minutes: Floats, levels: Floats) -> tuple[CurvePoint, ...]:
    if not minutes.size:
        return ()
    hexes = seen_hexes(hair_lab(from_level, levels))
    return curve_points(minutes, np.vstack([levels, levels, levels]), hexes)


def _done(chair: Chair, lanes: Sequence[LaneTold], first: datetime, looks: int) -> WayWorked | None:
    if not lanes:
        return None
    ended = [x.rinsed_at or chair.now for x in chair.state.lanes if x.started_at]
    trips = sorted(ended)
    count = sum(1 for i, at in enumerate(trips) if i == 0 or minutes_between(trips[i - 1], at) > 3.0)
    worst = max(abs(x.miss) for x in lanes)
    on_target = sum(x.is_on_target for x in lanes)
    return WayWorked(on_target, len(lanes), minutes_between(first, max(ended)), looks, worst, count)


def _tones(played: Round, truth: Truth) -> tuple[ToneTold, ...]:
    """Toned parts, from their true level and what the head really takes up."""
    chair = truth.chair
    shades = {s.key: s for s in played.shades}
    reads = read_zones(chair)
    tone = played.setup.tone if played.setup.tone is not Tone.PASTEL else Tone.NEUTRAL
    wishes = wishes_of(chair, reads, tone)
    more = uptake_of(played.setup)
    found = []
    for read in reads:
        toner: TonerState | None = read.lane.toner
        formula = formula_of(toner.applied, shades) if toner else None
        if toner is None or formula is None or read.lane.key not in wishes:
            continue
        on_min = minutes_between(toner.applied_at, toner.rinsed_at or chair.now)
        result = true_result(truth, read)
        got, wish = toned_lab(result, formula, on_min, more), wishes[read.lane.key]
        distance = float(delta_e_2000(np.asarray(got), wish.wanted))
        found.append(ToneTold(read.lane.key, read.zone.label, wish.hex, seen_hex(np.asarray(got)), distance))
    return tuple(found)


def _mishaps(played: Round, truth: Truth, first: datetime) -> tuple[MishapTold, ...]:
    chair, answers = truth.chair, answers_of(played.live)
    found = []
    for mishap in truth.mishaps:
        if mishap.at > chair.now:
            continue
        seen_to: datetime | None = truth.met.get(mishap.key)
        if mishap.lane_key is not None:
            lane = chair.state.lane(mishap.lane_key)
            looked = [r.at for r in lane.readings if r.at > mishap.at]
            looked += [at for at in truth.looks.get(lane.key, ()) if at > mishap.at]
            ends = [lane.rinsed_at] if lane.rinsed_at and mishap.kind is Mishaps.BURNS else []
            if mishap.kind in FOUND_BY_LOOKING:
                ends += looked
            if mishap.kind is Mishaps.STALE:
                ends += [b.at for b in lane.bowls if b.at >= mishap.at]
            seen_to = min([*ends, *([seen_to] if seen_to and mishap.kind is not Mishaps.BURNS else [])], default=None)
        elif mishap.key in answers:
            seen_to = seen_to or mishap.at
        after_min = minutes_between(mishap.at, seen_to) if seen_to else None
        found.append(MishapTold(mishap.key, mishap.kind, mishap.text, minutes_between(first, mishap.at), after_min))
    return tuple(found)
