"""Schedules side by side: simple, gentle, even, quick; each planned, with what it costs. docs/models/schedule.md."""

from __future__ import annotations

from dataclasses import dataclass, replace

from fervens_core.base import Message, say
from fervens_core.planning.plan import Plan, plan_from
from fervens_core.planning.request import Aim, PlanRequest
from fervens_core.planning.rounds import second_round
from fervens_core.planning.sessions import head_sessions, sessions_needed

SAVED_LEAST_MIN = 1.0
SAME_MIN, SAME_LEVELS = 3.0, 0.15
"""[MODEL] plans with the same strengths and visits that differ by less are one."""


def _with_again(request: PlanRequest, plan: Plan) -> Plan:
    return replace(plan, again=second_round(request, plan))


def make_plan(request: PlanRequest) -> Plan:
    """Plan one head, with a second round where the label allows one and it is worth it.

    The quick aim is never longer than another: where one ends sooner, it is planned on that one's visits.

    Raises:
        LimitError: input out of range.
    """
    if request.choice.aim is not Aim.QUICK or request.choice.visit_mins or not request.zones:
        return _with_again(request, plan_from(request))
    others = [plan_from(_aimed(request, aim)) for aim in Aim if aim is not Aim.QUICK]
    return _with_again(request, _quick(request, others))


def _aimed(request: PlanRequest, aim: Aim) -> PlanRequest:
    return replace(request, choice=replace(request.choice, aim=aim))


def _quick(request: PlanRequest, others: list[Plan]) -> Plan:
    """The quick plan, no longer than others of the same request."""
    best = plan_from(request)
    for other in sorted(others, key=lambda p: p.finish_min):
        if not other.visits or other.finish_min >= best.finish_min - 1e-6:
            continue
        visits = tuple(v.asked_min for v in other.visits)
        on_them = plan_from(replace(request, choice=replace(request.choice, visit_mins=visits)))
        best = on_them if on_them.finish_min <= other.finish_min + 1e-6 else other
    return best


@dataclass(frozen=True, slots=True)
class AimPlan:
    """One aim's plan.

    Args:
        sessions: None when no number up to six reaches the wish. same_as: an aim before it that comes out alike.
        why: what it gains beside another, in a line.
    """

    aim: Aim
    plan: Plan
    sessions: int | None
    same_as: Aim | None
    why: Message | None


def _is_same(one: Plan, other: Plan) -> bool:
    if one.strengths != other.strengths or len(one.visits) != len(other.visits):
        return False
    levels = {x.zone.key: x.level_at_rinse for x in other.lanes}
    is_near = abs(one.last_rinse_min - other.last_rinse_min) < SAME_MIN
    return is_near and all(abs(levels[x.zone.key] - x.level_at_rinse) < SAME_LEVELS for x in one.lanes)


def compare_aims(request: PlanRequest) -> tuple[AimPlan, ...]:
    """The four aims for one head, each with its own visits and developers; of those that come out alike the first.

    What the technician set by hand (developers, minutes, visits, lines) is left aside: aims are compared as proposed.
    """
    choice = replace(request.choice, volumes={}, minutes={}, visits={}, visit_mins=())
    plain = replace(request, choice=choice)
    firsts: dict[Aim, Plan] = {aim: plan_from(_aimed(plain, aim)) for aim in Aim if aim is not Aim.QUICK}
    firsts[Aim.QUICK] = _quick(_aimed(plain, Aim.QUICK), list(firsts.values()))
    found: list[AimPlan] = []
    for aim in Aim:
        wanted = _aimed(plain, aim)
        plan = _with_again(wanted, firsts[aim])
        same = next((x.aim for x in found if x.same_as is None and _is_same(x.plan, plan)), None)
        found.append(AimPlan(aim, plan, sessions_needed(head_sessions(wanted, plan)), same, _why(aim, firsts)))
    return tuple(found)


def _plain(plan: Plan) -> tuple[str, ...]:
    return tuple(f"{v:g}" for v in plan.strengths)


def _why(aim: Aim, plans: dict[Aim, Plan]) -> Message | None:
    """What a plan gains: simple beside quick, the others beside simple; None where nothing can be told."""
    own, other = plans[aim], plans[Aim.QUICK if aim is Aim.SIMPLE else Aim.SIMPLE]
    if not own.lanes or not other.lanes:
        return None
    saved = other.finish_min - own.finish_min
    if aim is Aim.SIMPLE:
        if saved > -SAVED_LEAST_MIN or own.strengths == other.strengths:
            return say("aim_why-simple", strengths=_plain(own), bowls=len(own.bowls))
        return say("aim_why-simple_beside", strengths=_plain(own), other=_plain(other), minutes=-saved)
    if aim is Aim.GENTLE:
        less = 1.0 - own.contact_load_volume_min / max(other.contact_load_volume_min, 1e-9)
        return say("aim_why-gentle", share=less) if less > 0.02 else None
    if aim is Aim.EVEN:
        return say("aim_why-even", levels=own.spread_levels, other=other.spread_levels)
    return say("aim_why-quick", minutes=saved) if saved >= SAVED_LEAST_MIN else None
