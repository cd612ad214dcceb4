"""The update of the belief: every reading of a head taken together. docs/models/readings.md.

A Gauss-Newton fit with the curvature at its end as spread (Laplace). What is not known of an eye is one more unknown
that all its readings share. Readings that do not fit widen what is believed of their lane.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.lift.belief import Belief, EyeKey, lane_block
from fervens_core.lift.kinetics import (
    CEILING_BEND,
    CEILING_ROOM_LEAST,
    capped,
    going_effort,
    going_level,
    scaled_time,
    share_done,
    share_pace,
)
from fervens_core.lift.outlook import HEAD_UNKNOWNS, LANE_UNKNOWNS, LaneKinetics, departure_shares
from fervens_core.lift.reading import ROUNDING_LEVELS, Reading

ITERATIONS_MAX, STEP_LEAST, GAIN_LEAST = 25, 1e-6, 1e-7
"""It is done where the unknowns stand still, or where what is gained by a step is nothing beside chance: the effort
table has kinks, at which steps would shrink on and on."""
SLIP_SPREADS, SLIP_TIMES = 3.0, 4.0
"""[MODEL] a reading so many spreads from all the others, which says that hair has darkened while the others fit without
it, is a slip of the finger: it spreads so much more, until it is read again."""
MISFIT_PRIOR_READINGS = 8.0
"""[MODEL] that readings fit as they should counts as so many readings."""
MISFIT_LEAST = 1.3
"""[MODEL] squared spreads that are less than so much larger than they should be are chance."""
_STEP = 1e-4


@dataclass(frozen=True, slots=True)
class _Seen:
    """Readings as arrays of shape (r,), with what they were read of.

    Args:
        seen: as read, less the bias. std: of that. ends: 1 for "10 or more", -1 for "1 or less", else 0.
        lane: its index. eye: place of its eye among the unknowns, -1 for none.
        capacity, worked: application by application, shape (r, k). shape: of a head's departures, shape (r, 3).
    """

    seen: Floats
    std: Floats
    ends: Floats
    lane: np.ndarray
    eye: np.ndarray
    capacity: Floats
    worked: Floats
    extent: Floats
    rate: Floats
    start: Floats
    ceiling: Floats
    shape: Floats

    def predict(self, x: Floats) -> tuple[Floats, Floats]:
        """Levels that unknowns predict, shape (r,), and their slopes by each unknown, shape (r, unknowns)."""
        rows, first = np.arange(self.lane.size), HEAD_UNKNOWNS + LANE_UNKNOWNS * self.lane
        extent, rate = self.extent * np.exp(x[first]), self.rate * np.exp(x[first + 1])
        scaled = scaled_time(self.worked, rate[:, None])
        done = (self.capacity * share_done(scaled)).sum(axis=1)
        pace = (self.capacity * share_pace(scaled) * scaled).sum(axis=1)
        gained = extent * done
        start_level = self.start + x[first + 2]
        start = going_effort(start_level)
        has_ceiling = np.isfinite(self.ceiling)
        ceiling = np.where(has_ceiling, self.ceiling + x[first + 3], 0.0)
        free = np.where(has_ceiling, going_effort(ceiling) - start, np.inf)
        room = np.maximum(free, CEILING_ROOM_LEAST)
        left = capped(gained, room)
        by_gain = (1.0 + (gained / room) ** CEILING_BEND) ** (-1.0 / CEILING_BEND - 1.0)
        by_room = np.where(has_ceiling & (free > CEILING_ROOM_LEAST), (left - gained * by_gain) / room, 0.0)
        effort = start + left
        slope = (going_level(effort + _STEP) - going_level(effort - _STEP)) / (2.0 * _STEP)
        by_start = (going_effort(start_level + _STEP) - going_effort(start_level - _STEP)) / (2.0 * _STEP)
        by_ceiling = (going_effort(ceiling + _STEP) - going_effort(ceiling - _STEP)) / (2.0 * _STEP)
        jacobian = np.zeros((self.lane.size, x.size))
        jacobian[:, :HEAD_UNKNOWNS] = self.shape
        jacobian[rows, first] = slope * by_gain * gained
        jacobian[rows, first + 1] = slope * by_gain * extent * pace
        jacobian[rows, first + 2] = slope * by_start * (1.0 - by_room)
        jacobian[rows, first + 3] = slope * by_room * by_ceiling
        has_eye = self.eye >= 0
        jacobian[rows[has_eye], self.eye[has_eye]] = 1.0
        departures = self.shape @ x[:HEAD_UNKNOWNS]
        return going_level(effort) + departures + np.where(has_eye, x[self.eye], 0.0), jacobian


def _work_done(lanes: tuple[LaneKinetics, ...], readings: tuple[Reading, ...]) -> tuple[Floats, Floats]:
    """For each reading, application by application: its capacity and the minutes it has worked; shape (r, k) each."""
    courses = {r.lane: lanes[r.lane].course.terms for r in readings}
    most = max(len(terms) for terms in courses.values())
    capacities, worked = np.zeros((len(readings), most)), np.zeros((len(readings), most))
    minutes = np.array([r.minutes for r in readings])
    index = np.array([r.lane for r in readings])
    for lane, terms in courses.items():
        here = index == lane
        for k, term in enumerate(terms):
            capacities[here, k] = term.capacity
            worked[here, k] = term.worked_by(minutes[here])
    return capacities, worked


def _as_arrays(lanes: tuple[LaneKinetics, ...], readings: tuple[Reading, ...], eyes: Sequence[EyeKey]) -> _Seen:
    ends = np.array([r.is_at_end for r in readings])
    std = np.array([r.level_std for r in readings])
    first = lane_block(len(lanes)).start
    capacity, worked = _work_done(lanes, readings)
    own = [lanes[r.lane] for r in readings]
    places = {key: first + i for i, key in enumerate(eyes)}
    return _Seen(
        seen=np.array([r.level - r.bias for r in readings]),
        std=np.where(ends == 0, std, np.array([r.eye_std for r in readings])),  # the edge stands for the rounding
        ends=ends,
        lane=np.array([r.lane for r in readings]),
        eye=np.array([places.get((r.eye, r.mode), -1) for r in readings]),
        capacity=capacity,
        worked=worked,
        extent=np.array([ln.factors.extent for ln in own]),
        rate=np.array([ln.factors.rate for ln in own]),
        start=np.array([ln.start_level for ln in own]),
        ceiling=np.array([ln.factors.ceiling for ln in own]),
        shape=departure_shares(np.array([r.minutes for r in readings])),
    )


def learn(before: Belief, readings: tuple[Reading, ...]) -> Belief:
    """The belief after readings, all taken together (their order does not matter); a slip among them counts little.

    Otherwise as `_fitted`.
    """
    found, off = _fitted(before, readings)
    slip = _slip(readings, off)
    if slip is None:
        return found
    wide = replace(readings[slip], spread=SLIP_TIMES * readings[slip].own_spread)
    without, rest = _fitted(before, (*readings[:slip], wide, *readings[slip + 1 :]))
    if float(np.abs(np.delete(rest, slip)).max()) > SLIP_SPREADS:
        return found  # the others do not fit without it either
    return replace(without, misfits=found.misfits)


def _slip(readings: tuple[Reading, ...], off: Floats) -> int | None:
    """The reading that fits least, where it says that its lane has darkened, which no hair does; None for none."""
    if not readings:
        return None
    worst = int(np.argmax(np.abs(off)))
    if abs(float(off[worst])) <= SLIP_SPREADS:
        return None
    one = readings[worst]
    return worst if any(_darkens(one, r) for r in readings if r is not one and r.lane == one.lane) else None


def _darkens(one: Reading, other: Reading) -> bool:
    """Whether two readings of a lane say that it got darker with time, by more than twice their spread."""
    first, last = sorted((one, other), key=lambda r: r.minutes)
    fell = (first.level - first.bias) - (last.level - last.bias)
    return fell > 2.0 * float(np.hypot(first.level_std, last.level_std))


def _fitted(before: Belief, readings: tuple[Reading, ...]) -> tuple[Belief, Floats]:
    """The belief that fits readings best, and how far off each of them is, in spreads.

    Args:
        before: the belief they update. readings: any number, of any of its lanes.
    Returns:
        the new belief; with no readings, the same.
    10 is "10 or more" and 1 "1 or less": they say on which side of their rounding edge the hair is, no more.
    Accuracy: Laplace's; held against a fine grid on one and two lanes in the tests.
    """
    if not readings:
        return before, np.zeros(0)
    unsure = {(r.eye, r.mode): r.eye_bias_std for r in readings if r.eye and r.eye_bias_std > 0.0}
    more = {key: std for key, std in unsure.items() if key not in before.eyes}
    eyes, own = (*before.eyes, *more), before.mean.size
    covariance = np.zeros((own + len(more), own + len(more)))
    covariance[:own, :own] = before.covariance
    covariance[range(own, own + len(more)), range(own, own + len(more))] = [std**2 for std in more.values()]
    mean = np.concatenate([before.mean, np.zeros(len(more))])
    precision = np.linalg.inv(covariance)
    seen = _as_arrays(before.lanes, readings, eyes)

    def weigh(x: Floats) -> tuple[float, Floats, Floats, Floats]:
        """What unknowns cost; how hard readings pull at them, how that bends, and the slopes."""
        step = x - mean
        level, jacobian = seen.predict(x)
        costs, pull, bend = _pull(seen.seen, level, seen.std, seen.ends)
        return float(step @ precision @ step + costs.sum()), pull, bend, jacobian

    x = mean.copy()
    here, pull, bend, jacobian = weigh(x)
    for _ in range(ITERATIONS_MAX):
        curvature = precision + jacobian.T @ (bend[:, None] * jacobian)
        gradient = jacobian.T @ pull - precision @ (x - mean)
        step = np.linalg.solve(curvature, gradient)
        size, there = 1.0, weigh(x + step)
        while size > 1e-3 and there[0] > here:
            size /= 2.0
            there = weigh(x + size * step)
        gained = here - there[0]
        x, (here, pull, bend, jacobian) = x + size * step, there
        if float(np.max(np.abs(size * step))) < STEP_LEAST or gained < GAIN_LEAST:
            break
    curvature = precision + jacobian.T @ (bend[:, None] * jacobian)
    spread = np.asarray(np.linalg.inv(curvature), dtype=np.float64)
    off = _off(seen, x, spread)
    n = len(before.lanes)
    misfits = np.zeros(n)
    np.maximum.at(misfits, seen.lane, np.abs(off))
    lanes = HEAD_UNKNOWNS + np.arange(LANE_UNKNOWNS * n).reshape(n, LANE_UNKNOWNS)[:, :3]
    strays = (np.abs(x[lanes]) / np.sqrt(np.diag(before.covariance)[lanes])).max(axis=1)
    fitted = Belief(
        lanes=before.lanes,
        mean=x,
        covariance=_widened(spread, seen, off, n),
        eyes=eyes,
        misfits=tuple(misfits.tolist()),
        strays=tuple(strays.tolist()),
    )
    return fitted, off


def _off(seen: _Seen, x: Floats, spread: Floats) -> Floats:
    """How far each reading is from what all the others say of it, in spreads: leave-one-out, linearised."""
    level, jacobian = seen.predict(x)
    leverage = np.einsum("ri,ij,rj->r", jacobian, spread, jacobian) / seen.std**2
    off = (seen.seen - level) / (seen.std * np.sqrt(np.maximum(1.0 - leverage, 1e-3)))
    # readings at an end say no more than a side
    inside = seen.ends * (level - (seen.seen - seen.ends * ROUNDING_LEVELS)) / seen.std
    return np.asarray(np.where(seen.ends == 0, off, np.minimum(inside, 0.0)))


def _widened(spread: Floats, seen: _Seen, off: Floats, lanes: int) -> Floats:
    """The covariance, wider where readings do not fit: of the whole head, and more so of their lane."""

    def times(squares: Floats | float, count: Floats | float) -> Floats:
        ratio = (MISFIT_PRIOR_READINGS + np.asarray(squares)) / (MISFIT_PRIOR_READINGS + np.asarray(count))
        return np.where(ratio > MISFIT_LEAST, ratio, 1.0)

    squares, counts = np.zeros(lanes), np.zeros(lanes)
    np.add.at(squares, seen.lane, off**2)
    np.add.at(counts, seen.lane, 1.0)
    by_lane = np.maximum(times(squares, counts), times(float(squares.sum()), float(counts.sum())))
    scale = np.ones(spread.shape[0])
    scale[HEAD_UNKNOWNS : lane_block(lanes).start] = np.repeat(np.sqrt(by_lane), LANE_UNKNOWNS)
    return spread * np.outer(scale, scale)


def _pull(seen: Floats, level: Floats, std: Floats, ends: Floats) -> tuple[Floats, Floats, Floats]:
    """What each reading says of a level: minus twice its log chance, how hard it pulls, and how that bends.

    Args:
        seen, level: as read less its bias, and as predicted. std: of the reading. ends: 1 for "10 or more", -1 for
        "1 or less", 0 for a level as such.
    """
    off = (seen - level) / std
    cost, pull, bend = off**2, off / std, 1.0 / std**2
    if not ends.any():
        return cost, pull, bend
    # how far the predicted level is on the right side of the edge, in spreads
    inside = np.where(ends == 0, 0.0, ends * (level - (seen - ends * ROUNDING_LEVELS)) / std)
    log_chance = np.array([_log_normal_cdf(x) for x in inside])
    ratio = np.exp(-(inside**2) / 2.0 - 0.5 * math.log(2.0 * math.pi) - log_chance)
    return (
        np.where(ends == 0, cost, -2.0 * log_chance),
        np.where(ends == 0, pull, ends * ratio / std),
        np.where(ends == 0, bend, ratio * (ratio + inside) / std**2),
    )


def _log_normal_cdf(x: float) -> float:
    """Log of the standard normal's distribution function; far down by its asymptote."""
    if x < -8.0:
        return -(x**2) / 2.0 - math.log(-x) - 0.5 * math.log(2.0 * math.pi)
    return math.log(0.5 * math.erfc(-x / math.sqrt(2.0)))
