"""Coming back: the next visit, starting from last time, the years."""

from __future__ import annotations

from uuid import UUID

from django.http import HttpRequest
from django.utils import timezone
from ninja import Router
from ninja.responses import Status

from apps.clients import queries as client_queries
from apps.common.problems import ERRORS, Problem
from apps.services.models import Service
from apps.services.visits import actions as visits
from apps.services.visits.history import history_of
from apps.services.visits.schemas import AgainIn, HistoryOut, MoveIn, NextOut, ReminderIn, VisitAt
from apps.studio.auth import member_of
from apps.studio.closed import closed_ahead

router = Router(tags=["coming back"])


@router.get("/services/{service_id}/next", response={200: NextOut, ERRORS: Problem})
def read_next(request: HttpRequest, service_id: UUID) -> NextOut:
    """When the client should come again, for how long, and with what."""
    member = member_of(request)
    row = visits.filed(member, service_id)
    ahead = Service.objects.filter(client_id=row.client_id, starts_at__gt=row.starts_at).order_by("starts_at")[:10]
    return NextOut(
        proposal=visits.propose_next(row),
        visits_left=visits.visits_left(row),
        formulas=list(visits.formulas_of(row)),
        booked=[VisitAt(service_id=s.pk, starts_at=s.starts_at) for s in ahead],
        closed=closed_ahead(member.studio),
    )


@router.post("/clients/{client_id}/again", response={201: VisitAt, ERRORS: Problem})
def start_again(request: HttpRequest, client_id: UUID, payload: AgainIn) -> Status[VisitAt]:
    """A new service from the client's last one, or from the one that is named."""
    row = visits.start_from(
        member_of(request),
        client_id,
        starts_at=payload.starts_at,
        booked_min=payload.booked_min,
        after=payload.after,
    )
    return Status(201, VisitAt(service_id=row.pk, starts_at=row.starts_at))


@router.put("/services/{service_id}/time", response={200: VisitAt, ERRORS: Problem})
def move_visit(request: HttpRequest, service_id: UUID, payload: MoveIn) -> VisitAt:
    """Put a visit that has not begun at another time."""
    row = visits.move_visit(member_of(request), service_id, payload.starts_at)
    return VisitAt(service_id=row.pk, starts_at=row.starts_at)


@router.put("/services/{service_id}/reminder", response={200: VisitAt, ERRORS: Problem})
def note_reminder(request: HttpRequest, service_id: UUID, payload: ReminderIn) -> VisitAt:
    """Note that the client was reminded, or take it back."""
    row = visits.note_reminder(member_of(request), service_id, is_sent=payload.is_sent)
    return VisitAt(service_id=row.pk, starts_at=row.starts_at)


@router.get("/clients/{client_id}/history", response={200: HistoryOut, ERRORS: Problem})
def read_history(request: HttpRequest, client_id: UUID) -> HistoryOut:
    """A client over the years: levels, formulas, contact load, tests."""
    member = member_of(request)
    return HistoryOut(**history_of(member, client_queries.get(member, client_id), timezone.now()))
