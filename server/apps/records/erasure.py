"""Erasing a client on request: the log keeps what was done to hair, not whose hair it was."""

from __future__ import annotations

from uuid import UUID

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.clients.models import Client
from apps.clients.queries import of_studio
from apps.services.models import Addendum, Photo, Service, ServiceEvent
from apps.studio.actions import audit
from apps.studio.models import Membership
from apps.studio.policies import require_lead
from fervens_core.base import LimitError

ERASED = "Erased client"
NOT_DONE = "not_done"


@transaction.atomic
def erase_client(member: Membership, client_id: UUID, *, typed_name: str) -> Client:
    """Take name, birth, health facts, notes, wishes, photos and free texts out for good.

    Args:
        typed_name: the client's name, typed again, so that it is not the wrong one.
    Raises:
        LimitError: another name was typed.
    """
    row = get_object_or_404(of_studio(member).select_for_update(), pk=client_id)
    require_lead(member, "erase a client")
    if typed_name.strip() != row.name:
        raise LimitError("typed_name", f"the client's name, {row.name}", typed_name[:80])
    row.name, row.notes, row.birth_date = ERASED, "", None
    row.reacts_to_oxidative, row.patch_test_placed_at, row.patch_test_result = None, None, NOT_DONE
    row.erased_at = timezone.now()
    row.save()
    services = Service.objects.filter(client=row)
    Photo.objects.filter(service__in=services).delete()
    Addendum.objects.filter(service__in=services).update(text="Erased on request.")
    for event in ServiceEvent.objects.filter(service__in=services, kind="ServiceClosed"):
        event.data = event.data | {"worked": "", "change": ""}
        event.save(update_fields=["data"])
    for service in services:
        service.wish, service.facts, service.strands = "", {}, []
        service.scalp, service.elasticity, service.salts_test = "sound", "returns", NOT_DONE
        if service.summary:
            service.summary = service.summary | {"worked": "", "change": ""}
        service.revision += 1
        service.save()
    audit(member, "client erased", row.pk)
    return row
