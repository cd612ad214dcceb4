"""The plan: looked at, compared, kept, weighed and taken to the chair."""

from __future__ import annotations

from uuid import UUID

from django.http import HttpRequest
from django.shortcuts import get_object_or_404
from ninja import Router

from apps.common.problems import ERRORS, Problem
from apps.services import loading
from apps.services.chair import present as chair_present
from apps.services.chair.schemas import BoardOut
from apps.services.plan import actions as plan_actions
from apps.services.plan import present as plan_present
from apps.services.plan import queries as plan_queries
from apps.services.plan.schemas import AimOut, MixIn, PlanIn, PlanOut, ScaleOut, TakePlanIn, VersionIn, VersionOut
from apps.services.planned import planned
from apps.shelf.adapters import lightener_value
from apps.shelf.models import Lightener
from apps.studio.auth import member_of
from fervens_core.planning import WeighedMix, WeighedPour, simulated_pour, weigh_mix

router = Router(tags=["plan"])


@router.get("/services/{service_id}/plan", response={200: PlanOut, ERRORS: Problem})
def read_plan(request: HttpRequest, service_id: UUID) -> PlanOut:
    """The plan of the saved choices."""
    loaded = loading.load(loading.get(member_of(request), service_id))
    wanted = loading.plan_request(loaded)
    return plan_present.plan_out(loaded, planned(wanted), wanted, loaded.row.toner_idea)


@router.post("/services/{service_id}/plan/preview", response={200: PlanOut, ERRORS: Problem})
def preview_plan(request: HttpRequest, service_id: UUID, payload: PlanIn) -> PlanOut:
    """The plan of other choices, without keeping them."""
    member = member_of(request)
    loaded = loading.load(loading.get(member, service_id))
    choices = plan_actions.choices_of(payload.dict(exclude={"revision"}))
    wanted = plan_actions.request_of(loaded, member, choices)
    return plan_present.plan_out(loaded, planned(wanted), wanted, choices.toner_key)


@router.post("/services/{service_id}/plan/aims", response={200: list[AimOut], ERRORS: Problem})
def compare_aims(request: HttpRequest, service_id: UUID, payload: PlanIn) -> list[AimOut]:
    """Simple, gentle, even and quick side by side, for these choices."""
    member = member_of(request)
    loaded = loading.load(loading.get(member, service_id))
    choices = plan_actions.choices_of(payload.dict(exclude={"revision"}))
    return plan_present.aims_out(plan_actions.request_of(loaded, member, choices))


@router.put("/services/{service_id}/plan", response={200: PlanOut, ERRORS: Problem})
def write_plan(request: HttpRequest, service_id: UUID, payload: PlanIn) -> PlanOut:
    """Keep the choices of a plan."""
    choices = plan_actions.choices_of(payload.dict(exclude={"revision"}))
    loaded, plan, wanted = plan_actions.write_plan(
        member_of(request), service_id, revision=payload.revision, choices=choices
    )
    return plan_present.plan_out(loaded, plan, wanted, choices.toner_key)


@router.get("/services/{service_id}/plan/versions", response={200: list[VersionOut], ERRORS: Problem})
def read_versions(request: HttpRequest, service_id: UUID) -> list[VersionOut]:
    """The kept plans, newest first."""
    return [plan_present.version_out(v) for v in plan_queries.versions(member_of(request), service_id)]


@router.post("/services/{service_id}/plan/versions", response={200: list[VersionOut], ERRORS: Problem})
def keep_version(request: HttpRequest, service_id: UUID, payload: VersionIn) -> list[VersionOut]:
    """Keep the plan as it stands."""
    rows = plan_actions.keep_version(member_of(request), service_id, revision=payload.revision, label=payload.label)
    return [plan_present.version_out(v) for v in rows]


@router.post("/services/{service_id}/plan/take", response={200: BoardOut, ERRORS: Problem})
def take_plan(request: HttpRequest, service_id: UUID, payload: TakePlanIn) -> BoardOut:
    """Take the saved plan to the chair."""
    return chair_present.board_out(plan_actions.take_plan(member_of(request), service_id, event_id=payload.event_id))


@router.post("/mix", response={200: WeighedMix, ERRORS: Problem})
def check_mix(request: HttpRequest, payload: MixIn) -> WeighedMix:
    """What is in a bowl as weighed, and how to put it right."""
    row = get_object_or_404(Lightener, studio_id=member_of(request).studio_id, pk=payload.lightener_key)
    pours = tuple(WeighedPour(p.volume_strength, p.mass_g) for p in payload.pours)
    return weigh_mix(lightener_value(row), payload.product_g, pours, payload.wanted_volume)


@router.get("/scale", response={200: ScaleOut, ERRORS: Problem})
def read_scale(request: HttpRequest, wanted_g: float, seed: int = 1) -> ScaleOut:
    """What the simulated scale shows while a hand pours."""
    return ScaleOut(shown_g=list(simulated_pour(wanted_g, abs(seed) % 2**31)))
