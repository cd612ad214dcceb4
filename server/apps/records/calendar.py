"""Visits as iCalendar (RFC 5545): one by one, and as a feed for a diary."""

from __future__ import annotations

import datetime as dt

from django.utils import timezone
from icalendar import Alarm, Calendar, Event

from apps.common.words import in_words
from apps.services.models import Service
from apps.studio.models import Studio
from fervens_core.base import say
from fervens_core.followup import REMINDER_DAYS, reminder_text
from fervens_core.log import Step

USUAL_MIN = 180
FEED_PAST = dt.timedelta(days=30)
FEED_AHEAD = dt.timedelta(days=400)
FEED_MAX = 2000


def _calendar(name: str) -> Calendar:
    calendar = Calendar()
    calendar.add("prodid", "-//Fervens//visits//EN")
    calendar.add("version", "2.0")
    calendar.add("x-wr-calname", name)
    return calendar


def _visit(row: Service, *, with_wish: bool) -> Event:
    event = Event()
    minutes = float(row.facts.get("booked_min") or USUAL_MIN)
    event.add("uid", f"{row.pk}@fervens")
    event.add("dtstamp", timezone.now())
    event.add("dtstart", row.starts_at.astimezone(dt.UTC))
    event.add("dtend", (row.starts_at + dt.timedelta(minutes=minutes)).astimezone(dt.UTC))
    event.add("summary", in_words(say("calendar-visit", client=row.client.name)))
    on = timezone.localdate(row.starts_at)
    reminder = in_words(reminder_text(on, is_toned=True))
    event.add("description", f"{row.wish}\n\n{reminder}" if with_wish and row.wish else reminder)
    event.add("status", "CONFIRMED")
    if row.step != Step.RECORD.value:
        alarm = Alarm()
        alarm.add("action", "DISPLAY")
        alarm.add("description", reminder)
        alarm.add("trigger", -dt.timedelta(days=REMINDER_DAYS[1]))
        event.add_component(alarm)
    return event


def visit_file(row: Service) -> bytes:
    """One visit with its reminder two weeks before; nothing of the hair or the health goes in."""
    calendar = _calendar(in_words(say("calendar-name")))
    calendar.add_component(_visit(row, with_wish=False))
    return bytes(calendar.to_ical())


def feed(studio: Studio, now: dt.datetime) -> bytes:
    """The studio's visits of the last month and the coming year, for a diary."""
    rows = Service.objects.filter(studio=studio, starts_at__gte=now - FEED_PAST, starts_at__lte=now + FEED_AHEAD)
    calendar = _calendar(studio.name)
    found = rows.select_related("client").defer("summary", "strands", "choice").order_by("starts_at")[:FEED_MAX]
    for row in found:
        calendar.add_component(_visit(row, with_wish=True))
    return bytes(calendar.to_ical())
