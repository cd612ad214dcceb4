"""Three plans side by side: gentle, even, quick; each solved, with what it costs. docs/models/plan.md."""

from __future__ import annotations

from dataclasses import dataclass, replace

from fervens_core.planning.plan import Plan, make_plan
from fervens_core.planning.request import Aim, PlanRequest
from fervens_core.planning.visits import head_visits, visits_needed


@dataclass(frozen=True, slots=True)
class AimPlan:
    """One aim's plan; `visits` None when no number of visits up to six reaches the wish."""

    aim: Aim
    plan: Plan
    visits: int | None


def compare_aims(request: PlanRequest) -> tuple[AimPlan, ...]:
    """The three aims for one head, each with its own waves, lines and developers.

    What the technician set by hand (developers, lines, partings) is left aside: aims are compared as proposed.
    """
    found = []
    for aim in Aim:
        choice = replace(request.choice, volumes={}, finish_mins=(), wave_starts=None, aim=aim)
        wanted = replace(request, choice=choice)
        found.append(AimPlan(aim, make_plan(wanted), visits_needed(head_visits(wanted))))
    return tuple(found)
