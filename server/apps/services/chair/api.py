"""The chair: its board, its log, what can be done."""

from __future__ import annotations

from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Router

from apps.common.problems import ERRORS, Problem
from apps.services import acts, loading
from apps.services.chair import present as chair_present
from apps.services.chair import queries as chair_queries
from apps.services.chair.colour_reader import measure
from apps.services.chair.kept_board import board_answer, board_now
from apps.services.chair.schemas import BoardOut, EventIn, LogOut, MeasuredOut, OptionsOut
from apps.services.eyes import EyeOut, eyes_out
from apps.studio.auth import member_of

router = Router(tags=["chair"])


@router.get("/eyes", response={200: list[EyeOut], ERRORS: Problem})
def read_eyes(request: HttpRequest) -> list[EyeOut]:
    """What is known of the members' eyes."""
    return eyes_out(member_of(request).studio)


@router.get("/services/{service_id}/board", response={200: BoardOut, ERRORS: Problem})
def read_board(request: HttpRequest, service_id: UUID) -> HttpResponse:
    """The chair now."""
    return board_now(member_of(request), service_id)


@router.post("/services/{service_id}/events", response={200: BoardOut, ERRORS: Problem})
def record_event(request: HttpRequest, service_id: UUID, payload: EventIn) -> HttpResponse:
    """Add one event to the log; the answer is the chair after it."""
    sent = payload.root
    loaded = acts.record_event(
        member_of(request),
        service_id,
        event_id=sent.event_id,
        occurred_at=sent.occurred_at,
        data=sent.data,
        device=sent.device,
        seen=sent.seen,
    )
    return board_answer(loaded)


@router.get("/services/{service_id}/log", response={200: LogOut, ERRORS: Problem})
def read_log(request: HttpRequest, service_id: UUID) -> LogOut:
    """Who did what, the latest first."""
    return chair_present.log_out(loading.load(loading.get(member_of(request), service_id)))


@router.get("/services/{service_id}/lanes/{key}/options", response={200: OptionsOut, ERRORS: Problem})
def read_options(request: HttpRequest, service_id: UUID, key: str) -> OptionsOut:
    """What can be done with a lane now, whether it may be, and what it would do to its curve."""
    loaded = loading.load(loading.get(member_of(request), service_id))
    return OptionsOut(options=list(chair_queries.options(loaded, key, loaded.now)))


@router.post("/services/{service_id}/lanes/{key}/measure", response={200: MeasuredOut, ERRORS: Problem})
def measure_lane(request: HttpRequest, service_id: UUID, key: str) -> MeasuredOut:
    """Have the colour reader measure a lane; nothing is logged by that."""
    loaded = loading.load(loading.get(member_of(request), service_id))
    measured, instrument = measure(loaded, key, loaded.now)
    return chair_present.measured_out(measured, loaded.zone(key).hair.colour_start, instrument)
