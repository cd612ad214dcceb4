"""What readings teach: a joint belief about how far and how fast each zone lifts. docs/models/readings.md.

The belief is Gaussian in four unknowns of every lane: the logs of how far and how fast it lifts, where it started and
where it stalls. Lanes share a head, so their deviations correlate and a reading of one moves all; eyes that are not
known exactly stand after the lanes. The update is in `update.py`.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import LEVEL_MAX, LEVEL_MIN, Floats
from fervens_core.head import Covering, ReadingMode
from fervens_core.lift.course import dries_from_by, minutes_of_work, working_minutes
from fervens_core.lift.kinetics import (
    CEILING_ROOM_LEAST,
    LiftFactors,
    capped,
    going_effort,
    going_level,
    minutes_for_share,
    scaled_time,
    share_done,
    uncapped,
)
from fervens_core.lift.outlook import (
    HEAD_UNKNOWNS,
    LANE_UNKNOWNS,
    POINTS,
    RANKS,
    LaneKinetics,
    Outlook,
    departure_shares,
    truths,
)
from fervens_core.lift.reading import Reading

HEAD_EXTENT_STD, ZONE_EXTENT_STD = 0.09, 0.06
HEAD_RATE_STD, ZONE_RATE_STD = 0.22, 0.14
"""[MODEL] spreads of the log factors: between heads, and between zones of one head."""
HEAD_START_STD, ZONE_START_STD = 0.25, 0.25
"""[MODEL] how far start levels are misjudged, levels: all of a head alike, and each zone by itself."""
SAME_ZONE_SHARE = 0.7
"""[MODEL] of a zone's own deviation, the share that its root, lengths, ends and strands have in common."""
SHAPE_ROUNDS = 3
CEILING_HEAD_SHARE = 0.5
"""[MODEL] of the spread of a ceiling, the share of its square that a head's lanes have in common."""

SHAPE_STD = 0.20
"""[MODEL] how far a head's lanes are off the law about a minute, levels, all alike: the law is not the truth."""

_EXTENT, _RATE, _START, _CEILING = range(LANE_UNKNOWNS)
EyeKey = tuple[str, ReadingMode]


def lane_block(lane: int) -> slice:
    """Where a lane's unknowns stand among those of its head."""
    first = HEAD_UNKNOWNS + LANE_UNKNOWNS * lane
    return slice(first, first + LANE_UNKNOWNS)


@dataclass(frozen=True, slots=True)
class Belief:
    """Deviations of every lane from what is expected of it, and of the eyes that are not known exactly.

    Args:
        lanes: n lanes. mean: shape (3 + 4n + e,): the head's departures from the law, (log extent, log rate, start,
            ceiling) lane by lane, then the eyes; all but the logs in levels. covariance: its square.
        eyes: whose, and how they looked, e of them.
        misfits: how far each lane's readings are from what everything else says of them, in spreads, n of them.
        strays: how far each lane is from what is expected of such hair, in spreads, n of them.
    """

    lanes: tuple[LaneKinetics, ...]
    mean: Floats
    covariance: Floats
    eyes: tuple[EyeKey, ...] = ()
    misfits: tuple[float, ...] = ()
    strays: tuple[float, ...] = ()

    def misfit(self, lane: int) -> float:
        """The worst of a lane's readings, in spreads; 0 for a lane that was not read."""
        return self.misfits[lane] if self.misfits else 0.0

    def stray(self, lane: int) -> float:
        """How far a lane lies from what is expected of such hair, in spreads."""
        return self.strays[lane] if self.strays else 0.0

    def block(self, lane: int) -> slice:
        """Where a lane's unknowns stand."""
        return lane_block(lane)

    def places(self, lane: int) -> np.ndarray:
        """Where all that a lane's levels depend on stands: its head's departures and its own."""
        block = self.block(lane)
        return np.array([*range(HEAD_UNKNOWNS), *range(block.start, block.stop)])

    def factors(self, lane: int) -> LiftFactors:
        """Most likely factors of a lane."""
        return moved(self.lanes[lane].factors, self.mean[self.block(lane)])

    def start_level(self, lane: int) -> float:
        """Most likely level a lane started at, 1 to 10."""
        return float(np.clip(self.lanes[lane].start_level + self.mean[self.block(lane)][_START], 1.0, 10.0))

    @property
    def eye_biases(self) -> dict[EyeKey, tuple[float, float]]:
        """Of each eye that is not known exactly: levels it reads too light beside what was known, and its spread."""
        first = self.block(len(self.lanes)).start
        spreads = np.sqrt(np.diag(self.covariance))
        return {key: (float(self.mean[first + i]), float(spreads[first + i])) for i, key in enumerate(self.eyes)}

    def outlook(self, lane: int) -> Outlook:
        """What the belief says of one lane, to be asked many things."""
        at = self.places(lane)
        root = np.linalg.cholesky(self.covariance[np.ix_(at, at)] + 1e-12 * np.eye(at.size))
        return Outlook(self.lanes[lane], truths(self.lanes[lane], self.mean[at] + POINTS @ root.T))

    def spread_left(self, lane: int, minute: float, reading: Reading) -> float:
        """Share of the spread of a lane's level that would be left if it were read so now, 0 to 1.

        Args:
            minute: after its application. reading: how, and by whom; what it says does not matter.
        """
        at = self.places(lane)
        steps = np.vstack([np.zeros(at.size), 1e-3 * np.eye(at.size)])
        around = Outlook(self.lanes[lane], truths(self.lanes[lane], self.mean[at] + steps))
        levels = around.going_levels(np.array([minute]))[:, 0]
        slopes = (levels[1:] - levels[0]) / 1e-3
        own = float(slopes @ self.covariance[np.ix_(at, at)] @ slopes)
        shared, of_eye = 0.0, reading.eye_bias_std**2
        if (key := (reading.eye, reading.mode)) in self.eyes:
            place = self.block(len(self.lanes)).start + self.eyes.index(key)
            shared, of_eye = float(slopes @ self.covariance[at, place]), float(self.covariance[place, place])
        if own <= 1e-9:
            return 1.0
        taught = (own + shared) ** 2 / (own + 2.0 * shared + of_eye + reading.level_std**2)
        return float(np.sqrt(max(1.0 - taught / own, 0.0)))

    def of_lanes(self, count: int) -> Belief:
        """The belief about its first lanes alone."""
        own = lane_block(count).start
        return Belief(
            self.lanes[:count],
            self.mean[:own],
            self.covariance[:own, :own],
            (),
            self.misfits[:count],
            self.strays[:count],
        )


def moved(base: LiftFactors, deviations: Floats) -> LiftFactors:
    """Factors moved by a lane's deviations, shape (4,)."""
    return replace(
        base,
        extent=float(np.clip(base.extent * np.exp(deviations[_EXTENT]), 0.2, 2.0)),
        rate=float(np.clip(base.rate * np.exp(deviations[_RATE]), 0.2, 5.0)),
        ceiling=base.ceiling if np.isinf(base.ceiling) else float(np.clip(base.ceiling + deviations[_CEILING], 3, 12)),
    )


@dataclass(frozen=True, slots=True)
class _Points:
    """Every lane's equally likely truths, shape (n, 157): effort it can do in the end, rate, start effort and room.

    Args:
        shape: the head's departures from the law, shape (n, 157, 3).
    """

    extent: Floats
    rate: Floats
    start: Floats
    room: Floats
    shape: Floats

    def levels(self, worked: Floats, minutes: Floats) -> Floats:
        """Levels after minutes of full work, at minutes on the clock; shape (n, 1) each, to (n, 157)."""
        gained = capped(self.extent * share_done(scaled_time(worked, self.rate)), self.room)
        bells = departure_shares(minutes[:, 0])
        return np.asarray(going_level(self.start + gained) + np.einsum("npk,nk->np", self.shape, bells))


def _points(belief: Belief) -> _Points:
    n = len(belief.lanes)
    at = np.array([belief.places(i) for i in range(n)])
    roots = np.linalg.cholesky(belief.covariance[at[:, :, None], at[:, None, :]] + 1e-12 * np.eye(at.shape[1]))
    every = belief.mean[at][:, None, :] + POINTS @ roots.transpose(0, 2, 1)
    departures, deviations = every[..., :HEAD_UNKNOWNS], every[..., HEAD_UNKNOWNS:]
    base = np.array([(ln.factors.extent, ln.factors.rate, ln.course.terms[0].capacity) for ln in belief.lanes])
    start = going_effort(np.array([[ln.start_level] for ln in belief.lanes]) + deviations[..., _START])
    ceiling = np.array([[ln.factors.ceiling] for ln in belief.lanes])
    room = np.full_like(start, np.inf)
    has = np.isfinite(ceiling[:, 0])
    if has.any():
        effort = going_effort(ceiling[has] + deviations[has][..., _CEILING])
        room[has] = np.maximum(effort - start[has], CEILING_ROOM_LEAST)
    extent = base[:, :1] * np.exp(deviations[..., _EXTENT]) * base[:, 2:]
    return _Points(extent, base[:, 1:2] * np.exp(deviations[..., _RATE]), start, room, departures)


def level_ranges(belief: Belief, first_min: Floats, last_min: Floats, coverings: Sequence[Covering]) -> Floats:
    """Levels that lanes end at: the slow one of the last section, the likely one of it, the fast one of the first.

    For lanes with one application that nothing happens to but drying under its covering.

    Args:
        first_min, last_min: minutes of processing of each lane's first and last section, shape (n,).
    Returns:
        10 %, 50 % and 90 %, shape (n, 3).
    """
    n = len(belief.lanes)
    if n == 0:
        return np.zeros((0, 3))
    at = _points(belief)
    dries = np.array([dries_from_by(c) for c in coverings])
    found = np.zeros((n, 3))
    for minutes, columns in ((last_min, (0, 1)), (first_min, (2,))):
        worked = working_minutes(np.maximum(minutes, 0.0), dries[:, 0], dries[:, 1])
        ended = np.sort(at.levels(worked[:, None], np.maximum(minutes, 0.0)[:, None]), axis=1)[:, RANKS]
        found[:, columns] = np.clip(ended, LEVEL_MIN, LEVEL_MAX)[:, columns]
    return found


def ready_windows(belief: Belief, targets: Sequence[float], coverings: Sequence[Covering] | None = None) -> Floats:
    """Every lane's (early, likely, late) minutes to its target, as `Outlook.ready_window` has them; shape (n, 3).

    For lanes with one application that nothing happens to but drying under its covering.
    """
    if not belief.lanes:
        return np.zeros((0, 3))
    at = _points(belief)
    drying = None if coverings is None else np.array([dries_from_by(c) for c in coverings])
    wanted, times = np.asarray(targets, dtype=float)[:, None], np.zeros_like(at.start)
    for _ in range(SHAPE_ROUNDS):  # the departure counts at the minute that is looked for
        bells = departure_shares(np.minimum(times, 60.0).ravel()).reshape(*times.shape, -1)
        work = going_effort(wanted - (at.shape * bells).sum(axis=2)) - at.start
        gain = uncapped(np.maximum(work, 0.0), at.room)
        times = np.where(work <= 0.0, 0.0, minutes_for_share(gain / at.extent, at.rate))
        if drying is not None:
            times = minutes_of_work(times, drying[:, :1], drying[:, 1:])
    ordered: Floats = np.sort(times, axis=1)[:, RANKS]
    return ordered


def prior(
    lanes: tuple[LaneKinetics, ...],
    zone_keys: Sequence[str] | None = None,
    person: tuple[tuple[float, float], tuple[float, float]] = ((0.0, HEAD_EXTENT_STD), (0.0, HEAD_RATE_STD)),
) -> Belief:
    """What is believed of a head before any reading: expected factors, spread between heads and between zones.

    Args:
        zone_keys: which zone each lane belongs to; None when every lane is a zone of its own.
        person: mean and spread of the log of how far, and of how fast, this head lifts beside others (`of_known`).
    """
    n = len(lanes)
    keys = list(zone_keys) if zone_keys is not None else [str(i) for i in range(n)]
    codes = {k: i for i, k in enumerate(dict.fromkeys(keys))}
    numbers = np.array([codes[k] for k in keys], dtype=int)
    together = np.where(numbers[:, None] == numbers[None, :], SAME_ZONE_SHARE, 0.0)
    np.fill_diagonal(together, 1.0)
    size = lane_block(n).start
    covariance = np.zeros((size, size))
    covariance[range(HEAD_UNKNOWNS), range(HEAD_UNKNOWNS)] = SHAPE_STD**2
    own = covariance[HEAD_UNKNOWNS:, HEAD_UNKNOWNS:]
    far, fast = person
    spreads = ((far[1], ZONE_EXTENT_STD), (fast[1], ZONE_RATE_STD), (HEAD_START_STD, ZONE_START_STD))
    for place, (head, zone) in enumerate(spreads):
        own[place::LANE_UNKNOWNS, place::LANE_UNKNOWNS] = head**2 + zone**2 * together
    ceilings = np.array([ln.factors.ceiling_std if np.isfinite(ln.factors.ceiling) else 0.0 for ln in lanes])
    shared = CEILING_HEAD_SHARE + (1.0 - CEILING_HEAD_SHARE) * together
    own[_CEILING::LANE_UNKNOWNS, _CEILING::LANE_UNKNOWNS] = np.outer(ceilings, ceilings) * shared
    places = np.arange(n) * LANE_UNKNOWNS + _CEILING
    own[places, places] += np.where(
        ceilings > 0.0, 1e-8, 1e-2
    )  # lanes without one keep an unknown that nothing depends on
    mean = np.zeros(size)
    mean[HEAD_UNKNOWNS + _EXTENT :: LANE_UNKNOWNS] = far[0]
    mean[HEAD_UNKNOWNS + _RATE :: LANE_UNKNOWNS] = fast[0]
    return Belief(lanes=lanes, mean=mean, covariance=covariance)
