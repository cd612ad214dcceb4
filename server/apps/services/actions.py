"""Acts on a service: who acts, may they, load and lock, core, save, audit; in one transaction."""

from __future__ import annotations

import datetime as dt
from typing import Any
from uuid import UUID

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.clients import queries as client_queries
from apps.services import queries
from apps.services.adapters import event_value, zone_row
from apps.services.models import Service, ServiceEvent
from apps.services.policies import check_event
from apps.services.queries import Loaded, load
from apps.shelf.models import Lightener
from apps.studio.actions import audit
from apps.studio.models import Membership
from apps.studio.policies import require_lead
from fervens_core.errors import ConflictError, LimitError
from fervens_core.events import SCHEMA_VERSION, EventData, PlanTaken, data_to_json
from fervens_core.hair import Zone
from fervens_core.plan import Plan, PlanRequest, make_plan
from fervens_core.quantities import check_level
from fervens_core.service import Step, check_addition

FUTURE_MAX = dt.timedelta(minutes=2)
PAST_MAX = dt.timedelta(days=2)


@transaction.atomic
def start_service(member: Membership, client_id: UUID, starts_at: dt.datetime | None) -> Service:
    """A new service for a client, with the shelf's first lightener proposed."""
    client = client_queries.get(member, client_id)
    lightener = Lightener.objects.filter(studio_id=member.studio_id).order_by("name").first()
    row = Service.objects.create(
        studio_id=member.studio_id, client=client, starts_at=starts_at or timezone.now(), lightener=lightener
    )
    audit(member, "service started", row.pk)
    return queries.get(member, row.pk)


def _locked(member: Membership, service_id: UUID) -> Loaded:
    rows = queries.of_studio(member).select_for_update(of=("self",))
    get_object_or_404(rows, pk=service_id)
    return load(queries.get(member, service_id))


def _check_revision(loaded: Loaded, revision: int) -> None:
    if loaded.row.revision != revision:
        raise ConflictError("changed_elsewhere", "Someone else changed this meanwhile; here is their version.")


@transaction.atomic
def write_consultation(
    member: Membership, service_id: UUID, *, revision: int, values: dict[str, Any], zones: tuple[Zone, ...]
) -> Loaded:
    """Keep what was read at the consultation. Raises ConflictError when it was changed elsewhere or is behind."""
    loaded = _locked(member, service_id)
    _check_revision(loaded, revision)
    if loaded.state.step not in (Step.CONSULTATION, Step.PLAN):
        raise ConflictError("already_started", "The plan is at the chair; the consultation is closed.")
    row = loaded.row
    if len({z.key for z in zones}) != len(zones):
        raise LimitError("zones", "zones with different keys", [z.key for z in zones])
    if values.get("wanted_level") is not None:
        check_level("wanted_level", values["wanted_level"])
    for field, value in values.items():
        setattr(row, field, getattr(value, "value", value))
    row.revision += 1
    row.save()
    own = {z.key: z.volume_override for z in row.zones.all()}
    row.zones.all().delete()
    row.zones.bulk_create(zone_row(row, z, i, own.get(z.key)) for i, z in enumerate(zones))
    audit(member, "consultation written", row.pk)
    return load(queries.get(member, service_id))


def preview_plan(loaded: Loaded, member: Membership, choice: dict[str, Any]) -> tuple[Plan, PlanRequest]:
    """The plan of a choice, without keeping it. 404 for another studio's lightener."""
    _apply_choice(loaded.row, member, choice)
    base = queries.plan_request(loaded)
    order: list[str] = choice["order"]
    if order:
        if sorted(order) != sorted(z.key for z in base.zones):
            raise LimitError("order", f"all zones once ({', '.join(z.key for z in base.zones)})", order)
        by_key = {z.key: z for z in base.zones}
        zones = tuple(by_key[k] for k in order)
    else:
        zones = base.zones
    request = PlanRequest(
        zones=zones,
        lightener=base.lightener,
        bottles=base.bottles,
        finish_min=choice["finish_min"],
        volumes=choice["volumes"],
        has_additive=choice["has_additive"],
    )
    return make_plan(request), request


def _apply_choice(row: Service, member: Membership, choice: dict[str, Any]) -> None:
    row.lightener = get_object_or_404(Lightener, studio_id=member.studio_id, pk=choice["lightener_key"])
    row.finish_min = choice["finish_min"]
    row.has_additive = choice["has_additive"]


@transaction.atomic
def write_plan(
    member: Membership, service_id: UUID, *, revision: int, choice: dict[str, Any]
) -> tuple[Loaded, Plan, PlanRequest]:
    """Keep the choices of a plan. Raises ConflictError once it is at the chair."""
    loaded = _locked(member, service_id)
    require_lead(member, "write a plan")
    _check_revision(loaded, revision)
    if loaded.state.step is not Step.PLAN:
        raise ConflictError("not_planning", "This service is not at its plan.")
    plan, request = preview_plan(loaded, member, choice)
    loaded.row.revision += 1
    loaded.row.save()
    rows = {z.key: z for z in loaded.row.zones.all()}
    for position, zone in enumerate(request.zones):
        row = rows[zone.key]
        row.position = position
        row.volume_override = request.volumes.get(zone.key)
        row.save(update_fields=["position", "volume_override"])
    audit(member, "plan written", service_id)
    return load(queries.get(member, service_id)), plan, request


@transaction.atomic
def take_plan(member: Membership, service_id: UUID, *, event_id: UUID) -> Loaded:
    """Take the saved plan to the chair: the server computes it anew and logs what was taken."""
    loaded = _locked(member, service_id)
    plan = make_plan(queries.plan_request(loaded))
    data = PlanTaken(
        zone_keys=tuple(z.zone.key for z in plan.zones),
        volumes=tuple(z.volume_strength for z in plan.zones),
        finish_min=plan.finish_min,
    )
    return _append(member, loaded, event_id=event_id, occurred_at=timezone.now(), data=data)


@transaction.atomic
def record_event(
    member: Membership, service_id: UUID, *, event_id: UUID, occurred_at: dt.datetime, data: EventData
) -> Loaded:
    """Add one event to the log. Sent again with the same id, it is taken once."""
    return _append(member, _locked(member, service_id), event_id=event_id, occurred_at=occurred_at, data=data)


def _append(member: Membership, loaded: Loaded, *, event_id: UUID, occurred_at: dt.datetime, data: EventData) -> Loaded:
    known = ServiceEvent.objects.filter(event_id=event_id).first()
    if known is not None:
        if known.service_id == loaded.row.pk:
            return loaded
        raise ConflictError("event_id_taken", "This event id is taken.")
    now = timezone.now()
    if occurred_at.tzinfo is None or not now - PAST_MAX <= occurred_at <= now + FUTURE_MAX:
        raise LimitError("occurred_at", "a moment with time zone within the last two days", occurred_at.isoformat())
    check_event(member, loaded, data)
    row = ServiceEvent(
        service=loaded.row,
        event_id=event_id,
        kind=type(data).__name__,
        occurred_at=occurred_at,
        recorded_at=now,
        by=member.user,
        by_name=member.name,
        schema_version=SCHEMA_VERSION,
        data=data_to_json(data),
    )
    state = check_addition(loaded.events, event_value(row))
    row.save()
    Service.objects.filter(pk=loaded.row.pk).update(step=state.step.value)
    audit(member, row.kind, loaded.row.pk)
    return load(queries.get(member, loaded.row.pk))
