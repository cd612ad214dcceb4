"""The constants of lift: fitted to the bench trial, beside a law of one stage with as many constants; and their speed.

Run: bin/bench lift. How it could be wrong: one head, read by eye, its spreads ours; the effort scale was fitted to the
same trial before and is held here; 14 readings, 3 constants.
"""

from __future__ import annotations

import time
from collections.abc import Callable, Sequence

import numpy as np
from scipy.optimize import least_squares

from fervens_core.head import Hair, Lightener, Zone
from fervens_core.lift import (
    CAPACITY_BASE,
    CAPACITY_PER_VOLUME,
    TIME_CONSTANT_MIN,
    TRIAL,
    TRIAL_START_LEVEL,
    LaneKinetics,
    Outlook,
    effort_to_level,
    level_to_effort,
    prior,
    residuals,
    share_done,
    zone_factors,
)

Law = Callable[[float], float]
LANES, MINUTES, REPEATS = 12, 180, 41
RANKS = [16, 78, 140]


def one_stage(scaled: float) -> float:
    """Oxidises at once: the law before this one."""
    return float(-np.expm1(-scaled))


def two_stages(scaled: float) -> float:
    """Soaks in, then oxidises: the core's."""
    return float(share_done(scaled))


def level(constants: Sequence[float], law: Law, volume: float, minutes: float) -> float:
    """Level after (vol, min) on the trial's hair with base, slope and time constant."""
    base, slope, tau = constants
    effort = float(level_to_effort(TRIAL_START_LEVEL)) + (base + slope * volume) * law(minutes / tau)
    return float(effort_to_level(effort))


def fitted(law: Law, start: tuple[float, float, float]) -> tuple[np.ndarray, float]:
    """Constants of the least chi squared, and that."""
    found = least_squares(lambda c: residuals(lambda v, t: level(c, law, v, t)), start)
    return found.x, 2.0 * float(found.cost)


def curves_ms() -> tuple[float, float]:
    """Median ms of the bands of 12 lanes over 180 min, 157 points each: by the law of one stage, and the core's."""
    powder = Lightener("p", "Powder", 1.5, 50)
    factors = zone_factors(Zone("z", "Zone", Hair(3.0), 9.0), powder)
    belief = prior(tuple(LaneKinetics(3.0 + i / 4, 20.0, factors) for i in range(LANES)))
    outlooks = [belief.outlook(i) for i in range(LANES)]
    minutes = np.arange(float(MINUTES))

    def by_one_stage(outlook: Outlook) -> np.ndarray:
        scaled = outlook.rate[:, None] * outlook.kinetics.course.terms[0].worked_by(minutes) / 16.0
        gained = outlook.extent[:, None] * (5.3 * -np.expm1(-scaled))
        ordered = np.partition(gained, RANKS, axis=0)[RANKS]
        return np.asarray(effort_to_level(outlook.kinetics.start_effort + ordered))

    spent: tuple[list[float], list[float]] = ([], [])
    for _ in range(REPEATS):
        for kept, bands in zip(spent, (by_one_stage, lambda o: o.level_bands(minutes)), strict=True):
            began = time.perf_counter()
            for outlook in outlooks:
                bands(outlook)
            kept.append((time.perf_counter() - began) * 1000.0)
    return float(np.median(spent[0])), float(np.median(spent[1]))


def main() -> None:
    """Print the table."""
    held = (CAPACITY_BASE, CAPACITY_PER_VOLUME, TIME_CONSTANT_MIN)
    print("base + slope x vol, tau (min), chi squared over 14 readings:")
    for name, law, start in (("one stage", one_stage, (2.9, 0.12, 16.0)), ("two stages", two_stages, (2.9, 0.12, 9.0))):
        constants, chi = fitted(law, start)
        print(f"  {name:<24} {constants[0]:5.2f} + {constants[1]:.3f} vol, {constants[2]:5.2f}   {chi:5.2f}")
    off = residuals(lambda v, t: level(held, two_stages, v, t))
    chi = sum(r * r for r in off)
    print(f"  {'two stages, as held':<24} {held[0]:5.2f} + {held[1]:.3f} vol, {held[2]:5.2f}   {chi:5.2f}")
    print("vol, min, read, law, off in spreads:")
    for r, away in zip(TRIAL, off, strict=True):
        told = level(held, two_stages, r.volume_strength, r.minutes)
        print(f"  {r.volume_strength:4.0f} {r.minutes:4.0f} {r.level:5.1f} {told:6.2f} {away:+6.2f}")
    one, two = curves_ms()
    print(f"Bands of {LANES} lanes x 157 points x {MINUTES} min, ms: one stage {one:.1f}, two stages {two:.1f}")


if __name__ == "__main__":
    main()
