"""The shelf, for looking up."""

from __future__ import annotations

from django.http import HttpRequest
from ninja import Router, Schema

from apps.common.problems import ERRORS, Problem
from apps.shelf import queries
from apps.shelf.adapters import shade_hex
from apps.studio.auth import member_of
from fervens_core.quantities import nominal_percent

router = Router(tags=["shelf"])


class LightenerOut(Schema):
    """A lightener and its label's limits."""

    key: str
    name: str
    developer_parts: float
    label_max_min: float
    max_volume: float
    max_volume_on_scalp: float
    bowl_life_min: float
    is_dark: bool


class DeveloperOut(Schema):
    """A bottle of developer, with the percent printed on it."""

    key: str
    name: str
    volume_strength: float
    percent: float


class TonerOut(Schema):
    """A toner shade; `hex` is the shade on palest hair, taken fully."""

    key: str
    name: str
    level: float
    label_max_min: float
    is_oxidative: bool
    hex: str


class ShelfOut(Schema):
    """Everything on the shelf."""

    lighteners: list[LightenerOut]
    developers: list[DeveloperOut]
    toners: list[TonerOut]


@router.get("/shelf", response={200: ShelfOut, ERRORS: Problem})
def read_shelf(request: HttpRequest) -> ShelfOut:
    """The studio's products."""
    studio_id = member_of(request).studio_id
    return ShelfOut(
        lighteners=[
            LightenerOut(
                key=x.key,
                name=x.name,
                developer_parts=x.ratio.developer_parts,
                label_max_min=x.label_max_min,
                max_volume=x.max_volume,
                max_volume_on_scalp=x.max_volume_on_scalp,
                bowl_life_min=x.bowl_life_min,
                is_dark=x.is_dark,
            )
            for x in queries.lighteners(studio_id)
        ],
        developers=[
            DeveloperOut(
                key=x.key, name=x.name, volume_strength=x.volume_strength, percent=nominal_percent(x.volume_strength)
            )
            for x in queries.developers(studio_id)
        ],
        toners=[
            TonerOut(
                key=x.key,
                name=x.name,
                level=x.level,
                label_max_min=x.label_max_min,
                is_oxidative=x.is_oxidative,
                hex=shade_hex(x),
            )
            for x in queries.toners(studio_id)
        ],
    )
