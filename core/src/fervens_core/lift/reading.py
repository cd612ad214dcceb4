"""A level read on a lane: how it was looked at, by whom, and how sure that is. docs/models/readings.md."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import LEVEL_MAX, LEVEL_MIN, check_level, check_range
from fervens_core.head import ReadingMode

DARK_LIGHTENER_SPREAD = 1.6
"""[MODEL] a blue or charcoal lightener hides the level: readings through it spread this much more."""
ROUNDING_STD, ROUNDING_LEVELS = 0.5 / 12.0**0.5, 0.25
"""Readings are given in half levels: spread of the rounding, and how far its edge lies off."""
EYE_BIAS_STD = 0.25
"""[MODEL] how far eyes are off, levels, before anything is known of one."""
INSTRUMENT_STD = 0.15
"""[MODEL] spread of the level an instrument gives, levels."""
SOMEONE = "someone"
"""Whoever read where nobody wrote down who."""

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


@dataclass(frozen=True, slots=True)
class Reading:
    """A level read on one lane.

    Args:
        lane: index of the lane. minutes: since its application, min, 0 to 240; at 0 it teaches the start.
        level: 1 to 10, as seen. mode: how. is_through_dark: read with a dark lightener on the hair.
        eye: whose; readings of one eye are off together. Empty for an instrument, or where that is not asked.
        eye_bias, eye_bias_std: levels that eye is known to read too light, and how sure that is.
        spread: of that eye, levels; None for the mode's own. is_rounded: given in half levels.
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
    is_rounded: bool = True

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
    def own_spread(self) -> float:
        """Spread of the eye in levels, whatever lies on the hair."""
        return mode_std(self.mode) if self.spread is None else self.spread

    @property
    def eye_std(self) -> float:
        """Spread of the eye in levels, before rounding."""
        spread = self.own_spread
        return spread * DARK_LIGHTENER_SPREAD if self.is_through_dark and self.mode is not ReadingMode.DRY else spread

    @property
    def level_std(self) -> float:
        """Spread of the reading in levels, rounding to halves included."""
        return float(np.hypot(self.eye_std, ROUNDING_STD)) if self.is_rounded else self.eye_std


CONDENSED_FROM, CONDENSED_MIN = 24, 2.5
"""A lane with more readings than anyone takes has those of one eye within so many minutes of each other told as one."""


def condensed(readings: Sequence[Reading]) -> tuple[Reading, ...]:
    """Readings of lanes that have very many, those of a kind close together told as their mean, with its spread.

    What they teach together stays the same: independent errors, a lift that is nearly straight over so short a time.
    """
    counts = Counter(r.lane for r in readings)
    if not counts or max(counts.values()) <= CONDENSED_FROM:
        return tuple(readings)
    found: list[Reading] = []
    alike: dict[tuple[object, ...], list[Reading]] = {}
    for r in readings:
        if counts[r.lane] <= CONDENSED_FROM:
            found.append(r)
            continue
        kind = (r.lane, r.mode, r.is_through_dark, r.eye, r.eye_bias, r.eye_bias_std, r.spread, r.is_rounded)
        alike.setdefault((*kind, r.is_at_end, int(r.minutes / CONDENSED_MIN)), []).append(r)
    for some in alike.values():
        first = some[0]
        if len(some) == 1 or first.is_at_end:
            found.append(first)  # saying again that it is past the end says nothing more
            continue
        found.append(
            replace(
                first,
                minutes=float(np.mean([r.minutes for r in some])),
                level=float(np.mean([r.level for r in some])),
                spread=first.level_std / float(np.sqrt(len(some))),
                is_rounded=False,
                is_through_dark=False,
            )
        )
    return tuple(found)
