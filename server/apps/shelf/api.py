"""The shelf: looking up, counting, pricing, changing."""

from __future__ import annotations

from typing import Annotated, Any, Literal, get_type_hints
from uuid import UUID

from django.http import HttpRequest
from ninja import Router, Schema
from ninja.responses import Status
from pydantic import Field, create_model

from apps.common.problems import ERRORS, Problem
from apps.common.schemas import In
from apps.common.words import Words
from apps.shelf import actions, exchange, queries
from apps.shelf.adapters import label_fields, shade_hex, toner_value
from apps.shelf.models import Developer, Lightener, Toner
from apps.studio.auth import member_of
from fervens_core import head as core
from fervens_core.base import nominal_percent
from fervens_core.head import DyeFamily

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


class ShelfText(Schema):
    """A table or a file, as text."""

    text: str


class ShelfTextIn(In):
    """A table or a file, as text."""

    text: str = Field(max_length=1_500_000)


class ShelfProblem(Schema):
    """Why a line cannot be taken."""

    line: int
    column: str
    limit: Words
    value: str


class ShelfPreview(Schema):
    """What would come in, what is there already, and what is wrong."""

    count: int
    names: list[str]
    known: list[str]
    problems: list[ShelfProblem]


class ShelfTaken(Schema):
    """How many products came in."""

    products: int


@router.get("/shelf/out", response={200: ShelfText, ERRORS: Problem})
def take_shelf_out(request: HttpRequest, form: Literal["csv", "file"] = "csv") -> ShelfText:
    """The shelf as CSV, or as a file for another studio."""
    member = member_of(request)
    return ShelfText(text=exchange.shelf_csv(member) if form == "csv" else exchange.shelf_file(member))


@router.post("/shelf/preview", response={200: ShelfPreview, ERRORS: Problem})
def preview_shelf(request: HttpRequest, payload: ShelfTextIn) -> ShelfPreview:
    """What a table or a file would bring."""
    found, known = exchange.preview_shelf(member_of(request), payload.text)
    return ShelfPreview(
        count=sum(x.product.name not in known for x in found.lines),
        names=[x.product.name for x in found.lines if x.product.name not in known][:50],
        known=known,
        problems=[
            ShelfProblem(line=p.line, column=p.column, limit=p.limit, value=p.value) for p in found.problems[:50]
        ],
    )


@router.post("/shelf/in", response={201: ShelfTaken, ERRORS: Problem})
def bring_shelf_in(request: HttpRequest, payload: ShelfTextIn) -> Status[ShelfTaken]:
    """The products of a table or a file, all or nothing."""
    return Status(201, ShelfTaken(products=exchange.take_shelf(member_of(request), payload.text)))


@router.get("/shelf", response={200: ShelfOut, ERRORS: Problem})
def read_shelf(request: HttpRequest) -> ShelfOut:
    """The studio's products."""
    studio_id = member_of(request).studio_id
    return ShelfOut(
        lighteners=[
            LightenerOut(
                key=x.key,
                name=x.name,
                developer_parts=x.developer_parts,
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


Number = Annotated[float, Field(allow_inf_nan=False)]
Kind = Literal["lightener", "developer", "toner"]


def _optional(*kinds: type) -> dict[str, Any]:
    """Every field of some products' labels, each of which may be missing; their limits are the core's to hold."""
    found: dict[str, Any] = {}
    for kind in kinds:
        hints = get_type_hints(kind)
        found |= {
            name: (hints[name] | None, None) for name in label_fields(kind) if name not in ("name", "dyes", "learnt")
        }
    return found


_LABEL = _optional(core.Lightener, core.Developer, core.TonerShade)


class ProductBase(In):
    """What can be written of a product; a field that is missing stays as it is. Grams, and price a gram."""

    name: str | None = Field(None, min_length=1, max_length=80)
    stock_g: Number | None = None
    low_g: Number | None = None
    price_per_g: Number | None = None
    dyes: dict[DyeFamily, Annotated[float, Field(ge=0, le=1)]] | None = None


class ProductShown(Schema):
    """A product as the shelf's page shows it; fields of other kinds are empty."""

    key: UUID
    kind: Kind
    name: str
    stock_g: float | None
    low_g: float | None
    price_per_g: float | None
    is_low: bool
    hex: str | None = None
    dyes: dict[str, float] | None = None


class ProductIn(create_model("LabelIn", __base__=ProductBase, **_LABEL)):  # type: ignore[misc]
    """What can be written of a product; a field that is missing stays as it is. Grams, and price a gram."""


class ProductOut(create_model("LabelOut", __base__=ProductShown, **_LABEL)):  # type: ignore[misc]
    """A product as the shelf's page shows it; fields of other kinds are empty."""


class StockOut(Schema):
    """The whole shelf with its stock."""

    currency: str
    products: list[ProductOut]
    to_order: list[str]


class OrderIn(In):
    """What is to be ordered besides what runs low, or no longer."""

    what: str
    is_wanted: bool = True


def product_out(row: actions.Row) -> ProductOut:
    """A product's row as the page has it."""
    kind: Kind = "lightener" if isinstance(row, Lightener) else "developer" if isinstance(row, Developer) else "toner"
    more = {field: getattr(row, field) for field in actions.FIELDS[kind]}
    if isinstance(row, Lightener):
        more |= {"lift_factor": row.lift_factor, "rate_factor": row.rate_factor}
    is_low = row.stock_g is not None and row.low_g is not None and row.stock_g <= row.low_g
    colour = shade_hex(toner_value(row)) if isinstance(row, Toner) else None
    common = {field: getattr(row, field) for field in actions.COMMON}
    return ProductOut(key=row.pk, kind=kind, is_low=is_low, hex=colour, **common, **more)


def _values(payload: ProductIn) -> dict[str, object]:
    """What was sent."""
    sent: dict[str, object] = payload.dict(exclude_unset=True)
    if payload.dyes:
        sent["dyes"] = {f.value: share for f, share in payload.dyes.items() if share > 0}
    return sent


@router.get("/stock", response={200: StockOut, ERRORS: Problem})
def read_stock(request: HttpRequest) -> StockOut:
    """Every product with its label, what is left of it and what it costs."""
    member = member_of(request)
    rows = [r for kind in actions.KINDS.values() for r in queries.rows_of(kind, member.studio_id)]
    studio = member.studio
    return StockOut(currency=studio.currency, products=[product_out(r) for r in rows], to_order=list(studio.to_order))


@router.put("/orders", response={200: list[str], ERRORS: Problem})
def want_to_order(request: HttpRequest, payload: OrderIn) -> list[str]:
    """Put something on the order list, or take it off; the list as it then is."""
    return actions.want_to_order(member_of(request), payload.what, is_wanted=payload.is_wanted)


@router.post("/stock/{kind}", response={201: ProductOut, ERRORS: Problem})
def add_product(request: HttpRequest, kind: Kind, payload: ProductIn) -> Status[ProductOut]:
    """A new product on the shelf."""
    return Status(201, product_out(actions.add_product(member_of(request), kind, _values(payload))))


@router.patch("/stock/{kind}/{key}", response={200: ProductOut, ERRORS: Problem})
def change_product(request: HttpRequest, kind: Kind, key: UUID, payload: ProductIn) -> ProductOut:
    """Correct a product, count it, price it."""
    return product_out(actions.change_product(member_of(request), kind, key, _values(payload)))


@router.delete("/stock/{kind}/{key}", response={200: StockOut, ERRORS: Problem})
def remove_product(request: HttpRequest, kind: Kind, key: UUID) -> StockOut:
    """Take a product off the shelf."""
    actions.remove_product(member_of(request), kind, key)
    return read_stock(request)
