"""What goes over the wire about a service. Computed parts are the core's own values, so they cannot drift."""

from __future__ import annotations

import datetime as dt
from typing import Any
from uuid import UUID

from ninja import Schema
from pydantic import Field

from fervens_core import hair
from fervens_core.board import Board
from fervens_core.paint import Crossing, CurvePoint, Window
from fervens_core.safety import Caution, Elasticity, Scalp, TestResult
from fervens_core.service import Conflict, Step
from fervens_core.toner import Tone
from fervens_core.tonestep import ToneLane


class ZoneIn(Schema):
    """A zone as read."""

    key: str
    name: str
    start_level: float
    target_level: float
    history: hair.History = hair.History.VIRGIN
    thickness: hair.Thickness = hair.Thickness.MEDIUM
    porosity: hair.Porosity = hair.Porosity.NORMAL
    covering: hair.Covering = hair.Covering.FOIL
    foil_count: int
    pace_min_per_foil: float = 1.2
    is_delicate: bool = False
    is_on_scalp: bool = False

    def value(self) -> hair.Zone:
        """The zone as the core knows it. Raises LimitError."""
        return hair.Zone(
            key=self.key,
            name=self.name,
            hair=hair.Hair(self.start_level, self.history, self.thickness, self.porosity),
            target_level=self.target_level,
            foil_count=self.foil_count,
            pace_min_per_foil=self.pace_min_per_foil,
            covering=self.covering,
            is_delicate=self.is_delicate,
            is_on_scalp=self.is_on_scalp,
        )


class ZoneOut(ZoneIn):
    """A zone with the colours it has and is to have."""

    start_hex: str
    target_hex: str


class ConsultationIn(Schema):
    """What was read at the consultation; `revision` is the one it was read at."""

    revision: int
    wish: str = Field("", max_length=2000)
    tone: Tone = Tone.NEUTRAL
    wanted_level: float | None = None
    scalp: Scalp = Scalp.SOUND
    elasticity: Elasticity = Elasticity.RETURNS
    salts_test: TestResult = TestResult.NOT_DONE
    zones: list[ZoneIn] = Field(max_length=60)


class CautionOut(Schema):
    """A caution, and who took it on."""

    caution: Caution
    acknowledged_by: str | None
    acknowledged_at: dt.datetime | None


class UndoOut(Schema):
    """The latest act, which can be taken back."""

    event_id: str
    text: str


class ServiceOut(Schema):
    """A service: where it stands, and its consultation."""

    id: UUID
    client_id: UUID
    client_name: str
    client_age_years: int | None
    has_reacted_before: bool
    patch_test: TestResult
    patch_test_placed_at: dt.datetime | None
    starts_at: dt.datetime
    step: Step
    revision: int
    wish: str
    tone: Tone
    wanted_level: float | None
    scalp: Scalp
    elasticity: Elasticity
    salts_test: TestResult
    zones: list[ZoneOut]
    cautions: list[CautionOut]
    is_blocked: bool
    lightener_key: str | None
    undo: UndoOut | None
    conflicts: list[Conflict]
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


class DayOut(Schema):
    """The services of a day."""

    day: dt.date
    services: list[DayService]
    server_now: dt.datetime


class PlanIn(Schema):
    """Choices of a plan. `order` empty keeps the saved one; `finish_min` null asks for a proposal."""

    revision: int
    lightener_key: UUID
    finish_min: float | None = None
    has_additive: bool = False
    volumes: dict[str, float] = {}
    order: list[str] = []


class PourOut(Schema):
    """Grams of one bottle."""

    name: str
    volume_strength: float
    mass_g: float


class BowlOut(Schema):
    """One bowl of the mixing list."""

    zone_key: str
    zone_name: str
    number: int
    mix_min: float
    volume_strength: float
    lightener_g: float
    developer_g: float
    total_g: float
    pours: list[PourOut]


class PlanLane(Schema):
    """One zone of a plan; minutes count from the first product on hair, the curve's from `end_min`."""

    key: str
    name: str
    start_level: float
    target_level: float
    volume_strength: float
    is_own_volume: bool
    strongest_volume: float
    limit_reason: str
    start_min: float
    end_min: float
    wall_min: float
    rinse_min: float
    ready_min: Window
    level_at_rinse: float
    hex_at_rinse: str
    hex_target: str
    reason: str | None
    curve: list[CurvePoint]
    crossings: list[Crossing]


class PlanOut(Schema):
    """A plan, painted, with its mixing list."""

    revision: int
    lightener_key: str
    has_additive: bool
    finish_min: float
    finish_least_min: float
    finish_most_min: float
    is_proposed_finish: bool
    contact_load_volume_min: float
    lightener_g: float
    lanes: list[PlanLane]
    bowls: list[BowlOut]
    cautions: list[str]


class EventIn(Schema):
    """An event from a device: its own id, when it happened, and what."""

    event_id: UUID
    kind: str
    occurred_at: dt.datetime
    data: dict[str, Any] = {}


class TakePlanIn(Schema):
    """Take the saved plan to the chair, once for each id."""

    event_id: UUID


class BoardOut(Schema):
    """The chair, with the service's step and what can be undone."""

    service_id: UUID
    client_name: str
    step: Step
    board: Board
    lightener_name: str | None
    label_max_min: float | None
    is_dark_lightener: bool
    bowls: list[BowlOut]
    undo: UndoOut | None
    conflicts: list[Conflict]


class ToneOut(Schema):
    """The tone step."""

    service_id: UUID
    step: Step
    tone: Tone
    wanted_level: float | None
    lanes: list[ToneLane]
    open_zones: list[str]
    undo: UndoOut | None
    server_now: dt.datetime


class PaletteOut(Schema):
    """Colours of hair by half level, lifted from one start level; natural when none is given."""

    start_level: float | None
    levels: list[float]
    hexes: list[str]
    undertones: list[str]


class HeadZoneOut(Schema):
    """A zone of the usual head."""

    key: str
    name: str
    foil_count: int
    is_delicate: bool
