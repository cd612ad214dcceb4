"""What is believed of one lane, to be asked many things: levels by minute, bands, windows, chances."""

from __future__ import annotations

from dataclasses import dataclass
from statistics import NormalDist

import numpy as np

from fervens_core.base import LEVEL_MAX, LEVEL_MIN, Floats, check_level
from fervens_core.head import Covering
from fervens_core.lift.course import Application, Course, make_course
from fervens_core.lift.kinetics import (
    CEILING_ROOM_LEAST,
    LiftFactors,
    capped,
    going_effort,
    going_level,
    level_to_effort,
    scaled_time,
    share_done,
)

LANE_UNKNOWNS = 4
"""Of a lane: log of how far, log of how fast, its start level and its ceiling, each as a deviation."""
SHAPE_KNOTS_MIN: Floats = np.array([10.0, 25.0, 45.0])
SHAPE_WIDTH_MIN = 12.0
HEAD_UNKNOWNS = SHAPE_KNOTS_MIN.size
"""Of a head: levels by which all its lanes are off the law about each of these minutes: the law is not the truth."""


def departure_shares(minutes: Floats) -> Floats:
    """How much each of a head's departures from the law counts at each minute; shape (m,) to (m, 3).

    Bells about the knots, nothing at minute 0, scaled so that a departure's spread is the same at all later minutes.
    """
    at = np.asarray(minutes, dtype=float)[:, None]
    bells = np.exp(-0.5 * ((np.minimum(at, SHAPE_KNOTS_MIN[-1]) - SHAPE_KNOTS_MIN) / SHAPE_WIDTH_MIN) ** 2)
    bells /= np.sqrt((bells**2).sum(axis=1, keepdims=True))
    return np.asarray(bells * (1.0 - np.exp(-np.maximum(at, 0.0) / SHAPE_KNOTS_MIN[0])))


def _points(pairs: int) -> Floats:
    """Fixed standard-normal points: one in the middle and pairs on opposite sides of it, whitened, (2 pairs + 1, 7).

    Opposite points keep the median where the middle is. The lattice steps by powers of the root of x^8 = x + 1, the
    generalised golden ratio in seven directions (Roberts 2018).
    """
    normal, directions, root = NormalDist(), LANE_UNKNOWNS + HEAD_UNKNOWNS, 1.0
    for _ in range(60):
        root = (1.0 + root) ** (1.0 / (directions + 1))
    steps = [root**-k for k in range(1, directions + 1)]
    half = np.array([[normal.inv_cdf((0.5 + (i + 1) * step) % 1.0) for step in steps] for i in range(pairs)])
    points = np.vstack([np.zeros(directions), half, -half])
    whitened: Floats = points @ np.linalg.inv(np.linalg.cholesky(np.cov(points.T, bias=True))).T
    return whitened


POINTS = _points(78)
TIMES_MIN: Floats = np.concatenate([np.arange(0.0, 60.0, 1.0), np.arange(60.0, 301.0, 10.0)])
"""Where levels are asked for when a time to one is looked for, min; between them straight."""
QUANTILES = (0.1, 0.5, 0.9)
RANKS = [round(q * (len(POINTS) - 1)) for q in QUANTILES]


@dataclass(frozen=True, slots=True)
class LaneKinetics:
    """What the lift of one lane depends on, before anything is learnt of it.

    Args:
        start_level: 1 to 10, as read. volume: strength the hair sees, vol.
        factors: expected for hair of its kind. own_course: what its product goes through; None for one application
            in film that nothing happens to.
    """

    start_level: float
    volume: float
    factors: LiftFactors
    own_course: Course | None = None

    @property
    def course(self) -> Course:
        """Its applications in working time."""
        return self.own_course or make_course((Application(0.0, self.volume),), Covering.FILM)

    def gained(self, minutes: Floats, extent: Floats, rate: Floats) -> Floats:
        """Effort gained by each minute for each pair of factors, under no ceiling; shapes (m,) and (n,) to (n, m)."""
        extents, rates = np.reshape(extent, (-1, 1)), np.reshape(rate, (-1, 1))
        first, *later = self.course.terms
        gained = share_done(scaled_time(first.worked_by(minutes), rates))
        gained *= first.capacity * extents
        for term in later:
            gained += term.capacity * extents * share_done(scaled_time(term.worked_by(minutes), rates))
        return gained

    @property
    def start_effort(self) -> float:
        """Work already behind the start level."""
        return float(level_to_effort(self.start_level))


@dataclass(frozen=True, slots=True)
class Truths:
    """Equally likely truths of one lane, n arrays' worth.

    Args:
        extent, rate: factors, shape (n,). start: effort behind the start level, shape (n,). room: effort between that
            and the ceiling, shape (n,); infinity for none. shape: the head's departures from the law, shape (n, 3).
    """

    extent: Floats
    rate: Floats
    start: Floats
    room: Floats
    shape: Floats


def truths(kinetics: LaneKinetics, deviations: Floats) -> Truths:
    """What deviations of shape (n, 7) make of a lane: head's departures, log how far, log how fast, start, ceiling."""
    base, departures, deviations = kinetics.factors, deviations[:, :HEAD_UNKNOWNS], deviations[:, HEAD_UNKNOWNS:]
    start = going_effort(kinetics.start_level + deviations[:, 2])
    room = np.full(len(deviations), np.inf)
    if np.isfinite(base.ceiling):
        room = np.maximum(going_effort(base.ceiling + deviations[:, 3]) - start, CEILING_ROOM_LEAST)
    extent, rate = base.extent * np.exp(deviations[:, 0]), base.rate * np.exp(deviations[:, 1])
    return Truths(extent, rate, start, room, departures)


@dataclass(frozen=True, slots=True)
class Outlook:
    """What is believed of one lane: equally likely truths of it."""

    kinetics: LaneKinetics
    of: Truths

    def efforts(self, minutes: Floats) -> Floats:
        """Effort behind each equally likely truth at each minute; shape (m,) to (n, m)."""
        gained = self.kinetics.gained(np.asarray(minutes, dtype=float), self.of.extent, self.of.rate)
        if np.isfinite(self.kinetics.factors.ceiling):
            gained = capped(gained, self.of.room[:, None])
        return self.of.start[:, None] + gained

    def going_levels(self, minutes: Floats) -> Floats:
        """Levels of each equally likely truth at each minute, past 10 as well; shape (m,) to (157, m)."""
        at = np.asarray(minutes, dtype=float)
        return going_level(self.efforts(at)) + self.of.shape @ departure_shares(at).T

    def levels(self, minutes: Floats) -> Floats:
        """Levels of each equally likely truth at each minute; shape (m,) to (157, m)."""
        return np.clip(self.going_levels(minutes), LEVEL_MIN, LEVEL_MAX)

    def level_bands(self, minutes: Floats) -> Floats:
        """Levels at each minute: (slow, likely, fast) = 10, 50, 90 %. Shape (m,) to (3, m)."""
        ordered: Floats = np.partition(self.going_levels(minutes), RANKS, axis=0)[RANKS]
        return np.clip(ordered, LEVEL_MIN, LEVEL_MAX)

    def _times(self, target_level: float) -> Floats:
        check_level("target_level", target_level)
        last = self.kinetics.course.terms[-1]
        ends = last.minutes[-2]
        minutes = TIMES_MIN if ends <= TIMES_MIN[-1] else np.append(TIMES_MIN, np.arange(TIMES_MIN[-1], ends, 10.0)[1:])
        levels = self.going_levels(minutes)
        has = levels >= target_level
        after = np.where(has.any(axis=1), has.argmax(axis=1), minutes.size)
        at = np.clip(after, 1, minutes.size - 1)
        rows = np.arange(levels.shape[0])
        low, high = levels[rows, at - 1], levels[rows, at]
        with np.errstate(divide="ignore", invalid="ignore"):
            found = minutes[at - 1] + (minutes[at] - minutes[at - 1]) * np.clip(
                (target_level - low) / (high - low), 0.0, 1.0
            )
        return np.where(after == 0, 0.0, np.where(after >= minutes.size, np.inf, found))

    def ready_window(self, target_level: float) -> tuple[float, float, float]:
        """Minutes after application until the target: (early, likely, late) = 10, 50, 90 %; infinity for never."""
        early, likely, late = np.sort(self._times(target_level))[RANKS].tolist()
        return early, likely, late

    def chance_by(self, target_level: float, minutes: float) -> float:
        """Chance, 0 to 1, that the lane has reached a level by so many minutes after its application."""
        return float(np.mean(self.going_levels(np.array([minutes])) >= check_level("target_level", target_level)))
