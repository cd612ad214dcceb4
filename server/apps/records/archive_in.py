"""Bringing an archive into an empty studio: looked over before it is unpacked, checked row by row, all or nothing.

docs/format/archive.md.
"""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import IO, Any
from uuid import UUID

from django.contrib.auth import get_user_model
from django.core.exceptions import ValidationError
from django.db import IntegrityError, models, transaction
from django.utils import timezone

from apps.clients.models import Client
from apps.common.words import checked_language
from apps.records.archive import (
    BATCH,
    FORMAT,
    SHELF,
    STUDIO,
    STUDIO_LATER,
    TRAIL,
    VERSION,
)
from apps.records.archive_reader import PHOTO_MAX, Reader, any_json, as_json, as_list, as_object, made
from apps.services.acts import LINES_MAX
from apps.services.adapters import choice_value, event_value, findings_value, strand_rows, zone_values
from apps.services.camera import card_values
from apps.services.chair.present import board_out
from apps.services.consultation.present import service_out
from apps.services.day.present import day_service
from apps.services.eyes import eyes_out
from apps.services.loading import check_lanes, get, load
from apps.services.models import Addendum, Photo, PlanVersion, Service, ServiceEvent, StockUse, Zone
from apps.services.plan.present import version_out
from apps.shelf.models import Developer, Lightener, Toner
from apps.shelf.queries import lighteners
from apps.studio.actions import audit
from apps.studio.models import AuditEntry, Membership, Role, Studio
from apps.studio.people import (
    GROWTH,
    IDLE_MIN,
    MEMBERS_MAX,
    PACE,
    WEAKEST,
    WEAKEST_VOLUME,
    checked_closed,
)
from apps.studio.policies import require_may
from fervens_core.base import ConflictError, CoreError, LimitError, check_range, read, say
from fervens_core.followup import read_filed
from fervens_core.head import ReadingMode
from fervens_core.lift import EyePair
from fervens_core.log import Step, fold
from fervens_core.planning import Paces, School

PARTS = {
    "zones": 200, "versions": 200, "events": LINES_MAX, "addenda": 5000, "uses": 4 * LINES_MAX,
    "photos": 500,
}  # fmt: skip
"""Not less than can be written: what goes out comes in again."""


def _is_empty(studio_id: UUID) -> bool:
    kinds: tuple[type[models.Model], ...] = (Client, Service, Lightener, Developer, Toner)
    return not any(k._default_manager.filter(studio_id=studio_id).exists() for k in kinds)


def _take_members(studio: Studio, people: list[Any]) -> dict[str, Any]:
    """Users by the archive's names; those that are new have no password until an owner gives them one."""
    users = get_user_model()
    found: dict[str, Any] = {}
    for i, one in enumerate(people):
        where = f"members[{i}]"
        m = as_object(one, where)
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
        rounds = any_json(Membership._meta.get_field("eye_rounds"), m.get("eye_rounds", []), f"{where}.eye_rounds")
        with _as_kept(f"{where}.eye_rounds", rounds):
            for told in rounds:
                _ = [EyePair(ReadingMode(told["mode"]), seen, known, std) for seen, known, std in told["pairs"]]
        pace = m.get("pace_min_per_foil")
        if pace is not None and not (isinstance(pace, int | float) and 0.1 <= pace <= 6.0):
            raise LimitError(
                f"{where}.pace_min_per_foil", say("limit-range", low=PACE[0], high=PACE[1], unit="min"), str(pace)[:40]
            )
        row, _ = Membership.objects.get_or_create(user=user, defaults={"studio": studio, "role": role})
        row.pace_min_per_foil, row.eye_rounds = pace, rounds
        row.language = checked_language(str(m.get("language") or ""))
        row.shares_practice = m.get("shares_practice", False) is True
        row.save()
        found[name] = user
    return found


def _take_shelf(studio: Studio, shelf: dict[str, Any]) -> None:
    for name, kind, value_of in SHELF:
        rows = []
        for i, raw in enumerate(as_list(shelf.get(name), f"shelf.{name}", 500)):
            row = made(kind, raw, f"shelf.{name}[{i}]", studio=studio)
            value_of(row)  # the core's own limits
            rows.append(row)
        kind._default_manager.bulk_create(rows)


def _keep_moments(kind: type[models.Model], rows: list[Any], moments: list[Any]) -> None:
    """Put back when rows were made; the database would say now."""
    for row, at in zip(rows, moments, strict=True):
        row.created_at = at
    kind._default_manager.bulk_update(rows, ["created_at"], batch_size=BATCH)


def _take_clients(studio: Studio, clients: list[Any]) -> dict[str, Client]:
    rows = [made(Client, raw, f"clients[{i}]", studio=studio) for i, raw in enumerate(clients)]
    moments = [r.created_at for r in rows]
    Client.objects.bulk_create(rows, batch_size=500)
    _keep_moments(Client, rows, moments)
    return {str(r.pk): r for r in rows}


def _take_service(
    raw: dict[str, Any],
    where: str,
    member: Membership,
    clients: dict[str, Client],
    users: dict[str, Any],
    shelf: set[Any],
) -> tuple[Service, list[tuple[Photo, str]], Any]:
    studio = member.studio
    client = clients.get(str(raw.get("client")))
    if client is None:
        raise LimitError(f"{where}.client", say("limit-client_of_archive"), str(raw.get("client"))[:40])
    parts = {k: as_list(raw.get(k, []), f"{where}.{k}", most) for k, most in PARTS.items()}
    values = dict(raw)
    previous = values.get("previous")
    values["previous"] = None
    lightener = values.get("lightener")
    if lightener is not None and str(lightener) not in shelf:
        raise LimitError(f"{where}.lightener", say("limit-on_archives_shelf"), str(lightener)[:40])
    values["lightener"] = None
    service = made(Service, values, where, studio=studio, client=client)
    service.lightener_id = lightener
    made_at = service.created_at
    service.save(force_insert=True)
    Service.objects.filter(pk=service.pk).update(created_at=made_at)
    service.created_at = made_at
    for name, kind in (("zones", Zone), ("versions", PlanVersion), ("addenda", Addendum), ("uses", StockUse)):
        rows = [made(kind, x, f"{where}.{name}[{i}]", service=service) for i, x in enumerate(parts[name])]
        kind._default_manager.bulk_create(rows)
    events = []
    for i, x in enumerate(parts["events"]):
        row = made(ServiceEvent, x, f"{where}.events[{i}]", service=service)
        row.by = users.get(str(as_object(x, where).get("by", "")))
        events.append(row)
    ServiceEvent.objects.bulk_create(events)
    zone_values(service)
    for i, version in enumerate(service.versions.all()):
        try:
            version_out(version)
        except (ValueError, TypeError, AttributeError) as error:
            raise LimitError(f"{where}.versions[{i}].summary", say("limit-as_kept"), str(error)[:60]) from error
    with _as_kept(f"{where}.strands", service.strands):
        strand_rows(service, {x.key: x for x in lighteners(studio.pk)})
    if service.summary is not None:
        read_filed(service.summary, f"{where}.summary")
    findings_value(service, client)
    choice_value(service, [z.key for z in service.zones.all()])
    state = fold(event_value(e) for e in events)
    if state.step.value != service.step:
        raise LimitError(f"{where}.step", say("limit-step_of_log", step=state.step.value), service.step)
    with _as_kept(where, service.pk):  # as the pages will show it
        loaded = load(get(member, service.pk))
        check_lanes(loaded)
        service_out(loaded)
        if state.step is not Step.RECORD:
            day_service(service, timezone.now())
            board_out(loaded)
    photos = []
    for i, x in enumerate(parts["photos"]):
        photo = made(Photo, x, f"{where}.photos[{i}]", service=service)
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
    reader = Reader(upload, size)
    head = as_object(as_json(reader.read("archive.json"), "archive.json"), "archive.json")
    if head.get("format") != FORMAT or head.get("version") not in (1, VERSION):
        raise LimitError(
            "archive.json",
            say("limit-format", format=FORMAT, version=VERSION),
            f"{str(head.get('format'))[:40]} {str(head.get('version'))[:20]}",
        )
    own = as_object(head.get("studio"), "archive.json.studio")
    for name in STUDIO_LATER:
        if name in own:
            _check_later(studio, name, own[name])
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


def _take_trail(reader: Reader, studio: Studio) -> None:
    """Who did what, as it was told then."""
    if TRAIL not in reader.file.namelist():
        return
    rows: list[AuditEntry] = []
    moments: list[Any] = []

    def keep() -> None:
        AuditEntry.objects.bulk_create(rows)
        for row, at in zip(rows, moments, strict=True):
            row.at = at
        AuditEntry.objects.bulk_update(rows, ["at"], batch_size=BATCH)
        rows.clear()
        moments.clear()

    for number, line in reader.lines(TRAIL):
        where = f"trail, line {number}"
        row = made(AuditEntry, as_json(line, where), where, id=None, studio=studio)
        if not all(isinstance(v, list) and len(v) == 2 for v in row.changes.values()):
            raise LimitError(f"{where}.changes", say("limit-as_kept"), str(row.changes)[:60])
        moments.append(row.at)
        rows.append(row)
        if len(rows) >= BATCH:
            keep()
    keep()


def _check_later(studio: Studio, name: str, value: Any) -> None:
    """One of the studio's own things, read as the chair would read it. Raises LimitError."""
    where = f"archive.json.studio.{name}"
    with _as_kept(where, value):
        field = Studio._meta.get_field(name)
        setattr(studio, name, any_json(field, value, where) if isinstance(field, models.JSONField) else value)
        if name == "hands":
            Paces(**value)
        elif name == "school":
            read(School, value)
        elif name == "eyes":
            eyes_out(studio)
        elif name == "card":
            card_values(studio)
        elif name == "to_order" and not all(isinstance(x, str) and len(x) <= 200 for x in value):
            raise ValueError
        elif name == "closed_on":
            checked_closed(value, where)
        elif name == "idle_min":
            studio.idle_min = int(check_range(where, value, *IDLE_MIN, "min"))
        elif name == "demands_second_factor" and not isinstance(value, bool):
            raise TypeError


@contextmanager
def _as_kept(where: str, value: Any) -> Iterator[None]:
    """What cannot be read as it would be shown was not kept by a studio. Raises LimitError for it."""
    try:
        yield
    except CoreError:
        raise
    except (ValueError, TypeError, KeyError, AttributeError, IndexError, ArithmeticError) as error:
        raise LimitError(where, say("limit-as_kept"), str(value)[:60]) from error


def _take(reader: Reader, studio: Studio, member: Membership) -> dict[str, int]:
    users = _take_members(studio, as_list(as_json(reader.read("members.json"), "members.json"), "members", MEMBERS_MAX))
    shelf = as_object(as_json(reader.read("shelf.json"), "shelf.json"), "shelf.json")
    _take_shelf(studio, shelf)
    own_lighteners = {str(pk) for pk in Lightener.objects.filter(studio=studio).values_list("pk", flat=True)}
    clients = _take_clients(studio, as_list(as_json(reader.read("clients.json"), "clients.json"), "clients", 200_000))
    count = photo_count = 0
    before: dict[Any, Any] = {}
    for number, line in reader.lines("services.jsonl"):
        where = f"services, line {number}"
        raw = as_object(as_json(line, where), where)
        service, photos, previous = _take_service(raw, where, member, clients, users, own_lighteners)
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
    _take_trail(reader, studio)
    audit(member, "archive_brought_in", studio.pk)
    return {"clients": len(clients), "services": count, "photos": photo_count}
