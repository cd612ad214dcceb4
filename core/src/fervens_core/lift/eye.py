"""A technician's eye, learnt from pairs: what was said of hair that an instrument, or a better look, read as well.

A pair is one level as an eye gave it and the level the hair was known to have. Bias and spread of an eye are learnt for
each way of reading; both start from what readings of that kind are like. docs/models/readings.md.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from fervens_core.base import check_level, check_range
from fervens_core.head import ReadingMode
from fervens_core.lift.reading import EYE_BIAS_STD, ROUNDING_STD, mode_bias, mode_std

SPREAD_WEIGHT_PAIRS = 8.0
"""[MODEL] the spread of readings of a kind counts as so many pairs."""
SWATCH_STD = 0.15
"""[MODEL] how sure a level is that stands printed on a swatch."""
OUTLIER_LEVELS = 2.0
"""[MODEL] a pair that is farther off is a slip of the finger, or another strand: it counts as so far off."""


@dataclass(frozen=True, slots=True)
class EyePair:
    """One level as an eye gave it, and as the hair is known to be.

    Args:
        mode: how the eye looked. seen, known: levels, 1 to 10. known_std: how sure that is, 0 to 2 levels.
        weight: of weak evidence less than 1, 0.05 to 1.
    """

    mode: ReadingMode
    seen: float
    known: float
    known_std: float = 0.0
    weight: float = 1.0

    def __post_init__(self) -> None:
        check_level("seen", self.seen)
        check_level("known", self.known)
        check_range("known_std", self.known_std, 0.0, 2.0)
        check_range("weight", self.weight, 0.05, 1.0)

    @property
    def is_censored(self) -> bool:
        """10 is "10 or more", 1 is "1 or less": an eye cannot be off beyond the scale."""
        return self.seen >= 10.0 or self.seen <= 1.0


@dataclass(frozen=True, slots=True)
class Eye:
    """One eye in one way of reading.

    Args:
        bias: levels it reads too light (positive) beside what that way of reading does to everyone. bias_std: how
        sure that is. spread: of its readings, levels, before rounding. pairs: that taught it.
    """

    bias: float
    bias_std: float
    spread: float
    pairs: int

    @property
    def is_calibrated(self) -> bool:
        """Whether its bias is known to 0.15 level: then advice is as good as the model (docs/models/readings.md)."""
        return self.bias_std <= 0.15


def unknown_eye(mode: ReadingMode) -> Eye:
    """An eye nothing is known of."""
    return Eye(0.0, EYE_BIAS_STD, mode_std(mode), 0)


def learn_eye(mode: ReadingMode, pairs: Sequence[EyePair]) -> Eye:
    """What pairs of one way of reading teach of an eye.

    Args:
        mode: how it looked; pairs of other modes are left out, and those at the ends of the scale.
    Returns:
        its bias as the mean of a Gaussian posterior, its spread from the pairs around that, both beside their priors.
    """
    own = [p for p in pairs if p.mode is mode and not p.is_censored]
    if not own:
        return unknown_eye(mode)
    off = np.clip([p.seen - mode_bias(mode) - p.known for p in own], -OUTLIER_LEVELS, OUTLIER_LEVELS)
    weight = np.array([p.weight for p in own])
    extra = ROUNDING_STD**2 + np.array([p.known_std**2 for p in own])
    spread, bias, precision = mode_std(mode), 0.0, 1.0 / EYE_BIAS_STD**2
    for _ in range(20):
        each = weight / (spread**2 + extra)
        precision = float(each.sum()) + 1.0 / EYE_BIAS_STD**2
        bias = float((each * off).sum()) / precision
        seen = weight * ((off - bias) ** 2 - extra)
        total = SPREAD_WEIGHT_PAIRS + float(weight.sum())
        spread = float(np.sqrt(max((SPREAD_WEIGHT_PAIRS * mode_std(mode) ** 2 + float(seen.sum())) / total, 0.05**2)))
    return Eye(bias, float(precision**-0.5), spread, len(own))
