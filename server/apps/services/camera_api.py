"""The camera with a card, and calibration rounds of members' eyes."""

from __future__ import annotations

import datetime as dt
from typing import Annotated, Literal
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from django.utils.safestring import mark_safe
from ninja import File, Form, Router, Schema, UploadedFile
from pydantic import Field

from apps.common.paper import page_pdf
from apps.common.problems import ERRORS, Problem
from apps.common.schemas import In
from apps.common.words import Words, in_words
from apps.services import camera, loading
from apps.services.chair.present import measured_out
from apps.services.chair.schemas import MeasuredOut
from apps.services.eyes import EyeOut, eyes_out, keep_round, take_round_back
from apps.studio.auth import member_of
from apps.studio.models import Studio
from fervens_core.base import check_level, say
from fervens_core.colour import seen_hex, undertone
from fervens_core.head import ReadingMode
from fervens_core.lift import ROUND_STRANDS, SWATCH_STD
from fervens_vision import PAPERS, PATCHES, card_svg

router = Router(tags=["camera"])
Number = Annotated[float, Field(allow_inf_nan=False)]
PaperName = Literal["a5", "letter_half"]


class PatchOut(Schema):
    """A patch of the card: its name and the colour it is taken to have."""

    name: str
    lab: list[float]
    hex: str


class CardOut(Schema):
    """The studio's card."""

    is_measured: bool
    measured_at: dt.datetime | None
    patches: list[PatchOut]
    is_camera_simulated: bool
    round_strands: int


class CardIn(In):
    """What a colour reader said of the card, as CGATS text."""

    text: str


class CameraOut(MeasuredOut):
    """What a picture says of a strand; `level_std` is how sure that is, levels."""

    level_std: float
    undertone: Words
    gloss_share: float
    is_card_measured: bool


class PairIn(In):
    """A level as it was seen, and as it is known to be, with the spread of that; none for a printed swatch."""

    seen: Number
    known: Number
    known_std: Number | None = None


class RoundIn(In):
    """A calibration round: a dozen strands or swatches, looked at one way."""

    mode: ReadingMode
    pairs: list[PairIn] = Field(max_length=60)


class StrandsOut(Schema):
    """Simulated strands to look at, as they look; `seed` is what their pictures are asked for by."""

    seed: int
    hexes: list[str]


def _card_out(studio: Studio) -> CardOut:
    values = camera.card_values(studio)
    at = (studio.card or {}).get("at")
    return CardOut(
        is_measured=values.is_measured,
        measured_at=dt.datetime.fromisoformat(at) if at else None,
        patches=[
            PatchOut(name=p.name, lab=list(values.lab[p.name]), hex=seen_hex(values.lab[p.name])) for p in PATCHES
        ],
        is_camera_simulated=camera.is_simulated(),
        round_strands=ROUND_STRANDS,
    )


def _camera_out(found: camera.CameraReading, start_level: float, instrument: str) -> CameraOut:
    told = measured_out(found.measured, start_level, instrument)
    return CameraOut(
        **told.dict(),
        level_std=round(found.level_std, 3),
        undertone=undertone(found.measured.level),
        gloss_share=round(found.gloss_share, 3),
        is_card_measured=found.is_card_measured,
    )


def _instrument() -> str:
    return camera.SIMULATED_CAMERA if camera.is_simulated() else camera.CAMERA


def _jpeg(data: bytes) -> HttpResponse:
    answer = HttpResponse(data, content_type="image/jpeg")
    answer["Cache-Control"] = "private, no-store"
    return answer


@router.get("/card", response={200: CardOut, ERRORS: Problem})
def read_card(request: HttpRequest) -> CardOut:
    """The studio's card and what is known of it; who asks may take a picture next."""
    camera.make_ready()
    return _card_out(member_of(request).studio)


@router.get("/card.pdf", response={200: None, ERRORS: Problem})
def print_card(request: HttpRequest, paper: PaperName = "a5") -> HttpResponse:
    """The card to print, at its true size."""
    member_of(request)
    notes = [say("camera_card-note_1"), say("camera_card-note_2"), say("camera_card-note_3")]
    title = in_words(say("camera_card-title"))
    size = PAPERS[paper]
    drawn = card_svg(size, title=title, notes=tuple(in_words(n) for n in notes))
    body = page_pdf(
        mark_safe(drawn),  # its lines were escaped
        title=title,
        size=(size.width, size.height),
        foot="",
        css="@page { margin: 0 } svg { direction: ltr }",
    )
    answer = HttpResponse(body, content_type="application/pdf")
    answer["Content-Disposition"] = f'inline; filename="card-{paper}.pdf"'
    answer["Cache-Control"] = "private, no-store"
    answer["X-Content-Type-Options"] = "nosniff"
    answer._csp_exempt = True  # type: ignore[attr-defined]  # a browser's own viewer is an object; there is no script
    return answer


@router.put("/card", response={200: CardOut, ERRORS: Problem})
def measure_card(request: HttpRequest, payload: CardIn) -> CardOut:
    """Keep what a colour reader said of the card."""
    return _card_out(camera.measure_card(member_of(request), payload.text))


@router.delete("/card", response={200: CardOut, ERRORS: Problem})
def forget_card(request: HttpRequest) -> CardOut:
    """Take the card as it was printed."""
    return _card_out(camera.forget_card(member_of(request)))


@router.post("/camera", response={200: CameraOut, ERRORS: Problem})
def read_strand(
    request: HttpRequest, picture: File[UploadedFile], start_level: Annotated[float, Form()] = camera.STRAND_START
) -> CameraOut:
    """Read a strand that belongs to no service; the picture is not kept."""
    check_level("start_level", start_level)
    found = camera.read_picture(member_of(request).studio, picture, start_level)
    return _camera_out(found, start_level, _instrument())


@router.post("/services/{service_id}/lanes/{key}/camera", response={200: CameraOut, ERRORS: Problem})
def read_lane(request: HttpRequest, service_id: UUID, key: str, picture: File[UploadedFile]) -> CameraOut:
    """Read a lane from a picture; nothing is logged by that, and the picture is not kept."""
    member = member_of(request)
    loaded = loading.load(loading.get(member, service_id))
    start_level = camera.lane_of(loaded, key).hair.colour_start
    return _camera_out(camera.read_picture(member.studio, picture, start_level), start_level, _instrument())


@router.get("/services/{service_id}/lanes/{key}/camera/simulated", response={200: None, ERRORS: Problem})
def simulate_picture(request: HttpRequest, service_id: UUID, key: str) -> HttpResponse:
    """A picture of a lane's simulated hair, where a camera is simulated."""
    loaded = loading.load(loading.get(member_of(request), service_id))
    return _jpeg(camera.simulated_photograph(loaded, key, timezone.now()))


@router.get("/eyes/strands", response={200: StrandsOut, ERRORS: Problem})
def read_strands(request: HttpRequest) -> StrandsOut:
    """A dozen simulated strands to calibrate an eye with, where a camera is simulated."""
    member_of(request)
    seed = int(timezone.now().timestamp()) % 1_000_000
    return StrandsOut(seed=seed, hexes=camera.strand_hexes(seed))


@router.get("/eyes/strands/{seed}/{number}", response={200: None, ERRORS: Problem})
def read_strand_picture(request: HttpRequest, seed: int, number: int) -> HttpResponse:
    """A picture of one of them under the card."""
    member_of(request)
    return _jpeg(camera.strand_photograph(seed % 1_000_000, number))


@router.post("/eyes/round", response={200: list[EyeOut], ERRORS: Problem})
def add_round(request: HttpRequest, payload: RoundIn) -> list[EyeOut]:
    """Keep a calibration round of one's own eye, and learn from it at once."""
    pairs = [(p.seen, p.known, SWATCH_STD if p.known_std is None else p.known_std) for p in payload.pairs]
    return eyes_out(keep_round(member_of(request), payload.mode, pairs))


@router.delete("/eyes/round", response={200: list[EyeOut], ERRORS: Problem})
def undo_round(request: HttpRequest) -> list[EyeOut]:
    """Take one's last calibration round back."""
    return eyes_out(take_round_back(member_of(request)))
