"""The chair of a 12-lane service: the board from its log, beside the same curves from a general ODE solver.

Run: bin/bench board
"""

from __future__ import annotations

import datetime as dt
import statistics
import time
from collections.abc import Callable

import numpy as np
from scipy.integrate import solve_ivp

from fervens_core.chair import Chair, head_belief, make_board
from fervens_core.head import Hair, Lightener, ReadingMode, Zone
from fervens_core.lift import QUANTILES, TIME_CONSTANT_MIN, Reading, departure_shares, going_level, learn, prior
from fervens_core.log import (
    ApplicationFinished,
    ApplicationStarted,
    ConsultationFinished,
    Event,
    PlanTaken,
    ReadingTaken,
    fold,
)

SEED, LANES, REPEATS = 20260301, 12, 15
START = dt.datetime(2026, 3, 1, 9, 0, tzinfo=dt.UTC)
POWDER = Lightener("p", "Powder", 1.5, label_max_min=50)


def twelve_lanes() -> tuple[list[Event], dict[str, Zone]]:
    """A log with all twelve zones on, each read twice."""
    rng = np.random.default_rng(SEED)
    zones = {
        f"z{i}": Zone(f"z{i}", f"Zone {i}", Hair(float(rng.integers(6, 11)) / 2), 8.0, foil_count=2)
        for i in range(LANES)
    }
    log: list[Event] = []

    def tell(minute: float, data: object) -> None:
        at = START + dt.timedelta(minutes=minute)
        log.append(Event(f"e{len(log)}", at, at, "Bench", data))  # type: ignore[arg-type]

    tell(0, ConsultationFinished())
    tell(1, PlanTaken(tuple(zones), (22.0,) * LANES, 60.0))
    for i, key in enumerate(zones):
        tell(2 + 3 * i, ApplicationStarted(key, 22.0))
        tell(4 + 3 * i, ApplicationFinished(key))
        for wait, level in ((8.0, 6.0), (14.0, 7.0)):
            tell(4 + 3 * i + wait + 0.01 * i, ReadingTaken(key, level, ReadingMode.RINSED_WET))
    return log, zones


def milliseconds(work: Callable[[], object]) -> tuple[float, float]:
    """First run and median of the others, ms."""
    times = []
    for _ in range(REPEATS):
        began = time.perf_counter()
        work()
        times.append((time.perf_counter() - began) * 1e3)
    return times[0], statistics.median(times[1:])


def main() -> None:
    """Print the table."""
    log, zones = twelve_lanes()
    now = START + dt.timedelta(minutes=52)

    def board() -> object:
        return make_board(Chair(fold(log), zones, POWDER, now))

    belief = head_belief(Chair(fold(log), zones, POWDER, now))
    minutes = np.arange(0.0, 49.0)

    def ours() -> list[np.ndarray]:
        return [belief.outlook(i).level_bands(minutes) for i in range(LANES)]

    def solver() -> list[np.ndarray]:
        bands = []
        for i in range(LANES):
            of, course = belief.outlook(i).of, belief.lanes[i].course.terms[0]
            rate, full, n = of.rate / TIME_CONSTANT_MIN, of.extent * course.capacity, of.rate.size

            def two_stages(
                _t: float, y: np.ndarray, r: np.ndarray = rate, f: np.ndarray = full, n: int = n
            ) -> np.ndarray:
                return np.concatenate([r * (1.0 - y[:n]), r * (f * y[:n] - y[n:])])

            worked = course.worked_by(minutes)
            solved = solve_ivp(
                two_stages, (0.0, 60.0), np.zeros(2 * n), t_eval=worked, rtol=1e-6, atol=1e-8,
            )  # fmt: skip
            levels = going_level(of.start[:, None] + solved.y[n:]) + of.shape @ departure_shares(minutes).T
            bands.append(np.clip(np.quantile(levels, QUANTILES, axis=0, method="nearest"), 1.0, 10.0))
        return bands

    forty = tuple(
        Reading(i % LANES, 6.0 + 3.0 * (i // LANES), 6.0 + 0.5 * (i // LANES), ReadingMode.WIPED) for i in range(40)
    )
    lanes = prior(belief.lanes)
    worst = max(float(np.max(np.abs(a - b))) for a, b in zip(ours(), solver(), strict=True))
    rows = [
        ("whole board (fold, belief, curves, windows, colours, advice)", *milliseconds(board)),
        ("belief alone, 40 readings", *milliseconds(lambda: learn(lanes, forty))),
        ("curves alone, closed form", *milliseconds(ours)),
        ("the same curves, scipy solve_ivp (RK45)", *milliseconds(solver)),
    ]
    print(
        f"{LANES} lanes, {len(log)} events, 157 points a lane, seed {SEED}; ms, first run and median of {REPEATS - 1}"
    )
    for name, first, median in rows:
        print(f"  {name:<62} {first:8.1f} {median:8.1f}")
    print(f"  largest difference between the curves: {worst:.1e} level")


if __name__ == "__main__":
    main()
