"""What goes over the wire about a service. Computed parts are the core's own values, so they cannot drift."""

from __future__ import annotations

import datetime as dt
from typing import Any
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.services.plan_schemas import BowlOut
from fervens_core.basin import Review, ToneStep
from fervens_core.chair import Board, CurvePoint, LaneOption
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
from fervens_core.toning import WishCell


class HairIn(Schema):
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


class StrandReadingIn(Schema):
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


class StretchIn(Schema):
    """A wet hair on a ruler: at rest, pulled, and where it came back to, mm."""

    rest_mm: float
    pulled_mm: float
    back_mm: float
    has_snapped: bool = False


class StretchOut(StretchIn):
    """The same, with what it says."""

    stretch_percent: float
    return_percent: float


class ConsultationIn(Schema):
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


class UndoOut(Schema):
    """The latest act, which can be taken back."""

    event_id: str
    text: str


class ConflictOut(Schema):
    """An act that did not fit what another device had done: kept, shown, and not counted."""

    event_id: str
    code: str
    text: str
    by: str
    at: dt.datetime
    message: str


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


class ServiceIn(Schema):
    """A new service."""

    client_id: UUID
    starts_at: dt.datetime | None = None


class DayService(Schema):
    """A service on the day's list: where it stands, what is next, and its zones' colours now and wanted."""

    id: UUID
    client_name: str
    starts_at: dt.datetime
    step: Step
    is_blocked: bool
    next_text: str
    next_due_at: dt.datetime | None
    wish: str
    tone: Tone
    hexes_now: list[str]
    hexes_target: list[str]
    level_from: float | None
    level_to: float | None


class DayPatchTest(Schema):
    """A patch test that is placed and not read."""

    client_id: UUID
    client_name: str
    placed_at: dt.datetime
    due_at: dt.datetime
    is_due: bool


class DayVisit(Schema):
    """A visit to come, by whom and when."""

    service_id: UUID
    client_name: str
    starts_at: dt.datetime


class DayReminder(DayVisit):
    """A visit whose client is to be reminded now, with the text."""

    text: str


class DayOut(Schema):
    """The services of a day, and the patch tests that wait to be read."""

    day: dt.date
    services: list[DayService]
    patch_tests: list[DayPatchTest]
    requests: list[DayVisit]
    reminders: list[DayReminder]
    server_now: dt.datetime


class EventIn(Schema):
    """An event from a device: its own id, when it happened, what; and up to where the device had heard the log."""

    event_id: UUID
    kind: str
    occurred_at: dt.datetime
    data: dict[str, Any] = {}
    device: str = Field("", max_length=40)
    seen: int | None = None


class BoardOut(Schema):
    """The chair, with the service's step and what can be undone."""

    service_id: UUID
    client_name: str
    step: Step
    board: Board
    lightener_key: str | None
    lightener_name: str | None
    label_max_min: float | None
    is_dark_lightener: bool
    bowls: list[BowlOut]
    undo: UndoOut | None
    conflicts: list[ConflictOut]
    position: int
    has_reader: bool
    server_now: dt.datetime


class LogLine(Schema):
    """One act of the log, newest first; `conflict` says why it did not fit what others did, if it did not."""

    event_id: str
    at: dt.datetime
    recorded_at: dt.datetime
    by: str
    text: str
    is_voided: bool
    voided_by: str | None
    conflict: str | None


class LogOut(Schema):
    """Who did what."""

    lines: list[LogLine]


class OptionsOut(Schema):
    """What can be done with a lane now, and what each would do."""

    options: list[LaneOption]


class MeasuredOut(Schema):
    """What the colour reader measured, the level it looks like, both as colours, and what it calls itself."""

    lab: list[float]
    level: float
    delta_e: float
    hex: str
    level_hex: str
    instrument: str


class ToneOut(Schema):
    """The tone step."""

    service_id: UUID
    step: Step
    tone: Tone
    wanted_level: float | None
    most_bowls: int
    tone_step: ToneStep | None
    open_zones: list[str]
    undo: UndoOut | None
    conflicts: list[ConflictOut]
    has_reader: bool
    server_now: dt.datetime


class ReviewOut(Schema):
    """The review step; `lightener_name` is whose label another application would ask."""

    service_id: UUID
    step: Step
    tone: Tone
    review: Review | None
    open_zones: list[str]
    lightener_name: str
    undo: UndoOut | None
    has_reader: bool
    server_now: dt.datetime


class WishesOut(Schema):
    """The painted scale of wishes."""

    cells: list[WishCell]


class FormulaIn(Schema):
    """A formula of the technician's own, for some zones."""

    shade_key: str = Field(max_length=60)
    second_key: str = Field("", max_length=60)
    share: float = Field(1.0, ge=0.01, le=1.0)
    developer_parts: float | None = Field(None, ge=0.5, le=4.0)
    zone_keys: list[str] = Field(min_length=1, max_length=60)


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


class CsvIn(Schema):
    """Strand tests as CSV."""

    revision: int
    text: str = Field(max_length=200_000)


class CsvOut(Schema):
    """Strand tests as CSV."""

    text: str


class ImportIn(Schema):
    """A service file, as JSON, and when the visit is."""

    document: dict[str, Any]
    starts_at: dt.datetime | None = None


class ImportOut(Schema):
    """The service made of a file, and what was put on the shelf for it."""

    service_id: UUID
    client_name: str
    added_to_shelf: list[str]


class FileOut(Schema):
    """A service as a service file."""

    document: dict[str, Any]
    file_name: str


class CancelledOut(Schema):
    """Whose visit was cancelled."""

    client_id: UUID
