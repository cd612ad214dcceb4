"""Shelf rows as core values."""

from __future__ import annotations

from functools import lru_cache

import numpy as np

from apps.shelf.models import Developer, Lightener, Toner
from fervens_core import head as core
from fervens_core.base import Ratio
from fervens_core.colour import absorption_to_lab, hair_absorption, lab_to_hex
from fervens_core.toning import Formula


def lightener_value(row: Lightener) -> core.Lightener:
    """A lightener row as the core knows it."""
    return core.Lightener(
        key=str(row.pk),
        name=row.name,
        ratio=Ratio(row.developer_parts),
        label_max_min=row.label_max_min,
        max_volume=row.max_volume,
        max_volume_on_scalp=row.max_volume_on_scalp,
        bowl_life_min=row.bowl_life_min,
        lift_factor=row.lift_factor,
        is_dark=row.is_dark,
        is_heat_allowed=row.is_heat_allowed,
        max_applications=row.max_applications,
    )


def developer_value(row: Developer) -> core.Developer:
    """A developer row as the core knows it."""
    return core.Developer(key=str(row.pk), name=row.name, volume_strength=row.volume_strength)


def toner_value(row: Toner) -> core.TonerShade:
    """A toner row as the core knows it."""
    return core.TonerShade(
        key=str(row.pk),
        name=row.name,
        level=row.level,
        dyes=tuple((core.DyeFamily(family), float(share)) for family, share in row.dyes.items()),
        ratio=None if row.developer_parts is None else Ratio(row.developer_parts),
        developer_volume=row.developer_volume,
        label_min_min=row.label_min_min,
        label_max_min=row.label_max_min,
        is_oxidative=row.is_oxidative,
        patch_test_wait_h=row.patch_test_wait_h,
    )


@lru_cache(maxsize=2000)
def shade_hex(shade: core.TonerShade) -> str:
    """A shade on palest hair, taken fully, as a screen colour."""
    pale = hair_absorption(8.0, np.array(10.0))
    return lab_to_hex(absorption_to_lab(pale + Formula((shade,)).absorption))[0]
