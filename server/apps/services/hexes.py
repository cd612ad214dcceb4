"""Colours of zones as answers show them."""

from __future__ import annotations

import numpy as np

from fervens_core.colour import hair_lab, lab_to_hex
from fervens_core.head import Zone


def _zone_hexes(zones: tuple[Zone, ...]) -> tuple[list[str], list[str]]:
    if not zones:
        return [], []
    start = np.array([z.hair.start_level for z in zones])
    target = np.array([z.target_level for z in zones])
    return lab_to_hex(hair_lab(start, start)), lab_to_hex(hair_lab(start, target))
