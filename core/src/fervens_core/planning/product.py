"""The lightener a head is best worked with, where the technician leaves it open. docs/models/schedule.md."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from fervens_core.base import LimitError, say
from fervens_core.head import Lightener
from fervens_core.planning.plan import plan_from
from fervens_core.planning.request import PlanRequest

OTHER_WORTH_MIN = 10.0
"""[MODEL] another product than the one at hand has to be worth as much as another strength."""


def propose_lightener(request: PlanRequest, shelf: Sequence[Lightener]) -> Lightener:
    """The lightener of a shelf whose plan leaves least out and is cheapest; the request's own unless ten min are won.

    Lanes with a product of their own keep it.

    Raises:
        LimitError: an empty shelf.
    """
    if not shelf:
        raise LimitError("lightener", say("limit-given_to_plan"), None)

    def worth(product: Lightener) -> tuple[int, float]:
        others = tuple(x for x in shelf if x.key != product.key)
        plan = plan_from(replace(request, lightener=product, others=others))
        is_other = product.key != request.lightener.key
        return len(plan.left_out), plan.price.total + (OTHER_WORTH_MIN if is_other else 0.0)

    return min(shelf, key=worth)
