"""Finding clients within a studio."""

from __future__ import annotations

from uuid import UUID

from django.db.models import QuerySet
from django.shortcuts import get_object_or_404

from apps.clients.models import Client
from apps.studio.models import Membership

PAGE = 50


def of_studio(member: Membership) -> QuerySet[Client]:
    """Only the member's own studio's clients."""
    return Client.objects.filter(studio_id=member.studio_id)


def get(member: Membership, client_id: UUID) -> Client:
    """One client; 404 when it is another studio's."""
    return get_object_or_404(of_studio(member), pk=client_id)


def find(member: Membership, *, search: str, page: int) -> tuple[int, list[Client]]:
    """Clients whose name holds the search text, without the erased: how many, and one page of them."""
    rows = of_studio(member).filter(erased_at=None).order_by("name")
    if search:
        rows = rows.filter(name__icontains=search[:80])
    start = (min(max(page, 1), 10_000) - 1) * PAGE
    return rows.count(), list(rows[start : start + PAGE])
