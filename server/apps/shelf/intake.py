"""Finding a file's products on a studio's shelf, by name; those it has not are put there."""

from __future__ import annotations

from dataclasses import dataclass

from apps.shelf.adapters import label_of
from apps.shelf.models import Developer, Lightener, Toner
from apps.studio.models import Studio
from fervens_core import head as core
from fervens_core.formats import ServiceFile


@dataclass(frozen=True, slots=True)
class MatchedShelf:
    """The studio's own rows for a file's products.

    Args:
        lighteners: by the file's key. shade_keys: the file's toner keys to the studio's. added: names put on the shelf.
    """

    lighteners: dict[str, Lightener]
    shade_keys: dict[str, str]
    added: list[str]


def _lightener(studio: Studio, value: core.Lightener, added: list[str]) -> Lightener:
    row = Lightener.objects.filter(studio=studio, name=value.name).first()
    if row is None:
        row = Lightener.objects.create(studio=studio, **label_of(value))
        added.append(value.name)
    return row


def _toner(studio: Studio, value: core.TonerShade, added: list[str]) -> Toner:
    row = Toner.objects.filter(studio=studio, name=value.name).first()
    if row is None:
        row = Toner.objects.create(studio=studio, **label_of(value))
        added.append(value.name)
    return row


def match_shelf(studio: Studio, file: ServiceFile) -> MatchedShelf:
    """The studio's rows for everything a file uses."""
    added: list[str] = []
    values = {x.key: x for x in file.other_lighteners} | {s.lightener.key: s.lightener for s in file.tested}
    if file.lightener:
        values[file.lightener.key] = file.lightener
    lighteners = {key: _lightener(studio, value, added) for key, value in values.items()}
    for bottle in file.developers:
        if not Developer.objects.filter(studio=studio, volume_strength=bottle.volume_strength).exists():
            Developer.objects.create(studio=studio, **label_of(bottle))
            added.append(bottle.name)
    shade_keys = {shade.key: str(_toner(studio, shade, added).pk) for shade in file.toners}
    return MatchedShelf(lighteners, shade_keys, added)
