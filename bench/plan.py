"""Planning heads: the proposal beside what a sensible technician would do, on seeded random heads; and its speed.

Run: bin/bench plan [heads]. How it could be wrong: the ways beside it are priced and timed by our own hands, lift and
bowls; they take our trips where they have none of their own; a random head is not a clientele. "before" is the planner
that this one took the place of (bench/_yesterday.py): its strengths and waves, with our trips inside each wave.
"""

from __future__ import annotations

import json
import random
import statistics
import sys
import time
from collections.abc import Callable, Iterator
from dataclasses import replace
from pathlib import Path
from typing import Any

from _heads import HEADS, SEED, random_head

from fervens_core.planning import Aim, Plan, PlanRequest, compare_aims, head_sessions, plan_from, sessions_needed

REPEATS, DEARER_MIN = 11, 2.0
YESTERDAY = Path(__file__).with_name("yesterday.json")


def _chosen(request: PlanRequest, **more: object) -> PlanRequest:
    return replace(request, choice=replace(request.choice, **more))  # type: ignore[arg-type]


def ways(request: PlanRequest, before: dict[str, Any]) -> Iterator[tuple[str, Plan]]:
    """The proposal, and what a sensible technician would do instead.

    Args:
        before: strengths and waves of the planner before this one.
    """
    ours = plan_from(request)
    yield "ours", ours
    keys = [z.key for z in request.zones]
    yield "one visit, late", plan_from(_chosen(request, visit_mins=(min(x.wall_min for x in ours.lanes),)))
    one = [plan_from(_chosen(request, volumes=dict.fromkeys(keys, v))) for v in (20.0, 30.0, 40.0)]
    yield "one strength", min(one, key=lambda p: p.price.total)
    ladder = {k: 20.0 if i < len(keys) / 2 else 30.0 for i, k in enumerate(keys)}
    yield "20 then 30", plan_from(_chosen(request, volumes=ladder))
    starts = tuple(before["wave_starts"][1:])
    by_key = {z.key: z for z in request.zones}
    in_order = replace(request, zones=tuple(by_key[k] for k in before["order"]))
    yield "before", plan_from(_chosen(in_order, round_starts=starts, volumes=before["volumes"], keeps_order=True))


def timed(work: Callable[[], object]) -> tuple[float, float]:
    """Median and worst ms."""
    spent = []
    for _ in range(REPEATS):
        began = time.perf_counter()
        work()
        spent.append((time.perf_counter() - began) * 1000.0)
    return statistics.median(spent), max(spent)


def main() -> None:
    """Print the tables."""
    dice = random.Random(SEED)
    count = int(sys.argv[1]) if len(sys.argv) > 1 else HEADS
    heads = [random_head(dice) for _ in range(count)]
    found: dict[str, list[Plan]] = {}
    longer = over = promised = 0
    yesterday = json.loads(YESTERDAY.read_text())
    for request, before in zip(heads, yesterday, strict=False):
        for name, plan in ways(request, before):
            found.setdefault(name, []).append(plan)
        aims = {a.aim: a.plan for a in compare_aims(request)}
        longer += any(aims[Aim.QUICK].finish_min > p.finish_min + 1e-6 for p in aims.values())
        ours = found["ours"][-1]
        over += any(x.volume_strength > x.strongest_volume + 1e-9 for x in ours.lanes)
        is_short = any(x.short_levels > 0.5 for x in ours.lanes)
        promised += is_short and sessions_needed(head_sessions(request, ours)) == 1
    print(
        f"{count} random heads, median (worst): last rinse min, trips, strengths, bowls; lanes over half a level short"
    )
    for name, plans in found.items():
        columns = [
            [p.finish_min for p in plans],
            [len(p.visits) for p in plans],
            [len(p.strengths) for p in plans],
            [len(p.bowls) for p in plans],
        ]
        told = "  ".join(f"{statistics.median(c):5.0f} ({max(c):3.0f})" for c in columns)
        lanes = [x for p in plans for x in p.lanes]
        short = sum(x.short_levels > 0.5 for x in lanes) / len(lanes)
        price = statistics.median(p.price.total for p in plans)
        print(f"  {name:<16} {told}   {short:5.1%}   price {price:5.0f}")
    for name, plans in found.items():
        gaps = [a.price.total - b.price.total for a, b in zip(found["ours"], plans, strict=True)]
        if name != "ours":
            dearer = sum(g > DEARER_MIN for g in gaps)
            print(
                f"ours is dearer than {name} by over {DEARER_MIN:g} min on {dearer} heads, by {max(gaps):.0f} at most"
            )
    strengths = [len(p.strengths) for p in found["ours"]]
    best = [min(plans[i].finish_min for n, plans in found.items() if n != "ours") for i in range(count)]
    ratio = statistics.median(p.finish_min for p in found["ours"]) / statistics.median(best)
    two, three = (sum(n <= most for n in strengths) / count for most in (2, 3))
    print(f"median last rinse is {ratio:.2f} of the shortest of the others on each head")
    print(f"at most 2 strengths on {two:.0%}, 3 on {three:.0%} of heads")
    print(
        f"over a cap: {over}; quick longer than another aim: {longer}; one session with a lane that short: {promised}"
    )
    print(f"ms, median (worst of {REPEATS}):")
    for lanes in (12, 40):
        request = random_head(random.Random(SEED + lanes), lanes)
        plan = plan_from(request)
        own = _chosen(request, visit_mins=tuple(v.asked_min for v in plan.visits))
        for name, wanted in (("a whole plan", request), ("a line dragged", own)):
            median, worst = timed(lambda wanted=wanted: plan_from(wanted))  # type: ignore[misc]
            print(f"  {len(plan.lanes):3d} lanes, {name:<15} {median:6.1f} ({worst:6.1f})")


if __name__ == "__main__":
    main()
