"""Toner: dye bands, deposit over time, which shade and how long for a wanted tone. docs/models/toner.md."""

from __future__ import annotations

from functools import lru_cache

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour import WAVELENGTHS_NM, chroma, reference_lab
from fervens_core.head import DyeFamily, Porosity, Tone

# [MODEL] Gaussian absorption bands: (share, peak nm, width nm).
DYE_BANDS: dict[DyeFamily, tuple[tuple[float, float, float], ...]] = {
    DyeFamily.YELLOW: ((1.0, 440.0, 35.0),),
    DyeFamily.ORANGE: ((1.0, 490.0, 40.0),),
    DyeFamily.RED: ((1.0, 520.0, 40.0),),
    DyeFamily.VIOLET: ((1.0, 567.0, 27.0),),
    DyeFamily.BLUE: ((1.0, 605.0, 42.0),),
    DyeFamily.GREEN: ((1.0, 640.0, 40.0), (1.0, 430.0, 30.0)),
}
DYE_AT_LEVEL_10 = 0.0196
DYE_RATIO_PER_LEVEL = 1.90
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
    Tone.ICY: (0.25, 77.0),
    Tone.COOL: (0.465, 72.0),
    Tone.NEUTRAL: (0.75, 77.5),
    Tone.BEIGE: (1.0, 74.5),
    Tone.WARM: (1.185, 76.0),
    Tone.GOLD: (1.45, 80.0),
    Tone.COPPER: (1.6, 56.0),
    Tone.RED_BROWN: (1.1, 42.0),
    Tone.ROSE: (0.9, 25.0),
    Tone.SILVER: (0.12, 260.0),
    Tone.PEARL: (0.30, 64.0),
    Tone.PASTEL: (0.8, 0.0),
}


@lru_cache(maxsize=len(DyeFamily))
def dye_absorption(family: DyeFamily) -> Floats:
    """Absorption spectrum of one unit of a dye family, shape (81,), peak about 1."""
    bands: Floats = np.sum(
        [share * np.exp(-0.5 * ((WAVELENGTHS_NM - peak) / width) ** 2) for share, peak, width in DYE_BANDS[family]],
        axis=0,
    )
    bands.setflags(write=False)
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


LIFTED_BY_LEVELS = 4.0
"""[MODEL] a wish is seen beside hair that was lifted by so many levels."""
TONING_L = 0.155
"""[MODEL] L* that a unit of colour taken out of lifted hair, or put on it, costs: part of what is meant."""


def meant_lab(level: float, a: float, b: float) -> Floats:
    """A colour at a level, CIELAB (3,): as light as hair of the level is once it has been brought to that a* and b*."""
    lifted = reference_lab(np.array(level), lifted_by=LIFTED_BY_LEVELS)
    cost = TONING_L * float(np.hypot(lifted[1] - a, lifted[2] - b))
    return np.array([float(reference_lab(np.array(level))[0]) - cost, a, b])


def wanted_lab(level: float, tone: Tone) -> Floats:
    """The colour meant by a tone at a level.

    Args:
        level: 1 to 10.
    Returns:
        CIELAB (3,): chroma beside that of untoned, unlifted hair of the level, and hue, by the tone. [MODEL]
    """
    share, hue = _TONES[tone]
    c, angle = share * float(chroma(reference_lab(np.array(level)))), np.radians(hue)
    return meant_lab(level, float(c * np.cos(angle)), float(c * np.sin(angle)))
