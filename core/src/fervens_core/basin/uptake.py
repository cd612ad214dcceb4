"""How much dye this head takes: what a probe says, and what rinsed strands teach, each of all. docs/models/toner.md.

Joint Gaussian belief about the logarithm of uptake: a part of the head's, a part of each zone's.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from fervens_core.base import Floats, LimitError, say
from fervens_core.log import Grab

HEAD_STD, ZONE_STD = 0.20, 0.15
"""[MODEL] spread of log uptake among heads, and among zones of one head, around their porosity's."""
STRAND_STD = 0.15
"""[MODEL] spread of one look at a rinsed strand, in log deposit."""
LEAST_ON_MIN = 0.5
"""[MODEL] a strand is never judged as if toner had been on for less: a look shown and a look read go by the same."""
GRAB_FACTOR = {Grab.LITTLE: 0.75, Grab.EVEN: 1.0, Grab.MUCH: 1.45}
"""[MODEL] uptake beside what the porosity read would have, by how the violet shampoo took."""
PROBE_ASH = {Grab.LITTLE: 0.02, Grab.EVEN: 0.05, Grab.MUCH: 0.14}
"""[MODEL] how much of a strong ash rest the probe itself leaves, 0 to 1."""
_Z80 = 1.2815515655446004


@dataclass(frozen=True, slots=True)
class UptakeSeen:
    """A strand of one zone: seen deposit over expected deposit.

    Args:
        index: of the zone. ratio: above 0.
    """

    index: int
    ratio: float

    def __post_init__(self) -> None:
        if not self.ratio > 0.0:
            raise LimitError("ratio", say("limit-above_zero"), self.ratio)


@dataclass(frozen=True, slots=True)
class Uptake:
    """Uptake of a zone beside what is expected of it: likely, and with 10 % less or more."""

    little: float
    likely: float
    much: float


def learn_uptake(count: int, seen: Sequence[UptakeSeen]) -> tuple[Uptake, ...]:
    """What some strands teach of every zone's uptake.

    Args:
        count: of zones, at least 1.
    Returns:
        one for each zone, 10, 50 and 90 % quantiles.
    """
    spread = HEAD_STD**2 * np.ones((count, count)) + ZONE_STD**2 * np.eye(count)
    mean: Floats = np.zeros(count)
    if seen:
        looks = np.zeros((len(seen), count))
        looks[np.arange(len(seen)), [s.index for s in seen]] = 1.0
        noise = STRAND_STD**2 * np.eye(len(seen))
        gain = spread @ looks.T @ np.linalg.inv(looks @ spread @ looks.T + noise)
        mean = gain @ np.log([s.ratio for s in seen])
        spread = spread - gain @ looks @ spread
    std = np.sqrt(np.diag(spread))
    low, high = np.exp(mean - _Z80 * std), np.exp(mean + _Z80 * std)
    return tuple(Uptake(float(a), float(b), float(c)) for a, b, c in zip(low, np.exp(mean), high, strict=True))
