"""Shelf rows as core values."""

from __future__ import annotations

from dataclasses import fields
from functools import lru_cache
from typing import Any, TypeVar

import numpy as np

from apps.shelf.models import Developer, Lightener, Toner
from fervens_core import head as core
from fervens_core.base import plain, read
from fervens_core.colour import absorption_to_lab, hair_absorption, seen_hexes
from fervens_core.toning import Formula

T = TypeVar("T")


def label_fields(kind: type) -> tuple[str, ...]:
    """The fields of a product of the core that a row keeps under the same name."""
    return tuple(f.name for f in fields(kind) if f.name != "key")


def label_of(value: core.Lightener | core.Developer | core.TonerShade) -> dict[str, Any]:
    """A product's fields as a row keeps them."""
    return {k: v for k, v in plain(value).items() if k != "key"}


def _value(kind: type[T], row: Lightener | Developer | Toner) -> T:
    return read(kind, {"key": str(row.pk)} | {name: getattr(row, name) for name in label_fields(kind)})


def lightener_value(row: Lightener) -> core.Lightener:
    """A lightener row as the core knows it."""
    return _value(core.Lightener, row)


def developer_value(row: Developer) -> core.Developer:
    """A developer row as the core knows it."""
    return _value(core.Developer, row)


def toner_value(row: Toner) -> core.TonerShade:
    """A toner row as the core knows it."""
    return _value(core.TonerShade, row)


@lru_cache(maxsize=2000)
def shade_hex(shade: core.TonerShade) -> str:
    """A shade on palest hair, taken fully, as a screen colour."""
    pale = hair_absorption(8.0, np.array(10.0))
    return seen_hexes(absorption_to_lab(pale + Formula((shade,)).absorption))[0]
