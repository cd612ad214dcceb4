"""Erasing a client on request: the log keeps what was done to hair, not whose hair it was."""

from __future__ import annotations

from uuid import UUID

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.clients.models import Client
from apps.clients.queries import of_studio
from apps.services.models import Addendum, Photo, PlanVersion, Service, ServiceEvent
from apps.studio.actions import audit
from apps.studio.models import AuditEntry, Membership
from apps.studio.policies import require_may
from fervens_core.base import LimitError, personal_fields, say
from fervens_core.log import KINDS


def _blank(row: Client | Service) -> None:
    for field, value in row.PERSONAL.items():
        setattr(row, field, value.copy() if isinstance(value, dict | list) else value)


@transaction.atomic
def erase_client(member: Membership, client_id: UUID, *, typed_name: str) -> Client:
    """Take name, birth, health facts, notes, wishes, photos and free texts out for good.

    Args:
        typed_name: the client's name, typed again, so that it is not the wrong one.
    Raises:
        LimitError: another name was typed.
    """
    row = get_object_or_404(of_studio(member).select_for_update(), pk=client_id)
    require_may(member, "erase_a_client")
    if typed_name.strip() != row.name:
        raise LimitError("typed_name", say("limit-client_name", name=row.name), typed_name[:80])
    _blank(row)
    row.erased_at = timezone.now()
    row.save()
    services = Service.objects.filter(client=row)
    Photo.objects.filter(service__in=services).delete()
    for kind in (Addendum, PlanVersion):
        kind.objects.filter(service__in=services).update(**kind.PERSONAL)
    told = [kind for kind, data in KINDS.items() if personal_fields(data)]
    for event in ServiceEvent.objects.filter(service__in=services, kind__in=told):
        event.data = event.data | {name: "" for name in personal_fields(KINDS[event.kind]) if name in event.data}
        event.save(update_fields=["data"])
    for service in services:
        summary = service.summary and service.summary | Service.PERSONAL["summary"]
        _blank(service)
        service.summary = summary
        service.revision += 1
        service.save()
    about = [str(row.pk), *(str(pk) for pk in services.values_list("pk", flat=True))]
    AuditEntry.objects.filter(studio_id=member.studio_id, target__in=about).update(changes={})
    audit(member, "client_erased", row.pk)
    return row
