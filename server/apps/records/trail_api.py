"""The audit trail: who did what to what, the owner's to read."""

from __future__ import annotations

import datetime as dt
from uuid import UUID

from django.http import HttpRequest
from django.utils import timezone
from ninja import Router, Schema

from apps.clients.models import Client
from apps.common.problems import ERRORS, Problem
from apps.common.words import Words
from apps.services.models import Service
from apps.studio.auth import member_of
from apps.studio.models import AuditEntry, Membership
from apps.studio.policies import require_may
from fervens_core.base import Message, say

router = Router(tags=["studio"])
PAGE = 100


class AuditLine(Schema):
    """Who did what, and when; `about` is whom or what it was about, where that can still be told."""

    at: dt.datetime
    member_name: str
    act: Words
    target: str
    about: str


class AuditPage(Schema):
    """A page of the audit trail, the newest first."""

    total: int
    lines: list[AuditLine]


def _ids(rows: list[AuditEntry]) -> list[UUID]:
    found = []
    for row in rows:
        try:
            found.append(UUID(row.target))
        except ValueError:
            continue
    return found


def _abouts(member: Membership, rows: list[AuditEntry]) -> dict[str, str]:
    """Names of the clients and services some lines are about, by their ids."""
    ids = _ids(rows)
    clients = Client.objects.filter(studio_id=member.studio_id, pk__in=ids)
    services = Service.objects.filter(studio_id=member.studio_id, pk__in=ids).select_related("client")
    found = {str(c.pk): c.name for c in clients}
    for s in services.only("starts_at", "client__name"):
        found[str(s.pk)] = f"{s.client.name}, {timezone.localdate(s.starts_at)}"
    return found


def _act(act: str) -> Message | str:
    """What was done, in words: one of ours, or the name of an event."""
    return say(f"audit-{act}") if act.islower() else act


@router.get("/audit", response={200: AuditPage, ERRORS: Problem})
def read_audit(request: HttpRequest, page: int = 1) -> AuditPage:
    """Who did what, the newest first."""
    member = member_of(request)
    require_may(member, "read_the_audit_trail")
    rows = AuditEntry.objects.filter(studio_id=member.studio_id).order_by("-at", "-id")
    start = (min(max(page, 1), 10_000) - 1) * PAGE
    shown = list(rows[start : start + PAGE])
    abouts = _abouts(member, shown)
    lines = [
        AuditLine(
            at=r.at,
            member_name=r.member_name,
            act=_act(r.act),
            target=r.target,
            about=abouts.get(r.target, ""),
        )
        for r in shown
    ]
    return AuditPage(total=rows.count(), lines=lines)
