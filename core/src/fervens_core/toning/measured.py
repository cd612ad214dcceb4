"""What a shade is made of, from its measured colour: the nearest one or two dyes, and its depth."""

from __future__ import annotations

from itertools import combinations

import numpy as np

from fervens_core.colour import absorption_to_lab, delta_e_2000, hair_absorption
from fervens_core.head import DyeFamily
from fervens_core.toning.dyes import DYE_AT_LEVEL_10, dye_absorption
from fervens_core.toning.formula import depth_ratio

PALEST_FROM, PALEST = 8.0, 10.0
"""Swatches are of shades on the palest hair, taken fully (common practice, no source)."""
SHARE_STEPS = 20


def dyes_of_measured(
    lab: tuple[float, float, float], level: float | None = None
) -> tuple[float, tuple[tuple[DyeFamily, float], ...], float]:
    """The depth and dyes whose swatch comes nearest to a measured one.

    Args:
        lab: CIELAB (D65) of the swatch. level: of the shade, where its name tells; else in half levels, 4 to 10.
    Returns:
        level, (family, share) of one or two dyes, and how far off they are, CIEDE2000.
    """
    pale = hair_absorption(PALEST_FROM, np.array(PALEST))
    one = [((f, 1.0),) for f in DyeFamily]
    shares = [i / SHARE_STEPS for i in range(1, SHARE_STEPS)]
    two = [((a, x), (b, round(1.0 - x, 4))) for a, b in combinations(DyeFamily, 2) for x in shares]
    mixes = [*one, *two]
    laid = np.array([sum(x * dye_absorption(f) for f, x in mix) for mix in mixes])
    levels = [level] if level is not None else [n / 2.0 for n in range(8, 21)]
    wanted, best = np.array(lab), (np.inf, 0.0, 0)
    for depth in levels:
        swatches = absorption_to_lab(pale + DYE_AT_LEVEL_10 * depth_ratio(depth) * laid)
        off = delta_e_2000(swatches, wanted)
        k = int(np.argmin(off))
        if float(off[k]) < best[0]:
            best = (float(off[k]), depth, k)
    return best[1], mixes[best[2]], best[0]
