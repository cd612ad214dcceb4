"""Coming back: last time, the next visit, the week, and finding people."""

from __future__ import annotations

import datetime as dt
from typing import Literal
from uuid import UUID

from django.http import HttpRequest
from django.utils import timezone
from ninja import Router, Schema
from pydantic import Field

from apps.clients import queries as client_queries
from apps.common.problems import ERRORS, Problem
from apps.services import comingback, finding
from apps.services.history import history_of
from apps.services.models import Service
from apps.studio.auth import member_of
from fervens_core.followup import LastFormula, NextVisit

router = Router(tags=["coming back"])


class AgainIn(Schema):
    """When the client comes, and for how long the diary has them; `after` is the service to start from."""

    starts_at: dt.datetime | None = None
    booked_min: float | None = Field(None, ge=15, le=900)
    after: UUID | None = None


class VisitAt(Schema):
    """A service by its id, and when it starts."""

    service_id: UUID
    starts_at: dt.datetime


class ReminderIn(Schema):
    """Whether the client was told."""

    is_sent: bool = True


class NextOut(Schema):
    """The visit to propose after a filed service, the visits left to its wish, and what is booked already."""

    proposal: NextVisit
    visits_left: int | None
    formulas: list[LastFormula]
    booked: list[VisitAt]


class LaneThen(Schema):
    """A lane as a filed service kept it."""

    name: str
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


class TonerThen(Schema):
    """A toner as a filed service kept it."""

    name: str
    formula: str
    minutes: float
    product_g: float
    developer_g: float
    hex: str


class ServiceThen(Schema):
    """One service of a client's history."""

    id: UUID
    starts_at: dt.datetime
    step: str
    source: str
    wish: str
    worked: str
    change: str
    lightener_name: str
    contact_min: float
    lanes: list[LaneThen]
    toners: list[TonerThen]


class ZoneLoad(Schema):
    """Contact load of one zone over all its services."""

    name: str
    services: int
    minutes: float
    volume_minutes: float


class TestThen(Schema):
    """A test with how long it holds."""

    kind: Literal["patch", "strand"]
    text: str
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
    """Seven days from a Monday."""

    monday: dt.date
    visits: list[WeekVisit]


def _found(row: Service) -> dict[str, object]:
    return {
        "id": row.pk,
        "client_name": row.client.name,
        "starts_at": row.starts_at,
        "step": row.step,
        "wish": row.wish,
    }


@router.get("/services/{service_id}/next", response={200: NextOut, ERRORS: Problem})
def read_next(request: HttpRequest, service_id: UUID) -> NextOut:
    """When the client should come again, for how long, and with what."""
    member = member_of(request)
    row = comingback.filed(member, service_id)
    ahead = Service.objects.filter(client_id=row.client_id, starts_at__gt=row.starts_at).order_by("starts_at")[:10]
    return NextOut(
        proposal=comingback.propose_next(row),
        visits_left=comingback.visits_left(row),
        formulas=list(comingback.formulas_of(row)),
        booked=[VisitAt(service_id=s.pk, starts_at=s.starts_at) for s in ahead],
    )


@router.post("/clients/{client_id}/again", response={201: VisitAt, ERRORS: Problem})
def start_again(request: HttpRequest, client_id: UUID, payload: AgainIn) -> tuple[int, VisitAt]:
    """A new service from the client's last one, or from the one that is named."""
    row = comingback.start_from(
        member_of(request),
        client_id,
        starts_at=payload.starts_at,
        booked_min=payload.booked_min,
        after=payload.after,
    )
    return 201, VisitAt(service_id=row.pk, starts_at=row.starts_at)


@router.put("/services/{service_id}/reminder", response={200: VisitAt, ERRORS: Problem})
def note_reminder(request: HttpRequest, service_id: UUID, payload: ReminderIn) -> VisitAt:
    """Note that the client was reminded, or take it back."""
    row = comingback.note_reminder(member_of(request), service_id, is_sent=payload.is_sent)
    return VisitAt(service_id=row.pk, starts_at=row.starts_at)


@router.get("/clients/{client_id}/history", response={200: HistoryOut, ERRORS: Problem})
def read_history(request: HttpRequest, client_id: UUID) -> HistoryOut:
    """A client over the years: levels, formulas, contact load, tests."""
    member = member_of(request)
    return HistoryOut(**history_of(member, client_queries.get(member, client_id), timezone.now()))


@router.get("/search", response={200: FoundOut, ERRORS: Problem})
def search(request: HttpRequest, text: str = "") -> FoundOut:
    """Clients and services by name or wish."""
    clients, services = finding.search(member_of(request), text)
    return FoundOut(
        clients=[FoundClient(id=c.pk, name=c.name) for c in clients],
        services=[FoundService(**_found(s)) for s in services],  # type: ignore[arg-type]
    )


@router.get("/week", response={200: WeekOut, ERRORS: Problem})
def read_week(request: HttpRequest, day: dt.date | None = None) -> WeekOut:
    """The visits of the week a day is in; this week if none is given."""
    monday, rows = finding.week_of(member_of(request), day or timezone.localdate())
    return WeekOut(
        monday=monday,
        visits=[
            WeekVisit(**_found(s), booked_min=s.facts.get("booked_min"), source=s.source)  # type: ignore[arg-type]
            for s in rows
        ],
    )
