"""What concerns the studio as a whole: learning, clients as tables, the archive, erasing, and the public links."""

from __future__ import annotations

import datetime as dt
from typing import Annotated
from uuid import UUID

from django.db import transaction
from django.http import FileResponse, HttpRequest, HttpResponse
from django.utils import timezone
from django.views.decorators.csrf import csrf_protect
from ninja import File, Form, Router, Schema, UploadedFile
from ninja.decorators import decorate_view
from ninja.responses import Status
from pydantic import Field

from apps.clients import queries as client_queries
from apps.clients.api import ClientOut
from apps.common.problems import ERRORS, Problem
from apps.common.schemas import In
from apps.common.words import Words, speaking
from apps.records import archive, archive_in, calendar, erasure, learning, requests, tables
from apps.records.api import as_file
from apps.services.consultation.present import natural_hexes
from apps.services.exchange.schemas import CsvOut
from apps.shelf import queries as shelf
from apps.shelf.actions import undo_learnt
from apps.shelf.adapters import lightener_value
from apps.shelf.models import Lightener
from apps.studio.auth import member_of
from apps.studio.closed import closed_ahead
from apps.studio.people import link_of
from fervens_core.base import say
from fervens_core.followup import LaneFact, Learnt, Pace, studio_numbers, swept, with_learnt
from fervens_core.head import History

router = Router(tags=["studio"])
Number = Annotated[float, Field(allow_inf_nan=False)]


class KindLearnt(Schema):
    """A kind of hair that a lightener lifts otherwise: factors on how far and how fast beside other hair."""

    hair: Words
    extent: float
    rate: float


class SweptOut(Schema):
    """Hair as the model has it beside hair as it was learnt, painted from the scalp to the tip."""

    key: str
    model: list[str]
    learnt: list[str]


class ProductLearnt(Schema):
    """What was learnt of a lightener beside its profile; `proposed_*` are empty while too few services speak.

    Fields ending in _before are what the profile had before learning was carried in; kinds are of the proposal.
    """

    key: str
    name: str
    lift_factor: float
    rate_factor: float
    lift_factor_before: float | None
    rate_factor_before: float | None
    proposed_factor: float | None
    proposed_rate: float | None
    kinds: list[KindLearnt]
    learnt: Learnt | None


class LearningOut(Schema):
    """The studio's own numbers."""

    services: int
    lanes: int
    on_target_share: float | None
    walls_passed: int
    mixed_g: float
    wasted_g: float
    paces: list[Pace]
    by_hair: list[Learnt]
    swept: list[SweptOut]
    products: list[ProductLearnt]


class TableIn(In):
    """A table as text."""

    text: str = Field(max_length=1_500_000)


class ProblemLine(Schema):
    """What is wrong with a line."""

    line: int
    column: str
    limit: Words
    value: str


class PreviewOut(Schema):
    """What a table would bring."""

    count: int
    names: list[str]
    known: list[str]
    problems: list[ProblemLine]


class TakenOut(Schema):
    """How many came in."""

    clients: int


class ArchiveIn(In):
    """What an archive brought."""

    clients: int
    services: int
    photos: int


class EraseIn(In):
    """The client's name, typed again."""

    typed_name: str = Field(max_length=200)


class RequestForm(Schema):
    """What the request form shows before it is filled in.

    `hexes`: natural hair at the levels 1 to 10. `closed`: days of the coming year on which the studio is shut.
    """

    studio_name: str
    hexes: list[str]
    puzzle: str
    server_now: dt.datetime
    closed: list[dt.date]


class ClearedOut(Schema):
    """How many requests are gone, or would be."""

    requests: int


class RequestIn(In):
    """What a new client tells; levels as they see them, the slot in min."""

    name: str = Field(min_length=1, max_length=80)
    starts_at: dt.datetime
    now_level: Number
    wished_level: Number
    contact: str = Field("", max_length=120)
    wish: str = Field("", max_length=1500)
    told: str = Field("", max_length=1500)
    history: History = History.UNKNOWN
    slot_min: Number = 120.0
    puzzle: str = Field(max_length=300)
    answer: str = Field(max_length=20)


class RequestTaken(Schema):
    """The request has landed: the chair time it is estimated to need beside what was asked for, min."""

    starts_at: dt.datetime
    slot_min: float
    expected_min: float | None


SHOWN = 50


def _product_learnt(row: Lightener, facts: list[LaneFact], learnt: Learnt | None) -> ProductLearnt:
    found, before = learning.proposed(facts, str(row.pk)), row.learnt_before or {}
    then = with_learnt(lightener_value(row), found) if found else None
    return ProductLearnt(
        key=str(row.pk),
        name=row.name,
        lift_factor=row.lift_factor,
        rate_factor=row.rate_factor,
        lift_factor_before=before.get("lift_factor"),
        rate_factor_before=before.get("rate_factor"),
        proposed_factor=then.lift_factor if then else None,
        proposed_rate=then.rate_factor if then else None,
        kinds=[
            KindLearnt(
                hair=say("hair_kind", history=k.history, thickness=k.thickness, porosity=k.porosity),
                extent=k.extent,
                rate=k.rate,
            )
            for k in (then.learnt if then else ())
        ][:SHOWN],
        learnt=learnt,
    )


@router.get("/learning", response={200: LearningOut, ERRORS: Problem})
def read_learning(request: HttpRequest) -> LearningOut:
    """The studio's own numbers against the model."""
    member = member_of(request)
    facts = learning.facts_of(member)
    numbers = studio_numbers(facts)
    by_key = {x.key: x for x in numbers.by_product}
    rows = shelf.lightener_rows(member.studio_id)
    return LearningOut(
        services=numbers.services,
        lanes=numbers.lanes,
        on_target_share=numbers.on_target_share,
        walls_passed=numbers.walls_passed,
        mixed_g=numbers.mixed_g,
        wasted_g=numbers.wasted_g,
        paces=list(numbers.paces)[:SHOWN],
        by_hair=list(numbers.by_hair)[:SHOWN],
        swept=[
            SweptOut(key=x.key, model=list(swept(1.0, 1.0)), learnt=list(swept(x.extent, x.rate)))
            for x in (*numbers.by_hair[:SHOWN], *numbers.by_product)
        ],
        products=[_product_learnt(x, facts, by_key.get(str(x.pk))) for x in rows],
    )


@router.post("/learning/{key}/carry", response={200: LearningOut, ERRORS: Problem})
def carry(request: HttpRequest, key: UUID) -> LearningOut:
    """Carry what was learnt of a lightener into its profile."""
    learning.carry(member_of(request), key)
    return read_learning(request)


@router.post("/learning/{key}/undo", response={200: LearningOut, ERRORS: Problem})
def undo(request: HttpRequest, key: UUID) -> LearningOut:
    """The profile as it was before."""
    undo_learnt(member_of(request), key)
    return read_learning(request)


@router.get("/tables/clients", response={200: CsvOut, ERRORS: Problem})
def read_clients_csv(request: HttpRequest) -> CsvOut:
    """The clients as CSV."""
    with transaction.atomic():
        return CsvOut(text=tables.clients_csv(member_of(request)))


@router.post("/tables/clients/preview", response={200: PreviewOut, ERRORS: Problem})
def preview_clients(request: HttpRequest, payload: TableIn) -> PreviewOut:
    """What a CSV of clients would bring; nothing is kept."""
    found, known = tables.preview_clients(member_of(request), payload.text)
    return PreviewOut(
        count=len(found.lines),
        names=[c.name for c in found.lines[:SHOWN]],
        known=known[:SHOWN],
        problems=[
            ProblemLine(line=p.line, column=p.column, limit=p.limit, value=p.value) for p in found.problems[:SHOWN]
        ],
    )


@router.post("/tables/clients", response={201: TakenOut, ERRORS: Problem})
def take_clients(request: HttpRequest, payload: TableIn) -> Status[TakenOut]:
    """The clients of a CSV, all or nothing."""
    return Status(201, TakenOut(clients=tables.take_clients(member_of(request), payload.text)))


@router.get("/archive", response={200: None, ERRORS: Problem})
def read_archive(request: HttpRequest) -> FileResponse:
    """Everything of the studio in one file."""
    member = member_of(request)
    now = timezone.now()
    with transaction.atomic():
        file = archive.write_archive(member, now=now)
    answer = FileResponse(
        file, as_attachment=True, filename=f"studio-{now:%Y-%m-%d}.zip", content_type="application/zip"
    )
    answer["Cache-Control"] = "private, no-store"
    return answer


@router.post("/archive", response={201: ArchiveIn, ERRORS: Problem})
def take_archive(request: HttpRequest, file: File[UploadedFile]) -> Status[ArchiveIn]:
    """An archive becomes this studio, which must be empty; all or nothing."""
    return Status(201, ArchiveIn(**archive_in.read_archive(member_of(request), file, file.size or 0)))


@router.get("/clients/{client_id}/archive", response={200: None, ERRORS: Problem})
def read_client_archive(request: HttpRequest, client_id: UUID) -> HttpResponse:
    """Everything that is kept of one client, for them to have."""
    member = member_of(request)
    client = client_queries.get(member, client_id)
    with transaction.atomic():
        body = archive.client_archive(member, client, now=timezone.now())
    return as_file(body, "application/zip", f"client-{client.name}.zip")


@router.post("/clients/{client_id}/erase", response={200: ClientOut, ERRORS: Problem})
def erase(request: HttpRequest, client_id: UUID, payload: EraseIn) -> ClientOut:
    """Take out everything that tells whose hair it was. It cannot be undone."""
    return ClientOut.from_orm(erasure.erase_client(member_of(request), client_id, typed_name=payload.typed_name))


@router.get("/feed/{secret}.ics", auth=None, response={200: None, ERRORS: Problem})
def read_feed(request: HttpRequest, secret: str) -> HttpResponse:
    """The diary's feed, by its secret link, in the studio's language: a diary asks for none."""
    link = link_of(secret, "feed")
    with speaking(requests.language_of(link)):
        body = calendar.feed(link.studio, timezone.now())
    return as_file(body, "text/calendar; charset=utf-8", "visits.ics")


@router.get("/request/{secret}", auth=None, response={200: RequestForm, ERRORS: Problem})
def read_request_form(request: HttpRequest, secret: str) -> RequestForm:
    """Whose form it is."""
    link = link_of(secret, "request")
    return RequestForm(
        studio_name=link.studio.name,
        hexes=natural_hexes([float(level) for level in range(1, 11)]),
        puzzle=requests.puzzle_for(link),
        server_now=timezone.now(),
        closed=closed_ahead(link.studio),
    )


@router.get("/requests/{service_id}/alike", response={200: ClearedOut, ERRORS: Problem})
def count_requests_alike(request: HttpRequest, service_id: UUID) -> ClearedOut:
    """How many requests of its sender there are, with it."""
    return ClearedOut(requests=requests.count_alike(member_of(request), service_id))


@router.delete("/requests/{service_id}", response={200: ClearedOut, ERRORS: Problem})
def clear_requests(request: HttpRequest, service_id: UUID) -> ClearedOut:
    """A request nobody meant is gone at once, with all others of its sender."""
    return ClearedOut(requests=requests.clear_requests(member_of(request), service_id))


@router.post("/request/{secret}", auth=None, response={201: RequestTaken, ERRORS: Problem})
@decorate_view(csrf_protect)
def send_request(
    request: HttpRequest,
    secret: str,
    payload: Form[RequestIn],
    photos: File[list[UploadedFile]] = [],  # noqa: B006
) -> Status[RequestTaken]:
    """A new client asks for a visit; it lands as a draft consultation."""
    sender = request.META.get("REMOTE_ADDR", "")
    row, needed = requests.take_request(link_of(secret, "request"), photos=photos, sender=sender, **payload.dict())
    return Status(201, RequestTaken(starts_at=row.starts_at, slot_min=payload.slot_min, expected_min=needed))
