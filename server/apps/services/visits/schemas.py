"""What goes over the wire about visits past and to come."""

from __future__ import annotations

import datetime as dt
from typing import Literal, Self
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.common.schemas import In
from apps.common.words import Words
from fervens_core.followup import FiledLane, FiledToner, LastFormula, NextVisit


class CouldCome(Schema):
    """A request that fits into a time that is free: who, when they asked for, and minutes they need."""

    service_id: UUID
    client_name: str
    starts_at: dt.datetime
    booked_min: float


class CancelledOut(Schema):
    """Whose visit was cancelled, what is free now, and who asked for a time and could come then."""

    client_id: UUID
    free_at: dt.datetime | None
    free_min: float
    could_come: list[CouldCome]


class MoveIn(In):
    """When a visit is to be instead."""

    starts_at: dt.datetime


class AgainIn(In):
    """When the client comes, and for how long the diary has them; `after` is the service to start from."""

    starts_at: dt.datetime | None = None
    booked_min: float | None = Field(None, ge=15, le=900)
    after: UUID | None = None


class VisitAt(Schema):
    """A service by its id, and when it starts."""

    service_id: UUID
    starts_at: dt.datetime


class ReminderIn(In):
    """Whether the client was told."""

    is_sent: bool = True


class NextOut(Schema):
    """The visit to propose after a filed service, the visits left to its wish, and what is booked already.

    `closed`: days of the coming year on which the studio is shut.
    """

    proposal: NextVisit
    visits_left: int | None
    formulas: list[LastFormula]
    booked: list[VisitAt]
    closed: list[dt.date]


class LaneThen(Schema):
    """A lane as a filed service kept it."""

    name: Words
    zone_key: str
    before: float
    target: float
    level: float | None
    is_read: bool
    before_hex: str
    level_hex: str
    volume: float
    minutes: float | None
    contact_min: float
    volume_min: float
    is_past_wall: bool

    @classmethod
    def from_filed(cls, lane: FiledLane) -> Self:
        """As it was filed."""
        own = {field: getattr(lane, field) for field in cls.model_fields if field != "name"}
        return cls(name=lane.label, **own)


class TonerThen(Schema):
    """A toner as a filed service kept it."""

    name: Words
    formula: str
    minutes: float
    product_g: float
    developer_g: float
    hex: str

    @classmethod
    def from_filed(cls, toner: FiledToner) -> Self:
        """As it was filed."""
        own = {name: getattr(toner, name) for name in cls.model_fields if name != "name"}
        return cls(name=toner.label, **own)


class ServiceThen(Schema):
    """One service of a client's history."""

    id: UUID
    starts_at: dt.datetime
    step: str
    source: Words
    wish: str
    worked: str
    change: str
    lightener_name: str
    contact_min: float
    lanes: list[LaneThen]
    toners: list[TonerThen]


class ZoneLoad(Schema):
    """Contact load of one zone over all its services."""

    name: Words
    services: int
    minutes: float
    volume_minutes: float


class TestThen(Schema):
    """A test with how long it holds."""

    kind: Literal["patch", "strand"]
    text: Words
    at: dt.datetime | None
    holds_until: dt.date | None
    is_expired: bool


class HistoryOut(Schema):
    """A client over the years."""

    services: list[ServiceThen]
    loads: list[ZoneLoad]
    tests: list[TestThen]
    growth_mm_per_month: float
    regrowth_mm: float | None
    is_past_root: bool
    can_start_again: bool
    formulas: list[LastFormula]
