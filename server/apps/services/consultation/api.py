"""Starting a service and reading the head."""

from __future__ import annotations

from uuid import UUID

from django.http import HttpRequest
from ninja import Router
from ninja.responses import Status

from apps.common.problems import ERRORS, Problem
from apps.services import loading
from apps.services.consultation import actions as consultation_actions
from apps.services.consultation import present as consultation_present
from apps.services.consultation.reading import consultation_of
from apps.services.consultation.schemas import (
    ConsultationIn,
    HeadOut,
    HeadZoneOut,
    PaletteOut,
    ReadLineOut,
    ServiceIn,
    ServiceOut,
    ShorthandIn,
)
from apps.services.consultation.shorthand import read_line
from apps.services.visits import actions as visits
from apps.services.visits.free import booked_min
from apps.services.visits.schemas import CancelledOut, CouldCome
from apps.shelf.queries import lighteners
from apps.studio.auth import member_of
from fervens_core.base import check_level
from fervens_core.colour import hair_hex, undertone
from fervens_core.head import ROOT_MM, USUAL_HEAD, USUAL_LENGTH_MM, ServiceKind

router = Router(tags=["consultation"])


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
        hexes = consultation_present.natural_hexes(levels)
    else:
        check_level("start_level", start_level)
        levels = [x / 2 for x in range(2, 21) if x / 2 >= start_level - 0.25]
        hexes = hair_hex(start_level, levels)
    return PaletteOut(start_level=start_level, levels=levels, hexes=hexes, undertones=[undertone(v) for v in levels])


@router.post("/shorthand", response={200: list[ReadLineOut], ERRORS: Problem})
def read_shorthand(request: HttpRequest, payload: ShorthandIn) -> list[ReadLineOut]:
    """What a typed line says of a head; nothing is kept."""
    return read_line(payload)


@router.post("/services", response={201: ServiceOut, ERRORS: Problem})
def start_service(request: HttpRequest, payload: ServiceIn) -> Status[ServiceOut]:
    """Start a service for a client."""
    row = consultation_actions.start_service(
        member_of(request), payload.client_id, payload.starts_at, payload.kind or ServiceKind.LIGHTEN_AND_TONE
    )
    return Status(201, consultation_present.service_out(loading.load(row)))


@router.get("/services/{service_id}", response={200: ServiceOut, ERRORS: Problem})
def read_service(request: HttpRequest, service_id: UUID) -> ServiceOut:
    """A service and its consultation."""
    return consultation_present.service_out(loading.load(loading.get(member_of(request), service_id)))


@router.delete("/services/{service_id}", response={200: CancelledOut, ERRORS: Problem})
def cancel_visit(request: HttpRequest, service_id: UUID) -> CancelledOut:
    """Take a visit that has not begun out of the diary."""
    client_id, free = visits.cancel_visit(member_of(request), service_id)
    could = [
        CouldCome(service_id=r.pk, client_name=r.client.name, starts_at=r.starts_at, booked_min=booked_min(r))
        for r in (free.could_come if free else ())
    ]
    return CancelledOut(
        client_id=client_id,
        free_at=free.starts_at if free else None,
        free_min=free.free_min if free else 0.0,
        could_come=could,
    )


@router.put("/services/{service_id}/consultation", response={200: ServiceOut, ERRORS: Problem})
def write_consultation(request: HttpRequest, service_id: UUID, payload: ConsultationIn) -> ServiceOut:
    """Keep what was read at the consultation."""
    member = member_of(request)
    read = consultation_of(payload, {x.key: x for x in lighteners(member.studio_id)})
    return consultation_present.service_out(
        consultation_actions.write_consultation(member, service_id, revision=payload.revision, read=read)
    )
