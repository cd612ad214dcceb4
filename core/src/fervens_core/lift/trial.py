"""The bench trial that the constants of lift are fitted to. docs/models/lift.md."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class TrialReading:
    """One reading of the trial: a strand of vol after min, the level read by eye, and how sure that is in levels."""

    volume_strength: float
    minutes: float
    level: float
    level_std: float


TRIAL_START_LEVEL = 3.0
TRIAL: tuple[TrialReading, ...] = (
    TrialReading(10, 10, 4.0, 0.5),
    TrialReading(10, 20, 6.3, 0.7),
    TrialReading(10, 40, 7.0, 0.4),
    TrialReading(10, 50, 7.0, 0.4),
    TrialReading(20, 10, 5.0, 0.8),
    TrialReading(20, 40, 8.0, 0.4),
    TrialReading(20, 50, 8.0, 0.4),
    TrialReading(30, 10, 5.0, 0.5),
    TrialReading(30, 40, 8.5, 0.5),
    TrialReading(30, 50, 8.8, 0.4),
    TrialReading(40, 10, 5.2, 0.6),
    TrialReading(40, 20, 7.8, 0.4),
    TrialReading(40, 40, 8.7, 0.5),
    TrialReading(40, 50, 9.3, 0.4),
)
"""One straight head of level 3, foil, room temperature, 1:1.5 (common practice, no source). The spreads are ours: 0.4
where a level was named, 0.5 to 0.8 where it was told in words ("about", "nearly two", "red-orange")."""


def residuals(level_of: Callable[[float, float], float]) -> tuple[float, ...]:
    """How far a law is from each reading, in spreads of it.

    Args:
        level_of: the law: level after (vol, min) on the trial's hair.
    """
    return tuple((level_of(r.volume_strength, r.minutes) - r.level) / r.level_std for r in TRIAL)
