"""Other ways with the head of a round: by the board's own advice, and the best for the hair as it really is."""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS, CoreError, Floats
from fervens_core.chair import follow_advice
from fervens_core.head import lanes_of, lightener_among
from fervens_core.lift import KnownHead, SimulatedHead, zone_factors
from fervens_core.planning import Plan, PlanChoice, PlanRequest, make_plan
from fervens_core.practice.outcome import WayWorked
from fervens_core.practice.rounds import Round
from fervens_core.practice.setup import hair_truly
from fervens_core.practice.truth import deviation_of

SOONER_LEVELS = 0.002
"""[MODEL] a minute sooner is worth so many levels: of two rinses as near to the target the sooner one is taken."""


def nearest(levels: Floats, target_level: float) -> int:
    """The minute at which a lane comes nearest to its target, of its levels minute by minute from 0 on."""
    return int(np.argmin(np.abs(levels - target_level) + SOONER_LEVELS * np.arange(levels.size)))


def _plan_of(played: Round) -> Plan | None:
    if played.request is None or played.taken is None:
        return None
    try:
        return make_plan(played.request)
    except CoreError:
        return None


def _head_of(played: Round, plan: Plan, request: PlanRequest) -> SimulatedHead:
    """The true hair under a plan that was made for hair as it was read."""
    setup = played.setup
    true_lanes = {z.key: z for z in lanes_of(setup.zones)}
    extent, rate, start, ceiling = [], [], [], []
    kinetics = plan.belief.lanes[: len(plan.lanes)]
    for lane, told in zip(plan.lanes, kinetics, strict=True):
        zone = lane.zone
        hair = hair_truly(setup, zone, true_lanes)
        product = lightener_among(zone.lightener, request.lightener, request.others)
        truly = zone_factors(replace(zone, hair=hair), product)
        off = deviation_of(setup, zone.zone_key, zone.key, hair)
        extent.append(float(np.log(truly.extent / told.factors.extent)) + off.log_extent)
        rate.append(float(np.log(truly.rate / told.factors.rate)) + off.log_rate)
        start.append(hair.start_level - told.start_level)
        ceiling.append(min(off.ceiling, truly.ceiling))
    return SimulatedHead(kinetics, np.array(extent), np.array(rate), np.array(start), np.array(ceiling))


@dataclass(frozen=True, slots=True)
class Advised:
    """What all advice followed on the plan as it was taken comes to: minutes and true level of each lane's end."""

    ends: dict[str, tuple[float, float]]
    way: WayWorked | None


def advised(played: Round) -> Advised:
    """The plan as it was taken, worked by the board's advice on the true hair; nothing where no plan was taken."""
    plan, request = _plan_of(played), played.request
    if plan is None or request is None or not plan.lanes:
        return Advised({}, None)
    head = _head_of(played, plan, request)
    told = follow_advice(plan, head, played.setup.random("advice"))
    ends = {
        x.zone.key: (end.minutes, head.level(i, end.minutes))
        for i, (x, end) in enumerate(zip(plan.lanes, told, strict=True))
    }
    off = [abs(ends[x.zone.key][1] - x.zone.target_level) for x in plan.lanes]
    last = max(x.end_min + ends[x.zone.key][0] for x in plan.lanes)
    on_target = sum(o <= ON_TARGET_LEVELS for o in off)
    way = WayWorked(on_target, len(off), last, sum(e.looks for e in told), max(off), len(plan.visits))
    return Advised(ends, way)


def best(played: Round) -> WayWorked | None:
    """What the planner proposes for the head as it really is, each lane rinsed at its true best within its label."""
    request = played.request
    if request is None or played.taken is None:
        return None
    setup = played.setup
    lanes = lanes_of(setup.zones)
    off = [deviation_of(setup, z.zone_key, z.key, z.hair) for z in lanes]
    if not off:
        return None
    known = KnownHead(
        float(np.clip(np.mean([o.log_extent for o in off]), -0.9, 0.9)),
        float(np.clip(np.mean([o.log_rate for o in off]), -0.9, 0.9)),
        0.01,
        0.01,
        1,
    )
    chosen = request.choice
    choice = PlanChoice(
        has_additive=chosen.has_additive,
        aim=chosen.aim,
        step=chosen.step,
        bowl_style=chosen.bowl_style,
        delicate_way=chosen.delicate_way,
        hands=chosen.hands,
        known_head=known,
    )
    truly = replace(request, zones=setup.zones, strands=(), choice=choice)
    try:
        plan = make_plan(truly)
    except CoreError:
        return None
    if not plan.lanes:
        return None
    head = _head_of(played, plan, truly)
    misses, last = [], 0.0
    for i, x in enumerate(plan.lanes):
        wall = x.wall_min - x.end_min
        grid = np.arange(0.0, max(wall, 1.0), 1.0)
        levels = np.array([head.level(i, float(m)) for m in grid])
        at_best = nearest(levels, x.zone.target_level)
        misses.append(abs(float(levels[at_best]) - x.zone.target_level))
        last = max(last, x.end_min + float(grid[at_best]))
    on_target = sum(m <= ON_TARGET_LEVELS for m in misses)
    return WayWorked(on_target, len(misses), last, 0, max(misses), len(plan.visits))
