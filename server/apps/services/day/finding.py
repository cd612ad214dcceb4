"""Finding clients and services, and the weeks they are booked in. The same few queries however many there are."""

from __future__ import annotations

import datetime as dt

from django.utils import timezone

from apps.clients.models import Client
from apps.services.loading import of_studio
from apps.services.models import Service
from apps.studio.models import Membership

FOUND_MAX = 20


SEARCH_LEAST = 2


WEEK_MAX = 300


DAYS = 7


def search(member: Membership, text: str) -> tuple[list[Client], list[Service]]:
    """Clients whose name holds a text, and services whose client or wish does, the newest first; 20 of each."""
    wanted = text.strip()[:80]
    if len(wanted) < SEARCH_LEAST:
        return [], []
    rows = Client.objects.filter(studio_id=member.studio_id, name__icontains=wanted, erased_at=None)
    clients = list(rows.order_by("name")[:FOUND_MAX])
    own = of_studio(member).select_related("client").defer("summary", "strands", "facts", "choice")
    by_client = list(own.filter(client__in=[c.pk for c in clients]).order_by("-starts_at")[:FOUND_MAX])
    by_wish = list(own.filter(wish__icontains=wanted).order_by("-starts_at")[:FOUND_MAX])
    found = {s.pk: s for s in (*by_client, *by_wish)}
    return clients, sorted(found.values(), key=lambda s: s.starts_at, reverse=True)[:FOUND_MAX]


def week_of(member: Membership, day: dt.date) -> tuple[dt.date, list[Service]]:
    """The Monday of a day's week, and the services that start in that week."""
    monday = day - dt.timedelta(days=day.weekday())
    start = dt.datetime.combine(monday, dt.time.min, tzinfo=timezone.get_current_timezone())
    rows = of_studio(member).filter(starts_at__gte=start, starts_at__lt=start + dt.timedelta(days=DAYS))
    found = rows.select_related("client").defer("summary", "strands", "choice").order_by("starts_at")[:WEEK_MAX]
    return monday, list(found)
