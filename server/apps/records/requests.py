"""A new client's own request: it lands as a draft consultation, with the time asked for beside what it needs."""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence

from django.db import transaction
from django.utils import timezone
from ninja import UploadedFile

from apps.clients.models import Client
from apps.common.telling import tell
from apps.common.words import in_words
from apps.records.photos import add_row
from apps.services.adapters import zone_row
from apps.services.models import Service
from apps.services.visits.actions import expected_min
from apps.shelf.models import Lightener
from apps.studio.models import AuditEntry, StudioLink
from fervens_core.base import ConflictError, LimitError, check_level, check_range, check_text, say
from fervens_core.head import USUAL_HEAD, Hair, History, Zone

A_DAY = 30
"""So many requests a day and link; beyond it someone is playing with it."""
AHEAD_MAX = dt.timedelta(days=366)
PHOTOS_MAX = 4
TEXT_MAX = 1500


def _zones(now_level: float, wished: float, history: History) -> tuple[Zone, ...]:
    hair = Hair(now_level, history)
    target = max(now_level, wished)
    return tuple(
        Zone(z.key, in_words(z.name), hair, target, foil_count=z.foil_count, is_delicate=z.is_delicate)
        for z in USUAL_HEAD
    )


def _text(field: str, text: str, longest: int = TEXT_MAX) -> str:
    if len(text) > longest:
        raise LimitError(field, say("limit-longest", most=longest), len(text))
    return text.strip()


@transaction.atomic
def take_request(
    link: StudioLink,
    *,
    name: str,
    contact: str,
    wish: str,
    told: str,
    history: History,
    now_level: float,
    wished_level: float,
    starts_at: dt.datetime,
    slot_min: float,
    photos: Sequence[UploadedFile],
) -> tuple[Service, float | None]:
    """The draft consultation of a request, and the chair time it needs, min.

    Raises:
        LimitError: a value out of its limits. ConflictError: too many requests today.
    """
    now = timezone.now()
    if starts_at.tzinfo is None or not now < starts_at <= now + AHEAD_MAX:
        raise LimitError("starts_at", say("limit-within_a_year"), starts_at.isoformat())
    slot = check_range("slot_min", slot_min, 15.0, 900.0, "min")
    own = Service.objects.filter(studio_id=link.studio_id, source="request", created_at__gte=now - dt.timedelta(days=1))
    if own.count() >= A_DAY:
        raise ConflictError("too_many_requests")
    if len(photos) > PHOTOS_MAX:
        raise LimitError("photos", say("limit-at_most_so_many", most=PHOTOS_MAX), len(photos))
    zones = _zones(check_level("now_level", now_level), check_level("wished_level", wished_level), history)
    reach = _text("contact", contact, 120)
    past = _text("told", told)
    client = Client.objects.create(
        studio_id=link.studio_id,
        name=check_text("name", name.strip()),
        notes=in_words(
            say(
                "request-notes",
                on=now.date(),
                reach=reach or say("request-not_given"),
                past=past or say("request-nothing"),
            )
        )[:2000],
    )
    row = Service.objects.create(
        studio_id=link.studio_id,
        client=client,
        starts_at=starts_at,
        wish=_text("wish", wish),
        wanted_level=max(now_level, wished_level),
        lightener=Lightener.objects.filter(studio_id=link.studio_id).order_by("name").first(),
        facts={"booked_min": slot},
        source="request",
    )
    row.zones.bulk_create([zone_row(row, z, i) for i, z in enumerate(zones)])
    for upload in photos:
        add_row(row, upload, kind="before", caption=in_words(say("request-photo")), by_name=client.name)
    AuditEntry.objects.create(
        studio_id=link.studio_id, member_name=in_words(say("request-form")), act="request_came_in", target=str(row.pk)
    )
    tell(link.studio_id, row.pk, "request")
    return row, expected_min(row, zones)
