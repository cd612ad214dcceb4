"""Services: the day, the consultation, the plan, the chair, the tone."""

from __future__ import annotations

import datetime as dt
from uuid import UUID

from django.http import HttpRequest
from django.utils import timezone
from ninja import Router

from apps.common.problems import ERRORS, Problem
from apps.services import actions, present, queries
from apps.services.schemas import (
    BoardOut,
    ConsultationIn,
    DayOut,
    EventIn,
    HeadZoneOut,
    PaletteOut,
    PlanIn,
    PlanOut,
    ServiceIn,
    ServiceOut,
    TakePlanIn,
    ToneOut,
)
from apps.studio.auth import member_of
from fervens_core.events import data_from_json
from fervens_core.head import USUAL_HEAD
from fervens_core.pigment import hair_hex, undertone
from fervens_core.plan import make_plan
from fervens_core.quantities import check_level

router = Router(tags=["services"])


@router.get("/day", response={200: DayOut, ERRORS: Problem})
def read_day(request: HttpRequest, day: dt.date | None = None) -> DayOut:
    """The services of a day (today if none is given) and where each stands."""
    now = timezone.now()
    wanted = day or timezone.localdate(now)
    rows = queries.of_day(member_of(request), wanted)
    return DayOut(day=wanted, services=[present.day_service(r, now) for r in rows], server_now=now)


@router.get("/head", response={200: list[HeadZoneOut], ERRORS: Problem})
def read_head(request: HttpRequest) -> list[HeadZoneOut]:
    """The zones of the usual head, in their usual order."""
    return [HeadZoneOut.from_orm(z) for z in USUAL_HEAD]


@router.get("/palette", response={200: PaletteOut, ERRORS: Problem})
def read_palette(request: HttpRequest, start_level: float | None = None) -> PaletteOut:
    """Colours to match by half level: natural hair, or hair lifted from a start level."""
    if start_level is None:
        levels = [x / 2 for x in range(2, 21)]
        hexes = present.natural_hexes(levels)
    else:
        check_level("start_level", start_level)
        levels = [x / 2 for x in range(2, 21) if x / 2 >= start_level - 0.25]
        hexes = hair_hex(start_level, levels)
    return PaletteOut(start_level=start_level, levels=levels, hexes=hexes, undertones=[undertone(v) for v in levels])


@router.post("/services", response={201: ServiceOut, ERRORS: Problem})
def start_service(request: HttpRequest, payload: ServiceIn) -> tuple[int, ServiceOut]:
    """Start a service for a client."""
    row = actions.start_service(member_of(request), payload.client_id, payload.starts_at)
    return 201, present.service_out(queries.load(row))


@router.get("/services/{service_id}", response={200: ServiceOut, ERRORS: Problem})
def read_service(request: HttpRequest, service_id: UUID) -> ServiceOut:
    """A service and its consultation."""
    return present.service_out(queries.load(queries.get(member_of(request), service_id)))


@router.put("/services/{service_id}/consultation", response={200: ServiceOut, ERRORS: Problem})
def write_consultation(request: HttpRequest, service_id: UUID, payload: ConsultationIn) -> ServiceOut:
    """Keep what was read at the consultation."""
    loaded = actions.write_consultation(
        member_of(request),
        service_id,
        revision=payload.revision,
        values=payload.dict(exclude={"revision", "zones"}),
        zones=tuple(z.value() for z in payload.zones),
    )
    return present.service_out(loaded)


@router.get("/services/{service_id}/plan", response={200: PlanOut, ERRORS: Problem})
def read_plan(request: HttpRequest, service_id: UUID) -> PlanOut:
    """The plan of the saved choices."""
    loaded = queries.load(queries.get(member_of(request), service_id))
    wanted = queries.plan_request(loaded)
    return present.plan_out(loaded, make_plan(wanted), wanted)


@router.post("/services/{service_id}/plan/preview", response={200: PlanOut, ERRORS: Problem})
def preview_plan(request: HttpRequest, service_id: UUID, payload: PlanIn) -> PlanOut:
    """The plan of other choices, without keeping them."""
    member = member_of(request)
    loaded = queries.load(queries.get(member, service_id))
    plan, wanted = actions.preview_plan(loaded, member, payload.dict(exclude={"revision"}))
    return present.plan_out(loaded, plan, wanted)


@router.put("/services/{service_id}/plan", response={200: PlanOut, ERRORS: Problem})
def write_plan(request: HttpRequest, service_id: UUID, payload: PlanIn) -> PlanOut:
    """Keep the choices of a plan."""
    loaded, plan, wanted = actions.write_plan(
        member_of(request), service_id, revision=payload.revision, choice=payload.dict(exclude={"revision"})
    )
    return present.plan_out(loaded, plan, wanted)


@router.post("/services/{service_id}/plan/take", response={200: BoardOut, ERRORS: Problem})
def take_plan(request: HttpRequest, service_id: UUID, payload: TakePlanIn) -> BoardOut:
    """Take the saved plan to the chair."""
    return present.board_out(actions.take_plan(member_of(request), service_id, event_id=payload.event_id))


@router.get("/services/{service_id}/board", response={200: BoardOut, ERRORS: Problem})
def read_board(request: HttpRequest, service_id: UUID) -> BoardOut:
    """The chair now."""
    return present.board_out(queries.load(queries.get(member_of(request), service_id)))


@router.post("/services/{service_id}/events", response={200: BoardOut, ERRORS: Problem})
def record_event(request: HttpRequest, service_id: UUID, payload: EventIn) -> BoardOut:
    """Add one event to the log; the answer is the chair after it."""
    loaded = actions.record_event(
        member_of(request),
        service_id,
        event_id=payload.event_id,
        occurred_at=payload.occurred_at,
        data=data_from_json(payload.kind, payload.data),
    )
    return present.board_out(loaded)


@router.get("/services/{service_id}/tone", response={200: ToneOut, ERRORS: Problem})
def read_tone(request: HttpRequest, service_id: UUID) -> ToneOut:
    """The tone step now."""
    return present.tone_out(queries.load(queries.get(member_of(request), service_id)))
