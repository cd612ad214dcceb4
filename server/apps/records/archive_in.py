"""Bringing an archive into an empty studio: looked over before it is unpacked, checked row by row, all or nothing.

docs/format/archive.md.
"""

from __future__ import annotations

import json
import math
import zipfile
from collections.abc import Iterator
from typing import IO, Any
from uuid import UUID

from django.contrib.auth import get_user_model
from django.core.exceptions import ValidationError
from django.db import IntegrityError, models, transaction

from apps.clients.models import Client
from apps.records.archive import BATCH, FORMAT, NAMES, SHELF, SKIPPED, STUDIO, VERSION, fields_of
from apps.services.adapters import choice_value, event_value, findings_value, strand_rows, zone_values
from apps.services.models import Addendum, Photo, PlanVersion, Service, ServiceEvent, StockUse, Zone
from apps.services.plan.present import version_out
from apps.shelf.models import Developer, Lightener, Toner
from apps.shelf.queries import lighteners
from apps.studio.actions import audit
from apps.studio.models import Membership, Role, Studio
from apps.studio.people import GROWTH, PACE, WEAKEST, WEAKEST_VOLUME
from apps.studio.policies import require_may
from fervens_core.base import ConflictError, CoreError, LimitError, check_range, say
from fervens_core.followup import read_filed
from fervens_core.log import fold

FILE_MAX = 500_000_000
WHOLE_MAX = 4_000_000_000
ENTRY_MAX = 1_500_000_000
PHOTO_MAX = 3_000_000
LINE_MAX = 4_000_000
RATIO_MAX = 250
SLACK = 1_000_000
ENTRIES_MAX = 200_000


def _no_number(text: str) -> Any:
    raise LimitError("archive", say("limit-finite_only"), text)


def _float(text: str) -> float:
    value = float(text)
    return value if math.isfinite(value) else _no_number(text[:40])


def _json(data: bytes, where: str) -> Any:
    try:
        return json.loads(data.decode("utf-8"), parse_constant=_no_number, parse_float=_float)
    except UnicodeDecodeError as error:
        raise LimitError(where, say("limit-utf8"), error.start) from error
    except (ValueError, RecursionError) as error:
        if isinstance(error, CoreError):
            raise
        raise CoreError("bad_archive.json", where=where, why=str(error)[:80]) from error


class _Reader:
    """A zip that was looked over before anything of it is unpacked."""

    def __init__(self, upload: IO[bytes], size: int) -> None:
        if not 0 < size <= FILE_MAX:
            raise LimitError("archive", say("limit-file_of_bytes", most=FILE_MAX), size)
        try:
            self.file = zipfile.ZipFile(upload)
        except (zipfile.BadZipFile, OSError, ValueError, NotImplementedError) as error:
            raise CoreError("bad_archive") from error
        entries = self.file.infolist()
        if len(entries) > ENTRIES_MAX:
            raise LimitError("archive", say("limit-most_entries", most=ENTRIES_MAX), len(entries))
        names = [e.filename for e in entries]
        if len(set(names)) != len(names):
            raise LimitError("archive", say("limit-entry_once"), len(entries))
        for e in entries:
            is_photo = e.filename.startswith("photos/") and e.filename.endswith(".jpg") and e.filename.count("/") == 1
            if e.filename not in NAMES and not is_photo:
                raise LimitError("archive", say("limit-archive_entries", names=tuple(NAMES)), e.filename[:80])
            if e.flag_bits & 1:
                raise LimitError("archive", say("limit-not_encrypted"), e.filename[:80])
            most = PHOTO_MAX if is_photo else ENTRY_MAX
            if e.file_size > most or e.file_size > SLACK + RATIO_MAX * max(e.compress_size, 1):
                raise LimitError(
                    f"archive, {e.filename[:80]}", say("limit-packed", most=most, ratio=RATIO_MAX), e.file_size
                )
        if (total := sum(e.file_size for e in entries)) > WHOLE_MAX:
            raise LimitError("archive", say("limit-unpacked", most=WHOLE_MAX), total)
        missing = [n for n in NAMES if n not in names]
        if missing:
            raise LimitError("archive", say("limit-with", names=tuple(NAMES)), [n for n in NAMES if n in names])

    def read(self, name: str, most: int = ENTRY_MAX) -> bytes:
        """One entry, never more than its limit whatever it says of itself."""
        try:
            with self.file.open(name) as entry:
                data = entry.read(most + 1)
        except (KeyError, zipfile.BadZipFile, OSError, ValueError, EOFError, NotImplementedError) as error:
            raise CoreError("bad_archive.unreadable", name=name) from error
        if len(data) > most:
            raise LimitError(f"archive, {name}", say("limit-most_bytes", most=most), most + 1)
        return data

    def lines(self, name: str) -> Iterator[tuple[int, bytes]]:
        """The lines of an entry, one after another."""
        try:
            with self.file.open(name) as entry:
                number = 0
                while line := entry.readline(LINE_MAX + 1):
                    number += 1
                    if len(line) > LINE_MAX:
                        raise LimitError(f"{name}, line {number}", say("limit-most_bytes", most=LINE_MAX), LINE_MAX + 1)
                    yield number, line
        except (zipfile.BadZipFile, EOFError, OSError) as error:
            raise CoreError("bad_archive.unreadable", name=name) from error


def _object(value: Any, where: str) -> dict[str, Any]:
    if not isinstance(value, dict):
        raise LimitError(where, say("limit-object"), type(value).__name__)
    return value


def _list(value: Any, where: str, most: int) -> list[Any]:
    if not isinstance(value, list) or len(value) > most:
        raise LimitError(where, say("limit-at_most_so_many", most=most), type(value).__name__)
    return value


def _any_json(f: models.Field[Any, Any], raw: Any, where: str) -> Any:
    """A JSON value of the kind its field holds: a list, an object, or nothing where that may be."""
    usual = f.get_default()
    wanted = list if isinstance(usual, list) else dict
    if isinstance(raw, wanted) or (raw is None and f.null):
        return raw
    raise LimitError(where, say("limit-list") if wanted is list else say("limit-object"), str(raw)[:40])


def _made(kind: type[models.Model], value: Any, where: str, **own: Any) -> Any:
    """A row of plain values, each checked by its field; unknown fields are refused."""
    values = dict(_object(value, where))
    row = kind(**own)
    for f in fields_of(kind):
        if f.name in own or (f.primary_key and f.name not in values):
            continue
        if f.name not in values:
            if f.has_default():
                continue  # younger than the archive
            raise LimitError(f"{where}.{f.name}", say("limit-given"), None)
        raw = values.pop(f.name)
        if isinstance(f, models.JSONField):
            setattr(row, f.attname, _any_json(f, raw, f"{where}.{f.name}"))
            continue
        try:
            clean = f.clean(raw, row) if raw is not None or not f.null else None
        except ValidationError as error:
            raise LimitError(
                f"{where}.{f.name}", say("limit-field_of_model", why=error.messages[0][:120]), str(raw)[:60]
            ) from error
        if isinstance(clean, float) and not math.isfinite(clean):
            raise LimitError(f"{where}.{f.name}", say("limit-finite"), str(raw)[:40])
        if isinstance(clean, str) and "\x00" in clean:
            raise LimitError(f"{where}.{f.name}", say("limit-no_control"), repr(raw)[:60])
        setattr(row, f.attname, clean)
    left = [k for k in values if k not in SKIPPED and k not in PARTS]
    if left:
        raise LimitError(f"{where}.{left[0][:40]}", say("limit-known_field"), str(values[left[0]])[:40])
    return row


PARTS = {"client": None, "zones": 60, "versions": 60, "events": 3000, "addenda": 100, "uses": 3000, "photos": 24}


def _is_empty(studio_id: UUID) -> bool:
    kinds: tuple[type[models.Model], ...] = (Client, Service, Lightener, Developer, Toner)
    return not any(k._default_manager.filter(studio_id=studio_id).exists() for k in kinds)


def _take_members(studio: Studio, people: list[Any]) -> dict[str, Any]:
    """Users by the archive's names; those that are new have no password until an owner gives them one."""
    users = get_user_model()
    found: dict[str, Any] = {}
    for i, one in enumerate(people):
        where = f"members[{i}]"
        m = _object(one, where)
        name, role = m.get("username"), m.get("role")
        if not isinstance(name, str) or not 1 <= len(name) <= 150 or role not in Role.values:
            raise LimitError(where, say("limit-member"), str(name)[:40])
        user = users.objects.filter(username=name).first()
        if user is None:
            texts = {k: str(m.get(k, ""))[:150] for k in ("first_name", "last_name")}
            user = users(username=name, is_active=bool(m.get("is_active", True)), **texts)
            user.set_unusable_password()
            user.save()
        elif not Membership.objects.filter(user=user, studio=studio).exists():
            continue  # a name of another studio's: the log keeps the words, not the account
        pace = m.get("pace_min_per_foil")
        if pace is not None and not (isinstance(pace, int | float) and 0.1 <= pace <= 6.0):
            raise LimitError(
                f"{where}.pace_min_per_foil", say("limit-range", low=PACE[0], high=PACE[1], unit="min"), str(pace)[:40]
            )
        row, _ = Membership.objects.get_or_create(user=user, defaults={"studio": studio, "role": role})
        row.pace_min_per_foil = pace
        row.save()
        found[name] = user
    return found


def _take_shelf(studio: Studio, shelf: dict[str, Any]) -> None:
    for name, kind, value_of in SHELF:
        rows = []
        for i, raw in enumerate(_list(shelf.get(name), f"shelf.{name}", 500)):
            row = _made(kind, raw, f"shelf.{name}[{i}]", studio=studio)
            value_of(row)  # the core's own limits
            rows.append(row)
        kind._default_manager.bulk_create(rows)


def _keep_moments(kind: type[models.Model], rows: list[Any], moments: list[Any]) -> None:
    """Put back when rows were made; the database would say now."""
    for row, moment in zip(rows, moments, strict=True):
        row.created_at = moment
    kind._default_manager.bulk_update(rows, ["created_at"], batch_size=BATCH)


def _take_clients(studio: Studio, clients: list[Any]) -> dict[str, Client]:
    rows = [_made(Client, raw, f"clients[{i}]", studio=studio) for i, raw in enumerate(clients)]
    moments = [r.created_at for r in rows]
    Client.objects.bulk_create(rows, batch_size=500)
    _keep_moments(Client, rows, moments)
    return {str(r.pk): r for r in rows}


def _take_service(
    raw: dict[str, Any], where: str, studio: Studio, clients: dict[str, Client], users: dict[str, Any], shelf: set[Any]
) -> tuple[Service, list[tuple[Photo, str]], Any]:
    client = clients.get(str(raw.get("client")))
    if client is None:
        raise LimitError(f"{where}.client", say("limit-client_of_archive"), str(raw.get("client"))[:40])
    parts = {k: _list(raw.get(k, []), f"{where}.{k}", most) for k, most in PARTS.items() if most}
    values = dict(raw)
    previous = values.get("previous")
    values["previous"] = None
    lightener = values.get("lightener")
    if lightener is not None and lightener not in shelf:
        raise LimitError(f"{where}.lightener", say("limit-on_archives_shelf"), str(lightener)[:40])
    values["lightener"] = None
    service = _made(Service, values, where, studio=studio, client=client)
    service.lightener_id = lightener
    made_at = service.created_at
    service.save(force_insert=True)
    Service.objects.filter(pk=service.pk).update(created_at=made_at)
    service.created_at = made_at
    for name, kind in (("zones", Zone), ("versions", PlanVersion), ("addenda", Addendum), ("uses", StockUse)):
        rows = [_made(kind, x, f"{where}.{name}[{i}]", service=service) for i, x in enumerate(parts[name])]
        kind._default_manager.bulk_create(rows)
    events = []
    for i, x in enumerate(parts["events"]):
        row = _made(ServiceEvent, x, f"{where}.events[{i}]", service=service)
        row.by = users.get(str(_object(x, where).get("by", "")))
        events.append(row)
    ServiceEvent.objects.bulk_create(events)
    zone_values(service)
    for i, version in enumerate(service.versions.all()):
        try:
            version_out(version)
        except (ValueError, TypeError, AttributeError) as error:
            raise LimitError(f"{where}.versions[{i}].summary", say("limit-as_kept"), str(error)[:60]) from error
    strand_rows(service, {x.key: x for x in lighteners(studio.pk)})
    if service.summary is not None:
        read_filed(service.summary, f"{where}.summary")
    findings_value(service, client)
    choice_value(service, [z.key for z in service.zones.all()])
    state = fold(event_value(e) for e in events)
    if state.step.value != service.step:
        raise LimitError(f"{where}.step", say("limit-step_of_log", step=state.step.value), service.step)
    photos = []
    for i, x in enumerate(parts["photos"]):
        photo = _made(Photo, x, f"{where}.photos[{i}]", service=service)
        photos.append((photo, f"photos/{photo.pk}.jpg"))
    return service, photos, previous


@transaction.atomic
def read_archive(member: Membership, upload: IO[bytes], size: int) -> dict[str, int]:
    """An archive becomes the studio, when it is empty: how many clients, services and photos came.

    Raises:
        ConflictError: the studio is not empty. LimitError, CoreError: what is wrong with the file; nothing is kept.
    """
    require_may(member, "bring_a_studio_in")
    studio = Studio.objects.select_for_update().get(pk=member.studio_id)
    if not _is_empty(studio.pk):
        raise ConflictError("not_empty")
    reader = _Reader(upload, size)
    head = _object(_json(reader.read("archive.json"), "archive.json"), "archive.json")
    if head.get("format") != FORMAT or head.get("version") != VERSION:
        raise LimitError(
            "archive.json", say("limit-format", format=FORMAT, version=VERSION), str(head.get("format"))[:40]
        )
    own = _object(head.get("studio"), "archive.json.studio")
    for name in STUDIO:
        if name in own or name not in WEAKEST:  # an older archive did not say what was usual
            setattr(studio, name, own.get(name))
    try:
        studio.clean_fields()
    except ValidationError as error:
        raise LimitError(
            "archive.json.studio", say("limit-studio_settings"), "; ".join(error.messages)[:120]
        ) from error
    check_range("archive.json.studio.pace_min_per_foil", studio.pace_min_per_foil, *PACE, "min")
    check_range("archive.json.studio.growth_mm_per_month", studio.growth_mm_per_month, *GROWTH, "mm")
    for name in WEAKEST:
        check_range(f"archive.json.studio.{name}", getattr(studio, name), *WEAKEST_VOLUME, "vol")
    studio.save()
    try:
        return _take(reader, studio, member)
    except IntegrityError as error:
        raise ConflictError("already_here") from error


def _take(reader: _Reader, studio: Studio, member: Membership) -> dict[str, int]:
    users = _take_members(studio, _list(_json(reader.read("members.json"), "members.json"), "members", 500))
    shelf = _object(_json(reader.read("shelf.json"), "shelf.json"), "shelf.json")
    _take_shelf(studio, shelf)
    own_lighteners = {str(pk) for pk in Lightener.objects.filter(studio=studio).values_list("pk", flat=True)}
    clients = _take_clients(studio, _list(_json(reader.read("clients.json"), "clients.json"), "clients", 200_000))
    count = photo_count = 0
    before: dict[Any, Any] = {}
    for number, line in reader.lines("services.jsonl"):
        where = f"services, line {number}"
        raw = _object(_json(line, where), where)
        service, photos, previous = _take_service(raw, where, studio, clients, users, own_lighteners)
        count += 1
        if previous:
            before[service.pk] = previous
        for photo, name in photos:
            jpeg = reader.read(name, PHOTO_MAX)
            if not jpeg.startswith(b"\xff\xd8\xff"):
                raise LimitError(name, say("limit-jpeg"), repr(jpeg[:8]))
            photo.jpeg = jpeg
            photo.save(force_insert=True)
            photo_count += 1
    known = set(map(str, Service.objects.filter(studio=studio).values_list("pk", flat=True)))
    for pk, previous in before.items():
        if str(previous) in known:
            Service.objects.filter(pk=pk).update(previous_id=previous)
    audit(member, "archive_brought_in", studio.pk)
    return {"clients": len(clients), "services": count, "photos": photo_count}
