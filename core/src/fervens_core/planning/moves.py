"""What strand tests changed in a plan."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

from fervens_core.base import Message
from fervens_core.planning.plan import Plan, has_read_strand, plan_from
from fervens_core.planning.request import PlanRequest


@dataclass(frozen=True, slots=True)
class DeveloperMove:
    """A lane whose developer the strand tests changed."""

    lane_name: Message | str
    expected_volume: float
    volume: float


def strand_moves(request: PlanRequest, plan: Plan) -> tuple[DeveloperMove, ...]:
    """What the strand tests changed in the developers, beside the same plan without them."""
    if not has_read_strand(request):
        return ()
    before = plan_from(replace(request, strands=()))
    expected = {x.zone.key: x.volume_strength for x in before.lanes}
    return tuple(
        DeveloperMove(x.zone.label, expected[x.zone.key], x.volume_strength)
        for x in plan.lanes
        if x.zone.key in expected and not math.isclose(expected[x.zone.key], x.volume_strength, abs_tol=0.5)
    )
