"""A new client's own request: it lands as a draft consultation, with the time asked for beside what it needs."""

from __future__ import annotations

import datetime as dt
import ipaddress
import math
from collections.abc import Sequence
from uuid import UUID

from django.conf import settings
from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone
from django.utils.crypto import salted_hmac
from ninja import UploadedFile

from apps.clients.models import Client
from apps.common.telling import tell
from apps.common.words import in_words, language, speaking
from apps.records.photos import add_row
from apps.services.adapters import zone_row
from apps.services.models import Service
from apps.services.visits.actions import expected_min
from apps.shelf.models import Lightener
from apps.studio.actions import audit
from apps.studio.closed import is_shut
from apps.studio.models import AuditEntry, LinkUse, Membership, Role, Studio, StudioLink
from apps.studio.policies import require_may
from apps.studio.puzzle import check_answer, new_puzzle
from fervens_core.base import ConflictError, LimitError, check_level, check_range, check_text, say
from fervens_core.head import USUAL_HEAD, Hair, History, Zone
from fervens_core.log import Step
from fervens_words import DEFAULT

A_DAY, OF_ONE = 200, 4
"""So many requests a day for a studio, and of one sender; beyond it someone is playing with it."""
CALM = 8
"""From so many requests an hour on the puzzle is a bit harder with each doubling: who asks once does not notice, who
asks a thousand times pays for all of them."""
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


def _of_sender(address: str) -> str:
    """Who asks, as a keyed hash: of an address of version 6 its network, as one holder has all of that."""
    try:
        known = ipaddress.ip_address(address)
        if known.version == 6:
            address = str(ipaddress.ip_network((known, 64), strict=False))
    except ValueError:
        pass
    return salted_hmac("fervens.sender", address).hexdigest()


def puzzle_for(link: StudioLink) -> str:
    """The puzzle of a form: harder while very many ask."""
    hour = timezone.now() - dt.timedelta(hours=1)
    asked = LinkUse.objects.filter(studio_id=link.studio_id, at__gte=hour).count()
    return new_puzzle(settings.REQUEST_PUZZLE_BITS + max(0, math.ceil(math.log2(max(asked, 1) / CALM))))


def _noted(link: StudioLink, sender: str, puzzle: str, now: dt.datetime) -> LinkUse:
    """One request more. Raises ConflictError for a puzzle that was used, and for too many of one sender, or in all."""
    Studio.objects.select_for_update().get(pk=link.studio_id)
    day = now - dt.timedelta(days=1)
    LinkUse.objects.filter(studio_id=link.studio_id, at__lt=day).delete()
    uses = LinkUse.objects.filter(studio_id=link.studio_id)
    if uses.filter(puzzle=puzzle).exists():
        raise ConflictError("puzzle")
    told = _of_sender(sender)
    if uses.filter(sender=told).count() >= OF_ONE or uses.count() >= A_DAY:
        raise ConflictError("too_many_requests")
    return LinkUse.objects.create(studio_id=link.studio_id, sender=told, puzzle=puzzle)


def _alike(member: Membership, service_id: UUID) -> list[Service]:
    """A request that nobody has begun on, and all others of its sender. 404 for another studio's."""
    rows = Service.objects.filter(
        studio_id=member.studio_id, source="request", step=Step.CONSULTATION.value, revision=0, events=None
    )
    one = get_object_or_404(rows, pk=service_id)
    uses = LinkUse.objects.filter(studio_id=member.studio_id)
    use = uses.filter(service=service_id).first()
    others = [x.service for x in uses.filter(sender=use.sender) if x.service] if use else []
    return [one, *rows.filter(pk__in=others).exclude(pk=one.pk)]


def count_alike(member: Membership, service_id: UUID) -> int:
    """How many requests would go with one. 404 for another studio's."""
    return len(_alike(member, service_id))


@transaction.atomic
def clear_requests(member: Membership, service_id: UUID) -> int:
    """A request nobody meant, and all others of its sender, gone at once with the clients they made; how many.

    Raises Http404 for another studio's, or one that was begun on.
    """
    require_may(member, "cancel_a_visit")
    rows = _alike(member, service_id)
    clients = {r.client_id for r in rows}
    Service.objects.filter(pk__in=[r.pk for r in rows]).delete()
    Client.objects.filter(pk__in=clients, services=None).delete()
    audit(member, "requests_cleared", len(rows))
    tell(member.studio_id, service_id, "cancelled")
    return len(rows)


def language_of(link: StudioLink) -> str:
    """The language of a link's studio: of whom it belongs to."""
    owner = link.studio.members.filter(role=Role.OWNER).order_by("pk").first()
    return (owner and owner.language) or DEFAULT


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
    puzzle: str,
    answer: str,
    sender: str,
) -> tuple[Service, float | None]:
    """The draft consultation of a request, and the chair time it needs, min.

    Args:
        puzzle, answer: of `puzzle_for`, solved. sender: the address it comes from.
    Raises:
        LimitError: a value out of its limits. ConflictError: too many requests today, or no answer to the puzzle.
    """
    now = timezone.now()
    if starts_at.tzinfo is None or not now < starts_at <= now + AHEAD_MAX:
        raise LimitError("starts_at", say("limit-within_a_year"), starts_at.isoformat())
    if is_shut(link.studio, starts_at):
        raise LimitError("starts_at", say("limit-open_day"), timezone.localdate(starts_at).isoformat())
    slot = check_range("slot_min", slot_min, 15.0, 900.0, "min")
    use = _noted(link, sender, check_answer(puzzle, answer), now)
    if len(photos) > PHOTOS_MAX:
        raise LimitError("photos", say("limit-at_most_so_many", most=PHOTOS_MAX), len(photos))
    asked, own = language(), language_of(link)
    with speaking(own):  # what is kept is for the studio to read
        zones = _zones(check_level("now_level", now_level), check_level("wished_level", wished_level), history)
        reach = _text("contact", contact, 120)
        past = _text("told", told)
        client = Client.objects.create(
            studio_id=link.studio_id,
            name=check_text("name", name.strip()),
            language="" if asked == own else asked,
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
        use.service = row.pk
        use.save(update_fields=["service"])
        row.zones.bulk_create([zone_row(row, z, i) for i, z in enumerate(zones)])
        for upload in photos:
            add_row(row, upload, kind="before", caption=in_words(say("request-photo")), by_name=client.name)
        AuditEntry.objects.create(
            studio_id=link.studio_id,
            member_name=in_words(say("request-form")),
            act="request_came_in",
            target=str(row.pk),
        )
    tell(link.studio_id, row.pk, "request")
    return row, expected_min(row, zones)
