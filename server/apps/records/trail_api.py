"""The audit trail: who did what to what, the owner's to read."""

from __future__ import annotations

import csv
import datetime as dt
import io
import json
from collections.abc import Iterator
from uuid import UUID

from django.http import HttpRequest, StreamingHttpResponse
from django.utils import timezone
from ninja import Router, Schema

from apps.clients.models import Client
from apps.common.problems import ERRORS, Problem
from apps.common.words import Words, in_words
from apps.services.models import Service
from apps.studio.actions import audit
from apps.studio.auth import member_of
from apps.studio.models import AuditEntry, Membership
from apps.studio.policies import require_may
from fervens_core.base import Message, say
from fervens_core.formats import as_cell

router = Router(tags=["studio"])
PAGE = 100


class Change(Schema):
    """A field that was changed, from what to what, as text."""

    field: str
    before: str
    after: str


class AuditLine(Schema):
    """Who did what, and when; `about` is whom or what it was about, where that can still be told."""

    at: dt.datetime
    member_name: str
    act: Words
    target: str
    about: str
    changes: list[Change]


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


def _text(value: object) -> str:
    return "" if value is None else str(value).lower() if isinstance(value, bool) else str(value)


def _changes(row: AuditEntry) -> list[Change]:
    return [Change(field=k, before=_text(was), after=_text(now)) for k, (was, now) in row.changes.items()]


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
            changes=_changes(r),
        )
        for r in shown
    ]
    return AuditPage(total=rows.count(), lines=lines)


FILE_BATCH = 500


@router.get("/audit/file", response={200: None, ERRORS: Problem})
def save_audit(request: HttpRequest) -> StreamingHttpResponse:
    """The whole trail as CSV, the oldest first: when, who, act, its words, target, changes (JSON). Itself noted."""
    member = member_of(request)
    require_may(member, "read_the_audit_trail")
    audit(member, "trail_taken_out", member.studio_id)
    rows = AuditEntry.objects.filter(studio_id=member.studio_id).order_by("at", "id").iterator(chunk_size=FILE_BATCH)

    def lines() -> Iterator[str]:
        out = io.StringIO()
        writer = csv.writer(out)
        writer.writerow(["at", "member", "act", "words", "target", "changes"])
        for r in rows:
            changes = json.dumps(r.changes, ensure_ascii=False) if r.changes else ""
            told = [r.member_name, r.act, in_words(_act(r.act)), r.target, changes]
            writer.writerow([r.at.isoformat(), *(as_cell(x) for x in told)])
            yield out.getvalue()
            out.seek(0)
            out.truncate()

    answer = StreamingHttpResponse(lines(), content_type="text/csv; charset=utf-8")
    answer["Content-Disposition"] = 'attachment; filename="who-did-what.csv"'
    return answer
