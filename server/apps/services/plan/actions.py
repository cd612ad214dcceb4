"""Acts on a plan: look at other choices, keep them, keep a version, take it to the chair."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Any
from uuid import UUID

from django.db import transaction
from django.db.models import Max
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.common.telling import tell
from apps.services import loading
from apps.services.acts import append, check_revision, locked
from apps.services.adapters import names_lighteners
from apps.services.known import known_value
from apps.services.loading import Loaded, load
from apps.services.models import PlanVersion, Service
from apps.services.plan import queries as plan_queries
from apps.services.planned import planned
from apps.services.policies import check_toner_idea, require_may_here
from apps.shelf.adapters import lightener_value
from apps.shelf.models import Lightener
from apps.shelf.queries import developers, lighteners
from apps.studio.actions import audit
from apps.studio.models import Membership
from fervens_core import head as core
from fervens_core.base import ConflictError, LimitError, plain, say
from fervens_core.log import PlanTaken, Step
from fervens_core.planning import Plan, PlanChoice, PlanRequest, propose_lightener


@dataclass(frozen=True, slots=True)
class Choices:
    """Everything a technician sets on the plan.

    `order` empty keeps the saved one, `toner_key` "" has no toner yet, without `lightener_key` one is proposed;
    `uses_known` plans with what earlier visits taught of the client.
    """

    lightener_key: UUID | None
    order: list[str]
    toner_key: str
    choice: PlanChoice
    uses_known: bool = True


def _others(loaded: Loaded, member: Membership, own: str, choice: PlanChoice) -> tuple[core.Lightener, ...]:
    """Lighteners beside the chosen one that zones or lanes name."""
    if not names_lighteners(loaded.zones, choice):
        return ()
    return tuple(x for x in lighteners(member.studio_id) if x.key != own)


def request_of(loaded: Loaded, member: Membership, choices: Choices) -> PlanRequest:
    """A request to plan other choices. 404 for another studio's lightener; LimitError for an order that is none."""
    own = choices.lightener_key or loaded.row.lightener_id
    lightener = get_object_or_404(Lightener, studio_id=member.studio_id, pk=own)
    zones = loaded.zones
    if choices.order:
        if sorted(choices.order) != sorted(z.key for z in zones):
            raise LimitError("order", say("limit-all_zones_once", zones=[z.key for z in zones]), choices.order)
        by_key = {z.key: z for z in zones}
        zones = tuple(by_key[k] for k in choices.order)
    request = PlanRequest(
        zones=zones,
        lightener=lightener_value(lightener),
        bottles=tuple(developers(member.studio_id)),
        choice=replace(choices.choice, known_head=known_value(loaded.row) if choices.uses_known else None),
        strands=loaded.strand_values,
        elasticity=loaded.findings.elasticity,
        weakest=loading.weakest_volumes(member.studio),
        others=_others(loaded, member, str(lightener.pk), choices.choice),
        pace=loading.pace_of(member.studio),
    )
    if choices.lightener_key is not None:
        return request
    shelf = lighteners(member.studio_id)
    found = propose_lightener(request, shelf)
    others = tuple(x for x in shelf if x.key != found.key) if names_lighteners(zones, choices.choice) else ()
    return replace(request, lightener=found, others=others)


@transaction.atomic
def write_plan(
    member: Membership, service_id: UUID, *, revision: int, choices: Choices
) -> tuple[Loaded, Plan, PlanRequest]:
    """Keep the choices of a plan. Raises ConflictError once it is at the chair, BlockedError for a barred toner."""
    loaded = locked(member, service_id)
    require_may_here(member, loaded, "write_a_plan")
    check_revision(loaded, revision)
    if loaded.state.step is not Step.PLAN:
        raise ConflictError("not_planning")
    request = request_of(loaded, member, choices)
    plan = planned(request)
    row = loaded.row
    row.lightener_id = UUID(request.lightener.key)
    row.choice = plain(request.choice)
    row.toner_idea = choices.toner_key
    check_toner_idea(loaded, must_be_there=True)
    row.revision += 1
    row.save()
    rows = {z.key: z for z in row.zones.all()}
    for position, zone in enumerate(request.zones):
        if rows[zone.key].position != position:
            rows[zone.key].position = position
            rows[zone.key].save(update_fields=["position"])
    audit(member, "plan_written", service_id)
    tell(member.studio_id, service_id, "plan")
    return load(loading.get(member, service_id)), plan, request


def _keep(member: Membership, row: Service, plan: Plan, label: str, *, is_taken: bool = False) -> PlanVersion:
    last = PlanVersion.objects.filter(service=row).aggregate(Max("number"))["number__max"] or 0
    return PlanVersion.objects.create(
        service=row,
        number=last + 1,
        kept_at=timezone.now(),
        by_name=member.name,
        label=label,
        is_taken=is_taken,
        choice=row.choice
        | {
            "lightener_key": str(row.lightener_id),
            "order": [z.key for z in row.zones.all()],
            "toner_key": row.toner_idea,
        },
        summary={
            "finish_min": plan.finish_min,
            "strongest_volume": plan.strongest_volume,
            "spread_levels": plan.spread_levels,
            "contact_load_volume_min": plan.contact_load_volume_min,
            "short_count": len(plan.short),
        },
    )


@transaction.atomic
def keep_version(member: Membership, service_id: UUID, *, revision: int, label: str) -> list[PlanVersion]:
    """Keep the plan as it stands as a version of its own. Raises ConflictError when it was changed elsewhere."""
    loaded = locked(member, service_id)
    require_may_here(member, loaded, "keep_a_plan")
    check_revision(loaded, revision)
    if len(plan_queries.versions(member, service_id)) >= plan_queries.VERSIONS_MAX:
        raise ConflictError("too_many_versions", most=plan_queries.VERSIONS_MAX)
    _keep(member, loaded.row, planned(loading.plan_request(loaded)), label.strip())
    audit(member, "plan_version_kept", service_id)
    return plan_queries.versions(member, service_id)


@transaction.atomic
def take_plan(member: Membership, service_id: UUID, *, event_id: UUID) -> Loaded:
    """Take the saved plan to the chair: the server computes it anew, logs what was taken and keeps it as a version."""
    loaded = locked(member, service_id)
    plan = planned(loading.plan_request(loaded))
    if not plan.lanes:
        raise ConflictError("nothing_planned")
    data = PlanTaken(
        zone_keys=tuple(z.zone.key for z in plan.lanes),
        volumes=tuple(z.volume_strength for z in plan.lanes),
        finish_min=plan.finish_min,
        starts_min=tuple(round(z.start_min, 2) for z in plan.lanes),
        rinses_min=tuple(round(z.rinse_min, 2) for z in plan.lanes),
        visits=tuple(z.visit for z in plan.lanes),
    )
    taken = append(member, loaded, event_id=event_id, occurred_at=loaded.now, data=data)
    if taken is not loaded:
        _keep(member, loaded.row, plan, "", is_taken=True)
    return taken


def choices_of(values: dict[str, Any]) -> Choices:
    """Choices from what a device sent. Raises LimitError."""
    return Choices(
        lightener_key=values["lightener_key"],
        order=values["order"],
        toner_key=values["toner_key"],
        uses_known=values["uses_known"],
        choice=PlanChoice(
            visit_mins=tuple(values["visit_mins"]),
            round_starts=tuple(values["round_starts"]),
            volumes=values["volumes"],
            minutes=values["minutes"],
            visits=values["visits"],
            coverings=values["coverings"],
            lighteners=values["lighteners"],
            rows=values["rows"],
            keeps_order=values["keeps_order"],
            delicate_way=values["delicate_way"],
            hands=values["hands"],
            has_additive=values["has_additive"],
            aim=values["aim"],
            step=values["step"],
            bowl_style=values["bowl_style"],
        ),
    )
