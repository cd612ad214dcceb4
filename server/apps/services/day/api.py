"""The day, the week, and finding."""

from __future__ import annotations

import datetime as dt

from django.http import HttpRequest
from django.utils import timezone
from ninja import Router

from apps.common.problems import ERRORS, Problem
from apps.services.day import demo
from apps.services.day import finding as day_finding
from apps.services.day import present as day_present
from apps.services.day import queries as day_queries
from apps.services.day.schemas import DayOut, DemoOut, FoundClient, FoundOut, FoundService, WeekOut, WeekVisit
from apps.services.models import Service
from apps.studio.auth import member_of
from apps.studio.closed import closed_of
from fervens_core.followup import closed_between

router = Router(tags=["day"])


@router.get("/day", response={200: DayOut, ERRORS: Problem})
def read_day(request: HttpRequest, day: dt.date | None = None) -> DayOut:
    """The services of a day (today if none is given) and where each stands."""
    now = timezone.now()
    wanted = day or timezone.localdate(now)
    member = member_of(request)
    return DayOut(
        day=wanted,
        services=[day_present.day_service(r, now) for r in day_queries.of_day(member, wanted)],
        patch_tests=[day_present.patch_test_out(c, now) for c in day_queries.patch_tests(member, now)],
        requests=[day_present.visit_out(s) for s in day_queries.open_requests(member, now)],
        reminders=[day_present.reminder_out(s) for s in day_queries.reminders_due(member, now)],
        server_now=now,
    )


def _found(row: Service) -> dict[str, object]:
    return {
        "id": row.pk,
        "client_name": row.client.name,
        "starts_at": row.starts_at,
        "step": row.step,
        "wish": row.wish,
    }


@router.get("/search", response={200: FoundOut, ERRORS: Problem})
def search(request: HttpRequest, text: str = "") -> FoundOut:
    """Clients and services by name or wish."""
    clients, services = day_finding.search(member_of(request), text)
    return FoundOut(
        clients=[FoundClient(id=c.pk, name=c.name) for c in clients],
        services=[FoundService(**_found(s)) for s in services],  # type: ignore[arg-type]
    )


@router.get("/week", response={200: WeekOut, ERRORS: Problem})
def read_week(request: HttpRequest, day: dt.date | None = None) -> WeekOut:
    """The visits of the week a day is in; this week if none is given."""
    member = member_of(request)
    monday, rows = day_finding.week_of(member, day or timezone.localdate())
    return WeekOut(
        monday=monday,
        closed=list(closed_between(closed_of(member.studio), monday, monday + dt.timedelta(days=6))),
        visits=[
            WeekVisit(**_found(s), booked_min=s.facts.get("booked_min"), source=s.source)  # type: ignore[arg-type]
            for s in rows
        ],
    )


@router.get("/demo", response={200: DemoOut, ERRORS: Problem})
def read_demo(request: HttpRequest) -> DemoOut:
    """How long a demo has been left."""
    return DemoOut(asleep_min=demo.asleep_min(member_of(request)))


@router.post("/demo/wake", response={200: DemoOut, ERRORS: Problem})
def wake_demo(request: HttpRequest) -> DemoOut:
    """The demo's day goes on from where it stood."""
    member = member_of(request)
    demo.wake(member)
    return DemoOut(asleep_min=demo.asleep_min(member))
