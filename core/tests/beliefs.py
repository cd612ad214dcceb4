"""Beliefs with what a test does not ask about held still, and fine grids to hold them against."""

from collections.abc import Callable, Sequence
from dataclasses import replace

import numpy as np

from fervens_core.lift import Belief, LaneKinetics, Reading, mode_bias, prior

EXTENT, RATE, START, CEILING = range(4)
STILL = 1e-10


def held(belief: Belief, *, free: Sequence[int] = (EXTENT, RATE)) -> Belief:
    """The belief where only some unknowns of every lane are not known; the law is the truth."""
    places = [belief.block(i).start + k for i in range(len(belief.lanes)) for k in free]
    covariance = STILL * np.eye(belief.mean.size)
    covariance[np.ix_(places, places)] = belief.covariance[np.ix_(places, places)]
    return replace(belief, covariance=covariance)


def known(*lanes: LaneKinetics, free: Sequence[int] = (EXTENT, RATE)) -> Belief:
    """What is believed of lanes before any reading, held so."""
    return held(prior(lanes), free=free)


def own(belief: Belief, places: Sequence[int], lane: int = 0) -> tuple[np.ndarray, np.ndarray]:
    """Means and spreads of some unknowns of a lane."""
    at = belief.block(lane).start + np.array(places)
    return belief.mean[at], np.sqrt(np.diag(belief.covariance))[at]


def on_grid(
    stds: Sequence[float],
    log_likelihood: Callable[..., np.ndarray],
    *,
    points: int = 121,
    reach: float = 4.5,
) -> tuple[np.ndarray, np.ndarray]:
    """Means and spreads of a posterior with a Gaussian prior of these spreads, by summing over a fine grid."""
    axes = np.meshgrid(*(np.linspace(-reach, reach, points) * s for s in stds), indexing="ij")
    density = log_likelihood(*axes) - 0.5 * sum((x / s) ** 2 for x, s in zip(axes, stds, strict=True))
    weight = np.exp(density - density.max())
    weight /= weight.sum()
    means = np.array([(weight * x).sum() for x in axes])
    return means, np.sqrt([(weight * (x - m) ** 2).sum() for x, m in zip(axes, means, strict=True)])


def as_read(reading: Reading, level: np.ndarray) -> np.ndarray:
    """Log chance of a reading of hair of some levels, by an eye without a bias of its own."""
    return np.asarray(-0.5 * ((reading.level - mode_bias(reading.mode) - level) / reading.level_std) ** 2)
