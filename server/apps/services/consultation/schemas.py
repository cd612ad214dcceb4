"""What goes over the wire about a consultation."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.common.schemas import In
from apps.common.words import Words
from apps.services.schemas import ConflictOut, UndoOut
from fervens_core.base import contract
from fervens_core.chair import CurvePoint
from fervens_core.head import (
    Elasticity,
    History,
    HomeCare,
    Part,
    PatchState,
    Porosity,
    SaltsSign,
    Scalp,
    ServiceKind,
    TestResult,
    Tone,
    Zone,
)
from fervens_core.lift import ToldStrand
from fervens_core.log import Step
from fervens_core.planning import Verdict
from fervens_core.safety import Caution


@dataclass(frozen=True, slots=True, kw_only=True)
@contract
class ZoneOut(Zone):
    """A zone with the colours it has and is to have; those of its parts, and of its pieces and their parts, beside it.

    `pieces_hexes` is empty for a zone of one kind.
    """

    start_hex: str
    target_hex: str
    part_hexes: list[str]
    pieces_hexes: list[str]
    touches_the_scalp: bool


@dataclass(frozen=True, slots=True, kw_only=True)
@contract
class StrandIn(ToldStrand):
    """A strand of a test, with the times of its clock."""

    started_at: dt.datetime | None = None
    ended_at: dt.datetime | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
@contract
class StrandOut(StrandIn):
    """A strand with its fitted curve, painted, and what it says."""

    curve: list[CurvePoint]
    reading_hexes: list[str]
    start_hex: str
    extent_ratio: float
    rate_ratio: float
    has_suffered: bool
    label_max_min: float
    next_look_min: float | None
    reading_undertones: list[str]


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
    kind: ServiceKind | None = None
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
    zones: list[Zone] = Field(max_length=60)
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
    builds_up: bool
    patch_test: TestResult
    patch_test_placed_at: dt.datetime | None
    patch_state: PatchState
    starts_at: dt.datetime
    is_hair_piece: bool
    kind: ServiceKind
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
    move_text: Words | None
    verdict: Verdict | None
    cautions: list[CautionOut]
    is_blocked: bool
    lightener_key: str | None
    undo: UndoOut | None
    conflicts: list[ConflictOut]
    is_practice: bool
    server_now: dt.datetime


class ServiceIn(In):
    """A new service."""

    client_id: UUID
    starts_at: dt.datetime | None = None
    kind: ServiceKind | None = None


class PaletteOut(Schema):
    """Colours of hair by half level, lifted from one start level; natural when none is given."""

    start_level: float | None
    levels: list[float]
    hexes: list[str]
    undertones: list[str]


class HeadZoneOut(Schema):
    """A zone of the usual head; `mirror` is its twin on the other side."""

    key: str
    name: Words
    foil_count: int
    is_delicate: bool
    mirror: str | None


class OwnZoneIn(In):
    """A zone of the service by its own name."""

    key: str = Field(max_length=60)
    name: str = Field(max_length=60)


class ShorthandIn(In):
    """A head read in one typed line, as in "5 all, ends 8.5"; `zones`: those of the service, by their names."""

    text: str = Field(max_length=300)
    zones: list[OwnZoneIn] = Field([], max_length=60)


class ReadLineOut(Schema):
    """One thing a typed line says; `zone_keys` is empty where it names none. Levels 1 to 10, length in mm."""

    zone_keys: list[str]
    part: Part
    start_level: float | None
    target_level: float | None
    history: History | None
    porosity: Porosity | None
    length_mm: float | None
    keeps_depth: bool


class HeadOut(Schema):
    """The usual head, and the member's own pace."""

    zones: list[HeadZoneOut]
    pace_min_per_foil: float
    usual_length_mm: float
    root_mm: float
