"""What stands on the shelf."""

from __future__ import annotations

from uuid import UUID

from apps.shelf.adapters import developer_value, lightener_value, toner_value
from apps.shelf.models import Developer, Lightener, Toner
from fervens_core import head as core

SHELF_MAX = 200


def lighteners(studio_id: UUID) -> list[core.Lightener]:
    """The studio's lighteners by name."""
    return [lightener_value(r) for r in Lightener.objects.filter(studio_id=studio_id).order_by("name")[:SHELF_MAX]]


def developers(studio_id: UUID) -> list[core.Developer]:
    """The studio's developers, weakest first."""
    rows = Developer.objects.filter(studio_id=studio_id).order_by("volume_strength", "name")[:SHELF_MAX]
    return [developer_value(r) for r in rows]


def toners(studio_id: UUID) -> list[core.TonerShade]:
    """The studio's toner shades, deepest first."""
    return [toner_value(r) for r in Toner.objects.filter(studio_id=studio_id).order_by("level", "name")[:SHELF_MAX]]


def rows_of(
    kind: type[Lightener] | type[Developer] | type[Toner], studio_id: UUID
) -> list[Lightener | Developer | Toner]:
    """The rows of one kind by name."""
    return list(kind.objects.filter(studio_id=studio_id).order_by("name")[:SHELF_MAX])


def lightener_rows(studio_id: UUID) -> list[Lightener]:
    """The studio's lighteners as rows, by name."""
    return list(Lightener.objects.filter(studio_id=studio_id).order_by("name")[:SHELF_MAX])
