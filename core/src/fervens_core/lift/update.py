"""The update of the belief: every reading of a head taken together. docs/models/readings.md.

A Gauss-Newton fit with the curvature at its end as spread (Laplace). What is not known of an eye is one more unknown
that all its readings share.
"""

from __future__ import annotations

import math
from collections.abc import Sequence

import numpy as np

from fervens_core.base import LEVEL_MAX, Floats
from fervens_core.head import ReadingMode
from fervens_core.lift.belief import ROUNDING_LEVELS, Belief, LaneKinetics, Reading
from fervens_core.lift.kinetics import (
    EFFORT_PER_LEVEL,
    effort_to_level,
    level_to_effort,
    scaled_time,
    share_done,
    share_pace,
)

ITERATIONS_MAX = 25
_SLOPE_LAST = 1.0 / EFFORT_PER_LEVEL[-1]


def _unclipped_level(effort: Floats) -> Floats:
    """Level of an effort, going on above 10 with the last slope so that a gradient is left there."""
    top = level_to_effort(LEVEL_MAX)
    return effort_to_level(np.minimum(effort, top)) + np.maximum(effort - top, 0.0) * _SLOPE_LAST


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


def learn(before: Belief, readings: tuple[Reading, ...]) -> Belief:
    """The belief after readings, all taken together (their order does not matter).

    Args:
        before: the belief they update. readings: any number, of any of its lanes.
    Returns:
        the new belief; with no readings, the same.
    10 is "10 or more" and 1 "1 or less": they say on which side of their rounding edge the hair is, no more.
    Accuracy: Laplace's; held against a fine grid on one and two lanes in the tests.
    """
    if not readings:
        return before
    index = np.array([r.lane for r in readings])
    seen = np.array([r.level - r.bias for r in readings])
    ends, std = np.array([r.is_at_end for r in readings]), np.array([r.level_std for r in readings])
    std = np.where(ends == 0, std, np.array([r.eye_std for r in readings]))  # the edge stands for the rounding
    capacities, worked = _work_done(before.lanes, readings)
    full = np.array([ln.factors.extent for ln in before.lanes])[index]
    rate0 = np.array([ln.factors.rate for ln in before.lanes])[index]
    start = np.array([ln.start_effort for ln in before.lanes])[index]
    own = before.mean.size
    eyes = _unsure_eyes(readings)
    precision = np.zeros((own + len(eyes), own + len(eyes)))
    precision[:own, :own] = np.linalg.inv(before.covariance)
    precision[range(own, own + len(eyes)), range(own, own + len(eyes))] = [std**-2.0 for std in eyes.values()]
    at_eye = np.array([own + list(eyes).index((r.eye, r.mode)) if (r.eye, r.mode) in eyes else -1 for r in readings])
    mean = np.concatenate([before.mean, np.zeros(len(eyes))])
    has_eye = at_eye >= 0

    def predict(x: Floats) -> tuple[Floats, Floats, Floats]:
        extent, rate = full * np.exp(x[2 * index]), rate0 * np.exp(x[2 * index + 1])
        scaled = scaled_time(worked, rate[:, None])
        done = (capacities * share_done(scaled)).sum(axis=1)
        pace = capacities * share_pace(scaled)
        effort = start + extent * done
        slope = (_unclipped_level(effort + 1e-4) - _unclipped_level(effort - 1e-4)) / 2e-4
        return (
            _unclipped_level(effort) + np.where(has_eye, x[at_eye], 0.0),
            slope * extent * done,
            slope * extent * (pace * scaled).sum(axis=1),
        )

    def cost(x: Floats) -> float:
        step = x - mean
        return float(step @ precision @ step + _pull(seen, predict(x)[0], std, ends)[0].sum())

    x = mean.copy()
    rows = np.arange(index.size)
    for _ in range(ITERATIONS_MAX):
        level, by_extent, by_rate = predict(x)
        jacobian = np.zeros((index.size, x.size))
        jacobian[rows, 2 * index] = by_extent
        jacobian[rows, 2 * index + 1] = by_rate
        jacobian[rows[has_eye], at_eye[has_eye]] = 1.0
        _, pull, bend = _pull(seen, level, std, ends)
        curvature = precision + jacobian.T @ (bend[:, None] * jacobian)
        gradient = jacobian.T @ pull - precision @ (x - mean)
        step = np.linalg.solve(curvature, gradient)
        size, here = 1.0, cost(x)
        while size > 1e-3 and cost(x + size * step) > here:
            size /= 2.0
        x = x + size * step
        if float(np.max(np.abs(size * step))) < 1e-7:
            break
    spread = np.asarray(np.linalg.inv(curvature), dtype=np.float64)[:own, :own]
    return Belief(lanes=before.lanes, mean=x[:own], covariance=spread)


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


def _unsure_eyes(readings: Sequence[Reading]) -> dict[tuple[str, ReadingMode], float]:
    """Eyes whose bias is not known exactly, each in its ways of reading, and how unsure that is, levels."""
    return {(r.eye, r.mode): r.eye_bias_std for r in readings if r.eye and r.eye_bias_std > 0.0}
