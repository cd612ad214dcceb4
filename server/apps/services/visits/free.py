"""What a cancelled visit leaves free, and who asked for a time and could come then."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass

from django.utils import timezone

from apps.services import loading
from apps.services.day.queries import open_requests
from apps.services.models import Service
from apps.studio.models import Membership

USUAL_MIN = 180.0
"""[MODEL] a visit that was booked for no known time."""
SHOWN_MOST = 5


@dataclass(frozen=True, slots=True)
class Free:
    """A time that is free: from when, for how many minutes, and requests that fit in, the soonest asked first."""

    starts_at: dt.datetime
    free_min: float
    could_come: tuple[Service, ...]


def booked_min(row: Service) -> float:
    """Minutes a visit is in the diary for."""
    return float(row.facts.get("booked_min") or USUAL_MIN)


def left_by(member: Membership, row: Service) -> Free | None:
    """What a visit that is about to be cancelled leaves free; None where it is past.

    It is free until the next visit of that day, and for as long as it was booked where there is none.
    """
    if row.starts_at <= timezone.now():
        return None
    requests = [r for r in open_requests(member, timezone.now()) if r.pk != row.pk]
    end = timezone.localtime(row.starts_at).replace(hour=23, minute=59)
    later = loading.of_studio(member).filter(starts_at__gt=row.starts_at, starts_at__lte=end)
    next_at = later.exclude(pk__in=[r.pk for r in requests]).order_by("starts_at").values_list("starts_at", flat=True)
    gap = (next_at[0] - row.starts_at).total_seconds() / 60.0 if next_at else booked_min(row)
    fits = [r for r in requests if booked_min(r) <= gap]
    return Free(row.starts_at, gap, tuple(fits[:SHOWN_MOST]))
