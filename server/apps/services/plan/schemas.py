"""What goes over the wire about a plan and its mixing."""

from __future__ import annotations

import datetime as dt
from typing import Any
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.common.schemas import In
from apps.common.words import Words
from fervens_core.chair import Crossing, CurvePoint, FibrePoint, Window
from fervens_core.head import Covering, Part
from fervens_core.planning import (
    Aim,
    BasinVisit,
    BowlStyle,
    Busy,
    ChairItem,
    DelicateWay,
    DeveloperMove,
    Ending,
    Fill,
    OrderWay,
    Placed,
    Price,
    VolumeStep,
)


class PlanIn(In):
    """Choices of a plan. `order` empty keeps the saved one; what is empty is proposed, a null lightener too."""

    revision: int
    lightener_key: UUID | None
    visit_mins: list[float] = Field([], max_length=60)
    round_starts: list[str] = Field([], max_length=60)
    has_additive: bool = False
    uses_known: bool = True
    volumes: dict[str, float] = {}
    minutes: dict[str, float] = {}
    visits: dict[str, int] = {}
    coverings: dict[str, Covering] = {}
    lighteners: dict[str, str] = {}
    rows: dict[str, int] = {}
    order: list[str] = []
    keeps_order: bool = False
    aim: Aim = Aim.SIMPLE
    step: VolumeStep = VolumeStep.WHOLE
    bowl_style: BowlStyle = BowlStyle.USUAL
    delicate_way: DelicateWay = DelicateWay.WEAKER_LAST
    hands: int = 1
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

    `lightener` is empty where it is the service's own, `side` (left, right) where a lane is on none.
    """

    key: str
    zone_key: str
    part: Part
    name: Words
    lightener: str
    covering: Covering
    foil_count: int
    side: str
    round: int
    visit: int
    start_level: float
    target_level: float
    volume_strength: float
    is_own_volume: bool
    is_own_minutes: bool
    is_own_visit: bool
    is_delicate: bool
    strongest_volume: float
    limit_reason: Words
    start_min: float
    end_min: float
    wall_min: float
    rinse_min: float
    ending: Ending
    minutes_on: float
    ready_min: Window
    level_at_rinse: float
    level_low: float
    level_high: float
    hex_at_rinse: str
    hex_target: str
    reason: Words | None
    note: Words
    curve: list[CurvePoint]
    fibres: list[FibrePoint]
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


class AgainLane(Schema):
    """A lane of a second round, in short."""

    key: str
    name: Words
    volume_strength: float
    start_min: float
    rinse_min: float
    start_level: float
    level_at_rinse: float
    target_level: float


class OrderOut(Schema):
    """Zones in the order of a school."""

    way: OrderWay
    order: list[str]


class PlanOut(Schema):
    """A plan, painted, with its mixing list and its price."""

    revision: int
    lightener_key: str
    order: list[str]
    zone_names: dict[str, str]
    visit_mins: list[float]
    round_starts: list[str]
    volumes: dict[str, float]
    minutes: dict[str, float]
    own_visits: dict[str, int]
    coverings: dict[str, Covering]
    lighteners: dict[str, str]
    rows: dict[str, int]
    keeps_order: bool
    delicate_way: DelicateWay
    hands: int
    has_additive: bool
    uses_known: bool
    known: Words | None
    aim: Aim
    step: VolumeStep
    bowl_style: BowlStyle
    toner_key: str
    finish_min: float
    last_rinse_min: float
    strengths: list[float]
    price: Price
    sessions: int | None
    promised_level: float | None
    likely_level: float | None
    is_proposed: bool
    contact_load_volume_min: float
    contact_min: float
    spread_levels: float
    strongest_volume: float
    lightener_g: float
    lighteners_g: dict[str, float]
    waste_g: float
    lanes: list[PlanLane]
    visits: list[BasinVisit]
    busy: list[Busy]
    again: list[AgainLane]
    left_out: list[LeftOutLane]
    kept: list[LeftOutLane]
    bowls: list[BowlOut]
    poured: list[PourOut]
    move_text: Words | None
    moves: list[DeveloperMove]
    proposed_order: list[Placed]
    orders: list[OrderOut]
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
    """One aim and its price; `sessions` null when six do not reach the wish, `same_as` an aim that comes out alike."""

    aim: Aim
    same_as: Aim | None
    why: Words | None
    last_rinse_min: float
    chair_min: float
    visit_count: int
    strengths: list[float]
    bowl_count: int
    short_count: int
    spread_levels: float
    contact_load_volume_min: float
    sessions: int | None
    price: Price
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
