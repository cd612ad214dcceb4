"""Changing the shelf: products with their label's limits, what is counted, what is paid."""

from __future__ import annotations

from typing import Any, cast
from uuid import UUID

from django.core.exceptions import ValidationError
from django.db import transaction
from django.db.models import ProtectedError
from django.shortcuts import get_object_or_404

from apps.shelf.adapters import developer_value, lightener_value, toner_value
from apps.shelf.models import Developer, Lightener, Toner
from apps.shelf.queries import SHELF_MAX
from apps.studio.actions import audit
from apps.studio.models import Membership
from apps.studio.policies import require_lead
from fervens_core.base import ConflictError, LimitError, check_range, check_text

Row = Lightener | Developer | Toner
KINDS: dict[str, type[Lightener] | type[Developer] | type[Toner]] = {
    "lightener": Lightener,
    "developer": Developer,
    "toner": Toner,
}
USUAL_MIX = {"developer_parts": 1.5, "developer_volume": 7.0}
"""Of an oxidative shade whose label nobody has read for it yet (common practice, no source)."""
STOCK_MAX_G, PRICE_MAX = 1_000_000.0, 1_000.0
OPTIONAL = {"stock_g", "low_g", "price_per_g", "max_applications"}
TONER_OPTIONAL = {"developer_parts", "developer_volume"}
"""Nothing for a pigment wash; the core asks for them of an oxidative shade."""


def _check(row: Row) -> None:
    """Raises LimitError for a value out of its limits: the core's own checks, and those of stock and price."""
    check_text("name", row.name)
    if isinstance(row, Lightener):
        for field, low, high, unit in (
            ("developer_parts", 0.5, 4.0, ""),
            ("label_max_min", 10.0, 90.0, "min"),
            ("max_volume", 0.5, 40.0, "vol"),
            ("max_volume_on_scalp", 0.5, row.max_volume, "vol"),
            ("bowl_life_min", 5.0, 60.0, "min"),
            ("lift_factor", 0.5, 1.2, ""),
        ):
            check_range(field, getattr(row, field), low, high, unit)
        if row.max_applications is not None:
            check_range("max_applications", row.max_applications, 1, 4)
        lightener_value(row)
    elif isinstance(row, Developer):
        check_range("volume_strength", row.volume_strength, 0.5, 40.0, "vol")
        developer_value(row)
    else:
        for field, low, high, unit in (
            ("level", 1.0, 10.0, ""),
            ("label_max_min", 1.0, 60.0, "min"),
            ("label_min_min", 0.5, row.label_max_min, "min"),
            ("patch_test_wait_h", 1.0, 168.0, "h"),
        ):
            check_range(field, getattr(row, field), low, high, unit)
        if abs(sum(row.dyes.values()) - 1.0) > 0.005:
            raise LimitError("dyes", "shares that sum to 1", round(sum(row.dyes.values()), 4))
        toner_value(row)
    for field, most in (("stock_g", STOCK_MAX_G), ("low_g", STOCK_MAX_G), ("price_per_g", PRICE_MAX)):
        value = getattr(row, field)
        if value is not None:
            least = -STOCK_MAX_G if field == "stock_g" else 0.0
            check_range(field, value, least, most)
    try:
        row.clean_fields(exclude=["studio"])
    except ValidationError as error:
        field, messages = next(iter(error.message_dict.items()))
        raise LimitError(field, messages[0], str(getattr(row, field, ""))[:80]) from error


FIELDS = {
    "lightener": {
        "developer_parts", "label_max_min", "max_volume", "max_volume_on_scalp", "bowl_life_min", "is_dark",
        "is_heat_allowed", "max_applications",
    },
    "developer": {"volume_strength"},
    "toner": {
        "level", "dyes", "developer_parts", "developer_volume", "label_min_min", "label_max_min", "is_oxidative",
        "patch_test_wait_h",
    },
}  # fmt: skip
COMMON = {"name", "stock_g", "low_g", "price_per_g"}


def _check_fields(kind: str, values: dict[str, Any]) -> None:
    """Raises LimitError for a field of another kind."""
    known = FIELDS[kind] | COMMON
    for field, value in values.items():
        if field not in known:
            raise LimitError(field, f"a field of a {kind} ({', '.join(sorted(known))})", value)


def _apply(row: Row, values: dict[str, Any]) -> None:
    optional = OPTIONAL | TONER_OPTIONAL if isinstance(row, Toner) else OPTIONAL
    for field, value in values.items():
        if value is None and field not in optional:
            raise LimitError(field, "given", value)
        setattr(row, field, value)
    _check(row)


@transaction.atomic
def add_product(member: Membership, kind: str, values: dict[str, Any]) -> Row:
    """A new product on the shelf. Raises LimitError, ConflictError for a name that is there."""
    require_lead(member, "change the shelf")
    _check_fields(kind, values)
    model = KINDS[kind]
    rows = model.objects.filter(studio_id=member.studio_id)
    if rows.count() >= SHELF_MAX:
        raise LimitError("shelf", f"at most {SHELF_MAX} of a kind", SHELF_MAX + 1)
    if rows.filter(name=values.get("name")).exists():
        raise ConflictError("name_taken", f"{values['name']} is on the shelf already.")
    row: Row = model(studio_id=member.studio_id)
    if kind == "toner" and values.get("is_oxidative", True):
        values = USUAL_MIX | values
    _apply(row, values)
    row.save()
    audit(member, f"{kind} added", row.pk)
    return row


@transaction.atomic
def change_product(member: Membership, kind: str, key: UUID, values: dict[str, Any]) -> Row:
    """Correct a product, count it, price it. Raises LimitError; 404 for another studio's."""
    require_lead(member, "change the shelf")
    _check_fields(kind, values)
    own = KINDS[kind].objects.filter(studio_id=member.studio_id)
    row = cast(Row, get_object_or_404(own.select_for_update(), pk=key))
    _apply(row, values)
    row.save()
    audit(member, f"{kind} changed", row.pk)
    return row


@transaction.atomic
def remove_product(member: Membership, kind: str, key: UUID) -> None:
    """Take a product off the shelf. Raises ConflictError when a service's plan rests on it."""
    require_lead(member, "change the shelf")
    row = get_object_or_404(KINDS[kind].objects.filter(studio_id=member.studio_id), pk=key)
    try:
        row.delete()
    except ProtectedError as error:
        raise ConflictError("in_use", f"{row.name} stands in services; its record needs it.") from error
    audit(member, f"{kind} removed", key)


@transaction.atomic
def carry_learnt(member: Membership, key: UUID, factor: float) -> Lightener:
    """A lightener's lift factor as the studio's services taught it; what it was before is kept for undoing."""
    require_lead(member, "change the shelf")
    row = get_object_or_404(Lightener.objects.filter(studio_id=member.studio_id).select_for_update(), pk=key)
    row.lift_factor_before = row.lift_factor
    _apply(row, {"lift_factor": factor})
    row.save()
    audit(member, "learnt factor carried in", row.pk)
    return row


@transaction.atomic
def undo_learnt(member: Membership, key: UUID) -> Lightener:
    """The lift factor as it was before. Raises ConflictError when nothing was carried in."""
    require_lead(member, "change the shelf")
    row = get_object_or_404(Lightener.objects.filter(studio_id=member.studio_id).select_for_update(), pk=key)
    if row.lift_factor_before is None:
        raise ConflictError("nothing_carried", f"Nothing that was learnt has been carried into {row.name}.")
    row.lift_factor, row.lift_factor_before = row.lift_factor_before, None
    row.save()
    audit(member, "learnt factor taken back", row.pk)
    return row
