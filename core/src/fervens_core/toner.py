"""Toner: dye bands, deposit over time, which shade and how long for a wanted tone. docs/models/toner.md."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from fervens_core.colour import WAVELENGTHS_NM, Floats, chroma, delta_e_2000
from fervens_core.errors import LimitError
from fervens_core.hair import Porosity, Tone
from fervens_core.products import DyeFamily, TonerShade
from fervens_core.quantities import check_range

# [MODEL] Gaussian absorption bands: (share, peak nm, width nm).
DYE_BANDS: dict[DyeFamily, tuple[tuple[float, float, float], ...]] = {
    DyeFamily.YELLOW: ((1.0, 440.0, 35.0),),
    DyeFamily.ORANGE: ((1.0, 490.0, 40.0),),
    DyeFamily.RED: ((1.0, 520.0, 40.0),),
    DyeFamily.VIOLET: ((1.0, 565.0, 33.0),),
    DyeFamily.BLUE: ((1.0, 602.0, 42.0),),
    DyeFamily.GREEN: ((1.0, 640.0, 40.0), (1.0, 430.0, 30.0)),
}
DYE_AT_LEVEL_10 = 0.022
DYE_RATIO_PER_LEVEL = 1.45
"""[MODEL] dye a shade of level 10 leaves on normal hair in the end, at 1:1, and how much more a level deeper."""

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
}


@dataclass(frozen=True, slots=True)
class TonerChoice:
    """One shade for one zone, for so long, and what it should leave.

    Args:
        minutes: processing time, min. delta_e: CIEDE2000 to the wanted colour.
        lab: the colour it should leave. depth_lost_l: L* lost beside the untoned hair.
    """

    shade: TonerShade
    minutes: float
    lab: tuple[float, float, float]
    delta_e: float
    depth_lost_l: float


def dye_absorption(family: DyeFamily) -> Floats:
    """Absorption spectrum of one unit of a dye family, shape (81,), peak about 1."""
    bands: Floats = np.sum(
        [share * np.exp(-0.5 * ((WAVELENGTHS_NM - peak) / width) ** 2) for share, peak, width in DYE_BANDS[family]],
        axis=0,
    )
    return bands


def shade_absorption(shade: TonerShade) -> Floats:
    """Absorption, shape (81,), that a shade adds to normal hair when it has taken fully at its own ratio."""
    amount = DYE_AT_LEVEL_10 * DYE_RATIO_PER_LEVEL ** (10.0 - shade.level)
    dilution = 2.0 / (1.0 + shade.ratio.developer_parts)
    mixed: Floats = np.sum([part * dye_absorption(family) for family, part in shade.dyes], axis=0)
    full: Floats = amount * dilution * mixed
    return full


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


def toned_absorption(hair: Floats, shade: TonerShade, minutes: Floats | float, porosity: Porosity) -> Floats:
    """Absorption of hair (81,) with a shade on for some minutes, shape (..., 81)."""
    share = deposit(minutes, porosity)
    result: Floats = hair + share[..., None] * shade_absorption(shade)
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


def minutes_grid(shade: TonerShade) -> Floats:
    """Whole minutes a label allows, from its shortest to its longest time."""
    return np.arange(np.ceil(shade.label_min_min), np.floor(shade.label_max_min) + 0.5)


def pick_minutes(
    shade: TonerShade, labs: Floats, *, untoned_lab: Floats, wanted: Floats, max_depth_lost_l: float
) -> TonerChoice:
    """The best whole minute of one shade, given the colour at each minute of its grid.

    Args:
        labs: CIELAB at `minutes_grid(shade)`, shape (m, 3).
        max_depth_lost_l: most L* the toner may cost; if no minute keeps it, the one that costs least is taken.
    """
    check_range("max_depth_lost_l", max_depth_lost_l, 0.0, 100.0, "L*")
    minutes = minutes_grid(shade)
    if labs.shape != (minutes.size, 3):
        raise LimitError("labs", f"of shape ({minutes.size}, 3)", labs.shape)
    distance = delta_e_2000(labs, wanted)
    lost = untoned_lab[0] - labs[:, 0]
    is_kept = lost <= max_depth_lost_l
    best = int(np.argmin(np.where(is_kept, distance, np.inf))) if is_kept.any() else int(np.argmin(lost))
    return TonerChoice(
        shade=shade,
        minutes=float(minutes[best]),
        lab=(float(labs[best, 0]), float(labs[best, 1]), float(labs[best, 2])),
        delta_e=float(distance[best]),
        depth_lost_l=float(lost[best]),
    )
