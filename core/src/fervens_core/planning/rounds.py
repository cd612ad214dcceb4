"""Two rounds in one sitting: fresh product on what is short, where the label allows. docs/models/schedule.md.

The plan, the verdict and the review ask the same function.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS
from fervens_core.head import AGAIN, Elasticity, History, Part, Zone
from fervens_core.lift import effective_volume, level_at, zone_factors
from fervens_core.planning.plan import LanePlan, Plan, plan_from
from fervens_core.planning.price import prices_for
from fervens_core.planning.request import PlanChoice, PlanRequest
from fervens_core.safety import again_block, strongest_volume

LOOK_AGAIN_MIN = 8.0
"""[MODEL] to dry a little and read what was rinsed."""
WORTH_LEVELS = 0.5
"""Another application that would not gain half a level is not proposed."""


def again_zone(zone: Zone, key: str, level: float) -> Zone:
    """A zone as it goes into another application today: from the level it was read at."""
    start = min(max(level, zone.hair.start_level), 10.0)
    hair = replace(zone.hair, start_level=start, history=History.LIGHTENED, lifted_from=zone.hair.colour_start)
    target = max(zone.target_level, start)
    return replace(zone, key=key, is_again=True, hair=hair, target_level=target, waits_for=None, note=None)


def again_key(key: str) -> str:
    """Key of a lane in its second round."""
    return f"{key.replace('.', '_')}{AGAIN}"


def plan_round(request: PlanRequest, zones: Sequence[Zone], start_min: float = 0.0) -> Plan:
    """Another application for zones as they are now, by the same planner and nothing of what was chosen by hand.

    Args:
        zones: as `again_zone` has them. start_min: when hands are free.
    Raises:
        CoreError: it cannot be planned.
    """
    plain = tuple(replace(z, part=Part.WHOLE, parent_key=None, parts=(), pieces=None) for z in zones)
    old = request.choice
    choice = PlanChoice(
        has_additive=old.has_additive, aim=old.aim, step=old.step, bowl_style=old.bowl_style, hands=old.hands
    )
    return plan_from(replace(request, zones=plain, choice=choice, strands=()), start_min)


def _may(request: PlanRequest, lane: LanePlan) -> bool:
    """Whether the label and the hair allow another round today, and it would gain half a level."""
    lightener = request.lightener_of(lane.zone)
    if lightener.max_applications is None or lane.zone.is_delicate or lane.short_levels <= ON_TARGET_LEVELS:
        return False
    block = again_block(
        lightener,
        scalp=None,
        elasticity=None,
        told=frozenset({request.elasticity, lane.zone.hair.elasticity, Elasticity.RETURNS}),
        is_toned=False,
        is_second_round=False,
        applications=1,
        contact_min=lane.minutes_on,
    )
    zone = again_zone(lane.zone, "again", lane.level_at_rinse)
    strongest = min(
        strongest_volume(zone, lightener, request.elasticity)[0], max(b.volume_strength for b in request.bottles)
    )
    factors = zone_factors(zone, lightener)
    end = level_at(
        np.array(max(lightener.label_max_min - zone.application_min, 5.0)),
        start_level=zone.hair.start_level,
        volume_strength=effective_volume(strongest, has_additive=request.choice.has_additive),
        factors=factors,
    )
    return block is None and float(end) - lane.level_at_rinse >= WORTH_LEVELS


def second_round(request: PlanRequest, plan: Plan) -> Plan | None:
    """A second round in the same sitting for what the first leaves short; None where none is allowed or worth it."""
    lanes = [x for x in plan.lanes if _may(request, x)]
    if not lanes or request.choice.round_starts:
        return None
    before = {again_key(x.zone.key): x for x in lanes}
    zones = [again_zone(x.zone, key, x.level_at_rinse) for key, x in before.items()]
    again = plan_round(request, zones, plan.finish_min + request.pace.rinse_min + LOOK_AGAIN_MIN)
    prices = prices_for(request.choice.aim, request.pace)
    gained = sum(x.level_at_rinse - before[x.zone.key].level_at_rinse for x in again.lanes)
    costs = prices.minute * (again.finish_min - plan.finish_min) + prices.visit * len(again.visits)
    return again if gained * prices.level > costs else None
