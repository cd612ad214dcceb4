"""Adding and correcting clients."""

from __future__ import annotations

import datetime as dt
from typing import Any
from uuid import UUID

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.clients.models import Client
from apps.clients.queries import of_studio
from apps.common.moments import moment
from apps.common.words import checked_language
from apps.studio.actions import audit, changes_between, values_of
from apps.studio.models import Membership
from apps.studio.policies import require_may
from fervens_core.base import ConflictError, LimitError, check_range, check_text, say

OPTIONAL = {"birth_date", "reacts_to_oxidative", "patch_test_placed_at", "growth_mm_per_month"}
GROWTH = (4.0, 25.0)
"""mm a month; 12 is common (common practice, no source)."""


def _apply(row: Client, values: dict[str, Any]) -> None:
    now = timezone.now()
    for field, value in values.items():
        if value is None and field not in OPTIONAL:
            raise LimitError(field, say("limit-given"), value)
        kept = moment(field, value) if isinstance(value, dt.datetime) else getattr(value, "value", value)
        setattr(row, field, kept)
    row.name = check_text("name", row.name).strip()
    checked_language(row.language)
    if row.birth_date and not dt.date(1900, 1, 1) <= row.birth_date <= now.date():
        raise LimitError(
            "birth_date", say("limit-day", low="1900-01-01", high=now.date().isoformat()), row.birth_date.isoformat()
        )
    if row.growth_mm_per_month is not None:
        check_range("growth_mm_per_month", row.growth_mm_per_month, *GROWTH, "mm")
    placed = row.patch_test_placed_at
    if placed and placed > now + dt.timedelta(minutes=5):
        raise LimitError("patch_test_placed_at", say("limit-not_in_future"), placed.isoformat())


@transaction.atomic
def add_client(member: Membership, values: dict[str, Any]) -> Client:
    """A new client of the member's studio. Raises LimitError."""
    row = Client(studio_id=member.studio_id)
    if values.get("patch_test_result", row.patch_test_result) != row.patch_test_result:
        require_may(member, "read_a_patch_test")
    _apply(row, values)
    row.save()
    audit(member, "client_added", row.pk)
    return row


@transaction.atomic
def change_client(member: Membership, client_id: UUID, values: dict[str, Any]) -> Client:
    """Correct a client's facts. Raises LimitError, ConflictError once erased; 404 for another studio's client."""
    row = get_object_or_404(of_studio(member).select_for_update(), pk=client_id)
    if row.erased_at:
        raise ConflictError("erased.written")
    if values.get("patch_test_result", row.patch_test_result) != row.patch_test_result:
        require_may(member, "read_a_patch_test")
    before = values_of(row)
    _apply(row, values)
    row.save()
    audit(member, "client_changed", row.pk, changes_between(before, values_of(row)))
    return row
