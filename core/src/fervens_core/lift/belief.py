"""What readings teach: a joint belief about how far and how fast each zone lifts. docs/models/readings.md.

The belief is Gaussian in four unknowns of every lane: the logs of how far and how fast it lifts, where it started and
where it stalls. Lanes share a head, so their deviations correlate and a reading of one moves all; eyes that are not
known exactly stand after the lanes. The update is in `update.py`.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.head import Covering, ReadingMode
from fervens_core.lift.course import dries_from_by, minutes_of_work, working_minutes
from fervens_core.lift.kinetics import (
    CEILING_ROOM_LEAST,
    LiftFactors,
    capped,
    effort_to_level,
    going_effort,
    going_level,
    level_to_effort,
    minutes_for_share,
    scaled_time,
    share_done,
    uncapped,
)
from fervens_core.lift.reading import Reading
from fervens_core.lift.outlook import LANE_UNKNOWNS, POINTS, RANKS, LaneKinetics, Outlook, truths

HEAD_EXTENT_STD, ZONE_EXTENT_STD = 0.09, 0.06
HEAD_RATE_STD, ZONE_RATE_STD = 0.22, 0.14
"""[MODEL] spreads of the log factors: between heads, and between zones of one head."""
HEAD_START_STD, ZONE_START_STD = 0.25, 0.25
"""[MODEL] how far start levels are misjudged, levels: all of a head alike, and each zone by itself."""
SAME_ZONE_SHARE = 0.7
"""[MODEL] of a zone's own deviation, the share that its root, lengths, ends and strands have in common."""
CEILING_HEAD_SHARE = 0.5
"""[MODEL] of the spread of a ceiling, the share of its square that a head's lanes have in common."""

_EXTENT, _RATE, _START, _CEILING = range(LANE_UNKNOWNS)
EyeKey = tuple[str, ReadingMode]


@dataclass(frozen=True, slots=True)
class Belief:
    """Deviations of every lane from what is expected of it, and of the eyes that are not known exactly.

    Args:
        lanes: n lanes. mean: shape (4n + e,): (log extent, log rate, start, ceiling) lane by lane, then the eyes; start,
            ceiling and eyes in levels. covariance: its square.
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
        return slice(LANE_UNKNOWNS * lane, LANE_UNKNOWNS * (lane + 1))

    def factors(self, lane: int) -> LiftFactors:
        """Most likely factors of a lane."""
        return moved(self.lanes[lane].factors, self.mean[self.block(lane)])

    def start_level(self, lane: int) -> float:
        """Most likely level a lane started at, 1 to 10."""
        return float(np.clip(self.lanes[lane].start_level + self.mean[self.block(lane)][_START], 1.0, 10.0))

    def outlook(self, lane: int) -> Outlook:
        """What the belief says of one lane, to be asked many things."""
        block = self.block(lane)
        root = np.linalg.cholesky(self.covariance[block, block] + 1e-12 * np.eye(LANE_UNKNOWNS))
        return Outlook(self.lanes[lane], truths(self.lanes[lane], self.mean[block] + POINTS @ root.T))

    def spread_left(self, lane: int, minute: float, reading: Reading) -> float:
        """Share of the spread of a lane's level that would be left if it were read so now, 0 to 1.

        Args:
            minute: after its application. reading: how, and by whom; what it says does not matter.
        """
        block = self.block(lane)
        steps = np.vstack([np.zeros(LANE_UNKNOWNS), 1e-3 * np.eye(LANE_UNKNOWNS)])
        around = Outlook(self.lanes[lane], truths(self.lanes[lane], self.mean[block] + steps))
        levels = going_level(around.efforts(np.array([minute])))[:, 0]
        slopes = (levels[1:] - levels[0]) / 1e-3
        own = float(slopes @ self.covariance[block, block] @ slopes)
        shared, of_eye = 0.0, reading.eye_bias_std**2
        if (key := (reading.eye, reading.mode)) in self.eyes:
            place = LANE_UNKNOWNS * len(self.lanes) + self.eyes.index(key)
            shared, of_eye = float(slopes @ self.covariance[block, place]), float(self.covariance[place, place])
        if own <= 1e-9:
            return 1.0
        taught = (own + shared) ** 2 / (own + 2.0 * shared + of_eye + reading.level_std**2)
        return float(np.sqrt(max(1.0 - taught / own, 0.0)))

    def of_lanes(self, count: int) -> Belief:
        """The belief about its first lanes alone."""
        own = LANE_UNKNOWNS * count
        return Belief(self.lanes[:count], self.mean[:own], self.covariance[:own, :own], (), self.misfits[:count], self.strays[:count])


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
    """Every lane's equally likely truths, shape (n, 157): effort it can do in the end, rate, start effort and room."""

    extent: Floats
    rate: Floats
    start: Floats
    room: Floats


def _points(belief: Belief) -> _Points:
    n, k = len(belief.lanes), LANE_UNKNOWNS
    own = belief.covariance[: n * k, : n * k]
    blocks = own.reshape(n, k, n, k)[np.arange(n), :, np.arange(n), :]
    roots = np.linalg.cholesky(blocks + 1e-12 * np.eye(k))
    deviations = belief.mean[: n * k].reshape(n, 1, k) + POINTS @ roots.transpose(0, 2, 1)
    base = np.array([(ln.factors.extent, ln.factors.rate, ln.course.terms[0].capacity) for ln in belief.lanes])
    start = going_effort(np.array([[ln.start_level] for ln in belief.lanes]) + deviations[..., _START])
    ceiling = np.array([[ln.factors.ceiling] for ln in belief.lanes])
    room = np.full_like(start, np.inf)
    has = np.isfinite(ceiling[:, 0])
    if has.any():
        effort = going_effort(ceiling[has] + deviations[has][..., _CEILING])
        room[has] = np.maximum(effort - start[has], CEILING_ROOM_LEAST)
    extent = base[:, :1] * np.exp(deviations[..., _EXTENT]) * base[:, 2:]
    return _Points(extent, base[:, 1:2] * np.exp(deviations[..., _RATE]), start, room)


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
        gained = capped(at.extent * share_done(scaled_time(worked[:, None], at.rate)), at.room)
        ended = np.sort(at.start + gained, axis=1)[:, RANKS]
        found[:, columns] = effort_to_level(ended)[:, columns]
    return found


def ready_windows(belief: Belief, targets: Sequence[float], coverings: Sequence[Covering] | None = None) -> Floats:
    """Every lane's (early, likely, late) minutes to its target, as `Outlook.ready_window` has them; shape (n, 3).

    For lanes with one application that nothing happens to but drying under its covering.
    """
    if not belief.lanes:
        return np.zeros((0, 3))
    at = _points(belief)
    work = level_to_effort(np.asarray(targets, dtype=float))[:, None] - at.start
    gain = uncapped(np.maximum(work, 0.0), at.room)
    times = np.where(work <= 0.0, 0.0, minutes_for_share(gain / at.extent, at.rate))
    if coverings is not None:
        drying = np.array([dries_from_by(c) for c in coverings])
        times = minutes_of_work(times, drying[:, :1], drying[:, 1:])
    ordered: Floats = np.sort(times, axis=1)[:, RANKS]
    return ordered


def prior(lanes: tuple[LaneKinetics, ...], zone_keys: Sequence[str] | None = None) -> Belief:
    """What is believed of a head before any reading: expected factors, spread between heads and between zones.

    Args:
        zone_keys: which zone each lane belongs to; None when every lane is a zone of its own.
    """
    n = len(lanes)
    keys = list(zone_keys) if zone_keys is not None else [str(i) for i in range(n)]
    codes = {k: i for i, k in enumerate(dict.fromkeys(keys))}
    numbers = np.array([codes[k] for k in keys], dtype=int)
    together = np.where(numbers[:, None] == numbers[None, :], SAME_ZONE_SHARE, 0.0)
    np.fill_diagonal(together, 1.0)
    covariance = np.zeros((LANE_UNKNOWNS * n, LANE_UNKNOWNS * n))
    spreads = ((HEAD_EXTENT_STD, ZONE_EXTENT_STD), (HEAD_RATE_STD, ZONE_RATE_STD), (HEAD_START_STD, ZONE_START_STD))
    for place, (head, zone) in enumerate(spreads):
        covariance[place::LANE_UNKNOWNS, place::LANE_UNKNOWNS] = head**2 + zone**2 * together
    ceilings = np.array([ln.factors.ceiling_std if np.isfinite(ln.factors.ceiling) else 0.0 for ln in lanes])
    shared = CEILING_HEAD_SHARE + (1.0 - CEILING_HEAD_SHARE) * together
    covariance[_CEILING::LANE_UNKNOWNS, _CEILING::LANE_UNKNOWNS] = np.outer(ceilings, ceilings) * shared
    places = np.arange(n) * LANE_UNKNOWNS + _CEILING
    covariance[places, places] += np.where(ceilings > 0.0, 1e-8, 1e-2)  # lanes without one keep an unknown that nothing depends on
    return Belief(lanes=lanes, mean=np.zeros(LANE_UNKNOWNS * n), covariance=covariance)
