"""Everything of a studio in one file, and back into an empty one: docs/format/archive.md. All of it, or nothing.

A zip with JSON inside: archive.json, members.json, shelf.json, clients.json, services.jsonl (one service a line), and
photos/<id>.jpg. Ids stay what they are, so that what is taken out again is the same.
"""

from __future__ import annotations

import datetime as dt
import io
import json
import tempfile
import zipfile
from collections.abc import Callable, Iterator, Mapping
from typing import IO, Any
from uuid import UUID

from django.db import models

from apps.clients.models import Client
from apps.services.models import Photo, Service, ServiceEvent, StockUse
from apps.shelf.adapters import developer_value, lightener_value, toner_value
from apps.shelf.models import Developer, Lightener, Toner
from apps.studio.actions import audit
from apps.studio.models import AuditEntry, Membership, Studio
from apps.studio.policies import require_may

FORMAT, VERSION = "fervens-archive", 2
NAMES = ("archive.json", "members.json", "shelf.json", "clients.json", "services.jsonl")
TRAIL = "trail.jsonl"
"""Who did what; an archive of version 1 has none."""
BATCH = 200
STUDIO = (
    "name",
    "pace_min_per_foil",
    "growth_mm_per_month",
    "weakest_natural",
    "weakest_worn",
    "weakest_old_dye",
    "currency",
)
STUDIO_LATER = (
    "hands",
    "school",
    "eyes",
    "card",
    "to_order",
    "idle_min",
    "demands_second_factor",
    "units",
    "closed_on",
)
"""What an archive of version 1 did not hold of the studio."""
PARTS_OF_SERVICE = ("client", "zones", "versions", "events", "addenda", "uses", "photos")
SKIPPED = {"studio", "service", "client", "jpeg", "by"}
SHELF: tuple[tuple[str, type[models.Model], Callable[[Any], object]], ...] = (
    ("lighteners", Lightener, lightener_value),
    ("developers", Developer, developer_value),
    ("toners", Toner, toner_value),
)


def plain_of(value: Any) -> Any:
    """A value as JSON has it: times in UTC, ids as texts."""
    if isinstance(value, dt.datetime):
        return value.astimezone(dt.UTC).isoformat()
    if isinstance(value, dt.date):
        return value.isoformat()
    return str(value) if isinstance(value, UUID) else value


def fields_of(kind: type[models.Model]) -> list[models.Field[Any, Any]]:
    """The fields of a row that go into the archive as they are; links to what it stands in do not."""
    return [f for f in kind._meta.concrete_fields if f.name not in SKIPPED]


def _row(row: models.Model, *, with_id: bool = True) -> dict[str, Any]:
    """A row as plain values, in the order of its fields."""
    return {f.name: plain_of(getattr(row, f.attname)) for f in fields_of(type(row)) if with_id or not f.primary_key}


def _service(row: Service, usernames: Mapping[int, str]) -> dict[str, Any]:
    return _row(row) | {
        "client": str(row.client_id),
        "zones": [_row(z, with_id=False) for z in row.zones.all()],
        "versions": [_row(v, with_id=False) for v in row.versions.all()],
        "events": [_row(e, with_id=False) | {"by": usernames.get(e.by_id or 0, "")} for e in row.events.all()],
        "addenda": [_row(a, with_id=False) for a in row.addenda.all()],
        "uses": [_row(u, with_id=False) for u in row.uses.all()],
        "photos": [_row(p) for p in row.photos.all()],
    }


def _services(studio: Studio) -> Iterator[Service]:
    rows = Service.objects.filter(studio=studio).order_by("starts_at", "pk")
    parts = (
        "zones",
        "versions",
        models.Prefetch("events", ServiceEvent.objects.order_by("pk")),
        "addenda",
        models.Prefetch("uses", StockUse.objects.order_by("pk")),
        models.Prefetch("photos", Photo.objects.defer("jpeg")),
    )
    return rows.prefetch_related(*parts).iterator(chunk_size=BATCH)


def write_archive(member: Membership, *, now: dt.datetime) -> IO[bytes]:
    """Everything of the member's studio as a zip in a temporary file; audited, for clients' data leaves by an act."""
    require_may(member, "take_the_studio_out")
    studio = member.studio
    rows = Membership.objects.filter(studio=studio).select_related("user").order_by("user__username")
    usernames = {m.user_id: m.user.get_username() for m in rows}
    head = {"format": FORMAT, "version": VERSION, "made_at": now.isoformat()}
    studio_values = {f: getattr(studio, f) for f in (*STUDIO, *STUDIO_LATER)}
    people = [
        {
            "username": m.user.get_username(),
            "first_name": m.user.first_name,
            "last_name": m.user.last_name,
            "role": m.role,
            "is_active": m.user.is_active,
            "email": m.user.email,
            "pace_min_per_foil": m.pace_min_per_foil,
            "eye_rounds": m.eye_rounds,
            "language": m.language,
            "shares_practice": m.shares_practice,
        }
        for m in rows
    ]
    shelf = {
        name: [_row(r) for r in kind._default_manager.filter(studio=studio).order_by("name", "pk")]
        for name, kind, _ in SHELF
    }
    clients = [_row(c) for c in Client.objects.filter(studio=studio).order_by("name", "pk")]
    out = tempfile.TemporaryFile()  # noqa: SIM115  the answer closes it
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as file:
        for name, value in (
            ("archive.json", head | {"studio": studio_values}),
            ("members.json", people),
            ("shelf.json", shelf),
            ("clients.json", clients),
        ):
            file.writestr(name, json.dumps(value, ensure_ascii=False, indent=1))
        with file.open("services.jsonl", "w", force_zip64=True) as lines:
            for service in _services(studio):
                lines.write(json.dumps(_service(service, usernames), ensure_ascii=False).encode() + b"\n")
        with file.open(TRAIL, "w", force_zip64=True) as lines:
            for line in AuditEntry.objects.filter(studio=studio).order_by("at", "id").iterator(chunk_size=BATCH):
                told = {f: plain_of(getattr(line, f)) for f in ("at", "member_name", "act", "target", "changes")}
                lines.write(json.dumps(told, ensure_ascii=False).encode() + b"\n")
        photos = Photo.objects.filter(service__studio=studio).order_by("pk").values_list("pk", "jpeg")
        for pk, jpeg in photos.iterator(chunk_size=20):
            file.writestr(zipfile.ZipInfo(f"photos/{pk}.jpg"), bytes(jpeg))
    audit(member, "archive_taken_out", studio.pk)
    out.seek(0)
    return out


def client_archive(member: Membership, client: Client, *, now: dt.datetime) -> bytes:
    """Everything that is kept of one client, for them to have: a zip with JSON and the photos. Audited."""
    rows = Service.objects.filter(studio_id=member.studio_id, client=client).order_by("starts_at")
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as file:
        head = {"format": "fervens-client", "version": 1, "made_at": now.isoformat(), "client": _row(client)}
        services = rows.prefetch_related("zones", "versions", "events", "addenda", "uses", "photos")
        file.writestr(
            "client.json",
            json.dumps(head | {"services": [_service(s, {}) for s in services]}, ensure_ascii=False, indent=1),
        )
        for photo in Photo.objects.filter(service__in=rows):
            file.writestr(zipfile.ZipInfo(f"photos/{photo.pk}.jpg"), bytes(photo.jpeg))
    audit(member, "client_taken_out", client.pk)
    return out.getvalue()
