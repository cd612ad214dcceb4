"""Toner: dye bands, deposit over time, which shade and how long for a wanted tone. docs/models/toner.md."""

from __future__ import annotations

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour import WAVELENGTHS_NM, chroma
from fervens_core.head import DyeFamily, Porosity, Tone

# [MODEL] Gaussian absorption bands: (share, peak nm, width nm).
DYE_BANDS: dict[DyeFamily, tuple[tuple[float, float, float], ...]] = {
    DyeFamily.YELLOW: ((1.0, 440.0, 35.0),),
    DyeFamily.ORANGE: ((1.0, 490.0, 40.0),),
    DyeFamily.RED: ((1.0, 520.0, 40.0),),
    DyeFamily.VIOLET: ((1.0, 565.0, 33.0),),
    DyeFamily.BLUE: ((1.0, 602.0, 42.0),),
    DyeFamily.GREEN: ((1.0, 640.0, 40.0), (1.0, 430.0, 30.0)),
}
DYE_AT_LEVEL_10 = 0.018
DYE_RATIO_PER_LEVEL = 1.75
"""[MODEL] dye a shade of level 10 leaves on normal hair in the end, at 1:1, and how much more a level deeper: about as
much as one level of hair is darker than the next, so that a deep shade brings pale hair near to its own depth."""

# [MODEL] (uptake beside normal hair, time constant in min); porous hair grabs more and sooner (common practice).
UPTAKE: dict[Porosity, tuple[float, float]] = {
    Porosity.LOW: (0.75, 11.0),
    Porosity.NORMAL: (1.0, 8.0),
    Porosity.HIGH: (1.4, 4.0),
}


# [MODEL] chroma beside natural hair of that level, and hue angle in degrees.
_TONES: dict[Tone, tuple[float, float]] = {
    Tone.ICY: (0.20, 95.0),
    Tone.COOL: (0.45, 88.0),
    Tone.NEUTRAL: (0.75, 81.0),
    Tone.BEIGE: (0.90, 75.0),
    Tone.WARM: (1.15, 74.0),
    Tone.GOLD: (1.45, 80.0),
    Tone.COPPER: (1.6, 56.0),
    Tone.RED_BROWN: (1.1, 42.0),
    Tone.ROSE: (0.9, 25.0),
    Tone.SILVER: (0.12, 260.0),
    Tone.PEARL: (0.30, 40.0),
    Tone.PASTEL: (0.8, 0.0),
}


def dye_absorption(family: DyeFamily) -> Floats:
    """Absorption spectrum of one unit of a dye family, shape (81,), peak about 1."""
    bands: Floats = np.sum(
        [share * np.exp(-0.5 * ((WAVELENGTHS_NM - peak) / width) ** 2) for share, peak, width in DYE_BANDS[family]],
        axis=0,
    )
    return bands


def deposit(minutes: Floats | float, porosity: Porosity) -> Floats:
    """Share of a shade's full dye on the hair after some minutes: uptake (1 - exp(-t / tau)).

    Args:
        minutes: 0 or more, min, any shape.
    Returns:
        0 to the uptake of that porosity (0.75 low, 1 normal, 1.4 high), same shape.
    """
    uptake, tau_min = UPTAKE[porosity]
    result: Floats = uptake * -np.expm1(-np.maximum(np.asarray(minutes, dtype=float), 0.0) / tau_min)
    return result


def wanted_lab(natural_lab: Floats, tone: Tone) -> Floats:
    """The colour meant by a tone at a level.

    Args:
        natural_lab: CIELAB of natural hair of that level, shape (3,).
    Returns:
        CIELAB (3,): the same L*, chroma and hue by the tone. [MODEL]
    """
    share, hue = _TONES[tone]
    c = share * float(chroma(natural_lab))
    return np.array([natural_lab[0], c * np.cos(np.radians(hue)), c * np.sin(np.radians(hue))])
