"""What goes over the wire about a day."""

from __future__ import annotations

import datetime as dt
from uuid import UUID

from ninja import Schema

from apps.common.words import Words
from fervens_core.head import ServiceKind, Tone
from fervens_core.log import Step


class DayService(Schema):
    """A service on the day's list: where it stands, what is next, and its zones' colours now and wanted."""

    id: UUID
    client_name: str
    starts_at: dt.datetime
    kind: ServiceKind
    step: Step
    is_blocked: bool
    next_text: Words
    next_due_at: dt.datetime | None
    wish: str
    tone: Tone
    hexes_now: list[str]
    hexes_target: list[str]
    level_from: float | None
    level_to: float | None


class DayPatchTest(Schema):
    """A patch test that is placed and not read."""

    client_id: UUID
    client_name: str
    placed_at: dt.datetime
    due_at: dt.datetime
    is_due: bool


class DayVisit(Schema):
    """A visit to come, by whom and when."""

    service_id: UUID
    client_name: str
    starts_at: dt.datetime


class DayReminder(DayVisit):
    """A visit whose client is to be reminded now, with the text."""

    text: Words


class DayOut(Schema):
    """The services of a day, and the patch tests that wait to be read."""

    day: dt.date
    services: list[DayService]
    patch_tests: list[DayPatchTest]
    requests: list[DayVisit]
    reminders: list[DayReminder]
    server_now: dt.datetime


class FoundClient(Schema):
    """A client that was found."""

    id: UUID
    name: str


class FoundService(Schema):
    """A service that was found."""

    id: UUID
    client_name: str
    starts_at: dt.datetime
    step: str
    wish: str


class FoundOut(Schema):
    """What a search found."""

    clients: list[FoundClient]
    services: list[FoundService]


class WeekVisit(FoundService):
    """A visit of a week; `booked_min` as the diary has it."""

    booked_min: float | None
    source: str


class WeekOut(Schema):
    """Seven days from a Monday, and those of them on which the studio is shut."""

    monday: dt.date
    closed: list[dt.date]
    visits: list[WeekVisit]


class DemoOut(Schema):
    """Minutes a demo has been left; null while it is used, and in a studio that is no demo."""

    asleep_min: float | None
