"""What goes over the wire about a plan and its mixing."""

from __future__ import annotations

import datetime as dt
from typing import Any
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.common.schemas import In
from apps.common.words import Words
from fervens_core.chair import Crossing, CurvePoint, Window
from fervens_core.head import Part
from fervens_core.planning import Aim, BowlStyle, ChairItem, DeveloperMove, Fill, Placed, VolumeStep, WavePlan


class PlanIn(In):
    """Choices of a plan. `order` empty keeps the saved one; missing lines and null `wave_starts` are proposed."""

    revision: int
    lightener_key: UUID
    finish_mins: list[float] = Field([], max_length=60)
    wave_starts: list[str] | None = None
    has_additive: bool = False
    volumes: dict[str, float] = {}
    order: list[str] = []
    aim: Aim = Aim.EVEN
    step: VolumeStep = VolumeStep.WHOLE
    bowl_style: BowlStyle = BowlStyle.FRESH
    toner_key: str = Field("", max_length=60)


class PourOut(Schema):
    """Grams of one bottle."""

    name: str
    volume_strength: float
    mass_g: float


class BowlOut(Schema):
    """One bowl of the mixing list."""

    number: int
    mix_min: float
    volume_strength: float
    lightener_key: str
    lightener_name: str
    lightener_g: float
    developer_g: float
    total_g: float
    waste_g: float
    oldest_min: float
    life_min: float
    lift_lost_share: float
    pours: list[PourOut]
    fills: list[Fill]


class PlanLane(Schema):
    """One lane of a plan; minutes count from the first product on hair, the curve's from `end_min`.

    `lightener` is empty where it is the service's own.
    """

    key: str
    zone_key: str
    part: Part
    name: Words
    lightener: str
    wave: int
    start_level: float
    target_level: float
    volume_strength: float
    is_own_volume: bool
    strongest_volume: float
    limit_reason: Words
    start_min: float
    end_min: float
    wall_min: float
    rinse_min: float
    ready_min: Window
    level_at_rinse: float
    hex_at_rinse: str
    hex_target: str
    reason: Words | None
    note: Words
    curve: list[CurvePoint]
    crossings: list[Crossing]


class LeftOutLane(Schema):
    """A lane no product goes on, and why."""

    key: str
    name: Words
    reason: Words


class TonerIdea(Schema):
    """A shade that may be planned, or why it may not."""

    key: str
    name: str
    level: float
    is_oxidative: bool
    hex: str
    blocked: Words | None


class PlanOut(Schema):
    """A plan, painted, with its mixing list and its price."""

    revision: int
    lightener_key: str
    order: list[str]
    zone_names: dict[str, str]
    wave_starts: list[str]
    volumes: dict[str, float]
    has_additive: bool
    aim: Aim
    step: VolumeStep
    bowl_style: BowlStyle
    toner_key: str
    finish_min: float
    is_proposed: bool
    contact_load_volume_min: float
    contact_min: float
    spread_levels: float
    strongest_volume: float
    lightener_g: float
    lighteners_g: dict[str, float]
    waste_g: float
    lanes: list[PlanLane]
    waves: list[WavePlan]
    left_out: list[LeftOutLane]
    kept: list[LeftOutLane]
    bowls: list[BowlOut]
    poured: list[PourOut]
    move_text: Words | None
    moves: list[DeveloperMove]
    proposed_order: list[Placed]
    toner_ideas: list[TonerIdea]
    chair: list[ChairItem]
    chair_min: float
    booked_min: float | None
    cautions: list[Words]


class AimLane(Schema):
    """A lane of an aim, in small."""

    name: Words
    volume_strength: float
    start_min: float
    end_min: float
    rinse_min: float
    hexes: list[str]
    is_short: bool


class AimOut(Schema):
    """One aim and its price; `visits` null when six do not reach the wish."""

    aim: Aim
    finish_min: float
    spread_levels: float
    strongest_volume: float
    contact_load_volume_min: float
    contact_min: float
    bowl_count: int
    wave_count: int
    short_count: int
    visits: int | None
    chair_min: float
    lanes: list[AimLane]


class VersionIn(In):
    """Keep the plan as it stands under a number and a few words."""

    revision: int
    label: str = Field("", max_length=80)


class VersionOut(Schema):
    """A kept plan."""

    number: int
    label: Words
    kept_at: dt.datetime
    by_name: str
    choice: dict[str, Any]
    finish_min: float
    strongest_volume: float
    spread_levels: float
    contact_load_volume_min: float
    short_count: int


class TakePlanIn(In):
    """Take the saved plan to the chair, once for each id."""

    event_id: UUID


class WeighedPourIn(In):
    """Grams of a developer, as weighed."""

    volume_strength: float
    mass_g: float


class MixIn(In):
    """A bowl as weighed, and the strength that was wanted."""

    lightener_key: UUID
    product_g: float
    pours: list[WeighedPourIn] = Field(max_length=8)
    wanted_volume: float


class ScaleOut(Schema):
    """What a simulated scale shows, one value after the other, in g."""

    shown_g: list[float]
