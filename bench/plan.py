"""Planning a head: the whole plan of 40 lanes, and one wave beside a general constrained optimiser on the same problem.

Run: bin/bench plan
"""

from __future__ import annotations

import statistics
import time
from collections.abc import Callable

import numpy as np
from scipy.optimize import NonlinearConstraint, differential_evolution, minimize

from fervens_core.head import Developer, Hair, Lightener, Zone
from fervens_core.lift import effort_gained, level_to_effort, zone_factors
from fervens_core.planning import Aim, PlanChoice, PlanRequest, Solver, VolumeStep, make_plan

SEED, REPEATS = 20260301, 31
BOTTLES = tuple(Developer(f"d{v}", f"{v} vol", v) for v in (5, 10, 20, 30, 40))
POWDER = Lightener("p", "Powder", 1.5, label_max_min=50)
LONG = Lightener("q", "Long powder", 1.5, label_max_min=90)


def _timed(work: Callable[[], object]) -> tuple[float, float]:
    spent = []
    for _ in range(REPEATS):
        began = time.perf_counter()
        work()
        spent.append((time.perf_counter() - began) * 1000.0)
    return statistics.median(spent), max(spent)


def head_of_40(aim: Aim) -> PlanRequest:
    """A full head in 40 lanes of several kinds, with waves to be found."""
    rng = np.random.default_rng(SEED)
    zones = tuple(
        Zone(f"z{i}", f"Zone {i}", Hair(float(rng.integers(8, 14)) / 2), 8.5, foil_count=int(rng.integers(2, 7)))
        for i in range(40)
    )
    return PlanRequest(zones, POWDER, BOTTLES, PlanChoice(aim=aim))


def one_wave(count: int, aim: Aim) -> PlanRequest:
    """Lanes that one line serves, developers not rounded: what a general optimiser can be asked as well."""
    zones = tuple(
        Zone(
            f"z{i}",
            f"Zone {i}",
            Hair(5.0 + (i % 2) / 2.0),
            8.5,
            foil_count=1,
            pace_min_per_foil=0.1,
        )
        for i in range(count)
    )
    choice = PlanChoice(aim=aim, step=VolumeStep.EXACT, wave_starts=())
    return PlanRequest(zones, LONG if count > 12 else POWDER, BOTTLES, choice)


def line_and_developers(request: PlanRequest) -> Callable[[], int]:
    """Our choice of line and developers alone, without beliefs, bowls and reasons: what the optimiser does."""
    solver = Solver(request)
    wave = solver.wave(solver.units, None, is_after=False)
    return lambda: solver.solve(wave, None).at


class Problem:
    """The same wave as a smooth constrained problem: developers and one line, least contact load, every target met."""

    def __init__(self, request: PlanRequest) -> None:
        plan = make_plan(request)
        self.starts = np.array([z.start_min for z in plan.zones])
        self.ends = np.array([z.end_min for z in plan.zones])
        label = request.lightener
        factors = [zone_factors(z, label) for z in request.zones]
        self.extent = np.array([f.extent for f in factors])
        self.rate = np.array([f.rate for f in factors])
        begin = level_to_effort(np.array([z.hair.start_level for z in request.zones]))
        self.work = level_to_effort(np.array([z.target_level for z in request.zones])) - begin
        n = len(request.zones)
        self.bounds = [(5.0, 20.0)] * n + [
            (float(self.ends.max()) + 5.0, float(self.starts.min()) + label.label_max_min)
        ]

    def load(self, x: np.ndarray) -> float:
        """Contact load, vol min."""
        return float(np.sum(x[:-1] * (x[-1] - self.starts)))

    def spare(self, x: np.ndarray) -> np.ndarray:
        """Effort beyond what each lane needs; all at least 0 when every target is met."""
        return np.asarray(effort_gained(x[-1] - self.ends, x[:-1], self.extent, self.rate)) - self.work

    def slsqp(self) -> tuple[float, float, float]:
        """Load, spread in effort and milliseconds of a sequential quadratic programme."""
        middle = np.array([15.0] * len(self.work) + [self.bounds[-1][1] - 5.0])
        began = time.perf_counter()
        found = minimize(
            self.load,
            middle,
            method="SLSQP",
            bounds=self.bounds,
            constraints={"type": "ineq", "fun": self.spare},
            options={"maxiter": 500},
        )
        spent = (time.perf_counter() - began) * 1000.0
        return float(found.fun), float(np.ptp(self.spare(found.x))), spent

    def evolution(self, rounds: int) -> tuple[float, float, float]:
        """The same of differential evolution, which needs no gradient; held to so many generations."""
        began = time.perf_counter()
        found = differential_evolution(
            self.load,
            self.bounds,
            constraints=NonlinearConstraint(self.spare, 0.0, np.inf),
            maxiter=rounds,
            popsize=8,
            seed=SEED,
            polish=False,
        )
        spent = (time.perf_counter() - began) * 1000.0
        return float(found.fun), float(np.ptp(self.spare(found.x))), spent


def main() -> None:
    """Print the table."""
    print("Whole plan of 40 lanes, waves found, ms (median, worst of 31):")
    for aim in Aim:
        request = head_of_40(aim)
        plan = make_plan(request)
        median, worst = _timed(lambda request=request: make_plan(request))  # type: ignore[misc]
        print(f"  {aim:<7} {median:6.1f} {worst:6.1f}   {len(plan.waves)} waves, {len(plan.short)} short")
    print("One wave, developers not rounded, least contact load (vol min), spread (effort), ms:")
    for count in (12, 40):
        gentle, even = one_wave(count, Aim.GENTLE), one_wave(count, Aim.EVEN)
        ours, (whole, _) = make_plan(gentle), _timed(lambda gentle=gentle: make_plan(gentle))  # type: ignore[misc]
        median, _ = _timed(line_and_developers(gentle))
        problem = Problem(gentle)
        spread = make_plan(even).spread_levels
        rows = [("ours, line and developers", ours.contact_load_volume_min, spread, median)]
        rows.append(("ours, the whole plan", ours.contact_load_volume_min, spread, whole))
        rows.append(("SLSQP", *problem.slsqp()))
        rows.append(("differential evolution", *problem.evolution(300)))
        print(f"  {count} lanes")
        for name, load, spread, spent in rows:
            print(f"    {name:<25} {load:9.1f} {spread:7.3f} {spent:9.1f}   {spent / median:7.1f} x")


if __name__ == "__main__":
    main()
