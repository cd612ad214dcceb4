"""What to do next with a lane, from what is believed of it. Never past the wall. docs/models/advice.md."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS, Message, say
from fervens_core.head import Foils
from fervens_core.lift import Outlook

FIRST_LOOK_LEAST_MIN, FIRST_LOOK_MOST_MIN = 8.0, 20.0
LOOK_GAP_MIN = 3.0
"""[MODEL] a first look not before 8 and not after 20 min, and no two looks closer than 3. Common practice looks at 10
min, then every 5 to 10; here a look comes where it teaches. `bin/bench fleet`"""
SURE = 0.97
"""So sure of ending within half a level, a lane that was read once is rinsed without another look."""
PASSED_LOOK = 0.02
"""A look comes before the chance of having passed the target by half a level is larger than this."""
LOOK_WORTH = 0.04
"""[MODEL] a further look that would make the end surer by less is not taken: an opening costs warmth and a hand."""
EQUALLY_SURE = 0.03
AIM_SHORT_LEVELS = 0.03
"""[MODEL] the middle of what is believed is aimed so much short: hands come late, never early."""
RINSE_SOON_MIN = 0.75
MISFIT_SPREADS = 3.0
"""[MODEL] a lane one of whose readings is so many spreads from what all else says of it does not fit."""
READ_AGAIN_WITHIN_MIN, AGREE_LEVELS = 2.5, 1.0
"""Two readings of a lane so close are one look and its check: planned looks are at least 3 min apart."""
STRAY_SPREADS = 3.5
"""[MODEL] hair that lifts so many spreads from what is expected of its kind is told of: it may be of another kind."""
CHANCE_SHORT = 0.25
SHORT_IN_DOUBT_BEFORE_MIN = 15.0
LAST_LOOK_BEFORE_WALL_MIN = 3.0
SPAN_LEAST_MIN = 3.0
"""[MODEL] first and last sections are told apart where so many minutes lie between them."""


def was_read_again(readings: Sequence[tuple[float, float]]) -> bool:
    """Whether the last of a lane's readings made sure of the one before: soon after it, and of about the same level.

    Args:
        readings: (minute, level) of each, rising by minute.
    """
    if len(readings) < 2:
        return False
    (before, one), (last, two) = readings[-2:]
    return last - before <= READ_AGAIN_WITHIN_MIN and abs(two - one) <= AGREE_LEVELS


class Act(StrEnum):
    """What a lane asks for."""

    LEAVE = "leave"
    READ = "read"
    RINSE = "rinse"
    STOP = "stop"
    SHORT = "short"


@dataclass(frozen=True, slots=True)
class LaneAdvice:
    """Advice for one lane.

    Args:
        act: what to do. due_min: when, in min after application (may be past). text: said in a few words.
        then: what comes at `due_min` when the lane is left until then: read or rinse.
        stops_at: the level a lane that stops short comes to. foils: which sections a look is for.
        sure: chance of ending within half a level of the target when rinsed at its best, 0 to 1; None before a look.
        misfit: its readings do not fit, and it is asked to be read again.
    """

    act: Act
    due_min: float
    text: Message
    then: Act = Act.READ
    stops_at: float | None = None
    foils: Foils = Foils.LAST
    sure: float | None = None
    is_misfit: bool = False


@dataclass(frozen=True, slots=True)
class _Ahead:
    """What lies ahead of a lane: when to rinse, how sure that is, and the latest moment for a look."""

    rinse_min: float
    sure: float
    spread: float
    look_by_min: float


def _ahead(outlook: Outlook, now_min: float, wall_min: float, target_level: float) -> _Ahead:
    minutes = np.append(np.arange(now_min, wall_min, 1.0), wall_min)
    off = outlook.levels(minutes) - target_level
    close = (np.abs(off) <= ON_TARGET_LEVELS).mean(axis=0)
    nearly = np.flatnonzero(close >= close.max() - EQUALLY_SURE)
    best = nearly[np.argmin(np.abs(np.median(off[:, nearly], axis=0) + AIM_SHORT_LEVELS))]
    in_time = np.flatnonzero((off > ON_TARGET_LEVELS).mean(axis=0) <= PASSED_LOOK)
    look_by = float(minutes[in_time[-1]]) if in_time.size else now_min
    return _Ahead(float(minutes[best]), float(close[best]), float(np.std(off[:, best])), look_by)


def _sure_within(spread: float) -> float:
    """Chance of ending within half a level when the middle is on target."""
    return math.erf(ON_TARGET_LEVELS / (spread * math.sqrt(2.0))) if spread > 1e-6 else 1.0


def advise(
    outlook: Outlook,
    *,
    now_min: float,
    wall_min: float,
    target_level: float,
    reading_count: int,
    last_reading_min: float | None = None,
    span_min: float = 0.0,
    spread_left: Callable[[float], float] = lambda _: 0.0,
    is_misfit: bool = False,
    has_read_again: bool = False,
) -> LaneAdvice:
    """Advice for a lane that is processing.

    The best rinse is where most of what is believed ends within half a level of the target. A lane is never rinsed on
    the model's word alone: it is read at least once, before it may have passed the target. Read and sure enough, or
    with no time for another look, it is rinsed at its best moment; else looked at again where that still leaves time.

    Args:
        outlook: what is believed of the lane. now_min, wall_min: min after application; the wall is the label's time.
        last_reading_min: when it was last read, min after application.
        span_min: the first sections have been on for so much longer: they are looked at first.
        spread_left: share of the spread of its level at a minute that another look would leave; all of it where the
            eye is what is not known.
        is_misfit: its readings do not fit each other or the head: it is read again, dry. has_read_again: it has been
            read twice in short; then what is believed is wide enough, and nobody is asked a third time.
    """
    given = _advise(outlook, now_min, wall_min, target_level, reading_count, last_reading_min, span_min, spread_left)
    is_asked = is_misfit and not has_read_again and given.act in (Act.LEAVE, Act.RINSE)
    if is_asked:
        return replace(given, act=Act.READ, due_min=now_min, text=say("advice-misfit"), is_misfit=True)
    return replace(given, is_misfit=is_misfit)


def _advise(
    outlook: Outlook,
    now_min: float,
    wall_min: float,
    target_level: float,
    reading_count: int,
    last_reading_min: float | None,
    span_min: float,
    spread_left: Callable[[float], float],
) -> LaneAdvice:
    if now_min >= wall_min:
        return LaneAdvice(Act.STOP, wall_min, say("advice-label_up"))
    ahead = _ahead(outlook, now_min, wall_min, target_level)
    last = last_reading_min or 0.0
    if reading_count > 0:
        chance = outlook.chance_by(target_level, wall_min)
        is_late = wall_min - now_min <= SHORT_IN_DOUBT_BEFORE_MIN or outlook.kinetics.course.has_stopped(now_min)
        if chance < CHANCE_SHORT and is_late:
            at_wall = float(outlook.level_bands(np.array([wall_min]))[1, 0])
            if at_wall < target_level - ON_TARGET_LEVELS:
                text = say("advice-stops_near", level=at_wall)
                return LaneAdvice(Act.SHORT, wall_min, text, Act.RINSE, at_wall)
        if ahead.rinse_min <= now_min + RINSE_SOON_MIN:
            return LaneAdvice(Act.RINSE, now_min, say("advice-ready"), sure=ahead.sure)
        gained = _sure_within(ahead.spread * spread_left(ahead.rinse_min)) - ahead.sure
        if ahead.sure >= SURE or gained < LOOK_WORTH or ahead.rinse_min <= last + LOOK_GAP_MIN:
            text = say("advice-leave_sure" if ahead.sure >= SURE else "advice-leave_as_sure_as")
            return LaneAdvice(Act.LEAVE, ahead.rinse_min, text, Act.RINSE, sure=ahead.sure)
    look = min(ahead.look_by_min, ahead.rinse_min)
    is_first = reading_count == 0 and span_min >= SPAN_LEAST_MIN
    if reading_count == 0:
        look = min(max(look, FIRST_LOOK_LEAST_MIN), FIRST_LOOK_MOST_MIN)
        if is_first:  # they come to where the last will be later
            look = max(min(look, ahead.look_by_min - span_min), FIRST_LOOK_LEAST_MIN - span_min, 0.0)
    else:
        look = max(look, last + LOOK_GAP_MIN)
    latest = max(wall_min - LAST_LOOK_BEFORE_WALL_MIN, 0.0)
    if reading_count > 0 and look > latest:
        return LaneAdvice(Act.LEAVE, ahead.rinse_min, say("advice-leave_to_label"), Act.RINSE)
    look, foils = min(look, latest), Foils.FIRST if is_first else Foils.LAST
    if now_min >= look:
        text = say("advice-read_first") if is_first else say("advice-read")
        return LaneAdvice(Act.READ, look, text, foils=foils)
    return LaneAdvice(Act.LEAVE, look, say("advice-leave"), foils=foils)
