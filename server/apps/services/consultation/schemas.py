"""What goes over the wire about a consultation."""

from __future__ import annotations

import datetime as dt
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.common.schemas import In
from apps.services.schemas import ConflictOut, UndoOut
from fervens_core.chair import CurvePoint
from fervens_core.colour import Undertone
from fervens_core.head import (
    USUAL_LENGTH_MM,
    Breakage,
    Covering,
    Density,
    DyeHue,
    Elasticity,
    History,
    HomeCare,
    PatchState,
    Porosity,
    ReadingMode,
    SaltsSign,
    Scalp,
    TestResult,
    Thickness,
    Tone,
)
from fervens_core.log import Step
from fervens_core.planning import Verdict
from fervens_core.safety import Caution


class HairIn(In):
    """Hair as read."""

    start_level: float
    history: History = History.VIRGIN
    thickness: Thickness = Thickness.MEDIUM
    porosity: Porosity = Porosity.NORMAL
    undertone: Undertone | None = None
    tint_level: float | None = None
    dye_hue: DyeHue | None = None
    elasticity: Elasticity = Elasticity.RETURNS
    breakage: Breakage = Breakage.NONE


class SegmentIn(HairIn):
    """Root or ends, read apart."""

    length_mm: float
    target_level: float | None = None
    is_left_out: bool = False


class ZoneIn(HairIn):
    """A zone as read."""

    key: str
    name: str
    target_level: float
    foil_count: int
    pace_min_per_foil: float = 1.2
    covering: Covering = Covering.FOIL
    is_delicate: bool = False
    is_on_scalp: bool | None = None
    density: Density = Density.MEDIUM
    length_mm: float = USUAL_LENGTH_MM
    root: SegmentIn | None = None
    ends: SegmentIn | None = None
    keeps_depth: bool = False
    tone: Tone | None = None
    areas: list[str] = []


class ZoneOut(ZoneIn):
    """A zone with the colours it has and is to have; a segment's stand beside it."""

    start_hex: str
    target_hex: str
    root_hex: str | None
    ends_hex: str | None
    touches_scalp: bool


class StrandReadingIn(In):
    """A level read on a strand, so many minutes in."""

    minutes: float
    level: float
    mode: ReadingMode = ReadingMode.WIPED


class StrandIn(HairIn):
    """A strand of a test, with the times of its clock."""

    key: str
    zone_key: str = ""
    lightener_key: str
    volume_strength: float
    covering: Covering = Covering.FOIL
    has_additive: bool = False
    readings: list[StrandReadingIn] = []
    stretch_before_percent: float | None = None
    stretch_after_percent: float | None = None
    started_at: dt.datetime | None = None
    ended_at: dt.datetime | None = None


class StrandOut(StrandIn):
    """A strand with its fitted curve, painted, and what it says."""

    curve: list[CurvePoint]
    reading_hexes: list[str]
    start_hex: str
    extent_ratio: float
    rate_ratio: float
    has_suffered: bool
    label_max_min: float


class StretchIn(In):
    """A wet hair on a ruler: at rest, pulled, and where it came back to, mm."""

    rest_mm: float
    pulled_mm: float
    back_mm: float
    has_snapped: bool = False


class StretchOut(StretchIn):
    """The same, with what it says."""

    stretch_percent: float
    return_percent: float


class ConsultationIn(In):
    """What was read at the consultation; `revision` is the one it was read at.

    `salts_signs` and `stretch` are the small tests' observations; given, the results follow from them.
    """

    revision: int
    wish: str = Field("", max_length=2000)
    tone: Tone = Tone.NEUTRAL
    wanted_level: float | None = None
    scalp: Scalp = Scalp.SOUND
    elasticity: Elasticity = Elasticity.RETURNS
    salts_test: TestResult = TestResult.NOT_DONE
    salts_signs: list[SaltsSign] | None = None
    stretch: StretchIn | None = None
    reacts_to_oxidative: bool | None = None
    allergies: str = Field("", max_length=500)
    medication: str = Field("", max_length=500)
    home_care: list[HomeCare] = []
    is_clarified: bool = False
    time_min: float | None = None
    booked_min: float | None = None
    zones: list[ZoneIn] = Field(max_length=60)
    strands: list[StrandIn] = Field([], max_length=12)


class CautionOut(Schema):
    """A caution, and who took it on."""

    caution: Caution
    acknowledged_by: str | None
    acknowledged_at: dt.datetime | None


class ServiceOut(Schema):
    """A service: where it stands, and its consultation."""

    id: UUID
    client_id: UUID
    client_name: str
    client_age_years: int | None
    reacts_to_oxidative: bool | None
    is_reaction_open: bool
    patch_test: TestResult
    patch_test_placed_at: dt.datetime | None
    patch_state: PatchState
    starts_at: dt.datetime
    step: Step
    revision: int
    wish: str
    tone: Tone
    wanted_level: float | None
    scalp: Scalp
    elasticity: Elasticity
    salts_test: TestResult
    salts_signs: list[SaltsSign] | None
    stretch: StretchOut | None
    allergies: str
    medication: str
    home_care: list[HomeCare]
    is_clarified: bool
    time_min: float | None
    booked_min: float | None
    zones: list[ZoneOut]
    strands: list[StrandOut]
    move_text: str | None
    verdict: Verdict | None
    cautions: list[CautionOut]
    is_blocked: bool
    lightener_key: str | None
    undo: UndoOut | None
    conflicts: list[ConflictOut]
    server_now: dt.datetime


class ServiceIn(In):
    """A new service."""

    client_id: UUID
    starts_at: dt.datetime | None = None


class PaletteOut(Schema):
    """Colours of hair by half level, lifted from one start level; natural when none is given."""

    start_level: float | None
    levels: list[float]
    hexes: list[str]
    undertones: list[str]


class HeadZoneOut(Schema):
    """A zone of the usual head; `mirror` is its twin on the other side."""

    key: str
    name: str
    foil_count: int
    is_delicate: bool
    mirror: str | None


class HeadOut(Schema):
    """The usual head, and the member's own pace."""

    zones: list[HeadZoneOut]
    pace_min_per_foil: float
    usual_length_mm: float
    root_mm: float
