"""When a studio is shut, as the core knows it."""

from __future__ import annotations

import datetime as dt

from django.utils import timezone

from apps.studio.models import Studio
from fervens_core.base import read
from fervens_core.followup import ClosedDays, closed_between, is_closed

AHEAD_DAYS = 366


def closed_of(studio: Studio) -> tuple[ClosedDays, ...]:
    """Its holidays and breaks."""
    return tuple(read(ClosedDays, x, f"closed_on[{i}]") for i, x in enumerate(studio.closed_on))


def closed_ahead(studio: Studio) -> list[dt.date]:
    """The days of the coming year on which it is shut."""
    today = timezone.localdate()
    return list(closed_between(closed_of(studio), today, today + dt.timedelta(days=AHEAD_DAYS)))


def is_shut(studio: Studio, at: dt.datetime) -> bool:
    """Whether it is shut on the day of a moment."""
    return is_closed(closed_of(studio), timezone.localdate(at))
