"""What stands on a day: services, patch tests, requests, reminders."""

from __future__ import annotations

import datetime as dt

from django.utils import timezone

from apps.clients.models import Client
from apps.services.loading import of_studio, with_parts
from apps.services.models import Service
from apps.studio.models import Membership
from fervens_core.followup import REMINDER_DAYS
from fervens_core.log import Step

DAY_MAX = 100


PATCH_TEST_OPEN_DAYS = 14


OPEN_SINCE_H = 12


REMIND_LEAST_DAYS = 2
"""Later than this a reminder changes nothing any more."""


def of_day(member: Membership, day: dt.date) -> list[Service]:
    """Services that start on a day, and today also those of the last 12 hours, which may still be open."""
    start = dt.datetime.combine(day, dt.time.min, tzinfo=timezone.get_current_timezone())
    end = start + dt.timedelta(days=1)
    now = timezone.now()
    if start <= now < end:
        start = min(start, now - dt.timedelta(hours=OPEN_SINCE_H))
    rows = of_studio(member).filter(starts_at__gte=start, starts_at__lt=end)
    return list(with_parts(rows).order_by("starts_at")[:DAY_MAX])


def patch_tests(member: Membership, now: dt.datetime) -> list[Client]:
    """Clients whose patch test was placed in the last two weeks and is not read yet, the oldest first."""
    rows = Client.objects.filter(studio_id=member.studio_id, patch_test_result="not_done")
    since = now - dt.timedelta(days=PATCH_TEST_OPEN_DAYS)
    return list(rows.filter(patch_test_placed_at__gte=since).order_by("patch_test_placed_at")[:DAY_MAX])


def open_requests(member: Membership, now: dt.datetime) -> list[Service]:
    """Requests of new clients that nobody has begun to work on, the next day first."""
    rows = of_studio(member).filter(source="request", step=Step.CONSULTATION.value, starts_at__gte=now, revision=0)
    return list(rows.select_related("client").order_by("starts_at")[:DAY_MAX])


def reminders_due(member: Membership, now: dt.datetime) -> list[Service]:
    """Booked visits whose client is to be reminded now: within three weeks, not begun, not reminded yet."""
    until = now + dt.timedelta(days=REMINDER_DAYS[0])
    soon = now + dt.timedelta(days=REMIND_LEAST_DAYS)
    rows = of_studio(member).filter(
        step=Step.CONSULTATION.value, reminded_at=None, starts_at__gte=soon, starts_at__lte=until
    )
    return list(rows.exclude(source="request").select_related("client").order_by("starts_at")[:DAY_MAX])
