"""A fleet of simulated heads (hidden truth, half-level readings with noise) through three ways of working, in one run:
a fixed time by the plan; look every 5 min and rinse when it looks right; follow the board's advice.

Run: bin/bench fleet
"""

from __future__ import annotations

import time
from collections.abc import Callable, Iterator, Sequence

import numpy as np

from fervens_core.chair import LOOK_MIN, LaneEnd, follow_advice
from fervens_core.head import Developer, Hair, Lightener, ReadingMode, Zone
from fervens_core.lift import SimulatedHead, simulated_head
from fervens_core.planning import Plan, PlanRequest, make_plan

SEED, HEADS = 20260301, 250
BOTTLES = tuple(Developer(f"d{v}", f"{v} vol", v) for v in (5, 10, 20, 30, 40))
POWDER = Lightener("p", "Powder", 1.5, label_max_min=50)
Ends = Sequence[LaneEnd]


def heads() -> Iterator[tuple[Plan, SimulatedHead, int]]:
    """Planned heads of 6 to 10 zones with their hidden truth, the same for every way of working."""
    random = np.random.default_rng(SEED)
    for number in range(HEADS):
        base = float(random.integers(8, 14)) / 2.0
        zones = tuple(
            Zone(
                f"z{i}",
                f"Zone {i}",
                Hair(float(np.clip(base + random.integers(-1, 2) / 2.0, 3.0, 7.0))),
                8.5,
                foil_count=int(random.integers(3, 7)),
            )
            for i in range(int(random.integers(6, 11)))
        )
        plan = make_plan(PlanRequest(zones, POWDER, BOTTLES))
        yield plan, simulated_head(plan.belief.lanes, random), number


def by_the_plan(plan: Plan, head: SimulatedHead, eye: np.random.Generator) -> Ends:
    """Rinse when the plan says; nothing is opened."""
    return [LaneEnd(z.rinse_min - z.end_min, 0) for z in plan.lanes]


def every_five(plan: Plan, head: SimulatedHead, eye: np.random.Generator) -> Ends:
    """From 10 min on wipe and look every 5 min; rinse when the eye says the target."""
    ends: list[LaneEnd] = []
    for i, z in enumerate(plan.lanes):
        wall, minutes, looks = z.wall_min - z.end_min, 10.0, 0
        while minutes < wall:
            looks += 1
            if head.read(i, minutes, ReadingMode.WIPED, eye).level >= z.zone.target_level:
                break
            minutes += 5.0
        ends.append(LaneEnd(min(minutes, wall), looks))
    return ends


def honesty(plan: Plan, head: SimulatedHead) -> list[bool]:
    """Whether each lane's true time to target lies inside its planned 80 % window (lanes that get there at all)."""
    found = []
    for i, z in enumerate(plan.lanes):
        minutes = np.arange(0.0, 240.0, 0.25)
        levels = np.array([head.level(i, float(m)) for m in minutes[::20]])
        if levels[-1] >= z.zone.target_level:
            true = float(np.interp(z.zone.target_level, levels, minutes[::20]))
            found.append(z.ready_min[0] - z.end_min <= true <= z.ready_min[2] - z.end_min)
    return found


def main() -> None:
    """Print the table."""
    ways: dict[str, Callable[[Plan, SimulatedHead, np.random.Generator], Ends]] = {
        "a fixed time by the plan": by_the_plan,
        "look every five minutes": every_five,
        "the board's advice": follow_advice,
    }
    fleet = list(heads())
    lanes = sum(len(plan.lanes) for plan, _, _ in fleet)
    print(f"{HEADS} heads, {lanes} lanes, seed {SEED}; of lanes that can be reached: within half a level, over, under;")
    print("openings a lane, walls passed, spread within a head in levels, contact load a head in vol min, seconds")
    for name, way in ways.items():
        began = time.perf_counter()
        off, looks, spreads, loads, walls = [], [], [], [], 0
        for plan, head, number in fleet:
            ends = way(plan, head, np.random.default_rng(SEED + number))
            here = []
            for i, (z, end) in enumerate(zip(plan.lanes, ends, strict=True)):
                wall = z.wall_min - z.end_min
                walls += end.minutes > wall + LOOK_MIN + 0.01
                here.append(head.level(i, end.minutes) - z.zone.target_level)
                if head.level(i, wall) >= z.zone.target_level - 0.5:
                    off.append(here[-1])
                    looks.append(end.looks)
            spreads.append(max(here) - min(here))
            loads.append(
                sum(
                    z.volume_strength * (z.end_min - z.start_min + e.minutes)
                    for z, e in zip(plan.lanes, ends, strict=True)
                )
            )
        away = np.array(off)
        print(
            f"  {name:<26} {np.mean(np.abs(away) <= 0.5):6.1%} {np.mean(away > 0.5):6.1%} {np.mean(away < -0.5):6.1%}"
            f"  {np.mean(looks):5.2f} {walls:4d} {np.mean(spreads):5.2f} {np.mean(loads):7.0f}"
            f"  {time.perf_counter() - began:5.1f}"
        )
    inside = [x for plan, head, _ in fleet for x in honesty(plan, head)]
    print(f"The planned 80 % window holds {np.mean(inside):.1%} of {len(inside)} true times, before any reading.")


if __name__ == "__main__":
    main()
