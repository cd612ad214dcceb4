"""Colours of zones as answers show them."""

from __future__ import annotations

import numpy as np

from fervens_core.colour import hair_lab, seen_hexes
from fervens_core.head import Zone, warm_hair


def _zone_hexes(zones: tuple[Zone, ...]) -> tuple[list[str], list[str]]:
    """Colours now and wanted; lightened hair has the warmth of what grows there."""
    if not zones:
        return [], []
    from_level = np.array([warm_hair(z.hair, z).colour_start for z in zones])
    start = np.array([z.hair.start_level for z in zones])
    target = np.array([z.target_level for z in zones])
    wanted = hair_lab(np.minimum(from_level, target), target)
    return seen_hexes(hair_lab(from_level, start)), seen_hexes(wanted)
