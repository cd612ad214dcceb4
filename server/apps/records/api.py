"""The record: all that was done, its photos and additions, on paper and as tables."""

from __future__ import annotations

import re
from typing import Literal
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from ninja import File, Form, Router, UploadedFile
from ninja.responses import Status
from pydantic import Field

from apps.common.problems import ERRORS, Problem
from apps.common.schemas import In
from apps.common.words import speaking
from apps.records import addenda, calendar, documents, photos, tables
from apps.records.record import RecordOut, record_of
from apps.services import loading
from apps.services.consultation import present as consultation_present
from apps.services.consultation.schemas import ServiceOut
from apps.services.exchange.schemas import CsvOut
from apps.services.plan import present as plan_present
from apps.services.planned import planned
from apps.services.visits import actions as visits
from apps.studio.auth import member_of
from fervens_core.head import ReadingMode

router = Router(tags=["records"])
Paper = Literal["a4", "letter"]


class AddendumIn(In):
    """What is added to a filed record."""

    text: str = Field(min_length=1, max_length=2000)


class ColoursIn(In):
    """CGATS text, and how the hair was when it was measured."""

    text: str = Field(max_length=300_000)
    mode: ReadingMode = ReadingMode.DRY


class PhotoIn(In):
    """What a photo shows."""

    kind: Literal["before", "after", "other"] = "after"
    caption: str = Field("", max_length=120)


def as_file(body: bytes, kind: str, name: str, *, is_shown: bool = False) -> HttpResponse:
    """A file for the browser to save, or to show; never kept by anyone on the way."""
    answer = HttpResponse(body, content_type=kind)
    plain = re.sub(r"[^A-Za-z0-9._-]+", "-", name).strip("-") or "file"
    answer["Content-Disposition"] = f'{"inline" if is_shown else "attachment"}; filename="{plain}"'
    answer["Cache-Control"] = "private, no-store"
    answer["X-Content-Type-Options"] = "nosniff"
    if kind == "application/pdf":
        answer._csp_exempt = True  # type: ignore[attr-defined]  # a browser's own viewer is an object; there is no script
    return answer


@router.get("/services/{service_id}/record", response={200: RecordOut, ERRORS: Problem})
def read_record(request: HttpRequest, service_id: UUID) -> RecordOut:
    """The whole service on one page."""
    return record_of(loading.load(loading.get(member_of(request), service_id)))


@router.post("/services/{service_id}/addenda", response={201: RecordOut, ERRORS: Problem})
def add_addendum(request: HttpRequest, service_id: UUID, payload: AddendumIn) -> Status[RecordOut]:
    """Add to a filed record; it stays as it was."""
    member = member_of(request)
    addenda.add_addendum(member, service_id, payload.text)
    return Status(201, record_of(loading.load(loading.get(member, service_id))))


@router.post("/services/{service_id}/photos", response={201: RecordOut, ERRORS: Problem})
def add_photo(
    request: HttpRequest,
    service_id: UUID,
    photo: File[UploadedFile],
    payload: Form[PhotoIn],
) -> Status[RecordOut]:
    """A photo, scaled and without what the camera wrote into it."""
    member = member_of(request)
    photos.add_photo(member, service_id, photo, kind=payload.kind, caption=payload.caption)
    return Status(201, record_of(loading.load(loading.get(member, service_id))))


@router.get("/services/{service_id}/photos/{photo_id}", response={200: None, ERRORS: Problem})
def read_photo(request: HttpRequest, service_id: UUID, photo_id: UUID) -> HttpResponse:
    """The picture."""
    row = photos.photo_of(member_of(request), service_id, photo_id)
    return as_file(bytes(row.jpeg), "image/jpeg", f"{row.kind}.jpg", is_shown=True)


@router.delete("/services/{service_id}/photos/{photo_id}", response={200: RecordOut, ERRORS: Problem})
def remove_photo(request: HttpRequest, service_id: UUID, photo_id: UUID) -> RecordOut:
    """Take a photo out for good."""
    member = member_of(request)
    photos.remove_photo(member, service_id, photo_id)
    return record_of(loading.load(loading.get(member, service_id)))


@router.get("/services/{service_id}/card.pdf", response={200: None, ERRORS: Problem})
def read_card(request: HttpRequest, service_id: UUID, paper: Paper = "a4") -> HttpResponse:
    """The service card as PDF."""
    record = record_of(loading.load(loading.get(member_of(request), service_id)))
    name = f"card-{record.client_name}-{record.starts_at:%Y-%m-%d}.pdf"
    return as_file(documents.service_card(record, paper), "application/pdf", name, is_shown=True)


@router.get("/services/{service_id}/trolley.pdf", response={200: None, ERRORS: Problem})
def read_trolley(request: HttpRequest, service_id: UUID, paper: Paper = "a4") -> HttpResponse:
    """The plan of the saved choices for the trolley, with strips for its bowls, as PDF."""
    loaded = loading.load(loading.get(member_of(request), service_id))
    wanted = loading.plan_request(loaded)
    plan = plan_present.plan_out(loaded, planned(wanted), wanted, loaded.row.toner_idea)
    name = f"trolley-{loaded.row.client.name}-{loaded.row.starts_at:%Y-%m-%d}.pdf"
    return as_file(documents.trolley_sheet(loaded, plan, paper), "application/pdf", name, is_shown=True)


@router.get("/services/{service_id}/take-home.pdf", response={200: None, ERRORS: Problem})
def read_take_home(request: HttpRequest, service_id: UUID, paper: Paper = "a4") -> HttpResponse:
    """The client's sheet as PDF."""
    member = member_of(request)
    row = visits.filed(member, service_id)
    with speaking(row.client.language):
        body = documents.take_home(row, member.studio.name, paper)
    return as_file(body, "application/pdf", f"take-home-{row.starts_at:%Y-%m-%d}.pdf", is_shown=True)


@router.get("/services/{service_id}/visit.ics", response={200: None, ERRORS: Problem})
def read_visit(request: HttpRequest, service_id: UUID) -> HttpResponse:
    """The visit for a diary."""
    row = loading.get(member_of(request), service_id)
    with speaking(row.client.language):
        body = calendar.visit_file(row)
    return as_file(body, "text/calendar; charset=utf-8", f"visit-{row.starts_at:%Y-%m-%d}.ics")


@router.get("/services/{service_id}/readings/csv", response={200: CsvOut, ERRORS: Problem})
def read_readings(request: HttpRequest, service_id: UUID) -> CsvOut:
    """The readings as CSV."""
    return CsvOut(text=tables.readings_csv(loading.load(loading.get(member_of(request), service_id))))


@router.get("/services/{service_id}/colours", response={200: CsvOut, ERRORS: Problem})
def read_colours(request: HttpRequest, service_id: UUID) -> CsvOut:
    """What the colour reader measured, as CGATS text."""
    loaded = loading.load(loading.get(member_of(request), service_id))
    return CsvOut(text=tables.colours_cgats(loaded, timezone.now()))


@router.post("/services/{service_id}/colours", response={200: ServiceOut, ERRORS: Problem})
def take_colours(request: HttpRequest, service_id: UUID, payload: ColoursIn) -> ServiceOut:
    """Measurements of CGATS text as readings, all or nothing."""
    return consultation_present.service_out(
        tables.take_colours(member_of(request), service_id, payload.text, payload.mode)
    )
