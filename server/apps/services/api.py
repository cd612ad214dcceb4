"""Services: the day, the consultation, the plan, the chair, the tone."""

from __future__ import annotations

import datetime as dt
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from ninja import Router

from apps.common.problems import ERRORS, Problem
from apps.services import actions, comingback, present, present_chair, queries
from apps.services.colour_reader import measure
from apps.services.kept_board import board_answer, board_now
from apps.services.reading import consultation_of
from apps.services.schemas import (
    BoardOut,
    CancelledOut,
    ConsultationIn,
    DayOut,
    EventIn,
    FormulaIn,
    HeadOut,
    HeadZoneOut,
    LogOut,
    MeasuredOut,
    OptionsOut,
    PaletteOut,
    ReviewOut,
    ServiceIn,
    ServiceOut,
    ToneOut,
    WishesOut,
)
from apps.shelf.queries import lighteners
from apps.studio.auth import member_of
from fervens_core.base import check_level
from fervens_core.basin import USUAL_BOWLS, Tried
from fervens_core.colour import hair_hex, undertone
from fervens_core.head import ROOT_MM, USUAL_HEAD, USUAL_LENGTH_MM
from fervens_core.log import data_from_json
from fervens_core.toning import wish_scale

router = Router(tags=["services"])


@router.get("/day", response={200: DayOut, ERRORS: Problem})
def read_day(request: HttpRequest, day: dt.date | None = None) -> DayOut:
    """The services of a day (today if none is given) and where each stands."""
    now = timezone.now()
    wanted = day or timezone.localdate(now)
    member = member_of(request)
    return DayOut(
        day=wanted,
        services=[present.day_service(r, now) for r in queries.of_day(member, wanted)],
        patch_tests=[present.patch_test_out(c, now) for c in queries.patch_tests(member, now)],
        requests=[present.visit_out(s) for s in queries.open_requests(member, now)],
        reminders=[present.reminder_out(s) for s in queries.reminders_due(member, now)],
        server_now=now,
    )


@router.get("/head", response={200: HeadOut, ERRORS: Problem})
def read_head(request: HttpRequest) -> HeadOut:
    """The zones of the usual head, in their usual order, and the member's own pace."""
    return HeadOut(
        zones=[HeadZoneOut.from_orm(z) for z in USUAL_HEAD],
        pace_min_per_foil=member_of(request).pace,
        usual_length_mm=USUAL_LENGTH_MM,
        root_mm=ROOT_MM,
    )


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


@router.get("/wishes", response={200: WishesOut, ERRORS: Problem})
def read_wishes(request: HttpRequest) -> WishesOut:
    """Every tone at every half level, painted."""
    return WishesOut(cells=list(wish_scale()))


@router.post("/services", response={201: ServiceOut, ERRORS: Problem})
def start_service(request: HttpRequest, payload: ServiceIn) -> tuple[int, ServiceOut]:
    """Start a service for a client."""
    row = actions.start_service(member_of(request), payload.client_id, payload.starts_at)
    return 201, present.service_out(queries.load(row))


@router.get("/services/{service_id}", response={200: ServiceOut, ERRORS: Problem})
def read_service(request: HttpRequest, service_id: UUID) -> ServiceOut:
    """A service and its consultation."""
    return present.service_out(queries.load(queries.get(member_of(request), service_id)))


@router.delete("/services/{service_id}", response={200: CancelledOut, ERRORS: Problem})
def cancel_visit(request: HttpRequest, service_id: UUID) -> CancelledOut:
    """Take a visit that has not begun out of the diary."""
    return CancelledOut(client_id=comingback.cancel_visit(member_of(request), service_id))


@router.put("/services/{service_id}/consultation", response={200: ServiceOut, ERRORS: Problem})
def write_consultation(request: HttpRequest, service_id: UUID, payload: ConsultationIn) -> ServiceOut:
    """Keep what was read at the consultation."""
    member = member_of(request)
    read = consultation_of(payload, {x.key: x for x in lighteners(member.studio_id)})
    return present.service_out(actions.write_consultation(member, service_id, revision=payload.revision, read=read))


@router.get("/services/{service_id}/board", response={200: BoardOut, ERRORS: Problem})
def read_board(request: HttpRequest, service_id: UUID) -> HttpResponse:
    """The chair now."""
    return board_now(member_of(request), service_id)


@router.post("/services/{service_id}/events", response={200: BoardOut, ERRORS: Problem})
def record_event(request: HttpRequest, service_id: UUID, payload: EventIn) -> HttpResponse:
    """Add one event to the log; the answer is the chair after it."""
    loaded = actions.record_event(
        member_of(request),
        service_id,
        event_id=payload.event_id,
        occurred_at=payload.occurred_at,
        data=data_from_json(payload.kind, payload.data),
        device=payload.device,
        seen=payload.seen,
    )
    return board_answer(loaded)


@router.get("/services/{service_id}/log", response={200: LogOut, ERRORS: Problem})
def read_log(request: HttpRequest, service_id: UUID) -> LogOut:
    """Who did what, the latest first."""
    return present_chair.log_out(queries.load(queries.get(member_of(request), service_id)))


@router.get("/services/{service_id}/lanes/{key}/options", response={200: OptionsOut, ERRORS: Problem})
def read_options(request: HttpRequest, service_id: UUID, key: str) -> OptionsOut:
    """What can be done with a lane now, whether it may be, and what it would do to its curve."""
    loaded = queries.load(queries.get(member_of(request), service_id))
    return OptionsOut(options=list(queries.options(loaded, key, timezone.now())))


@router.post("/services/{service_id}/lanes/{key}/measure", response={200: MeasuredOut, ERRORS: Problem})
def measure_lane(request: HttpRequest, service_id: UUID, key: str) -> MeasuredOut:
    """Have the colour reader measure a lane; nothing is logged by that."""
    loaded = queries.load(queries.get(member_of(request), service_id))
    measured, instrument = measure(loaded, key, timezone.now())
    return present_chair.measured_out(measured, loaded.zone(key).hair.colour_start, instrument)


@router.get("/services/{service_id}/review", response={200: ReviewOut, ERRORS: Problem})
def read_review(request: HttpRequest, service_id: UUID) -> ReviewOut:
    """How the head came out, and what can be done with each zone."""
    return present.review_out(queries.load(queries.get(member_of(request), service_id)))


@router.get("/services/{service_id}/tone", response={200: ToneOut, ERRORS: Problem})
def read_tone(request: HttpRequest, service_id: UUID, bowls: int = USUAL_BOWLS) -> ToneOut:
    """The tone step now, with at most so many bowls (1 to 4)."""
    return present.tone_out(queries.load(queries.get(member_of(request), service_id)), most_bowls=bowls)


@router.post("/services/{service_id}/tone/try", response={200: Tried, ERRORS: Problem})
def try_own_formula(request: HttpRequest, service_id: UUID, payload: FormulaIn) -> Tried:
    """What a formula of one's own would do to some zones; nothing is logged by that."""
    loaded = queries.load(queries.get(member_of(request), service_id))
    own = queries.formula(loaded, payload.shade_key, payload.second_key, payload.share, payload.developer_parts)
    return queries.tried(loaded, timezone.now(), own, payload.zone_keys)
