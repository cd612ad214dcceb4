"""What readings teach: a joint belief about how far and how fast each zone lifts. docs/models/readings.md.

The belief is Gaussian in the log factors of every lane. Lanes share a head, so their deviations correlate and a
reading of one moves all; the update is in `update.py`.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from statistics import NormalDist

import numpy as np

from fervens_core.base import LEVEL_MAX, LEVEL_MIN, Floats, check_level, check_range
from fervens_core.head import Covering, ReadingMode
from fervens_core.lift.course import (
    Application,
    Course,
    dries_from_by,
    make_course,
    minutes_of_work,
    working_minutes,
)
from fervens_core.lift.kinetics import (
    LiftFactors,
    effort_to_level,
    level_to_effort,
    minutes_for_share,
    scaled_time,
    share_done,
)

HEAD_EXTENT_STD, ZONE_EXTENT_STD = 0.09, 0.06
HEAD_RATE_STD, ZONE_RATE_STD = 0.22, 0.14
"""[MODEL] spreads of the log factors: between heads, and between zones of one head."""
SAME_ZONE_SHARE = 0.7
"""[MODEL] of a zone's own deviation, the share that its root, lengths, ends and strands have in common."""
DARK_LIGHTENER_SPREAD = 1.6
"""[MODEL] a blue or charcoal lightener hides the level: readings through it spread this much more."""
ROUNDING_STD, ROUNDING_LEVELS = 0.5 / 12.0**0.5, 0.25
"""Readings are given in half levels: spread of the rounding, and how far its edge lies off."""


# [MODEL] (bias, spread) in levels: through the product hair looks lighter than it is, wet it looks darker.
_MODES: dict[ReadingMode, tuple[float, float]] = {
    ReadingMode.THROUGH_PRODUCT: (0.5, 0.60),
    ReadingMode.WIPED: (0.1, 0.35),
    ReadingMode.RINSED_WET: (-0.2, 0.30),
    ReadingMode.DRY: (0.0, 0.22),
}


def mode_bias(mode: ReadingMode) -> float:
    """Levels that a way of reading makes hair look too light (positive) or too dark to everyone."""
    return _MODES[mode][0]


def mode_std(mode: ReadingMode) -> float:
    """Spread of readings of a kind, levels, before rounding."""
    return _MODES[mode][1]


def _quantile_points(count: int) -> Floats:
    """Fixed standard-normal points in the plane: a rank-1 lattice through the inverse normal, centred and scaled."""
    normal = NormalDist()
    step = (5**0.5 - 1) / 2
    first = [normal.inv_cdf((i + 0.5) / count) for i in range(count)]
    second = [normal.inv_cdf(((i + 0.5) * step) % 1.0) for i in range(count)]
    points = np.array([first, second]).T
    points -= points.mean(axis=0)
    whitened: Floats = points @ np.linalg.inv(np.linalg.cholesky(np.cov(points.T, bias=True))).T
    return whitened


_POINTS = _quantile_points(157)
QUANTILES = (0.1, 0.5, 0.9)
_RANKS = [round(q * (len(_POINTS) - 1)) for q in QUANTILES]


@dataclass(frozen=True, slots=True)
class LaneKinetics:
    """What the lift of one lane depends on, before anything is learnt of it.

    Args:
        start_level: 1 to 10. volume: strength the hair sees, vol.
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
        """Effort gained by each minute for each pair of factors; shapes (m,) and (n,) to (n, m)."""
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
class Reading:
    """A level read on one lane.

    Args:
        lane: index of the lane. minutes: since its application, min, 0 to 240.
        level: 1 to 10, as seen. mode: how. is_through_dark: read with a dark lightener on the hair.
        eye: whose; readings of one eye are off together. Empty for an instrument, or where nobody asks.
        eye_bias, eye_bias_std: levels that eye is known to read too light, and how sure that is.
        spread: of that eye, levels; None for the mode's own.
    """

    lane: int
    minutes: float
    level: float
    mode: ReadingMode
    is_through_dark: bool = False
    eye: str = ""
    eye_bias: float = 0.0
    eye_bias_std: float = 0.0
    spread: float | None = None

    def __post_init__(self) -> None:
        check_level("level", self.level)
        check_range("minutes", self.minutes, 0.0, 240.0, "min")
        check_range("eye_bias_std", self.eye_bias_std, 0.0, 2.0)

    @property
    def bias(self) -> float:
        """Levels the eye reads too light (positive) or too dark."""
        return mode_bias(self.mode) + self.eye_bias

    @property
    def is_at_end(self) -> int:
        """1 where it says "10 or more", -1 for "1 or less", 0 for a level as such."""
        return int(self.level >= LEVEL_MAX) - int(self.level <= LEVEL_MIN)

    @property
    def eye_std(self) -> float:
        """Spread of the eye in levels, before rounding."""
        spread = mode_std(self.mode) if self.spread is None else self.spread
        return spread * DARK_LIGHTENER_SPREAD if self.is_through_dark and self.mode is not ReadingMode.DRY else spread

    @property
    def level_std(self) -> float:
        """Spread of the reading in levels, rounding to halves included."""
        return float(np.hypot(self.eye_std, ROUNDING_STD))


@dataclass(frozen=True, slots=True)
class Outlook:
    """What is believed of one lane: equally likely (extent, rate) pairs, two arrays of shape (157,)."""

    kinetics: LaneKinetics
    extent: Floats
    rate: Floats

    def _gained(self, minutes: Floats) -> Floats:
        return self.kinetics.gained(np.asarray(minutes, dtype=float), self.extent, self.rate)

    def levels(self, minutes: Floats) -> Floats:
        """Levels of each equally likely pair at each minute; shape (m,) to (157, m)."""
        return effort_to_level(self.kinetics.start_effort + self._gained(minutes))

    def level_bands(self, minutes: Floats) -> Floats:
        """Levels at each minute: (slow, likely, fast) = 10, 50, 90 %. Shape (m,) to (3, m)."""
        ordered = np.partition(self._gained(minutes), _RANKS, axis=0)[_RANKS]
        return effort_to_level(self.kinetics.start_effort + ordered)

    def _times(self, target_level: float) -> Floats:
        work = float(level_to_effort(check_level("target_level", target_level))) - self.kinetics.start_effort
        terms = self.kinetics.course.terms
        if work <= 0.0:
            return np.zeros_like(self.extent)
        if len(terms) == 1:
            share = work / (self.extent * terms[0].capacity)
            return terms[0].minute_of(minutes_for_share(share, self.rate))
        minutes = np.arange(0.0, terms[-1].minutes[-2] + 1.0, 0.5)
        gained = self._gained(minutes)
        after = (gained < work).sum(axis=1)
        at = np.clip(after, 1, minutes.size - 1)
        rows = np.arange(gained.shape[0])
        low, high = gained[rows, at - 1], gained[rows, at]
        with np.errstate(divide="ignore", invalid="ignore"):
            found = minutes[at - 1] + 0.5 * np.clip((work - low) / (high - low), 0.0, 1.0)
        return np.where(after >= minutes.size, np.inf, found)

    def ready_window(self, target_level: float) -> tuple[float, float, float]:
        """Minutes after application until the target: (early, likely, late) = 10, 50, 90 %; infinity for never."""
        early, likely, late = np.sort(self._times(target_level))[_RANKS].tolist()
        return early, likely, late

    def chance_by(self, target_level: float, minutes: float) -> float:
        """Chance, 0 to 1, that the lane has reached a level by so many minutes after its application."""
        return float(np.mean(self._times(target_level) <= minutes))


@dataclass(frozen=True, slots=True)
class Belief:
    """Log deviations of every lane from its expected factors: (extent, rate) lane by lane.

    Args:
        lanes: n lanes. mean: shape (2n,). covariance: shape (2n, 2n).
    """

    lanes: tuple[LaneKinetics, ...]
    mean: Floats
    covariance: Floats

    def factors(self, lane: int) -> LiftFactors:
        """Most likely factors of a lane."""
        extent, rate = np.exp(self.mean[2 * lane : 2 * lane + 2])
        base = self.lanes[lane].factors
        return LiftFactors(
            extent=float(np.clip(base.extent * extent, 0.2, 2.0)),
            rate=float(np.clip(base.rate * rate, 0.2, 5.0)),
        )

    def outlook(self, lane: int) -> Outlook:
        """What the belief says of one lane, to be asked many things."""
        block = slice(2 * lane, 2 * lane + 2)
        root = np.linalg.cholesky(self.covariance[block, block] + 1e-12 * np.eye(2))
        logs = self.mean[block] + _POINTS @ root.T
        base = self.lanes[lane].factors
        return Outlook(self.lanes[lane], base.extent * np.exp(logs[:, 0]), base.rate * np.exp(logs[:, 1]))


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
    extent, rate, start = _points(belief)
    dries = np.array([dries_from_by(c) for c in coverings])
    found = np.zeros((n, 3))
    for minutes, columns in ((last_min, (0, 1)), (first_min, (2,))):
        worked = working_minutes(np.maximum(minutes, 0.0), dries[:, 0], dries[:, 1])
        gained = np.sort(extent * share_done(scaled_time(worked[:, None], rate)), axis=1)[:, _RANKS]
        found[:, columns] = effort_to_level(start[:, None] + gained)[:, columns]
    return found


def _points(belief: Belief) -> tuple[Floats, Floats, Floats]:
    """Effort in the end and rate of every lane's equally likely pairs, shape (n, 157), and start efforts (n,)."""
    n = len(belief.lanes)
    blocks = belief.covariance.reshape(n, 2, n, 2)[np.arange(n), :, np.arange(n), :]
    roots = np.linalg.cholesky(blocks + 1e-12 * np.eye(2))
    logs = belief.mean.reshape(n, 1, 2) + _POINTS @ roots.transpose(0, 2, 1)
    base = np.array([(ln.factors.extent, ln.factors.rate, ln.course.terms[0].capacity) for ln in belief.lanes])
    starts = level_to_effort(np.array([ln.start_level for ln in belief.lanes]))
    return base[:, :1] * np.exp(logs[..., 0]) * base[:, 2:], base[:, 1:2] * np.exp(logs[..., 1]), starts


def ready_windows(belief: Belief, targets: Sequence[float], coverings: Sequence[Covering] | None = None) -> Floats:
    """Every lane's (early, likely, late) minutes to its target, as `Outlook.ready_window` has them; shape (n, 3).

    For lanes with one application that nothing happens to but drying under its covering.
    """
    if not belief.lanes:
        return np.zeros((0, 3))
    extent, rate, starts = _points(belief)
    work = (level_to_effort(np.asarray(targets, dtype=float)) - starts)[:, None]
    times = np.where(work <= 0.0, 0.0, minutes_for_share(work / extent, rate))
    if coverings is not None:
        drying = np.array([dries_from_by(c) for c in coverings])
        times = minutes_of_work(times, drying[:, :1], drying[:, 1:])
    ordered: Floats = np.sort(times, axis=1)[:, _RANKS]
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
    covariance = np.zeros((2 * n, 2 * n))
    covariance[0::2, 0::2] = HEAD_EXTENT_STD**2 + ZONE_EXTENT_STD**2 * together
    covariance[1::2, 1::2] = HEAD_RATE_STD**2 + ZONE_RATE_STD**2 * together
    return Belief(lanes=lanes, mean=np.zeros(2 * n), covariance=covariance)
