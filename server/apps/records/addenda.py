"""Additions to a filed record: dated, named, never changed."""

from __future__ import annotations

from uuid import UUID

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.services import loading
from apps.services.models import Addendum
from apps.studio.actions import audit
from apps.studio.models import Membership
from fervens_core.base import ConflictError, LimitError, say
from fervens_core.log import Step

ADDENDA_MAX = 100
TEXT_MAX = 2000


@transaction.atomic
def add_addendum(member: Membership, service_id: UUID, text: str) -> Addendum:
    """Add to a filed service. Raises ConflictError before it is filed, LimitError for an empty or long text."""
    service = get_object_or_404(loading.of_studio(member).select_for_update(), pk=service_id)
    if service.step != Step.RECORD.value:
        raise ConflictError("not_filed")
    said = text.strip()
    if not 1 <= len(said) <= TEXT_MAX:
        raise LimitError("text", say("limit-text", most=TEXT_MAX), len(said))
    if service.addenda.count() >= ADDENDA_MAX:
        raise ConflictError("enough_addenda", most=ADDENDA_MAX)
    row = Addendum.objects.create(service=service, at=timezone.now(), by_name=member.name, text=said)
    audit(member, "record_added_to", service_id)
    return row
