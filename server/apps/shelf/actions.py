"""Changing the shelf: products with their label's limits, what is counted, what is paid."""

from __future__ import annotations

from typing import Any, cast
from uuid import UUID

from django.apps import apps
from django.core.exceptions import ValidationError
from django.db import transaction
from django.db.models import ProtectedError
from django.shortcuts import get_object_or_404

from apps.shelf.adapters import developer_value, label_fields, label_of, lightener_value, toner_value
from apps.shelf.models import Developer, Lightener, Toner
from apps.shelf.queries import SHELF_MAX
from apps.studio.actions import audit, changes_between, values_of
from apps.studio.models import Membership, Studio
from apps.studio.policies import require_may
from fervens_core import head as core
from fervens_core.base import ConflictError, LimitError, check_range, say
from fervens_core.followup import LearntProduct, with_learnt

Row = Lightener | Developer | Toner
KINDS: dict[str, type[Lightener] | type[Developer] | type[Toner]] = {
    "lightener": Lightener,
    "developer": Developer,
    "toner": Toner,
}
STOCK_MAX_G, PRICE_MAX = 1_000_000.0, 1_000.0
OPTIONAL = {"stock_g", "low_g", "price_per_g", "max_applications"}
TONER_OPTIONAL = {"developer_parts", "developer_volume"}
"""Nothing for a pigment wash; the core asks for them of an oxidative shade."""


def _check(row: Row) -> None:
    """Raises LimitError for a value out of its limits: the core's own checks, and those of stock and price."""
    if isinstance(row, Lightener):
        lightener_value(row)
    elif isinstance(row, Developer):
        developer_value(row)
    else:
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
        raise LimitError(
            field, say("limit-field_of_model", why=messages[0]), str(getattr(row, field, ""))[:80]
        ) from error


LEARNT = ("lift_factor", "rate_factor", "learnt")
"""What of a lightener is learnt, not written."""
FIELDS = {
    "lightener": set(label_fields(core.Lightener)) - {"name", *LEARNT},
    "developer": set(label_fields(core.Developer)) - {"name"},
    "toner": set(label_fields(core.TonerShade)) - {"name"},
}
"""What of a product's label can be written; how far it lifts is learnt, not written."""
COMMON = {"name", "stock_g", "low_g", "price_per_g"}


def _check_fields(kind: str, values: dict[str, Any]) -> None:
    """Raises LimitError for a field of another kind."""
    known = FIELDS[kind] | COMMON
    for field, value in values.items():
        if field not in known:
            raise LimitError(field, say("limit-field_of", kind=kind, known=tuple(sorted(known))), value)


def _apply(row: Row, values: dict[str, Any]) -> None:
    optional = OPTIONAL | TONER_OPTIONAL if isinstance(row, Toner) else OPTIONAL
    for field, value in values.items():
        if value is None and field not in optional:
            raise LimitError(field, say("limit-given"), value)
        setattr(row, field, value)
    _check(row)


@transaction.atomic
def add_product(member: Membership, kind: str, values: dict[str, Any]) -> Row:
    """A new product on the shelf. Raises LimitError, ConflictError for a name that is there."""
    require_may(member, "change_the_shelf")
    _check_fields(kind, values)
    model = KINDS[kind]
    rows = model.objects.filter(studio_id=member.studio_id)
    if rows.count() >= SHELF_MAX:
        raise LimitError("shelf", say("limit-most_of_a_kind", most=SHELF_MAX), SHELF_MAX + 1)
    if rows.filter(name=values.get("name")).exists():
        raise ConflictError("name_taken.shelf", name=values["name"])
    row: Row = model(studio_id=member.studio_id)
    if kind == "toner" and values.get("is_oxidative", True):
        values = core.USUAL_TONER_MIX | values
    _apply(row, values)
    row.save()
    audit(member, f"{kind}_added", row.pk)
    return row


@transaction.atomic
def change_product(member: Membership, kind: str, key: UUID, values: dict[str, Any]) -> Row:
    """Correct a product, count it, price it. Raises LimitError; 404 for another studio's."""
    require_may(member, "change_the_shelf")
    _check_fields(kind, values)
    own = KINDS[kind].objects.filter(studio_id=member.studio_id)
    row = cast(Row, get_object_or_404(own.select_for_update(), pk=key))
    before = values_of(row)
    _apply(row, values)
    row.save()
    audit(member, f"{kind}_changed", row.pk, changes_between(before, values_of(row)))
    return row


def names_lightener(studio_id: UUID, key: str) -> bool:
    """Whether a zone or a plan of a service names a lightener; services rest on the shelf: their tables are asked."""
    told = f'"{key}"'
    zones = apps.get_model("services", "Zone").objects.filter(service__studio_id=studio_id, data__icontains=told)
    plans = apps.get_model("services", "Service").objects.filter(studio_id=studio_id, choice__icontains=told)
    return bool(zones.exists() or plans.exists())


@transaction.atomic
def remove_product(member: Membership, kind: str, key: UUID) -> None:
    """Take a product off the shelf. Raises ConflictError when a service's plan rests on it."""
    require_may(member, "change_the_shelf")
    row = get_object_or_404(KINDS[kind].objects.filter(studio_id=member.studio_id), pk=key)
    if kind == "lightener" and names_lightener(member.studio_id, str(key)):
        raise ConflictError("in_use", name=row.name)
    try:
        row.delete()
    except ProtectedError as error:
        raise ConflictError("in_use", name=row.name) from error
    audit(member, f"{kind}_removed", key)


ORDERS_MAX, ORDER_LENGTH_MAX = 50, 160


@transaction.atomic
def want_to_order(member: Membership, what: str, *, is_wanted: bool) -> list[str]:
    """What to order besides what runs low: a kind of shade that would reach a wish, put on the list or taken off it.

    Raises LimitError for an empty or a long text, or a full list.
    """
    told = " ".join(what.split())
    if not 1 <= len(told) <= ORDER_LENGTH_MAX:
        raise LimitError("what", say("limit-text", least=1, most=ORDER_LENGTH_MAX), what[:80])
    studio = Studio.objects.select_for_update().get(pk=member.studio_id)
    left = [x for x in studio.to_order if x != told]
    if is_wanted and len(left) >= ORDERS_MAX:
        raise LimitError("what", say("limit-most_of_a_kind", most=ORDERS_MAX), len(left) + 1)
    studio.to_order = [*left, told] if is_wanted else left
    studio.save(update_fields=["to_order"])
    audit(member, "order_wanted" if is_wanted else "order_done", studio.pk)
    found: list[str] = studio.to_order
    return found


@transaction.atomic
def carry_learnt(member: Membership, key: UUID, learnt: LearntProduct) -> Lightener:
    """A lightener as the studio's services taught it; what it was before is kept for undoing."""
    require_may(member, "change_the_shelf")
    row = get_object_or_404(Lightener.objects.filter(studio_id=member.studio_id).select_for_update(), pk=key)
    row.learnt_before = {name: getattr(row, name) for name in LEARNT}
    told = label_of(with_learnt(lightener_value(row), learnt))
    _apply(row, {name: told[name] for name in LEARNT})
    row.save()
    audit(member, "learnt_factor_carried_in", row.pk)
    return row


@transaction.atomic
def undo_learnt(member: Membership, key: UUID) -> Lightener:
    """The lightener as it was before. Raises ConflictError when nothing was carried in."""
    require_may(member, "change_the_shelf")
    row = get_object_or_404(Lightener.objects.filter(studio_id=member.studio_id).select_for_update(), pk=key)
    if row.learnt_before is None:
        raise ConflictError("nothing_carried", name=row.name)
    _apply(row, dict(row.learnt_before))
    row.learnt_before = None
    row.save()
    audit(member, "learnt_factor_taken_back", row.pk)
    return row
