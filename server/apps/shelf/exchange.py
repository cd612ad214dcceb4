"""The shelf out and in: a table, or a file for another studio."""

from __future__ import annotations

import json

from django.db import transaction

from apps.shelf.actions import KINDS, Row, add_product
from apps.shelf.adapters import developer_value, label_of, lightener_value, toner_value
from apps.shelf.models import Developer, Lightener, Toner
from apps.studio.actions import audit
from apps.studio.models import Membership, Studio
from apps.studio.policies import require_may
from fervens_core import head as core
from fervens_core.base import LimitError, say
from fervens_core.formats import ShelfLine, ShelfTable, shelf_from_text, shelf_to_csv, shelf_to_file


def _lines(member: Membership) -> list[ShelfLine]:
    own = {"studio_id": member.studio_id}
    found = [_line("lightener", x, lightener_value(x)) for x in Lightener.objects.filter(**own).order_by("name", "pk")]
    found += [_line("developer", x, developer_value(x)) for x in Developer.objects.filter(**own).order_by("name", "pk")]
    return found + [_line("toner", x, toner_value(x)) for x in Toner.objects.filter(**own).order_by("name", "pk")]


def _line(kind: str, row: Row, value: core.Lightener | core.Developer | core.TonerShade) -> ShelfLine:
    return ShelfLine(kind, value, row.stock_g, row.low_g, row.price_per_g)


def shelf_csv(member: Membership) -> str:
    """The shelf as CSV, with stock and prices; audited."""
    require_may(member, "change_the_shelf")
    audit(member, "shelf_taken_out", member.studio_id)
    return shelf_to_csv(_lines(member))


def shelf_file(member: Membership) -> str:
    """The shelf as a file for another studio: labels only."""
    require_may(member, "change_the_shelf")
    audit(member, "shelf_taken_out", member.studio_id)
    return json.dumps(shelf_to_file(_lines(member)), ensure_ascii=False, indent=1)


def preview_shelf(member: Membership, text: str) -> tuple[ShelfTable, list[str]]:
    """What a table or a file would bring, what is wrong with it, and the names that are there already."""
    require_may(member, "change_the_shelf")
    found = shelf_from_text(text)
    known = set()
    for kind, model in KINDS.items():
        names = [x.product.name for x in found.lines if x.kind == kind]
        rows = model._default_manager.filter(studio_id=member.studio_id, name__in=names)
        known |= {(kind, name) for name in rows.values_list("name", flat=True)}
    return found, sorted({x.product.name for x in found.lines if (x.kind, x.product.name) in known})


@transaction.atomic
def take_shelf(member: Membership, text: str) -> int:
    """The products of a table or a file, all or nothing; those with a known name are left as they are.

    Raises:
        LimitError: the first bad line, with how many there are.
    """
    found, _ = preview_shelf(member, text)
    if found.problems:
        p = found.problems[0]
        limit = say("limit-first_of_bad_lines", limit=p.limit, count=len(found.problems))
        raise LimitError(f"line {p.line}, {p.column}", limit, p.value)
    Studio.objects.select_for_update().get(pk=member.studio_id)
    count = 0
    for line in found.lines:
        rows = KINDS[line.kind]._default_manager.filter(studio_id=member.studio_id, name=line.product.name)
        if rows.exists():
            continue
        values = {k: v for k, v in label_of(line.product).items() if k not in ("lift_factor", "rate_factor", "learnt")}
        stock = {k: getattr(line, k) for k in ("stock_g", "low_g", "price_per_g")}
        add_product(member, line.kind, values | stock)
        count += 1
    audit(member, "shelf_brought_in", count)
    return count
