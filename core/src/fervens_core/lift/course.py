"""The course of a lane: what its product goes through (drying, heat, opened foils, a new application) as working time.

Both stages of lift run in working time, so whatever happens to the product only changes how fast that time runs.
docs/models/course.md.
"""

from __future__ import annotations

import itertools
from dataclasses import dataclass
from enum import StrEnum
from functools import cached_property, lru_cache

import numpy as np

from fervens_core.base import Floats, LimitError, check_range, say
from fervens_core.head import Covering
from fervens_core.lift.kinetics import LATER_EXTENT_FACTOR, OPEN_AIR_COOLING_K, capacity, temperature_rate_factor

DRIES_BY_MIN: dict[Covering, float] = {Covering.OPEN_AIR: 60.0, Covering.FOIL: 120.0, Covering.FILM: 180.0}
"""[MODEL] after so long product is dry and has stopped. Foils leak air and dry after an hour or two; open-air product
dries sooner (common practice, no source)."""
WET_SHARE = 0.5
"""[MODEL] for the first half of that time it works fully, then less and less."""
OPENING_COOLING_K, OPENING_MIN = 3.0, 2.0
"""[MODEL] a foil that is opened and wiped is about this much cooler for two minutes."""
HEAT_WARMER_K = 8.0
"""[MODEL] under a warm lamp product is about this much warmer: it works, and dries, 1.74 times as fast."""
HORIZON_MIN = 300.0
_KNOT_MIN = 2.0


class Change(StrEnum):
    """What can happen to product on hair."""

    OPENED = "opened"
    HEAT_ON = "heat_on"
    HEAT_OFF = "heat_off"
    OPEN_AIR = "open_air"
    FOIL = "foil"
    FILM = "film"
    DRIED = "dried"


@dataclass(frozen=True, slots=True)
class Happening:
    """One thing that happened to a lane's product, min after the lane's zero."""

    at_min: float
    change: Change


@dataclass(frozen=True, slots=True)
class Application:
    """Product that went on a lane.

    Args:
        at_min: when its last section was on, min after the lane's zero. volume: strength the hair sees, vol.
        lift_lost_share: how much less far it lifts for being stale or dragged, 0 to 0.9.
    """

    at_min: float
    volume: float
    lift_lost_share: float = 0.0

    def __post_init__(self) -> None:
        check_range("lift_lost_share", self.lift_lost_share, 0.0, 0.9)


@dataclass(frozen=True)
class Term:
    """One application in working time: pairs of minute and minutes worked, both rising.

    Args:
        capacity: effort it can do in the end on the bench trial's hair.
    """

    capacity: float
    minutes: tuple[float, ...]
    worked: tuple[float, ...]

    @cached_property
    def _arrays(self) -> tuple[Floats, Floats]:
        return np.array(self.minutes), np.array(self.worked)

    def worked_by(self, minutes: Floats) -> Floats:
        """Minutes of full work done by each minute; 0 before it was on. Any shape."""
        return np.asarray(np.interp(minutes, *self._arrays))

    def minute_of(self, worked: Floats) -> Floats:
        """When so many minutes of work are done; infinity when it stops before. Inverse of `worked_by`."""
        minutes, done = self._arrays
        last = int(np.searchsorted(done, done[-1] - 1e-12))
        found = np.interp(worked, done[: last + 1], minutes[: last + 1])
        return np.where(np.asarray(worked) > done[-1] + 1e-9, np.inf, found)


@dataclass(frozen=True)
class Course:
    """All applications of a lane; what each does adds up."""

    terms: tuple[Term, ...]

    def has_stopped(self, minute: float) -> bool:
        """Whether nothing works any more from a minute on."""
        return all(t.worked[-1] - float(t.worked_by(np.array(minute))) < 1e-6 for t in self.terms)


def _speed(covering: Covering, planned: Covering, *, is_hot: bool, is_opened: bool) -> float:
    """Factor on how fast product works, beside the covering that was planned for the lane."""
    warmer = HEAT_WARMER_K if is_hot else 0.0
    warmer -= OPENING_COOLING_K if is_opened and covering is not Covering.OPEN_AIR else 0.0
    warmer -= OPEN_AIR_COOLING_K * ((covering is Covering.OPEN_AIR) - (planned is Covering.OPEN_AIR))
    return temperature_rate_factor(warmer)


def wetness(dryness: float) -> float:
    """How much of its speed product keeps: all while wet, none when dry. `dryness` 0 (fresh) to 1 (dry)."""
    return min(1.0, max(0.0, (1.0 - dryness) / (1.0 - WET_SHARE)))


_COVERED = {Change.OPEN_AIR: Covering.OPEN_AIR, Change.FOIL: Covering.FOIL, Change.FILM: Covering.FILM}


def _term(application: Application, until: float, planned: Covering, happened: tuple[Happening, ...], k: int) -> Term:
    start = application.at_min
    openings = [h.at_min for h in happened if h.change is Change.OPENED]
    edges = {start, until, *(start + _KNOT_MIN * i for i in range(1, int((until - start) / _KNOT_MIN) + 1))}
    edges |= {h.at_min for h in happened} | {at + OPENING_MIN for at in openings}
    knots = sorted(e for e in edges if start <= e <= until)
    covering, is_hot, is_dried, dryness, worked = planned, False, False, 0.0, [0.0]
    pending = sorted(happened, key=lambda h: h.at_min)
    for begin, end in itertools.pairwise(knots):
        while pending and pending[0].at_min <= begin + 1e-9:
            now = pending.pop(0)
            covering = _COVERED.get(now.change, covering)
            if now.change in (Change.HEAT_ON, Change.HEAT_OFF):
                is_hot = now.change is Change.HEAT_ON
            if now.change is Change.DRIED and now.at_min >= start:
                is_dried = True
        is_opened = any(at <= begin + 1e-9 and begin < at + OPENING_MIN - 1e-9 for at in openings)
        drying = (temperature_rate_factor(HEAT_WARMER_K) if is_hot else 1.0) / DRIES_BY_MIN[covering]
        later = dryness + drying * (end - begin)
        wet = 0.0 if is_dried else (wetness(dryness) + wetness(later)) / 2.0
        dryness = later
        speed = _speed(covering, planned, is_hot=is_hot, is_opened=is_opened)
        worked.append(worked[-1] + wet * speed * (end - begin))
    full = float(capacity(application.volume)) * (1.0 - application.lift_lost_share) * LATER_EXTENT_FACTOR**k
    return Term(full, (*knots, knots[-1] + HORIZON_MIN), (*worked, worked[-1]))


@lru_cache(maxsize=4096)
def make_course(
    applications: tuple[Application, ...], covering: Covering, happened: tuple[Happening, ...] = ()
) -> Course:
    """The course of a lane from its applications, in order, and from what happened to it.

    Old product stops where a new application takes its place; each new one lifts five per cent less far. Working time
    is summed over steps of two minutes at most, half of its error is below 0.01 min.

    Raises:
        LimitError: no application, or one before the one it follows.
    """
    if not applications:
        raise LimitError("applications", say("limit-at_least_one"), 0)
    starts = [a.at_min for a in applications]
    for before, after in itertools.pairwise(starts):
        check_range("at_min", after, before, before + HORIZON_MIN, "min")
    ends = [*starts[1:], starts[-1] + HORIZON_MIN]
    return Course(
        tuple(
            _term(a, until, covering, happened, k) for k, (a, until) in enumerate(zip(applications, ends, strict=True))
        )
    )


def dries_from_by(covering: Covering) -> tuple[float, float]:
    """Minutes until product starts to dry under a covering, and until it is dry."""
    by = DRIES_BY_MIN[covering]
    return WET_SHARE * by, by


def working_minutes(minutes: Floats, dries_from: Floats, dries_by: Floats) -> Floats:
    """Minutes of full work in some minutes of one undisturbed application, closed form. Broadcasts."""
    drying = np.clip(minutes - dries_from, 0.0, dries_by - dries_from)
    result: Floats = np.minimum(minutes, dries_from) + drying - drying**2 / (2.0 * (dries_by - dries_from))
    return result


def minutes_of_work(worked: Floats, dries_from: Floats, dries_by: Floats) -> Floats:
    """When so much work is done: inverse of `working_minutes`; infinity when product dries before. Broadcasts."""
    span = dries_by - dries_from
    left = span**2 - 2.0 * span * (np.asarray(worked) - dries_from)
    with np.errstate(invalid="ignore"):
        late = dries_from + span - np.sqrt(np.maximum(left, 0.0))
        result: Floats = np.where(worked <= dries_from, worked, np.where(left >= 0.0, late, np.inf))
    return result
